// What the bench tells of vinyls: by lot, by how fine the work was, and by whose fault it was.

import { beforeEach, expect, it } from 'vitest';
import { listBenchParts } from '../../../test/bench-parts';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { lotInput } from '../../core/input/index';
import { recountParts } from '../../data/evidence-store';
import { loadLotEvidence } from '../../data/lot-evidence-store';
import { insertLook } from '../../data/press-look-store';
import type { SpoilageCause } from '../../core/orders/index';
import { spoilParts } from '../bench/spoil-parts';
import { undoSteps } from '../bench/undo-steps';
import { parseInput } from '../errors';
import { receiveLot } from '../stock/save-stock';
import { finishSession, startSession } from '../bench/work-at-bench';
import { loadTrust } from './load-trust';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
let partIds: readonly number[] = [];
let vinylId = 0;

const cut = (ids: readonly number[]) => {
  const { id } = startSession(shop, { station: 'cut', partIds: [...ids], unreadReason: 'known by heart' });
  shop.clock.ms += 60_000;
  return finishSession(shop, id, 'done').eventIds;
};
const spoil = (partId: number, cause: SpoilageCause) =>
  spoilParts(shop, { partIds: [partId], cause, blankLost: false, recut: null }).eventIds;
const sum = () =>
  loadLotEvidence(shop.db, [vinylId]).reduce(
    (all, { tries, failures }) => ({ tries: all.tries + tries, failures: all.failures + failures }),
    { tries: 0, failures: 0 },
  );

beforeEach(() => {
  const waiting = listBenchParts(shop).filter(({ state }) => state === 'to-cut');
  vinylId = waiting[0]!.vinylId;
  partIds = waiting.filter((part) => part.vinylId === vinylId).map(({ partId }) => partId);
});

it('counts what was cut from a lot, and what its film failed: not what was cut from the wrong side or spoiled by hand', () => {
  const before = sum();
  cut(partIds);
  expect(sum()).toEqual({ tries: before.tries + partIds.length, failures: before.failures });
  spoil(partIds[0]!, 'lifted');
  expect(sum().failures).toBe(before.failures + 1);
  const own = spoil(partIds[1]!, 'mirrored-wrong');
  expect(sum().failures).toBe(before.failures + 1);
  undoSteps(shop, own, partIds);
  expect(sum().failures).toBe(before.failures + 1);
});

it('taken back, it never happened; and a recount of all steps gives the same', () => {
  const before = sum();
  const cuts = cut(partIds);
  undoSteps(shop, spoil(partIds[0]!, 'cut-through'), partIds);
  expect(sum().failures).toBe(before.failures);
  spoil(partIds[0]!, 'weeding');
  const kept = loadLotEvidence(shop.db, [vinylId]);
  recountParts(shop.db);
  expect(loadLotEvidence(shop.db, [vinylId]).filter(({ tries }) => tries > 0)).toEqual(
    kept.filter(({ tries }) => tries > 0),
  );
  undoSteps(shop, [...cuts].slice(1), partIds);
  expect(sum().tries).toBe(before.tries + 1);
});

it('tells the rate of the lot in use, with its interval, and no verdict to sell from a few', () => {
  cut(partIds);
  const row = loadTrust(shop).find((one) => one.vinylId === vinylId)!;
  const [first] = row.classes;
  expect(first!.tries).toBeGreaterThan(0);
  expect(first!.rate.low!).toBeLessThan(first!.rate.value);
  expect(first!.rate.high!).toBeGreaterThan(first!.rate.value);
  for (const { tries, verdict } of row.classes) if (tries < 8) expect(verdict).not.toBe('sell');
});

it('what did not last is short-lived, however well it cuts', () => {
  cut(partIds);
  insertLook(shop.db, { vinylId, fabric: 'cotton', kind: 'lifted', pieces: 3, washes: 2, day: '2020-01-02', note: '' });
  const { classes } = loadTrust(shop).find((one) => one.vinylId === vinylId)!;
  expect(classes.map(({ verdict }) => verdict)).toEqual(classes.map(() => 'short-lived'));
});

it('judges the lot that is cut from next: a new one is not to be sold from, however good the others were', () => {
  const row = () => loadTrust(shop).find((one) => one.vinylId === vinylId)!;
  cut(partIds);
  expect(row()).toMatchObject({ untried: [] });
  expect(row().classes.some(({ verdict }) => verdict === 'sell')).toBe(true);
  const input = { key: `vinyl:${vinylId}`, form: 'roll', widthMm: 500, lengthMm: null, quantity: 1000, price: 1000 };
  const { id } = receiveLot(shop, parseInput(lotInput, input));
  expect(row().untried.map((lot) => lot.id)).toEqual([id]);
  expect(row().classes.map(({ verdict }) => verdict)).not.toContain('sell');
});
