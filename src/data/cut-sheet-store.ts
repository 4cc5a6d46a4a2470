// Loads that are laid out and not cut yet.

import { and, asc, eq, sql } from 'drizzle-orm';
import type { CutSheet } from '../core/orders';
import type { Database } from './database';
import { cutSheets } from './schema';

export type StoredCutSheet = {
  readonly id: number;
  readonly vinylId: number;
  readonly sheet: CutSheet;
  readonly savedAtMs: number;
  readonly version: number;
};

export const loadSavedSheets = (db: Database): readonly StoredCutSheet[] =>
  db.select().from(cutSheets).orderBy(asc(cutSheets.id)).all();
export const findSavedSheet = (db: Database, id: number): StoredCutSheet | null =>
  db.select().from(cutSheets).where(eq(cutSheets.id, id)).get() ?? null;
export const insertSavedSheet = (db: Database, sheet: Omit<StoredCutSheet, 'id' | 'version'>): number =>
  db.insert(cutSheets).values(sheet).returning({ id: cutSheets.id }).get().id;
/** False when it was changed since `version` was read, or is gone. */
export const updateSavedSheet = (
  db: Database,
  id: number,
  version: number,
  change: Pick<StoredCutSheet, 'sheet' | 'savedAtMs'>,
): boolean =>
  db
    .update(cutSheets)
    .set({ ...change, version: sql`${cutSheets.version} + 1` })
    .where(and(eq(cutSheets.id, id), eq(cutSheets.version, version)))
    .run().changes === 1;
export const deleteSavedSheet = (db: Database, id: number): boolean =>
  db.delete(cutSheets).where(eq(cutSheets.id, id)).run().changes === 1;
