// The plan to begin: one row.

import { sql } from 'drizzle-orm';
import { check, integer, sqliteTable } from 'drizzle-orm/sqlite-core';
import type { StartPlan } from '../../core/planning';
import { version } from '../columns';
import { storedJson } from '../stored-json';

/** One row: what it takes to begin, and what is hoped to be sold. */
export const startPlan = sqliteTable(
  'start_plan',
  {
    id: integer('id').primaryKey(),
    /** Always written and read whole. */
    plan: storedJson<StartPlan>('plan').notNull(),
    version: version(),
  },
  (table) => [check('one_start_plan', sql`${table.id} = 1`)],
);
