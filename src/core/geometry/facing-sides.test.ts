// What a corner faces, wherever it lies between the directions that are looked in.

import { describe, expect, it } from 'vitest';
import { fillRegion, findThinGaps, findThinStrokes, splitPieces, type Point } from './index';

const PETALS = 5,
  POINTS_A_PETAL = 24;
/** A flower whose petals meet in corners that jut in, `cusp` from its middle. */
function flower(x: number, y: number, cusp: number, turn: number): readonly Point[] {
  return Array.from({ length: PETALS * POINTS_A_PETAL }, (_, at) => {
    const way = (at / POINTS_A_PETAL) * Math.PI;
    const radius = cusp + (2 - cusp) * Math.abs(Math.sin(way));
    const angle = turn + (way * 2) / PETALS;
    return { x: x + radius * Math.cos(angle), y: y + radius * Math.sin(angle) };
  });
}
/** Between two corners beside each other: into a petal. */
const mouth = (cusp: number) => 2 * cusp * Math.sin(Math.PI / PETALS);
const sheet = (columns: number, rows: number): readonly Point[] => [
  { x: 0, y: 0 },
  { x: columns * 6, y: 0 },
  { x: columns * 6, y: rows * 6 },
  { x: 0, y: rows * 6 },
];
/** Holes in rows, each turned otherwise; one of them has its corners `narrow` from its middle. */
function lace(columns: number, rows: number, narrow: number) {
  const holes = Array.from({ length: columns * rows }, (_, at) =>
    flower((at % columns) * 6 + 3, Math.floor(at / columns) * 6 + 3, at === 7 ? narrow : 0.9, at * 0.37),
  );
  return splitPieces(fillRegion([sheet(columns, rows), ...holes], 'evenodd'));
}

describe('the mouth between two corners', () => {
  it.each([
    ['in a few holes', 3, 3],
    ['in thousands, of which each is looked at in a few places', 60, 50],
  ])('%s', (_, columns, rows) => {
    const { widthMm, x, y } = findThinGaps(lace(columns, rows, 0.5)).thinnest!;
    expect(widthMm).toBeCloseTo(mouth(0.5), 3);
    const [holeX, holeY] = [(7 % columns) * 6 + 3, Math.floor(7 / columns) * 6 + 3];
    expect(Math.hypot(x - holeX, y - holeY)).toBeLessThan(0.5);
  });

  it('as material: between two notches', () => {
    const { widthMm } = findThinStrokes(splitPieces(fillRegion([flower(3, 3, 0.6, 0.2)], 'evenodd'))).thinnest!;
    expect(widthMm).toBeCloseTo(mouth(0.6), 3);
  });
});
