// What is read on every page is remembered until anything in the file changes, whoever changes it.

import { sql } from 'drizzle-orm';
import type { Database } from '../data/database';
import type { ShopContext } from './context';

type Memory = { stamp: string; readonly values: Map<string, unknown> };
const memories = new WeakMap<Database, Memory>();

/** A server that starts anew counts from nought again. */
const STARTED = Date.now().toString(36);

/** Another text after every change: rows that this connection ever changed, and what others did to the file. */
export function readStamp({ db }: Pick<ShopContext, 'db'>): string {
  const [row] = db.all<{ changes: number }>(sql`select total_changes() as changes`);
  return `${STARTED} ${row!.changes} ${String(db.$client.pragma('data_version', { simple: true }))}`;
}

/**
 * What `read` gives, until the file changes. It may rest on nothing but the file: not on the clock. The name stands for
 * one thing only. Within a transaction nothing is remembered: it may yet be taken back.
 */
export function rememberUntilChange<Answer>(shop: ShopContext, name: string, read: () => Answer): Answer {
  const { db } = shop;
  if (db.$client.inTransaction) return read();
  const stamp = readStamp(shop);
  let memory = memories.get(db);
  if (memory?.stamp !== stamp) memories.set(db, (memory = { stamp, values: new Map() }));
  if (!memory.values.has(name)) memory.values.set(name, read());
  return memory.values.get(name) as Answer;
}
