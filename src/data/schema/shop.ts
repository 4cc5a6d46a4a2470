// The shop itself: one row.

import { sql } from 'drizzle-orm';
import { check, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ShopFigures } from '../../core/materials';
import { version } from '../columns';
import { storedJson } from '../stored-json';

/** One row: the shop whose book this file is. */
export const shop = sqliteTable(
  'shop',
  {
    id: integer('id').primaryKey(),
    name: text('name').notNull(),
    currency: text('currency').notNull(),
    locale: text('locale').notNull(),
    timeZone: text('time_zone').notNull(),
    /** True for the demo: nothing in it is real. */
    simulated: integer('simulated', { mode: 'boolean' }).notNull(),
    /** Only what differs from or was confirmed over the defaults; figures added later take theirs. */
    figures: storedJson<Partial<ShopFigures>>('figures').notNull(),
    version: version(),
  },
  (table) => [check('one_shop', sql`${table.id} = 1`)],
);
