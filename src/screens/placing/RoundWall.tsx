// Round a wall: how much of it there is, and on a taper the arc a drawing is bent on, each layer as a file.

import Button from '@mui/material/Button';
import { computeWrap } from '../../core/materials';
import { planBendOf, spaceSlits, tellSag, type PlacedArtwork } from '../../core/placing';
import type { ArtworkOnBlank, PlacingView } from '../../views/placing';
import { Why } from '../shared/Why';

type Props = {
  readonly view: PlacingView;
  readonly artwork: ArtworkOnBlank;
  readonly placed: PlacedArtwork;
  readonly sizeName: string;
  /** Files are of what is saved: not while something else is typed. */
  readonly isDirty: boolean;
};

export function RoundWall({ view, artwork, placed, sizeName, isDirty }: Props) {
  const { area } = placed;
  const bend = planBendOf(placed);
  if (!area?.curve) return null;
  const { round } = computeWrap(area.curve, area.heightMm);
  return (
    <section className="sheet" aria-label="Round the wall">
      <h2 className="flat below-2">Round the wall</h2>
      <p className="flat">
        There are <Why figure={round} /> to wrap{area.curve.handleGapMm > 0 ? ' beside the handle' : ''}.{' '}
        {bend ? (
          <>
            The wall tapers: a straight strip would be off by <Why figure={tellSag(placed.box.width, bend)} /> at its
            ends. Bent on <Why figure={bend.radius} /> it lies level.
          </>
        ) : (
          'The wall is straight: a straight drawing lies level.'
        )}
      </p>
      {bend && (
        <>
          <p className="soft flat above-2">
            Or slit straight tape from its edge, a slit every <Why figure={spaceSlits(bend)} />.
          </p>
          <div className="actions above-2">
            {artwork.layers.map(({ name }, index) => (
              <Button
                key={index}
                size="small"
                href={`/api/items/${view.itemId}/placing/bent?artwork=${artwork.index}&layer=${index}&size=${encodeURIComponent(sizeName)}`}
                download
                disabled={isDirty}
              >
                {name}, bent (SVG)
              </Button>
            ))}
          </div>
        </>
      )}
    </section>
  );
}
