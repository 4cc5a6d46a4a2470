// What was ordered from suppliers, and what of it came.

import { type Minor, groupBy } from '../core/units';
import type { Database } from './database';
import { isIn } from './is-in';
import { purchases, purchaseLines } from './schema';
import { eq, desc, asc, sql, and } from 'drizzle-orm';

type PurchaseLine = {
  readonly id: number;
  readonly offerId: number;
  readonly packs: number;
  readonly goods: Minor;
  readonly receivedPacks: number;
  readonly damagedPacks: number;
};

export type StoredPurchase = {
  readonly id: number;
  readonly supplierId: number;
  readonly placedAtMs: number;
  readonly shipping: Minor;
  readonly closedAtMs: number | null;
  readonly version: number;
  readonly lines: readonly PurchaseLine[];
};

/** Several statements: call it inside a transaction. */
export function insertPurchase(
  db: Database,
  purchase: {
    readonly supplierId: number;
    readonly placedAtMs: number;
    readonly shipping: Minor;
    readonly lines: readonly { readonly offerId: number; readonly packs: number; readonly goods: Minor }[];
  },
): number {
  const { lines, ...fields } = purchase;
  const { id } = db.insert(purchases).values(fields).returning({ id: purchases.id }).get();
  db.insert(purchaseLines)
    .values(lines.map((line) => ({ purchaseId: id, ...line })))
    .run();
  return id;
}

export function loadPurchases(
  db: Database,
  which: { readonly id?: number; readonly newest?: number } = {},
): readonly StoredPurchase[] {
  const rows = db
    .select()
    .from(purchases)
    .where(which.id === undefined ? undefined : eq(purchases.id, which.id))
    .orderBy(desc(purchases.id))
    .limit(which.newest ?? 1000)
    .all();
  const lines = groupBy(
    db
      .select()
      .from(purchaseLines)
      .where(
        isIn(
          purchaseLines.purchaseId,
          rows.map((row) => row.id),
        ),
      )
      .orderBy(asc(purchaseLines.id))
      .all(),
    (row) => row.purchaseId,
  );
  return rows.map((row) => ({ ...row, lines: (lines.get(row.id) ?? []).map(({ purchaseId: _, ...line }) => line) }));
}

export function addReceived(db: Database, lineId: number, received: number, damaged: number): void {
  db.update(purchaseLines)
    .set({
      receivedPacks: sql`${purchaseLines.receivedPacks} + ${received}`,
      damagedPacks: sql`${purchaseLines.damagedPacks} + ${damaged}`,
    })
    .where(eq(purchaseLines.id, lineId))
    .run();
}

/** False when it was changed since `version` was read. */
export const updatePurchase = (db: Database, id: number, closedAtMs: number | null, version: number): boolean =>
  db
    .update(purchases)
    .set({ closedAtMs, version: sql`${purchases.version} + 1` })
    .where(and(eq(purchases.id, id), eq(purchases.version, version)))
    .run().changes === 1;
