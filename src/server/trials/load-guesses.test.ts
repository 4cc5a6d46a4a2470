// Estimates against the clock, from the demo shop's own log.

import { expect, it } from 'vitest';
import { listBenchParts } from '../../../test/bench-parts';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { finishSession, startSession } from '../bench/work-at-bench';
import { loadGuesses } from './load-guesses';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

/** Cuts some parts of one vinyl, `times` as long as was calculated. */
function cutAt(times: number, outcome: 'done' | 'discarded' = 'done'): number {
  const waiting = listBenchParts(shop).filter(({ state }) => state === 'to-cut');
  const own = waiting.filter(({ vinylId }) => vinylId === waiting[0]!.vinylId).slice(0, 4);
  const partIds = own.map(({ partId }) => partId);
  const estimated = own.reduce((sum, { estimates }) => sum + estimates.cut, 0);
  const { id } = startSession(shop, { station: 'cut', partIds, unreadReason: 'known by heart' });
  shop.clock.ms += estimated * times * 1000;
  finishSession(shop, id, outcome);
  return estimated;
}

it('holds each piece of work that was done against what it was calculated to take', () => {
  const before = loadGuesses(shop);
  expect(before.all!.count).toBeGreaterThan(3);
  const estimated = cutAt(1.5);
  expect(estimated).toBeGreaterThan(20);
  const after = loadGuesses(shop);
  expect(after.all!.count).toBe(before.all!.count + 1);
  expect(after.points[0]).toMatchObject({ station: 'cut' });
  expect(after.points[0]!.ratio).toBeCloseTo(1.5, 3);
});

it('leaves out what was discarded, and says of a forgotten clock that it was left out', () => {
  const before = loadGuesses(shop);
  cutAt(1.5, 'discarded');
  expect(loadGuesses(shop).all!.count).toBe(before.all!.count);
  cutAt(9);
  const after = loadGuesses(shop);
  expect(after.all!.count).toBe(before.all!.count);
  expect(after.leftOut).toContainEqual({ problem: 'forgotten', count: 1 });
});
