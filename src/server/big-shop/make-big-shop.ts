// A made-up shop of a real shop's size, to see how pages do on it: the demo shop, and three years of work beside it.

import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { inTransaction } from '../../data/database';
import { openShop, type ShopContext } from '../context';
import { seedDemo } from '../demo/seed-demo';
import { refreshKept } from '../items/recount';
import { fillItems } from './fill-items';
import { fillLedger } from './fill-ledger';
import { fillOrders } from './fill-orders';
import { fillShelf } from './fill-shelf';
import { makeChance } from '../chance';

export const BIG_SHOP = {
  vinyls: 5_000,
  offers: 20_000,
  artworks: 1_000,
  items: 500,
  /** Of all orders, or half of them where that is fewer. */
  openOrders: 300,
  ledgerLinesPerOrder: 10,
} as const;

const SEED = 0.4217;

/**
 * Writes `shop.sqlite` into the folder: the same every time but for its dates, which count back from `nowMs`.
 *
 * @throws Error where a shop is there already
 */
export async function makeBigShop(folder: string, orders: number, nowMs: number): Promise<void> {
  const file = join(folder, 'shop.sqlite');
  if (existsSync(file)) throw new Error('There is a shop in that folder already: name an empty one.');
  const clock = { ms: nowMs };
  const shop: ShopContext = openShop(file, () => clock.ms);
  // Made anew whenever it is wanted: nothing is lost with it when the power fails.
  shop.db.$client.pragma('synchronous = OFF');
  await seedDemo(shop.db, nowMs);
  const chance = makeChance(SEED);
  inTransaction(shop.db, () => fillShelf(shop, chance, BIG_SHOP));
  inTransaction(shop.db, () => fillItems(shop, chance, BIG_SHOP));
  inTransaction(shop.db, () => fillOrders({ shop, chance, clock, orders, open: openOf(orders), nowMs }));
  inTransaction(shop.db, () => fillLedger({ shop, chance, lines: orders * BIG_SHOP.ledgerLinesPerOrder, nowMs }));
  refreshKept(shop);
  shop.db.$client.exec('analyze');
  shop.db.$client.close();
}

const openOf = (orders: number): number => Math.min(BIG_SHOP.openOrders, Math.floor(orders / 2));
