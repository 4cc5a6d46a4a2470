// What comes first at each station, and how slack is told.

import { describe, expect, it } from 'vitest';
import { printWorking } from '../../../test/print-working';
import { DEFAULT_SHOP_FIGURES } from '../materials';
import {
  computeSlack,
  findEarliestDay,
  gatherBatches,
  proposeLoads,
  proposeNext,
  sumLoadSeconds,
  type BenchPart,
} from './index';

const part = (partId: number, more: Partial<BenchPart> = {}): BenchPart => ({
  partId,
  runKey: `line-${more.lineId ?? 1}`,
  pieceId: partId,
  pieceNumber: partId,
  orderId: 1,
  lineId: 1,
  dueDay: '2026-12-01',
  vinylId: 1,
  layerIndex: 0,
  state: 'to-cut',
  broken: false,
  recut: null,
  estimates: { cut: 10, weed: 20, press: 30, check: 5 },
  ...more,
});

describe('batches', () => {
  it('hold their parts by due day, recuts before others, then as they came in', () => {
    const [batch] = gatherBatches('cut', [
      part(4, { dueDay: '2026-12-02' }),
      part(3),
      part(2, { broken: true }),
      part(1, { pieceId: 3 }),
    ]);
    expect(batch!.parts.map(({ partId }) => partId)).toEqual([2, 1, 3, 4]);
    expect(batch).toMatchObject({ dueDay: '2026-12-01', pieceCount: 3, seconds: 40, station: 'cut' });
  });

  it('come by due day, a recut first of its day, then as they came in', () => {
    const keys = (parts: readonly BenchPart[]) => gatherBatches('cut', parts).map(({ key }) => key);
    expect(keys([part(2, { vinylId: 2 }), part(1, { vinylId: 1 })])).toEqual(['vinyl-1', 'vinyl-2']);
    expect(keys([part(2, { vinylId: 2, broken: true }), part(1, { vinylId: 1 })])).toEqual(['vinyl-2', 'vinyl-1']);
    expect(keys([part(2, { vinylId: 2, dueDay: '2026-11-30' }), part(1, { broken: true })])).toEqual([
      'vinyl-2',
      'vinyl-1',
    ]);
  });

  it('are weeded by line and layer, pressed and checked by line', () => {
    const keys = (station: 'weed' | 'press' | 'check', state: BenchPart['state']) =>
      gatherBatches(station, [
        part(1, { state, lineId: 4, layerIndex: 2 }),
        part(2, { state, lineId: 4, layerIndex: 3 }),
        part(3, { state, lineId: 5 }),
      ]).map(({ key, seconds }) => [key, seconds]);
    expect(keys('weed', 'cut')).toEqual([
      ['line-4-layer-2', 20],
      ['line-4-layer-3', 20],
      ['line-5-layer-0', 20],
    ]);
    expect(keys('press', 'weeded')).toEqual([
      ['line-4', 60],
      ['line-5', 30],
    ]);
    expect(keys('check', 'pressed')).toEqual([
      ['line-4', 10],
      ['line-5', 5],
    ]);
  });
});

describe('the next thing', () => {
  const weed = (dueDay: string) => part(1, { state: 'cut', lineId: 1, pieceId: 1, dueDay });
  const check = (dueDay: string) => part(2, { state: 'pressed', lineId: 2, pieceId: 2, dueDay });
  const press = (dueDay: string) => part(3, { state: 'weeded', lineId: 3, pieceId: 3, dueDay });

  it('for free hands is checking before weeding, unless that is due sooner', () => {
    expect(proposeNext([weed('2026-12-02'), check('2026-12-02')]).hands!.station).toBe('check');
    expect(proposeNext([weed('2026-12-01'), check('2026-12-02')]).hands!.station).toBe('weed');
  });

  it('of one day is what is nearest to done: checking, pressing, weeding, cutting', () => {
    expect(proposeNext([press('2026-12-02'), check('2026-12-02')]).first).toBe('hands');
    expect(proposeNext([press('2026-12-02'), weed('2026-12-02')]).first).toBe('press');
    expect(proposeNext([part(9, { dueDay: '2026-12-02' }), weed('2026-12-02')]).first).toBe('hands');
    expect(proposeNext([press('2026-12-02'), check('2026-12-03')]).first).toBe('press');
    expect(proposeNext([])).toEqual({ hands: null, cutter: null, press: null, first: null });
  });
});

