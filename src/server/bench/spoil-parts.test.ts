// What is lost with a part that went wrong: the part alone, or its blank and all that was pressed on it; what was
// already cut and what was not; from the shelf once, and never twice.

import { beforeEach, describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { keyOf } from '../../core/stock/index';
import { findItems } from '../../data/item-store';
import { loadLinesOfSession, loadLotsOnShelf } from '../../data/stock-store';
import { findSession } from '../../data/work-store';
import { readOrder } from '../orders/read-orders';
import { placeOrder } from '../orders/save-order';
import { receiveLot } from '../stock/save-stock';
import { spoilParts } from './spoil-parts';
import { finishSession, startSession } from './work-at-bench';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
let orderId = 0;
let blankKey = '';
/** Of two aprons, the parts of each. */
let first: readonly number[] = [];
let second: readonly number[] = [];
const VARIANT = { sizeName: 'one size', colourName: 'charcoal' };

beforeEach(() => {
  const { item } = priceAllItems(shop).find((row) => row.item.name === 'Bakery apron')!;
  blankKey = keyOf({ kind: 'blank', blankId: findItems(shop.db, [item.id])[0]!.blankId, ...VARIANT });
  shop.db.$client.prepare('update lots set "left" = 0 where key = ?').run(blankKey);
  const lot = { widthMm: null, lengthMm: null, remark: '' };
  receiveLot(shop, { ...lot, key: blankKey, form: 'piece', quantity: 20, price: 20 * 411 });
  orderId = placeOrder(shop, {
    title: 'Two aprons',
    customerName: 'Ansel Thrush',
    contact: '',
    dueDay: '2026-12-01',
    agreed: 6000,
    note: '',
    lines: [{ itemId: item.id, quantity: 2, ...VARIANT }],
  }).id;
  const ids = parts().map(({ id }) => id);
  [first, second] = [ids.slice(0, 2), ids.slice(2)];
});

const parts = () => readOrder(shop, orderId)!.parts;
const partOf = (partId: number) => parts().find(({ id }) => id === partId)!;
const stateOf = (partId: number) => partOf(partId).state;
const blanksLeft = () => loadLotsOnShelf(shop.db, blankKey).reduce((sum, lot) => sum + lot.left, 0);
const begin = (station: 'cut' | 'weed' | 'press' | 'check', partIds: readonly number[]) =>
  startSession(shop, { station, partIds: [...partIds] }).id;
function work(station: 'cut' | 'weed' | 'press' | 'check', partIds: readonly number[]): void {
  const id = begin(station, partIds);
  shop.clock.ms += 60_000;
  finishSession(shop, id, 'done');
}
const spoil = (partIds: readonly number[], more: object = {}) =>
  spoilParts(shop, { partIds: [...partIds], cause: 'lifted', blankLost: false, ...more });
const lastOf = (partId: number) => partOf(partId).events.at(-1)!;

describe('a part alone', () => {
  it('goes back to be cut, with its cause; the others stay where they are', () => {
    for (const station of ['cut', 'weed', 'press', 'check'] as const) work(station, first);
    const { eventIds } = spoil([first[0]!], { cause: 'crooked' });
    expect(first.map(stateOf)).toEqual(['to-cut', 'checked']);
    expect(lastOf(first[0]!)).toMatchObject({ id: eventIds[0], kind: 'spoiled', cause: 'crooked', blankLost: false });
    expect(eventIds).toHaveLength(1);
    expect(lastOf(first[0]!).atMs).toBe(shop.clock.ms);
  });

  it('that was never cut is not spoiled, and its piece is named', async () => {
    work('cut', first);
    const refused = await refusalOf(() => spoil([first[0]!, second[0]!]));
    expect(refused.refusal).toMatchObject({ reason: 'piece-not-cut', piece: 2 });
    expect(stateOf(first[0]!)).toBe('cut');
  });

  it('that lies at another station while it is still to be cut is not on the cutter', async () => {
    work('cut', first);
    begin('weed', first);
    expect((await refusalOf(() => spoil([second[0]!]))).refusal).toMatchObject({ reason: 'piece-not-cut' });
  });

  it('that went wrong while it is weeded goes back once, not twice', async () => {
    work('cut', first);
    begin('weed', first);
    spoil([first[0]!]);
    expect((await refusalOf(() => spoil([first[0]!]))).refusal).toMatchObject({ reason: 'piece-not-cut' });
    expect(partOf(first[0]!)).toMatchObject({ state: 'to-cut', spoiled: 1 });
  });

  it('keeps which bits of it are made anew only where it is one, and its blank is not lost', () => {
    work('cut', [...first, ...second]);
    const recut = { bits: [0], of: 4 };
    spoil([first[0]!], { recut });
    expect(partOf(first[0]!).recut).toEqual(recut);
    spoil(second, { recut });
    expect(second.map((id) => partOf(id).recut)).toEqual([null, null]);
    spoil([first[1]!], { recut, blankLost: true });
    expect(partOf(first[1]!).recut).toBeNull();
  });
});

describe('on the cutter just now', () => {
  it('it is cut first: its strip and its wear are spent, in the work that runs', () => {
    const id = begin('cut', first);
    spoil([first[0]!]);
    const events = partOf(first[0]!).events.slice(-2);
    expect(events.map(({ kind }) => kind)).toEqual(['cut', 'spoiled']);
    expect(events[0]).toMatchObject({ sessionId: id, atMs: shop.clock.ms });
    expect(events[0]!.wearCost).toBeGreaterThan(0);
    expect(events[0]!.vinylCost).toBeGreaterThan(0);
    expect(loadLinesOfSession(shop.db, [id]).every(({ cause }) => cause === 'cut')).toBe(true);
    expect(stateOf(first[1]!)).toBe('to-cut');
  });

  it('the work of the cutter is meant, whatever was begun before it', () => {
    work('cut', second);
    begin('weed', second);
    const id = begin('cut', first);
    spoil([first[0]!]);
    expect(partOf(first[0]!).events.at(-2)).toMatchObject({ kind: 'cut', sessionId: id });
  });

  it('what was cut before takes no second strip with it', () => {
    work('cut', [first[0]!]);
    const before = partOf(first[0]!).cuts;
    const id = begin('cut', [first[1]!]);
    spoil(first);
    expect(partOf(first[0]!).cuts).toBe(before);
    expect(partOf(first[1]!).cuts).toBe(1);
    expect(partOf(first[0]!).events.filter(({ sessionId }) => sessionId === id)).toEqual([]);
  });
});

describe('with its blank', () => {
  it('all that was pressed on it is made again; what was not yet pressed stays', () => {
    for (const station of ['cut', 'weed', 'press'] as const) work(station, [...first, ...second]);
    spoil([first[0]!], { blankLost: true });
    expect(parts().map(({ state }) => state)).toEqual(['to-cut', 'to-cut', 'pressed', 'pressed']);
    work('check', second);
    spoil([second[1]!], { blankLost: true });
    expect(second.map(stateOf)).toEqual(['to-cut', 'to-cut']);
    expect(second.map((id) => partOf(id).spoiled)).toEqual([1, 1]);
  });

  it('that was only weeded is lost alone, and the blank leaves the shelf now, once', () => {
    work('cut', first);
    work('weed', [first[0]!]);
    spoil([first[0]!], { blankLost: true });
    expect(first.map(stateOf)).toEqual(['to-cut', 'cut']);
    expect(blanksLeft()).toBe(19);
    const { blankCost, sessionId, blankLost } = lastOf(first[0]!);
    expect([blankCost, blankLost]).toEqual([411, true]);
    expect(loadLinesOfSession(shop.db, [sessionId!])).toMatchObject([{ cause: 'spoiled', quantity: -1 }]);
    const instant = findSession(shop.db, sessionId!)!;
    expect(instant).toMatchObject({ station: 'press', startedAtMs: shop.clock.ms, stoppedAtMs: shop.clock.ms });
    expect(instant.parts).toEqual([{ partId: first[0], estimateSeconds: 0 }]);
  });

  it('that has its blank already takes none again; two parts of one piece lose one', () => {
    for (const station of ['cut', 'weed', 'press'] as const) work(station, first);
    expect(blanksLeft()).toBe(19);
    spoil(first, { blankLost: true });
    expect(blanksLeft()).toBe(19);
    expect(first.map((id) => lastOf(id).blankLost)).toEqual([true, false]);
    expect(first.map((id) => lastOf(id).blankCost ?? null)).toEqual([null, null]);
    work('cut', second);
    spoil(second, { blankLost: true });
    expect(blanksLeft()).toBe(18);
    expect(second.map((id) => lastOf(id).blankCost ?? null)).toEqual([411, null]);
    expect(lastOf(second[1]!).sessionId).toBeNull();
  });

  it('a piece beside it that was pressed keeps its own: each is looked at by itself', () => {
    for (const station of ['cut', 'weed', 'press'] as const) work(station, first);
    work('cut', second);
    const sessions = () => shop.db.$client.prepare('select count(*) from work_sessions').pluck().get() as number;
    const before = sessions();
    spoil([second[0]!], { blankLost: true });
    expect(blanksLeft()).toBe(18);
    expect(sessions()).toBe(before + 1);
    // What holds its blank already takes none: nothing is worked for it either.
    spoil([first[0]!], { blankLost: true });
    expect(blanksLeft()).toBe(18);
    expect(sessions()).toBe(before + 1);
  });

  it('under the press it is lost in the work that runs there, if all of it lies there', () => {
    for (const station of ['cut', 'weed'] as const) work(station, [...first, ...second]);
    const id = begin('press', first);
    spoil([first[0]!], { blankLost: true });
    expect(lastOf(first[0]!).sessionId).toBe(id);
    spoil([first[1]!, second[0]!], { blankLost: true });
    expect(lastOf(second[0]!).sessionId).not.toBe(id);
    expect(lastOf(second[0]!).sessionId).not.toBeNull();
  });

  it('while another station runs, it is not lost in the work of that', () => {
    work('cut', [...first, ...second]);
    const id = begin('weed', first);
    spoil([first[0]!], { blankLost: true });
    expect(lastOf(first[0]!).sessionId).not.toBe(id);
  });

  it('kept, no blank leaves the shelf', () => {
    work('cut', first);
    spoil([first[0]!]);
    expect(blanksLeft()).toBe(20);
    expect(lastOf(first[0]!).blankCost ?? null).toBeNull();
  });
});
