// Today: what comes next, and the timeline of the day. Types only.

import type { Station } from '../core/orders';
import type { TimelineBlock } from '../core/scheduling';
import type { RunningSession } from './frame';
import type { OrderRow } from './orders';

/** A batch that comes next, in words. */
export type NextBatch = {
  readonly station: Station;
  readonly verb: string;
  readonly what: string;
  readonly detail: string;
  readonly seconds: number;
  readonly dueDay: string;
};

export type TodayView = {
  readonly next: {
    readonly hands: NextBatch | null;
    readonly cutter: NextBatch | null;
    readonly press: NextBatch | null;
  };
  readonly running: readonly RunningSession[];
  readonly nowMs: number;
  readonly orders: readonly OrderRow[];
  readonly ready: readonly OrderRow[];
  readonly timeline: readonly TimelineBlock[];
  readonly dayStartMs: number;
  readonly dayEndMs: number;
  readonly freeSeconds: number;
  readonly neededSeconds: number;
};
