// What a use case works with: the database and the clock. The one place that finds the shop's file.

import { join } from 'node:path';
import type { FormatSettings, MeasureSystem } from '../core/units';
import { openDatabase, type Database } from '../data/database';
import { insertShop, loadShop, type StoredShop } from '../data/shop-store';

export type ShopContext = { readonly db: Database; readonly now: () => number };

export const programRoot = (): string => process.env['CHIRAL_ROOT'] ?? process.cwd();
const dataFolder = (): string => process.env['CHIRAL_DATA'] ?? join(programRoot(), 'data');
export const databaseFile = (): string =>
  join(dataFolder(), process.env['CHIRAL_DEMO'] === '1' ? 'demo.sqlite' : 'shop.sqlite');

export function openShop(file: string, now: () => number = Date.now): ShopContext {
  return { db: openDatabase(file, join(programRoot(), 'src', 'data', 'migrations')), now };
}

/** Epoch ms that never go back while the server runs, whatever is done to the computer's clock. */
export function makeClock(
  clock: () => number = Date.now,
  steady: () => number = () => performance.now(),
): () => number {
  const startMs = clock() - steady();
  return () => Math.round(Math.max(clock(), startMs + steady()));
}

let current: ShopContext | null = null;

/** The shop this server was started for, opened at the first request. */
export function getContext(): ShopContext {
  if (!current) {
    current = openShop(databaseFile(), makeClock());
    getShop(current);
    // Closing folds the log of writes into the file: after a clean stop it is the whole shop.
    const { db } = current;
    process.once('exit', () => db.$client.close());
  }
  return current;
}

/** The shop; one that is not set up yet gets ordinary figures and this computer's time zone. */
export function getShop(context: ShopContext): StoredShop {
  const known = loadShop(context.db);
  if (known) return known;
  insertShop(
    context.db,
    {
      name: 'My shop',
      currency: 'EUR',
      locale: 'en-GB',
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      simulated: false,
      confirmed: false,
    },
    {},
  );
  return loadShop(context.db)!;
}

/** How the server writes measures and money: as the shop does, metric unless the asker chose inches. */
export function getSettings(context: ShopContext, system: MeasureSystem = 'metric'): FormatSettings {
  const { locale, currency, timeZone } = getShop(context);
  return { locale, currency, timeZone, system };
}
