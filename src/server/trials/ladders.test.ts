// A ladder through the simulated cutter, to a named setting that loads of the vinyl begin with.

import { beforeEach, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { ladderInput, ladderKeepInput, ladderStepInput } from '../../core/input/index';
import { listPartIds } from '../../core/orders/index';
import { loadPresetsOf } from '../../data/preset-store';
import { loadSheetCuts } from '../../data/sheet-cut-store';
import { findLot } from '../../data/stock-store';
import { finishSession, startSession } from '../bench/work-at-bench';
import { groupOf, LABEL_BLACK, layTwoLabels } from '../cut-sheets/cut-load-examples';
import { saveCutSheet } from '../cut-sheets/save-cut-sheet';
import { chooseDevice, playTrick } from '../devices';
import { parseInput } from '../errors';
import { keepLadder, removeLadder, startLadder } from './ladders';
import { takeLadderStep } from './take-ladder-step';
import { listChoices, loadLadder, loadTrials } from './view-ladder';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const MINUTE_MS = 60_000;
let vinylId = 0;
let lotId = 0;
let id = 0;

beforeEach(() => {
  const group = groupOf(shop, LABEL_BLACK);
  lotId = group.stock.find((lot) => lot.form === 'roll')!.lotId;
  vinylId = Number(/\d+/.exec(findLot(shop.db, lotId)!.key)![0]);
  id = startLadder(shop, parseInput(ladderInput, { vinylId, lotId })).id;
});

const take = (step: string, more: object = {}) => takeLadderStep(shop, id, step, parseInput(ladderStepInput, more));
const now = () => loadLadder(shop, id);

/** By itself, as long as there is anything to cut. */
function runByItself(): void {
  take('by-itself', { on: true });
  for (let looks = 0; looks < 40 && now().byItself; looks++) {
    shop.clock.ms += MINUTE_MS;
    take('go-on');
  }
}

it('runs by itself to a clean setting with room, and books its rows off the roll', () => {
  const leftBefore = findLot(shop.db, lotId)!.left;
  runByItself();
  const ladder = now();
  expect(['found', 'tight', 'unsure']).toContain(ladder.verdict.kind);
  expect(ladder.cuts.length).toBeLessThanOrEqual(6);
  expect(ladder.cleanSetting).not.toBeNull();
  // One row holds them all: 25 mm and the gap of 5.
  expect(leftBefore - findLot(shop.db, lotId)!.left).toBe(30);
  expect(ladder.spent.value).toBeCloseTo(30 * findLot(shop.db, lotId)!.unitCost, 6);
  expect(ladder.time.value).toBe(60 * ladder.cuts.length);
  // What it says is clean is so, told by the film at that very setting.
  take('cut', { setting: ladder.cleanSetting });
  shop.clock.ms += MINUTE_MS;
  expect(now().cutter!.job!.looks).toBe('clean');
});

it('is kept under a name, which the next load of the vinyl begins with, untested no more', async () => {
  const begin = () => {
    const input = layTwoLabels(shop, lotId);
    const savedId = saveCutSheet(shop, input).id;
    const sessionId = startSession(shop, { station: 'cut', partIds: [...listPartIds(input.sheet)], savedId }).id;
    return { sessionId, sheet: loadSheetCuts(shop.db, sessionId)[0]! };
  };
  runByItself();
  const { cleanSetting } = now();
  // One more figure, to be surer, is judged as a figure; the fine design by itself.
  expect(take('cut', { setting: cleanSetting }).cutNow).toBe('figure');
  shop.clock.ms += MINUTE_MS;
  expect(take('cut-fine', { setting: cleanSetting }).cutNow).toBe('fine');
  shop.clock.ms += MINUTE_MS;
  expect(take('fine', { fine: 'clean' }).slower).toBeNull();
  keepLadder(shop, id, parseInput(ladderKeepInput, { name: 'Labels, from the ladder', use: 'everything' }));
  expect(now()).toMatchObject({ presetName: 'Labels, from the ladder', byItself: false });
  expect(loadTrials(shop)).toMatchObject({ open: [], closed: [{ id, presetName: 'Labels, from the ladder' }] });
  const { sessionId, sheet } = begin();
  expect(sheet.setting).toEqual(cleanSetting);
  expect(sheet.testReasons).toEqual([]);
  // A load that lies in the machine is not taken out of it.
  const other = startLadder(shop, parseInput(ladderInput, { vinylId, lotId })).id;
  const cut = () => takeLadderStep(shop, other, 'cut', parseInput(ladderStepInput, { setting: cleanSetting }));
  expect((await refusalOf(cut)).code).toBe('conflict');
  finishSession(shop, sessionId, 'discarded');
});
it('by itself it stops where the machine does: nothing is cut or asked again and again', async () => {
  take('by-itself', { on: true });
  playTrick(shop, 'unplug');
  take('go-on');
  expect(now()).toMatchObject({ byItself: false, cuts: [] });
  const { spent } = now();
  expect((await refusalOf(() => take('by-itself', { on: true }))).message).toMatch(/does not answer/);
  expect(now().byItself).toBe(false);
  expect(now().spent.value).toBe(spent.value);
});

it('told by hand goes where the answers lead; the last one can be taken back', () => {
  chooseDevice(shop, 'cutter', 'none');
  const first = now().setting;
  take('cut', { setting: first });
  expect(now()).toMatchObject({ cutNow: 'figure', cutter: null });
  const after = take('result', { setting: first, result: 'through' });
  expect(after.setting.forceGrams).toBeLessThan(first.forceGrams);
  expect(after.cutNow).toBeNull();
  const back = take('undo');
  expect(back.cuts).toEqual([]);
  expect(back.setting).toEqual(first);
  expect(take('result', { setting: first, result: 'shallow' }).setting.forceGrams).toBeGreaterThan(first.forceGrams);
});

it('keeps cuts of another speed apart', () => {
  const first = now().setting;
  take('result', { setting: first, result: 'clean' });
  const slow = { ...first, speedMmPerS: 30 };
  const after = take('result', { setting: slow, result: 'shallow' });
  expect(after.cuts).toHaveLength(2);
  expect(after.doubts).toEqual([]);
  expect(after.cleanSetting).toEqual(first);
});

it('deleted, tells nothing any more: the next one begins at what is ordinary, and its setting is gone', () => {
  runByItself();
  keepLadder(shop, id, { name: 'Gone', use: 'everything' });
  const again = startLadder(shop, parseInput(ladderInput, { vinylId, lotId })).id;
  expect(loadLadder(shop, again)).toMatchObject({ startFrom: 'own' });
  removeLadder(shop, again);
  removeLadder(shop, id);
  expect(loadPresetsOf(shop.db, vinylId)).toEqual([]);
  const fresh = startLadder(shop, parseInput(ladderInput, { vinylId, lotId })).id;
  expect(loadLadder(shop, fresh)).toMatchObject({ startFrom: 'ordinary', cuts: [] });
});

it('wanted surer is opened again and goes on', () => {
  runByItself();
  keepLadder(shop, id, { name: 'At first', use: 'bold' });
  expect(now().closedAtMs).not.toBeNull();
  const asked = take('enough', { enough: 0.99 });
  expect(asked.closedAtMs).toBeNull();
  expect(asked.enough).toBe(0.99);
  // It can be kept again: under the same name the surer one takes its place.
  expect(asked.presetName).toBeNull();
  keepLadder(shop, id, { name: 'At first', use: 'everything' });
  expect(loadPresetsOf(shop.db, vinylId).map(({ name, use }) => [name, use])).toEqual([['At first', 'everything']]);
});

it('refuses what makes no sense, in words', async () => {
  expect((await refusalOf(() => take('undo'))).message).toMatch(/^Nothing was told/);
  expect((await refusalOf(() => take('cut'))).message).toMatch(/^Say with which setting/);
  expect((await refusalOf(() => take('fine', { fine: 'clean' }))).message).toMatch(/^No cut came out clean/);
  expect((await refusalOf(() => keepLadder(shop, id, { name: 'x', use: 'bold' }))).message).toMatch(/^No cut/);
  expect((await refusalOf(() => take('nonsense'))).code).toBe('not-found');
  const wrong = { vinylId: vinylId - 1, lotId };
  expect((await refusalOf(() => startLadder(shop, parseInput(ladderInput, wrong)))).message).toMatch(/another vinyl/);
  playTrick(shop, 'unplug');
  const before = now();
  expect((await refusalOf(() => take('cut', { setting: before.setting }))).message).toMatch(/does not answer/);
  // Nothing of the figure is booked that was not cut.
  expect(now().spent.value).toBe(before.spent.value);
  chooseDevice(shop, 'cutter', 'none');
  expect((await refusalOf(() => take('by-itself', { on: true }))).message).toMatch(/^Only a simulated cutter/);
  take('close');
  expect((await refusalOf(() => take('cut', { setting: before.setting }))).message).toMatch(/is closed/);
});

it('offers the vinyl that is asked for, with its lots', () => {
  const { vinyls, lots } = listChoices(shop, vinylId);
  expect(vinyls.filter((vinyl) => vinyl.id === vinylId)).toHaveLength(1);
  expect(lots.map((lot) => lot.id)).toContain(lotId);
  expect(listChoices(shop, null).lots).toEqual([]);
});
