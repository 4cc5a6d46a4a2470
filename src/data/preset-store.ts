// Settings of the cutter that are kept under a name.

import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { Database } from './database';
import { isIn } from './is-in';
import { insertRow, prepareOnce } from './prepared';
import { cutPresets, vinyls } from './schema';

export type StoredPreset = typeof cutPresets.$inferSelect;

export const loadPresetsOf = (db: Database, vinylId: number): readonly StoredPreset[] =>
  prepareOnce(db, 'settings of a vinyl', () =>
    db
      .select()
      .from(cutPresets)
      .where(eq(cutPresets.vinylId, sql.placeholder('vinylId')))
      .orderBy(desc(cutPresets.savedAtMs))
      .prepare(),
  ).all({ vinylId });

export const findPresets = (db: Database, ids: readonly number[]): readonly StoredPreset[] =>
  ids.length === 0 ? [] : db.select().from(cutPresets).where(isIn(cutPresets.id, ids)).all();

/** By the name of the vinyl, then by their own. */
export const loadPresets = (db: Database, limit: number) =>
  db
    .select({ preset: cutPresets, vinylName: vinyls.name, colourHex: vinyls.colourHex })
    .from(cutPresets)
    .innerJoin(vinyls, eq(vinyls.id, cutPresets.vinylId))
    .orderBy(asc(vinyls.name), asc(cutPresets.name))
    .limit(limit)
    .all();

/** One of that name for that vinyl takes its place. */
export function keepPreset(db: Database, preset: Omit<StoredPreset, 'id'>): number {
  db.delete(cutPresets)
    .where(and(eq(cutPresets.vinylId, preset.vinylId), eq(sql`lower(${cutPresets.name})`, preset.name.toLowerCase())))
    .run();
  return insertRow(db, cutPresets, preset);
}

/** What was deleted; null where it is gone already. */
export const deletePreset = (db: Database, id: number): StoredPreset | null =>
  db.delete(cutPresets).where(eq(cutPresets.id, id)).returning().get() ?? null;
