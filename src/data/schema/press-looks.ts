// What became of pressed pieces, by vinyl and fabric; one line for pieces that were seen together.

import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Fabric } from '../../core/materials';
import type { LookKind } from '../../core/pressing';
import { id } from '../columns';
import { vinyls } from './shelf';

export const pressLooks = sqliteTable(
  'press_looks',
  {
    id: id(),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
    fabric: text('fabric').$type<Fabric>().notNull(),
    kind: text('kind').$type<LookKind>().notNull(),
    pieces: integer('pieces').notNull(),
    washes: integer('washes').notNull(),
    /** ISO day. */
    day: text('day').notNull(),
    note: text('note').notNull().default(''),
  },
  (table) => [
    index('press_looks_by_vinyl').on(table.vinylId, table.fabric, table.day),
    check('press_looks_counts', sql`${table.pieces} >= 1 and ${table.washes} >= 0`),
  ],
);
