import { execFileSync, spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from './database';
import { explainFileErrors, holdFile, ShopFileError } from './shop-file';
import { insertShop, loadShop } from './shop-store';

const MIGRATIONS = join(process.cwd(), 'src', 'data', 'migrations');
let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'chiral-file-'));
  file = join(folder, 'shop.sqlite');
});
afterEach(() => {
  chmodSync(folder, 0o700);
  rmSync(folder, { recursive: true, force: true });
});
const open = () => openDatabase(file, MIGRATIONS);
function refusalOf(run: () => unknown): ShopFileError {
  try {
    run();
  } catch (error) {
    if (error instanceof ShopFileError) return error;
    throw error;
  }
  throw new Error('it was opened');
}

describe('a file that is none of ours is refused untouched', () => {
  it('a database of another program', () => {
    const client = new BetterSqlite(file);
    client.exec('create table recipes (name text); insert into recipes values (1)');
    client.close();
    const before = readFileSync(file);
    expect(refusalOf(open).problem).toBe('foreign');
    expect(readFileSync(file).equals(before)).toBe(true);
    expect(existsSync(`${file}-wal`)).toBe(false);
  });

  it('an empty one: a shop may have been lost there', () => {
    writeFileSync(file, '');
    expect(refusalOf(open).problem).toBe('empty');
    expect(readFileSync(file)).toHaveLength(0);
  });

  it('a text', () => {
    writeFileSync(file, 'not a database at all, but long enough to be looked at as one '.repeat(20));
    expect(refusalOf(open).problem).toBe('no-database');
  });

  it('our own is opened again, and one that was cut off before its first table too', () => {
    new BetterSqlite(file).exec('pragma user_version = 1').close();
    open().$client.close();
    open().$client.close();
  });
});

it.each([
  ['SQLITE_READONLY', 'read-only'],
  ['EACCES', 'read-only'],
  ['SQLITE_FULL', 'full'],
  ['ENOSPC', 'full'],
  ['SQLITE_BUSY', 'locked'],
] as const)('%s is told as %s, with what to do next', (code, problem) => {
  const refused = refusalOf(() =>
    explainFileErrors('shop.sqlite', () => {
      throw Object.assign(new Error('x'), { code });
    }),
  );
  expect(refused.problem).toBe(problem);
  expect(refused.message).toMatch(/shop\.sqlite.*\. \w/s);
});

describe('one server holds the file', () => {
  it('a second is told so, and gets it once the first has let go', () => {
    const first = holdFile(file);
    const taken = () =>
      execFileSync(process.execPath, ['-e', TRY, `${file}.lock`], { cwd: process.cwd(), encoding: 'utf8' });
    expect(taken()).toBe('SQLITE_BUSY');
    first.release();
    expect(taken()).toBe('free');
  });

  it('one that was killed holds nothing', async () => {
    const other = spawn(process.execPath, ['-e', HOLD, `${file}.lock`], { stdio: ['ignore', 'pipe', 'inherit'] });
    await new Promise((resolve) => other.stdout.once('data', resolve));
    expect(refusalOf(() => holdFile(file)).problem).toBe('held');
    const ended = new Promise((resolve) => other.once('exit', resolve));
    other.kill('SIGKILL');
    await ended;
    holdFile(file).release();
  });
});

it('closed, the one file is the whole shop', () => {
  const db = open();
  insertShop(db, { name: 'Whole', currency: 'EUR', locale: 'en-GB', timeZone: 'UTC', simulated: false }, {});
  db.$client.close();
  expect(existsSync(`${file}-wal`)).toBe(false);
  const copy = join(folder, 'copy.sqlite');
  writeFileSync(copy, readFileSync(file));
  const copied = openDatabase(copy, MIGRATIONS);
  expect(loadShop(copied)?.name).toBe('Whole');
  copied.$client.close();
});

const HOLD =
  "const d = new (require('better-sqlite3'))(process.argv[1]); d.exec('begin exclusive'); console.log('held'); setInterval(() => {}, 1000);";
const TRY =
  "try { const d = new (require('better-sqlite3'))(process.argv[1], { timeout: 0 }); d.exec('begin exclusive'); process.stdout.write('free'); } catch (e) { process.stdout.write(e.code); }";
