// Two people at one bench: who is quicker is found, whatever each of them mostly works on.

import { randomExponential, randomLcg, randomNormal, randomUniform } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { fitTimes, getStray, predictSeconds, testFit, type TimeLog } from './fit-times';

const START = [20, 25, 4];
const TRUE = [26, 22, 5];
const HOUR_MS = 3_600_000;
const [QUICK, SLOW] = [7, 9];

type Shop = {
  readonly paces: Readonly<Record<number, number>>;
  /** By vinyl. */
  readonly vinyls: readonly number[];
  /** How likely it is the quick one, by vinyl. */
  readonly quickAt: readonly number[];
};

function makeLogs(seed: number, count: number, { paces, vinyls, quickAt }: Shop): readonly TimeLog[] {
  const source = randomLcg(seed);
  const [uniform, normal, exponential] = [
    randomUniform.source(source)(0, 1),
    randomNormal.source(source)(0, 1),
    randomExponential.source(source)(1),
  ];
  return Array.from({ length: count }, (_, at) => {
    const amounts = [1 + Math.floor(4 * exponential()), 3 * exponential(), 30 * exponential()];
    const group = Math.floor(uniform() * vinyls.length);
    const person = uniform() < quickAt[group]! ? QUICK : SLOW;
    const plain = amounts.reduce((sum, amount, of) => sum + amount * TRUE[of]!, 0) * vinyls[group]! * paces[person]!;
    return { amounts, group, person, seconds: Math.max(1, plain + normal() * getStray(plain)), atMs: at * HOUR_MS };
  });
}

const PACES = { [QUICK]: 0.8, [SLOW]: 1.25 };
const EVEN: Shop = { paces: PACES, vinyls: [1, 1], quickAt: [0.5, 0.5] };

describe('two people', () => {
  it.each([0.13, 0.41, 0.77])('each has a factor, within a twentieth of the true one (%d)', (seed) => {
    const { people, coefficients } = fitTimes(makeLogs(seed, 1200, EVEN), START)!;
    for (const person of [QUICK, SLOW]) {
      const found = people.get(person)!;
      expect(Math.abs(found.value / PACES[person]! - 1)).toBeLessThan(0.05);
      expect(found.low).toBeLessThan(PACES[person]!);
      expect(found.high).toBeGreaterThan(PACES[person]!);
    }
    coefficients.forEach((found, at) => expect(Math.abs(found / TRUE[at]! - 1)).toBeLessThan(0.1));
  });

  it('the quick one is not thought slow for taking the slow vinyl', () => {
    const shop: Shop = { paces: PACES, vinyls: [1.4, 1 / 1.4], quickAt: [0.85, 0.15] };
    const { people, factors } = fitTimes(makeLogs(0.29, 2000, shop), START)!;
    expect(people.get(QUICK)!.value / people.get(SLOW)!.value).toBeCloseTo(0.8 / 1.25, 1);
    expect(factors.get(0)!.value / factors.get(1)!.value).toBeGreaterThan(1.4 ** 2 * 0.93);
    expect(factors.get(0)!.value / factors.get(1)!.value).toBeLessThan(1.4 ** 2 * 1.07);
  });

  it('what comes next is guessed by who does it, and better for it', () => {
    const logs = makeLogs(0.53, 800, EVEN);
    const fit = fitTimes(logs, START)!;
    const log = { amounts: [2, 3, 20], group: null };
    const [quick, slow] = [QUICK, SLOW].map((person) => predictSeconds({ ...log, person }, fit)) as [number, number];
    expect(slow / quick).toBeCloseTo(fit.people.get(SLOW)!.value / fit.people.get(QUICK)!.value, 9);
    expect(predictSeconds(log, fit)).toBeGreaterThan(quick);
    expect(predictSeconds(log, fit)).toBeLessThan(slow);
    const nobody = logs.map((one) => ({ ...one, person: null }));
    expect(testFit(logs, START)!.after).toBeLessThan(0.85 * testFit(nobody, START)!.after);
  });
});

describe('one person, or nobody told', () => {
  it('changes nothing: all of it is in the coefficients', () => {
    const logs = makeLogs(0.61, 600, { ...EVEN, paces: { [QUICK]: 0.8, [SLOW]: 0.8 } });
    const nobody = fitTimes(
      logs.map((log) => ({ ...log, person: null })),
      START,
    )!;
    const alone = fitTimes(
      logs.map((log) => ({ ...log, person: QUICK })),
      START,
    )!;
    expect(nobody.people.size).toBe(0);
    expect(alone.people.get(QUICK)!.value).toBeCloseTo(1, 9);
    alone.coefficients.forEach((found, at) => expect(found).toBeCloseTo(nobody.coefficients[at]!, 1));
  });

  it('of one who logged less than five times nothing is said', () => {
    const logs = makeLogs(0.83, 60, EVEN).map((log, at) => ({ ...log, person: at < 4 ? SLOW : QUICK }));
    const { people } = fitTimes(logs, START)!;
    expect(people.has(SLOW)).toBe(false);
    expect(people.get(QUICK)!.logs).toBe(56);
  });
});
