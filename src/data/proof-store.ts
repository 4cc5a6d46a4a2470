// What customers were shown, and what they approved.

import { and, desc, eq, isNull } from 'drizzle-orm';
import type { ProofContent } from '../core/orders';
import type { Database } from './database';
import { proofs } from './schema';

export type StoredProof = typeof proofs.$inferSelect;

export const findLastProof = (db: Database, orderId: number): StoredProof | null =>
  db.select().from(proofs).where(eq(proofs.orderId, orderId)).orderBy(desc(proofs.number)).limit(1).get() ?? null;

export const findProofByToken = (db: Database, token: string): StoredProof | null =>
  db.select().from(proofs).where(eq(proofs.token, token)).get() ?? null;

/** Call it inside a transaction: numbers follow on the last. */
export function insertProof(
  db: Database,
  proof: { readonly orderId: number; readonly content: ProofContent; readonly token: string; readonly atMs: number },
): StoredProof {
  const number = (findLastProof(db, proof.orderId)?.number ?? 0) + 1;
  return db
    .insert(proofs)
    .values({ ...proof, number })
    .returning()
    .get();
}

/** False where it was approved before. */
export const approveProof = (db: Database, id: number, by: string, atMs: number): boolean =>
  db
    .update(proofs)
    .set({ approvedAtMs: atMs, approvedBy: by })
    .where(and(eq(proofs.id, id), isNull(proofs.approvedAtMs)))
    .run().changes === 1;
