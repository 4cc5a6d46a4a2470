// Side by side at the bench: clocks, sheets, and what they say of vinyls, until the trial is taken away.

import { beforeEach, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { laterInput, seenInput, sideInput, sideSheetInput } from '../../core/input/index';
import { keyOf } from '../../core/stock/index';
import { loadVinylEvidence, recountParts } from '../../data/evidence-store';
import { loadLotEvidence } from '../../data/lot-evidence-store';
import { loadLooksOf } from '../../data/press-look-store';
import { listFirstVinyls } from '../../data/shelf-store';
import { loadLotsOnShelf } from '../../data/stock-store';
import { parseInput } from '../errors';
import { loadDue, planLater, putOffLater, seeLater, unseeLater } from './later-looks';
import { fillSide, removeSide, reopenSheet, runSideClock, startSide } from './side-by-side';
import { listLabels, listSides, loadSide } from './view-side';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;
let vinylIds: readonly number[] = [];
let id = 0;

const input = (more: object = {}) =>
  parseInput(sideInput, {
    name: 'Gold or glint',
    axis: 'vinyl',
    artworkId: 1,
    widthMm: 80,
    pieces: 12,
    fabric: 'cotton',
    candidates: vinylIds.map((vinylId) => ({ vinylId })),
    ...more,
  });

beforeEach(() => {
  vinylIds = listFirstVinyls(shop.db, 2).map((vinyl) => vinyl.id);
  id = startSide(shop, input()).id;
});

const now = () => loadSide(shop, id);
const idOf = (at: number) => now().candidates[at]!.id;
const fill = (at: number, sheet: object) =>
  fillSide(shop, id, idOf(at), { ...parseInput(sideSheetInput, { ...now().candidates[at]!.sheet, ...sheet }) });
const counted = () => vinylIds.map((vinylId) => loadVinylEvidence(shop.db, [vinylId]).get(vinylId));
const lots = () =>
  [...loadLotEvidence(shop.db, vinylIds)].filter(({ tries }) => tries !== 0).sort((a, b) => a.vinylId - b.vinylId);

it('clocks one at a time, adds up what was timed in stretches, and tells the best', () => {
  runSideClock(shop, id, idOf(0), 'weed');
  shop.clock.ms += 3 * MINUTE_MS;
  // The other one's clock stops this one.
  runSideClock(shop, id, idOf(1), 'weed');
  shop.clock.ms += 10 * MINUTE_MS;
  runSideClock(shop, id, idOf(0), 'weed');
  expect(now().candidates.map(({ clock }) => clock?.what ?? null)).toEqual(['weed', null]);
  shop.clock.ms += MINUTE_MS;
  runSideClock(shop, id, idOf(0), null);
  expect(now().candidates.map(({ sheet }) => sheet.weedSeconds)).toEqual([240, 600]);
  expect(now().verdict).toEqual({ kind: 'not-filled', missing: 2 });
  runSideClock(shop, id, idOf(0), 'cut');
  shop.clock.ms += MINUTE_MS / 2;
  // A clock that still runs is stopped with the sheet; a time that is typed over its clock stands.
  fill(0, { weedSeconds: 210 });
  expect(now().candidates[0]).toMatchObject({ clock: null, sheet: { cutSeconds: 30, weedSeconds: 210 } });
  reopenSheet(shop, id, idOf(0));
  runSideClock(shop, id, idOf(0), 'cut');
  shop.clock.ms += MINUTE_MS;
  fill(0, { cutSeconds: 45 });
  expect(now().candidates[0]!.sheet.cutSeconds).toBe(45);
  fill(0, { cutSeconds: 30 });
  fill(1, { lost: 2 });
  expect(now().verdict).toEqual({ kind: 'best', id: idOf(0), ahead: 600 / 10 / (240 / 12) - 1 });
  expect(listSides(shop)[0]!.best).toEqual([now().candidates[0]!.name]);
});

it('a closed sheet counts for its vinyl and lot; opened, changed or taken away it counts as it is then', () => {
  const [before, lotsBefore] = [counted(), lots()];
  const added = (at: number) => ({
    made: (counted()[at]?.made ?? 0) - (before[at]?.made ?? 0),
    spoiled: (counted()[at]?.spoiled ?? 0) - (before[at]?.spoiled ?? 0),
  });
  fill(0, { lost: 3 });
  expect(added(0)).toEqual({ made: 12, spoiled: 3 });
  expect(added(1)).toEqual({ made: 0, spoiled: 0 });
  fill(0, { lost: 5 });
  expect(added(0)).toEqual({ made: 12, spoiled: 5 });
  const kept = { vinyls: counted(), lots: lots() };
  recountParts(shop.db);
  expect({ vinyls: counted(), lots: lots() }).toEqual(kept);
  reopenSheet(shop, id, idOf(0));
  expect(added(0)).toEqual({ made: 0, spoiled: 0 });
  fill(0, { lost: 5 });
  removeSide(shop, id);
  expect(added(0)).toEqual({ made: 0, spoiled: 0 });
  expect(lots()).toEqual(lotsBefore);
  expect(listSides(shop)).toEqual([]);
});

it('of tapes nothing is said of the vinyl, but of each tape', () => {
  const before = counted();
  const [vinylId] = vinylIds;
  const labels = ['Paper tape', 'Clear tape'];
  id = startSide(shop, input({ axis: 'tape', candidates: labels.map((label) => ({ vinylId, label })) })).id;
  fill(0, { lost: 4 });
  fill(1, {});
  expect(counted()).toEqual(before);
  expect(listLabels(shop).map(({ label, tries, failures }) => [label, tries, failures])).toEqual([
    ['Clear tape', 12, 0],
    ['Paper tape', 12, 4],
  ]);
  expect(listLabels(shop)[1]!.rate.value).toBeCloseTo(5 / 24, 12);
});

it('refuses what tells nothing apart, lots of others, and more lost than made', async () => {
  const [vinylId, other] = vinylIds;
  expect(() => input({ candidates: [{ vinylId }, { vinylId }] })).toThrow();
  expect(() => input({ candidates: [{ vinylId }] })).toThrow();
  expect(() => input({ axis: 'mat', candidates: [{ vinylId, label: 'Old' }, { vinylId }] })).toThrow();
  const [lot] = loadLotsOnShelf(shop.db, keyOf({ kind: 'vinyl', vinylId: vinylId! }));
  const wrong = input({ candidates: [{ vinylId: other, lotId: lot!.id }, { vinylId }] });
  expect((await refusalOf(() => startSide(shop, wrong))).refusal).toMatchObject({ reason: 'lot-of-other' });
  const inUse = input({ candidates: [{ vinylId }, { vinylId, lotId: lot!.id }] });
  expect((await refusalOf(() => startSide(shop, inUse))).refusal).toMatchObject({ reason: 'same-twice' });
  expect(listSides(shop)).toHaveLength(1);
  expect((await refusalOf(() => fill(0, { lost: 13 }))).refusal).toMatchObject({ reason: 'more-lost-than-made' });
});

it('later looks come up on their day, count for the recipe, turn the verdict, and are taken back', () => {
  fill(0, { weedSeconds: 60 });
  fill(1, { weedSeconds: 600, lost: 2 });
  const plan = (at: number) =>
    planLater(
      shop,
      parseInput(laterInput, {
        candidateId: idOf(at),
        looks: [
          { reason: 'wash', washes: 5, dueDay: '2026-12-01' },
          { reason: 'edges', washes: 0, dueDay: '2026-11-25' },
        ],
      }),
    ).ids;
  const [wash] = plan(0);
  expect(loadDue(shop)).toEqual([]);
  shop.clock.ms += DAY_MS;
  expect(loadDue(shop).map(({ reason, pieces }) => [reason, pieces])).toEqual([['edges', 12]]);
  shop.clock.ms += 6 * DAY_MS;
  expect(loadDue(shop).map(({ reason }) => reason)).toEqual(['edges', 'wash']);
  const seen = parseInput(seenInput, { kind: 'cracked', note: 'at the folds' });
  seeLater(shop, wash!, seen);
  expect(() => seeLater(shop, wash!, seen)).toThrow();
  expect(loadDue(shop).map(({ reason }) => reason)).toEqual(['edges']);
  expect(loadLooksOf(shop.db, [vinylIds[0]!], 10)[0]).toMatchObject({
    kind: 'cracked',
    pieces: 12,
    washes: 5,
    day: '2026-12-01',
    fabric: 'cotton',
    note: 'Gold or glint: at the folds',
  });
  expect(now().candidates[0]!.faults).toEqual(['did not last']);
  expect(now().verdict).toMatchObject({ kind: 'best', id: idOf(1), ahead: null });
  unseeLater(shop, wash!);
  expect(now().verdict).toMatchObject({ kind: 'best', id: idOf(0) });
  putOffLater(shop, wash!);
  expect(loadDue(shop).map(({ reason }) => reason)).toEqual(['edges']);
  shop.clock.ms += 7 * DAY_MS;
  expect(loadDue(shop)).toHaveLength(2);
  seeLater(shop, wash!, seen);
  removeSide(shop, id);
  expect(loadLooksOf(shop.db, vinylIds, 10).filter(({ note }) => note.startsWith('Gold'))).toEqual([]);
  expect(loadDue(shop)).toEqual([]);
});

it('an order is looked at by vinyl and fabric', async () => {
  const { ids } = planLater(
    shop,
    parseInput(laterInput, { orderId: 1, looks: [{ reason: 'edges', washes: 0, dueDay: '2026-11-24' }] }),
  );
  const due = loadDue(shop);
  expect(due.map((row) => row.id).sort()).toEqual([...ids].sort());
  expect(new Set(due.map(({ vinylName, fabric }) => `${vinylName} ${fabric}`)).size).toBe(due.length);
  expect(due.every(({ orderId, pieces }) => orderId === 1 && pieces > 0)).toBe(true);
  const nothing = parseInput(laterInput, { looks: [{ reason: 'edges', washes: 0, dueDay: '2026-11-24' }] });
  expect((await refusalOf(() => planLater(shop, nothing))).refusal).toMatchObject({ reason: 'nothing-pressed' });
});
