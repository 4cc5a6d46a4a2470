import { cpSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { inTransaction, NewerDatabaseError, openDatabase, OrphanedRowsError } from './database';
import { PLAIN_DETAILS } from '../core/costing';
import { findItem } from './item-store';
import { loadMinimums } from './offer-store';
import { findOrder } from './order-store';
import { loadQuotes } from './quote-store';
import { loadBlanks, loadVinyls } from './shelf-store';
import { insertShop, loadShop, updateShop } from './shop-store';

const MIGRATIONS = join(process.cwd(), 'src', 'data', 'migrations');
const IDENTITY = { name: 'Try-out', currency: 'EUR', locale: 'en-GB', timeZone: 'UTC', simulated: false };
let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'chiral-data-'));
  file = join(folder, 'deep', 'shop.sqlite');
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Opens the file as it is, changes it, closes it. */
function tamper(change: (client: BetterSqlite.Database) => void): void {
  const client = new BetterSqlite(file);
  change(client);
  client.close();
}

/** Makes the file as the program with migrations up to `last` did. */
function openAsOf(last: number): void {
  const older = join(folder, 'older');
  cpSync(MIGRATIONS, older, { recursive: true });
  const journal = join(older, 'meta', '_journal.json');
  const entries = (JSON.parse(readFileSync(journal, 'utf8')) as { entries: { idx: number }[] }).entries.filter(
    (entry) => entry.idx <= last,
  );
  writeFileSync(journal, JSON.stringify({ version: '7', dialect: 'sqlite', entries }));
  openDatabase(file, older).$client.close();
}

