import { describe, expect, it } from 'vitest';
import { DEFAULT_SHOP_FIGURES } from '../materials';
import {
  addDays,
  computeFreeSeconds,
  countFreeSeconds,
  computeSlack,
  countDays,
  findWorkingTime,
  gatherBatches,
  getWorkingDay,
  planTimeline,
  proposeLoads,
  proposeNext,
  sumLoadSeconds,
  type BenchPart,
} from './index';
import { dayOf } from '../units';

const shop = {
  ...DEFAULT_SHOP_FIGURES,
  dayStartHour: 9,
  hoursMonday: 6,
  hoursTuesday: 6,
  hoursWednesday: 6,
  hoursThursday: 6,
  hoursFriday: 4,
  hoursSaturday: 0,
  hoursSunday: 0,
};
const timeZone = 'Europe/Vienna';
const at = (iso: string) => Date.parse(iso);
const HOUR = 3600;

describe('free time', () => {
  it('counts from now to the end of the day it is due', () => {
    const free = (now: string, day: string) => computeFreeSeconds({ nowMs: at(now), day, timeZone, shop }) / HOUR;
    expect(free('2026-11-24T08:00:00+01:00', '2026-11-24')).toBe(6); // a Tuesday, before work
    expect(free('2026-11-24T10:30:00+01:00', '2026-11-24')).toBe(4.5);
    expect(free('2026-11-24T20:00:00+01:00', '2026-11-24')).toBe(0);
    expect(free('2026-11-24T08:00:00+01:00', '2026-11-29')).toBe(6 + 6 + 6 + 4);
    expect(free('2026-11-24T08:00:00+01:00', '2026-11-23')).toBe(0);
  });

  it('is the same of many days, in whatever order they are asked for, as of each by itself', () => {
    const nowMs = at('2026-12-28T10:30:00+01:00');
    const freeUntil = countFreeSeconds({ nowMs, timeZone, shop });
    const days = [3, 40, 0, 41, 3, -2, 12, 500, 399, 7].map((ahead) => addDays('2026-12-28', ahead));
    // A Monday that began at nine: four and a half of its six hours are left, and each week has 28.
    expect(days.map((day) => freeUntil(day) / HOUR)).toEqual(
      days.map((day) => computeFreeSeconds({ nowMs, day, timeZone, shop }) / HOUR),
    );
    expect([0, 6, 7, 27].map((ahead) => freeUntil(addDays('2026-12-28', ahead)) / HOUR)).toEqual([
      4.5, 26.5, 32.5, 110.5,
    ]);
  });

  it('keeps its hours when the clocks change', () => {
    expect(
      computeFreeSeconds({ nowMs: at('2027-03-28T00:00:00+01:00'), day: '2027-03-29', timeZone, shop }) / HOUR,
    ).toBe(6);
    expect(getWorkingDay(at('2027-03-29T12:00:00+02:00'), timeZone, shop).beginsMs).toBe(
      at('2027-03-29T09:00:00+02:00'),
    );
  });

  it('knows days', () => {
    expect(dayOf(at('2026-11-24T23:30:00Z'), timeZone)).toBe('2026-11-25');
    expect([addDays('2027-02-27', 3), countDays('2026-12-30', '2027-01-02')]).toEqual(['2027-03-02', 3]);
  });
});

it('slack counts everything that is due before, or the same day', () => {
  const nowMs = at('2026-11-24T09:00:00+01:00');
  const slack = computeSlack({
    nowMs,
    timeZone,
    shop,
    orders: [
      { orderId: 1, dueDay: '2026-11-25', neededSeconds: 5 * HOUR },
      { orderId: 2, dueDay: '2026-11-24', neededSeconds: 4 * HOUR },
      { orderId: 3, dueDay: '2026-11-25', neededSeconds: 4 * HOUR },
    ],
  });
  expect(slack.get(2)!.value).toBe(2 * HOUR);
  expect(slack.get(1)!.value).toBe(-1 * HOUR);
  expect(slack.get(3)!.value).toBe(-1 * HOUR);
});

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

describe('the bench queue', () => {
  it('gathers one load for each vinyl across orders, the most urgent first, recuts before others of the day', () => {
    const batches = gatherBatches('cut', [
      part(1),
      part(2, { vinylId: 2, dueDay: '2026-11-25' }),
      part(3, { orderId: 2, lineId: 2 }),
      part(4, { vinylId: 3, broken: true }),
    ]);
    expect(batches.map((batch) => batch.key)).toEqual(['vinyl-2', 'vinyl-3', 'vinyl-1']);
    expect(batches[2]).toMatchObject({ pieceCount: 2, seconds: 20 });
  });

  it('weeds a layer of a line at a time, presses whole pieces', () => {
    const parts = [
      part(1, { state: 'cut' }),
      part(2, { state: 'cut', layerIndex: 1, pieceId: 1 }),
      part(3, { state: 'weeded', pieceId: 9, lineId: 4 }),
    ];
    expect(gatherBatches('weed', parts)).toHaveLength(2);
    expect(gatherBatches('press', parts).map((batch) => batch.key)).toEqual(['line-4']);
    expect(proposeNext(parts)).toMatchObject({ hands: { station: 'weed' }, press: { key: 'line-4' }, cutter: null });
  });
});

