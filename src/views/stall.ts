// The stall: a piece that is made while the customer waits, and who waits. Types only.

import type { Figure } from '../core/units';
import type { OrderableItem, OrderRow } from './orders';

export type StallQueue = {
  /** Promised for today or before, and not handed over; the first taken first. */
  readonly orders: readonly Pick<OrderRow, 'id' | 'title' | 'stage' | 'waitingFor'>[];
  /** Until all of them are done, seconds. */
  readonly waitSeconds: number;
};
export type StallView = { readonly items: readonly OrderableItem[]; readonly queue: StallQueue };

/** A piece as it stands: how it looks, and when it can be had. */
export type StallAnswer = {
  /** What stands in the way, in words; null where nothing does. */
  readonly problem: string | null;
  /** #rrggbb of the blank. */
  readonly ground: string;
  /** Its drawings and texts in their vinyls. */
  readonly drawings: readonly { readonly href: string; readonly place: string; readonly widthMm: number }[];
  readonly wait: Figure | null;
  /** Epoch ms. */
  readonly readyAtMs: number | null;
};
/** What was taken: its number is called when it is done. */
export type StallTaken = { readonly id: number; readonly readyAtMs: number };
