// What lists ask the database finds its rows by an index: nothing reads a large table from end to end, however long the
// shop has been open.

import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { copyDemoShop, seedDemoShop, type TestShop } from '../../test/demo-shop';
import { listPlans } from '../../test/query-plans';
import { loadHours } from './books/load-hours';
import { loadToday } from './bench/load-today';
import { loadStation } from './bench/load-station';
import { loadCutSheets } from './cut-sheets/load-cut-sheets';
import { loadCustomerList } from './customers/load-customers';
import { loadArtworkList } from './artwork/load-artwork-list';
import { loadItemList, readItemQuery } from './items/load-item-list';
import { loadCompare, loadItemEditor } from './items/load-items';
import { loadPriceList } from './items/load-price-list';
import { loadNewOrder } from './orders/load-new-order';
import { loadOrderView } from './orders/load-order-view';
import { loadOrderList, readOrderQuery } from './orders/load-order-list';
import { loadGuesses } from './trials/load-guesses';
import { findThings } from './shop/find-things';
import { loadTrust } from './trials/load-trust';
import { loadTrials } from './trials/view-ladder';

/** Tables that grow with every order, and with every cut. */
const GROWING = [
  'orders',
  'order_lines',
  'customers',
  'order_events',
  'pieces',
  'parts',
  'part_events',
  'work_sessions',
  'work_session_parts',
  'piece_minutes',
  'cut_stretches',
  'stock_lines',
  'supply_wear',
  'lot_evidence',
  'ladders',
];

let seeded: Buffer;
let shop: TestShop;
beforeAll(async () => {
  seeded = await seedDemoShop();
}, 60_000);
beforeEach(() => {
  shop = copyDemoShop(seeded);
});

const orders = (query: string) => loadOrderList(shop, readOrderQuery(new URLSearchParams(query)));
const items = (query: string) => loadItemList(shop, readItemQuery(new URLSearchParams(query)));

const VIEWS: readonly (readonly [string, () => unknown])[] = [
  ['Today', () => loadToday(shop)],
  ['the bench', () => loadStation(shop, 'cut')],
  ['cut sheets', () => loadCutSheets(shop)],
  ['orders', () => orders('')],
  ['closed orders', () => orders('show=closed')],
  ['closed orders by title', () => orders('show=closed&sort=title')],
  ['closed orders by due day', () => orders('show=closed&sort=due')],
  ['closed orders by price', () => orders('show=closed&sort=agreed&down=1')],
  ['orders by words', () => orders('q=crew+junior')],
  ['closed orders by words', () => orders('show=closed&q=crew+junior')],
  ['customers by words', () => loadCustomerList(shop, new URLSearchParams('q=crew+junior'))],
  ['everything by words', () => findThings(shop, 'crew junior')],
  ['an order', () => loadOrderView(shop, 1)],
  ['a new order', () => loadNewOrder(shop, {})],
  ['items', () => items('')],
  ['items by what an hour earns', () => items('sort=hour')],
  ['an item', () => loadItemEditor(shop, 1, null)],
  ['a comparison', () => loadCompare(shop, 1)],
  ['the price list', () => loadPriceList(shop)],
  ['hours and spoilage', () => loadHours(shop, 12)],
  ['drawings', () => loadArtworkList(shop)],
  ['trials', () => loadTrials(shop)],
  ['older trials', () => loadTrials(shop, 1)],
  ['which vinyl to trust', () => loadTrust(shop)],
  ['how good the guesses are', () => loadGuesses(shop)],
];

describe('no large table is read from end to end', () => {
  it.each(VIEWS)('%s', (_name, load) => {
    const plans = listPlans(shop.db, load);
    expect(plans.length).toBeGreaterThan(0);
    const scanned = plans.flatMap(({ query, steps }) =>
      steps.flatMap((step) => {
        const table = /^SCAN (\S+)$/.exec(step)?.[1];
        return table && GROWING.includes(table) ? [`${table}: ${query}`] : [];
      }),
    );
    expect(scanned).toEqual([]);
  });

  it('and one that would is found', () => {
    const plans = listPlans(shop.db, () => shop.db.$client.prepare('select * from parts where broken = 1').all());
    expect(plans.map(({ steps }) => steps)).toEqual([['SCAN parts']]);
  });
});
