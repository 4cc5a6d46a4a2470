// What items cost, kept until something it rests on changes: triggers of the database see to that.

import { and, asc, eq, isNull, lt, sql } from 'drizzle-orm';
import type { Database } from './database';
import { isIn } from './is-in';
import { insertRows } from './prepared';
import { itemCostRests, itemCosts, items } from './schema';

export type KeptCost = typeof itemCosts.$inferSelect;

/** By item; those that are not known any more are left out. */
export const loadItemCosts = (db: Database, itemIds: readonly number[]): ReadonlyMap<number, KeptCost> =>
  new Map(
    db
      .select()
      .from(itemCosts)
      .where(isIn(itemCosts.itemId, itemIds))
      .all()
      .map((row) => [row.itemId, row]),
  );

/**
 * In place of what was kept of the item. `restsOn`: such as "vinyl:7" or "price:vinyl:7". Several statements: call it
 * inside a transaction.
 */
export function saveItemCost(db: Database, cost: KeptCost, restsOn: readonly string[]): void {
  const { itemId } = cost;
  db.delete(itemCosts).where(eq(itemCosts.itemId, itemId)).run();
  insertRows(db, itemCosts, [cost]);
  insertRows(
    db,
    itemCostRests,
    restsOn.map((what) => ({ itemId, what })),
  );
}

/** Items on the list whose cost is not known just now. */
export const findUncosted = (db: Database, limit: number): readonly number[] =>
  db
    .select({ id: items.id })
    .from(items)
    .leftJoin(itemCosts, eq(itemCosts.itemId, items.id))
    .where(and(isNull(items.archivedAtMs), isNull(itemCosts.itemId)))
    .orderBy(asc(items.id))
    .limit(limit)
    .all()
    .map((row) => row.id);

/** How many items are on the list, and of how many an hour on them earns less than that. */
export function countPoorItems(db: Database, wagePerHour: number): { readonly all: number; readonly poor: number } {
  const listed = isNull(items.archivedAtMs);
  const all = db
    .select({ count: sql<number>`count(*)` })
    .from(items)
    .where(listed)
    .get()!.count;
  const poor = db
    .select({ count: sql<number>`count(*)` })
    .from(itemCosts)
    .innerJoin(items, eq(items.id, itemCosts.itemId))
    .where(and(listed, lt(itemCosts.hourEarns, wagePerHour)))
    .get()!.count;
  return { all, poor };
}
