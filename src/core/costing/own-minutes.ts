// The shop's own minutes for an item, typed or learned from its log, in place of what is estimated.

import { median } from 'simple-statistics';
import { isAbsurd, type LearnedCutting } from '../estimating';
import { figure, type Figure } from '../units';

/** Your seconds for one piece at each station, all its layers together; what is left out is estimated. */
export type OwnMinutes = {
  readonly cut?: Figure;
  readonly weed?: Figure;
  readonly press?: Figure;
  /** How cutting goes: it belongs to the load as much as to the piece. Seconds of `cut` win over it. */
  readonly cutting?: LearnedCutting;
};

/** The estimates as they are, or the shop's own seconds shared by them. */
export function takeOwnMinutes(own: Figure | undefined, estimates: readonly Figure[]): readonly Figure[] {
  if (!own) return estimates;
  const whole = estimates.reduce((sum, estimate) => sum + estimate.value, 0);
  return estimates.map((estimate) => {
    const share = whole > 0 ? estimate.value / whole : 1 / estimates.length;
    if (estimates.length === 1)
      return { ...own, parts: [...(own.parts ?? []), { ...estimate, label: `${estimate.label}, as estimated` }] };
    return figure(estimate.label, own.value * share, 's', own.source, {
      how: 'yours for the piece × its share of the estimate',
      ...(own.low === undefined ? {} : { low: own.low * share }),
      ...(own.high === undefined ? {} : { high: own.high * share }),
      parts: [
        own,
        figure('Its share', share, 'share', 'computed'),
        { ...estimate, label: `${estimate.label}, as estimated` },
      ],
    });
  });
}

/** Pieces that have to be logged before the log is believed over the estimate. */
const LEAST_LOGGED = 3;
export type LoggedPieces = {
  /** Your seconds for each piece that was logged whole. */
  readonly seconds: readonly number[];
};

/**
 * What one takes by the log: the mean of the pieces, with the middle nine tenths as its band. A piece under a clock that
 * was forgotten, or started late, is left out: it says nothing of the work. Null where too few are logged.
 */
export function learnMinutes(label: string, { seconds }: LoggedPieces): Figure | null {
  const usual = seconds.length > 0 ? median([...seconds]) : 0;
  const sorted = seconds.filter((each) => !isAbsurd(each, usual)).sort((a, b) => a - b);
  if (sorted.length < LEAST_LOGGED) return null;
  const leftOut = seconds.length - sorted.length;
  const mean = sorted.reduce((sum, each) => sum + each, 0) / sorted.length;
  const at = (share: number) => sorted[Math.round(share * (sorted.length - 1))]!;
  return figure(label, mean, 's', 'learned', {
    how: 'mean of the logged pieces',
    low: at(0.05),
    high: at(0.95),
    parts: [
      figure('Pieces logged', sorted.length, 'count', 'measured'),
      figure('Quickest', sorted[0]!, 's', 'measured'),
      figure('Slowest', sorted.at(-1)!, 's', 'measured'),
      ...(leftOut > 0 ? [figure('Left out, the clock was forgotten or late', leftOut, 'count', 'measured')] : []),
    ],
  });
}
