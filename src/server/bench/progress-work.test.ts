// Work at the bench step by step: kept by the server, done in part, and a clock that was left running.

import { expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import { findSession } from '../../data/work-store';
import { chooseDevice, findPress, playTrick } from '../devices';
import { loadRunning } from '../shop/load-frame';
import { progressWork } from './progress-work';
import { finishSession, startSession } from './work-at-bench';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const step = (from: number, to: number, more: object = {}) => ({ from, to, start: [], stop: [], ...more });

/** Three aprons of the demo lie ready at the press, two layers each. */
function startPress(): { readonly id: number; readonly partIds: readonly number[] } {
  const parts = listBenchParts(shop).filter((part) => part.itemName === 'Bakery apron' && part.state === 'weeded');
  const partIds = parts.map((part) => part.partId);
  return { id: startSession(shop, { station: 'press', partIds }).id, partIds };
}
const stateOf = (partId: number) => listBenchParts(shop).find((part) => part.partId === partId)?.state;

it('where it is and what counts down is the same in every window', () => {
  const { id } = startPress();
  progressWork(shop, id, step(0, 1));
  shop.clock.ms += 5000;
  progressWork(shop, id, step(1, 1, { start: [{ key: '0.1', label: 'Pre-press', seconds: 5 }] }));
  const [work] = loadRunning(shop);
  expect(work!.progress).toEqual({
    at: 1,
    clocks: [{ key: '0.1', label: 'Pre-press', seconds: 5, startedAtMs: shop.clock.ms }],
  });
  expect(work!.estimateSeconds).toBeGreaterThan(60);
});

it('a step that another window took is not taken again, nor one of work that has ended', async () => {
  const { id } = startPress();
  progressWork(shop, id, step(0, 1));
  expect((await refusalOf(() => progressWork(shop, id, step(0, 1)))).message).toMatch(/Another window is further/);
  finishSession(shop, id, 'paused');
  expect((await refusalOf(() => progressWork(shop, id, step(1, 2)))).message).toMatch(/stopped already/);
});

it('how hot the press is, is asked where it closes, and only there; nobody knows of one that is not connected', () => {
  const { id } = startPress();
  const press = { vinylName: 'Tarn Cool, white', plannedC: 150, peel: 'cold' } as const;
  const closes = { key: '0.1', label: 'Press', seconds: 15, press };
  const readings = () => findSession(shop.db, id)!.progress.presses?.map(({ readC }) => readC);
  progressWork(shop, id, step(0, 0, { start: [{ key: '0.0', label: 'Cool', seconds: 40 }] }));
  expect(readings()).toBeUndefined();
  progressWork(shop, id, step(0, 0, { start: [{ key: '0.0', label: 'Cool', seconds: 40 }, closes] }));
  expect(readings()).toEqual([expect.closeTo(findPress(shop)!.read().temperatureC!, 1)]);
  playTrick(shop, 'blind');
  progressWork(shop, id, step(0, 0, { start: [closes] }));
  expect(readings()!.at(-1)).toBeNull();
  chooseDevice(shop, 'press', 'none');
  progressWork(shop, id, step(0, 0, { start: [closes] }));
  expect(readings()).toEqual([expect.any(Number), null, null]);
});

it('a clock that is not there is told', async () => {
  expect((await refusalOf(() => progressWork(shop, 99_999, step(0, 1)))).code).toBe('not-found');
});

it('done in part moves those pieces on, and its minutes fall on them alone', () => {
  const { id, partIds } = startPress();
  const [first] = listBenchParts(shop).filter((part) => part.partId === partIds[0]);
  const done = listBenchParts(shop).flatMap((part) => (part.pieceId === first!.pieceId ? [part.partId] : []));
  shop.clock.ms += 240_000;
  expect(finishSession(shop, id, 'done', { partIds: done }).eventIds).toHaveLength(done.length);
  expect(findSession(shop.db, id)!.parts.map(({ partId }) => partId)).toEqual(done);
  expect(done.map(stateOf)).toEqual(done.map(() => 'pressed'));
  const others = partIds.filter((partId) => !done.includes(partId));
  expect(others.length).toBeGreaterThan(0);
  expect(others.map(stateOf)).toEqual(others.map(() => 'weeded'));
});

it('done in part names parts of that work', async () => {
  const { id } = startPress();
  expect((await refusalOf(() => finishSession(shop, id, 'done', { partIds: [99_999] }))).message).toMatch(/not here/);
  expect(findSession(shop.db, id)!.stoppedAtMs).toBeNull();
});

it('of a clock that was left running counts what is said, and never more than has gone by', () => {
  const { id } = startPress();
  shop.clock.ms += 9 * 3600_000;
  finishSession(shop, id, 'done', { countSeconds: 600 });
  const work = findSession(shop.db, id)!;
  expect(work.stoppedAtMs! - work.startedAtMs).toBe(600_000);
  const parts = listBenchParts(shop).filter((part) => part.state === 'cut');
  const next = startSession(shop, { station: 'weed', partIds: parts.slice(0, 1).map((part) => part.partId) });
  shop.clock.ms += 60_000;
  finishSession(shop, next.id, 'done', { countSeconds: 7200 });
  const short = findSession(shop.db, next.id)!;
  expect(short.stoppedAtMs! - short.startedAtMs).toBe(60_000);
});
