// In which order the pieces of a sheet are cut: band by band along it, so that a roll is not drawn to and fro over its
// whole length.

import { boundPoints, type Polyline } from '../geometry';

/** Pieces that begin within this of one another are cut in one band, mm. */
const BAND_MM = 80;

/** Indices of outlines where they lie, in cutting order: from the start of the stock, to and fro across it. */
export function orderCutting(placed: readonly Polyline[]): readonly number[] {
  const boxes = placed
    .map((ring, index) => ({ index, box: boundPoints([ring]) ?? { x: 0, y: 0, width: 0, height: 0 } }))
    .sort((a, b) => a.box.y - b.box.y);
  const order: number[] = [];
  for (let from = 0, bands = 0; from < boxes.length; bands++) {
    const start = boxes[from]!.box.y,
      end = boxes.findIndex((entry, at) => at > from && entry.box.y > start + BAND_MM);
    const band = boxes
      .slice(from, end === -1 ? boxes.length : end)
      .sort((a, b) => (a.box.x - b.box.x) * (bands % 2 === 0 ? 1 : -1));
    order.push(...band.map((entry) => entry.index));
    from += band.length;
  }
  return order;
}
