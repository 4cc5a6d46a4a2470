// Lots and the ledger of stock.

import { and, asc, desc, eq, gt, inArray, ne, sql, type SQL } from 'drizzle-orm';
import {
  sumLines,
  USE_CAUSES,
  type SpoiledSpot,
  type Lot,
  type LotForm,
  type OffcutShape,
  type StockCause,
} from '../core/stock';
import type { Database } from './database';
import { isIn } from './is-in';
import { insertRow, insertRows, prepareOnce } from './prepared';
import { lots, stockLines } from './schema';

export type StoredLot = Lot & {
  readonly left: number;
  readonly shape: OffcutShape | null;
  readonly spoiledSpots: readonly SpoiledSpot[];
  readonly code: string | null;
  readonly supplierId: number | null;
  readonly fromLotId: number | null;
  readonly remark: string;
};
export type NewLot = {
  readonly key: string;
  readonly form: LotForm;
  readonly widthMm: number | null;
  readonly lengthMm: number | null;
  readonly shape?: OffcutShape;
  readonly spoiledSpots?: readonly SpoiledSpot[];
  readonly code?: string;
  readonly receivedAtMs: number;
  readonly unitCost: number;
  readonly supplierId?: number | null;
  readonly fromLotId?: number;
  readonly remark?: string;
};
/** `sessionId`: the work at the bench that took it; null where it was booked by hand. */
export type StoredLine = {
  readonly id: number;
  readonly lotId: number;
  readonly atMs: number;
  readonly cause: StockCause;
  readonly quantity: number;
  readonly note: string;
};

export const insertLot = (db: Database, lot: NewLot): number => insertRow(db, lots, lot);

export const findLots = (db: Database, ids: readonly number[]): readonly StoredLot[] =>
  ids.length === 0 ? [] : db.select().from(lots).where(isIn(lots.id, ids)).all();
export const findLot = (db: Database, id: number): StoredLot | null =>
  prepareOnce(db, 'lot', () =>
    db
      .select()
      .from(lots)
      .where(eq(lots.id, sql.placeholder('id')))
      .prepare(),
  ).get({ id }) ?? null;

/** Lots of which something is left, oldest first; of one thing where `key` is given. */
export function loadLotsOnShelf(db: Database, key?: string): readonly StoredLot[] {
  const prepare = (which: SQL | undefined) =>
    db.select().from(lots).where(which).orderBy(asc(lots.receivedAtMs), asc(lots.id)).prepare();
  return key === undefined
    ? prepareOnce(db, 'lots on the shelf', () => prepare(gt(lots.left, 0))).all()
    : prepareOnce(db, 'lots of a thing', () =>
        prepare(and(eq(lots.key, sql.placeholder('key')), gt(lots.left, 0))),
      ).all({ key });
}

/** Lots that were bought and have something left, and the newest whatever is left of it; the oldest first. */
export const loadPricedLots = (db: Database, key: string): readonly StoredLot[] =>
  prepareOnce(db, 'priced lots', () =>
    db
      .select()
      .from(lots)
      .where(
        and(
          ne(lots.form, 'offcut'),
          eq(lots.key, sql.placeholder('key')),
          sql`(${lots.left} > 0 or ${lots.id} = (
            select id from lots newest where newest.key = ${sql.placeholder('key')} and newest.form <> 'offcut'
            order by newest.received_at_ms desc, newest.id desc limit 1
          ))`,
        ),
      )
      .orderBy(asc(lots.receivedAtMs), asc(lots.id))
      .prepare(),
  ).all({ key });

/**
 * Adds a line and brings the lot's sum up to date. Two statements: call it inside a transaction. The database refuses a
 * sum below 0.
 */
export function addStockLine(db: Database, line: Omit<StoredLine, 'id'> & { readonly sessionId?: number }): void {
  insertRows(db, stockLines, [line]);
  const lotId = sql.placeholder('lotId');
  const lot = prepareOnce(db, 'left of a lot', () =>
    db.select({ left: lots.left }).from(lots).where(eq(lots.id, lotId)).prepare(),
  ).get(line)!;
  prepareOnce(db, 'set left of a lot', () =>
    db
      .update(lots)
      .set({ left: sql`${sql.placeholder('left')}` })
      .where(eq(lots.id, lotId))
      .prepare(),
  ).run({ lotId: line.lotId, left: sumLines([{ quantity: lot.left }, line]) });
}

