// Quick quotes.

import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { QuoteFacts } from '../../core/orders';
import { archivedAtMs, id } from '../columns';
import { items } from './items';
import { storedJson, type Upgrade } from '../stored-json';

/** Quotes given before items had options have none in them. */
const addOptions: Upgrade = (facts) => ({ options: [], optionIndexes: [], ...facts });

/** What was offered to whom; never changed, whatever prices and wages do after. */
export const quotes = sqliteTable(
  'quotes',
  {
    id: id(),
    customerName: text('customer_name').notNull(),
    itemId: integer('item_id')
      .notNull()
      .references(() => items.id),
    atMs: integer('at_ms').notNull(),
    facts: storedJson<QuoteFacts>('facts', [addOptions]).notNull(),
    archivedAtMs: archivedAtMs(),
  },
  (table) => [index('quotes_by_time').on(table.atMs)],
);
