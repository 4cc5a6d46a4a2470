// How much working time lies between now and a day, from the shop's hours. Knows calendars, not orders.

import { Temporal } from 'temporal-polyfill';
import type { ShopFigures } from '../materials';
import { SECONDS_PER_HOUR } from '../units';

const WEEKDAY_HOURS = [
  'hoursMonday',
  'hoursTuesday',
  'hoursWednesday',
  'hoursThursday',
  'hoursFriday',
  'hoursSaturday',
  'hoursSunday',
] as const;

export function addDays(day: string, days: number): string {
  return Temporal.PlainDate.from(day).add({ days }).toString();
}

/** Whole days from one day to another, negative when it lies before. */
export function countDays(from: string, to: string): number {
  return Temporal.PlainDate.from(from).until(Temporal.PlainDate.from(to)).days;
}

/** When work begins and ends on the day of an instant, epoch ms; the same moment twice on a day off. */
export function getWorkingDay(
  nowMs: number,
  timeZone: string,
  shop: ShopFigures,
): { readonly beginsMs: number; readonly endsMs: number } {
  return boundWork(
    Temporal.Instant.fromEpochMilliseconds(nowMs).toZonedDateTimeISO(timeZone).toPlainDate(),
    timeZone,
    shop,
  );
}

/**
 * The next time that is worked: what is left of today, else the first day ahead with hours. `day` is YYYY-MM-DD. Null
 * where no day of the week has any.
 */
export function findWorkingTime(
  nowMs: number,
  timeZone: string,
  shop: ShopFigures,
): { readonly day: string; readonly beginsMs: number; readonly endsMs: number } | null {
  let day = Temporal.Instant.fromEpochMilliseconds(nowMs).toZonedDateTimeISO(timeZone).toPlainDate();
  for (let ahead = 0; ahead <= WEEKDAY_HOURS.length; ahead++) {
    const bounds = boundWork(day, timeZone, shop);
    if (bounds.endsMs > Math.max(nowMs, bounds.beginsMs)) return { day: day.toString(), ...bounds };
    day = day.add({ days: 1 });
  }
  return null;
}

function boundWork(
  day: Temporal.PlainDate,
  timeZone: string,
  shop: ShopFigures,
): { readonly beginsMs: number; readonly endsMs: number } {
  const beginsMs = day.toZonedDateTime({ timeZone, plainTime: { hour: shop.dayStartHour } }).epochMilliseconds;
  return { beginsMs, endsMs: beginsMs + shop[WEEKDAY_HOURS[day.dayOfWeek - 1]!] * SECONDS_PER_HOUR * 1000 };
}

type Calendar = { readonly nowMs: number; readonly timeZone: string; readonly shop: ShopFigures };

/** Working seconds from now to the end of `day`, both of the shop's time zone; nought when the day is past. */
export const computeFreeSeconds = ({ day, ...calendar }: Calendar & { readonly day: string }): number =>
  countFreeSeconds(calendar)(day);

/**
 * The same of as many days as are asked for: each day of the calendar is gone through once.
 * @returns working seconds to the end of a day, YYYY-MM-DD
 */
export function countFreeSeconds({ nowMs, timeZone, shop }: Calendar): (day: string) => number {
  const freeUntil = new Map<string, number>();
  let free = 0;
  let next = Temporal.Instant.fromEpochMilliseconds(nowMs).toZonedDateTimeISO(timeZone).toPlainDate();
  const today = next.toString();
  const goTo = (last: string): void => {
    for (let day = next.toString(); day <= last && freeUntil.size < DAYS_AHEAD_AT_MOST; day = next.toString()) {
      const { beginsMs, endsMs } = boundWork(next, timeZone, shop);
      free += Math.max(0, endsMs - Math.max(beginsMs, nowMs)) / 1000;
      freeUntil.set(day, free);
      next = next.add({ days: 1 });
    }
  };
  return (day) => {
    if (day < today) return 0;
    goTo(day);
    return freeUntil.get(day) ?? free;
  };
}

const DAYS_AHEAD_AT_MOST = 400;
