// Orders to suppliers.

import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable } from 'drizzle-orm/sqlite-core';
import { id, money, version } from '../columns';
import { suppliers, offers } from './suppliers';

export const purchases = sqliteTable(
  'purchases',
  {
    id: id(),
    supplierId: integer('supplier_id')
      .notNull()
      .references(() => suppliers.id),
    placedAtMs: integer('placed_at_ms').notNull(),
    shipping: money('shipping').notNull(),
    closedAtMs: integer('closed_at_ms'),
    version: version(),
  },
  (table) => [
    index('purchases_open')
      .on(table.placedAtMs)
      .where(sql`${table.closedAtMs} is null`),
  ],
);

export const purchaseLines = sqliteTable(
  'purchase_lines',
  {
    id: id(),
    purchaseId: integer('purchase_id')
      .notNull()
      .references(() => purchases.id, { onDelete: 'cascade' }),
    offerId: integer('offer_id')
      .notNull()
      .references(() => offers.id),
    packs: integer('packs').notNull(),
    goods: money('goods').notNull(),
    receivedPacks: integer('received_packs').notNull().default(0),
    damagedPacks: integer('damaged_packs').notNull().default(0),
  },
  (table) => [
    index('purchase_lines_by_purchase').on(table.purchaseId),
    check(
      'purchase_lines_sound',
      sql`${table.packs} >= 1 and ${table.receivedPacks} >= 0 and ${table.damagedPacks} >= 0`,
    ),
  ],
);
