// What is done with a sheet at the cutter: loaded and its width read, tested, sent, paused, gone on with, given up.
// Without a machine the same is said by hand.

import { isSameSetting, judgeWidth, type CutSetting, type TestResult } from '../../core/cutting/index';
import { AMOUNT_NOISE } from '../../core/units/index';
import { deleteSavedSheet } from '../../data/cut-sheet-store';
import { inTransaction } from '../../data/database';
import { findVinyl } from '../../data/shelf-store';
import { changeSheetCut, loadSheetCuts, type StoredSheetCut } from '../../data/sheet-cut-store';
import { findLot } from '../../data/stock-store';
import { findSession, stopSession } from '../../data/work-store';
import { getSettings, type ShopContext } from '../context';
import { findCutter } from '../devices';
import { notFound, ShopError } from '../errors';
import type { SheetPlan } from '../heavy/cut-thread';
import { keepMinutes } from '../items/keep-minutes';
import { readWidth, writeLine } from '../stock/save-stock';
import { findBlade } from './begin-load';
import { makeProgram, makeTestProgram } from './cut-program';
import type { LoadPlan } from './load-plan';
import { followMachine } from './follow-machine';
import { nameJob } from './job-names';
import { accept, requireCutter, toJob } from './use-cutter';

export type AtSheet = { readonly sessionId: number; readonly sheet: number; readonly plan: LoadPlan };

/** @throws ShopError where it is no running load with such a sheet, or the load is another meanwhile */
function requireSheet(shop: ShopContext, { sessionId, sheet, plan }: AtSheet): { row: StoredSheetCut; own: SheetPlan } {
  const work = findSession(shop.db, sessionId);
  if (!work) throw notFound('This timer');
  if (work.stoppedAtMs !== null) throw new ShopError('conflict', { reason: 'timer-stopped' });
  const row = loadSheetCuts(shop.db, sessionId).find((one) => one.sheet === sheet);
  const own = plan.sheets.find((one) => one.sheet === sheet);
  if (!row || !own) throw new ShopError('invalid', { reason: 'no-such-sheet' }, 'sheet');
  if (row.savedVersion !== plan.saved.version || row.lotId !== own.lot.lotId)
    throw new ShopError('conflict', { reason: 'load-changed' });
  return { row, own };
}

/**
 * The vinyl is put in and its width read; `typedMm` where no machine senses it. What is read is kept with the lot; where
 * it is too narrow it may lie askew, and is not.
 */
export function loadSheet(shop: ShopContext, at: AtSheet, typedMm: number | null): void {
  const { row, own } = requireSheet(shop, at);
  if (row.state === 'cut') throw new ShopError('conflict', { reason: 'sheet-cut-already' });
  const readMm = typedMm ?? senseWidth(shop, own, at.plan.saved.vinylId);
  if (readMm === null) throw new ShopError('invalid', { reason: 'width-unknown' }, 'widthMm');
  const { widthMm: expectedMm, leastWidthMm: neededMm } = own.facts;
  const verdict = judgeWidth({ readMm, expectedMm, neededMm });
  inTransaction(shop.db, () => {
    const isThere = verdict !== 'too-narrow';
    const state = isThere && row.state === 'waiting' ? 'loaded' : row.state;
    changeSheetCut(shop.db, row.id, { state, readWidthMm: readMm, expectedWidthMm: expectedMm });
    if (isThere && verdict !== 'as-expected' && own.lot.shape === null) readWidth(shop, own.lot.lotId, readMm);
  });
  if (verdict === 'too-narrow')
    throw new ShopError('conflict', { reason: 'too-narrow', readMm, neededMm, settings: getSettings(shop) });
}

/** Null where nothing senses it. */
function senseWidth(shop: ShopContext, { lot, facts }: SheetPlan, vinylId: number): number | null {
  const cutter = findCutter(shop);
  const vinyl = findVinyl(shop.db, vinylId);
  if (!cutter || !vinyl) return null;
  accept(
    cutter.load({
      lotId: lot.lotId,
      labelWidthMm: lot.widthMm,
      lengthMm: facts.usedLengthMm,
      onMat: facts.onMat,
      kind: vinyl.kind,
      thicknessUm: facts.thicknessUm,
    }),
  );
  return cutter.read().widthMm;
}

/** The figure is cut at the next free place; where there is none left, on a scrap of the lot. */
export function sendTest(shop: ShopContext, at: AtSheet, setting: CutSetting): void {
  const { row, own } = requireSheet(shop, at);
  const cutter = requireCutter(shop);
  requireLoaded(row);
  const spot = own.tests.spots[row.tests.length] ?? { x: 0, y: 0 };
  const program = makeTestProgram(own, spot, setting);
  const jobId = nameJob({ of: 'test', rowId: row.id, test: row.tests.length });
  accept(cutter.send(toJob(shop, { id: jobId, program, setting, fromLine: 0 })));
  changeSheetCut(shop.db, row.id, { setting, jobId, shiftMm: own.tests.shiftMm });
}

