// How long pieces took at the stations, and stretches at the cutter, kept as work ends so that nobody reads the whole
// log to learn from it.

import { and, desc, eq, getTableColumns, sql } from 'drizzle-orm';
import { type LineQuote, type Station } from '../core/orders';
import type { Database } from './database';
import { isInThose, those } from './is-in';
import { insertWhereNone, prepareOnce } from './prepared';
import {
  cutStretches,
  orderLines,
  parts,
  pieceMinutes,
  pieces,
  pressStretches,
  weedStretches,
  workSessions,
} from './schema';

export type PieceMinutes = typeof pieceMinutes.$inferSelect;
export type CutStretch = typeof cutStretches.$inferSelect;
export type WeedStretch = typeof weedStretches.$inferSelect;
export type PressStretch = typeof pressStretches.$inferSelect;

export const insertWeedStretch = (db: Database, stretch: WeedStretch): void =>
  insertWhereNone(db, weedStretches, stretch);

/** With whose work it was; null where nobody said. */
type ByPerson<Stretch> = Stretch & { readonly personId: number | null };
const { personId } = getTableColumns(workSessions);

/** The latest first. */
export const listWeedStretches = (db: Database, limit: number): readonly ByPerson<WeedStretch>[] =>
  db
    .select({ ...getTableColumns(weedStretches), personId })
    .from(weedStretches)
    .innerJoin(workSessions, eq(workSessions.id, weedStretches.sessionId))
    .orderBy(desc(weedStretches.atMs))
    .limit(limit)
    .all();
export const insertPressStretch = (db: Database, stretch: PressStretch): void =>
  insertWhereNone(db, pressStretches, stretch);

/** The latest first. */
export const listPressStretches = (db: Database, limit: number): readonly ByPerson<PressStretch>[] =>
  db
    .select({ ...getTableColumns(pressStretches), personId })
    .from(pressStretches)
    .innerJoin(workSessions, eq(workSessions.id, pressStretches.sessionId))
    .orderBy(desc(pressStretches.atMs))
    .limit(limit)
    .all();

/** Items of the latest stretches at the cutter, the latest first. */
export const listCutStretches = (db: Database, limit: number): readonly ByPerson<CutStretch>[] =>
  db
    .select({ ...getTableColumns(cutStretches), personId })
    .from(cutStretches)
    .innerJoin(workSessions, eq(workSessions.id, cutStretches.sessionId))
    .orderBy(desc(cutStretches.sessionId))
    .limit(limit)
    .all();

/** In place of what was kept of those pieces and stretches. */
export function saveMinutes(
  db: Database,
  { pieces: done, stretches }: { readonly pieces: readonly PieceMinutes[]; readonly stretches: readonly CutStretch[] },
): void {
  const keep = prepareOnce(db, 'keep piece minutes', () => {
    const row = {
      pieceId: sql.placeholder('pieceId'),
      station: sql.placeholder('station'),
      itemId: sql.placeholder('itemId'),
      seconds: sql.placeholder('seconds'),
      atMs: sql.placeholder('atMs'),
    };
    const set = { seconds: sql`excluded.seconds`, atMs: sql`excluded.at_ms` };
    return db
      .insert(pieceMinutes)
      .values(row)
      .onConflictDoUpdate({ target: [pieceMinutes.pieceId, pieceMinutes.station], set })
      .prepare();
  });
  for (const row of done) keep.run(row);
  for (const row of stretches) insertWhereNone(db, cutStretches, row);
}

export function dropMinutes(db: Database): void {
  db.delete(pieceMinutes).run();
  db.delete(cutStretches).run();
}

/** Seconds of the newest pieces of an item at a station, the newest first. */
export const loadPieceSeconds = (db: Database, itemId: number, station: Station, newest: number): readonly number[] =>
  prepareOnce(db, 'seconds of pieces', () =>
    db
      .select({ seconds: pieceMinutes.seconds })
      .from(pieceMinutes)
      .where(
        and(eq(pieceMinutes.itemId, sql.placeholder('itemId')), eq(pieceMinutes.station, sql.placeholder('station'))),
      )
      .orderBy(desc(pieceMinutes.atMs), desc(pieceMinutes.pieceId))
      .limit(sql.placeholder('newest'))
      .prepare(),
  )
    .all({ itemId, station, newest })
    .map((row) => row.seconds);

/** The newest stretches at the cutter that an item was part of, with what else was cut in them. */
export function loadCutStretches(db: Database, itemId: number, newest: number): readonly CutStretch[] {
  const sessions = prepareOnce(db, 'newest cutting of an item', () =>
    db
      .select({ id: cutStretches.sessionId })
      .from(cutStretches)
      .where(eq(cutStretches.itemId, sql.placeholder('itemId')))
      .orderBy(desc(cutStretches.atMs), desc(cutStretches.sessionId))
      .limit(sql.placeholder('newest'))
      .prepare(),
  ).all({ itemId, newest });
  return prepareOnce(db, 'stretches at the cutter', () =>
    db.select().from(cutStretches).where(isInThose(cutStretches.sessionId)).orderBy(cutStretches.sessionId).prepare(),
  ).all(those(sessions.map(({ id }) => id)));
}

export type LoggedPart = {
  readonly id: number;
  readonly pieceId: number;
  readonly itemId: number;
  readonly layerIndex: number;
  readonly partsOfPiece: number;
  readonly quote: LineQuote;
};

/** Of the pieces that these parts are of, all parts: their item, and what their line was calculated at. */
export function loadPartsOfPieces(db: Database, partIds: readonly number[]): readonly LoggedPart[] {
  const rows = prepareOnce(db, 'parts of pieces', () => {
    const touched = db.select({ id: parts.pieceId }).from(parts).where(isInThose(parts.id)).as('touched');
    return db
      .selectDistinct({
        id: parts.id,
        pieceId: parts.pieceId,
        layerIndex: parts.layerIndex,
        lineId: pieces.lineId,
        partsOfPiece: sql<number>`(select count(*) from parts other where other.piece_id = ${parts.pieceId})`,
      })
      .from(touched)
      .innerJoin(parts, eq(parts.pieceId, touched.id))
      .innerJoin(pieces, eq(pieces.id, parts.pieceId))
      .orderBy(parts.id)
      .prepare();
  }).all(those(partIds));
  const lines = new Map(
    prepareOnce(db, 'quotes of lines', () =>
      db
        .select({ id: orderLines.id, itemId: orderLines.itemId, quote: orderLines.quote })
        .from(orderLines)
        .where(isInThose(orderLines.id))
        .prepare(),
    )
      .all(those([...new Set(rows.map((row) => row.lineId))]))
      .map((line) => [line.id, line]),
  );
  return rows.map(({ lineId, ...row }) => {
    const { itemId, quote } = lines.get(lineId)!;
    return { ...row, itemId, quote };
  });
}
