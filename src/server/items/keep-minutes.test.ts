// A stretch at the cutter is learned from where it says what the whole takes.

import { expect, it } from 'vitest';
import { listBenchParts } from '../../../test/bench-parts';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { listCutStretches } from '../../data/minutes-store';
import { spoilParts } from '../bench/spoil-parts';
import { finishSession, startSession } from '../bench/work-at-bench';
import { recountMinutes } from './recount';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const kept = () => listCutStretches(shop.db, 1000);
const listWaiting = (): number[] =>
  listBenchParts(shop)
    .filter(({ state }) => state === 'to-cut')
    .slice(0, 1)
    .map(({ partId }) => partId);

function cut(partIds: number[], outcome: 'done' | 'paused' = 'done'): number {
  const { id } = startSession(shop, { station: 'cut', partIds, unreadReason: 'known by heart' });
  shop.clock.ms += 5 * 60_000;
  finishSession(shop, id, outcome);
  return id;
}
const isKept = (id: number): boolean => kept().some(({ sessionId }) => sessionId === id);

it('work that was paused counts neither before nor after the pause; a recount says the same', () => {
  const ids = listWaiting();
  const paused = cut(ids, 'paused');
  const resumed = cut(ids);
  expect([isKept(paused), isKept(resumed)]).toEqual([false, false]);
  const before = kept();
  recountMinutes(shop);
  expect(kept()).toEqual(before);
});

it('what was spoiled and is cut again in one go counts each time', () => {
  const ids = listWaiting();
  const first = cut(ids);
  spoilParts(shop, { partIds: ids, cause: 'lifted', blankLost: false, recut: null });
  const again = cut(ids);
  expect([isKept(first), isKept(again)]).toEqual([true, true]);
});
