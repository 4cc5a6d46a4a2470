// Pressed pieces that are looked at again, and what was seen of them.

import { and, eq, inArray, isNotNull, isNull, lte } from 'drizzle-orm';
import type { Database } from './database';
import { isIn } from './is-in';
import { insertRow } from './prepared';
import { laterLooks, pressLooks } from './schema';

export type StoredLater = typeof laterLooks.$inferSelect;
export type NewLater = Omit<typeof laterLooks.$inferInsert, 'id'>;

export const insertLater = (db: Database, look: NewLater): number => insertRow(db, laterLooks, look);
export const findLater = (db: Database, id: number): StoredLater | null =>
  db.select().from(laterLooks).where(eq(laterLooks.id, id)).get() ?? null;
export const changeLater = (db: Database, id: number, change: Partial<Pick<StoredLater, 'dueDay' | 'lookId'>>): void =>
  void db.update(laterLooks).set(change).where(eq(laterLooks.id, id)).run();
export const deleteLater = (db: Database, id: number): void =>
  void db.delete(laterLooks).where(eq(laterLooks.id, id)).run();

/** Nobody looked yet, and it is time to: the longest due first. `day`: ISO. */
export const listDue = (db: Database, day: string, limit: number): readonly StoredLater[] =>
  db
    .select()
    .from(laterLooks)
    .where(and(isNull(laterLooks.lookId), lte(laterLooks.dueDay, day)))
    .orderBy(laterLooks.dueDay, laterLooks.id)
    .limit(limit)
    .all();

export const listLaterOfOrder = (db: Database, orderId: number): readonly StoredLater[] =>
  db.select().from(laterLooks).where(eq(laterLooks.orderId, orderId)).orderBy(laterLooks.dueDay, laterLooks.id).all();
export const listLaterOfCandidates = (db: Database, ids: readonly number[]): readonly StoredLater[] =>
  db.select().from(laterLooks).where(isIn(laterLooks.candidateId, ids)).orderBy(laterLooks.dueDay, laterLooks.id).all();

/** What was seen of these. */
export const findLooks = (db: Database, ids: readonly number[]) =>
  db.select().from(pressLooks).where(isIn(pressLooks.id, ids)).all();

/** What was seen of the candidates counts no longer. */
export function deleteLooksOfCandidates(db: Database, ids: readonly number[]): void {
  const seen = db
    .select({ id: laterLooks.lookId })
    .from(laterLooks)
    .where(and(isIn(laterLooks.candidateId, ids), isNotNull(laterLooks.lookId)));
  db.delete(pressLooks).where(inArray(pressLooks.id, seen)).run();
}
