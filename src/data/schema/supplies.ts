// What is used up besides vinyl and blanks, and what wears it.

import { sql } from 'drizzle-orm';
import { check, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { SupplyKind, Tack, WearLineKind } from '../../core/stock';
import { archivedAtMs, id, version } from '../columns';
import { workSessions } from './work-sessions';

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
    kind: text('kind').$type<WearLineKind>().notNull(),
    amount: real('amount').notNull(),
    /** What one of `amount` cost then, minor units; null where it was booked by hand. */
    unitCost: real('unit_cost'),
    /** The work at the bench that wore it; null where it was booked by hand. */
    sessionId: integer('session_id').references(() => workSessions.id),
    /** Where one is fitted: what the one before it had worn by then; null where there was none. */
    wornBefore: real('worn_before'),
  },
  (table) => [
    index('supply_wear_by_supply').on(table.supplyId, table.id),
    index('supply_wear_fitted')
      .on(table.supplyId, table.id, table.wornBefore)
      .where(sql`${table.kind} = 'fitted'`),
    index('supply_wear_by_session')
      .on(table.sessionId)
      .where(sql`${table.sessionId} is not null`),
    check('supply_wear_sound', sql`${table.amount} >= 0`),
  ],
);
