// The folder is looked into by the server itself: with the clock moved by hand.

import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeEach, expect, it, vi } from 'vitest';
import { seedDemoShop } from '../../../test/demo-shop';
import { openShop, type ShopContext } from '../context';
import { loadOrderList } from '../orders/load-order-list';
import { feedFolderOf } from './feed-folder';

const folder = mkdtempSync(join(tmpdir(), 'chiral-feed-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const HALF_MINUTE_MS = 30_000;
const ROWS = 'order,item,quantity,price,customer\nW1,Honeycomb tea towel,1,25,Ada Brook\n';

let shop: ShopContext;
beforeEach(async () => {
  const file = join(folder, 'shop.sqlite');
  writeFileSync(file, await seedDemoShop());
  shop = openShop(file);
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
  vi.resetModules();
});
afterEach(() => {
  vi.useRealTimers();
  shop.db.$client.close();
});

it('takes a file that is put there while no page is open, and asked to watch twice it looks once', async () => {
  const { watchFeed } = await import('./watch-feed');
  let looks = 0;
  const open = () => {
    looks++;
    return shop;
  };
  watchFeed(open);
  watchFeed(open);
  vi.advanceTimersByTime(HALF_MINUTE_MS);
  expect(looks).toBe(1);
  // A shop without the folder is left alone.
  expect(existsSync(feedFolderOf(shop))).toBe(false);
  const before = loadOrderList(shop).counts.open;
  mkdirSync(feedFolderOf(shop), { recursive: true });
  writeFileSync(join(feedFolderOf(shop), 'watched.csv'), ROWS);
  vi.advanceTimersByTime(HALF_MINUTE_MS);
  await vi.waitFor(() => expect(existsSync(join(feedFolderOf(shop), 'done', 'watched.csv'))).toBe(true), 20_000);
  expect(loadOrderList(shop).counts.open).toBe(before + 1);
});

it('goes on looking after a look that failed', async () => {
  const { watchFeed } = await import('./watch-feed');
  let looks = 0;
  watchFeed(() => {
    looks++;
    throw new Error('The shop’s file is away for a moment');
  });
  vi.advanceTimersByTime(3 * HALF_MINUTE_MS);
  expect(looks).toBe(3);
});
