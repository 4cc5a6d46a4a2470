// How long a machine takes over lines in their order, and where its tool is after so many seconds.

import { computeLength, countSharpCorners, distance, type Point, type Polyline } from '../geometry';

export type RunFigures = {
  readonly speedMmPerS: number;
  /** Slowing at a sharp corner. */
  readonly cornerSeconds: number;
  /** To lift, travel and come down, for each line. */
  readonly liftSeconds: number;
  /** How often each line is followed. */
  readonly passes: number;
};
export type KnifeRun = {
  /** When each line is done, seconds from the beginning; rising. */
  readonly endsS: readonly number[];
  readonly seconds: number;
  /** Knife down, all passes. */
  readonly lengthMm: number;
};

const SHARP_DEGREES = 45;

/** Path ÷ speed + corners × slowing + lines × lift, times passes: the same sum that costs are estimated by. */
export function planKnifeRun(lines: readonly Polyline[], figures: RunFigures): KnifeRun {
  const { speedMmPerS, cornerSeconds, liftSeconds, passes } = figures;
  let seconds = 0;
  let lengthMm = 0;
  const endsS = lines.map((line) => {
    const length = computeLength(line, false);
    const corners = countSharpCorners(line, SHARP_DEGREES);
    lengthMm += length * passes;
    seconds += passes * (length / speedMmPerS + corners * cornerSeconds + liftSeconds);
    return seconds;
  });
  return { endsS, seconds, lengthMm };
}

export type KnifePlace = {
  /** Lines that are done. */
  readonly done: number;
  /** Of the one in work, from 0 to 1. */
  readonly share: number;
  readonly at: Point | null;
};

/** After so many seconds of the run; `at` is null once all is done. Cost log n, and the length of one line. */
export function locateKnife(lines: readonly Polyline[], { endsS }: KnifeRun, seconds: number): KnifePlace {
  const done = countDone(endsS, seconds);
  const line = lines[done];
  if (!line) return { done, share: 0, at: null };
  const from = endsS[done - 1] ?? 0;
  const share = Math.min(1, Math.max(0, (seconds - from) / (endsS[done]! - from || 1)));
  return { done, share, at: walk(line, share) };
}

/** Of rising instants, those that are not after it. */
function countDone(endsS: readonly number[], seconds: number): number {
  let low = 0;
  let high = endsS.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (endsS[middle]! <= seconds) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The point at a share of a line's length. */
function walk(line: Polyline, share: number): Point {
  let left = computeLength(line, false) * share;
  for (let index = 1; index < line.length; index++) {
    const from = line[index - 1]!;
    const to = line[index]!;
    const span = distance(from, to);
    if (span >= left && span > 0)
      return { x: from.x + ((to.x - from.x) * left) / span, y: from.y + ((to.y - from.y) * left) / span };
    left -= span;
  }
  return line.at(-1)!;
}
