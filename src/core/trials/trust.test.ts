// Posteriors against closed forms and draws at random; verdicts by their rules.

import { randomBeta, randomLcg, randomUniform } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { believeRate, judgeTrust, poolLots, tellRate, TRUST_PRIOR, type LotTried } from './trust';

/** Of a Beta distribution with whole parameters: P(X ≤ x) as a binomial tail. */
function betaBelow(x: number, alpha: number, beta: number): number {
  const n = alpha + beta - 1;
  let sum = 0;
  for (let k = alpha; k <= n; k++) {
    let ways = 1;
    for (let i = 0; i < k; i++) ways = (ways * (n - i)) / (i + 1);
    sum += ways * x ** k * (1 - x) ** (n - k);
  }
  return sum;
}

describe('what is believed of one count', () => {
  it.each([
    [0, 0],
    [8, 0],
    [12, 3],
    [40, 40],
  ])('%i tries and %i failures: the closed form of the posterior', (tries, failures) => {
    const { low, mean, high } = believeRate({ tries, failures });
    const [alpha, beta] = [TRUST_PRIOR.failures + failures, TRUST_PRIOR.successes + tries - failures];
    expect(mean).toBeCloseTo(alpha / (alpha + beta), 12);
    expect(betaBelow(low, alpha, beta)).toBeCloseTo(0.05, 6);
    expect(betaBelow(high, alpha, beta)).toBeCloseTo(0.95, 6);
  });
});

describe('lots pooled in part', () => {
  const agreeing: readonly LotTried[] = [1, 2, 3, 4, 5].map((lotId) => ({ lotId, tries: 30, failures: 3 }));
  const apart: readonly LotTried[] = [
    { lotId: 1, tries: 30, failures: 0 },
    { lotId: 2, tries: 30, failures: 15 },
    { lotId: 3, tries: 30, failures: 1 },
    { lotId: 4, tries: 30, failures: 12 },
  ];

  it('is what draws from the model give that fit the counts', () => {
    const lots: readonly LotTried[] = [
      { lotId: 1, tries: 6, failures: 0 },
      { lotId: 2, tries: 5, failures: 2 },
    ];
    const source = randomLcg(3);
    const even = randomUniform.source(source)(0, 1);
    const drawRate = randomBeta.source(source)(TRUST_PRIOR.failures, TRUST_PRIOR.successes);
    const kept: number[] = [];
    const next: number[] = [];
    for (let draw = 0; draw < 400_000; draw++) {
      const rate = drawRate();
      const firmness = 4 ** Math.floor(even() * 4);
      const beta = randomBeta.source(source)(rate * firmness, (1 - rate) * firmness);
      const own = lots.map(() => beta());
      const fits = lots.every(({ tries, failures }, at) => {
        let failed = 0;
        for (let one = 0; one < tries; one++) failed += Number(even() < own[at]!);
        return failed === failures;
      });
      if (!fits) continue;
      kept.push(own[1]!);
      next.push(beta());
    }
    const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
    const pooled = poolLots(lots);
    expect(kept.length).toBeGreaterThan(2000);
    expect(Math.abs(pooled.lots[1]!.range.mean - mean(kept))).toBeLessThan(0.015);
    expect(Math.abs(pooled.next.mean - mean(next))).toBeLessThan(0.015);
    const below = kept.filter((value) => value <= pooled.lots[1]!.range.high).length / kept.length;
    expect(Math.abs(below - 0.95)).toBeLessThan(0.02);
  });

  it('lots that agree stand for one another, and say much of the next', () => {
    const alone = poolLots(agreeing.slice(0, 1));
    const many = poolLots(agreeing);
    const width = ({ low, high }: { low: number; high: number }) => high - low;
    expect(width(many.lots[0]!.range)).toBeLessThan(width(alone.lots[0]!.range));
    expect(width(many.next)).toBeLessThan(width(alone.next));
    expect(many.spread).toBeLessThan(0.08);
  });

  it('lots that lie apart keep their own, and say little of the next', () => {
    const { lots, next, spread } = poolLots(apart);
    expect(lots[0]!.range.high).toBeLessThan(lots[1]!.range.low);
    expect(next.low).toBeLessThan(0.03);
    expect(next.high).toBeGreaterThan(0.5);
    expect(spread).toBeGreaterThan(0.12);
  });

  it('one lot says little of the next', () => {
    const { lots, next } = poolLots([{ lotId: 1, tries: 60, failures: 0 }]);
    expect(lots[0]!.range.high).toBeLessThan(next.high);
  });
});

describe('the verdict', () => {
  const none = { pieces: 0, failed: 0 };
  const of = (tries: number, failures: number, lotTries = tries, looks = none) => {
    const { lots, next } = poolLots([{ lotId: 1, tries, failures }]);
    return judgeTrust({ all: { tries, failures }, range: lotTries > 0 ? lots[0]!.range : next, lotTries, looks });
  };
  it('is never to sell from the prior alone, nor for a lot that nobody tried', () => {
    expect(of(0, 0)).toBe('not enough known');
    expect(of(200, 0, 0)).not.toBe('sell');
    // However narrow the range of the next lot is.
    const sure = { all: { tries: 900, failures: 1 }, range: { low: 0.001, mean: 0.01, high: 0.05 }, looks: none };
    expect(judgeTrust({ ...sure, lotTries: 0 })).toBe('own use');
    expect(judgeTrust({ ...sure, lotTries: 1 })).toBe('sell');
    // Nor from seven, however sure the others make it.
    expect(judgeTrust({ ...sure, all: { tries: 7, failures: 0 }, lotTries: 7 })).toBe('own use');
    expect(judgeTrust({ ...sure, all: { tries: 8, failures: 0 }, lotTries: 8 })).toBe('sell');
    expect(of(200, 0)).toBe('sell');
    expect(of(3, 0)).not.toBe('sell');
  });
  it('is for own use where some fail, and no where most do', () => {
    expect(of(60, 10)).toBe('own use');
    expect(of(40, 28)).toBe('no');
    expect(of(6, 3)).toBe('not enough known');
  });
  it('is short-lived where it cuts well and does not last', () => {
    expect(of(200, 0, 200, { pieces: 5, failed: 2 })).toBe('short-lived');
    // Two pieces say too little.
    expect(of(200, 0, 200, { pieces: 2, failed: 1 })).toBe('sell');
  });
  it('comes with the rate, its interval and its counts', () => {
    const told = tellRate({ tries: 12, failures: 3 }, believeRate({ tries: 12, failures: 3 }));
    expect(told.value).toBeCloseTo(4 / 24, 12);
    expect(told.parts?.map(({ value }) => value)).toEqual([12, 3, 1 / 12, 12]);
    expect(told.low).toBeLessThan(told.value);
  });
});
