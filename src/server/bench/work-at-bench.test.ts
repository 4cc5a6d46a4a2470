// The clock at a station: what it may be started on, what its end moves on and what it leaves.

import { beforeEach, describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import type { Station } from '../../core/orders/index';
import { findSession, loadPressed, loadRunningSessions } from '../../data/work-store';
import { readOrdersOf } from './bench-parts';
import { progressWork } from './progress-work';
import { spoilParts } from './spoil-parts';
import { finishSession, startSession } from './work-at-bench';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
/** Of one item, ready at the cutter; of the aprons, ready at the press. */
let uncut: readonly number[] = [];
let weeded: readonly number[] = [];

beforeEach(() => {
  uncut = idsOf('Seed tin, labelled', 'to-cut');
  weeded = idsOf('Bakery apron', 'weeded');
});

const idsOf = (itemName: string, state: string) =>
  listBenchParts(shop).flatMap((part) => (part.itemName === itemName && part.state === state ? [part.partId] : []));
const partOf = (id: number) =>
  readOrdersOf(shop, [id])
    .flatMap(({ parts }) => parts)
    .find((part) => part.id === id)!;
const stateOf = (id: number) => partOf(id).state;
const start = (station: Station, partIds: readonly number[]) =>
  startSession(shop, { station, partIds: [...partIds] }).id;
const rowsIn = (table: string) => shop.db.$client.prepare(`select count(*) from ${table}`).pluck().get() as number;

describe('a clock is started', () => {
  it('on parts that are ready, with what each is expected to take at that station', () => {
    const id = start('cut', uncut.slice(0, 2));
    expect(findSession(shop.db, id)).toMatchObject({ station: 'cut', startedAtMs: shop.clock.ms, stoppedAtMs: null });
    expect(findSession(shop.db, id)!.parts).toEqual(
      uncut.slice(0, 2).map((partId) => ({ partId, estimateSeconds: partOf(partId).estimates.cut })),
    );
  });

  it('one at a station, and at another beside it', async () => {
    start('cut', uncut.slice(0, 1));
    const refused = await refusalOf(() => start('cut', uncut.slice(1, 2)));
    expect(refused).toMatchObject({ code: 'conflict', refusal: { reason: 'station-busy', station: 'cut' } });
    start('press', weeded);
    expect(loadRunningSessions(shop.db).map(({ station }) => station)).toEqual(['cut', 'press']);
  });

  it('not on what is not ready: the piece, the station and where it is are named', async () => {
    const refused = await refusalOf(() => start('weed', [...idsOf('Bakery apron', 'cut'), uncut[0]!]));
    expect(refused.refusal).toEqual({
      reason: 'piece-not-ready',
      piece: partOf(uncut[0]!).pieceNumber,
      station: 'weed',
      state: 'to-cut',
    });
    expect(loadRunningSessions(shop.db)).toEqual([]);
  });
});

describe('a clock ends', () => {
  it('done: its parts are moved on at that moment, each with its work', () => {
    const id = start('press', weeded);
    shop.clock.ms += 90_000;
    const { eventIds, booked } = finishSession(shop, id, 'done');
    expect(eventIds).toHaveLength(weeded.length);
    expect(booked.length).toBeGreaterThan(0);
    for (const partId of weeded) {
      expect(stateOf(partId)).toBe('pressed');
      expect(partOf(partId).events.at(-1)).toMatchObject({ kind: 'pressed', sessionId: id, atMs: shop.clock.ms });
    }
    expect(findSession(shop.db, id)).toMatchObject({ stoppedAtMs: shop.clock.ms, outcome: 'done' });
  });

  it('paused or dropped: nothing moves, nothing is taken', () => {
    for (const outcome of ['paused', 'discarded'] as const) {
      const lines = rowsIn('stock_lines');
      const id = start('cut', uncut);
      shop.clock.ms += 60_000;
      expect(finishSession(shop, id, outcome)).toEqual({ eventIds: [], booked: [] });
      expect(uncut.map(stateOf)).toEqual(uncut.map(() => 'to-cut'));
      expect(findSession(shop.db, id)).toMatchObject({ outcome, stoppedAtMs: shop.clock.ms });
      expect(rowsIn('stock_lines')).toBe(lines);
    }
  });

  it('once, and only one that is there', async () => {
    expect(await refusalOf(() => finishSession(shop, 999_999, 'done'))).toMatchObject({ code: 'not-found' });
    const id = start('cut', uncut);
    finishSession(shop, id, 'paused');
    expect((await refusalOf(() => finishSession(shop, id, 'done'))).refusal).toEqual({ reason: 'timer-stopped' });
  });

  it('with some of its parts: only those move; parts that are not of it are refused, and it runs on', async () => {
    const id = start('cut', uncut.slice(0, 2));
    expect((await refusalOf(() => finishSession(shop, id, 'done', { partIds: [weeded[0]!] }))).code).toBe('not-found');
    expect(loadRunningSessions(shop.db)).toHaveLength(1);
    finishSession(shop, id, 'done', { partIds: [uncut[1]!, weeded[0]!] });
    expect(findSession(shop.db, id)!.parts.map(({ partId }) => partId)).toEqual([uncut[1]]);
    expect(uncut.slice(0, 2).map(stateOf)).toEqual(['to-cut', 'cut']);
    expect(stateOf(weeded[0]!)).toBe('weeded');
  });

  it('counts so many of its seconds as are said, not more than went by', () => {
    const one = start('cut', uncut);
    const begun = shop.clock.ms;
    shop.clock.ms += 3600_000;
    finishSession(shop, one, 'paused', { countSeconds: 30 });
    expect(findSession(shop.db, one)!.stoppedAtMs).toBe(begun + 30_000);
    const two = start('cut', uncut);
    shop.clock.ms += 10_000;
    finishSession(shop, two, 'paused', { countSeconds: 30 });
    expect(findSession(shop.db, two)!.stoppedAtMs).toBe(shop.clock.ms);
    const three = start('cut', uncut);
    shop.clock.ms += 10_000;
    finishSession(shop, three, 'paused', { countSeconds: 0 });
    expect(findSession(shop.db, three)!.stoppedAtMs).toBe(shop.clock.ms - 10_000);
  });

  it('leaves what was spoiled meanwhile to be cut, and its piece with it', () => {
    const id = start('press', weeded);
    const lost = partOf(weeded[0]!);
    spoilParts(shop, { partIds: [lost.id], cause: 'crooked', blankLost: false });
    finishSession(shop, id, 'done');
    for (const partId of weeded) {
      const part = partOf(partId);
      const expected = part.id === lost.id ? 'to-cut' : part.pieceId === lost.pieceId ? 'weeded' : 'pressed';
      expect(part.state).toBe(expected);
    }
  });

  it('does not cut once more what was cut and spoiled in it', () => {
    const id = start('cut', uncut.slice(0, 2));
    spoilParts(shop, { partIds: [uncut[0]!], cause: 'cut', blankLost: false });
    finishSession(shop, id, 'done');
    expect(uncut.slice(0, 2).map(stateOf)).toEqual(['to-cut', 'cut']);
    expect(partOf(uncut[0]!).cuts).toBe(1);
  });
});

describe('what is learned from', () => {
  it('is weeding from the weeding table, and pressing from the press', () => {
    const sums = () => [rowsIn('weed_stretches'), rowsIn('press_stretches')];
    const [weed, press] = sums();
    const cutId = start('cut', uncut);
    shop.clock.ms += 100_000;
    finishSession(shop, cutId, 'done');
    expect(sums()).toEqual([weed, press]);
    const weedId = start('weed', uncut);
    shop.clock.ms += 100_000;
    finishSession(shop, weedId, 'done');
    expect(sums()).toEqual([weed! + 1, press]);
    const pressId = start('press', weeded);
    shop.clock.ms += 400_000;
    finishSession(shop, pressId, 'done');
    expect(sums()).toEqual([weed! + 1, press! + 1]);
  });

  it('keeps how often the press closed, where its steps were followed', () => {
    const id = start('press', weeded);
    const press = { temperatureC: 150, pressure: 'medium', seconds: 15 };
    const clock = { key: '0.1', label: 'Press', seconds: 15, press };
    progressWork(shop, id, { from: 0, to: 0, start: [clock], stop: [] } as never);
    shop.clock.ms += 20_000;
    finishSession(shop, id, 'done');
    expect(loadPressed(shop.db, [id]).get(id)).toHaveLength(1);
    const plain = start('check', idsOf('Bakery apron', 'pressed'));
    finishSession(shop, plain, 'done');
    expect(loadPressed(shop.db, [plain]).has(plain)).toBe(false);
  });
});
