// Several work in the shop: whose work it was, how quick each is by the log, and what that does to estimates.

import { expect, it } from 'vitest';
import { listBenchParts } from '../../../test/bench-parts';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { WEED_FIGURES } from '../../core/estimating/index';
import { insertWeedStretch } from '../../data/minutes-store';
import { listFirstVinyls } from '../../data/shelf-store';
import { findSession, insertSession, stopSession } from '../../data/work-store';
import { loadStation } from '../bench/load-station';
import { startSession } from '../bench/work-at-bench';
import { getShop } from '../context';
import { loadFrame } from '../shop/load-frame';
import { addPerson, removePerson } from '../shop/people';
import { learnTimes } from './learn-times';
import { putLearnedBack, takeLearned } from './take-learned';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const MINUTE_MS = 60_000;

const add = (name: string): number => addPerson(shop, { name }).id;
const readWeeding = () => learnTimes(shop).stations.find(({ station }) => station === 'weed')!;
const peopleNow = () => loadFrame(shop, 'metric').people.map(({ name }) => name);
/** One part that lies cut. */
const listReady = (): number[] =>
  listBenchParts(shop)
    .filter(({ state }) => state === 'cut')
    .slice(0, 1)
    .map(({ partId }) => partId);

/** Weeding as it is calculated, by one who takes so much of that. */
function log(count: number, personId: number | null, pace: number): void {
  const { figures } = getShop(shop);
  const [vinyl] = listFirstVinyls(shop.db, 1);
  for (let at = 0; at < count; at++) {
    const amounts = [1 + (at % 4), (at * 7) % 5, (at * 13) % 40, (at * 5) % 20, ((at * 3) % 8) / 4];
    const plain = amounts.reduce((sum, amount, of) => sum + amount * figures[WEED_FIGURES[of]!], 0);
    shop.clock.ms += 10 * MINUTE_MS;
    const sessionId = insertSession(shop.db, 'weed', shop.clock.ms, [], personId);
    stopSession(shop.db, sessionId, shop.clock.ms + 1, 'done');
    const seconds = plain * vinyl!.weedingFactor * pace;
    insertWeedStretch(shop.db, { sessionId, vinylId: vinyl!.id, amounts, atMs: shop.clock.ms, seconds });
  }
}

it('people are added, taken off, and come back with all that is theirs', async () => {
  const ada = add('Ada');
  add('Finn');
  expect(peopleNow()).toEqual(['Ada', 'Finn']);
  expect((await refusalOf(() => addPerson(shop, { name: 'Ada' }))).refusal).toEqual({
    reason: 'person-here',
    name: 'Ada',
  });
  removePerson(shop, ada);
  expect(peopleNow()).toEqual(['Finn']);
  expect((await refusalOf(() => removePerson(shop, ada))).code).toBe('not-found');
  expect(add('Ada')).toBe(ada);
  expect(peopleNow()).toEqual(['Ada', 'Finn']);
});

it('a timer says whose it is, and nobody who is not here has one', async () => {
  const ada = add('Ada');
  const partIds = listReady();
  expect((await refusalOf(() => startSession(shop, { station: 'weed', partIds, personId: ada + 1 }))).code).toBe(
    'not-found',
  );
  const { id } = startSession(shop, { station: 'weed', partIds, personId: ada });
  expect(loadFrame(shop, 'metric').running.find((work) => work.id === id)!.personName).toBe('Ada');
  removePerson(shop, ada);
  // Taken off the list while the clock runs: it was still hers.
  expect(loadFrame(shop, 'metric').running.find((work) => work.id === id)!.personName).toBe('Ada');
  expect(findSession(shop.db, id)!.personId).toBe(ada);
});

it('who is quicker is learned, taken into estimates, and put back', () => {
  const [ada, finn] = [add('Ada'), add('Finn')];
  for (let turn = 0; turn < 10; turn++) {
    log(12, ada, 0.8);
    log(12, finn, 1.25);
  }
  const learned = readWeeding();
  expect(learned.people.map(({ name, was }) => [name, was])).toEqual([
    ['Ada', 1],
    ['Finn', 1],
  ]);
  expect(learned.people[0]!.now.value / learned.people[1]!.now.value).toBeCloseTo(0.8 / 1.25, 1);
  expect(learned.people[0]!.now.parts![0]!.value).toBe(120);
  const partIds = listReady();
  const plainOf = () => loadStation(shop, 'weed').parts.find(({ partId }) => partId === partIds[0])!.estimates.weed;
  takeLearned(shop, learned);
  const [pace] = learned.people;
  expect(loadStation(shop, 'weed').paces).toContainEqual({ personId: ada, now: pace!.now.value });
  const calculated = plainOf();
  const { id } = startSession(shop, { station: 'weed', partIds, personId: ada });
  expect(findSession(shop.db, id)!.parts[0]!.estimateSeconds).toBeCloseTo(calculated * pace!.now.value, 6);
  stopSession(shop.db, id, shop.clock.ms, 'discarded');
  expect(readWeeding().people[0]!.was).toBe(pace!.now.value);
  putLearnedBack(shop, 'weed');
  expect(loadStation(shop, 'weed').paces).toEqual([]);
  const again = startSession(shop, { station: 'weed', partIds, personId: ada });
  expect(findSession(shop.db, again.id)!.parts[0]!.estimateSeconds).toBeCloseTo(plainOf(), 6);
});

it('of one alone, or where nobody was told, nothing is said', () => {
  log(60, null, 1.1);
  expect(readWeeding().people).toEqual([]);
  log(60, add('Ada'), 0.9);
  expect(readWeeding().people).toEqual([]);
});