export function loadLines(db: Database, lotId: number): readonly StoredLine[] {
  return db.select().from(stockLines).where(eq(stockLines.lotId, lotId)).orderBy(asc(stockLines.id)).all();
}

/** What pieces of work took from the stock, and what was given back of it. */
export const loadLinesOfSession = (
  db: Database,
  sessionIds: readonly number[],
): readonly (StoredLine & { readonly sessionId: number | null })[] =>
  db.select().from(stockLines).where(isIn(stockLines.sessionId, sessionIds)).orderBy(asc(stockLines.id)).all();

export function loadNewestLines(db: Database, count: number): readonly (StoredLine & { readonly key: string })[] {
  return db
    .select({
      id: stockLines.id,
      lotId: stockLines.lotId,
      atMs: stockLines.atMs,
      cause: stockLines.cause,
      quantity: stockLines.quantity,
      note: stockLines.note,
      key: lots.key,
    })
    .from(stockLines)
    .innerJoin(lots, eq(lots.id, stockLines.lotId))
    .orderBy(desc(stockLines.id))
    .limit(count)
    .all();
}

/** What was cut, spoiled or sold of each lot since then, as a quantity above 0. */
export function loadUseOfLots(
  db: Database,
  sinceMs: number,
): readonly (Pick<StoredLot, 'key' | 'form' | 'widthMm' | 'lengthMm' | 'shape' | 'spoiledSpots'> & {
  readonly used: number;
})[] {
  return db
    .select({
      key: lots.key,
      form: lots.form,
      widthMm: lots.widthMm,
      lengthMm: lots.lengthMm,
      shape: lots.shape,
      spoiledSpots: lots.spoiledSpots,
      used: sql<number>`-sum(${stockLines.quantity})`,
    })
    .from(stockLines)
    .innerJoin(lots, eq(lots.id, stockLines.lotId))
    .where(and(gt(stockLines.atMs, sinceMs), inArray(stockLines.cause, [...USE_CAUSES])))
    .groupBy(stockLines.lotId)
    .all();
}

/** Keys of what lies there. */
export const loadStockedKeys = (db: Database): readonly string[] =>
  db
    .selectDistinct({ key: lots.key })
    .from(lots)
    .where(gt(lots.left, 0))
    .all()
    .map((row) => row.key);

/** When each thing was first taken in, by key. */
export const loadFirstReceived = (db: Database): ReadonlyMap<string, number> =>
  new Map(
    db
      .select({ key: lots.key, atMs: sql<number>`min(${lots.receivedAtMs})` })
      .from(lots)
      .groupBy(lots.key)
      .all()
      .map((row) => [row.key, row.atMs]),
  );

export const setRemark = (db: Database, id: number, remark: string): boolean =>
  db.update(lots).set({ remark }).where(eq(lots.id, id)).run().changes === 1;

export const setLotWidth = (db: Database, id: number, widthMm: number): boolean =>
  db.update(lots).set({ widthMm }).where(eq(lots.id, id)).run().changes === 1;

export const setSpoiledSpots = (db: Database, id: number, spoiledSpots: readonly SpoiledSpot[]): boolean =>
  db.update(lots).set({ spoiledSpots }).where(eq(lots.id, id)).run().changes === 1;

export const isCodeTaken = (db: Database, code: string): boolean =>
  db
    .select({ id: lots.id })
    .from(lots)
    .where(and(eq(lots.code, code), gt(lots.left, 0)))
    .get() !== undefined;

export const countOffcuts = (db: Database): number =>
  db
    .select({ count: sql<number>`count(*)` })
    .from(lots)
    .where(eq(lots.form, 'offcut'))
    .get()!.count;

/** Lots whose sum is not that of their lines; none, unless the file was changed by hand. */
export function findUnbalancedLots(db: Database): readonly number[] {
  return db
    .select({ id: lots.id })
    .from(lots)
    .leftJoin(stockLines, eq(stockLines.lotId, lots.id))
    .groupBy(lots.id)
    .having(sql`abs(coalesce(sum(${stockLines.quantity}), 0) - ${lots.left}) > 0.05`)
    .all()
    .map((row) => row.id);
}

export const loadLots = (db: Database, ids: readonly number[]): readonly StoredLot[] =>
  db.select().from(lots).where(isIn(lots.id, ids)).all();
