// Requests that created something: kept for as long as anybody may send one again.

import { eq, lt } from 'drizzle-orm';
import type { Database } from './database';
import { takenRequests } from './schema';

export type TakenRequest = typeof takenRequests.$inferSelect;

export const findTakenRequest = (db: Database, key: string): TakenRequest | null =>
  db.select().from(takenRequests).where(eq(takenRequests.key, key)).get() ?? null;

export function addTakenRequest(db: Database, request: TakenRequest): void {
  db.insert(takenRequests).values(request).run();
}

/** Forgets those taken before that time. */
export function deleteTakenRequests(db: Database, beforeMs: number): void {
  db.delete(takenRequests).where(lt(takenRequests.atMs, beforeMs)).run();
}
