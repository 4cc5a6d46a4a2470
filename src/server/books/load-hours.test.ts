// The books' hours: what was started and stopped, what was spoiled, what was taken back, and in which month.

import { beforeEach, describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { listSpoilage, type Station } from '../../core/orders/index';
import { loadSpoiledLines } from '../../data/hours-store';
import { insertInstant } from '../../data/work-store';
import { spoilParts } from '../bench/spoil-parts';
import { undoSteps } from '../bench/undo-steps';
import { finishSession, startSession } from '../bench/work-at-bench';
import { priceAllItems } from '../../../test/price-all';
import { readOrder } from '../orders/read-orders';
import { placeOrder } from '../orders/save-order';
import { explainHours, loadHours, readHoursSpan } from './load-hours';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
let orderId = 0;
let partIds: readonly number[] = [];
const readAll = () => readOrder(shop, orderId)!.parts;
beforeEach(() => {
  const { item } = priceAllItems(shop).find((row) => row.item.name === 'Bakery apron')!;
  const line = { itemId: item.id, quantity: 2, sizeName: 'one size', colourName: 'charcoal' };
  const wish = { title: 'Two aprons', customerName: 'Ansel Thrush', contact: '', dueDay: '2026-12-20', agreed: 6000 };
  orderId = placeOrder(shop, { ...wish, note: '', lines: [line] }).id;
  partIds = readAll().map(({ id }) => id);
  // Nothing runs, and a month begins in which nothing was done yet.
  shop.db.$client.exec(
    "update work_sessions set stopped_at_ms = started_at_ms, outcome = 'done' where outcome is null",
  );
  shop.clock.ms = Date.parse('2026-12-02T10:00:00Z');
});

const MINUTE_MS = 60_000;
function work(station: Station, minutes: number, outcome: 'done' | 'discarded' = 'done', ids = partIds): void {
  const { id } = startSession(shop, { station, partIds: [...ids] });
  shop.clock.ms += minutes * MINUTE_MS;
  finishSession(shop, id, outcome);
}
const thisMonth = () => loadHours(shop, 1);
const explain = (query: string) => explainHours(shop, new URLSearchParams(query));

describe('hours of a month', () => {
  it('are what was worked at each station, and what a piece took', () => {
    expect(thisMonth()).toMatchObject({ months: [], whole: { all: { value: 0 }, each: null } });
    for (const [station, minutes] of [
      ['cut', 4],
      ['weed', 10],
      ['press', 6],
      ['check', 2],
    ] as const)
      work(station, minutes);
    const { months, whole } = thisMonth();
    expect(months).toHaveLength(1);
    expect(months[0]).toMatchObject({ month: '2026-12', pieces: 2, each: { value: 11 * 60 } });
    expect(Object.values(whole.stations).map(({ value }) => value / 60)).toEqual([4, 10, 6, 2]);
    expect(explain('months=1&of=2026-12').parts!.map(({ value }) => value / 60)).toEqual([4, 10, 6, 2]);
    expect(explain('months=1&of=whole&each=1').parts!.map(({ value }) => value)).toEqual([22 * 60, 2]);
  });

  it('leave out what was thrown away, what still runs and what has no length', () => {
    work('cut', 4, 'discarded');
    insertInstant(shop.db, 'weed', shop.now(), []);
    startSession(shop, { station: 'cut', partIds: [...partIds] });
    shop.clock.ms += 5 * MINUTE_MS;
    expect(thisMonth().whole.all.value).toBe(0);
  });

  it('count no piece whose check was taken back', () => {
    for (const station of ['cut', 'weed', 'press', 'check'] as const) work(station, 1);
    const checks = readAll().flatMap(({ events }) => events.filter(({ kind }) => kind === 'checked'));
    undoSteps(
      shop,
      checks.map(({ id }) => id),
      partIds,
    );
    expect(thisMonth()).toMatchObject({ whole: { pieces: 0, all: { value: 240 } } });
  });

  it('belong to the month in which they were begun, by the clock of the shop', () => {
    shop.clock.ms = Date.parse('2026-12-31T23:59:00Z');
    work('cut', 4);
    const view = loadHours(shop, 3);
    expect(view.months.map(({ month }) => month)).toEqual(['2026-12', '2026-11']);
    expect(view.months[0]!.stations.cut.value).toBe(240);
    // All that the demo shop did in November is in it, and in the whole.
    expect(view.whole.all.value).toBe(view.months.reduce((sum, { all }) => sum + all.value, 0));
  });
});

describe('spoilage by cause', () => {
  it('is told with its vinyl and blanks, and gone when it is taken back', () => {
    work('cut', 4);
    const spoiled = spoilParts(shop, { partIds: [partIds[0]!], cause: 'weeding', blankLost: false, recut: null });
    const [lost] = thisMonth().spoilage.causes;
    const cut = readAll()[0]!.events.find(({ kind }) => kind === 'cut')!;
    expect(lost).toMatchObject({ cause: 'weeding', times: 1, blanks: 0 });
    expect(lost!.lost).toMatchObject({ label: 'torn when weeding', value: Math.round(cut.vinylCost!) });
    expect(lost!.lost.value).toBeGreaterThan(0);
    expect(explain('months=1&of=weeding').parts!.map(({ value }) => value)).toEqual([lost!.lost.value, 0]);
    undoSteps(shop, spoiled.eventIds, partIds);
    expect(thisMonth()).toMatchObject({ spoilage: { causes: [], whole: { lost: { value: 0 } } } });
  });

  it('counts in a month what was spoiled in it, though the part went wrong before', () => {
    const spoil = () => spoilParts(shop, { partIds: [partIds[0]!], cause: 'weeding', blankLost: false, recut: null });
    work('cut', 4);
    spoil();
    shop.clock.ms = Date.parse('2027-01-04T10:00:00Z');
    expect(thisMonth().spoilage.causes).toEqual([]);
    work('cut', 4, 'done', [partIds[0]!]);
    spoil();
    expect(thisMonth().spoilage.causes).toMatchObject([{ cause: 'weeding', times: 1 }]);
    expect(loadHours(shop, 3).spoilage.causes.find(({ cause }) => cause === 'weeding')!.times).toBeGreaterThanOrEqual(
      2,
    );
  });

  it('of the demo shop is all that its log says was spoiled, and no more', () => {
    const { causes, whole } = loadHours(shop, 12).spoilage;
    const live = shop.db.$client
      .prepare(
        `select cause, count(*) as times from part_events where kind = 'spoiled'
         and id not in (select undoes from part_events where undoes is not null) group by cause`,
      )
      .all() as { cause: string; times: number }[];
    expect(Object.fromEntries(causes.map(({ cause, times }) => [cause, times]))).toEqual(
      Object.fromEntries(live.map(({ cause, times }) => [cause, times])),
    );
    const all = listSpoilage(loadSpoiledLines(shop.db, { fromMs: 0, untilMs: shop.now() }));
    const money = all.reduce((sum, { vinyl, blank }) => sum + vinyl + blank, 0);
    expect(Math.abs(whole.lost.value - money)).toBeLessThanOrEqual(causes.length);
    expect(whole.lost.value).toBe(explain('months=12&of=lost').value);
    expect(whole.times).toBe(live.reduce((sum, { times }) => sum + times, 0));
  });
});

it('answers what is not there in words, and a span nobody offers with the usual one', async () => {
  expect((await refusalOf(() => explain('of=1999-01'))).code).toBe('not-found');
  expect((await refusalOf(() => explain('of=scorched&months=1'))).code).toBe('not-found');
  expect(readHoursSpan(new URLSearchParams('months=12'))).toBe(12);
  expect(readHoursSpan(new URLSearchParams('months=5'))).toBe(3);
});
