// What is kept of the log, as the tables have it: to be held against a recount of the whole log.

import { sql } from 'drizzle-orm';
import type { Database } from '../src/data/database';

const KEPT = {
  parts: sql`select id, state, broken from parts order by id`,
  pieces: sql`select id, cuts from pieces order by id`,
  items: sql`select item_id, made, spoiled from item_evidence where made <> 0 or spoiled <> 0 order by item_id`,
  vinyls: sql`select vinyl_id, made, spoiled from vinyl_evidence where made <> 0 or spoiled <> 0 order by vinyl_id`,
  lots: sql`
    select vinyl_id, lot_id, design, tries, failures from lot_evidence
    where tries <> 0 or failures <> 0 order by vinyl_id, lot_id, design`,
  minutes: sql`select * from piece_minutes order by piece_id, station`,
  stretches: sql`select * from cut_stretches order by session_id, item_id`,
};

export const readKeptSums = (db: Database): Readonly<Record<string, readonly unknown[]>> =>
  Object.fromEntries(Object.entries(KEPT).map(([name, query]) => [name, db.all(query)]));
