// Instants as calendar days of a time zone.

import { Temporal } from 'temporal-polyfill';

/** The calendar day, as YYYY-MM-DD, at an instant in a time zone. */
export const dayOf = (epochMs: number, timeZone: string): string =>
  Temporal.Instant.fromEpochMilliseconds(epochMs).toZonedDateTimeISO(timeZone).toPlainDate().toString();

/** A calendar month, YYYY-MM, from its first instant up to the next month's, epoch ms. */
export type Month = { readonly month: string; readonly fromMs: number; readonly untilMs: number };

/** So many months of a time zone, 1 or more, the one of the instant first, then backwards. */
export function listMonths(epochMs: number, timeZone: string, count: number): readonly Month[] {
  const now = Temporal.Instant.fromEpochMilliseconds(epochMs).toZonedDateTimeISO(timeZone).toPlainDate();
  const startOf = (back: number) => now.toPlainYearMonth().subtract({ months: back }).toPlainDate({ day: 1 });
  const instantOf = (day: Temporal.PlainDate) => day.toZonedDateTime(timeZone).epochMilliseconds;
  return Array.from({ length: count }, (_, back) => ({
    month: startOf(back).toPlainYearMonth().toString(),
    fromMs: instantOf(startOf(back)),
    untilMs: instantOf(startOf(back - 1)),
  }));
}
