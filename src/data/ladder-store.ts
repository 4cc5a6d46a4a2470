// Setting ladders.

import { and, desc, eq, isNotNull, isNull, lt, sql } from 'drizzle-orm';
import type { VinylKind } from '../core/materials';
import type { Database } from './database';
import { insertRow, prepareOnce } from './prepared';
import { ladders, vinyls } from './schema';
import type { LatestClean } from './sheet-cut-store';

export type StoredLadder = typeof ladders.$inferSelect;
export type NewLadder = Omit<typeof ladders.$inferInsert, 'id'>;
export type LadderChange = Partial<Omit<StoredLadder, 'id' | 'vinylId' | 'lotId'>>;

export const insertLadder = (db: Database, ladder: NewLadder): number => insertRow(db, ladders, ladder);
export const findLadder = (db: Database, id: number): StoredLadder | null =>
  db.select().from(ladders).where(eq(ladders.id, id)).get() ?? null;
export const changeLadder = (db: Database, id: number, change: LadderChange): void =>
  void db.update(ladders).set(change).where(eq(ladders.id, id)).run();
export const deleteLadder = (db: Database, id: number): void => void db.delete(ladders).where(eq(ladders.id, id)).run();

const LISTED = 200;
export const listOpenLadders = (db: Database): readonly StoredLadder[] =>
  db.select().from(ladders).where(isNull(ladders.closedAtMs)).orderBy(desc(ladders.startedAtMs)).limit(LISTED).all();

/** Closed ones, the latest first; `beforeMs`: begun before then. */
export const listClosedLadders = (db: Database, limit: number, beforeMs: number | null): readonly StoredLadder[] =>
  db
    .select()
    .from(ladders)
    .where(and(isNotNull(ladders.closedAtMs), beforeMs === null ? undefined : lt(ladders.startedAtMs, beforeMs)))
    .orderBy(desc(ladders.startedAtMs))
    .limit(limit)
    .all();

const toClean = (row: StoredLadder): LatestClean | null =>
  row.cleanSetting && row.cleanAtMs !== null
    ? {
        setting: row.cleanSetting,
        bladeId: row.bladeId,
        bladeMetres: row.bladeMetres,
        lotId: row.lotId,
        atMs: row.cleanAtMs,
      }
    : null;

/** The last setting that a ladder found clean on the vinyl. */
export function findCleanOfLadders(db: Database, vinylId: number): LatestClean | null {
  const row = prepareOnce(db, 'last clean ladder of a vinyl', () =>
    db
      .select()
      .from(ladders)
      .where(and(eq(ladders.vinylId, sql.placeholder('vinylId')), isNotNull(ladders.cleanAtMs)))
      .orderBy(desc(ladders.cleanAtMs))
      .limit(1)
      .prepare(),
  ).get({ vinylId });
  return row ? toClean(row) : null;
}

export const isLotOnLadder = (db: Database, lotId: number): boolean =>
  db
    .select({ id: ladders.id })
    .from(ladders)
    .where(and(eq(ladders.lotId, lotId), isNotNull(ladders.cleanAtMs)))
    .limit(1)
    .get() !== undefined;

/** What ladders found clean on other vinyls of the kind, the latest first. */
export function listCleanOfKind(
  db: Database,
  kind: VinylKind,
  butVinylId: number,
  limit: number,
): readonly LatestClean[] {
  return db
    .select({ ladder: ladders })
    .from(ladders)
    .innerJoin(vinyls, eq(vinyls.id, ladders.vinylId))
    .where(and(eq(vinyls.kind, kind), isNotNull(ladders.cleanAtMs), sql`${vinyls.id} <> ${butVinylId}`))
    .orderBy(desc(ladders.startedAtMs))
    .limit(limit)
    .all()
    .flatMap(({ ladder }) => toClean(ladder) ?? []);
}
