// What happens to parts; only ever added.

import { and, asc, eq, ne, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { PartEvent } from '../core/orders';
import type { Database } from './database';
import { keepSteps } from './evidence-store';
import { insertRows } from './prepared';
import { partEvents } from './schema';

/** The new events' ids, in order. Call it inside a transaction. */
export function addPartEvents(
  db: Database,
  events: readonly (Omit<PartEvent, 'id'> & { readonly sessionId: number | null })[],
): readonly number[] {
  const ids = insertRows(db, partEvents, events);
  keepSteps(db, events);
  return ids;
}

/** What a piece of work did and what was not taken back of it, in order. */
export function loadLiveEventsOfSession(db: Database, sessionId: number): readonly PartEvent[] {
  const taken = sql`(select 1 from part_events later where later.undoes = ${partEvents.id})`;
  return db
    .select()
    .from(partEvents)
    .where(and(eq(partEvents.sessionId, sessionId), ne(partEvents.kind, 'undone'), sql`not exists ${taken}`))
    .orderBy(asc(partEvents.id))
    .all();
}

/** What steps of a piece of work that were taken back did not give back, minor units. */
export function loadLostOfSession(
  db: Database,
  sessionId: number,
): { readonly vinylCost: number; readonly blankCost: number; readonly wearCost: number } {
  const step = alias(partEvents, 'step');
  return db
    .select({
      vinylCost: sql<number>`coalesce(sum(${partEvents.vinylCost}), 0)`,
      blankCost: sql<number>`coalesce(sum(${partEvents.blankCost}), 0)`,
      wearCost: sql<number>`coalesce(sum(${partEvents.wearCost}), 0)`,
    })
    .from(step)
    .innerJoin(partEvents, eq(partEvents.undoes, step.id))
    .where(eq(step.sessionId, sessionId))
    .get()!;
}
