import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { loadBlanks, loadVinyls } from '../../data/shelf-store';
import { copyDemoShop, seedDemoShop, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import { priceAllItems } from '../../../test/price-all';
import { itemInput } from '../../core/input/index';
import { foldPart } from '../../core/orders/index';
import { parseInput, ShopError } from '../errors';
import { changeItem } from '../items/save-item';
import { moveOrder } from '../orders/move-order';
import { changeOrder, placeOrder } from '../orders/save-order';
import { archiveVinyl, changeVinyl } from '../stock/save-shelf';
import { readOrder } from '../orders/read-orders';
import { findThings } from '../shop/find-things';
import { loadToday } from './load-today';
import { loadItemEditor } from '../items/load-items';
import { loadOrderView } from '../orders/load-order-view';
import { loadOrderList, readOrderQuery } from '../orders/load-order-list';
import { spoilParts } from './spoil-parts';
import { undoSteps } from './undo-steps';
import { finishSession, startSession } from './work-at-bench';

let seeded: Buffer;
let shop: TestShop;
let orderId: number;
const codeOf = (run: () => unknown): string | null => {
  try {
    run();
    return null;
  } catch (error) {
    return error instanceof ShopError ? error.code : String(error);
  }
};
const parts = () => readOrder(shop, orderId)!.parts;
const ids = () => parts().map((part) => part.id);

/** Works a station on some parts for so many seconds. */
function work(
  station: 'cut' | 'weed' | 'press' | 'check',
  partIds: readonly number[],
  seconds: number,
): readonly number[] {
  const { id } = startSession(shop, { station, partIds: [...partIds] });
  shop.clock.ms += seconds * 1000;
  return finishSession(shop, id, 'done').eventIds;
}

beforeAll(async () => {
  seeded = await seedDemoShop();
}, 60_000);

beforeEach(() => {
  shop = copyDemoShop(seeded);
  const item = priceAllItems(shop).find((row) => row.item.name === 'Bakery apron')!.item;
  orderId = placeOrder(shop, {
    title: 'Two aprons',
    customerName: 'Ansel Thrush',
    contact: '',
    dueDay: '2026-12-01',
    agreed: 6000,
    note: '',
    lines: [{ itemId: item.id, quantity: 2, sizeName: 'one size', colourName: 'charcoal' }],
  }).id;
});

const listClosed = () => loadOrderList(shop, readOrderQuery(new URLSearchParams('show=closed'))).rows;

describe('an order from taking to handing over', () => {
  it('gets its pieces and parts by itself, and its quote frozen', () => {
    expect(parts().map((part) => [part.pieceNumber, part.layerIndex])).toEqual([
      [1, 0],
      [1, 1],
      [2, 0],
      [2, 1],
    ]);
    const before = loadOrderView(shop, orderId).against.cost.quoted.value;
    const vinyl = loadVinyls(shop.db).find((candidate) => candidate.name.startsWith('Sparrow'))!;
    changeVinyl(shop, vinyl.id, { ...vinyl, rollPrice: vinyl.rollPrice * 3 }, vinyl.version);
    expect(loadOrderView(shop, orderId).against.cost.quoted.value).toBe(before);
  });

  it('is ready when its slowest piece is, is handed over, and shows its real minutes beside the quoted', () => {
    work('cut', ids(), 600);
    work('weed', ids(), 900);
    work('press', ids(), 500);
    expect(codeOf(() => moveOrder(shop, orderId, { move: 'hand-over' }))).toBe('conflict');
    work('check', ids(), 240);
    expect(loadOrderView(shop, orderId).row.stage).toBe('ready');
    moveOrder(shop, orderId, { move: 'hand-over' });
    const view = loadOrderView(shop, orderId);
    expect(view.row.stage).toBe('collected');
    expect(view.against.stations.map((entry) => Math.round(entry.real.value))).toEqual([600, 900, 500, 240]);
    expect(view.profit.value).toBe(6000 - view.fee.value - view.against.cost.real.value);
    expect(listClosed().some((row) => row.id === orderId)).toBe(true);
  });

  it('recuts a spoiled part alone, keeps its minutes and counts its vinyl twice', () => {
    work('cut', ids(), 400);
    const cashBefore = loadOrderView(shop, orderId).against.cash.real.value;
    const [spoilt] = ids();
    spoilParts(shop, { partIds: [spoilt!], cause: 'cut', blankLost: false });
    expect(parts().map((part) => part.state)).toEqual(['to-cut', 'cut', 'cut', 'cut']);
    expect(listBenchParts(shop).find((part) => part.partId === spoilt)!.broken).toBe(true);
    work('cut', [spoilt!], 100);
    const view = loadOrderView(shop, orderId);
    expect(view.against.cash.real.value).toBeGreaterThan(cashBefore);
    expect(Math.round(view.against.stations[0]!.real.value)).toBe(500);
  });

  it('with the blank lost, every layer pressed on it is made again', () => {
    work('cut', ids(), 10);
    work('weed', ids(), 10);
    work('press', ids(), 10);
    spoilParts(shop, { partIds: [ids()[0]!], cause: 'scorched', blankLost: true });
    expect(parts().map((part) => part.state)).toEqual(['to-cut', 'to-cut', 'pressed', 'pressed']);
    expect(parts().reduce((lost, part) => lost + part.blanksLost, 0)).toBe(1);
  });

  it('takes a step back, but not one that was built upon', () => {
    const cut = work('cut', ids(), 10);
    undoSteps(shop, cut, ids());
    expect(new Set(parts().map((part) => part.state))).toEqual(new Set(['to-cut']));
    const again = work('cut', ids(), 10);
    work('weed', ids(), 10);
    expect(codeOf(() => undoSteps(shop, again, ids()))).toBe('conflict');
  });

  it('stores nothing that its events do not say', () => {
    work('cut', ids(), 10);
    spoilParts(shop, { partIds: [ids()[1]!], cause: 'weeding', blankLost: false });
    for (const part of parts()) expect(part.state).toBe(foldPart(part.events).state);
  });
});

describe('the bench refuses what cannot be', () => {
  it('two timers at one station, parts that are not ready, closed orders, timers stopped twice', () => {
    expect(codeOf(() => startSession(shop, { station: 'press', partIds: [ids()[0]!] }))).toBe('conflict');
    const { id } = startSession(shop, { station: 'cut', partIds: ids() });
    expect(codeOf(() => startSession(shop, { station: 'cut', partIds: ids() }))).toBe('conflict');
    finishSession(shop, id, 'paused');
    expect(codeOf(() => finishSession(shop, id, 'done'))).toBe('conflict');
    expect(new Set(parts().map((part) => part.state))).toEqual(new Set(['to-cut']));
    expect(codeOf(() => spoilParts(shop, { partIds: [ids()[0]!], cause: 'cut', blankLost: false }))).toBe('conflict');
    moveOrder(shop, orderId, { move: 'cancel' });
    expect(codeOf(() => startSession(shop, { station: 'cut', partIds: ids() }))).toBe('conflict');
    expect(codeOf(() => startSession(shop, { station: 'cut', partIds: [999_999] }))).toBe('not-found');
  });

  it('keeps the minutes of a pause and drops those that were discarded', () => {
    for (const outcome of ['paused', 'discarded'] as const) {
      const { id } = startSession(shop, { station: 'cut', partIds: ids() });
      shop.clock.ms += 60_000;
      finishSession(shop, id, outcome);
    }
    expect(Math.round(loadOrderView(shop, orderId).against.time.real.value)).toBe(60);
  });
});

describe('two windows at once', () => {
  it('the second save of an order, an item or a vinyl is told', () => {
    const change = { title: 'Two aprons', dueDay: '2026-12-02', agreed: 6100, note: '' };
    changeOrder(shop, orderId, change, 1);
    expect(codeOf(() => changeOrder(shop, orderId, change, 1))).toBe('stale');
    const {
      id: _id,
      version,
      archived: _archived,
      acceptedCost: _acceptedCost,
      ...fields
    } = loadItemEditor(shop, 1, null).item!;
    const item = parseInput(itemInput, fields);
    changeItem(shop, 1, item, version);
    expect(codeOf(() => changeItem(shop, 1, item, version))).toBe('stale');
  });
});

describe('views', () => {
  it('an archived vinyl leaves the shelf but the item that uses it still has its cost', () => {
    const row = priceAllItems(shop).find((candidate) => candidate.item.name === 'Bakery apron')!;
    archiveVinyl(shop, row.item.placements[0]!.vinylIds[0]!, true);
    expect(loadVinyls(shop.db).some((vinyl) => vinyl.id === row.item.placements[0]!.vinylIds[0])).toBe(false);
    expect(priceAllItems(shop).find((candidate) => candidate.item.id === row.item.id)!.cost!.withRisk.value).toBe(
      row.cost!.withRisk.value,
    );
  });

  it('today names the next batch by due day and keeps the timeline within the working day', () => {
    const today = loadToday(shop);
    expect(today.next.press!.dueDay).toBe(today.orders[0]!.dueDay);
    for (const block of today.timeline) expect(block.endMs).toBeGreaterThan(block.startMs);
    expect(today.ready.map((row) => row.title)).toEqual(['Lab coats for the founders']);
  });

  it('finds by any part of a name, and takes % as a letter', () => {
    expect(findThings(shop, 'apron').map((thing) => thing.kind)).toEqual(
      expect.arrayContaining(['order', 'item', 'blank']),
    );
    expect(findThings(shop, '%%%zz')).toEqual([]);
  });

  it('finds the orders that are worked on before those that are gone, and the customer', () => {
    const ask = () => findThings(shop, 'fennmere');
    const [first, second] = ask().filter(({ kind }) => kind === 'order');
    expect([first!.detail, second!.detail].every((detail) => detail.includes(', due '))).toBe(true);
    expect(ask().filter(({ kind }) => kind === 'customer')).toMatchObject([{ label: 'Fennmere Rowing Crew' }]);
    moveOrder(shop, Number(/\d+$/.exec(first!.href)![0]), { move: 'cancel' });
    expect(ask()[0]).toEqual(second);
    expect(ask()[1]).toMatchObject({
      href: first!.href,
      detail: expect.stringMatching(/^Fennmere .+, cancelled /) as string,
    });
  });
});

it('the demo shop is the same every time but for its dates', async () => {
  const other = copyDemoShop(await seedDemoShop());
  const summary = (of: TestShop) =>
    JSON.stringify(
      loadOrderList(of).rows.map((row) => [
        row.title,
        row.dueDay,
        row.comb.map((column) => column.teeth.map((tooth) => tooth.state)),
      ]),
    );
  moveOrder(shop, orderId, { move: 'cancel' });
  expect(summary(other)).toBe(summary(shop));
  const { open, closed } = loadOrderList(other).counts;
  expect(open + closed).toBe(13);
  expect([loadVinyls(other.db).length, loadBlanks(other.db).length]).toEqual([8, 7]);
}, 60_000);
