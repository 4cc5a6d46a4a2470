import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_SHOP_FIGURES } from '../materials';
import { addDays, computeFreeSeconds, findEarliestDay, type PromiseInput } from './index';
import { dayOf } from '../units';

/** A Wednesday, eight in the morning; six hours from nine, Monday to Friday. */
const NOW = Date.parse('2026-11-25T08:00:00Z');
const HOUR = 3600;
const ask = (part: Partial<PromiseInput> = {}) =>
  findEarliestDay({
    nowMs: NOW,
    timeZone: 'UTC',
    shop: DEFAULT_SHOP_FIGURES,
    waitingSeconds: 0,
    ownSeconds: HOUR,
    materialDays: 0,
    ...part,
  });

describe('the earliest day', () => {
  it.each<[string, Partial<PromiseInput>, string]>([
    ['today, where nothing waits', {}, '2026-11-25'],
    ['tomorrow, after a full day of what waits', { waitingSeconds: 6 * HOUR }, '2026-11-26'],
    ['after the weekend', { waitingSeconds: 17.5 * HOUR }, '2026-11-30'],
    ['when the material is here', { materialDays: 2 }, '2026-11-27'],
    ['the next working day, where it comes on a Saturday', { materialDays: 3 }, '2026-11-30'],
    ['later, where the day it comes is too short', { materialDays: 2, ownSeconds: 7 * HOUR }, '2026-11-30'],
  ])('is %s', (_, part, day) => expect(ask(part)!.day).toBe(day));

  it('is none where the shop has no hours', () => {
    const closed = {
      ...DEFAULT_SHOP_FIGURES,
      hoursMonday: 0,
      hoursTuesday: 0,
      hoursWednesday: 0,
      hoursThursday: 0,
      hoursFriday: 0,
    };
    expect(ask({ shop: closed })).toBeNull();
  });

  it('suffices, and the day before does not', () => {
    fc.assert(
      fc.property(
        fc.nat(60 * HOUR),
        fc.integer({ min: 60, max: 40 * HOUR }),
        fc.nat(12),
        (waitingSeconds, ownSeconds, materialDays) => {
          const found = ask({ waitingSeconds, ownSeconds, materialDays })!;
          const free = (day: string) =>
            computeFreeSeconds({ nowMs: NOW, day, timeZone: 'UTC', shop: DEFAULT_SHOP_FIGURES });
          const before = materialDays > 0 ? free(addDays(dayOf(NOW, 'UTC'), materialDays - 1)) : 0;
          const suffices = (day: string) =>
            free(day) >= waitingSeconds + ownSeconds && free(day) - before >= ownSeconds;
          expect(suffices(found.day)).toBe(true);
          const eve = addDays(found.day, -1);
          if (eve >= addDays(dayOf(NOW, 'UTC'), materialDays)) expect(suffices(eve)).toBe(false);
        },
      ),
      { numRuns: 60 },
    );
  });
});