describe('loads of a day', () => {
  const cut = (partId: number, vinylId: number, dueDay: string) => ({ partId, vinylId, dueDay, cutSeconds: 100 });
  const day = { freeSeconds: 1000, loadSeconds: 50, hasStock: () => true };

  it('of one day the one with more parts due by then comes first, then as vinyls were added', () => {
    const loads = proposeLoads(
      [cut(1, 3, '2026-12-02'), cut(2, 2, '2026-12-02'), cut(3, 1, '2026-12-02'), cut(4, 3, '2026-12-02')],
      day,
    );
    expect(loads.map(({ vinylId, seconds }) => [vinylId, seconds])).toEqual([
      [3, 250],
      [1, 150],
      [2, 150],
    ]);
  });

  it('parts in a load come by due day, then as they came in', () => {
    const [load] = proposeLoads([cut(3, 1, '2026-12-02'), cut(2, 1, '2026-12-02'), cut(1, 1, '2026-12-05')], day);
    expect(load!.parts.map(({ partId }) => partId)).toEqual([2, 3, 1]);
    expect(load!.dueDay).toBe('2026-12-02');
  });

  it('are for today as long as there is time, to the second; the first in any case, and none without stock', () => {
    const parts = [cut(1, 1, '2026-12-01'), cut(2, 2, '2026-12-02'), cut(3, 3, '2026-12-03')];
    const today = (freeSeconds: number, hasStock = (_: number) => true) =>
      proposeLoads(parts, { ...day, freeSeconds, hasStock }).map((load) => load.today);
    expect(today(300)).toEqual([true, true, false]);
    expect(today(299)).toEqual([true, false, false]);
    expect(today(0)).toEqual([true, false, false]);
    expect(today(300, (vinylId) => vinylId !== 1)).toEqual([false, true, true]);
    const loads = proposeLoads(parts, day);
    expect(sumLoadSeconds(loads, new Set([1, 3]))).toBe(300);
  });
});

const shop = {
  ...DEFAULT_SHOP_FIGURES,
  dayStartHour: 9,
  hoursMonday: 6,
  hoursTuesday: 6,
  hoursWednesday: 6,
  hoursThursday: 6,
  hoursFriday: 6,
  hoursSaturday: 0,
  hoursSunday: 0,
};
const monday = { nowMs: Date.parse('2026-11-23T09:00:00+01:00'), timeZone: 'Europe/Vienna', shop };

it('slack shows what it is made of, and is called short only below nought', () => {
  const slack = computeSlack({
    ...monday,
    orders: [
      { orderId: 1, dueDay: '2026-11-24', neededSeconds: 3600 },
      { orderId: 2, dueDay: '2026-11-24', neededSeconds: 7200 },
      { orderId: 3, dueDay: '2026-11-23', neededSeconds: 21_600 },
      { orderId: 4, dueDay: '2026-11-25', neededSeconds: 36_000 },
    ],
  });
  // Two days of 6 h, less 6 h of the order before, 2 h of the other and 1 h of its own: 3 h.
  expect(printWorking(slack.get(1)!).split('\n')).toEqual([
    'Spare: 10800 s, computed (hours free until due − this order − all that is due before or with it)',
    '  Working time until it is due: 43200 s, shop',
    '  This order: 3600 s, computed',
    '  Due before it: 21600 s, computed',
    '  Due the same day: 7200 s, computed',
  ]);
  expect(slack.get(3)).toMatchObject({ label: 'Spare', value: 0 });
  expect(slack.get(4)).toMatchObject({ label: 'Short', value: 3 * 21_600 - 21_600 - 10_800 - 36_000 });
});

describe('the earliest day', () => {
  const find = (waitingHours: number, ownHours: number, materialDays = 0) =>
    findEarliestDay({ ...monday, waitingSeconds: waitingHours * 3600, ownSeconds: ownHours * 3600, materialDays });

  it('has room for what waits and for this, to the second', () => {
    expect(find(0, 6)!.day).toBe('2026-11-23');
    expect(find(1, 5)!.day).toBe('2026-11-23');
    expect(find(1, 5.001)!.day).toBe('2026-11-24');
    expect(find(6, 6)!.day).toBe('2026-11-24');
  });

  it('counts only what comes once the material is there', () => {
    // Material on Wednesday: Monday and Tuesday are for what waits.
    expect(find(12, 6, 2)!.day).toBe('2026-11-25');
    expect(find(12, 6.001, 2)!.day).toBe('2026-11-26');
    expect(find(0, 1, 2)!.day).toBe('2026-11-25');
  });

  it('says what it rests on; none where a year does not suffice', () => {
    expect(printWorking(find(6, 5, 1)!.working).split('\n')).toEqual([
      'Working time until then: 43200 s, shop (enough for what waits and this job, once its material is here)',
      '  Waiting orders: 21600 s, computed',
      '  This job: 18000 s, computed',
      '  Days until its material is here: 1 count, computed',
    ]);
    expect(find(0, 1)!.working.parts![2]).toMatchObject({ value: 0, source: 'measured' });
    expect(find(0, 3000)).toBeNull();
    expect(find(0, 1500)).not.toBeNull();
  });
});
