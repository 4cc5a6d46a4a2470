// The shop's file before it is opened: whose it is, whether it can be written, and that one server holds it.

import { existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import BetterSqlite from 'better-sqlite3';

export type ShopFileProblem =
  'foreign' | 'empty' | 'no-database' | 'held' | 'stray-log' | 'read-only' | 'full' | 'locked';

const MESSAGES: Readonly<Record<ShopFileProblem, (file: string) => string>> = {
  foreign: (file) =>
    `${file} is a database of another program, and is left untouched. Choose another folder by CHIRAL_DATA, or move that file away.`,
  empty: (file) =>
    `${file} is empty, which a shop's file never is: it may have been cut off by a full disk or a broken copy. Put a copy of your shop in its place, or remove the file to begin a new shop.`,
  'no-database': (file) =>
    `${file} is no database, or is damaged at its beginning. It is left untouched. Put a copy of your shop in its place, or remove the file to begin a new shop.`,
  held: (file) =>
    `Another Chiral has ${file} open. Use that one, stop it first, or choose another folder by CHIRAL_DATA.`,
  'stray-log': (file) =>
    `${file}-wal belongs to another state of ${file}: the file was put in place after Chiral last had it open. Nothing was changed. Move ${file}-wal and ${file}-shm away to use the file as it is now, or put back the file that they belong to.`,
  'read-only': (file) =>
    `${file} can't be written: the file, its folder or the disk is read-only for this user. Change that, or choose another folder by CHIRAL_DATA.`,
  full: (file) => `There is no room left on the disk of ${file}. Make room, then start again; nothing is lost.`,
  locked: (file) =>
    `Another program is using ${file}, perhaps a copy being made. Wait until it is done, then start again.`,
};

/** The shop's file can't be opened; it is as it was. */
export class ShopFileError extends Error {
  constructor(
    readonly problem: ShopFileProblem,
    file: string,
  ) {
    super(MESSAGES[problem](file));
    this.name = 'ShopFileError';
  }
}

const PROBLEM_BY_CODE: Readonly<Record<string, ShopFileProblem>> = {
  SQLITE_NOTADB: 'no-database',
  SQLITE_CORRUPT: 'no-database',
  SQLITE_READONLY: 'read-only',
  SQLITE_READONLY_DIRECTORY: 'read-only',
  SQLITE_READONLY_DBMOVED: 'read-only',
  SQLITE_CANTOPEN: 'read-only',
  SQLITE_PERM: 'read-only',
  EACCES: 'read-only',
  EPERM: 'read-only',
  EROFS: 'read-only',
  SQLITE_FULL: 'full',
  ENOSPC: 'full',
  SQLITE_BUSY: 'locked',
  SQLITE_LOCKED: 'locked',
};

/** Runs `open`; what the system says against it comes out as a ShopFileError, anything else as it is. */
export function explainFileErrors<T>(file: string, open: () => T): T {
  try {
    return open();
  } catch (error) {
    const code = error instanceof Error && 'code' in error ? String(error.code) : '';
    const problem = PROBLEM_BY_CODE[code];
    throw problem ? new ShopFileError(problem, file) : error;
  }
}

/**
 * Looks at the file without changing anything. @throws ShopFileError for one that is empty, no database, or of another
 * program
 */
export function requireOwnFile(file: string): void {
  if (file === ':memory:' || !existsSync(file)) return;
  if (statSync(file).size === 0) throw new ShopFileError('empty', file);
  explainFileErrors(file, () => {
    const client = new BetterSqlite(file, { readonly: true });
    try {
      const names = client.prepare("select name from sqlite_master where type = 'table'").pluck().all() as string[];
      const isOwn = names.includes('__drizzle_migrations');
      // A start that was cut off before its first migration leaves a database without tables.
      if (names.length > 0 && !isOwn) throw new ShopFileError('foreign', file);
    } finally {
      client.close();
    }
  });
}

/**
 * Holds the shop's file for this process until it ends, however it ends. The mark is a lock on a small file beside it,
 * which the system takes back by itself. @throws ShopFileError where another process holds it
 */
export function holdFile(file: string): { readonly release: () => void } {
  return explainFileErrors(file, () => {
    mkdirSync(dirname(file), { recursive: true });
    const mark = new BetterSqlite(`${file}.lock`, { timeout: 0 });
    try {
      mark.exec('begin exclusive');
    } catch (error) {
      mark.close();
      if (error instanceof Error && 'code' in error && error.code === 'SQLITE_BUSY')
        throw new ShopFileError('held', file);
      throw error;
    }
    return { release: () => mark.close() };
  });
}
