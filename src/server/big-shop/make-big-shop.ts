// A made-up shop of a real shop's size, to see how pages do on it: the demo shop, and three years of work beside it.

import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { inTransaction } from '../../data/database';
import { noteKeptAnew } from '../../data/kept-edition';
import { openShop, type ShopContext } from '../context';
import { seedDemo } from '../demo/seed-demo';
import { recountMinutes } from '../items/recount';
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
const FILLING_CACHE_KB = 600_000;

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
  // Made anew whenever it is wanted: nothing is lost with it when the power fails, and each page is written once.
  shop.db.$client.pragma('synchronous = OFF');
  shop.db.$client.pragma('journal_mode = MEMORY');
  shop.db.$client.pragma(`cache_size = -${FILLING_CACHE_KB}`);
  shop.db.$client.pragma('foreign_keys = OFF');
  await seedDemo(shop.db, nowMs);
  const chance = makeChance(SEED);
  inTransaction(shop.db, () => fillShelf(shop, chance, BIG_SHOP));
  inTransaction(shop.db, () => fillItems(shop, chance, BIG_SHOP));
  inTransaction(shop.db, () => fillOrders({ shop, chance, clock, orders, open: openOf(orders), nowMs }));
  inTransaction(shop.db, () => fillLedger({ shop, chance, lines: orders * BIG_SHOP.ledgerLinesPerOrder, nowMs }));
  inTransaction(shop.db, () => recountMinutes(shop));
  noteKeptAnew(shop.db);
  const lost = shop.db.$client.pragma('foreign_key_check') as readonly unknown[];
  if (lost.length > 0) throw new Error(`${lost.length} rows of the shop point nowhere.`);
  shop.db.$client.exec('analyze');
  shop.db.$client.close();
}

const openOf = (orders: number): number => Math.min(BIG_SHOP.openOrders, Math.floor(orders / 2));
