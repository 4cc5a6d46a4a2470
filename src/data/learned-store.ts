// What was taken from the log into the shop's figures.

import { eq, sql } from 'drizzle-orm';
import type { Station } from '../core/orders';
import type { Database } from './database';
import { prepareOnce } from './prepared';
import { learnedTimes } from './schema';

export type Taken = typeof learnedTimes.$inferSelect;

export const findTaken = (db: Database, station: Station): Taken | null =>
  prepareOnce(db, 'what was taken of a station', () =>
    db
      .select()
      .from(learnedTimes)
      .where(eq(learnedTimes.station, sql.placeholder('station')))
      .prepare(),
  ).get({ station }) ?? null;

/** In place of what was taken there before. */
export const keepTaken = (db: Database, { station, ...taken }: Taken): void =>
  void db
    .insert(learnedTimes)
    .values({ station, ...taken })
    .onConflictDoUpdate({ target: learnedTimes.station, set: taken })
    .run();

export const dropTaken = (db: Database, station: Station): void =>
  void db.delete(learnedTimes).where(eq(learnedTimes.station, station)).run();
