// A demo shop in memory with a clock that tests move by hand. It is seeded once and copied for each test.

import BetterSqlite from 'better-sqlite3';
import { beforeAll, beforeEach } from 'vitest';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import * as schema from '../src/data/schema';
import { openShop, type ShopContext } from '../src/server/context';
import { ShopError } from '../src/server/errors';
import { seedDemo } from '../src/server/demo/seed-demo';

export type TestShop = ShopContext & { readonly clock: { ms: number } };
const START_MS = Date.parse('2026-11-24T10:00:00Z');

export async function seedDemoShop(): Promise<Buffer> {
  const { db } = openShop(':memory:', () => START_MS);
  await seedDemo(db, START_MS);
  return db.$client.serialize();
}

export function copyDemoShop(seeded: Buffer): TestShop {
  const client = new BetterSqlite(seeded);
  client.pragma('foreign_keys = ON');
  const clock = { ms: START_MS };
  return { db: drizzle(client, { schema }), now: () => clock.ms, clock };
}

/** What the shop answers when it does not do something. */
export async function refusalOf(run: () => unknown): Promise<ShopError> {
  try {
    await run();
  } catch (error) {
    if (error instanceof ShopError) return error;
    throw error;
  }
  throw new Error('Expected: a refusal. Actual: it was done');
}

/** A fresh copy of the demo shop before each test of a file; it is seeded once. */
export function eachFresh(take: (shop: TestShop) => void): void {
  let seeded: Buffer;
  beforeAll(async () => {
    seeded = await seedDemoShop();
  }, 240_000);
  beforeEach(() => take(copyDemoShop(seeded)));
}
