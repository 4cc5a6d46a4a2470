// When a pressed piece is looked at again: its edges after a day, warmth, washes, wear.

import { addDays } from './free-time';

export const LOOK_REASONS = ['edges', 'warmth', 'wash', 'wear'] as const;
export type LookReason = (typeof LOOK_REASONS)[number];

export type LaterLook = {
  readonly reason: LookReason;
  /** Washed so often by then. */
  readonly washes: number;
  /** ISO day. */
  readonly dueDay: string;
};

/** Worn and washed about once a week, as shirts are. Days after it was pressed. */
const LATER: readonly (Omit<LaterLook, 'dueDay'> & { readonly days: number })[] = [
  { reason: 'edges', washes: 0, days: 1 },
  { reason: 'warmth', washes: 0, days: 7 },
  { reason: 'wash', washes: 1, days: 7 },
  { reason: 'wash', washes: 5, days: 35 },
  { reason: 'wash', washes: 20, days: 140 },
  { reason: 'wear', washes: 0, days: 90 },
];

/** `fromDay`: ISO, when it was pressed. In the order they come up. */
export const proposeLooks = (fromDay: string): readonly LaterLook[] =>
  LATER.map(({ days, ...look }) => ({ ...look, dueDay: addDays(fromDay, days) })).sort((a, b) =>
    a.dueDay.localeCompare(b.dueDay),
  );

/** Nobody had the piece at hand: it is asked for again after so many days. */
export const PUT_OFF_DAYS = 7;
