// The figure of a test cut: a square with a triangle and a small circle within. It has sharp and round corners, and two
// things to weed out.

import type { CutPath } from '../artwork';
import type { Point } from '../geometry';
import { TEST_FIGURE_MM } from './place-test';

const CIRCLE_POINTS = 48;
const TAU = 2 * Math.PI;

/** Closed lines, what lies within first; `at` is the corner it is cut at. */
export function makeTestFigure(at: Point): readonly CutPath[] {
  const side = TEST_FIGURE_MM;
  const place = (x: number, y: number): Point => ({ x: at.x + x * side, y: at.y + y * side });
  const circle = Array.from({ length: CIRCLE_POINTS }, (_, step) => {
    const angle = (step / CIRCLE_POINTS) * TAU;
    return place(0.72 + 0.14 * Math.cos(angle), 0.72 + 0.14 * Math.sin(angle));
  });
  const triangle = [place(0.12, 0.12), place(0.6, 0.12), place(0.12, 0.6)];
  const square = [place(0, 0), place(1, 0), place(1, 1), place(0, 1)];
  return [
    { points: triangle, inner: true },
    { points: circle, inner: true },
    { points: square, inner: false },
  ];
}
