// The tables of suppliers and what they offer, of lots and the ledger of stock, and of purchases.

import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { SpoiledSpot, LotForm, OffcutShape, StockCause, SupplyKind, Tack, WearKind } from '../core/stock';
import { archivedAtMs, id, money, version } from './columns';

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

export const lots = sqliteTable(
  'lots',
  {
    id: id(),
    key: text('key').notNull(),
    form: text('form').$type<LotForm>().notNull(),
    widthMm: real('width_mm'),
    lengthMm: real('length_mm'),
    shape: text('shape', { mode: 'json' }).$type<OffcutShape>(),
    /** Of an offcut: what is spoiled of it. */
    spoiledSpots: text('bad_spots', { mode: 'json' }).$type<readonly SpoiledSpot[]>().notNull().default([]),
    /** Written on an offcut. */
    code: text('code'),
    receivedAtMs: integer('received_at_ms').notNull(),
    unitCost: real('unit_cost').notNull(),
    supplierId: integer('supplier_id').references(() => suppliers.id),
    /** The lot that an offcut was cut from. */
    fromLotId: integer('from_lot_id'),
    remark: text('remark').notNull().default(''),
    /** The sum of its lines, kept so that lists need not read them; the check makes negative stock impossible. */
    left: real('left').notNull().default(0),
  },
  (table) => [
    index('lots_by_key').on(table.key),
    index('lots_on_shelf')
      .on(table.key)
      .where(sql`${table.left} > 0`),
    uniqueIndex('lots_code_once')
      .on(table.code)
      .where(sql`${table.code} is not null and ${table.left} > 0`),
    check('lots_never_negative', sql`${table.left} >= 0`),
  ],
);

/** The ledger: only ever added to. */
export const stockLines = sqliteTable(
  'stock_lines',
  {
    id: id(),
    lotId: integer('lot_id')
      .notNull()
      .references(() => lots.id),
    atMs: integer('at_ms').notNull(),
    cause: text('cause').$type<StockCause>().notNull(),
    quantity: real('quantity').notNull(),
    note: text('note').notNull().default(''),
    /** The work at the bench that took it; null where it was booked by hand. */
    sessionId: integer('work_id'),
  },
  (table) => [
    index('stock_lines_by_work')
      .on(table.sessionId)
      .where(sql`${table.sessionId} is not null`),
    index('stock_lines_by_lot').on(table.lotId),
    index('stock_lines_by_time').on(table.atMs, table.cause, table.lotId, table.quantity),
  ],
);

/** Below this much of a thing, or below so many weeks of its use, more is bought. */
export const minimums = sqliteTable(
  'minimums',
  { key: text('key').primaryKey(), amount: real('amount'), coverWeeks: real('cover_weeks') },
  (table) => [
    check(
      'minimums_sound',
      sql`(${table.amount} is not null or ${table.coverWeeks} is not null) and coalesce(${table.amount}, 1) > 0 and coalesce(${table.coverWeeks}, 1) > 0`,
    ),
  ],
);

/** What is used up besides vinyl and blanks. */
export const supplies = sqliteTable(
  'supplies',
  {
    id: id(),
    name: text('name').notNull(),
    kind: text('kind').$type<SupplyKind>().notNull(),
    supplier: text('supplier').notNull(),
    widthMm: real('width_mm'),
    tack: text('tack').$type<Tack>(),
    angleDegrees: real('angle_degrees'),
    life: real('life'),
    note: text('note').notNull().default(''),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [
    index('supplies_by_name').on(table.name),
    check('supplies_life', sql`${table.life} is null or ${table.life} > 0`),
  ],
);

/** What wears a supply; only ever added to. */
export const supplyWear = sqliteTable(
  'supply_wear',
  {
    id: id(),
    supplyId: integer('supply_id')
      .notNull()
      .references(() => supplies.id),
    atMs: integer('at_ms').notNull(),
    kind: text('kind').$type<WearKind>().notNull(),
    amount: real('amount').notNull(),
    /** The work at the bench that wore it; null where it was booked by hand. */
    sessionId: integer('work_id'),
  },
  (table) => [
    index('supply_wear_by_supply').on(table.supplyId, table.id),
    check('supply_wear_sound', sql`${table.amount} >= 0`),
  ],
);

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
