// Orders with their customers, lines, pieces, parts, and the events of both. Events are only ever added.

import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { OrderEvent, OrderTerms, PartEvent, PartNow, PieceGone } from '../core/orders';
import { groupBy, type Minor } from '../core/units';
import type { Database } from './database';
import { isIn, isInThose, those } from './is-in';
import { addOrderEvent } from './order-event-store';
import { insertLines, type LineFields, type NewLine } from './order-line-store';
import { insertRow, prepareOnce } from './prepared';
import { customers, orderEvents, orderLines, orders, partEvents, parts, pieces } from './schema';
import { toCustomer, type StoredCustomer } from './customer-store';

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
  readonly terms: OrderTerms;
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
  readonly terms?: OrderTerms;
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
  const statement = prepareOnce(db, 'orders of parts', () =>
    db
      .selectDistinct({ id: orderLines.orderId })
      .from(parts)
      .innerJoin(pieces, eq(pieces.id, parts.pieceId))
      .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
      .where(isInThose(parts.id))
      .prepare(),
  );
  return statement.all(those(partIds)).map((row) => row.id);
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
  const wanted = those(ids);
  const heads = prepareHeads(db).all(wanted);
  const lines = groupBy(prepareLines(db).all(wanted), (line) => line.orderId);
  const happened = groupBy(prepareEvents(db).all(wanted), (event) => event.orderId);
  const ownParts = groupBy(prepareParts(db).all(wanted), (part) => part.orderId);
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

const prepareHeads = (db: Database) =>
  prepareOnce(db, 'orders', () =>
    db
      .select()
      .from(orders)
      .innerJoin(customers, eq(customers.id, orders.customerId))
      .where(isInThose(orders.id))
      .prepare(),
  );
const prepareLines = (db: Database) =>
  prepareOnce(db, 'lines of orders', () =>
    db.select().from(orderLines).where(isInThose(orderLines.orderId)).orderBy(asc(orderLines.id)).prepare(),
  );
const prepareEvents = (db: Database) =>
  prepareOnce(db, 'events of orders', () =>
    db.select().from(orderEvents).where(isInThose(orderEvents.orderId)).orderBy(asc(orderEvents.id)).prepare(),
  );

const prepareParts = (db: Database) =>
  prepareOnce(db, 'parts of orders', () =>
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
        recut: parts.recut,
        gone: pieces.gone,
        orderId: orderLines.orderId,
      })
      .from(parts)
      .innerJoin(pieces, eq(pieces.id, parts.pieceId))
      .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
      .where(isInThose(orderLines.orderId))
      .orderBy(asc(pieces.number), asc(parts.layerIndex))
      .prepare(),
  );

/** By part. */
function loadPartEvents(db: Database, orderIds: readonly number[]): ReadonlyMap<number, readonly PartEvent[]> {
  const statement = prepareOnce(db, 'part events of orders', () =>
    db
      .select({
        id: partEvents.id,
        partId: partEvents.partId,
        kind: partEvents.kind,
        atMs: partEvents.atMs,
        undoes: partEvents.undoes,
        cause: partEvents.cause,
        blankLost: partEvents.blankLost,
        recut: partEvents.recut,
        sessionId: partEvents.sessionId,
        lotId: partEvents.lotId,
        vinylCost: partEvents.vinylCost,
        blankCost: partEvents.blankCost,
        wearCost: partEvents.wearCost,
      })
      .from(partEvents)
      .innerJoin(parts, eq(parts.id, partEvents.partId))
      .innerJoin(pieces, eq(pieces.id, parts.pieceId))
      .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
      .where(isInThose(orderLines.orderId))
      .orderBy(asc(partEvents.id))
      .prepare(),
  );
  return groupBy(statement.all(those(orderIds)), (event) => event.partId);
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

/** False when it was changed since `version` was read. */
export function updateOrder(
  db: Database,
  id: number,
  fields: Pick<StandingOrder, 'title' | 'dueDay' | 'agreed' | 'terms' | 'deposit' | 'note'>,
  version: number,
): boolean {
  const { title, dueDay, agreed, terms, deposit, note } = fields;
  return (
    db
      .update(orders)
      .set({ title, dueDay, agreed, terms, deposit, note, version: sql`${orders.version} + 1` })
      .where(and(eq(orders.id, id), eq(orders.version, version)))
      .run().changes === 1
  );
}

/** Its lines changed: whoever holds an older version is refused. False when it was changed since `version` was read. */
export const updateAgreed = (db: Database, id: number, agreed: Minor, version: number): boolean =>
  db
    .update(orders)
    .set({ agreed, version: sql`${orders.version} + 1` })
    .where(and(eq(orders.id, id), eq(orders.version, version)))
    .run().changes === 1;
