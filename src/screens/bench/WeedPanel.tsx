// Weeding: the piece as it lies, what stays and what comes out, counted down group by group, so that no bit that was
// forgotten is overlooked.

import { useState } from 'react';
import { countWeeded, listWeedGroups, planWeeding } from '../../core/artwork';
import type { BenchLineView, BenchPartView } from '../../views/bench';
import { plural } from '../../wording/plural';
import { Picture } from '../shared/Picture';

export type WeedState = {
  readonly count: { readonly out: number; readonly of: number };
  /** The group to weed next; null where all are out, or there are none. */
  readonly next: number | null;
  readonly out: readonly number[];
  readonly order: readonly number[];
};

/** Null where what is cut is not the whole layer: its bits are few, and have no groups of their own. */
export function readWeeding(
  part: BenchPartView,
  line: BenchLineView | undefined,
  out: readonly number[],
): WeedState | null {
  const layer = line?.layers[part.layerIndex];
  const picture = layer && line.placements[layer.placement]?.picture;
  if (!picture || part.recut) return null;
  const groups = listWeedGroups(picture, layer.layerIndex);
  const order = planWeeding(groups, picture.height);
  return { count: countWeeded(groups, out), next: order.find((index) => !out.includes(index)) ?? null, out, order };
}

type Props = {
  readonly part: BenchPartView;
  readonly line: BenchLineView;
  readonly weeding: WeedState;
  readonly disabled: boolean;
  readonly onOut: (groups: readonly number[]) => void;
};
/** Of the width that is there, percent. */
const ZOOMS = [100, 180, 300] as const;

export function WeedPanel({ part, line, weeding, disabled, onOut }: Props) {
  const [zoom, setZoom] = useState(0);
  const layer = line.layers[part.layerIndex]!;
  const { picture } = line.placements[layer.placement]!;
  const groups = listWeedGroups(picture, layer.layerIndex);
  const { count, next, out, order } = weeding;
  const toggle = (index: number) => onOut(out.includes(index) ? out.filter((one) => one !== index) : [...out, index]);
  const own = { ...picture, layers: picture.layers.slice(layer.layerIndex, layer.layerIndex + 1) };
  return (
    <>
      <p className="clock weed-clock flat" role="status" aria-label="Cavities still in it">
        {count.of - count.out} <small>of {count.of} still in</small>
      </p>
      <div className="weed-map">
        <div className={zoom === 0 ? 'whole' : undefined} style={{ width: `${ZOOMS[zoom]!}%` }}>
          <Picture
            picture={own}
            mirrored={layer.mirrored}
            weeding
            label={`${part.layerName}: dark stays, light comes out; a number is what a piece holds`}
          >
            {out.map((index) => (
              <path key={index} d={groups[index]?.path} className="weed-out" />
            ))}
            {next !== null && <path d={groups[next]!.path} className="weed-next" />}
          </Picture>
        </div>
      </div>
      <div className="actions above-2">
        <button
          className="quiet"
          aria-label={`Larger: ${ZOOMS[zoom]} percent now`}
          onClick={() => setZoom((zoom + 1) % ZOOMS.length)}
        >
          {zoom === ZOOMS.length - 1 ? 'whole' : 'larger'}
        </button>
        <span className="soft">
          {next === null ? 'All of it is out.' : `Next, framed: ${plural(groups[next]!.cavities, 'cavity')}.`}
        </span>
      </div>
      <div className="weed-groups" role="group" aria-label="Pieces with something to weed out">
        {order.map((index, at) => (
          <button
            key={index}
            type="button"
            className="quiet"
            disabled={disabled}
            aria-pressed={out.includes(index)}
            onClick={() => toggle(index)}
          >
            {at + 1}: {out.includes(index) ? 'out' : groups[index]!.cavities}
          </button>
        ))}
      </div>
    </>
  );
}
