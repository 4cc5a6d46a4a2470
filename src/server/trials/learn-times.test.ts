// From the clock at the weeding table to the shop's figures, and back.

import { expect, it } from 'vitest';
import { listBenchParts } from '../../../test/bench-parts';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { WEED_FIGURES } from '../../core/estimating/index';
import { insertWeedStretch, listWeedStretches } from '../../data/minutes-store';
import { findVinyl, listFirstVinyls } from '../../data/shelf-store';
import { insertSupply } from '../../data/supply-store';
import { updateShop } from '../../data/shop-store';
import { findSession, insertSession, stopSession } from '../../data/work-store';
import { undoSteps } from '../bench/undo-steps';
import { finishSession, startSession } from '../bench/work-at-bench';
import { getShop } from '../context';
import { bookWear, loadSuppliesView } from '../stock/save-supplies';
import { learnTimes } from './learn-times';
import { putLearnedBack, takeLearned } from './take-learned';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const MINUTE_MS = 60_000;

const readWeeding = () => learnTimes(shop).stations.find(({ station }) => station === 'weed')!;
const vinylIds = () => listFirstVinyls(shop.db, 2).map(({ id }) => id);

/** Of an item whose own minutes are not learned, so that its estimate is what the figures say. */
const FRESH_ORDER = 6;
/** One part that lies cut. */
const listReady = (): number[] =>
  listBenchParts(shop)
    .filter(({ state, orderId }) => state === 'cut' && orderId === FRESH_ORDER)
    .slice(0, 1)
    .map(({ partId }) => partId);

/** As a seller logs who is half as slow again at all of it, and slower still with the second vinyl. */
function log(count: number, slower = 1.5): void {
  const { figures } = getShop(shop);
  const [first, second] = vinylIds();
  for (let at = 0; at < count; at++) {
    const amounts = [1 + (at % 4), (at * 7) % 5, (at * 13) % 40, (at * 5) % 20, ((at * 3) % 8) / 4];
    const vinylId = at % 2 === 0 ? first! : second!;
    const factor = findVinyl(shop.db, vinylId)!.weedingFactor * (at % 2 === 0 ? 0.8 : 1.25);
    const plain = amounts.reduce((sum, amount, of) => sum + amount * figures[WEED_FIGURES[of]!], 0);
    shop.clock.ms += 10 * MINUTE_MS;
    const sessionId = insertSession(shop.db, 'weed', shop.clock.ms, []);
    stopSession(shop.db, sessionId, shop.clock.ms + 1, 'done');
    insertWeedStretch(shop.db, {
      ...{ sessionId, vinylId, amounts },
      atMs: shop.clock.ms,
      seconds: plain * factor * slower,
    });
  }
}

it('a stretch of weeding is kept by what its estimate is made of', () => {
  const ids = listReady();
  const { id } = startSession(shop, { station: 'weed', partIds: ids });
  shop.clock.ms += 4 * MINUTE_MS;
  finishSession(shop, id, 'done');
  const [stretch] = listWeedStretches(shop.db, 1);
  expect(stretch).toMatchObject({ sessionId: id, seconds: 240 });
  const { figures } = getShop(shop);
  const { weedingFactor } = findVinyl(shop.db, stretch!.vinylId!)!;
  const seconds = stretch!.amounts.reduce((sum, amount, at) => sum + amount * figures[WEED_FIGURES[at]!], 0);
  expect(seconds * weedingFactor).toBeCloseTo(findSession(shop.db, id)!.parts[0]!.estimateSeconds, 6);
});

it('work that was paused is of several stretches, and says nothing', () => {
  const ids = listReady();
  const before = listWeedStretches(shop.db, 100).length;
  for (const outcome of ['paused', 'done'] as const) {
    const { id } = startSession(shop, { station: 'weed', partIds: ids });
    shop.clock.ms += MINUTE_MS;
    finishSession(shop, id, outcome);
  }
  expect(listWeedStretches(shop.db, 100)).toHaveLength(before);
});

it('too little is told as too little', () => {
  const { logs } = readWeeding();
  expect(logs).toBeLessThan(10);
  log(10);
  expect(readWeeding()).toMatchObject({ logs: logs + 10, figures: [], factors: [], tested: null, takenAtMs: null });
});

