// The seam: left as worn, right as cut. X crosses it: both, only worn, only cut. W shows what is weeded out.

import { useState, type ReactNode } from 'react';
import type { ArtworkPicture } from '../../core/artwork';
import { useKeys } from './keys';
import { Picture } from './Picture';
import { COLOURS } from '../../theme/tokens';

/** A place that would fail, in mm from the artwork's top left. */
export type SeamMark = {
  readonly x: number;
  readonly y: number;
  readonly widthMm: number;
  readonly kind: 'stroke' | 'gap';
};
type SeamProps = {
  readonly picture: ArtworkPicture;
  readonly colours?: readonly (string | undefined)[];
  readonly mirrored: boolean | readonly boolean[];
  readonly cutCaption: string;
  readonly size: string;
  readonly name: string;
  readonly height?: number;
  readonly ground?: string;
  readonly marks?: readonly SeamMark[];
  readonly widthMm?: number;
  /** Offers the weeding map. */
  readonly weeding?: boolean;
};
const SIDES = ['both', 'worn', 'cut'] as const;

export function SeamView({
  picture,
  colours,
  mirrored,
  cutCaption,
  size,
  name,
  height = 420,
  ground,
  marks = [],
  widthMm = 1,
  weeding = false,
}: SeamProps) {
  const [side, setSide] = useState<(typeof SIDES)[number]>('both');
  const [map, setMap] = useState(false);
  const cross = () => setSide(SIDES[(SIDES.indexOf(side) + 1) % SIDES.length]!);
  useKeys('Artwork', [
    { keys: 'x', shown: 'X', does: 'cross the seam: both, as worn, as cut', run: cross },
    ...(weeding
      ? [{ keys: 'w', shown: 'W', does: 'the weeding map: what stays, what comes out', run: () => setMap(!map) }]
      : []),
  ]);
  const circles = marks.length > 0 && !map ? <FailMarks marks={marks} picture={picture} widthMm={widthMm} /> : null;
  const tint = ground ? { color: readableOn(ground) } : undefined;
  return (
    <div className={`seam ${side === 'both' ? '' : 'one'}`}>
      {side !== 'cut' && (
        <figure style={ground ? { background: ground } : undefined}>
          <figcaption style={tint}>as worn</figcaption>
          <Picture picture={picture} colours={colours} label={`${name}, as worn`} maxHeight={height}>
            {circles}
          </Picture>
          <span className="size" style={tint}>
            {size}
          </span>
        </figure>
      )}
      {side !== 'worn' && (
        <AsCut
          map={map}
          cutCaption={cutCaption}
          picture={picture}
          colours={colours}
          mirrored={mirrored}
          name={name}
          height={height}
          circles={circles}
          setSide={setSide}
          weeding={weeding}
          setMap={setMap}
          cross={cross}
        />
      )}
      {side === 'worn' && (
        <span className="seam-keys alone">
          <button className="quiet" onClick={cross} aria-label="Cross the seam">
            X crosses
          </button>
        </span>
      )}
    </div>
  );
}

type AsCutProps = {
  readonly map: boolean;
  readonly cutCaption: string;
  readonly picture: ArtworkPicture;
  readonly colours: readonly (string | undefined)[] | undefined;
  readonly mirrored: boolean | readonly boolean[];
  readonly name: string;
  readonly height: number;
  readonly circles: ReactNode;
  readonly setSide: React.Dispatch<React.SetStateAction<'both' | 'worn' | 'cut'>>;
  readonly weeding: boolean;
  readonly setMap: React.Dispatch<React.SetStateAction<boolean>>;
  readonly cross: () => void;
};

function AsCut({
  map,
  cutCaption,
  picture,
  colours,
  mirrored,
  name,
  height,
  circles,
  setSide,
  weeding,
  setMap,
  cross,
}: AsCutProps) {
  return (
    <figure className="cut">
      <figcaption>
        {map ? 'weeding map, ' : ''}as cut, {cutCaption}
      </figcaption>
      <Picture
        picture={picture}
        colours={colours}
        mirrored={mirrored}
        label={`${name}, ${map ? 'weeding map, ' : ''}as cut, ${cutCaption}`}
        maxHeight={height}
        weeding={map}
      >
        {circles}
      </Picture>
      <span className="seam-keys">
        {map && (
          <button className="quiet" onClick={() => printSeam(() => setSide('cut'))}>
            Print it
          </button>
        )}
        {weeding && (
          <button className="quiet" aria-pressed={map} onClick={() => setMap(!map)}>
            W weeding map
          </button>
        )}
        <button className="quiet" onClick={cross} aria-label="Cross the seam">
          X crosses
        </button>
      </span>
    </figure>
  );
}

type FailMarksProps = Pick<Required<SeamProps>, 'marks' | 'picture' | 'widthMm'>;

/** A ring round each place that would fail, never smaller than can be seen. */
function FailMarks({ marks, picture, widthMm }: FailMarksProps) {
  const unit = picture.width / widthMm;
  const least = picture.width / 48;
  return marks.map((mark, index) => {
    const place = { cx: mark.x * unit, cy: mark.y * unit, r: Math.max(least, mark.widthMm * unit * 1.6) };
    return (
      <g key={index}>
        <circle {...place} className="fail halo" />
        <circle {...place} className={`fail ${mark.kind}`} />
      </g>
    );
  });
}

/** Prints the seam alone, as large as the paper; what else is on the page stays off it. */
function printSeam(prepare: () => void): void {
  prepare();
  document.documentElement.setAttribute('data-print', 'seam');
  window.addEventListener('afterprint', () => document.documentElement.removeAttribute('data-print'), { once: true });
  // After the next frame the map stands there alone.
  requestAnimationFrame(() => requestAnimationFrame(() => window.print()));
}

/** Ink or paper, whichever reads better on a ground of #rrggbb. */
function readableOn(ground: string): string {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => parseInt(ground.slice(at, at + 2), 16));
  return r * 0.299 + g * 0.587 + b * 0.114 > 140 ? COLOURS.ink : COLOURS.sheet;
}
