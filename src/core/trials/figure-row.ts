// What a ladder costs: its figures lie side by side across the roll, and a new row is begun when one is full.

import { figure, MS_PER_S, type Figure } from '../units';

/** Between neighbouring figures, mm. */
const FIGURE_GAP_MM = 5;
/** A pause longer than this was spent on something else, seconds. */
const LONGEST_STEP_S = 600;

/** How many figures of this side a row holds. mm; `reachMm`: what the cutter reaches of the width. At least 1. */
export const countInRow = (reachMm: number, sideMm: number): number =>
  Math.max(1, Math.floor((reachMm + FIGURE_GAP_MM) / (sideMm + FIGURE_GAP_MM)));

/** Where the figure lies that comes after so many: its corner across the width, and whether a new row begins with it. */
export function placeNext(placed: number, reachMm: number, sideMm: number): { x: number; beginsRow: boolean } {
  const inRow = placed % countInRow(reachMm, sideMm);
  return { x: inRow * (sideMm + FIGURE_GAP_MM), beginsRow: inRow === 0 };
}

/** Of a roll a row takes so much, mm. */
export const getRowLength = (sideMm: number): number => sideMm + FIGURE_GAP_MM;

type Spent = {
  /** Of the roll, mm; 0 where the figures lie in the corners of a single piece. */
  readonly rollMm: number;
  /** Of one mm, minor units. */
  readonly unitCost: number;
  readonly figures: number;
};

/** What the test cuts took of a roll. */
export function costFigures({ rollMm, unitCost, figures }: Spent): Figure {
  return figure('Vinyl for test cuts', rollMm * unitCost, 'money', 'computed', {
    how: 'rows of figures, cut off the roll × what the lot cost',
    parts: [
      figure('Cut off the roll', rollMm, 'mm', 'measured'),
      figure('A millimetre of the lot', unitCost, 'money', 'shop'),
      figure('Figures cut', figures, 'count', 'measured'),
    ],
  });
}

/** Minutes at it, in seconds: from one answer to the next; longer pauses count as the longest step does. */
export function countLadderSeconds(startedAtMs: number, answersAtMs: readonly number[]): Figure {
  let last = startedAtMs;
  let seconds = 0;
  for (const atMs of answersAtMs) {
    seconds += Math.min(LONGEST_STEP_S, Math.max(0, (atMs - last) / MS_PER_S));
    last = atMs;
  }
  return figure('Time at the ladder', seconds, 's', 'measured', {
    how: 'from answer to answer; a pause counts as ten minutes at most',
    parts: [figure('Answers', answersAtMs.length, 'count', 'measured')],
  });
}
