// What became of pressed pieces.

import { desc, eq } from 'drizzle-orm';
import type { Database } from './database';
import { isIn } from './is-in';
import { insertRow } from './prepared';
import { pressLooks } from './schema';

export type StoredLook = typeof pressLooks.$inferSelect;
export type NewLook = Omit<typeof pressLooks.$inferInsert, 'id'>;

/** The latest first. */
export const loadLooks = (db: Database, limit: number): readonly StoredLook[] =>
  db.select().from(pressLooks).orderBy(desc(pressLooks.day), desc(pressLooks.id)).limit(limit).all();

/** Of these vinyls, whatever they were pressed on; so many of the latest. */
export const loadLooksOf = (db: Database, vinylIds: readonly number[], limit: number): readonly StoredLook[] =>
  db
    .select()
    .from(pressLooks)
    .where(isIn(pressLooks.vinylId, vinylIds))
    .orderBy(desc(pressLooks.day))
    .limit(limit)
    .all();

export const insertLook = (db: Database, look: NewLook): number => insertRow(db, pressLooks, look);

/** False where it is gone already. */
export const deleteLook = (db: Database, id: number): boolean =>
  db.delete(pressLooks).where(eq(pressLooks.id, id)).run().changes === 1;
