// What happens to parts; only ever added.

import { and, asc, desc, eq, ne, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { PartEvent } from '../core/orders';
import type { Database } from './database';
import { keepSteps } from './evidence-store';
import { insertRows, prepareOnce } from './prepared';
import { partEvents } from './schema';

/** The new events' ids, in order. Call it inside a transaction. */
export function addPartEvents(
  db: Database,
  events: readonly (Omit<PartEvent, 'id'> & { readonly sessionId: number | null })[],
): readonly number[] {
  const known = addOrigins(db, events);
  const ids = insertRows(db, partEvents, known);
  keepSteps(db, known);
  return ids;
}

type Origin = Pick<PartEvent, 'lotId' | 'design' | 'finestMm'>;

/** What was spoiled is of the lot that it was cut from last. */
function addOrigins<Event extends Omit<PartEvent, 'id'>>(db: Database, events: readonly Event[]): readonly Event[] {
  const now = new Map<number, Origin>();
  return events.map((event) => {
    const { partId, kind, lotId, design, finestMm } = event;
    if (kind === 'cut') now.set(partId, { lotId: lotId ?? null, design: design ?? null, finestMm: finestMm ?? null });
    return kind === 'spoiled' ? { ...event, ...(now.get(partId) ?? findOrigin(db, partId)) } : event;
  });
}

const findOrigin = (db: Database, partId: number): Origin =>
  prepareOnce(db, 'what a part was cut from', () =>
    db
      .select({ lotId: partEvents.lotId, design: partEvents.design, finestMm: partEvents.finestMm })
      .from(partEvents)
      .where(and(eq(partEvents.partId, sql.placeholder('partId')), eq(partEvents.kind, 'cut')))
      .orderBy(desc(partEvents.id))
      .limit(1)
      .prepare(),
  ).get({ partId }) ?? {};

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
