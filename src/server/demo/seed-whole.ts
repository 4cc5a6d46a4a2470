// The demo shop's file, whole or not at all.

import { renameSync, rmSync } from 'node:fs';
import { openShop } from '../context';
import { beginDemo } from './begin-demo';
import { seedDemo } from './seed-demo';

const LOGS = ['-wal', '-shm'];
const SEEDING_CACHE_KB = 64_000;

/** A seed that was broken off begins anew. */
export async function seedWhole(file: string): Promise<void> {
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
