// Figures of test cuts: small, with what goes wrong first. Corners that hang, round things to weed out, thin strokes.

import type { CutPath } from '../artwork';
import type { Point } from '../geometry';
import { TEST_FIGURE_MM } from './place-test';

/**
 * A square with a triangle and a small circle within; a star of twelve sharp points; bars from 0.5 mm to 4 mm; and the
 * fine design that confirms a setting: a net of small diamonds.
 */
export const TEST_FIGURES = ['square', 'star', 'bars', 'net'] as const;
export type TestFigure = (typeof TEST_FIGURES)[number];
/** Those, or a drawing of the shop's own. */
export const FIGURE_CHOICES = [...TEST_FIGURES, 'own'] as const;
export type FigureChoice = (typeof FIGURE_CHOICES)[number];
/** Side of a figure, mm. */
export const FIGURE_RANGE = { leastMm: 25, mostMm: 50 } as const;

/** Places within a square of side 1, y downwards. */
type Place = (x: number, y: number) => Point;
type Draw = (place: Place, sideMm: number) => readonly CutPath[];

/**
 * Closed lines, what lies within first; `at` is the corner it is cut at. `figure`: one of those, or lines of one's own
 * (`fitOwnFigure`).
 */
export function makeTestFigure(
  at: Point,
  figure: TestFigure | readonly CutPath[] = 'square',
  sideMm: number = TEST_FIGURE_MM,
): readonly CutPath[] {
  const place: Place = (x, y) => ({ x: at.x + x * sideMm, y: at.y + y * sideMm });
  const drawn = typeof figure === 'string' ? DRAWN[figure](place, sideMm) : drawOwn(figure, place);
  return [...drawn, { points: box(place, 0, 0, 1, 1), inner: false }];
}

const drawOwn = (lines: readonly CutPath[], place: Place): readonly CutPath[] =>
  lines.map((line) => ({ ...line, points: line.points.map(({ x, y }) => place(x, y)) }));

const CIRCLE_POINTS = 48;
const TAU = 2 * Math.PI;

const drawSquare: Draw = (place) => [
  { points: [place(0.12, 0.12), place(0.6, 0.12), place(0.12, 0.6)], inner: true },
  {
    points: Array.from({ length: CIRCLE_POINTS }, (_, step) => {
      const angle = (step / CIRCLE_POINTS) * TAU;
      return place(0.72 + 0.14 * Math.cos(angle), 0.72 + 0.14 * Math.sin(angle));
    }),
    inner: true,
  },
];

const STAR_POINTS = 12;
const drawStar: Draw = (place) => [
  {
    points: Array.from({ length: 2 * STAR_POINTS }, (_, step) => {
      const angle = (step / (2 * STAR_POINTS)) * TAU;
      const reach = step % 2 === 0 ? 0.44 : 0.2;
      return place(0.5 + reach * Math.cos(angle), 0.5 + reach * Math.sin(angle));
    }),
    inner: true,
  },
];

/** Widths of the bars, mm. */
const BARS_MM = [0.5, 0.8, 1.2, 1.6, 2.2, 3, 4] as const;
const drawBars: Draw = (place, sideMm) => {
  const all = BARS_MM.reduce((sum, width) => sum + width, 0);
  const gap = (sideMm - all) / (BARS_MM.length + 1);
  let x = 0;
  return BARS_MM.map((width) => {
    x += gap;
    const points = box(place, x / sideMm, 0.1, (x + width) / sideMm, 0.9);
    x += width;
    return { points, inner: true };
  });
};

/** Diamonds that stand so far apart that the threads between them are thin. */
const NET_STEP_MM = 4.2;
const NET_THREAD_MM = 0.9;
const drawNet: Draw = (place, sideMm) => {
  const count = Math.floor((sideMm - NET_STEP_MM) / NET_STEP_MM);
  const half = (NET_STEP_MM - NET_THREAD_MM * Math.SQRT2) / 2 / sideMm;
  const step = NET_STEP_MM / sideMm;
  const from = (1 - (count - 1) * step) / 2;
  return Array.from({ length: count * count }, (_, at) => {
    const x = from + (at % count) * step;
    const y = from + Math.floor(at / count) * step;
    return { points: [place(x - half, y), place(x, y - half), place(x + half, y), place(x, y + half)], inner: true };
  });
};

const box = (place: Place, left: number, top: number, right: number, bottom: number): readonly Point[] => [
  place(left, top),
  place(right, top),
  place(right, bottom),
  place(left, bottom),
];

const DRAWN: Readonly<Record<TestFigure, Draw>> = {
  square: drawSquare,
  star: drawStar,
  bars: drawBars,
  net: drawNet,
};
