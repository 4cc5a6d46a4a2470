// What items cost as it was last calculated, and what that rests on. Triggers of the database take a cost away when
// something it rests on changes, whoever changes it: a cost that is there is true.

import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { CostChange, CostProblem, CostSums } from '../../core/costing';
import { storedJson } from '../stored-json';
import { items } from './items';

export const itemCosts = sqliteTable(
  'item_costs',
  {
    itemId: integer('item_id')
      .primaryKey()
      .references(() => items.id, { onDelete: 'cascade' }),
    /** Figures without their workings; null where it can't be costed. */
    cost: storedJson<CostSums>('cost'),
    /** Why it can't be costed. */
    problem: storedJson<CostProblem>('problem'),
    /** Since its cost was last agreed to; null where nothing changed. */
    change: storedJson<CostChange>('change'),
    /** What lists are sorted by, minor units. */
    withRisk: real('with_risk'),
    hourEarns: real('hour_earns'),
    /** How wide a machine must be to cut it, mm. */
    acrossMm: real('across_mm').notNull(),
  },
  (table) => [index('item_costs_by_cost').on(table.withRisk), index('item_costs_by_hour').on(table.hourEarns)],
);

/** `what`: such as "vinyl:7", "artwork:3", "price:vinyl:7". */
export const itemCostRests = sqliteTable(
  'item_cost_rests',
  {
    itemId: integer('item_id')
      .notNull()
      .references(() => itemCosts.itemId, { onDelete: 'cascade' }),
    what: text('what').notNull(),
  },
  (table) => [primaryKey({ columns: [table.itemId, table.what] }), index('item_cost_rests_by_what').on(table.what)],
);
