// Opens the shop's file: safe settings, migrations after a copy, and a refusal of files that a newer Chiral wrote.

import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import BetterSqlite from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import * as schema from './schema';
import { explainFileErrors, requireOwnFile } from './shop-file';

export type Database = BetterSQLite3Database<typeof schema> & { readonly $client: BetterSqlite.Database };

/** The file was changed by a newer Chiral than this one. */
export class NewerDatabaseError extends Error {
  constructor(file: string) {
    super(
      `${file} was written by a newer Chiral than this one, so it is left untouched. Start the newer Chiral, or restore an older copy of the file.`,
    );
    this.name = 'NewerDatabaseError';
  }
}

/** A migration would have left rows that point nowhere; the file is as it was before. */
export class OrphanedRowsError extends Error {
  constructor(tables: readonly string[]) {
    super(
      `The file can't be brought up to date: rows in ${tables.join(', ')} point to something that is not there. It is left as it was. Restore an older copy of the file, or start the Chiral that wrote it.`,
    );
    this.name = 'OrphanedRowsError';
  }
}

/** As Drizzle's own migrator makes it. */
const MIGRATIONS_TABLE =
  'create table if not exists __drizzle_migrations (id serial primary key, hash text not null, created_at numeric)';

type Journal = { readonly entries: readonly { readonly when: number; readonly tag: string }[] };

const BUSY_TIMEOUT_MS = 5000;

/**
 * The database in `file` (or ':memory:'), brought to this program's schema. Before an existing file is changed a copy
 * is left beside it. @throws NewerDatabaseError, OrphanedRowsError, ShopFileError
 */
export function openDatabase(file: string, migrationsFolder: string): Database {
  requireOwnFile(file);
  return explainFileErrors(file, () => openOwn(file, migrationsFolder));
}

function openOwn(file: string, migrationsFolder: string): Database {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const client = new BetterSqlite(file);
  try {
    client.pragma('journal_mode = WAL');
    client.pragma('synchronous = FULL');
    client.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
    client.pragma('foreign_keys = ON');
    const { entries } = JSON.parse(readFileSync(join(migrationsFolder, 'meta', '_journal.json'), 'utf8')) as Journal;
    const newest = entries.at(-1);
    const applied = readLastMigration(client);
    if (newest && applied !== null && applied > newest.when) throw new NewerDatabaseError(file);
    const db = drizzle(client, { schema });
    if (newest && applied !== newest.when) {
      if (applied !== null && file !== ':memory:') copyBefore(client, file, newest.tag);
      migrateWhole(client, migrationsFolder);
    }
    return db;
  } catch (error) {
    client.close();
    throw error;
  }
}

/** When the newest migration in the file was written, epoch ms; null in an empty file. */
function readLastMigration(client: BetterSqlite.Database): number | null {
  const table = client
    .prepare("select 1 from sqlite_master where type = 'table' and name = '__drizzle_migrations'")
    .get();
  if (!table) return null;
  const row = client.prepare('select max(created_at) as at from __drizzle_migrations').get() as { at: number | null };
  return row.at === null ? null : Number(row.at);
}

/**
 * Every migration that the file lacks, and the check that no row points nowhere, in one transaction: all of it or
 * nothing. Tables that are made anew are dropped and renamed, which foreign keys would answer by taking away the rows
 * that point to them; they can only be switched outside a transaction.
 * @throws OrphanedRowsError and leaves the file as it was
 */
function migrateWhole(client: BetterSqlite.Database, migrationsFolder: string): void {
  const wanted = readMigrationFiles({ migrationsFolder });
  client.pragma('foreign_keys = OFF');
  try {
    client
      .transaction(() => {
        client.exec(MIGRATIONS_TABLE);
        const applied = readLastMigration(client) ?? 0;
        const note = client.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)');
        for (const { sql, hash, folderMillis } of wanted.filter((migration) => migration.folderMillis > applied)) {
          for (const statement of sql) client.exec(statement);
          note.run(hash, folderMillis);
        }
        const orphans = client.pragma('foreign_key_check') as readonly { readonly table: string }[];
        if (orphans.length > 0) throw new OrphanedRowsError([...new Set(orphans.map((row) => row.table))]);
      })
      .immediate();
  } finally {
    client.pragma('foreign_keys = ON');
  }
}

/** A whole copy of the file as it was before the migration named `tag`; one that is there already is kept. */
function copyBefore(client: BetterSqlite.Database, file: string, tag: string): void {
  const copy = `${file}.before-${tag}`;
  if (!existsSync(copy)) client.prepare('vacuum into ?').run(copy);
}

/**
 * Runs `change` whole or not at all; within another one it is part of that. The driver is synchronous: an async
 * `change` would be committed before it had run, so it does not compile.
 */
export function inTransaction<Change extends () => unknown>(
  db: Database,
  change: ReturnType<Change> extends PromiseLike<unknown> ? never : Change,
): ReturnType<Change> {
  // The driver's own: Drizzle's builds an object of all tables each time, which nothing here asks for.
  return db.$client.transaction(change as () => ReturnType<Change>)();
}
