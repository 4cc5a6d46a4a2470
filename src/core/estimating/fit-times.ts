// What the clock says of the minutes a shop calculates with: coefficients fitted to logged work, near what they were,
// never negative, not thrown by a clock that was forgotten; with a factor for each vinyl, and bands that hold.

import { fcnnlsVector } from 'ml-fcnnls';
import { CholeskyDecomposition, Matrix, solve } from 'ml-matrix';
import { median, quantileSorted } from 'simple-statistics';
import { findGuessProblem } from './guesses';

/** A stretch of work that was logged whole. */
export type TimeLog = {
  /** How much of each coefficient went into it: metres, cavities, loads. As many as there are coefficients. */
  readonly amounts: readonly number[];
  /** What it is of, where that makes it slower or quicker: a vinyl. Null where it is of several. */
  readonly group: number | null;
  /** Who did it; null or left out where that is not known. */
  readonly person?: number | null;
  /** As the clock said. */
  readonly seconds: number;
  readonly atMs: number;
};

export type Fit = {
  /** Seconds for one of each, 0 and up. */
  readonly coefficients: readonly number[];
  /** By group: how much slower (above 1) or quicker it goes, and between which nine in ten likely values lie. */
  readonly factors: ReadonlyMap<number, GroupFactor>;
  /** By person, the same: against the others of the shop, whatever each of them works on. */
  readonly people: ReadonlyMap<number, GroupFactor>;
  /** How far logs stray, in the widths that `getStray` gives: 0.05 and 0.95 quantiles of logs that were held out. */
  readonly band: Range;
  /** The same as shares of what is calculated, over short and long logs as they come. */
  readonly shares: Range;
};
type Range = { readonly low: number; readonly high: number };
type GroupFactor = {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly logs: number;
};

/** Fewer logs than this teach nothing. */
export const LEAST_LOGS = 20;
/** Of a group that was worked on less often nothing is said. */
const LEAST_OF_GROUP = 5;

/** Before anything was logged: coefficients lie within half of what they were, factors within three tenths of 1. */
const PRIOR = { coefficient: 0.5, factor: 0.3 } as const;
/** One job strays from another like it by a fifth, and by the seconds at its start and end: short ones the more. */
const STRAY = { share: 0.2, seconds: 8 } as const;
/** Beyond so many usual strays a log counts for nothing (Tukey's biweight). */
const BIWEIGHT = 4.685;
/** Median deviations in one standard deviation of a normal distribution. */
const PER_DEVIATION = 1.4826;
const LEAST_SPREAD = 0.3;
const ROUNDS = 15;
const FOLDS = 5;

/** How far a job of so many seconds ordinarily strays, seconds. */
export const getStray = (seconds: number): number => Math.hypot(STRAY.share * seconds, STRAY.seconds);

const plainSeconds = ({ amounts }: Pick<TimeLog, 'amounts'>, coefficients: readonly number[]): number =>
  amounts.reduce((sum, amount, at) => sum + amount * coefficients[at]!, 0);

type Paces = Pick<Fit, 'factors' | 'people'>;
type Of = Pick<TimeLog, 'group' | 'person'>;
const factorOf = (id: number | null | undefined, factors: Paces['factors']): number =>
  factors.get(id ?? Number.NaN)?.value ?? 1;
const paceOf = ({ group, person }: Of, { factors, people }: Paces): number =>
  factorOf(group, factors) * factorOf(person, people);

/** What a fit says that work takes, seconds. */
export const predictSeconds = (
  log: Pick<TimeLog, 'amounts'> & Of,
  { coefficients, ...paces }: Pick<Fit, 'coefficients' | 'factors' | 'people'>,
): number => plainSeconds(log, coefficients) * paceOf(log, paces);

/** Nine in ten logs of work that is calculated at so many seconds lie between, seconds. */
export function bandAround(seconds: number, band: Fit['band']): { readonly low: number; readonly high: number } {
  const stray = getStray(seconds);
  return { low: Math.max(0, seconds + band.low * stray), high: seconds + band.high * stray };
}

/** Those that count: a clock that was forgotten, or started late, is no minute of work. */
export const listSoundLogs = (logs: readonly TimeLog[], start: readonly number[]): readonly TimeLog[] =>
  logs.filter((log) => findGuessProblem({ estimated: plainSeconds(log, start), real: log.seconds }) === null);

/**
 * `start`: what was calculated with before, above 0 each; what a log says little of stays near it. Null where too few
 * logs are sound.
 */
export function fitTimes(logs: readonly TimeLog[], start: readonly number[]): Fit | null {
  const sound = listSoundLogs(logs, start);
  if (sound.length < LEAST_LOGS) return null;
  const fitted = fitOnce(sound, start);
  return { ...fitted, ...findBands(sound, start, fitted) };
}

type Fitted = Pick<Fit, 'coefficients' | 'factors' | 'people'>;

