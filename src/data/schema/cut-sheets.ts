// Loads that are laid out and not cut yet.

import { index, integer, sqliteTable } from 'drizzle-orm/sqlite-core';
import type { CutSheet } from '../../core/orders';
import { id, version } from '../columns';
import { vinyls } from './shelf';
import { storedJson, type Upgrade } from '../stored-json';

/** Sheets saved before it could be chosen kept pieces clear of one another’s holes. */
const addInside: Upgrade = (sheet) => ({ inside: 'bays', hold: 'suited', ...sheet });

/** Loads that are laid out and not cut yet: each change is kept, so that a closed window loses none. */
export const cutSheets = sqliteTable(
  'cut_sheets',
  {
    id: id(),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
    /** Always written and read whole. */
    sheet: storedJson<CutSheet>('sheet', [addInside]).notNull(),
    savedAtMs: integer('saved_at_ms').notNull(),
    version: version(),
  },
  (table) => [index('cut_sheets_by_vinyl').on(table.vinylId)],
);
