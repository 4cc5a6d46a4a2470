// Who works in the shop: their names, for whose work it was.

import { isNull } from 'drizzle-orm';
import { integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { id } from '../columns';

export const people = sqliteTable(
  'people',
  {
    id: id(),
    name: text('name').notNull(),
    /** Does not work here any more; the work that was done stays theirs. */
    archivedAtMs: integer('archived_at_ms'),
  },
  (table) => [uniqueIndex('people_by_name').on(table.name).where(isNull(table.archivedAtMs))],
);