/**
 * Iteratively reweighted: coefficients with the factors held, factors with the coefficients held, those of vinyls with
 * those of people and the other way round, then the weights.
 * `near`: where it is likely to end, to be there sooner.
 */
function fitOnce(logs: readonly TimeLog[], start: readonly number[], near: Fitted = untaught(start)): Fitted {
  let now = near;
  let weights: readonly number[] = near.factors.size + near.people.size > 0 ? weigh(logs, near) : logs.map(() => 1);
  for (let round = 0; round < ROUNDS; round++) {
    const coefficients = fitCoefficients(logs, { ...now, start, weights });
    const isStill = coefficients.every((value, at) => Math.abs(value - now.coefficients[at]!) <= STILL * start[at]!);
    const factors = fitFactors(logs, weights, ({ group }) => group, withoutGroup(coefficients, now.people));
    const people = fitFactors(logs, weights, ({ person }) => person ?? null, withoutPerson(coefficients, factors));
    now = { coefficients, factors, people };
    weights = weigh(logs, now);
    if (isStill) break;
  }
  return now;
}
const untaught = (start: readonly number[]): Fitted => ({ coefficients: start, factors: new Map(), people: new Map() });
type SecondsOf = (log: TimeLog) => number;
const withoutGroup =
  (coefficients: readonly number[], people: Paces['people']): SecondsOf =>
  (log) =>
    plainSeconds(log, coefficients) * factorOf(log.person, people);
const withoutPerson =
  (coefficients: readonly number[], factors: Paces['factors']): SecondsOf =>
  (log) =>
    plainSeconds(log, coefficients) * factorOf(log.group, factors);
/** A coefficient that moves by less than this share of what it was is found. */
const STILL = 0.0005;

type Round = Fitted & { readonly start: readonly number[]; readonly weights: readonly number[] };

/** Weighted ridge regression, no coefficient below 0. In shares of `start`, so that large and small ones lean alike. */
function fitCoefficients(logs: readonly TimeLog[], { start, coefficients, factors, people, weights }: Round): number[] {
  const size = start.length;
  const lean = 1 / PRIOR.coefficient ** 2;
  const normal = start.map((_, at) => start.map((_other, other) => (at === other ? lean : 0)));
  const right = start.map(() => lean);
  for (const [index, log] of logs.entries()) {
    if (weights[index] === 0) continue;
    const factor = paceOf(log, { factors, people });
    const weight = weights[index]! / getStray(plainSeconds(log, coefficients) * factor) ** 2;
    const row = log.amounts.map((amount, at) => amount * start[at]! * factor);
    for (let at = 0; at < size; at++) {
      const weighed = weight * row[at]!;
      right[at]! += weighed * log.seconds;
      for (let other = 0; other <= at; other++) normal[at]![other]! += weighed * row[other]!;
    }
  }
  for (let at = 0; at < size; at++)
    for (let other = at + 1; other < size; other++) normal[at]![other] = normal[other]![at]!;
  // The least squares of the normal equations' root are those of all logs.
  const lower = new CholeskyDecomposition(new Matrix(normal)).lowerTriangularMatrix;
  const shares = fcnnlsVector(lower.transpose(), solve(lower, Matrix.columnVector(right)).to1DArray()).K.to1DArray();
  return shares.map((share, at) => share * start[at]!);
}

/**
 * Of all that `idOf` tells apart. Each leans on 1; together they are no slower or quicker than the coefficients say.
 * `secondsOf`: what is calculated without them.
 */
function fitFactors(
  logs: readonly TimeLog[],
  weights: readonly number[],
  idOf: (log: TimeLog) => number | null,
  secondsOf: SecondsOf,
): Map<number, GroupFactor> {
  const sums = new Map<number, { logs: number; top: number; bottom: number }>();
  const lean = 1 / PRIOR.factor ** 2;
  for (const [index, log] of logs.entries()) {
    const id = idOf(log);
    if (id === null) continue;
    const plain = secondsOf(log);
    const weight = weights[index]! / getStray(plain) ** 2;
    const sum = sums.get(id) ?? { logs: 0, top: lean, bottom: lean };
    sums.set(id, {
      logs: sum.logs + 1,
      top: sum.top + weight * plain * log.seconds,
      bottom: sum.bottom + weight * plain * plain,
    });
  }
  const known = [...sums].filter(([, sum]) => sum.logs >= LEAST_OF_GROUP && sum.top > 0);
  const common = Math.exp(meanOfLogs(known.map(([, { logs: count, top, bottom }]) => [Math.log(top / bottom), count])));
  return new Map(
    known.map(([group, { logs: count, top, bottom }]) => {
      const value = top / bottom / common;
      const reach = HALF_BAND / Math.sqrt(bottom) / common;
      return [group, { value, low: Math.max(0, value - reach), high: value + reach, logs: count }];
    }),
  );
}