/** How it came out, as the seller sees it. A clean one makes its setting the vinyl's. */
export function tellTest(
  shop: ShopContext,
  at: AtSheet,
  { setting, result }: { readonly setting: CutSetting; readonly result: TestResult },
): void {
  const { row, own } = requireSheet(shop, at);
  requireLoaded(row);
  const blade = findBlade(shop);
  changeSheetCut(shop.db, row.id, {
    setting,
    tests: [...row.tests, { setting, result }],
    cleanAtMs: result === 'clean' ? shop.now() : row.cleanAtMs,
    bladeId: blade?.supplyId ?? null,
    bladeMetres: blade?.metres ?? 0,
    shiftMm: own.tests.shiftMm,
  });
}

/** From its first line, or from the first that was not cut to its end. */
export function sendSheet(
  shop: ShopContext,
  at: AtSheet,
  { setting, untested }: { readonly setting: CutSetting; readonly untested: boolean },
): void {
  followMachine(shop, at.sessionId);
  const { row, own } = requireSheet(shop, at);
  const cutter = requireCutter(shop);
  if (row.state === 'cut') throw new ShopError('conflict', { reason: 'sheet-cut-already' });
  requireLoaded(row);
  if (!untested && isTestDue(row, setting)) throw new ShopError('conflict', { reason: 'test-first' });
  const jobId = nameJob({ of: 'load', rowId: row.id, atMs: shop.now() });
  const program = makeProgram(own, setting, row.shiftMm);
  accept(cutter.send(toJob(shop, { id: jobId, program, setting, fromLine: row.linesDone })));
  changeSheetCut(shop.db, row.id, { state: 'sent', setting, jobId, fault: null, sentAtMs: shop.now() });
  followMachine(shop, at.sessionId);
}

/** With another setting than the one that came out clean, the test says nothing. */
function isTestDue({ testReasons, tests }: StoredSheetCut, setting: CutSetting): boolean {
  const last = tests.at(-1);
  if (!last) return testReasons.length > 0;
  return !(last.result === 'clean' && isSameSetting(last.setting, setting));
}

export function changeRun(shop: ShopContext, at: AtSheet, wish: 'pause' | 'resume' | 'abort'): void {
  requireSheet(shop, at);
  const cutter = requireCutter(shop);
  accept(cutter[wish]());
  followMachine(shop, at.sessionId);
}

/** It was cut without a machine that tells. */
export function tellCut(shop: ShopContext, at: AtSheet): void {
  const { row } = requireSheet(shop, at);
  if (row.state === 'cut') return;
  requireLoaded(row);
  changeSheetCut(shop.db, row.id, { state: 'cut', linesDone: row.lines, endedAtMs: shop.now() });
}

/**
 * What was begun is lost. Of a roll the strip is booked as spoiled, and the sheet is cut again further on; a single
 * piece is gone with it, and the whole load is to be laid out anew.
 */
export function giveUp(shop: ShopContext, at: AtSheet): { readonly isGone: boolean } {
  followMachine(shop, at.sessionId);
  const { row, own } = requireSheet(shop, at);
  if (row.state === 'cut') throw new ShopError('conflict', { reason: 'sheet-cut-already' });
  if (row.linesDone === 0 && row.state !== 'stopped') throw new ShopError('conflict', { reason: 'nothing-to-give-up' });
  const cutter = findCutter(shop);
  if (cutter?.read().job?.id === row.jobId) cutter?.abort();
  return inTransaction(shop.db, () => {
    const lot = findLot(shop.db, row.lotId);
    if (!lot) throw notFound('This lot');
    const takes = lot.form === 'roll' ? own.facts.usedLengthMm + row.shiftMm : 1;
    const lost = Math.min(takes, lot.left);
    if (lost > AMOUNT_NOISE) writeLine(shop, lot, 'spoiled', -lost, 'A cut that was given up', at.sessionId);
    if (lot.form === 'roll') {
      changeSheetCut(shop.db, row.id, { state: 'waiting', linesDone: 0, fault: null, jobId: null });
      return { isGone: false };
    }
    changeSheetCut(shop.db, row.id, { state: 'stopped', endedAtMs: shop.now() });
    deleteSavedSheet(shop.db, row.savedSheetId);
    stopSession(shop.db, at.sessionId, shop.now(), 'paused');
    keepMinutes(shop.db, [at.sessionId]);
    return { isGone: true };
  });
}

function requireLoaded({ state }: StoredSheetCut): void {
  if (state === 'waiting') throw new ShopError('conflict', { reason: 'width-first' });
}
