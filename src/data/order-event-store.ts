// What happens to orders; only ever added. Where an order stands is kept with each step.

import { asc, eq, sql } from 'drizzle-orm';
import { decideStanding, type OrderEventKind } from '../core/orders';
import { inTransaction, type Database } from './database';
import { insertRow, prepareOnce } from './prepared';
import { orderEvents, orders } from './schema';

/** Adds what happened, and with it where the order stands. The new event's id. */
export function addOrderEvent(
  db: Database,
  orderId: number,
  kind: OrderEventKind,
  atMs: number,
  { detail = '', undoes = null }: { readonly detail?: string; readonly undoes?: number | null } = {},
): number {
  return inTransaction(db, () => {
    const id = insertRow(db, orderEvents, { orderId, kind, atMs, detail, undoes });
    if (kind !== 'changed' && kind !== 'noted') keepStanding(db, orderId, atMs);
    return id;
  });
}

function keepStanding(db: Database, orderId: number, atMs: number): void {
  const events = prepareOnce(db, 'events of an order', () =>
    db
      .select({ id: orderEvents.id, kind: orderEvents.kind, undoes: orderEvents.undoes })
      .from(orderEvents)
      .where(eq(orderEvents.orderId, sql.placeholder('orderId')))
      .orderBy(asc(orderEvents.id))
      .prepare(),
  ).all({ orderId });
  const standing = decideStanding(events);
  // Closed when it left the shop; paying what was owed does not move that day.
  prepareOnce(db, 'keep where an order stands', () =>
    db
      .update(orders)
      .set({
        standing: sql`${sql.placeholder('standing')}`,
        closedAtMs: sql`case when ${sql.placeholder('open')} then null else coalesce(${orders.closedAtMs}, ${sql.placeholder('atMs')}) end`,
      })
      .where(eq(orders.id, sql.placeholder('orderId')))
      .prepare(),
  ).run({ orderId, standing, open: standing === 'open' ? 1 : 0, atMs });
}
