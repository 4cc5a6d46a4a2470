import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { figure } from '../units';
import {
  computeCover,
  computeMinimum,
  computeOrderWithin,
  computeWear,
  computeWeeklyUse,
  type WearLine,
} from './index';

const line = (kind: WearLine['kind'], amount = 0, atMs = 0): WearLine => ({ kind, amount, atMs });
const DAY = 86_400_000;

describe('wear', () => {
  it('counts since the last one was fitted, and cleaning gives some back', () => {
    const lines = [
      line('fitted', 0, 1),
      line('worn', 49),
      line('fitted', 0, 7),
      line('worn', 20),
      line('worn', 22),
      line('cleaned', 12),
      line('worn', 15),
    ];
    const wear = computeWear({ kind: 'mat', life: 50 }, lines)!;
    expect(wear).toMatchObject({ fittedAtMs: 7, due: true, share: 0.9 });
    expect(wear.worn.value).toBe(45);
    expect(wear.left.value).toBe(5);
  });

  it('is none before one is fitted, and for what is simply used up', () => {
    expect(computeWear({ kind: 'blade', life: 600 }, [line('worn', 3)])).toBeNull();
    expect(computeWear({ kind: 'packaging', life: null }, [line('fitted')])).toBeNull();
  });

  it('never gets newer than new, and what is left is never below nothing', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('worn', 'cleaned', 'fitted'), fc.nat(80)), { maxLength: 30 }),
        (steps) => {
          const wear = computeWear({ kind: 'mat', life: 50 }, [
            line('fitted'),
            ...steps.map(([kind, amount]) => line(kind as WearLine['kind'], amount)),
          ])!;
          expect(wear.worn.value).toBeGreaterThanOrEqual(0);
          expect(wear.left.value).toBeGreaterThanOrEqual(0);
          expect(wear.left.value).toBe(Math.max(0, 50 - wear.worn.value));
        },
      ),
    );
  });
});

describe('use and cover', () => {
  const now = 100 * DAY;
  it('is what was booked by the weeks it was there, twelve at most', () => {
    expect(computeWeeklyUse({ amount: 12, sinceMs: now - 42 * DAY }, 'count', now)!.value).toBeCloseTo(2, 9);
    expect(computeWeeklyUse({ amount: 24, sinceMs: 0 }, 'count', now)!.value).toBeCloseTo(2, 9);
    expect(computeWeeklyUse({ amount: 5, sinceMs: now - 3 * DAY }, 'count', now)).toBeNull();
  });

  it('lasts what is free by the week, nothing where orders need more than there is', () => {
    const weekly = computeWeeklyUse({ amount: 12, sinceMs: now - 42 * DAY }, 'count', now);
    expect(computeCover(figure('Free', 9, 'count', 'computed'), weekly)!.value).toBeCloseTo(4.5, 9);
    expect(computeCover(figure('Free', -3, 'count', 'computed'), weekly)!.value).toBe(0);
    expect(computeCover(figure('Free', 9, 'count', 'computed'), null)).toBeNull();
  });

  it('a minimum is the larger of an amount and of weeks of use, pieces whole', () => {
    const weekly = computeWeeklyUse({ amount: 11, sinceMs: now - 42 * DAY }, 'count', now);
    expect(computeMinimum({ amount: 3, coverWeeks: 4 }, weekly, 'count')!.value).toBe(8);
    expect(computeMinimum({ amount: 30, coverWeeks: 4 }, weekly, 'count')!.value).toBe(30);
    expect(computeMinimum({ amount: null, coverWeeks: 4 }, null, 'count')).toBeNull();
    expect(computeMinimum(undefined, weekly, 'count')).toBeNull();
  });

  it('has to be ordered before it is too late to make it', () => {
    expect(computeOrderWithin(6, 2, 1)).toBe(3);
    expect(computeOrderWithin(2, 3, 1)).toBe(-2);
  });
});
