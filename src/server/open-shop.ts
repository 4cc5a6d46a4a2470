// Before the first request: the database is there, of this version, and in the demo it has the demo shop.

import { holdFile } from '../data/shop-file';
import { loadShop } from '../data/shop-store';
import { noteSeen, refuseStrayLog } from '../data/stray-log';
import { databaseFile, getShop, openShop } from './context';
import { refreshMeasurements } from './artwork/save-artwork';
import { refreshKept } from './items/recount';
import { seedDemo } from './demo/seed-demo';

/** Held until the process ends; one that nobody keeps would be let go with the garbage. */
const holds: unknown[] = [];

/** @throws ShopFileError where another server holds the file, or it can't be opened */
export async function openShopAtStart(): Promise<void> {
  holds.push(holdFile(databaseFile()));
  refuseStrayLog(databaseFile());
  const shop = openShop(databaseFile());
  try {
    if (process.env['CHIRAL_DEMO'] === '1' && !loadShop(shop.db)) await seedDemo(shop.db, Date.now(), { withPast: true });
    getShop(shop);
    refreshKept(shop);
    await refreshMeasurements(shop);
  } finally {
    shop.db.$client.close();
  }
  noteSeen(databaseFile());
}
