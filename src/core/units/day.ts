// Instants as calendar days of a time zone.

import { Temporal } from 'temporal-polyfill';

/** The calendar day, as YYYY-MM-DD, at an instant in a time zone. */
export const dayOf = (epochMs: number, timeZone: string): string =>
  Temporal.Instant.fromEpochMilliseconds(epochMs).toZonedDateTimeISO(timeZone).toPlainDate().toString();
