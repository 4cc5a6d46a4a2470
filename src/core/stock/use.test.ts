// How fast a thing is used, how long it lasts, and what should always be there.

import { describe, expect, it } from 'vitest';
import { figure } from '../units';
import { computeCover, computeMinimum, computeOrderWithin, computeWeeklyUse } from './use';

const WEEK_MS = 7 * 86_400_000;
const weekly = (value: number, unit: 'mm²' | 'count' = 'count') => figure('Used a week', value, unit, 'learned');

describe('a week’s use', () => {
  const over = (weeks: number, amount: number) => computeWeeklyUse({ amount, sinceMs: 0 }, 'count', weeks * WEEK_MS);

  it('is what was booked by the weeks it was there, twelve at most', () => {
    expect(over(4, 20)!.value).toBe(5);
    expect(over(30, 60)!.value).toBe(5);
    expect(over(30, 60)!.parts!.map(({ value }) => value)).toEqual([60, 12]);
  });

  it('is not told of what is there for less than two weeks', () => {
    expect(over(1.9, 20)).toBeNull();
    expect(over(2, 20)!.value).toBe(10);
  });
});

describe('how long it lasts', () => {
  const free = (value: number) => figure('Free', value, 'count', 'measured');
  it('is what is free by a week’s use; none of what is promised away, and nothing where none is used', () => {
    expect(computeCover(free(12), weekly(5))!.value).toBeCloseTo(2.4, 12);
    expect(computeCover(free(-3), weekly(5))!.value).toBe(0);
    expect(computeCover(free(12), weekly(0))).toBeNull();
    expect(computeCover(free(12), null)).toBeNull();
  });
});

describe('what should always be there', () => {
  const always = (amount: number | null, coverWeeks: number | null, own = weekly(2.5), unit?: 'mm²') =>
    computeMinimum({ amount, coverWeeks }, own, unit ?? 'count');

  it('is the amount or the weeks of use, whichever is more', () => {
    expect(always(10, 3)!.value).toBe(10);
    expect(always(7, 3)!.value).toBe(8);
    expect(always(7, 3)!.parts!.map(({ value }) => value)).toEqual([7, 8]);
    expect(always(null, 3)!.value).toBe(8);
    expect(always(6, null)!.value).toBe(6);
  });

  it('is whole pieces, but not one more for a rounding; of vinyl it is not rounded', () => {
    expect(always(null, 2)!.value).toBe(5);
    // 3 × 0.1 × 10 is a hair over 3 in floating point.
    expect(always(null, 3, weekly(0.1 + 0.2))!.value).toBe(1);
    expect(always(null, 10, weekly(0.1 + 0.2))!.value).toBe(3);
    expect(always(null, 3, weekly(2.5, 'mm²'), 'mm²')!.value).toBe(7.5);
  });

  it('is not told where nothing was said, or weeks only and no use is known', () => {
    expect(computeMinimum(undefined, weekly(2), 'count')).toBeNull();
    expect(always(null, null)).toBeNull();
    expect(always(null, 0)).toBeNull();
    expect(always(null, 4, weekly(0))).toBeNull();
    expect(computeMinimum({ amount: null, coverWeeks: 4 }, null, 'count')).toBeNull();
    expect(computeMinimum({ amount: 9, coverWeeks: 4 }, null, 'count')!.value).toBe(9);
  });
});

it('is ordered so many days before it is due that it comes and is made', () => {
  expect(computeOrderWithin(10, 4, 2)).toBe(4);
  expect(computeOrderWithin(5, 4, 2)).toBe(-1);
});
