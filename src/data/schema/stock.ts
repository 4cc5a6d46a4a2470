// Lots and the ledger of stock.

import { sql } from 'drizzle-orm';
import {
  check,
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
  type AnySQLiteColumn,
} from 'drizzle-orm/sqlite-core';
import type { SpoiledSpot, LotForm, OffcutShape, StockCause } from '../../core/stock';
import { id } from '../columns';
import { suppliers } from './suppliers';
import { workSessions } from './work-sessions';
import { storedJson } from '../stored-json';

export const lots = sqliteTable(
  'lots',
  {
    id: id(),
    key: text('key').notNull(),
    form: text('form').$type<LotForm>().notNull(),
    widthMm: real('width_mm'),
    lengthMm: real('length_mm'),
    shape: storedJson<OffcutShape>('shape'),
    /** Of an offcut: what is spoiled of it. */
    spoiledSpots: storedJson<readonly SpoiledSpot[]>('spoiled_spots').notNull().default([]),
    /** Written on an offcut. */
    code: text('code'),
    receivedAtMs: integer('received_at_ms').notNull(),
    unitCost: real('unit_cost').notNull(),
    supplierId: integer('supplier_id').references(() => suppliers.id),
    /** The lot that an offcut was cut from. */
    fromLotId: integer('from_lot_id').references((): AnySQLiteColumn => lots.id),
    remark: text('remark').notNull().default(''),
    /** The sum of its lines, kept so that lists need not read them; the check makes negative stock impossible. */
    left: real('left').notNull().default(0),
  },
  (table) => [
    index('lots_by_key').on(table.key),
    index('lots_by_source')
      .on(table.fromLotId)
      .where(sql`${table.fromLotId} is not null`),
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
    sessionId: integer('session_id').references(() => workSessions.id),
  },
  (table) => [
    index('stock_lines_by_session')
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
