// Orders with their customers, lines, pieces, parts, and the events of both. Events are only ever added.

import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Made } from '../core/costing';
import {
  decideStanding,
  type LineQuote,
  type LineText,
  type OrderEvent,
  type OrderEventKind,
  type PartEvent,
  type PartNow,
  type PieceGone,
} from '../core/orders';
import { groupBy, type Minor } from '../core/units';
import { inTransaction, type Database } from './database';
import { isIn } from './is-in';
import { insertRow, insertRows, prepareOnce } from './prepared';
import { customers, orderEvents, orderLines, orders, partEvents, parts, pieces } from './schema';
import { toCustomer, type StoredCustomer } from './customer-store';

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
  /** The list of names it came from, and which line of it. */
  readonly rosterId: number | null;
  readonly rosterRow: number | null;
};
/** What most lines go without may be left out. */
export type NewLine = Omit<LineFields, 'options' | 'texts' | 'note' | 'rosterId' | 'rosterRow'> &
  Partial<Pick<LineFields, 'options' | 'texts' | 'note' | 'rosterId' | 'rosterRow'>>;
export type StoredLine = LineFields & { readonly id: number; readonly readBackAtMs: number | null };
type StoredEvent = OrderEvent & { readonly atMs: number; readonly detail: string };
/** Where a part is, as it is kept with each step. */
export type StandingPart = PartNow & {
  readonly id: number;
  readonly pieceId: number;
  readonly pieceNumber: number;
  readonly lineId: number;
  readonly layerIndex: number;
  readonly vinylId: number;
  /** What became of its piece where it is not wanted any more; null for one that is. */
  readonly gone: PieceGone | null;
};
export type StoredPart = StandingPart & { readonly events: readonly PartEvent[] };
/** An order as it stands: without what happened to each of its parts. */
export type StandingOrder = {
  readonly id: number;
  readonly customer: StoredCustomer;
  readonly title: string;
  readonly dueDay: string;
  readonly agreed: Minor;
  readonly deposit: Minor;
  readonly paid: Minor;
  readonly note: string;
  readonly placedAtMs: number;
  readonly version: number;
  readonly lines: readonly StoredLine[];
  /** Lines of which no piece is wanted any more. */
  readonly goneLines: readonly StoredLine[];
  /** Of pieces that are wanted. */
  readonly parts: readonly StandingPart[];
  /** Of pieces that were ordered and are not wanted any more. */
  readonly goneParts: readonly StandingPart[];
  readonly events: readonly StoredEvent[];
};
export type StoredOrder = Omit<StandingOrder, 'parts' | 'goneParts'> & {
  readonly parts: readonly StoredPart[];
  readonly goneParts: readonly StoredPart[];
};
export type NewOrder = {
  readonly customerId: number;
  readonly title: string;
  readonly dueDay: string;
  readonly agreed: Minor;
  readonly deposit?: Minor;
  readonly note: string;
  readonly placedAtMs: number;
  readonly lines: readonly NewLine[];
};

/** Ids of open orders, the soonest due first. */
export function findOpenOrderIds(db: Database): readonly number[] {
  return db
    .select({ id: orders.id })
    .from(orders)
    .where(isNull(orders.closedAtMs))
    .orderBy(asc(orders.dueDay), asc(orders.id))
    .all()
    .map((row) => row.id);
}

export const findOrderIdsOfLines = (db: Database, lineIds: readonly number[]): readonly number[] =>
  db
    .selectDistinct({ id: orderLines.orderId })
    .from(orderLines)
    .where(isIn(orderLines.id, lineIds))
    .all()
    .map((row) => row.id);

export function findOrderIdsOfParts(db: Database, partIds: readonly number[]): readonly number[] {
  return db
    .selectDistinct({ id: orderLines.orderId })
    .from(parts)
    .innerJoin(pieces, eq(pieces.id, parts.pieceId))
    .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
    .where(isIn(parts.id, partIds))
    .all()
    .map((row) => row.id);
}

/** The orders in the order asked for, with all that happened to their parts; ids that are not there are left out. */
export function loadOrders(db: Database, ids: readonly number[]): readonly StoredOrder[] {
  const standing = loadStandingOrders(db, ids);
  const events = loadPartEvents(db, ids);
  const withEvents = (part: StandingPart): StoredPart => ({ ...part, events: events.get(part.id) ?? [] });
  return standing.map((order) => ({
    ...order,
    parts: order.parts.map(withEvents),
    goneParts: order.goneParts.map(withEvents),
  }));
}

/** The orders in the order asked for; ids that are not there are left out. */
export function loadStandingOrders(db: Database, ids: readonly number[]): readonly StandingOrder[] {
  if (ids.length === 0) return [];
  const wanted = [...ids];
  const heads = db
    .select()
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(isIn(orders.id, wanted))
    .all();
  const lines = groupBy(
    db.select().from(orderLines).where(isIn(orderLines.orderId, wanted)).orderBy(asc(orderLines.id)).all(),
    (line) => line.orderId,
  );
  const happened = groupBy(
    db.select().from(orderEvents).where(isIn(orderEvents.orderId, wanted)).orderBy(asc(orderEvents.id)).all(),
    (event) => event.orderId,
  );
  const ownParts = groupBy(loadParts(db, wanted), (part) => part.orderId);
  const byId = new Map(
    heads.map(
      ({
        orders: { customerId: _customerId, closedAtMs: _closedAtMs, standing: _standing, ...head },
        customers: customer,
      }): [number, StandingOrder] => {
        const own = (ownParts.get(head.id) ?? []).map(({ orderId: _orderId, ...part }) => part);
        const parts = own.filter((part) => part.gone === null);
        // A line whose pieces all went is none any more; the costs of what was begun stay with the order.
        const wanted = new Set(parts.map((part) => part.lineId));
        const begun = new Set(own.map((part) => part.lineId));
        const isGone = ({ id }: StoredLine) => begun.has(id) && !wanted.has(id);
        const stored = (lines.get(head.id) ?? []).map(({ orderId: _orderId, words: _words, ...line }) => line);
        return [
          head.id,
          {
            ...head,
            customer: toCustomer(customer),
            lines: stored.filter((line) => !isGone(line)),
            goneLines: stored.filter(isGone),
            parts,
            goneParts: own.filter((part) => part.gone !== null),
            events: (happened.get(head.id) ?? []).map(({ orderId: _orderId, ...event }) => event),
          },
        ];
      },
    ),
  );
  return ids.flatMap((id) => byId.get(id) ?? []);
}

