// How fine a vinyl holds: estimated from what was cut of it at which width, and what of that its film failed.

import { figure, type Figure } from '../units';
import type { Tried } from './trust';

/** Parts whose thinnest stroke or gap is so wide, mm. */
export type TriedWidth = Tried & { readonly widthMm: number };

/** Widths between which it lies nine times in ten, and the most likely, mm. */
export type FloorRange = { readonly lowMm: number; readonly mm: number; readonly highMm: number };

/** At its floor so many parts fail because they are fine: one in ten. */
export const FAILS_AT_FLOOR = 0.1;

/** Before anything was tried: nine times in ten between half and twice what its kind ordinarily holds. Log-normal. */
export const FLOOR_PRIOR_FACTOR = 2;
const NINETY = 1.645;
const PRIOR_SPREAD = Math.log(FLOOR_PRIOR_FACTOR) / NINETY;

/** What is looked at: floors by their logarithm about the ordinary one, so many spreads to either side. */
const SPREADS = 5;
const FLOOR_STEPS = 101;
/** How suddenly it fails below its floor: by how much the log odds rise as the width falls by the factor e. */
const STEEPNESS = [3, 6, 12, 24] as const;
/** Parts that the film fails however bold they are: a bad spot, a corner that lifts. */
const FAILS_ANYHOW = [0.002, 0.01, 0.03, 0.08, 0.16] as const;

const MOST_SHARE = 0.995;

const LOG_ODDS_AT_FLOOR = Math.log(FAILS_AT_FLOOR / (1 - FAILS_AT_FLOOR));

type Curve = { readonly floorMm: number; readonly steepness: number; readonly anyhow: number };

/** The share that fails at a width, mm: the finer, the more. A logistic in the logarithm of the width. */
export function failAtWidth({ floorMm, steepness, anyhow }: Curve, widthMm: number): number {
  const logOdds = LOG_ODDS_AT_FLOOR - steepness * Math.log(widthMm / floorMm);
  return anyhow + (1 - anyhow) / (1 + Math.exp(-logOdds));
}

/**
 * Where the vinyl's floor lies, mm: the width of a stroke or gap at which one part in ten fails for being so fine. A
 * logistic curve that only falls with the width, weighed on a grid with the prior about `ordinaryMm`. With nothing
 * tried it is the prior.
 */
export function estimateFloor(tried: readonly TriedWidth[], ordinaryMm: number): FloorRange {
  const counted = tried.filter(({ tries }) => tries > 0);
  const logs = GRID.map(({ offset, steepness, anyhow, logPrior }) => {
    const curve = { floorMm: ordinaryMm * Math.exp(offset), steepness, anyhow };
    return counted.reduce((sum, { widthMm, tries, failures }) => {
      // Never certain: what is certain leaves no room for one part that did otherwise.
      const share = Math.min(MOST_SHARE, failAtWidth(curve, widthMm));
      const failed = Math.min(tries, Math.max(0, failures));
      return sum + failed * Math.log(share) + (tries - failed) * Math.log1p(-share);
    }, logPrior);
  });
  const weights = weighByFloor(logs);
  return {
    lowMm: ordinaryMm * Math.exp(findOffset(weights, 0.05)),
    mm: ordinaryMm * Math.exp(findOffset(weights, 0.5)),
    highMm: ordinaryMm * Math.exp(findOffset(weights, 0.95)),
  };
}

const OFFSETS = Array.from(
  { length: FLOOR_STEPS },
  (_, step) => ((2 * step) / (FLOOR_STEPS - 1) - 1) * SPREADS * PRIOR_SPREAD,
);
/** Floor by floor, so that what belongs to one floor lies together. */
const GRID = OFFSETS.flatMap((offset) =>
  STEEPNESS.flatMap((steepness) =>
    FAILS_ANYHOW.map((anyhow) => ({ offset, steepness, anyhow, logPrior: -((offset / PRIOR_SPREAD) ** 2) / 2 })),
  ),
);
const CURVES_PER_FLOOR = STEEPNESS.length * FAILS_ANYHOW.length;

/** How likely each floor is, whatever the rest of the curve; together one. */
function weighByFloor(logs: readonly number[]): readonly number[] {
  const most = logs.reduce((one, other) => Math.max(one, other));
  const weights = OFFSETS.map((_, floor) => {
    const from = floor * CURVES_PER_FLOOR;
    return logs.slice(from, from + CURVES_PER_FLOOR).reduce((sum, log) => sum + Math.exp(log - most), 0);
  });
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / all);
}

/** Below which that share of the weights lies; within a step in proportion. */
function findOffset(weights: readonly number[], share: number): number {
  const step = OFFSETS[1]! - OFFSETS[0]!;
  let below = 0;
  for (const [at, weight] of weights.entries()) {
    if (below + weight >= share) return OFFSETS[at]! + ((share - below) / weight - 0.5) * step;
    below += weight;
  }
  return OFFSETS.at(-1)!;
}

/** It can be calculated with once its likely range is so narrow: its ends lie apart by less than this factor. */
const KNOWN_WITHIN = 1.75;

export const isFloorKnown = ({ lowMm, highMm }: FloorRange): boolean => highMm / lowMm < KNOWN_WITHIN;

/** What to calculate with, mm: never finer than anything that was cut, however well that held. */
export function proposeFloor({ mm }: FloorRange, tried: readonly TriedWidth[]): number {
  const widths = tried.filter(({ tries }) => tries > 0).map(({ widthMm }) => widthMm);
  return widths.length === 0 ? mm : Math.max(mm, Math.min(...widths));
}

/** The floor as a figure, with what it rests on. */
export function tellFloor(tried: readonly TriedWidth[], ordinaryMm: number): Figure {
  const { lowMm, mm, highMm } = estimateFloor(tried, ordinaryMm);
  const sum = (pick: (one: Tried) => number) => tried.reduce((all, one) => all + pick(one), 0);
  const tries = sum((one) => one.tries);
  return figure('Holds down to', mm, 'mm', tries > 0 ? 'learned' : 'default', {
    how: 'the width of strokes and gaps at which one part in ten fails for being so fine: a curve through what was cut at which width, that only falls as they get wider; at first what its kind ordinarily holds. Nine in ten likely floors lie between',
    low: lowMm,
    high: highMm,
    parts: [
      figure('Cut', tries, 'count', 'measured'),
      figure(
        'Failed by its film',
        sum((one) => one.failures),
        'count',
        'measured',
      ),
      figure('Its kind ordinarily', ordinaryMm, 'mm', 'default'),
    ],
  });
}
