// The shop itself: its name, money, clock and figures.

import { and, eq, sql } from 'drizzle-orm';
import { DEFAULT_SHOP_FIGURES, type ShopFigures, type ShopIdentity, type ShopLetterhead } from '../core/materials';
import type { Database } from './database';
import { prepareOnce } from './prepared';
import { shop } from './schema';

export type StoredShop = ShopIdentity &
  ShopLetterhead & {
    readonly figures: ShopFigures;
    readonly simulated: boolean;
    readonly confirmed: boolean;
    readonly version: number;
  };

const SHOP_ID = 1;

/** The shop, with defaults for figures it has not set; null in a new file. */
export function loadShop(db: Database): StoredShop | null {
  const row = prepareOnce(db, 'shop', () => db.select().from(shop).where(eq(shop.id, SHOP_ID)).prepare()).get();
  if (!row) return null;
  const { id: _id, ...fields } = row;
  return { ...fields, figures: { ...DEFAULT_SHOP_FIGURES, ...row.figures } };
}

export function insertShop(
  db: Database,
  identity: ShopIdentity & { readonly simulated: boolean; readonly confirmed?: boolean },
  figures: Partial<ShopFigures>,
): void {
  db.insert(shop)
    .values({ id: SHOP_ID, ...identity, figures })
    .run();
}

/** False when it was changed since `version` was read. */
export function updateShop(db: Database, identity: ShopIdentity, figures: ShopFigures, version: number): boolean {
  return (
    db
      .update(shop)
      .set({ ...identity, figures, confirmed: true, version: sql`${shop.version} + 1` })
      .where(and(eq(shop.id, SHOP_ID), eq(shop.version, version)))
      .run().changes === 1
  );
}
