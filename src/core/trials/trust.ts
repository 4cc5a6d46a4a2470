// How far a vinyl can be trusted: tries and failures as a Beta posterior, lots pooled in part, and a verdict by use.

import jstat from 'jstat';
import { figure, type Figure } from '../units';

/** Parts cut, and how many of them the film failed. */
export type Tried = { readonly tries: number; readonly failures: number };
export type LotTried = Tried & { readonly lotId: number };

/** Before anything was tried: one failure in twelve, held as firmly as twelve tries would hold it. */
export const TRUST_PRIOR = { failures: 1, successes: 11 } as const;
/** Nine times in ten it lies between. */
const LOW = 0.05;
const HIGH = 0.95;

export type FailureRange = { readonly low: number; readonly mean: number; readonly high: number };

/** What is believed of one count, from nothing but the prior and the count. */
export function believeRate({ tries, failures }: Tried): FailureRange {
  const alpha = TRUST_PRIOR.failures + failures;
  const beta = TRUST_PRIOR.successes + tries - failures;
  return {
    low: jstat.beta.inv(LOW, alpha, beta),
    mean: alpha / (alpha + beta),
    high: jstat.beta.inv(HIGH, alpha, beta),
  };
}

export type Pooled = {
  /** Of each lot that was tried, in the order given. */
  readonly lots: readonly (LotTried & { readonly range: FailureRange })[];
  /** Of a lot that nobody tried yet. */
  readonly next: FailureRange;
  /** How far lots lie apart: a standard deviation of their failure rates. */
  readonly spread: number;
};

/** How firmly lots hold to the vinyl's own rate, in tries: from each for itself to all alike. */
const FIRMNESS = [1, 4, 16, 64] as const;
const RATE_STEPS = 36;
/** Rates that are looked at: in the middle of each step, closer to nothing than to one. */
const RATES = Array.from({ length: RATE_STEPS }, (_, step) => ((step + 0.5) / RATE_STEPS) ** 2);

/**
 * Lots of one vinyl, each by itself and by what the others say: where lots differ a lot says much of itself and little
 * of the next, where they agree they stand for one another. A Beta-binomial model; its rate and its firmness are
 * weighed on a grid.
 */
export function poolLots(lots: readonly LotTried[]): Pooled {
  const cells = weighCells(lots);
  const mean = (pick: (cell: Cell) => number) => cells.reduce((sum, cell) => sum + cell.weight * pick(cell), 0);
  const rangeOf = ({ tries, failures }: Tried): FailureRange => {
    const betas = cells.map(({ rate, firmness, weight }) => ({
      weight,
      alpha: rate * firmness + failures,
      beta: (1 - rate) * firmness + tries - failures,
    }));
    return {
      low: findQuantile(betas, LOW),
      mean: betas.reduce((sum, { weight, alpha, beta }) => sum + (weight * alpha) / (alpha + beta), 0),
      high: findQuantile(betas, HIGH),
    };
  };
  return {
    lots: lots.map((lot) => ({ ...lot, range: rangeOf(lot) })),
    next: rangeOf({ tries: 0, failures: 0 }),
    spread: Math.sqrt(mean(({ rate, firmness }) => (rate * (1 - rate)) / (firmness + 1))),
  };
}

type Cell = { readonly rate: number; readonly firmness: number; readonly weight: number };

function weighCells(lots: readonly Tried[]): readonly Cell[] {
  const logs = RATES.flatMap((rate, step) =>
    FIRMNESS.map((firmness) => {
      const [alpha, beta] = [rate * firmness, (1 - rate) * firmness];
      const likelihood = lots.reduce(
        (sum, { tries, failures }) =>
          sum + jstat.betaln(alpha + failures, beta + tries - failures) - jstat.betaln(alpha, beta),
        0,
      );
      // A step of the rate is as wide as its root says.
      const prior = (TRUST_PRIOR.failures - 1) * Math.log(rate) + (TRUST_PRIOR.successes - 1) * Math.log(1 - rate);
      return { rate, firmness, log: likelihood + prior + Math.log((step + 0.5) / RATE_STEPS) };
    }),
  );
  const most = Math.max(...logs.map(({ log }) => log));
  const weights = logs.map(({ log }) => Math.exp(log - most));
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  return logs
    .map(({ rate, firmness }, at) => ({ rate, firmness, weight: weights[at]! / all }))
    .filter(({ weight }) => weight > NEGLIGIBLE);
}
const NEGLIGIBLE = 1e-5;

type WeighedBeta = { readonly weight: number; readonly alpha: number; readonly beta: number };
const HALVINGS = 13;

/** Of a mixture of Beta distributions: below which that share of it lies. */
function findQuantile(betas: readonly WeighedBeta[], share: number): number {
  let [low, high] = [0, 1];
  for (let step = 0; step < HALVINGS; step++) {
    const middle = (low + high) / 2;
    const below = betas.reduce((sum, { weight, alpha, beta }) => sum + weight * jstat.beta.cdf(middle, alpha, beta), 0);
    if (below < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

export type TrustVerdict = 'sell' | 'own use' | 'short-lived' | 'no' | 'not enough known';

/** Rules of the verdict: failure rates that nine in ten likely outcomes stay below, tries, and looks that went bad. */
const TRUST_RULES = { sellBelow: 0.15, ownBelow: 0.35, leastTries: 8, badLooks: 0.2, leastLooks: 3 } as const;

type Judged = {
  /** Of the class of design, whatever the lot. */
  readonly all: Tried;
  /** What is believed of the lot in question, or of a next one. */
  readonly range: FailureRange;
  /** Of the lot in question; nothing for a lot nobody tried. */
  readonly lotTries: number;
  /** Pieces looked at after they were worn or washed, and how many of those failed. */
  readonly looks: { readonly pieces: number; readonly failed: number };
};

/**
 * By rule: never "sell" from the prior alone, nor for a lot that nobody tried. A vinyl that cuts well and does not last
 * is short-lived.
 */
export function judgeTrust({ all, range, lotTries, looks }: Judged): TrustVerdict {
  const { sellBelow, ownBelow, leastTries, badLooks, leastLooks } = TRUST_RULES;
  if (all.tries === 0) return 'not enough known';
  if (range.low > ownBelow) return 'no';
  if (looks.pieces >= leastLooks && looks.failed / looks.pieces > badLooks) return 'short-lived';
  if (range.high <= sellBelow && all.tries >= leastTries && lotTries > 0) return 'sell';
  if (range.high <= ownBelow) return 'own use';
  return 'not enough known';
}

/** The rate as a figure, with its interval and what it rests on. */
export function tellRate({ tries, failures }: Tried, { low, mean, high }: FailureRange): Figure {
  return figure('Fails', mean, 'share', tries > 0 ? 'learned' : 'default', {
    how: 'tries and failures of this and of other lots, and the share at first; nine in ten likely outcomes lie between',
    low,
    high,
    parts: [
      figure('Cut', tries, 'count', 'measured'),
      figure('Failed by its film', failures, 'count', 'measured'),
      figure(
        'Share at first',
        TRUST_PRIOR.failures / (TRUST_PRIOR.failures + TRUST_PRIOR.successes),
        'share',
        'default',
      ),
      figure('Weight of that, in tries', TRUST_PRIOR.failures + TRUST_PRIOR.successes, 'count', 'default'),
    ],
  });
}