it('what is learned is taken into the figures, told against before, and put back', () => {
  const before = getShop(shop).figures;
  const factorsBefore = vinylIds().map((id) => findVinyl(shop.db, id)!.weedingFactor);
  const { logs } = readWeeding();
  log(200);
  const learned = readWeeding();
  expect(learned.logs).toBe(logs + 200);
  for (const { key, was, now } of learned.figures) {
    expect(was).toBe(before[key]);
    expect(Math.abs(now.value / (1.5 * was) - 1)).toBeLessThan(0.1);
    expect(now.source).toBe('learned');
  }
  expect(learned.factors).toHaveLength(2);
  for (const { vinylId, was, now } of learned.factors)
    expect(Math.abs(now.value / (was * [0.8, 1.25][vinylIds().indexOf(vinylId)]!) - 1)).toBeLessThan(0.05);
  expect(learned.tested!.before).toBeGreaterThan(0.15);
  expect(learned.tested!.after).toBeLessThan(0.03);
  expect(learned.hour!.low).toBeLessThan(3600);
  expect(learned.hour!.high).toBeGreaterThan(3600);
  takeLearned(shop, learned);
  for (const { key, now } of learned.figures) expect(getShop(shop).figures[key]).toBe(now.value);
  const taken = readWeeding();
  expect(taken.takenAtMs).toBe(shop.clock.ms);
  // What was taken explains the log: there is next to nothing more to learn.
  for (const { was, now } of taken.figures) expect(Math.abs(now.value / was - 1)).toBeLessThan(0.05);
  expect(taken.tested!.before).toBeLessThan(0.05);
  // Taken once more, what was at first is what is put back.
  takeLearned(shop, taken);
  putLearnedBack(shop, 'weed');
  expect(getShop(shop).figures).toEqual(before);
  expect(vinylIds().map((id) => findVinyl(shop.db, id)!.weedingFactor)).toEqual(factorsBefore);
  expect(readWeeding().takenAtMs).toBeNull();
});

it('how far jobs stray is learned too: from then on estimates are as wide as the log', () => {
  const { weedLeast, weedMost } = getShop(shop).figures;
  for (let at = 0; at < 60; at++) log(1, at % 2 === 0 ? 0.96 : 1.04);
  const { bands } = readWeeding();
  expect(bands.map(({ key, was }) => [key, was])).toEqual([
    ['weedLeast', weedLeast],
    ['weedMost', weedMost],
  ]);
  const [least, most] = bands.map(({ now }) => now.value);
  expect(least!).toBeGreaterThan(weedLeast);
  expect(least!).toBeLessThan(1);
  expect(most!).toBeGreaterThan(1);
  expect(most!).toBeLessThan(weedMost);
  takeLearned(shop, readWeeding());
  expect(getShop(shop).figures).toMatchObject({ weedLeast: least, weedMost: most });
  putLearnedBack(shop, 'weed');
  expect(getShop(shop).figures).toMatchObject({ weedLeast, weedMost });
});

it('what the seller changed since is not put back', () => {
  log(60);
  const before = getShop(shop).figures;
  takeLearned(shop, readWeeding());
  const { figures, version, simulated: _s, confirmed: _c, ...identity } = getShop(shop);
  updateShop(shop.db, identity, { ...figures, weedBaseSeconds: 99 }, version);
  putLearnedBack(shop, 'weed');
  expect(getShop(shop).figures.weedBaseSeconds).toBe(99);
  expect(getShop(shop).figures.weedPerMetreSeconds).toBe(before.weedPerMetreSeconds);
});

/** A new one is taken into use. */
function fitTool(): void {
  const plain = { supplier: '', widthMm: null, tack: null, angleDegrees: null, life: 5000, note: '' };
  const id = insertSupply(shop.db, { name: 'Curved hook', kind: 'weeding tool', ...plain });
  bookWear(shop, id, { kind: 'fitted', amount: 0, fromStock: false });
}

it('a new weeding tool that shows in the log starts afresh: what was logged before it counts no more', () => {
  log(60, 1.6);
  shop.clock.ms += MINUTE_MS;
  fitTool();
  log(60, 0.9);
  const learned = readWeeding();
  expect(learned.logs).toBe(60);
  for (const { was, now } of learned.figures) expect(now.value / was).toBeLessThan(1.1);
  // One that changes nothing takes nothing away.
  shop.clock.ms += MINUTE_MS;
  fitTool();
  log(60, 0.9);
  expect(readWeeding().logs).toBe(120);
});

it('the tool in use wears by the layer, and gets it back with an undo', () => {
  fitTool();
  const wornOf = () => loadSuppliesView(shop).supplies.find(({ name }) => name === 'Curved hook')!.wear!.worn.value;
  const partIds = listReady();
  const { id } = startSession(shop, { station: 'weed', partIds });
  shop.clock.ms += MINUTE_MS;
  const { eventIds } = finishSession(shop, id, 'done');
  expect(wornOf()).toBe(1);
  undoSteps(shop, eventIds, partIds);
  expect(wornOf()).toBe(0);
});