describe('opening the shop’s file', () => {
  it('makes it where there is none, with safe settings, and keeps what was written', () => {
    const db = openDatabase(file, MIGRATIONS);
    expect(db.$client.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(db.$client.pragma('foreign_keys', { simple: true })).toBe(1);
    expect(db.$client.pragma('synchronous', { simple: true })).toBe(2);
    insertShop(db, IDENTITY, { wagePerHour: 1234 });
    db.$client.close();
    const again = openDatabase(file, MIGRATIONS);
    expect(loadShop(again)).toMatchObject({
      name: 'Try-out',
      version: 1,
      figures: { wagePerHour: 1234, pressWatts: 1600 },
    });
    expect(updateShop(again, { ...IDENTITY, name: 'Renamed' }, loadShop(again)!.figures, 1)).toBe(true);
    expect(updateShop(again, IDENTITY, loadShop(again)!.figures, 1)).toBe(false);
    again.$client.close();
    expect(readdirSync(join(folder, 'deep')).filter((name) => name.includes('before'))).toEqual([]);
  });

  it('leaves a file alone that a newer program wrote', () => {
    openDatabase(file, MIGRATIONS).$client.close();
    tamper((client) =>
      client
        .prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)')
        .run('later', 9_999_999_999_999),
    );
    expect(() => openDatabase(file, MIGRATIONS)).toThrow(NewerDatabaseError);
    expect(() => openDatabase(file, MIGRATIONS)).toThrow(/newer Chiral.*restore an older copy/);
  });

  it('leaves a copy of the file as it was before it changes it', () => {
    openDatabase(file, MIGRATIONS).$client.close();
    // As an older program would have left it: nothing in it, and its only migration older than ours.
    tamper((client) => {
      client.pragma('foreign_keys = OFF');
      const tables = client
        .prepare(
          "select name from pragma_table_list where type in ('table', 'virtual') and schema = 'main' and name not like '\\_\\_%' escape '\\' and name not like 'sqlite%'",
        )
        .all() as { name: string }[];
      for (const { name } of tables) client.exec(`drop table "${name}"`);
      client.exec(
        'update __drizzle_migrations set created_at = 1; create table keepsake (x); insert into keepsake values (7)',
      );
    });
    const db = openDatabase(file, MIGRATIONS);
    insertShop(db, IDENTITY, {});
    db.$client.close();
    const [copy] = readdirSync(join(folder, 'deep')).filter((name) => name.startsWith('shop.sqlite.before-'));
    expect(existsSync(join(folder, 'deep', copy!))).toBe(true);
    const old = new BetterSqlite(join(folder, 'deep', copy!), { readonly: true });
    expect(old.prepare('select x from keepsake').pluck().get()).toBe(7);
    expect(old.prepare("select count(*) from sqlite_master where name = 'orders'").pluck().get()).toBe(0);
    old.close();
  });

  it('brings what an older program kept along: minimums stay, vinyls and blanks get the ordinary details', () => {
    openAsOf(2);
    tamper((client) => {
      client.exec("insert into minimums (key, amount) values ('vinyl:1', 1500000)");
      client.exec(
        "insert into vinyls (name, kind, supplier, colour_name, colour_hex, roll_width_mm, roll_length_mm, roll_price, weeding_factor) values ('Old glitter', 'glitter', '', 'gold', '#b28a2c', 305, 1500, 2650, 1.2)",
      );
      client.exec("insert into blanks (name, supplier, fabric, heating) values ('Towel', '', 'cotton', 'flat')");
    });
    const db = openDatabase(file, MIGRATIONS);
    expect(loadMinimums(db)).toEqual(new Map([['vinyl:1', { amount: 1_500_000, coverWeeks: null }]]));
    expect(loadVinyls(db)[0]!.details).toMatchObject({
      takesLayers: false,
      finish: 'glittering',
      carrier: 'face',
      grade: 'sell',
    });
    expect(loadBlanks(db)[0]!.areas).toEqual([]);
    db.$client.close();
  });

  it('items of one artwork become items with one placement; their orders still point to them', () => {
    openAsOf(6);
    tamper((client) =>
      client.exec(`
      insert into vinyls (id, name, kind, supplier, colour_name, colour_hex, roll_width_mm, roll_length_mm, roll_price, weeding_factor) values (3, 'White', 'smooth', '', 'white', '#ffffff', 500, 5000, 2000, 1), (4, 'Gold', 'glitter', '', 'gold', '#b28a2c', 305, 1500, 2650, 1.2);
      insert into blanks (id, name, supplier, fabric, heating) values (1, 'Towel', '', 'cotton', 'flat');
      insert into artworks (id, name, file_name, measurement, layer_names, picture, left_out, gradients, size_stated, original_bytes, created_at_ms) values (7, 'Oars', 'oars.svg', '{}', '[]', '{}', '[]', 0, 1, 1, 1);
      insert into items (id, name, blank_id, size_name, colour_name, artwork_id, placement, width_mm, seen_through, area_basis, quantity, price) values (5, 'Towel, oars', 1, 'one size', 'white', 7, 'lower third', 180.5, 1, 'box', 10, 2600);
      insert into item_vinyls (item_id, layer_index, vinyl_id) values (5, 0, 4), (5, 1, 3);
      insert into customers (id, name, contact) values (1, 'Ansel Thrush', '');
      insert into orders (id, customer_id, title, due_day, agreed, note, placed_at_ms) values (1, 1, 'Towels', '2026-12-01', 5200, '', 1);
      insert into order_lines (id, order_id, item_id, quantity, size_name, colour_name, quote) values (1, 1, 5, 2, 'one size', 'white', '{}');
      insert into units (id, line_id, number) values (1, 1, 1), (2, 1, 2);
      insert into parts (unit_id, layer_index, vinyl_id) values (1, 0, 4), (1, 1, 3), (2, 0, 4), (2, 1, 3)`),
    );
    const db = openDatabase(file, MIGRATIONS);
    expect(findItem(db, 5)).toMatchObject({
      name: 'Towel, oars',
      areaBasis: 'box',
      quantity: 10,
      price: 2600,
      details: PLAIN_DETAILS,
      acceptedCost: null,
      placements: [
        { artworkId: 7, place: 'lower third', widthMm: 180.5, widths: {}, seenThrough: true, vinylIds: [4, 3] },
      ],
    });
    expect(findOrder(db, 1)).toMatchObject({ lines: [{ itemId: 5, made: null }], parts: { length: 4 } });
    expect(db.$client.pragma('foreign_keys', { simple: true })).toBe(1);
    expect(() => db.$client.exec('delete from items where id = 5')).toThrow(/FOREIGN KEY/);
    db.$client.close();
  });

  it('a migration that would leave rows pointing nowhere is refused at every start, and nothing of it stays', () => {
    openAsOf(13);
    tamper((client) => {
      client.pragma('foreign_keys = OFF');
      client.exec("insert into stock_lines (lot_id, at_ms, cause, quantity) values (99, 1, 'counted', 1)");
    });
    for (const start of ['first', 'second']) {
      expect(() => openDatabase(file, MIGRATIONS), start).toThrow(OrphanedRowsError);
      expect(() => openDatabase(file, MIGRATIONS), start).toThrow(/rows in stock_lines point to something that is not/);
    }
    tamper((client) => {
      expect(client.prepare("select name from sqlite_master where name in ('units', 'pieces')").pluck().all()).toEqual([
        'units',
      ]);
      client.exec('delete from stock_lines where lot_id = 99');
    });
    openDatabase(file, MIGRATIONS).$client.close();
  });

  it('sessions, their lines and wear keep their ties when their tables are renamed; what points nowhere is let go', () => {
    openAsOf(13);
    tamper((client) => {
      client.pragma('foreign_keys = OFF');
      client.exec(`
      insert into work (id, station, started_at_ms, stopped_at_ms, outcome) values (4, 'cut', 1, 2, 'done');
      insert into lots (id, key, form, received_at_ms, unit_cost, left, from_lot_id) values (1, 'vinyl:1', 'roll', 1, 2, 3, 77);
      insert into stock_lines (lot_id, at_ms, cause, quantity, work_id) values (1, 1, 'cut', 3, 4), (1, 1, 'counted', 0, 5)`);
    });
    const { $client: client } = openDatabase(file, MIGRATIONS);
    expect(client.prepare('select session_id from stock_lines order by id').pluck().all()).toEqual([4, null]);
    expect(client.prepare('select from_lot_id from lots').pluck().get()).toBeNull();
    expect(() => client.exec('delete from work_sessions')).toThrow(/FOREIGN KEY/);
    client.close();
  });

  it('a quote from before there were options is read as one without any', () => {
    openAsOf(13);
    tamper((client) => {
      client.pragma('foreign_keys = OFF');
      client.exec(`insert into quotes (customer_name, item_id, at_ms, facts) values ('Wren', 1, 1, '{"quantity":2}')`);
      client.exec("insert into blanks (id, name, supplier, fabric, heating) values (1, 'Towel', '', 'cotton', 'flat')");
      client.exec(
        "insert into items (id, name, blank_id, size_name, colour_name, area_basis, quantity, price) values (1, 'Towel', 1, 'one', 'white', 'box', 1, 1)",
      );
    });
    const db = openDatabase(file, MIGRATIONS);
    expect(loadQuotes(db, 5)[0]!.facts).toEqual({ quantity: 2, options: [], optionIndexes: [] });
    db.$client.close();
  });
});

describe('a transaction', () => {
  it('is whole or nothing, and a promise in it does not compile', () => {
    const db = openDatabase(':memory:', MIGRATIONS);
    const failing = (): void =>
      inTransaction(db, (): void => {
        insertShop(db, IDENTITY, {});
        throw new Error('half way');
      });
    expect(failing).toThrow('half way');
    expect(loadShop(db)).toBeNull();
    // @ts-expect-error An async change would be committed before it had run.
    expect(() => inTransaction(db, async () => insertShop(db, IDENTITY, {}))).toThrow(/promise/);
    expect(inTransaction(db, () => 7)).toBe(7);
  });
});
