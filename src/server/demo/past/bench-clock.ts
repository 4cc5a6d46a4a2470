// When somebody stands at the bench of the demo shop: one pair of hands, from nine to five.

import { Temporal } from 'temporal-polyfill';

const OPENS = { hour: 9 };
const CLOSES_HOUR = 17;

export type BenchClock = {
  /** The next time from `ms` on at which somebody is free. */
  readonly freeFrom: (ms: number) => number;
  /** Busy until then. */
  readonly busyUntil: (ms: number) => void;
};

export function makeBenchClock(timeZone: string): BenchClock {
  let free = -Infinity;
  // The hours of the day asked for last: telling what day it is takes longer than all else here.
  let known = { fromMs: 0, untilMs: 0 };
  const open = (ms: number): number => {
    if (ms >= known.fromMs && ms < known.untilMs) return ms;
    const at = Temporal.Instant.fromEpochMilliseconds(ms).toZonedDateTimeISO(timeZone);
    const opens = at.with({ ...OPENS, minute: 0, second: 0, millisecond: 0, microsecond: 0, nanosecond: 0 });
    const closes = opens.with({ hour: CLOSES_HOUR });
    known = { fromMs: opens.epochMilliseconds, untilMs: closes.epochMilliseconds };
    if (at.hour < OPENS.hour) return opens.epochMilliseconds;
    return at.hour < CLOSES_HOUR ? ms : opens.add({ days: 1 }).epochMilliseconds;
  };
  return {
    freeFrom: (ms) => open(Math.max(ms, free)),
    busyUntil: (ms) => {
      free = Math.max(free, ms);
    },
  };
}
