// Orders that came from a channel's file: each by the channel's own number, so that it is taken once.

import { sql } from 'drizzle-orm';
import { index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { FeedColumns, FeedOrder } from '../../core/feeds';
import { id } from '../columns';
import { storedJson } from '../stored-json';
import { items } from './items';
import { orders } from './orders';

/** `waiting`: for an article to be matched; `refused`: it could not be done as it came, and says why. */
export type FeedState = 'taken' | 'changed' | 'cancelled' | 'waiting' | 'refused';

export const feedOrders = sqliteTable(
  'feed_orders',
  {
    id: id(),
    reference: text('reference').notNull(),
    orderId: integer('order_id').references(() => orders.id),
    /** Of what it said last: the same again changes nothing. */
    digest: text('digest').notNull(),
    content: storedJson<FeedOrder>('content').notNull(),
    state: text('state').$type<FeedState>().notNull(),
    /** In words; empty where there is none. */
    problem: text('problem').notNull().default(''),
    file: text('file').notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (table) => [
    uniqueIndex('feed_orders_once').on(table.reference),
    index('feed_orders_by_time').on(table.atMs),
    index('feed_orders_open')
      .on(table.atMs)
      .where(sql`${table.state} in ('waiting', 'refused')`),
  ],
);

/** What the channel calls an item. */
export const feedItems = sqliteTable('feed_items', {
  article: text('article').primaryKey(),
  itemId: integer('item_id')
    .notNull()
    .references(() => items.id),
});

/** What it calls a size or a colour of an item, in lower case, and what the item's blank calls it. */
export const feedNames = sqliteTable(
  'feed_names',
  {
    kind: text('kind').$type<'size' | 'colour'>().notNull(),
    itemId: integer('item_id')
      .notNull()
      .references(() => items.id),
    name: text('name').notNull(),
    own: text('own').notNull(),
  },
  (table) => [primaryKey({ columns: [table.kind, table.itemId, table.name] })],
);

/** Which column of a file is which, by the whole of its first line: said once, then known. */
export const feedColumns = sqliteTable('feed_columns', {
  header: text('header').primaryKey(),
  columns: storedJson<FeedColumns>('columns').notNull(),
});
