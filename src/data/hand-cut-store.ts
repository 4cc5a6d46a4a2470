// Settings of what is cut without a saved load.

import { and, eq } from 'drizzle-orm';
import type { CutSetting } from '../core/cutting';
import type { Database } from './database';
import { isIn } from './is-in';
import { insertRow } from './prepared';
import { handCuts } from './schema';

export type StoredHandCut = typeof handCuts.$inferSelect;

export const insertHandCut = (db: Database, row: StoredHandCut): void => void insertRow(db, handCuts, row);

export const readHandCuts = (db: Database, sessionIds: readonly number[]): readonly StoredHandCut[] =>
  sessionIds.length === 0 ? [] : db.select().from(handCuts).where(isIn(handCuts.sessionId, sessionIds)).all();

/** False where the work has no such vinyl. */
export const changeHandCut = (db: Database, sessionId: number, vinylId: number, setting: CutSetting): boolean =>
  db
    .update(handCuts)
    .set({ setting })
    .where(and(eq(handCuts.sessionId, sessionId), eq(handCuts.vinylId, vinylId)))
    .run().changes > 0;
