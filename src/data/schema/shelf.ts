// Vinyls and blanks.

import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type {
  BlankShape,
  Fabric,
  Heating,
  Peel,
  Pressure,
  PrintArea,
  VinylDetails,
  VinylKind,
} from '../../core/materials';
import { archivedAtMs, id, money, version } from '../columns';
import { storedJson } from '../stored-json';

/** Some of its recipes are the shop's own; the index stands and falls with these words. */
export const hasOwnPress = sql.raw(`json_extract("details", '$.value.ownPress') <> '{}'`);

export const vinyls = sqliteTable(
  'vinyls',
  {
    id: id(),
    name: text('name').notNull(),
    kind: text('kind').$type<VinylKind>().notNull(),
    supplier: text('supplier').notNull(),
    colourName: text('colour_name').notNull(),
    colourHex: text('colour_hex').notNull(),
    rollWidthMm: real('roll_width_mm').notNull(),
    rollLengthMm: real('roll_length_mm').notNull(),
    rollPrice: money('roll_price').notNull(),
    weedingFactor: real('weeding_factor').notNull(),
    /** All five or none: adhesive vinyl is not pressed. */
    pressLowC: real('press_low_c'),
    pressHighC: real('press_high_c'),
    pressSeconds: real('press_seconds'),
    pressPressure: text('press_pressure').$type<Pressure>(),
    pressPeel: text('press_peel').$type<Peel>(),
    /** What differs from the ordinary of its kind; always written and read whole. */
    details: storedJson<Partial<VinylDetails>>('details').notNull().default({}),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [
    index('vinyls_by_name').on(table.name),
    index('vinyls_with_own_press').on(table.name).where(hasOwnPress),
    check('vinyls_roll', sql`${table.rollWidthMm} > 0 and ${table.rollLengthMm} > 0 and ${table.rollPrice} >= 0`),
    check(
      'vinyls_press_whole',
      sql`(${table.pressLowC} is null) = (${table.pressHighC} is null) and (${table.pressLowC} is null) = (${table.pressSeconds} is null) and (${table.pressLowC} is null) = (${table.pressPressure} is null) and (${table.pressLowC} is null) = (${table.pressPeel} is null)`,
    ),
  ],
);

export const blanks = sqliteTable(
  'blanks',
  {
    id: id(),
    name: text('name').notNull(),
    supplier: text('supplier').notNull(),
    fabric: text('fabric').$type<Fabric>().notNull(),
    heating: text('heating').$type<Heating>().notNull(),
    areas: storedJson<readonly PrintArea[]>('areas').notNull().default([]),
    /** Which outline is drawn of it; null where its name tells. */
    shape: text('shape').$type<BlankShape>(),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [index('blanks_by_name').on(table.name)],
);

export const blankSizes = sqliteTable(
  'blank_sizes',
  {
    blankId: integer('blank_id')
      .notNull()
      .references(() => blanks.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    name: text('name').notNull(),
    price: money('price').notNull(),
    /** Laid flat; null where it was not measured. */
    widthMm: real('width_mm'),
    lengthMm: real('length_mm'),
  },
  (table) => [
    primaryKey({ columns: [table.blankId, table.position] }),
    uniqueIndex('blank_sizes_once').on(table.blankId, table.name),
    check('blank_sizes_price', sql`${table.price} >= 0`),
  ],
);

export const blankColours = sqliteTable(
  'blank_colours',
  {
    blankId: integer('blank_id')
      .notNull()
      .references(() => blanks.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    name: text('name').notNull(),
    hex: text('hex').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.blankId, table.position] }),
    uniqueIndex('blank_colours_once').on(table.blankId, table.name),
  ],
);
