// Shops made at random, whose true coefficients are known: they are found again, whatever clocks were forgotten.

import { randomExponential, randomLcg, randomNormal, randomUniform } from 'd3-random';
import { median } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import {
  bandAround,
  fitTimes,
  getStray,
  LEAST_LOGS,
  predictSeconds,
  startAfresh,
  testFit,
  type TimeLog,
} from './fit-times';

/** As weeding is calculated: each layer, metre outside, cavity, small cavity, fine metre. */
const START = [20, 25, 4, 5, 45];
const HOUR_MS = 3_600_000;

type Shop = {
  readonly seed: number;
  readonly true: readonly number[];
  /** By vinyl; their logarithms add up to nothing. */
  readonly factors: readonly number[];
  /** How much of each a job has on average. */
  readonly usual: readonly number[];
};
const SHOPS: readonly Shop[] = [
  { seed: 0.11, true: [28, 20, 5.5, 4, 60], factors: [0.8, 1.25, 1], usual: [3, 4, 20, 10, 1] },
  { seed: 0.23, true: [12, 35, 2.6, 8, 30], factors: [1, 1.5, 1 / 1.5], usual: [8, 2, 120, 90, 3] },
  { seed: 0.37, true: [35, 25, 4, 5, 20], factors: [1, 1, 1], usual: [2, 8, 6, 2, 4] },
];

function makeLogs({ seed, true: known, factors, usual }: Shop, count: number, wrong = 0): readonly TimeLog[] {
  const source = randomLcg(seed);
  const [uniform, normal, exponential] = [
    randomUniform.source(source)(0, 1),
    randomNormal.source(source)(0, 1),
    randomExponential.source(source)(1),
  ];
  return Array.from({ length: count }, (_, at) => {
    const amounts = usual.map((mean, of) => (of === 0 ? 1 + Math.floor(mean * exponential()) : mean * exponential()));
    const group = Math.floor(uniform() * factors.length);
    const plain = amounts.reduce((sum, amount, of) => sum + amount * known[of]!, 0) * factors[group]!;
    const honest = Math.max(1, plain + normal() * getStray(plain));
    // A clock that ran on over lunch, or was started when half was done.
    const seconds = uniform() < wrong ? honest * (uniform() < 0.7 ? 3 + 3 * uniform() : 0.2) : honest;
    return { amounts, group, seconds, atMs: at * HOUR_MS };
  });
}

describe.each(SHOPS)('a shop made from $seed', (shop) => {
  const logs = makeLogs(shop, 2000);
  const fit = fitTimes(logs, START)!;

  it('its coefficients are found within a tenth', () =>
    fit.coefficients.forEach((found, at) => expect(Math.abs(found / shop.true[at]! - 1)).toBeLessThan(0.1)));

  it('so are the factors of its vinyls, and their bands hold them', () =>
    shop.factors.forEach((factor, group) => {
      const found = fit.factors.get(group)!;
      expect(Math.abs(found.value / factor - 1)).toBeLessThan(0.05);
      expect(found.low).toBeLessThan(found.value);
      expect(found.high).toBeGreaterThan(found.value);
    }));

  it('one clock in twenty that is far off moves nothing by more than a tenth', () => {
    const found = fitTimes(makeLogs(shop, 2000, 0.05), START)!;
    found.coefficients.forEach((value, at) => expect(Math.abs(value / shop.true[at]! - 1)).toBeLessThan(0.1));
  });

  it('new jobs lie within the bands nine times in ten', () => {
    const later = makeLogs({ ...shop, seed: shop.seed + 0.5 }, 2000);
    const inside = later.filter((log) => {
      const { low, high } = bandAround(predictSeconds(log, fit), fit.band);
      return log.seconds >= low && log.seconds <= high;
    });
    expect(inside.length / later.length).toBeGreaterThan(0.85);
    expect(inside.length / later.length).toBeLessThan(0.95);
  });

  it('and within those shares of what is calculated, short and long ones together', () => {
    const later = makeLogs({ ...shop, seed: shop.seed + 0.5 }, 2000);
    const inside = later.filter((log) => {
      const share = log.seconds / predictSeconds(log, fit);
      return share >= fit.shares.low && share <= fit.shares.high;
    });
    expect(inside.length / later.length).toBeGreaterThan(0.85);
    expect(inside.length / later.length).toBeLessThan(0.95);
  });

  it('from 400 logs with clocks far off, the newest are guessed nearly as well as the truth would', () => {
    const few = makeLogs(shop, 400, 0.05);
    const tested = testFit(few, START)!;
    expect(tested.heldOut).toBeGreaterThan(20);
    expect(tested.after).toBeLessThan(tested.before);
    const held = few.slice(-tested.heldOut);
    const factors = new Map(shop.factors.map((value, at) => [at, asFactor(value)]));
    const known = { coefficients: shop.true, factors, people: new Map() };
    const best = median(
      held.map((log) => Math.abs(log.seconds - predictSeconds(log, known)) / predictSeconds(log, known)),
    );
    expect(tested.after).toBeLessThan(1.1 * best);
  });
});

