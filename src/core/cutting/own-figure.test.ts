// A drawing as the figure of test cuts: within its square, in its own shape, cut before the square around it.

import { describe, expect, it } from 'vitest';
import type { CutPath } from '../artwork';
import { boundPoints, computeRingArea } from '../geometry';
import { fitOwnFigure, makeTestFigure } from './index';

const rect = (x: number, y: number, width: number, height: number): CutPath => ({
  inner: false,
  points: [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ],
});
/** Two to one, with a hole in its right half. */
const TICKET = [{ ...rect(170, 60, 20, 10), inner: true }, rect(100, 50, 100, 50)];

const fit = (paths: readonly CutPath[]) => {
  const fitted = fitOwnFigure(paths);
  return fitted.ok ? fitted.value : fitted.problem;
};

describe('a drawing of one’s own', () => {
  it('is as large as the square allows with 6 % of room, in the middle of the shorter side, in its own shape', () => {
    const lines = makeTestFigure({ x: 10, y: 20 }, fit(TICKET) as readonly CutPath[], 50);
    // 50 × 0.88 = 44 mm wide, half of it high: (50 − 22) ÷ 2 = 14 mm above it.
    const box = boundPoints(lines.slice(0, -1).map(({ points }) => points))!;
    expect(box.x).toBeCloseTo(13, 3);
    expect(box.y).toBeCloseTo(34, 3);
    expect(box.width).toBeCloseTo(44, 3);
    expect(box.height).toBeCloseTo(22, 3);
    // The hole: 70 of 100 mm from the left, 10 of 50 from above; 0.44 of its size.
    const hole = boundPoints([lines[0]!.points])!;
    expect(hole.x).toBeCloseTo(13 + 70 * 0.44, 3);
    expect(hole.y).toBeCloseTo(34 + 10 * 0.44, 3);
    expect(Math.abs(computeRingArea(lines[0]!.points))).toBeCloseTo(200 * 0.44 ** 2, 1);
  });

  it('is cut before the square around it, which is the figure’s side', () => {
    const lines = makeTestFigure({ x: 0, y: 0 }, fit(TICKET) as readonly CutPath[], 25);
    expect(lines.map(({ inner }) => inner)).toEqual([true, true, false]);
    expect(boundPoints([lines.at(-1)!.points])).toEqual({ x: 0, y: 0, width: 25, height: 25 });
  });

  it('may be taller than wide', () => {
    const box = boundPoints((fit([rect(0, 0, 10, 40)]) as readonly CutPath[]).map(({ points }) => points))!;
    expect([box.x, box.y, box.width, box.height].map((value) => Math.round(value * 1000))).toEqual([390, 60, 220, 880]);
  });

  it('is refused where nothing of it is cut, or where it is no quick figure', () => {
    expect(fit([])).toEqual({ kind: 'figure-empty' });
    expect(fit([{ inner: false, points: [{ x: 3, y: 3 }] }])).toEqual({ kind: 'figure-empty' });
    const around = (count: number): CutPath => ({
      inner: false,
      points: Array.from({ length: count }, (_, at) => ({ x: Math.cos(at), y: Math.sin(at) })),
    });
    expect(fit([around(4000), around(2001)])).toEqual({ kind: 'figure-too-fine', points: 6001, most: 6000 });
    expect(fitOwnFigure([around(4000), around(2000)]).ok).toBe(true);
  });
});
