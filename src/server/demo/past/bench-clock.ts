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
  const open = (ms: number): number => {
    const at = Temporal.Instant.fromEpochMilliseconds(ms).toZonedDateTimeISO(timeZone);
    const opens = at.with({ ...OPENS, minute: 0, second: 0, millisecond: 0, microsecond: 0, nanosecond: 0 });
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
