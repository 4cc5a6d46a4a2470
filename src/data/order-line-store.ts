// Lines of orders with their pieces and parts: added, and let go when they are not wanted any more.

import { eq, sql } from 'drizzle-orm';
import type { Made } from '../core/costing';
import type { LineQuote, LineText, PieceGone } from '../core/orders';
import type { Minor } from '../core/units';
import type { Database } from './database';
import { isIn } from './is-in';
import { insertRow, insertRows, prepareOnce } from './prepared';
import { orderLines, parts, pieces } from './schema';

export type LineFields = {
  readonly itemId: number;
  readonly quantity: number;
  readonly sizeName: string;
  readonly colourName: string;
  /** Null in orders older than that was kept. */
  readonly made: Made | null;
  readonly quote: LineQuote;
  /** Places in the options of the item. */
  readonly options: readonly number[];
  readonly texts: readonly LineText[];
  readonly note: string;
  /** Asked for one piece, minor units; null in orders older than that was kept. */
  readonly each: Minor | null;
  /** The list of names it came from, and which line of it. */
  readonly rosterId: number | null;
  readonly rosterRow: number | null;
};
/** What most lines go without may be left out. */
export type NewLine = Omit<LineFields, Optional> & Partial<Pick<LineFields, Optional>>;
type Optional = 'options' | 'texts' | 'note' | 'each' | 'rosterId' | 'rosterRow';

/** More lines of an order, with their pieces. Call it inside a transaction. */
export function insertLines(db: Database, orderId: number, lines: readonly NewLine[]): void {
  let number = findLastNumber(db, orderId);
  for (const { quantity, ...line } of lines) {
    const lineId = insertRow(db, orderLines, { ...line, quantity, orderId, words: toWords(line.texts ?? []) });
    insertPieces(db, { lineId, vinylIds: listVinylsOf(line.made), numbers: takeNumbers(number, quantity) });
    number += quantity;
  }
}

/** More pieces of a line, made like the others. Call it inside a transaction. */
export function insertMorePieces(db: Database, orderId: number, lineId: number, count: number): void {
  const line = db.select({ made: orderLines.made }).from(orderLines).where(eq(orderLines.id, lineId)).get()!;
  const numbers = takeNumbers(findLastNumber(db, orderId), count);
  insertPieces(db, { lineId, vinylIds: listVinylsOf(line.made), numbers });
  db.update(orderLines)
    .set({ quantity: sql`${orderLines.quantity} + ${count}` })
    .where(eq(orderLines.id, lineId))
    .run();
}

/** What was said of a line that stays. Call it inside a transaction. */
export function updateLine(db: Database, id: number, fields: Pick<LineFields, 'note' | 'each'>): void {
  db.update(orderLines).set(fields).where(eq(orderLines.id, id)).run();
}

/** These pieces are not wanted any more. Call it inside a transaction. */
export function setPiecesGone(
  db: Database,
  gone: readonly { readonly pieceId: number; readonly gone: PieceGone }[],
): void {
  for (const { pieceId, gone: fate } of gone) db.update(pieces).set({ gone: fate }).where(eq(pieces.id, pieceId)).run();
  const lineIds = db
    .selectDistinct({ id: pieces.lineId })
    .from(pieces)
    .where(
      isIn(
        pieces.id,
        gone.map(({ pieceId }) => pieceId),
      ),
    )
    .all();
  for (const { id } of lineIds)
    db.update(orderLines)
      .set({
        quantity: sql`max(1, (select count(*) from ${pieces} where ${pieces.lineId} = ${id} and ${pieces.gone} is null))`,
      })
      .where(eq(orderLines.id, id))
      .run();
}

const findLastNumber = (db: Database, orderId: number): number =>
  prepareOnce(db, 'last number of an order', () =>
    db
      .select({ last: sql<number>`coalesce(max(${pieces.number}), 0)` })
      .from(pieces)
      .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
      .where(eq(orderLines.orderId, sql.placeholder('orderId')))
      .prepare(),
  ).get({ orderId })!.last;

const takeNumbers = (after: number, count: number): readonly number[] =>
  Array.from({ length: count }, (_, at) => after + 1 + at);

const listVinylsOf = (made: Made | null): readonly number[] =>
  made?.placements.flatMap((placement) => placement.vinylIds) ?? [];

function insertPieces(
  db: Database,
  {
    lineId,
    vinylIds,
    numbers,
  }: { readonly lineId: number; readonly vinylIds: readonly number[]; readonly numbers: readonly number[] },
): void {
  const pieceIds = insertRows(
    db,
    pieces,
    numbers.map((number) => ({ lineId, number })),
  );
  insertRows(
    db,
    parts,
    pieceIds.flatMap((pieceId) => vinylIds.map((vinylId, layerIndex) => ({ pieceId, layerIndex, vinylId }))),
  );
}

/** As an order is found by what is on its pieces. */
const toWords = (texts: readonly LineText[]): string =>
  texts
    .map(({ text }) => text)
    .join(' ')
    .toLowerCase();

/** What was compared with the customer's own words. */
export function setReadBack(db: Database, lineIds: readonly number[], atMs: number | null): void {
  db.update(orderLines).set({ readBackAtMs: atMs }).where(isIn(orderLines.id, lineIds)).run();
}