const asFactor = (value: number) => ({ value, low: value, high: value, logs: 100 });

it('too few sound logs teach nothing; what no log tells of stays as it was', () => {
  const [shop] = SHOPS;
  expect(fitTimes(makeLogs(shop!, LEAST_LOGS - 1), START)).toBeNull();
  const noFine = makeLogs(shop!, 400).map((log) => ({ ...log, amounts: [...log.amounts.slice(0, 4), 0] }));
  expect(fitTimes(noFine, START)!.coefficients[4]).toBeCloseTo(START[4]!, 6);
});

it('no coefficient is negative, though the logs would have it so', () => {
  const logs = Array.from({ length: 60 }, (_, at): TimeLog => {
    const [base, metres] = [1 + (at % 3), at % 10];
    return { amounts: [base, metres], group: null, seconds: 400 - 30 * metres, atMs: at };
  });
  const fit = fitTimes(logs, [60, 25])!;
  expect(fit.coefficients.every((value) => value >= 0)).toBe(true);
  expect(fit.coefficients[1]).toBeLessThan(5);
});

it('a job that was really done in half the time is believed, a forgotten clock is not', () => {
  const [shop] = SHOPS;
  const calm = { ...shop!, factors: [1] };
  const logs = makeLogs(calm, 100);
  const withOne = (seconds: number) => fitTimes([...logs, { ...logs[0]!, seconds }], START)!.coefficients;
  const plain = logs[0]!.amounts.reduce((sum, amount, at) => sum + amount * calm.true[at]!, 0);
  const [usual, quick, forgotten] = [withOne(plain), withOne(plain / 2), withOne(plain * 5)];
  expect(quick).not.toEqual(usual);
  const without = fitTimes(logs, START)!.coefficients;
  forgotten.forEach((value, at) => expect(Math.abs(value / without[at]! - 1)).toBeLessThan(0.002));
});

it('a new tool starts afresh where the log shows a step, and only there', () => {
  const [shop] = SHOPS;
  const before = makeLogs(shop!, 60);
  const changedMs = 60 * HOUR_MS;
  const later = (pace: number) =>
    makeLogs({ ...shop!, seed: 0.7 }, 60).map((log) => ({
      ...log,
      seconds: log.seconds * pace,
      atMs: log.atMs + changedMs,
    }));
  const slower = [...before, ...later(1.6)];
  expect(startAfresh(slower, START, [changedMs])).toEqual(slower.slice(60));
  const alike = [...before, ...later(1)];
  expect(startAfresh(alike, START, [changedMs])).toEqual(alike);
  expect(startAfresh(slower, START, [HOUR_MS * 30])).toEqual(slower);
});
