// Lists of names as they came.

import { eq } from 'drizzle-orm';
import type { Database } from './database';
import { rosters } from './schema';

export const insertRoster = (db: Database, source: string, atMs: number): number =>
  db.insert(rosters).values({ source, atMs }).returning({ id: rosters.id }).get().id;

export const findRoster = (db: Database, id: number): { readonly source: string; readonly atMs: number } | null =>
  db.select({ source: rosters.source, atMs: rosters.atMs }).from(rosters).where(eq(rosters.id, id)).get() ?? null;
