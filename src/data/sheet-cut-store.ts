// Sheets of loads on their way through the cutter, and what they tell of lots, settings and blades afterwards.

import { and, asc, desc, eq, inArray, isNotNull, sql } from 'drizzle-orm';
import type { CleanTest } from '../core/cutting';
import type { Database } from './database';
import { isIn } from './is-in';
import { insertRow, prepareOnce } from './prepared';
import { machines, sheetCuts } from './schema';

export type StoredSheetCut = typeof sheetCuts.$inferSelect;
export type NewSheetCut = typeof sheetCuts.$inferInsert;
export type SheetCutChange = Partial<Omit<NewSheetCut, 'id' | 'sessionId' | 'sheet'>>;

/** Of a piece of work, by sheet. */
export const loadSheetCuts = (db: Database, sessionId: number): readonly StoredSheetCut[] =>
  prepareOnce(db, 'sheets of work', () =>
    db
      .select()
      .from(sheetCuts)
      .where(eq(sheetCuts.sessionId, sql.placeholder('sessionId')))
      .orderBy(asc(sheetCuts.sheet))
      .prepare(),
  ).all({ sessionId });

/** Of all work on a saved sheet, the latest first. */
export const loadCutsOfSaved = (db: Database, savedSheetId: number): readonly StoredSheetCut[] =>
  db.select().from(sheetCuts).where(eq(sheetCuts.savedSheetId, savedSheetId)).orderBy(desc(sheetCuts.id)).all();

export const insertSheetCut = (db: Database, row: NewSheetCut): number => insertRow(db, sheetCuts, row);

export function changeSheetCut(db: Database, id: number, change: SheetCutChange): void {
  db.update(sheetCuts).set(change).where(eq(sheetCuts.id, id)).run();
}

/** Those that the machine has in hand. */
export const loadSheetsSent = (db: Database, sessionIds: readonly number[]): readonly StoredSheetCut[] =>
  db
    .select()
    .from(sheetCuts)
    .where(and(inArray(sheetCuts.sessionId, [...sessionIds]), eq(sheetCuts.state, 'sent')))
    .all();

/** Of which lot it was, and when. */
export type LatestClean = CleanTest & { readonly lotId: number | null; readonly atMs: number };

/** The last test cut of a vinyl that came out clean; null where none did. */
export function findLastClean(db: Database, vinylId: number): LatestClean | null {
  const row = prepareOnce(db, 'last clean cut of a vinyl', () =>
    db
      .select()
      .from(sheetCuts)
      .where(and(eq(sheetCuts.vinylId, sql.placeholder('vinylId')), isNotNull(sheetCuts.cleanAtMs)))
      .orderBy(desc(sheetCuts.cleanAtMs))
      .limit(1)
      .prepare(),
  ).get({ vinylId });
  return row
    ? {
        setting: row.setting,
        bladeId: row.bladeId,
        bladeMetres: row.bladeMetres,
        lotId: row.lotId,
        atMs: row.cleanAtMs ?? 0,
      }
    : null;
}

/** Whether a test cut of the lot ever came out clean. */
export const isLotTested = (db: Database, lotId: number): boolean =>
  db
    .select({ id: sheetCuts.id })
    .from(sheetCuts)
    .where(and(eq(sheetCuts.lotId, lotId), isNotNull(sheetCuts.cleanAtMs)))
    .limit(1)
    .get() !== undefined;

/** Of a saved sheet that was cut, the work that booked it: what the log tells of its parts goes by that. */
export function linkBooking(db: Database, savedSheetId: number, sheet: number, bookedSessionId: number): void {
  const last = loadCutsOfSaved(db, savedSheetId).find((row) => row.sheet === sheet);
  if (last) changeSheetCut(db, last.id, { bookedSessionId });
}

/** How the parts were cut that these pieces of work booked. */
export const loadCutsBooked = (db: Database, sessionIds: readonly number[]): readonly StoredSheetCut[] =>
  db.select().from(sheetCuts).where(isIn(sheetCuts.bookedSessionId, sessionIds)).all();

/** What a machine remembers; null where it has nothing to remember yet. */
export const readMachine = (db: Database, name: string): unknown =>
  db.select().from(machines).where(eq(machines.name, name)).get()?.memory ?? null;
export function writeMachine(db: Database, name: string, memory: unknown): void {
  db.insert(machines).values({ name, memory }).onConflictDoUpdate({ target: machines.name, set: { memory } }).run();
}
