// A big shop is a shop: whole, the size that was asked for, and what it keeps beside its log is what the log says.

import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { recountParts } from '../../data/evidence-store';
import { openShop, type ShopContext } from '../context';
import { recountMinutes } from '../items/recount';
import { loadOrderList } from '../orders/load-order-list';
import { BIG_SHOP, makeBigShop } from './make-big-shop';

const NOW_MS = Date.parse('2031-03-12T10:00:00Z');
const ORDERS = 60;
const folder = mkdtempSync(join(tmpdir(), 'chiral-test-'));
let shop: ShopContext;

beforeAll(async () => {
  await makeBigShop(folder, ORDERS, NOW_MS);
  shop = openShop(join(folder, 'shop.sqlite'), () => NOW_MS);
}, 300_000);
afterAll(() => {
  shop.db.$client.close();
  rmSync(folder, { recursive: true });
});

const count = (table: string): number =>
  (shop.db.$client.prepare(`select count(*) as rows from ${table}`).get() as { readonly rows: number }).rows;

describe('a big shop', () => {
  it('has what was asked for, beside the demo shop', () => {
    expect(count('vinyls')).toBeGreaterThanOrEqual(BIG_SHOP.vinyls);
    expect(count('offers')).toBeGreaterThanOrEqual(BIG_SHOP.offers);
    expect(count('artworks')).toBeGreaterThanOrEqual(BIG_SHOP.artworks);
    expect(count('items')).toBeGreaterThanOrEqual(BIG_SHOP.items);
    expect(count('orders')).toBeGreaterThanOrEqual(ORDERS);
    expect(count('stock_lines')).toBeGreaterThanOrEqual(ORDERS * BIG_SHOP.ledgerLinesPerOrder);
    expect(loadOrderList(shop).counts.open).toBeGreaterThanOrEqual(ORDERS / 2);
    expect(loadOrderList(shop).counts.closed).toBeGreaterThan(0);
  });

  it('is whole', () => {
    const { $client } = shop.db;
    expect($client.pragma('integrity_check', { simple: true })).toBe('ok');
    expect($client.pragma('foreign_key_check')).toEqual([]);
    expect($client.pragma('foreign_keys', { simple: true })).toBe(1);
  });

  it('keeps of its parts and its minutes what a recount of the log gives', () => {
    const { $client } = shop.db;
    const kept = (
      $client
        .prepare(
          `select name from sqlite_master where type = 'table'
           and (name in ('parts', 'pieces') or name like '%evidence%' or name like '%minutes%' or name like '%stretches')`,
        )
        .all() as readonly { readonly name: string }[]
    ).map(({ name }) => name);
    expect(kept.length).toBeGreaterThan(5);
    const dump = () =>
      Object.fromEntries(
        kept.map((name) => [
          name,
          $client
            .prepare(`select * from ${name}`)
            .all()
            .map((row) => JSON.stringify(row))
            .sort(),
        ]),
      );
    const before = dump();
    expect(Object.values(before).flat().length).toBeGreaterThan(ORDERS);
    recountParts(shop.db);
    recountMinutes(shop);
    expect(dump()).toEqual(before);
  });

  it('is not written over another', async () => {
    await expect(makeBigShop(folder, ORDERS, NOW_MS)).rejects.toThrow('There is a shop in that folder already');
    expect(existsSync(join(folder, 'shop.sqlite'))).toBe(true);
  });
});