/** What all groups have in common belongs to the coefficients. Pairs of a value and its weight. */
function meanOfLogs(weighed: readonly (readonly [number, number])[]): number {
  const all = weighed.reduce((sum, [, weight]) => sum + weight, 0);
  return all === 0 ? 0 : weighed.reduce((sum, [value, weight]) => sum + value * weight, 0) / all;
}
/** Standard deviations to either side that hold nine in ten. */
const HALF_BAND = 1.645;

const strayOf = (log: TimeLog, fitted: Fitted): number => {
  const seconds = predictSeconds(log, fitted);
  return (log.seconds - seconds) / getStray(seconds);
};

function weigh(logs: readonly TimeLog[], fitted: Fitted): readonly number[] {
  const strays = logs.map((log) => strayOf(log, fitted));
  const spread = Math.max(LEAST_SPREAD, PER_DEVIATION * median(strays.map(Math.abs)));
  return strays.map((stray) => {
    const reach = stray / (BIWEIGHT * spread);
    return Math.abs(reach) < 1 ? (1 - reach ** 2) ** 2 : 0;
  });
}

/** Logs are held out by turns: how far they lie from what the others say. */
function findBands(logs: readonly TimeLog[], start: readonly number[], near: Fitted): Pick<Fit, 'band' | 'shares'> {
  const held = Array.from({ length: FOLDS }, (_, fold) => {
    const isHeld = (index: number) => index % FOLDS === fold;
    const fitted = fitOnce(
      logs.filter((_log, index) => !isHeld(index)),
      start,
      near,
    );
    return logs
      .filter((_log, index) => isHeld(index))
      .map((log) => ({ stray: strayOf(log, fitted), share: log.seconds / predictSeconds(log, fitted) }));
  }).flat();
  return { band: holdNineInTen(held.map(({ stray }) => stray)), shares: holdNineInTen(held.map(({ share }) => share)) };
}

function holdNineInTen(values: readonly number[]): Range {
  const sorted = [...values].sort((a, b) => a - b);
  return { low: quantileSorted(sorted, 0.05), high: quantileSorted(sorted, 0.95) };
}

export type Tested = {
  /** The median of |real − calculated| ÷ calculated, on logs that were held out. */
  readonly before: number;
  readonly after: number;
  readonly heldOut: number;
};
/** The newest share of the logs is held out: what is learned must serve for what comes. */
const HELD_OUT = 0.2;

/** How much better the newest logs are guessed by what the older ones teach; null where those are too few. */
export function testFit(logs: readonly TimeLog[], start: readonly number[]): Tested | null {
  const sound = [...listSoundLogs(logs, start)].sort((a, b) => a.atMs - b.atMs);
  const held = sound.slice(Math.floor(sound.length * (1 - HELD_OUT)));
  const older = sound.slice(0, sound.length - held.length);
  if (older.length < LEAST_LOGS || held.length === 0) return null;
  const fitted = fitOnce(older, start);
  const errorOf = (seconds: (log: TimeLog) => number) =>
    median(held.map((log) => Math.abs(log.seconds - seconds(log)) / seconds(log)));
  return {
    before: errorOf((log) => plainSeconds(log, start)),
    after: errorOf((log) => predictSeconds(log, fitted)),
    heldOut: held.length,
  };
}

/** A step this large, in standard errors and as a share, is no chance; the nearest logs to either side tell it. */
const STEP = { errors: 3.5, share: 0.1, leastLogs: 8, mostLogs: 30 } as const;

/**
 * A new blade or tool can change how long work takes. `changesMs`: when one was fitted. Logs from the last of them that
 * shows as a step in the log; all of them where none does.
 */
export function startAfresh(
  logs: readonly TimeLog[],
  start: readonly number[],
  changesMs: readonly number[],
): readonly TimeLog[] {
  const sound = [...listSoundLogs(logs, start)].sort((a, b) => a.atMs - b.atMs);
  const isStep = (atMs: number): boolean => {
    const ratios = (some: readonly TimeLog[]) => some.map((log) => Math.log(log.seconds / plainSeconds(log, start)));
    const [before, after] = [
      ratios(sound.filter((log) => log.atMs < atMs).slice(-STEP.mostLogs)),
      ratios(sound.filter((log) => log.atMs >= atMs).slice(0, STEP.mostLogs)),
    ];
    if (Math.min(before.length, after.length) < STEP.leastLogs) return false;
    const apart = Math.abs(median(after) - median(before));
    const error = Math.hypot(spreadOf(before) / Math.sqrt(before.length), spreadOf(after) / Math.sqrt(after.length));
    return apart > STEP.share && apart > STEP.errors * error;
  };
  const last = [...changesMs].sort((a, b) => b - a).find(isStep);
  return last === undefined ? logs : logs.filter((log) => log.atMs >= last);
}

const spreadOf = (values: readonly number[]): number => {
  const middle = median([...values]);
  return PER_DEVIATION * median(values.map((value) => Math.abs(value - middle)));
};
