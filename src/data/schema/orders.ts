// Orders with their customers, lines, pieces and parts, and what happened to them.

import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Made } from '../../core/costing';
import type { LineQuote, PartState } from '../../core/orders';
import { id, money, version } from '../columns';
import { items } from './items';
import { vinyls } from './shelf';
import { storedJson } from '../stored-json';

export const customers = sqliteTable(
  'customers',
  {
    id: id(),
    name: text('name').notNull(),
    contact: text('contact').notNull(),
  },
  (table) => [uniqueIndex('customers_once').on(table.name)],
);

export const orders = sqliteTable(
  'orders',
  {
    id: id(),
    customerId: integer('customer_id')
      .notNull()
      .references(() => customers.id),
    title: text('title').notNull(),
    /** YYYY-MM-DD, a day of the shop's own calendar. */
    dueDay: text('due_day').notNull(),
    agreed: money('agreed').notNull(),
    note: text('note').notNull(),
    placedAtMs: integer('placed_at_ms').notNull(),
    /**
     * Follows from the order's events (handed over or cancelled); kept so that the open ones are found without reading
     * all.
     */
    closedAtMs: integer('closed_at_ms'),
    version: version(),
  },
  (table) => [
    index('orders_open')
      .on(table.dueDay)
      .where(sql`${table.closedAtMs} is null`),
    index('orders_closed').on(table.closedAtMs),
    index('orders_closed_by_due')
      .on(table.dueDay)
      .where(sql`${table.closedAtMs} is not null`),
    index('orders_closed_by_title')
      .on(table.title)
      .where(sql`${table.closedAtMs} is not null`),
    index('orders_closed_by_agreed')
      .on(table.agreed)
      .where(sql`${table.closedAtMs} is not null`),
    index('orders_by_customer').on(table.customerId),
    check('orders_agreed', sql`${table.agreed} >= 0`),
  ],
);

export const orderLines = sqliteTable(
  'order_lines',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id, { onDelete: 'cascade' }),
    itemId: integer('item_id')
      .notNull()
      .references(() => items.id),
    quantity: integer('quantity').notNull(),
    sizeName: text('size_name').notNull(),
    colourName: text('colour_name').notNull(),
    /** How its pieces are made, as the item was when the order was taken; null in orders older than that was kept. */
    made: storedJson<Made>('made'),
    /** What one was calculated to cost when the order was taken; never changed after. */
    quote: storedJson<LineQuote>('quote').notNull(),
  },
  (table) => [
    index('order_lines_by_order').on(table.orderId),
    index('order_lines_by_item').on(table.itemId),
    check('order_lines_quantity', sql`${table.quantity} >= 1`),
  ],
);

/** One piece of a line. Numbered through the whole order. */
export const pieces = sqliteTable(
  'pieces',
  {
    id: id(),
    lineId: integer('line_id')
      .notNull()
      .references(() => orderLines.id, { onDelete: 'cascade' }),
    number: integer('number').notNull(),
    /** Of its parts, those that were cut, again and again counted; what was taken back never happened. */
    cuts: integer('cuts').notNull().default(0),
  },
  (table) => [index('pieces_by_line').on(table.lineId)],
);

/** One layer of one piece. */
export const parts = sqliteTable(
  'parts',
  {
    id: id(),
    pieceId: integer('piece_id')
      .notNull()
      .references(() => pieces.id, { onDelete: 'cascade' }),
    layerIndex: integer('layer_index').notNull(),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
    /** What its events come to, kept so that lists need not read them. */
    state: text('state').$type<PartState>().notNull().default('to-cut'),
    broken: integer('broken', { mode: 'boolean' }).notNull().default(false),
  },
  (table) => [uniqueIndex('parts_once').on(table.pieceId, table.layerIndex), index('parts_by_vinyl').on(table.vinylId)],
);

export type OrderEventKind = 'placed' | 'changed' | 'handed-over' | 'taken-back' | 'cancelled' | 'reopened';

export const orderEvents = sqliteTable(
  'order_events',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id, { onDelete: 'cascade' }),
    kind: text('kind').$type<OrderEventKind>().notNull(),
    atMs: integer('at_ms').notNull(),
    detail: text('detail').notNull(),
  },
  (table) => [index('order_events_by_order').on(table.orderId)],
);
