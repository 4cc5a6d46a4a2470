// Before the first request: the database is there, of this version, and in the demo it has the demo shop.

import { existsSync, renameSync, rmSync } from 'node:fs';
import { holdFile } from '../data/shop-file';
import { noteSeen, refuseStrayLog } from '../data/stray-log';
import { databaseFile, getShop, openShop } from './context';
import { refreshMeasurements } from './artwork/save-artwork';
import { refreshKept } from './items/recount';
import { beginDemo } from './demo/begin-demo';
import { seedDemo } from './demo/seed-demo';

/** Held until the process ends; one that nobody keeps would be let go with the garbage. */
const holds: unknown[] = [];

/** @throws ShopFileError where another server holds the file, or it can't be opened */
export async function openShopAtStart(): Promise<void> {
  holds.push(holdFile(databaseFile()));
  refuseStrayLog(databaseFile());
  if (process.env['CHIRAL_DEMO'] === '1' && !existsSync(databaseFile())) await seedWhole(databaseFile());
  const shop = openShop(databaseFile());
  try {
    getShop(shop);
    refreshKept(shop);
    await refreshMeasurements(shop);
  } finally {
    shop.db.$client.close();
  }
  noteSeen(databaseFile());
}

const LOGS = ['-wal', '-shm'];
const SEEDING_CACHE_KB = 64_000;

/** Whole or not at all: a seed that was broken off begins anew. */
async function seedWhole(file: string): Promise<void> {
  const seeding = `${file}.seeding`;
  for (const ending of ['', ...LOGS]) rmSync(seeding + ending, { force: true });
  const begun = beginDemo();
  const { db } = openShop(seeding);
  try {
    // Nobody reads it before it is whole: it goes to the disk once, at the end.
    db.$client.pragma('synchronous = OFF');
    db.$client.pragma(`cache_size = -${SEEDING_CACHE_KB}`);
    await seedDemo(db, Date.now(), { withPast: true, begun });
    db.$client.pragma('synchronous = FULL');
    db.$client.pragma('wal_checkpoint(TRUNCATE)');
  } finally {
    db.$client.close();
  }
  // Logs of a demo that was thrown away are not of this one.
  for (const ending of LOGS) rmSync(file + ending, { force: true });
  renameSync(seeding, file);
}
