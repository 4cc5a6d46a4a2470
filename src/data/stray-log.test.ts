import { copyFileSync, mkdtempSync, readFileSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite from 'better-sqlite3';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { noteSeen, refuseStrayLog } from './stray-log';

let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'chiral-log-'));
  file = join(folder, 'shop.sqlite');
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A server that was killed: its writes are in the log and not in the file. */
function crash(): void {
  const client = new BetterSqlite(file);
  client.pragma('journal_mode = WAL');
  client.exec('create table if not exists orders (title text)');
  client.pragma('wal_checkpoint(TRUNCATE)');
  noteSeen(file).stop();
  client.exec("insert into orders values ('Two aprons')");
  const log = readFileSync(`${file}-wal`);
  const state = readFileSync(file);
  client.close();
  writeFileSync(file, state);
  writeFileSync(`${file}-wal`, log);
  utimesSync(file, new Date(), new Date(Number(readFileSync(`${file}.seen`, 'utf8'))));
}

it('a crash leaves a log that belongs to its file: it is taken in, and nothing is lost', () => {
  crash();
  refuseStrayLog(file);
  const client = new BetterSqlite(file);
  expect(client.prepare('select title from orders').pluck().all()).toEqual(['Two aprons']);
  client.close();
});

it.each([
  ['with its own old date', -3_600_000],
  ['with the date of now', 3_600_000],
])('a copy put in place %s beside the log is refused, and both are left as they are', (_, awayMs) => {
  const copy = join(folder, 'copy.sqlite');
  const older = new BetterSqlite(copy);
  older.exec('create table orders (title text)');
  older.close();
  crash();
  const log = readFileSync(`${file}-wal`);
  const at = new Date(statSync(file).mtimeMs + awayMs);
  copyFileSync(copy, file);
  utimesSync(file, at, at);
  expect(() => refuseStrayLog(file)).toThrow(/shop\.sqlite-wal belongs to another state.*Move/s);
  expect(readFileSync(`${file}-wal`).equals(log)).toBe(true);
  expect(readFileSync(file).equals(readFileSync(copy))).toBe(true);
});

it('a file that was written back and not seen again before the crash is its own still', () => {
  crash();
  // Seen an hour ago; the log was written back into the file a moment before the end.
  writeFileSync(`${file}.seen`, String(Date.now() - 3_600_000));
  utimesSync(file, new Date(), new Date());
  refuseStrayLog(file);
});

it('without a log any copy will do', () => {
  crash();
  rmSync(`${file}-wal`);
  utimesSync(file, new Date(0), new Date(0));
  refuseStrayLog(file);
});
