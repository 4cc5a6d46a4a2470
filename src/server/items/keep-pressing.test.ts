// From the clock at the press to the shop's figures.

import { expect, it } from 'vitest';
import { listBenchParts } from '../../../test/bench-parts';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { PRESS_FIGURES } from '../../core/pressing/index';
import { insertPressStretch, listPressStretches } from '../../data/minutes-store';
import { insertSession, stopSession } from '../../data/work-store';
import { finishSession, startSession } from '../bench/work-at-bench';
import { getShop } from '../context';
import { learnTimes } from '../trials/learn-times';
import { putLearnedBack, takeLearned } from '../trials/take-learned';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const MINUTE_MS = 60_000;
const kept = () => listPressStretches(shop.db, 100);
const read = () => learnTimes(shop).stations.find(({ station }) => station === 'press')!;

/** All parts of the first piece that waits at the press. */
function listPiece(): readonly { readonly partId: number; readonly pieceId: number }[] {
  const all = listBenchParts(shop);
  const piece = all.find(({ pieceId }) =>
    all.filter((part) => part.pieceId === pieceId).every(({ state }) => state === 'weeded'),
  )!;
  return all.filter(({ pieceId }) => pieceId === piece.pieceId);
}

function press(partIds: readonly number[], outcome: 'done' | 'paused' = 'done'): number {
  const { id } = startSession(shop, { station: 'press', partIds: [...partIds] });
  shop.clock.ms += 4 * MINUTE_MS;
  finishSession(shop, id, outcome);
  return id;
}

it('a piece that was pressed in one go is kept by what hands did, and how long the press was closed', () => {
  const before = kept().length;
  const id = press(listPiece().map(({ partId }) => partId));
  expect(kept()).toHaveLength(before + 1);
  const stretch = kept().find(({ sessionId }) => sessionId === id)!;
  expect(stretch.seconds).toBe(240);
  expect(stretch.fixedSeconds).toBeGreaterThan(0);
  // One blank is laid out.
  expect(stretch.amounts[0]).toBeCloseTo(1, 9);
});

it('work that was paused is of several stretches, and says nothing', () => {
  const before = kept().length;
  const ids = listPiece().map(({ partId }) => partId);
  press(ids, 'paused');
  press(ids);
  expect(kept()).toHaveLength(before);
});

/** As a seller presses who places slowly and peels quickly. */
const TRUE = { pressLayOutSeconds: 30, pressPlaceSeconds: 40, pressPeelSeconds: 5, applySeconds: 70 } as const;
function log(count: number): void {
  for (let at = 0; at < count; at++) {
    const pieces = 1 + ((at * 7) % 11);
    const layers = 1 + ((at * 5) % 4);
    const amounts = [pieces, pieces * layers, pieces * (layers + (at % 3)), 0];
    const hands = amounts.reduce((sum, amount, of) => sum + amount * TRUE[PRESS_FIGURES[of]!], 0);
    shop.clock.ms += 10 * MINUTE_MS;
    const sessionId = insertSession(shop.db, 'press', shop.clock.ms, []);
    stopSession(shop.db, sessionId, shop.clock.ms + 1, 'done');
    const fixedSeconds = pieces * 23;
    const seconds = hands * (1 + 0.1 * Math.sin(at * 1.7)) + fixedSeconds;
    insertPressStretch(shop.db, { sessionId, atMs: shop.clock.ms, seconds, fixedSeconds, amounts });
  }
}

it('what hands take is found within a tenth, the dwell left out; taken, and put back', () => {
  const before = getShop(shop).figures;
  expect(read().figures).toEqual([]);
  log(400);
  const learned = read();
  for (const { key, now } of learned.figures.filter(({ key }) => key !== 'applySeconds'))
    expect([key, Math.abs(now.value / TRUE[key as keyof typeof TRUE] - 1) < 0.1]).toEqual([key, true]);
  expect(learned.tested!.after).toBeLessThan(0.12);
  expect(learned.tested!.after).toBeLessThan(learned.tested!.before);
  expect(learned.bands.map(({ key }) => key)).toEqual(['pressHandsLeast', 'pressHandsMost']);
  takeLearned(shop, learned);
  expect(getShop(shop).figures.pressPlaceSeconds).toBe(
    learned.figures.find(({ key }) => key === 'pressPlaceSeconds')!.now.value,
  );
  putLearnedBack(shop, 'press');
  expect(getShop(shop).figures).toEqual(before);
});