describe('what comes first of all', () => {
  it('is due first; of one day what is nearest to done', () => {
    const weed = part(1, { state: 'cut', lineId: 1, pieceId: 1, dueDay: '2026-12-02' });
    const press = part(2, { state: 'weeded', lineId: 2, pieceId: 2, dueDay: '2026-12-02' });
    const check = part(3, { state: 'pressed', lineId: 3, pieceId: 3, dueDay: '2026-12-02' });
    const cut = part(4, { state: 'to-cut', lineId: 4, pieceId: 4, dueDay: '2026-12-01' });
    expect(proposeNext([weed, press]).first).toBe('press');
    expect(proposeNext([check, press]).first).toBe('hands');
    expect(proposeNext([weed, cut, press]).first).toBe('cutter');
    expect(proposeNext([]).first).toBeNull();
  });
});

describe('the next time that is worked', () => {
  const week = { ...shop, hoursFriday: 6, hoursSaturday: 0, hoursSunday: 0, hoursMonday: 4 };
  const find = (instant: string, shop = week) => findWorkingTime(at(instant), 'Europe/Berlin', shop);
  it('is what is left of today, else the next day with hours', () => {
    expect(find('2026-11-27T08:00:00+01:00')).toMatchObject({ day: '2026-11-27' });
    expect(find('2026-11-27T14:59:00+01:00')).toMatchObject({ day: '2026-11-27' });
    expect(find('2026-11-27T15:00:00+01:00')).toEqual({
      day: '2026-11-30',
      beginsMs: at('2026-11-30T09:00:00+01:00'),
      endsMs: at('2026-11-30T13:00:00+01:00'),
    });
  });
  it('may be the same day of next week, and is none where no day has hours', () => {
    const fridays = { ...week, hoursMonday: 0, hoursTuesday: 0, hoursWednesday: 0, hoursThursday: 0 };
    expect(find('2026-11-27T20:00:00+01:00', fridays)).toMatchObject({ day: '2026-12-04' });
    expect(find('2026-11-27T20:00:00+01:00', { ...fridays, hoursFriday: 0 })).toBeNull();
  });
});

it('the timeline never has the person in two places, and each job in its order', () => {
  const fromMs = at('2026-11-24T09:00:00+01:00');
  const job = (key: string, dueDay: string) => ({
    key,
    label: key,
    dueDay,
    seconds: { cut: 300, weed: 600, press: 900, check: 120 },
    machineSeconds: 1800,
  });
  const blocks = planTimeline({
    jobs: [job('later', '2026-12-02'), job('sooner', '2026-11-25')],
    fromMs,
    untilMs: fromMs + 12 * 3_600_000,
  });
  const hands = blocks.filter((block) => block.station !== 'cut').sort((a, b) => a.startMs - b.startMs);
  hands.slice(1).forEach((block, index) => expect(block.startMs).toBeGreaterThanOrEqual(hands[index]!.endMs));
  expect(blocks[0]!.label).toBe('sooner');
  const own = blocks.filter((block) => block.label === 'later');
  own.slice(1).forEach((block, index) => expect(block.startMs).toBeGreaterThanOrEqual(own[index]!.endMs));
});

describe('the day’s loads', () => {
  const day = { freeSeconds: 0, loadSeconds: 100, hasStock: () => true };
  const part = (partId: number, vinylId: number, dueDay: string, cutSeconds = 600) => ({
    partId,
    vinylId,
    dueDay,
    cutSeconds,
  });
  it('takes all of a vinyl together, what is due first in front, and says what there is time for', () => {
    const loads = proposeLoads(
      [
        part(1, 7, '2026-12-04'),
        part(2, 8, '2026-12-02'),
        part(3, 7, '2026-12-09'),
        part(4, 9, '2026-12-02'),
        part(5, 9, '2026-12-02'),
      ],
      { ...day, freeSeconds: 3000 },
    );
    expect(sumLoadSeconds(loads, new Set([7, 9]))).toBe(
      loads.filter((load) => load.vinylId !== 8).reduce((sum, load) => sum + load.seconds, 0),
    );
    expect(loads.map((load) => [load.vinylId, load.parts.map((one) => one.partId), load.seconds, load.today])).toEqual([
      [9, [4, 5], 1300, true],
      [8, [2], 700, true],
      [7, [1, 3], 1300, false],
    ]);
  });
  it('the first is for today however little time there is; nothing waits, nothing is proposed', () => {
    expect(proposeLoads([part(1, 7, '2026-12-04')], day)[0]!.today).toBe(true);
    expect(proposeLoads([], day)).toEqual([]);
    // What there is no stock for takes nobody's time.
    expect(
      proposeLoads([part(1, 7, '2026-12-04'), part(2, 8, '2026-12-05')], { ...day, hasStock: (id) => id === 8 }).map(
        (load) => load.today,
      ),
    ).toEqual([false, true]);
  });
});
