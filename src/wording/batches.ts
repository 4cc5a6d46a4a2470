// A batch at a station in words: what is done with what.

import type { Batch } from '../core/scheduling';
import type { BenchPartView } from '../views/bench';
import { STATION_NAMES } from './stations';
import { plural } from './plural';

export function describeBatch(batch: Batch<BenchPartView>): {
  readonly verb: string;
  readonly what: string;
  readonly detail: string;
} {
  const first = batch.parts[0]!;
  const items = new Set(batch.parts.map((part) => part.itemName));
  const verb = STATION_NAMES[batch.station];
  const pieces = `${plural(batch.pieceCount, 'piece')}`;
  const parts = `${plural(batch.parts.length, 'part')}`;
  const recuts = batch.parts.filter((part) => part.broken).length;
  const again = recuts > 0 ? `, ${recuts} to be made again` : '';
  switch (batch.station) {
    case 'cut':
      return {
        verb,
        what: first.vinylName,
        detail: `${first.savedId ? 'laid out: ' : ''}${parts} for ${items.size === 1 ? first.itemName : `${items.size} items`}${again}`,
      };
    case 'weed':
      return { verb, what: `${first.itemName}, ${nameLayers(batch)}`, detail: `${parts}${again}, ${first.orderTitle}` };
    case 'press':
    case 'check':
      return { verb, what: first.itemName, detail: `${pieces}, ${first.orderTitle}` };
    default:
      return batch.station satisfies never;
  }
}

/** Of several texts what they are called: "Surname"; else the layer as it is named. */
function nameLayers({ parts }: Batch<BenchPartView>): string {
  const first = parts[0]!;
  return first.layerLabel !== null && parts.some((part) => part.layerName !== first.layerName)
    ? first.layerLabel
    : first.layerName;
}
