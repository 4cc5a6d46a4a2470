// Requests that created something, by the key they came with, so that sending one again creates nothing twice.

import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

export const takenRequests = sqliteTable(
  'taken_requests',
  {
    /** Chosen by the one who asks, one for each thing that is to be created. */
    key: text('key').primaryKey(),
    /** Of what was asked for: address and body. */
    digest: text('digest').notNull(),
    /** JSON. */
    answer: text('answer').notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (table) => [index('taken_requests_by_time').on(table.atMs)],
);
