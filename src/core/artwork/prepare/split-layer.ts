// A layer too wide for its vinyl, parted side by side into loads that go on in register.

import {
  boundPoints,
  boundRegion,
  intersectRegions,
  makeRegion,
  splitPieces,
  type Box,
  type Region,
} from '../../geometry';
import type { FlatLayer } from '../flat-layers';
import { regionOf, withRegion } from './layer-steps';

/**
 * The layer as loads of at most `mostMm` width, left to right; unchanged where one load holds it. Each cut goes through
 * the gap nearest to where it parts the rest evenly; where no gap is within reach, through the shapes, and there the
 * load on the left reaches `overlapMm` under its neighbour. Weed boxes and marks stay with the load they touch.
 */
export function splitLayer(
  layers: readonly FlatLayer[],
  key: string,
  mostMm: number,
  overlapMm: number,
): readonly FlatLayer[] {
  return layers.flatMap((layer) => {
    const region = layer.key === key ? regionOf(layer) : null;
    const box = region && boundRegion(region);
    if (!region || !box || box.width <= mostMm || !(mostMm > 2 * overlapMm)) return [layer];
    const cuts = placeCuts(region, box, mostMm, overlapMm);
    return cuts.flatMap((cut, index) => {
      const left = index === 0 ? box.x : cuts[index - 1]!.x;
      const part = intersectRegions(region, strip(box, left, cut.x + (cut.clean ? 0 : overlapMm)));
      const partBox = boundRegion(part);
      if (!partBox) return [];
      const extras = layer.extras.filter((line) => {
        const reach = boundPoints([line])!;
        const middle = reach.x + reach.width / 2;
        return (index === 0 || middle >= left) && (index === cuts.length - 1 || middle < cut.x);
      });
      return [{ ...withRegion(layer, part), key: `${key} load ${index + 1}`, extras }];
    });
  });
}

/** Where each load ends on the right; `clean` where no shape is cut. */
type Cut = { readonly x: number; readonly clean: boolean };

function placeCuts(region: Region, box: Box, mostMm: number, overlapMm: number): readonly Cut[] {
  const gaps = findGaps(region);
  const right = box.x + box.width;
  const cuts: Cut[] = [];
  let left = box.x;
  while (right - left > mostMm) {
    // What is cut through takes its overlap along.
    const loads = Math.ceil((right - left) / (mostMm - overlapMm));
    const even = left + (right - left) / loads;
    // A gap may be used when what lies left of it fits the stock, and the rest needs no load more.
    const usable = gaps.filter(
      (gap) => gap.from > left && gap.from - left <= mostMm && right - gap.until <= mostMm * (loads - 1),
    );
    const best = usable.reduce<{ from: number; until: number } | null>(
      (nearest, gap) => (!nearest || Math.abs(gap.from - even) < Math.abs(nearest.from - even) ? gap : nearest),
      null,
    );
    const cut: Cut = best ? { x: (best.from + best.until) / 2, clean: true } : { x: even, clean: false };
    cuts.push(cut);
    left = best ? best.until : cut.x;
  }
  return [...cuts, { x: right, clean: true }];
}

/** Stretches along x where no piece of the layer is, left to right. */
function findGaps(region: Region): readonly { readonly from: number; readonly until: number }[] {
  const spans = splitPieces(region)
    .map((piece) => boundPoints([piece.outer])!)
    .sort((a, b) => a.x - b.x);
  const gaps: { from: number; until: number }[] = [];
  let reached = -Infinity;
  for (const span of spans) {
    if (reached > -Infinity && span.x > reached) gaps.push({ from: reached, until: span.x });
    reached = Math.max(reached, span.x + span.width);
  }
  return gaps;
}

const strip = (box: Box, left: number, right: number): Region => {
  const top = box.y - 1,
    bottom = box.y + box.height + 1;
  return makeRegion([
    [
      { x: left, y: top },
      { x: right, y: top },
      { x: right, y: bottom },
      { x: left, y: bottom },
    ],
  ]);
};
