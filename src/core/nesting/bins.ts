// The stock as boxes to fill, one after another: what can be reached of each, and what in it is taken.

import { boundRegion, computeRingArea, makeRegion, offsetRegion, splitPieces, subtractRegions } from '../geometry';
import type { NestStock, StockMargins } from './nesting';
import { Shape } from './shape';

export type Bin = {
  readonly stockId: string;
  readonly kind: NestStock['kind'];
  /** The box that grown pieces stay in, and where it begins on the stock. */
  readonly width: number;
  readonly length: number;
  readonly x: number;
  readonly y: number;
  /** Never moved: outside an odd outline, spoiled spots; each with its place in the box. */
  readonly obstacles: readonly { readonly shape: Shape; readonly x: number; readonly y: number }[];
  /** Of the whole stock: its width and area, and what is lost at the far end. */
  readonly wholeWidth: number;
  readonly wholeMm2: number;
  readonly endMm: number;
};

/** The stock as `sheet` counts through it: each sheet of a lot by itself. */
export const listSheets = (stock: readonly NestStock[]): readonly NestStock[] =>
  stock.flatMap((entry): readonly NestStock[] =>
    entry.kind === 'sheet' ? Array<NestStock>(entry.count).fill({ ...entry, count: 1 }) : [entry],
  );

/** Pieces are grown by half the gap, and may reach by that much over what the machine reaches. */
export function listBins(stock: readonly NestStock[], margins: StockMargins, gapMm: number): readonly Bin[] {
  return stock.flatMap((entry): readonly Bin[] => {
    const half = gapMm / 2,
      own = entry.margins ?? margins,
      { sideMm, endMm } = own;
    if (entry.kind === 'offcut') return [offcutBin(entry, own, half)].flatMap((bin) => bin ?? []);
    const bin: Bin = {
      stockId: entry.id,
      kind: entry.kind,
      width: entry.widthMm - 2 * sideMm + gapMm,
      length: entry.lengthMm - 2 * endMm + gapMm,
      x: sideMm - half,
      y: endMm - half,
      obstacles: [],
      wholeWidth: entry.widthMm,
      wholeMm2: entry.widthMm * entry.lengthMm,
      endMm,
    };
    if (bin.width <= gapMm || bin.length <= gapMm) return [];
    return entry.kind === 'sheet' ? Array.from({ length: entry.count }, () => bin) : [bin];
  });
}

function offcutBin(entry: Extract<NestStock, { kind: 'offcut' }>, { sideMm }: StockMargins, half: number): Bin | null {
  const whole = makeRegion([entry.shape]);
  const reached = offsetRegion(offsetRegion(whole, -sideMm, 'miter'), half, 'miter');
  const box = boundRegion(reached),
    outer = boundRegion(whole);
  if (!box || !outer) return null;
  const frame = makeRegion([
    [
      { x: box.x, y: box.y },
      { x: box.x + box.width, y: box.y },
      { x: box.x + box.width, y: box.y + box.height },
      { x: box.x, y: box.y + box.height },
    ],
  ]);
  const taken = [...splitPieces(subtractRegions(frame, reached)), ...splitPieces(makeRegion(entry.spoiledSpots))];
  const obstacles = taken.map((piece) => {
    const shape = new Shape(makeRegion([piece.outer, ...piece.cavities]), [0]);
    return { shape, x: shape.middleX - box.x, y: shape.middleY - box.y };
  });
  return {
    stockId: entry.id,
    kind: 'offcut',
    width: box.width,
    length: box.height,
    x: box.x,
    y: box.y,
    obstacles,
    wholeWidth: outer.width,
    wholeMm2: computeRingArea(entry.shape),
    endMm: sideMm,
  };
}
