// The shop itself: one row.

import { sql } from 'drizzle-orm';
import { check, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ShopFigures } from '../../core/materials';
import { version } from '../columns';
import { storedJson, type Upgrade } from '../stored-json';

/** What a tiny bit took is what the smallest cavities take more: pieces that stay take nothing by themselves. */
const renameTinyBits: Upgrade = ({ weedPerTinyBitSeconds: seconds, ...figures }) =>
  seconds === undefined ? figures : { ...figures, weedPerSmallCavitySeconds: seconds };

/** One row: the shop whose book this file is. */
export const shop = sqliteTable(
  'shop',
  {
    id: integer('id').primaryKey(),
    name: text('name').notNull(),
    currency: text('currency').notNull(),
    locale: text('locale').notNull(),
    timeZone: text('time_zone').notNull(),
    /** On papers for customers: where it is, how it is reached, and what the tax office wants said. */
    address: text('address').notNull().default(''),
    contact: text('contact').notNull().default(''),
    taxNote: text('tax_note').notNull().default(''),
    /** True for the demo: nothing in it is real. */
    simulated: integer('simulated', { mode: 'boolean' }).notNull(),
    /** False until somebody said that money, numbers and time zone are right. */
    confirmed: integer('confirmed', { mode: 'boolean' }).notNull().default(true),
    /** Only what differs from or was confirmed over the defaults; figures added later take theirs. */
    figures: storedJson<Partial<ShopFigures>>('figures', [renameTinyBits]).notNull(),
    version: version(),
  },
  (table) => [check('one_shop', sql`${table.id} = 1`)],
);
