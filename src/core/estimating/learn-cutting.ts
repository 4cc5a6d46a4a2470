// Your seconds at the cutter, learned from the log: what a load takes apart from what its pieces take, so that what was
// learned at one number of pieces is true at another.

import { figure, type Figure } from '../units';
import { isAbsurd } from './guesses';

/** One stretch at the cutter that was logged, for one item. Seconds; estimates are those of the trade, not learned. */
export type LoggedCutting = {
  /** That fell on the item, its set-up left out. */
  readonly seconds: number;
  /** Whole pieces or not. */
  readonly pieces: number;
  /** What loading was estimated at: so much for each of its layers. */
  readonly loading: number;
  /** What watching was estimated at: it grows with the pieces until the machine is trusted. */
  readonly watching: number;
};

export type LearnedCutting = {
  /** Loading against its estimate: 1.2 is a fifth more. */
  readonly loading: Figure;
  /** Watching against its estimate. */
  readonly watching: Figure;
  /** Between which the logged stretches lay, against what is learned from them. */
  readonly low: number;
  readonly high: number;
};

/** Pieces that have to be logged before the log is believed over the estimate. */
const LEAST_PIECES = 3;
/** How far one stretch strays from what it ordinarily takes, and how far loading strays from watching in a shop. */
const STRAY = 0.15;
const APART = 0.4;
/** One stretch says nothing of how far others lie off. */
const ONE_BAND = { low: 0.85, high: 1.2 } as const;

/**
 * Ridge regression of the logged seconds on the two estimates: both lean on what all stretches say together, and part
 * from it as far as several numbers of pieces show. A clock that was forgotten, or started late, is left out. Null where
 * too few are logged.
 */
export function learnCutting(all: readonly LoggedCutting[]): LearnedCutting | null {
  const logged = all.filter(({ seconds, loading, watching }) => !isAbsurd(seconds, loading + watching));
  const pieces = sum(logged, (one) => one.pieces);
  const estimated = sum(logged, (one) => one.loading + one.watching);
  if (pieces < LEAST_PIECES || estimated <= 0) return null;
  const together = sum(logged, (one) => one.seconds) / estimated;
  const { loading, watching } = part(logged, together);
  const parts = [
    figure('Pieces logged', pieces, 'count', 'measured'),
    figure('Stretches at the cutter', logged.length, 'count', 'measured'),
    figure('All of them, against the estimate', together, 'share', 'measured'),
    ...(logged.length < all.length
      ? [figure('Left out, the clock was forgotten or late', all.length - logged.length, 'count', 'measured')]
      : []),
  ];
  const how = 'logged ÷ estimated, by how it grows with the number of pieces';
  return {
    loading: figure('Loading, against the estimate', loading, 'share', 'learned', { how, parts }),
    watching: figure('Watching, against the estimate', watching, 'share', 'learned', { how, parts }),
    ...findBand(logged, loading, watching),
  };
}

function part(logged: readonly LoggedCutting[], together: number): { loading: number; watching: number } {
  const lean = 1 / (APART * APART);
  // Normal equations for what each strays from `together`.
  let [loadLoad, loadWatch, watchWatch] = [lean, 0, lean];
  let [loadOff, watchOff] = [0, 0];
  for (const { seconds, loading, watching } of logged) {
    const estimate = loading + watching;
    if (estimate <= 0) continue;
    const noise = STRAY * together * estimate;
    const [x, y, off] = [loading / noise, watching / noise, (seconds - together * estimate) / noise];
    loadLoad += x * x;
    loadWatch += x * y;
    watchWatch += y * y;
    loadOff += x * off;
    watchOff += y * off;
  }
  const determinant = loadLoad * watchWatch - loadWatch * loadWatch;
  return {
    loading: Math.max(0, together + (watchWatch * loadOff - loadWatch * watchOff) / determinant),
    watching: Math.max(0, together + (loadLoad * watchOff - loadWatch * loadOff) / determinant),
  };
}

function findBand(logged: readonly LoggedCutting[], loading: number, watching: number) {
  const ratios = logged
    .map((one) => one.seconds / (loading * one.loading + watching * one.watching))
    .filter(Number.isFinite)
    .sort((a, b) => a - b);
  if (ratios.length < 2) return ONE_BAND;
  const at = (share: number) => ratios[Math.round(share * (ratios.length - 1))]!;
  return { low: Math.min(1, at(0.05)), high: Math.max(1, at(0.95)) };
}

const sum = (logged: readonly LoggedCutting[], pick: (one: LoggedCutting) => number): number =>
  logged.reduce((all, one) => all + pick(one), 0);
