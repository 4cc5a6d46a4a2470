// How long pieces took at the stations, and stretches at the cutter, kept as work ends so that nobody reads the whole
// log to learn from it.

import { and, desc, eq, sql } from 'drizzle-orm';
import { type LineQuote, type Station } from '../core/orders';
import type { Database } from './database';
import { isIn } from './is-in';
import { cutStretches, orderLines, parts, pieceMinutes, pieces, weedStretches } from './schema';

export type PieceMinutes = typeof pieceMinutes.$inferSelect;
export type CutStretch = typeof cutStretches.$inferSelect;
export type WeedStretch = typeof weedStretches.$inferSelect;

export const insertWeedStretch = (db: Database, stretch: WeedStretch): void =>
  void db.insert(weedStretches).values(stretch).onConflictDoNothing().run();

/** The latest first. */
export const listWeedStretches = (db: Database, limit: number): readonly WeedStretch[] =>
  db.select().from(weedStretches).orderBy(desc(weedStretches.atMs)).limit(limit).all();
/** Items of the latest stretches at the cutter, the latest first. */
export const listCutStretches = (db: Database, limit: number): readonly CutStretch[] =>
  db.select().from(cutStretches).orderBy(desc(cutStretches.sessionId)).limit(limit).all();

/** In place of what was kept of those pieces and stretches. */
export function saveMinutes(
  db: Database,
  { pieces: done, stretches }: { readonly pieces: readonly PieceMinutes[]; readonly stretches: readonly CutStretch[] },
): void {
  for (const row of done) {
    const { seconds, atMs } = row;
    db.insert(pieceMinutes)
      .values(row)
      .onConflictDoUpdate({ target: [pieceMinutes.pieceId, pieceMinutes.station], set: { seconds, atMs } })
      .run();
  }
  for (const row of stretches) db.insert(cutStretches).values(row).onConflictDoNothing().run();
}

export function dropMinutes(db: Database): void {
  db.delete(pieceMinutes).run();
  db.delete(cutStretches).run();
}

/** Seconds of the newest pieces of an item at a station, the newest first. */
export const loadPieceSeconds = (db: Database, itemId: number, station: Station, newest: number): readonly number[] =>
  db
    .select({ seconds: pieceMinutes.seconds })
    .from(pieceMinutes)
    .where(and(eq(pieceMinutes.itemId, itemId), eq(pieceMinutes.station, station)))
    .orderBy(desc(pieceMinutes.atMs), desc(pieceMinutes.pieceId))
    .limit(newest)
    .all()
    .map((row) => row.seconds);

/** The newest stretches at the cutter that an item was part of, with what else was cut in them. */
export function loadCutStretches(db: Database, itemId: number, newest: number): readonly CutStretch[] {
  const sessions = db
    .select({ id: cutStretches.sessionId })
    .from(cutStretches)
    .where(eq(cutStretches.itemId, itemId))
    .orderBy(desc(cutStretches.atMs), desc(cutStretches.sessionId))
    .limit(newest)
    .all()
    .map((row) => row.id);
  return db
    .select()
    .from(cutStretches)
    .where(isIn(cutStretches.sessionId, sessions))
    .orderBy(cutStretches.sessionId)
    .all();
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
  const touched = db.select({ id: parts.pieceId }).from(parts).where(isIn(parts.id, partIds)).as('touched');
  const rows = db
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
    .all();
  const lines = new Map(
    db
      .select({ id: orderLines.id, itemId: orderLines.itemId, quote: orderLines.quote })
      .from(orderLines)
      .where(isIn(orderLines.id, [...new Set(rows.map((row) => row.lineId))]))
      .all()
      .map((line) => [line.id, line]),
  );
  return rows.map(({ lineId, ...row }) => {
    const { itemId, quote } = lines.get(lineId)!;
    return { ...row, itemId, quote };
  });
}
