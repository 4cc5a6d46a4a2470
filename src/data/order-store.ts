// Orders with their customers, lines, pieces, parts, and the events of both. Events are only ever added.

import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Made } from '../core/costing';
import type { LineQuote, PartEvent, PartNow } from '../core/orders';
import { groupBy, type Minor } from '../core/units';
import { inTransaction, type Database } from './database';
import { isIn } from './is-in';
import { insertRow, insertRows, prepareOnce } from './prepared';
import { customers, orderEvents, orderLines, orders, partEvents, parts, pieces, type OrderEventKind } from './schema';
import type { StoredCustomer } from './customer-store';

export type { OrderEventKind } from './schema';
export type LineFields = {
  readonly itemId: number;
  readonly quantity: number;
  readonly sizeName: string;
  readonly colourName: string;
  /** Null in orders older than that was kept. */
  readonly made: Made | null;
  readonly quote: LineQuote;
};
type StoredLine = LineFields & { readonly id: number };
/** Where a part is, as it is kept with each step. */
export type StandingPart = PartNow & {
  readonly id: number;
  readonly pieceId: number;
  readonly pieceNumber: number;
  readonly lineId: number;
  readonly layerIndex: number;
  readonly vinylId: number;
};
export type StoredPart = StandingPart & { readonly events: readonly PartEvent[] };
/** An order as it stands: without what happened to each of its parts. */
export type StandingOrder = {
  readonly id: number;
  readonly customer: StoredCustomer;
  readonly title: string;
  readonly dueDay: string;
  readonly agreed: Minor;
  readonly note: string;
  readonly placedAtMs: number;
  readonly version: number;
  readonly lines: readonly StoredLine[];
  readonly parts: readonly StandingPart[];
  readonly events: readonly { readonly kind: OrderEventKind; readonly atMs: number; readonly detail: string }[];
};
export type StoredOrder = Omit<StandingOrder, 'parts'> & { readonly parts: readonly StoredPart[] };
export type NewOrder = {
  readonly customerId: number;
  readonly title: string;
  readonly dueDay: string;
  readonly agreed: Minor;
  readonly note: string;
  readonly placedAtMs: number;
  readonly lines: readonly LineFields[];
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
  return standing.map((order) => ({
    ...order,
    parts: order.parts.map((part) => ({ ...part, events: events.get(part.id) ?? [] })),
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
        orders: { customerId: _customerId, closedAtMs: _closedAtMs, ...head },
        customers: customer,
      }): [number, StandingOrder] => [
        head.id,
        {
          ...head,
          customer,
          lines: (lines.get(head.id) ?? []).map(({ orderId: _orderId, ...line }) => line),
          parts: (ownParts.get(head.id) ?? []).map(({ orderId: _orderId, ...part }) => part),
          events: (happened.get(head.id) ?? []).map(({ kind, atMs, detail }) => ({ kind, atMs, detail })),
        },
      ],
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
 */
export function insertOrder(db: Database, { lines, ...head }: NewOrder): number {
  const id = insertRow(db, orders, head);
  let number = 0;
  for (const line of lines) {
    const vinylIds = line.made?.placements.flatMap((placement) => placement.vinylIds) ?? [];
    const lineId = insertRow(db, orderLines, { ...line, orderId: id });
    const numbered = Array.from({ length: line.quantity }, () => ({ lineId, number: ++number }));
    const pieceIds = insertRows(db, pieces, numbered);
    insertRows(
      db,
      parts,
      pieceIds.flatMap((pieceId) => vinylIds.map((vinylId, layerIndex) => ({ pieceId, layerIndex, vinylId }))),
    );
  }
  addOrderEvent(db, id, 'placed', head.placedAtMs);
  return id;
}

/** False when it was changed since `version` was read. */
export function updateOrder(
  db: Database,
  id: number,
  fields: { readonly title: string; readonly dueDay: string; readonly agreed: Minor; readonly note: string },
  version: number,
): boolean {
  const { title, dueDay, agreed, note } = fields;
  return (
    db
      .update(orders)
      .set({ title, dueDay, agreed, note, version: sql`${orders.version} + 1` })
      .where(and(eq(orders.id, id), eq(orders.version, version)))
      .run().changes === 1
  );
}

const CLOSES: Readonly<Record<OrderEventKind, boolean | null>> = {
  placed: null,
  changed: null,
  'handed-over': true,
  cancelled: true,
  'taken-back': false,
  reopened: false,
};

/** Adds what happened, and with it whether the order is closed. */
export function addOrderEvent(db: Database, orderId: number, kind: OrderEventKind, atMs: number, detail = ''): void {
  inTransaction(db, () => {
    insertRow(db, orderEvents, { orderId, kind, atMs, detail });
    const closes = CLOSES[kind];
    if (closes !== null)
      prepareOnce(db, 'close an order', () =>
        db
          .update(orders)
          .set({ closedAtMs: sql`${sql.placeholder('closedAtMs')}` })
          .where(eq(orders.id, sql.placeholder('orderId')))
          .prepare(),
      ).run({ orderId, closedAtMs: closes ? atMs : null });
  });
}
