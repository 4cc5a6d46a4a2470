// How fine a vinyl holds: kept with every step, taken back with it, and calculated with once the seller says so.

import { beforeEach, expect, it } from 'vitest';
import { listBenchParts } from '../../../test/bench-parts';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { floorInput, sideInput, sideSheetInput } from '../../core/input/index';
import { getDetailFloor } from '../../core/materials/index';
import { recountParts } from '../../data/evidence-store';
import { countTries } from '../../data/lot-evidence-store';
import { findVinyl } from '../../data/shelf-store';
import { loadWidthTries } from '../../data/width-tries-store';
import { finishSession, startSession } from '../bench/work-at-bench';
import { spoilParts } from '../bench/spoil-parts';
import { undoSteps } from '../bench/undo-steps';
import { parseInput, ShopError } from '../errors';
import { refreshKept } from '../items/recount';
import { keepFloor, loadFloors } from './load-floors';
import { fillSide, removeSide, reopenSheet, requireSide, startSide } from './side-by-side';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
let partIds: readonly number[] = [];
let vinylId = 0;

beforeEach(() => {
  const waiting = listBenchParts(shop).filter(({ state }) => state === 'to-cut');
  vinylId = waiting[0]!.vinylId;
  partIds = waiting.filter((part) => part.vinylId === vinylId).map(({ partId }) => partId);
});

const tried = () => loadWidthTries(shop.db, [vinylId]).filter(({ tries, failures }) => tries > 0 || failures > 0);
const sum = () => ({
  tries: tried().reduce((all, one) => all + one.tries, 0),
  failures: tried().reduce((all, one) => all + one.failures, 0),
});
const cut = () => {
  const { id } = startSession(shop, { station: 'cut', partIds: [...partIds], unreadReason: 'known by heart' });
  shop.clock.ms += 60_000;
  return finishSession(shop, id, 'done').eventIds;
};
const spoil = (partId: number) =>
  spoilParts(shop, { partIds: [partId], cause: 'lifted', blankLost: false, recut: null });

it('every cut counts at the width of its own thinnest place, and what the film failed; taken back it never happened', () => {
  const before = sum();
  const cuts = cut();
  expect(sum().tries).toBe(before.tries + partIds.length);
  const { eventIds } = spoil(partIds[0]!);
  expect(sum().failures).toBe(before.failures + 1);
  undoSteps(shop, eventIds, partIds);
  undoSteps(shop, cuts, partIds);
  expect(sum()).toEqual(before);
});

it('a recount of all steps gives what is kept, also in a file of an older program', () => {
  cut();
  spoil(partIds[0]!);
  const kept = tried();
  recountParts(shop.db);
  expect(tried()).toEqual(kept);
  shop.db.$client.exec('delete from width_tries');
  shop.db.$client.pragma('user_version = 1');
  refreshKept(shop);
  expect(tried()).toEqual(kept);
});

it('a trial side by side counts at the width of its drawing, until its sheet is opened or it is deleted', () => {
  const before = sum();
  const other = listBenchParts(shop).find((part) => part.vinylId !== vinylId)!.vinylId;
  const input = { name: 'Two greens', axis: 'vinyl', artworkId: 1, widthMm: 60, pieces: 10, fabric: 'cotton' };
  const { id } = startSide(shop, parseInput(sideInput, { ...input, candidates: [{ vinylId }, { vinylId: other }] }));
  const candidate = requireSide(shop, id).candidates.find((one) => one.vinylId === vinylId)!;
  const sheet = parseInput(sideSheetInput, { lost: 4 });
  fillSide(shop, id, candidate.id, sheet);
  expect(sum()).toEqual({ tries: before.tries + 10, failures: before.failures + 4 });
  reopenSheet(shop, id, candidate.id);
  expect(sum()).toEqual(before);
  fillSide(shop, id, candidate.id, sheet);
  recountParts(shop.db);
  expect(sum()).toEqual({ tries: before.tries + 10, failures: before.failures + 4 });
  removeSide(shop, id);
  expect(sum()).toEqual(before);
});

const tell = (finestMm: number, tries: number, failures: number) =>
  countTries(shop.db, { vinylId, lotId: null, design: 'fine', finestMm, tries, failures, lastAtMs: shop.now() });

it('proposes what the log says once it is sure enough, and goes back to what is ordinary', () => {
  tell(0.7, 40, 22);
  tell(1.4, 80, 1);
  const row = () => loadFloors(shop).find((one) => one.vinylId === vinylId)!;
  expect(row()).toMatchObject({ isKnown: true, kept: { strokeMm: null, gapMm: null } });
  expect(row().proposed.strokeMm).toBeGreaterThan(0.75);
  expect(row().proposed.strokeMm).toBeLessThan(1.45);
  keepFloor(shop, vinylId, parseInput(floorInput, row().proposed));
  expect(row().now).toEqual(row().proposed);
  expect(getDetailFloor(findVinyl(shop.db, vinylId)!)).toEqual(row().proposed);
  keepFloor(shop, vinylId, parseInput(floorInput, { strokeMm: null, gapMm: null }));
  expect(row().kept).toEqual({ strokeMm: null, gapMm: null });
  expect(() => keepFloor(shop, 99_999, { strokeMm: 1, gapMm: 1 })).toThrow(ShopError);
});

it('of bold work alone nothing is told', () => {
  shop.db.$client.exec('delete from width_tries');
  countTries(shop.db, {
    vinylId,
    lotId: null,
    design: 'bold',
    finestMm: null,
    tries: 90,
    failures: 9,
    lastAtMs: shop.now(),
  });
  expect(loadFloors(shop).filter((one) => one.vinylId === vinylId)).toEqual([]);
});
