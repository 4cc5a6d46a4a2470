// Before the first request: the database is there, of this version, and in the demo it has the demo shop. What is needed
// only now and then is read only then: nobody should wait for it at every start.

import { existsSync } from 'node:fs';
import { OLDEST_EDITION_SHOWN } from '../core/artwork/index';
import { isAnyMeasuredBefore } from '../data/artwork-store';
import { isKeptAnew } from '../data/kept-edition';
import { holdFile } from '../data/shop-file';
import { noteSeen, refuseStrayLog } from '../data/stray-log';
import { databaseFile, getShop, openShop } from './context';

/** Held until the process ends; one that nobody keeps would be let go with the garbage. */
const holds: unknown[] = [];

/** @throws ShopFileError where another server holds the file, or it can't be opened */
export async function openShopAtStart(): Promise<void> {
  holds.push(holdFile(databaseFile()));
  refuseStrayLog(databaseFile());
  if (process.env['CHIRAL_DEMO'] === '1' && !existsSync(databaseFile()))
    await (await import('./demo/seed-whole')).seedWhole(databaseFile());
  const shop = openShop(databaseFile());
  try {
    getShop(shop);
    if (!isKeptAnew(shop.db)) (await import('./items/recount')).refreshKept(shop);
    if (isAnyMeasuredBefore(shop.db, OLDEST_EDITION_SHOWN))
      await (await import('./artwork/measure-anew')).measureAnew(shop, OLDEST_EDITION_SHOWN);
  } finally {
    shop.db.$client.close();
  }
  noteSeen(databaseFile());
}
