// The plan to begin: one row.

import { and, eq, sql } from 'drizzle-orm';
import type { StartPlan } from '../core/planning';
import type { Database } from './database';
import { startPlan } from './schema';

export const loadStartPlan = (db: Database): { readonly plan: StartPlan; readonly version: number } | null =>
  db.select({ plan: startPlan.plan, version: startPlan.version }).from(startPlan).get() ?? null;

/** False when it was changed since `version` was read; version 0 stands for none. */
export function saveStartPlan(db: Database, plan: StartPlan, version: number): boolean {
  if (version === 0) return db.insert(startPlan).values({ id: 1, plan }).onConflictDoNothing().run().changes === 1;
  return (
    db
      .update(startPlan)
      .set({ plan, version: sql`${startPlan.version} + 1` })
      .where(and(eq(startPlan.id, 1), eq(startPlan.version, version)))
      .run().changes === 1
  );
}
