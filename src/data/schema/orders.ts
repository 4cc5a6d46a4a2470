// Orders with their customers, lines, pieces and parts, and what happened to them.

import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text, uniqueIndex, type AnySQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { Made } from '../../core/costing';
import { PLAIN_TERMS } from '../../core/orders';
import type {
  LineQuote,
  LineText,
  OrderEventKind,
  OrderTerms,
  PartState,
  PaymentKind,
  PieceGone,
  ProofContent,
  RecutBits,
} from '../../core/orders';
import type { Minor } from '../../core/units';
import { archivedAtMs, id, money, version } from '../columns';
import { items } from './items';
import { vinyls } from './shelf';
import { storedJson } from '../stored-json';

/** People: several may bear one name, and are told apart by how they are reached. */
export const customers = sqliteTable(
  'customers',
  {
    id: id(),
    name: text('name').notNull(),
    contact: text('contact').notNull(),
    address: text('address').notNull().default(''),
    note: text('note').notNull().default(''),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [index('customers_by_name').on(table.name)],
);

/** Whether an order is still worked on; follows from its events. */
export type OrderStanding = 'open' | 'handed-over' | 'closed' | 'cancelled';

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
    standing: text('standing').$type<OrderStanding>().notNull().default('open'),
    /** What is given off, asked on top, and how it gets to the customer. */
    terms: storedJson<OrderTerms>('terms').notNull().default(PLAIN_TERMS),
    /** What was asked for before the work begins. */
    deposit: money('deposit')
      .notNull()
      .default(0 as Minor),
    /** Payments less refunds; kept with each of them, so that lists need not read them. Tips are not in it. */
    paid: money('paid')
      .notNull()
      .default(0 as Minor),
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
    index('orders_owed')
      .on(table.dueDay)
      .where(sql`${table.standing} in ('open', 'handed-over') and ${table.paid} < ${table.agreed}`),
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
    /** What its pieces say, by the name of the text in the item. */
    texts: storedJson<readonly LineText[]>('texts').notNull().default([]),
    /** The same as one line in lower case, to be found by. */
    words: text('words').notNull().default(''),
    note: text('note').notNull().default(''),
    /** Asked for one piece; null in orders older than that was kept. */
    each: money('each'),
    /** Places in the options of its item. */
    options: storedJson<readonly number[]>('options').notNull().default([]),
    /** The list it came from, and which row of it, from 1. */
    rosterId: integer('roster_id').references((): AnySQLiteColumn => rosters.id),
    rosterRow: integer('roster_row'),
    /** Compared with the customer's own words before it is cut; null where nobody has. */
    readBackAtMs: integer('read_back_at_ms'),
  },
  (table) => [
    index('order_lines_by_order').on(table.orderId),
    index('order_lines_by_words')
      .on(table.words)
      .where(sql`${table.words} <> ''`),
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
    /** What became of a piece that was ordered and is not wanted any more; null for one that is. */
    gone: text('gone').$type<PieceGone>(),
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
    /** What of it is made anew; null for all of it. */
    recut: storedJson<RecutBits>('recut'),
  },
  (table) => [uniqueIndex('parts_once').on(table.pieceId, table.layerIndex), index('parts_by_vinyl').on(table.vinylId)],
);

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
    /** For 'undone': the step taken back. */
    undoes: integer('undoes').references((): AnySQLiteColumn => orderEvents.id),
  },
  (table) => [index('order_events_by_order').on(table.orderId)],
);

/** What was paid, given back, or given on top; one entered wrongly is taken back, never removed. */
export const payments = sqliteTable(
  'payments',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id, { onDelete: 'cascade' }),
    kind: text('kind').$type<PaymentKind>().notNull(),
    amount: money('amount').notNull(),
    /** Cash, card, transfer: a word. */
    means: text('means').notNull(),
    atMs: integer('at_ms').notNull(),
    takenBackAtMs: integer('taken_back_at_ms'),
  },
  (table) => [index('payments_by_order').on(table.orderId), check('payments_amount', sql`${table.amount} > 0`)],
);

/** A list of names as it came, kept exactly. */
export const rosters = sqliteTable('rosters', {
  id: id(),
  source: text('source').notNull(),
  atMs: integer('at_ms').notNull(),
});

/** What a customer was shown, in its own words; never changed after. */
export const proofs = sqliteTable(
  'proofs',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id, { onDelete: 'cascade' }),
    /** From 1, of its order. */
    number: integer('number').notNull(),
    content: storedJson<ProofContent>('content').notNull(),
    /** Hard to guess: the address under which it can be read. */
    token: text('token').notNull(),
    atMs: integer('at_ms').notNull(),
    approvedAtMs: integer('approved_at_ms'),
    approvedBy: text('approved_by'),
  },
  (table) => [
    uniqueIndex('proofs_once').on(table.orderId, table.number),
    uniqueIndex('proofs_by_token').on(table.token),
  ],
);
