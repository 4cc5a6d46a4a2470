// Today: what comes next, and the timeline of the day. Types only.

import type { Station } from '../core/orders';
import type { NextDoer, TimelineBlock } from '../core/scheduling';
import type { RunningSession } from './frame';
import type { OrderRow } from './orders';
import type { LaterRow } from './trials';

/** A batch that comes next, in words. */
export type NextBatch = {
  readonly station: Station;
  readonly verb: string;
  readonly what: string;
  /** Of which orders and vinyl, in words. */
  readonly detail: string;
  /** How long it takes, seconds. */
  readonly seconds: number;
  /** ISO day of the first due in it. */
  readonly dueDay: string;
};

export type TodayView = {
  readonly next: {
    /** What to do next oneself; null where nothing waits. */
    readonly hands: NextBatch | null;
    /** What the cutter can do meanwhile; null where nothing waits. */
    readonly cutter: NextBatch | null;
    /** What the press can do next; null where nothing waits. */
    readonly press: NextBatch | null;
    /** Which of them is the first; null where nothing waits. */
    readonly first: NextDoer | null;
  };
  readonly running: readonly RunningSession[];
  /** The server’s clock, epoch ms. */
  readonly nowMs: number;
  /** Open ones: the first due of them. */
  readonly orders: readonly OrderRow[];
  /** Finished, and waiting to be collected: the first due of them. */
  readonly ready: readonly OrderRow[];
  /** Of all, shown or not. */
  readonly counts: { readonly inWork: number; readonly ready: number };
  /** How many can't be in time, and the first due of them; null where all can. */
  readonly short: {
    readonly count: number;
    readonly title: string;
    /** ISO day. */
    readonly dueDay: string;
    /** That lack for it. */
    readonly seconds: number;
  } | null;
  /** Pressed pieces that are to be looked at by now. */
  readonly looks: readonly LaterRow[];
  readonly timeline: readonly TimelineBlock[];
  /** The day it shows, YYYY-MM-DD: today, or the next that is worked once today’s hours are over. */
  readonly timelineDay: string;
  /** Today, YYYY-MM-DD. */
  readonly today: string;
  /** From when on it shows that day, epoch ms. */
  readonly dayStartMs: number;
  /** Until when, epoch ms. */
  readonly dayEndMs: number;
  /** Working time left today, seconds. */
  readonly freeSeconds: number;
  /** Work of hands left of all open orders, seconds. */
  readonly neededSeconds: number;
};