const loadParts = (
  db: Database,
  orderIds: readonly number[],
): readonly (StandingPart & { readonly orderId: number })[] =>
  db
    .select({
      id: parts.id,
      pieceId: pieces.id,
      pieceNumber: pieces.number,
      lineId: pieces.lineId,
      layerIndex: parts.layerIndex,
      vinylId: parts.vinylId,
      state: parts.state,
      broken: parts.broken,
      gone: pieces.gone,
      orderId: orderLines.orderId,
    })
    .from(parts)
    .innerJoin(pieces, eq(pieces.id, parts.pieceId))
    .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
    .where(isIn(orderLines.orderId, orderIds))
    .orderBy(asc(pieces.number), asc(parts.layerIndex))
    .all();

/** By part. */
function loadPartEvents(db: Database, orderIds: readonly number[]): ReadonlyMap<number, readonly PartEvent[]> {
  const events = db
    .select({
      id: partEvents.id,
      partId: partEvents.partId,
      kind: partEvents.kind,
      atMs: partEvents.atMs,
      undoes: partEvents.undoes,
      cause: partEvents.cause,
      blankLost: partEvents.blankLost,
      sessionId: partEvents.sessionId,
      vinylCost: partEvents.vinylCost,
      blankCost: partEvents.blankCost,
      wearCost: partEvents.wearCost,
    })
    .from(partEvents)
    .innerJoin(parts, eq(parts.id, partEvents.partId))
    .innerJoin(pieces, eq(pieces.id, parts.pieceId))
    .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
    .where(isIn(orderLines.orderId, orderIds))
    .orderBy(asc(partEvents.id))
    .all();
  return groupBy(events, (event) => event.partId);
}

export const findOrder = (db: Database, id: number): StoredOrder | null => loadOrders(db, [id])[0] ?? null;

/**
 * The new order with its pieces (numbered through the order) and a part for each layer. Call it inside a transaction.
 * `as`: agreed at once, or talked about.
 */
export function insertOrder(db: Database, { lines, ...head }: NewOrder, as: 'placed' | 'wished' = 'placed'): number {
  const id = insertRow(db, orders, head);
  insertLines(db, id, lines);
  addOrderEvent(db, id, as, head.placedAtMs);
  return id;
}

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
  db
    .select({ last: sql<number>`coalesce(max(${pieces.number}), 0)` })
    .from(pieces)
    .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
    .where(eq(orderLines.orderId, orderId))
    .get()!.last;

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

/** False when it was changed since `version` was read. */
export function updateOrder(
  db: Database,
  id: number,
  fields: Pick<StandingOrder, 'title' | 'dueDay' | 'agreed' | 'deposit' | 'note'>,
  version: number,
): boolean {
  const { title, dueDay, agreed, deposit, note } = fields;
  return (
    db
      .update(orders)
      .set({ title, dueDay, agreed, deposit, note, version: sql`${orders.version} + 1` })
      .where(and(eq(orders.id, id), eq(orders.version, version)))
      .run().changes === 1
  );
}

/** Its lines changed: whoever holds an older version is refused. False when it was changed since `version` was read. */
export const raiseOrderVersion = (db: Database, id: number, version: number): boolean =>
  db
    .update(orders)
    .set({ version: sql`${orders.version} + 1` })
    .where(and(eq(orders.id, id), eq(orders.version, version)))
    .run().changes === 1;

/** Adds what happened, and with it where the order stands. The new event's id. */
export function addOrderEvent(
  db: Database,
  orderId: number,
  kind: OrderEventKind,
  atMs: number,
  { detail = '', undoes = null }: { readonly detail?: string; readonly undoes?: number | null } = {},
): number {
  return inTransaction(db, () => {
    const id = insertRow(db, orderEvents, { orderId, kind, atMs, detail, undoes });
    if (kind !== 'changed' && kind !== 'noted') keepStanding(db, orderId, atMs);
    return id;
  });
}

function keepStanding(db: Database, orderId: number, atMs: number): void {
  const events = prepareOnce(db, 'events of an order', () =>
    db
      .select({ id: orderEvents.id, kind: orderEvents.kind, undoes: orderEvents.undoes })
      .from(orderEvents)
      .where(eq(orderEvents.orderId, sql.placeholder('orderId')))
      .orderBy(asc(orderEvents.id))
      .prepare(),
  ).all({ orderId });
  const standing = decideStanding(events);
  // Closed when it left the shop; paying what was owed does not move that day.
  prepareOnce(db, 'keep where an order stands', () =>
    db
      .update(orders)
      .set({
        standing: sql`${sql.placeholder('standing')}`,
        closedAtMs: sql`case when ${sql.placeholder('open')} then null else coalesce(${orders.closedAtMs}, ${sql.placeholder('atMs')}) end`,
      })
      .where(eq(orders.id, sql.placeholder('orderId')))
      .prepare(),
  ).run({ orderId, standing, open: standing === 'open' ? 1 : 0, atMs });
}
