// A saved load through the simulated cutter: with a clock moved by hand, and no thread.

import { beforeEach, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import type { PresetUse } from '../../core/cutting/index';
import { cutStepInput } from '../../core/input/index';
import { listPartIds } from '../../core/orders/index';
import { findSavedSheet } from '../../data/cut-sheet-store';
import { writeMachine } from '../../data/sheet-cut-store';
import { findLot } from '../../data/stock-store';
import { findOrderIdsOfParts } from '../../data/order-store';
import { findSession } from '../../data/work-store';
import { startSession, finishSession } from '../bench/work-at-bench';
import { groupOf, layTwoLabels, LABEL_BLACK } from '../cut-sheets/cut-load-examples';
import { cutSavedSheet } from '../cut-sheets/cut-saved-sheet';
import { changeCutSheet, dropCutSheet, saveCutSheet } from '../cut-sheets/save-cut-sheet';
import { chooseDevice, playTrick } from '../devices';
import { parseInput } from '../errors';
import { book } from '../heavy/book-thread';
import { planCut } from '../heavy/cut-thread';
import { loadOrderView } from '../orders/load-order-view';
import { savePreset } from '../stock/recipes';
import { setAsideOffcut } from '../stock/save-stock';
import { planLoad } from './load-plan';
import { takeCutStep } from './take-cut-step';
import { viewState } from './view-load';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
let savedId = 0;
let sessionId = 0;
const HOUR_MS = 3_600_000;
const inLine = async (task: Parameters<typeof planCut>[0]) => planCut(task);
const rollId = () => groupOf(shop, LABEL_BLACK).stock.find((lot) => lot.form === 'roll')!.lotId;

function begin(lotId: number, more: Parameters<typeof layTwoLabels>[2] = {}): void {
  const input = layTwoLabels(shop, lotId, more);
  savedId = saveCutSheet(shop, input).id;
  sessionId = startSession(shop, { station: 'cut', partIds: [...listPartIds(input.sheet)], savedId }).id;
}
beforeEach(() => begin(rollId()));

const take = (step: string, more: object = {}) =>
  takeCutStep(shop, sessionId, step, parseInput(cutStepInput, { sheet: 0, ...more }), inLine);
const look = async () => viewState(shop, sessionId, await planLoad(shop, savedId, inLine));
const sheetNow = async () => (await look()).sheets[0]!;
const settingNow = async () => (await sheetNow()).setting;

/** Test cuts until one is clean, as the seller sees the simulated film. */
async function testUntilClean(): Promise<number> {
  for (let cuts = 1; cuts <= 6; cuts++) {
    const { next, setting: first } = await sheetNow();
    const setting = next?.kind === 'try' ? next.setting : first;
    await take('test', { setting });
    shop.clock.ms += HOUR_MS;
    const result = (await look()).cutter!.job!.looks!;
    await take('test-result', { setting, result });
    if (result === 'clean') return cuts;
  }
  throw new Error('Expected: clean within six cuts');
}

it('reads the width the machine senses, keeps it with the lot, and goes on where it is enough', async () => {
  const lot = findLot(shop.db, rollId())!;
  const after = await take('width');
  const [sheet] = after.sheets;
  expect(sheet).toMatchObject({ state: 'loaded', expectedWidthMm: lot.widthMm });
  expect(sheet!.readWidthMm).toBeLessThanOrEqual(lot.widthMm!);
  const isOff = sheet!.verdict !== 'as-expected';
  expect(findLot(shop.db, lot.id)!.widthMm).toBe(isOff ? sheet!.readWidthMm : lot.widthMm);
});

it('stops where the vinyl is narrower than the outermost cut needs; loaded again by hand it goes on', async () => {
  const refusal = await refusalOf(() => take('width', { widthMm: 120 }));
  expect(refusal.message).toMatch(/^It is 120 mm wide, and the outermost cut needs .*mm\. Load it again/);
  expect(await sheetNow()).toMatchObject({ state: 'waiting', readWidthMm: 120, verdict: 'too-narrow' });
  expect((await refusalOf(async () => take('send', { setting: await settingNow() }))).message).toMatch(
    /read the width/,
  );
  expect(findLot(shop.db, rollId())!.widthMm).toBe(610);
  expect((await take('width', { widthMm: 598 })).sheets[0]!.state).toBe('loaded');
  expect(findLot(shop.db, rollId())!.widthMm).toBe(598);
});

it('asks for a test cut where vinyl and lot were never cut; the clean setting is the vinyl’s from then on', async () => {
  expect((await sheetNow()).testReasons).toEqual(expect.arrayContaining(['new-setting', 'new-lot']));
  await take('width');
  expect((await refusalOf(async () => take('send', { setting: await settingNow() }))).message).toMatch(/^A test cut/);
  expect(await testUntilClean()).toBeLessThanOrEqual(6);
  const setting = await settingNow();
  const other = { ...setting, forceGrams: setting.forceGrams + 5 };
  expect((await refusalOf(() => take('send', { setting: other }))).message).toMatch(/^A test cut/);
  await take('send', { setting });
  finishSession(shop, sessionId, 'paused');
  const next = layTwoLabels(shop, rollId());
  changeCutSheet(shop, savedId, 1, next);
  sessionId = startSession(shop, { station: 'cut', partIds: [...listPartIds(next.sheet)], savedId }).id;
  expect(await sheetNow()).toMatchObject({ setting, testReasons: [], tests: [] });
});

it('begins with the setting that was kept for such work, and with none that was kept for other', async () => {
  const { vinylId } = findSavedSheet(shop.db, savedId)!;
  const setting = { ...(await settingNow()), forceGrams: 135 };
  const keep = (use: PresetUse, forceGrams: number) =>
    savePreset(shop, { vinylId, name: `labels, ${use}`, use, setting: { ...setting, forceGrams } });
  let version = 0;
  const beginAnew = async () => {
    finishSession(shop, sessionId, 'discarded');
    version += 1;
    const next = layTwoLabels(shop, rollId());
    changeCutSheet(shop, savedId, version, next);
    sessionId = startSession(shop, { station: 'cut', partIds: [...listPartIds(next.sheet)], savedId }).id;
    return sheetNow();
  };
  const ordinary = (await settingNow()).forceGrams;
  // The label's stem is finer than letters are.
  keep('bold', 120);
  expect((await beginAnew()).setting.forceGrams).toBe(ordinary);
  keep('everything', 130);
  expect((await beginAnew()).setting.forceGrams).toBe(130);
  keep('fine', 135);
  expect(await beginAnew()).toMatchObject({ setting, testReasons: ['new-setting', 'new-lot'] });
});

it('cuts along its lines as time goes by, and is booked with the test figures before it', async () => {
  const leftMm = findLot(shop.db, rollId())!.left;
  await take('width');
  await testUntilClean();
  await take('send', { setting: await settingNow() });
  shop.clock.ms += 10_000;
  const midway = await look();
  expect(midway.cutter!.job).toMatchObject({ of: 'load', state: 'cutting' });
  const { lines, linesDone, shiftMm } = midway.sheets[0]!;
  expect(lines).toBeGreaterThan(linesDone);
  shop.clock.ms += HOUR_MS;
  const [cut] = (await look()).sheets;
  expect(cut).toMatchObject({ state: 'cut', lines, linesDone: lines });
  expect((await refusalOf(() => finishSession(shop, sessionId, 'done'))).message).toMatch(/finished by booking/);
  const { usedLengthMm } = (await planLoad(shop, savedId, inLine)).sheets[0]!.facts;
  const { partIds } = await cutSavedSheet(shop, savedId, { version: 1, leftovers: [] }, async (task) => book(task));
  expect(findSession(shop.db, sessionId)).toMatchObject({ outcome: 'paused' });
  const [orderId] = findOrderIdsOfParts(shop.db, partIds);
  const told = loadOrderView(shop, orderId!).events.find(({ kind }) => kind === 'cut')!;
  expect(told.text).toMatch(/ from lot \d+ with \d+ g, \d+ mm\/s, once, blade 45°, tested clean$/);
  expect(leftMm - findLot(shop.db, rollId())!.left).toBeCloseTo(usedLengthMm + shiftMm, 0);
});

it('finished by hand while it cuts it is refused, and the machine cuts on', async () => {
  await take('width');
  await take('send', { setting: await settingNow(), untested: true });
  shop.clock.ms += 5_000;
  expect((await refusalOf(() => finishSession(shop, sessionId, 'done'))).message).toMatch(/finished by booking/);
  expect((await look()).cutter!.job!.state).toBe('cutting');
  expect((await sheetNow()).state).toBe('sent');
});

it('is work like any other once its sheet was dropped in another window', () => {
  const { parts } = findSession(shop.db, sessionId)!;
  dropCutSheet(shop, savedId);
  expect(finishSession(shop, sessionId, 'done').eventIds).toHaveLength(parts.length);
});

it('pauses at the end of a line, goes on, and is stopped by hand', async () => {
  await take('width');
  await take('send', { setting: await settingNow(), untested: true });
  shop.clock.ms += 5_000;
  await take('pause');
  const paused = await look();
  shop.clock.ms += HOUR_MS;
  expect((await look()).cutter!.job!.linesDone).toBe(paused.cutter!.job!.linesDone);
  await take('resume');
  shop.clock.ms += 3_000;
  expect((await take('abort')).sheets[0]).toMatchObject({ state: 'stopped', fault: null });
  expect((await refusalOf(() => take('pause'))).message).toMatch(/nothing to do/);
});

it('unplugged in mid-cut it tells so, and goes on from the line that was not cut to its end', async () => {
  await take('width');
  await take('send', { setting: await settingNow(), untested: true });
  shop.clock.ms += 8_000;
  playTrick(shop, 'unplug');
  const gone = await look();
  expect(gone.sheets[0]).toMatchObject({ state: 'stopped', fault: 'unplugged' });
  expect(gone.cutter!.isOn).toBe(false);
  const { linesDone } = gone.sheets[0]!;
  expect((await refusalOf(async () => take('send', { setting: await settingNow(), untested: true }))).message).toMatch(
    /does not answer/,
  );
  playTrick(shop, 'plug-in');
  await take('send', { setting: await settingNow(), untested: true });
  expect((await sheetNow()).linesDone).toBe(linesDone);
  playTrick(shop, 'pace-60');
  shop.clock.ms += HOUR_MS;
  expect((await sheetNow()).state).toBe('cut');
});

it('goes on cutting while the server is down, and a clock set back uncuts nothing', async () => {
  await take('width');
  await take('send', { setting: await settingNow(), untested: true });
  shop.clock.ms += 6_000;
  const before = (await sheetNow()).linesDone;
  shop.clock.ms -= HOUR_MS;
  expect((await sheetNow()).linesDone).toBeLessThanOrEqual(before);
  expect((await sheetNow()).linesDone).toBeGreaterThanOrEqual(0);
  shop.clock.ms += 3 * HOUR_MS;
  expect((await sheetNow()).state).toBe('cut');
});

it('stopped for later, nothing runs on at the cutter, and another day it goes on from the line it had come to', async () => {
  await take('width');
  const setting = await settingNow();
  await take('send', { setting, untested: true });
  shop.clock.ms += 20_000;
  finishSession(shop, sessionId, 'paused');
  shop.clock.ms += 20 * HOUR_MS;
  const partIds = [...listPartIds(findSavedSheet(shop.db, savedId)!.sheet)];
  sessionId = startSession(shop, { station: 'cut', partIds, savedId }).id;
  const sheet = await sheetNow();
  expect(sheet).toMatchObject({ state: 'stopped', setting, fault: null });
  expect(sheet.linesDone).toBeGreaterThan(0);
  expect(sheet.linesDone).toBeLessThan(sheet.lines);
  await take('send', { setting, untested: true });
  expect((await sheetNow()).linesDone).toBe(sheet.linesDone);
  shop.clock.ms += HOUR_MS;
  expect((await sheetNow()).state).toBe('cut');
});

it('a machine that has forgotten its job is taken for gone, with the lines it told of last', async () => {
  await take('width');
  await take('send', { setting: await settingNow(), untested: true });
  shop.clock.ms += 15_000;
  const { linesDone } = await sheetNow();
  writeMachine(shop.db, 'cutter', { isPlugged: true, pace: 1, stock: null, job: null });
  expect(await sheetNow()).toMatchObject({ state: 'stopped', fault: 'unplugged', linesDone });
});

it('given up, a strip of the roll is booked as spoiled and the sheet is cut again', async () => {
  await take('width');
  await take('send', { setting: await settingNow(), untested: true });
  shop.clock.ms += 8_000;
  const leftMm = findLot(shop.db, rollId())!.left;
  const { usedLengthMm } = (await planLoad(shop, savedId, inLine)).sheets[0]!.facts;
  const after = await take('give-up');
  expect(after).toMatchObject({ isGone: false, sheets: [{ state: 'waiting', linesDone: 0, fault: null }] });
  expect(leftMm - findLot(shop.db, rollId())!.left).toBeCloseTo(usedLengthMm, 1);
});

it('given up on an offcut, the piece is gone, its load with it, and its parts wait again', async () => {
  finishSession(shop, sessionId, 'discarded');
  const aside = { widthMm: 300, lengthMm: 300, takesMm: 300, cornerWidthMm: 0, cornerLengthMm: 0, remark: '' };
  const offcut = setAsideOffcut(shop, rollId(), aside);
  changeCutSheet(shop, savedId, 1, layTwoLabels(shop, offcut.id));
  const partIds = [...listPartIds(findSavedSheet(shop.db, savedId)!.sheet)];
  sessionId = startSession(shop, { station: 'cut', partIds, savedId }).id;
  await take('width');
  await take('send', { setting: await settingNow(), untested: true });
  shop.clock.ms += 8_000;
  expect((await take('give-up')).isGone).toBe(true);
  expect(findLot(shop.db, offcut.id)!.left).toBe(0);
  expect(findSavedSheet(shop.db, savedId)).toBeNull();
  expect(findSession(shop.db, sessionId)!.outcome).toBe('paused');
  const waiting = groupOf(shop, LABEL_BLACK).parts.map(({ partId }) => partId);
  expect(partIds.every((id) => waiting.includes(id))).toBe(true);
});

it('works without a machine: the width is typed, and the seller says that it is cut', async () => {
  chooseDevice(shop, 'cutter', 'none');
  expect((await look()).cutter).toBeNull();
  expect((await refusalOf(() => take('width'))).message).toMatch(/senses no width/);
  await take('width', { widthMm: 500 });
  expect((await refusalOf(async () => take('send', { setting: await settingNow(), untested: true }))).message).toMatch(
    /No cutter is connected/,
  );
  await take('test-result', { setting: await settingNow(), result: 'clean' });
  expect((await take('cut')).sheets[0]!.state).toBe('cut');
});

it('refuses a load that was laid out anew in another window, and parts that are not all of it', async () => {
  changeCutSheet(shop, savedId, 1, layTwoLabels(shop, rollId(), { acrossMm: 100 }));
  expect((await refusalOf(() => take('width'))).message).toMatch(/another now/);
  finishSession(shop, sessionId, 'discarded');
  const [one] = listPartIds(findSavedSheet(shop.db, savedId)!.sheet);
  expect((await refusalOf(() => startSession(shop, { station: 'cut', partIds: [one!], savedId }))).message).toMatch(
    /another now/,
  );
});
