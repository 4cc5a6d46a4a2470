// Where one ring comes nearest to itself, wherever it lies between the places and directions that are looked in.

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

  it('is no stroke, seen from behind the corners', () => {
    expect(findThinStrokes(lace(3, 3, 0.5)).thinnest!.widthMm).toBeCloseTo(1, 1);
  });

  it('as material: between two notches', () => {
    const { widthMm } = findThinStrokes(splitPieces(fillRegion([flower(3, 3, 0.6, 0.2)], 'evenodd'))).thinnest!;
    expect(widthMm).toBeCloseTo(mouth(0.6), 3);
  });
});

describe('the waist of a hole', () => {
  /** An oval of 120 points, from one on, that is 4 long and `waist` wide in its middle. */
  const peanut = (x: number, y: number, waist: number, turn: number, from = 0): readonly Point[] =>
    Array.from({ length: 120 }, (_, at) => {
      const angle = ((at + from) / 120) * 2 * Math.PI;
      const along = 2 * Math.cos(angle),
        aside = Math.sin(angle) * (waist / 2 + 0.5 * Math.cos(angle) ** 2);
      return {
        x: x + along * Math.cos(turn) - aside * Math.sin(turn),
        y: y + along * Math.sin(turn) + aside * Math.cos(turn),
      };
    });

  it('of one among thousands that are a little wider', () => {
    const holes = Array.from({ length: 3000 }, (_, at) =>
      peanut((at % 60) * 6 + 3, Math.floor(at / 60) * 6 + 3, at === 1234 ? 0.5 : 0.6, at * 0.7, at * 7),
    );
    const { widthMm, x, y } = findThinGaps(splitPieces(fillRegion([sheet(60, 50), ...holes], 'evenodd'))).thinnest!;
    expect(widthMm).toBeCloseTo(0.5, 3);
    expect(Math.hypot(x - ((1234 % 60) * 6 + 3), y - (Math.floor(1234 / 60) * 6 + 3))).toBeLessThan(0.1);
  });

  it('is no stroke of what lies around it, and a stroke of what it is cut out of', () => {
    const around = splitPieces(fillRegion([sheet(1, 1), peanut(3, 3, 0.5, 0)], 'evenodd'));
    expect(findThinStrokes(around).thinnest!.widthMm).toBeCloseTo(1, 2);
    const itself = splitPieces(fillRegion([peanut(3, 3, 0.5, 0)], 'evenodd'));
    expect(findThinStrokes(itself).thinnest!.widthMm).toBeCloseTo(0.5, 3);
    expect(findThinGaps(itself).thinnest).toBeNull();
  });
});

it('a corner that reaches to a wall leaves a mouth; seen from behind it none', () => {
  const hook: readonly Point[] = [
    { x: 0, y: 0 },
    { x: 20, y: 0 },
    { x: 20, y: 12 },
    { x: 16, y: 12 },
    { x: 16, y: 4 },
    { x: 4, y: 4 },
    { x: 4, y: 12 },
    { x: 14, y: 7 },
    { x: 15.6, y: 8.1 },
    { x: 3, y: 16 },
    { x: 0, y: 12 },
  ];
  const piece = splitPieces(fillRegion([hook], 'evenodd'));
  expect(findThinGaps(piece).thinnest!.widthMm).toBeCloseTo(0.4, 3);
  expect(findThinStrokes(piece).thinnest!.widthMm).toBeGreaterThan(1.5);
});

it('of thousands of triangles, which face themselves nowhere, the least is as narrow as the largest circle in it', () => {
  const columns = 90;
  /** A wedge of 30 degrees, aslant: its box is larger than those of the others, and yet it is narrower. */
  const wedge = [
    [0, 0],
    [2.4, 0.643],
    [2.4, -0.643],
  ].map(([x, y]) => ({ x: (x! - y!) * Math.SQRT1_2, y: (x! + y!) * Math.SQRT1_2 }));
  const even = (at: number) =>
    [0, 1, 2].map((corner) => ({
      x: (1.1 + (at % 7) / 10) * Math.cos(at + (corner * 2 * Math.PI) / 3),
      y: (1.1 + (at % 7) / 10) * Math.sin(at + (corner * 2 * Math.PI) / 3),
    }));
  const holes = Array.from({ length: columns * columns }, (_, at) =>
    (at === 4321 ? wedge : even(at)).map(({ x, y }) => ({
      x: (at % columns) * 6 + 3 + x,
      y: Math.floor(at / columns) * 6 + 3 + y,
    })),
  );
  const { thinnest } = findThinGaps(splitPieces(fillRegion([sheet(columns, columns), ...holes], 'evenodd')));
  // Twice its area by half its way round, across; found to a hundredth.
  expect(thinnest!.widthMm).toBeCloseTo(0.987, 1);
  expect(thinnest!.widthMm).toBeLessThanOrEqual(0.987);
  expect(thinnest!.x).toBeCloseTo((4321 % columns) * 6 + 4, 0);
});
