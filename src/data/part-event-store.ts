// What happens to parts; only ever added.

import type { Database } from './database';
import type { PartEvent } from '../core/orders';
import { partEvents } from './schema';
import { sql, and, inArray, isNotNull, eq } from 'drizzle-orm';

/** The new events' ids, in order. Call it inside a transaction. */
export function addPartEvents(
  db: Database,
  events: readonly (Omit<PartEvent, 'id'> & { readonly sessionId: number | null })[],
): readonly number[] {
  return events.map((event) => db.insert(partEvents).values(event).returning({ id: partEvents.id }).get().id);
}

/** Of each piece of work that these events came from: how many of its events they are, and how many it had. */
export function countUndoneOfSession(
  db: Database,
  eventIds: readonly number[],
): readonly { readonly sessionId: number; readonly undone: number; readonly all: number }[] {
  const undone = db
    .select({ sessionId: partEvents.sessionId, count: sql<number>`count(*)` })
    .from(partEvents)
    .where(and(inArray(partEvents.id, [...eventIds]), isNotNull(partEvents.sessionId)))
    .groupBy(partEvents.sessionId)
    .all();
  return undone.flatMap(({ sessionId, count }) =>
    sessionId === null
      ? []
      : [
          {
            sessionId,
            undone: count,
            all: db
              .select({ count: sql<number>`count(*)` })
              .from(partEvents)
              .where(eq(partEvents.sessionId, sessionId))
              .get()!.count,
          },
        ],
  );
}
