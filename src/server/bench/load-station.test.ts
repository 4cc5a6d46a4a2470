// A station shows the first of its queue, however much waits; what is in work is always among it.

import { describe, expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import { priceAllItems } from '../../../test/price-all';
import { gatherBatches } from '../../core/scheduling';
import { placeOrder } from '../orders/save-order';
import { loadBenchLine, loadStation, readStation } from './load-station';
import { loadToday } from './load-today';
import { finishSession, startSession } from './work-at-bench';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

/** So many orders of one apron each, all of them cut: each line is weeded by itself, layer by layer. */
function cutAprons(count: number): void {
  const { id: itemId } = priceAllItems(shop).find(({ item }) => item.name === 'Bakery apron')!.item;
  const line = { itemId, quantity: 1, sizeName: 'one size', colourName: 'charcoal' };
  const head = { customerName: 'Ansel Thrush', contact: '', agreed: 9000, note: '', dueDay: '2027-03-01' };
  const ids = Array.from({ length: count }, () => placeOrder(shop, { ...head, title: 'Apron', lines: [line] }).id);
  const partIds = listBenchParts(shop).flatMap((part) => (ids.includes(part.orderId) ? [part.partId] : []));
  const { id } = startSession(shop, { station: 'cut', partIds });
  shop.clock.ms += 60_000;
  finishSession(shop, id, 'done');
}

/** So many are shown. */
const FIRST = 15;

describe('a station', () => {
  it('shows its first batches with all parts of their pieces, and counts the others', () => {
    cutAprons(30);
    const all = gatherBatches('weed', listBenchParts(shop));
    const view = loadStation(shop, 'weed');
    const shown = gatherBatches('weed', view.parts);
    expect(all.length).toBeGreaterThan(50);
    expect(view.later).toBe(all.length - FIRST);
    expect(shown.slice(0, FIRST).map((batch) => batch.key)).toEqual(all.slice(0, FIRST).map((batch) => batch.key));
    const pieces = new Set(view.parts.map((part) => part.pieceId));
    const whole = listBenchParts(shop).filter((part) => pieces.has(part.pieceId));
    expect(view.parts.map((part) => part.partId).sort()).toEqual(whole.map((part) => part.partId).sort());
  });

  it('counts what waits at each station, shown or not', () => {
    const before = loadStation(shop, 'cut').waiting;
    cutAprons(30);
    expect(loadStation(shop, 'check').waiting).toEqual({ ...before, weed: before.weed + 60 });
  });

  it('shows what is in work, however late it is due, with its line', () => {
    cutAprons(30);
    const last = gatherBatches('weed', listBenchParts(shop)).at(-1)!;
    startSession(shop, { station: 'weed', partIds: last.parts.map((part) => part.partId) });
    const view = loadStation(shop, 'weed');
    expect(view.parts.map((part) => part.partId)).toEqual(
      expect.arrayContaining(last.parts.map((part) => part.partId)),
    );
    expect(view.lines.map((line) => line.lineId)).toEqual([last.parts[0]!.lineId]);
  });

  it('brings the line of its first batch; of others it is asked for', () => {
    const view = loadStation(shop, 'weed');
    const [first, second] = gatherBatches('weed', view.parts);
    expect(view.lines.map((line) => line.lineId)).toEqual([first!.parts[0]!.lineId]);
    const other = loadBenchLine(shop, second!.parts[0]!.lineId);
    expect(other.placements[0]!.picture.layers.length).toBeGreaterThan(0);
    expect(() => loadBenchLine(shop, 9999)).toThrow(/not here/);
  });

  it('is the cutter where an address names none', () =>
    expect([readStation(new URLSearchParams('station=press')), readStation(new URLSearchParams('station=x'))]).toEqual([
      'press',
      'cut',
    ]));
});

describe('Today', () => {
  it('shows the first twelve orders, and counts and sums all of them', () => {
    const before = loadToday(shop);
    cutAprons(20);
    const view = loadToday(shop);
    expect(view.orders).toHaveLength(12);
    expect(view.counts.inWork).toBe(before.counts.inWork + 20);
    expect(view.neededSeconds).toBeGreaterThan(before.neededSeconds);
    expect(view.orders.slice(0, before.orders.length).map((row) => row.id)).toEqual(before.orders.map((row) => row.id));
  });
});
