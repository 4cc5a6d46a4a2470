// What is read on every page is remembered until anything in the file changes, whoever changes it.

import { sql } from 'drizzle-orm';
import type { Database } from '../data/database';
import type { ShopContext } from './context';

type Memory = { stamp: string; readonly values: Map<string, unknown> };
const memories = new WeakMap<Database, Memory>();

/** Rows that this connection ever changed, and what others did to the file. */
function readStamp(db: Database): string {
  const [row] = db.all<{ changes: number }>(sql`select total_changes() as changes`);
  return `${row!.changes} ${String(db.$client.pragma('data_version', { simple: true }))}`;
}

/**
 * What `read` gives, until the file changes. It may rest on nothing but the file: not on the clock. The name stands for
 * one thing only. Within a transaction nothing is remembered: it may yet be taken back.
 */
export function rememberUntilChange<Answer>({ db }: ShopContext, name: string, read: () => Answer): Answer {
  if (db.$client.inTransaction) return read();
  const stamp = readStamp(db);
  let memory = memories.get(db);
  if (memory?.stamp !== stamp) memories.set(db, (memory = { stamp, values: new Map() }));
  if (!memory.values.has(name)) memory.values.set(name, read());
  return memory.values.get(name) as Answer;
}
