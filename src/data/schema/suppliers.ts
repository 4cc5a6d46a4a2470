// Suppliers and what they offer.

import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { archivedAtMs, id, money, version } from '../columns';

export const suppliers = sqliteTable(
  'suppliers',
  {
    id: id(),
    name: text('name').notNull(),
    email: text('email').notNull().default(''),
    shipping: money('shipping').notNull(),
    freeFrom: money('free_from'),
    minimumOrder: money('minimum_order'),
    leadDays: integer('lead_days').notNull(),
    /** The price list file of a simulated supplier, which can be fetched again. */
    listFile: text('list_file'),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [
    uniqueIndex('suppliers_once').on(table.name),
    check('suppliers_sound', sql`${table.shipping} >= 0 and ${table.leadDays} >= 0`),
  ],
);

export const offers = sqliteTable(
  'offers',
  {
    id: id(),
    supplierId: integer('supplier_id')
      .notNull()
      .references(() => suppliers.id),
    /** The supplier's own article number: what a new list is matched by. */
    code: text('code').notNull(),
    name: text('name').notNull(),
    price: money('price').notNull(),
    takeCount: integer('take_count'),
    payCount: integer('pay_count'),
    pricedAtMs: integer('priced_at_ms').notNull(),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [
    uniqueIndex('offers_once').on(table.supplierId, table.code),
    index('offers_by_name').on(table.name),
    check('offers_sound', sql`${table.price} >= 0 and (${table.takeCount} is null) = (${table.payCount} is null)`),
  ],
);

export const offerParts = sqliteTable(
  'offer_parts',
  {
    offerId: integer('offer_id')
      .notNull()
      .references(() => offers.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    /** What of the shelf it is; null until that is said. */
    key: text('key'),
    /** As the list calls it. */
    label: text('label').notNull(),
    count: integer('count').notNull(),
    widthMm: real('width_mm'),
    lengthMm: real('length_mm'),
  },
  (table) => [
    primaryKey({ columns: [table.offerId, table.position] }),
    index('offer_parts_by_key').on(table.key),
    check('offer_parts_count', sql`${table.count} >= 1`),
  ],
);

export const offerBreaks = sqliteTable(
  'offer_breaks',
  {
    offerId: integer('offer_id')
      .notNull()
      .references(() => offers.id, { onDelete: 'cascade' }),
    fromPacks: integer('from_packs').notNull(),
    price: money('price').notNull(),
  },
  (table) => [primaryKey({ columns: [table.offerId, table.fromPacks] })],
);

/** Every price an offer has had; only ever added to. */
export const offerPrices = sqliteTable(
  'offer_prices',
  {
    offerId: integer('offer_id')
      .notNull()
      .references(() => offers.id, { onDelete: 'cascade' }),
    atMs: integer('at_ms').notNull(),
    price: money('price').notNull(),
  },
  (table) => [primaryKey({ columns: [table.offerId, table.atMs] })],
);
