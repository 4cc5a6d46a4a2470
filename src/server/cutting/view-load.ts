// A load at the cutter as the bench shows it.

import { judgeWidth, proposeSetting } from '../../core/cutting/index';
import { loadSheetCuts, type StoredSheetCut } from '../../data/sheet-cut-store';
import { findLot } from '../../data/stock-store';
import { findSession } from '../../data/work-store';
import type { CutterView, LoadSheetView, LoadStateView, LoadView, SheetCutView } from '../../views/load';
import type { ShopContext } from '../context';
import { findCutter, getPace } from '../devices';
import { notFound } from '../errors';
import type { SheetPlan } from '../heavy/cut-thread';
import { followMachine } from './follow-machine';
import { readJobName } from './job-names';
import type { LoadPlan } from './load-plan';

/** Of lines that are looked at: a point to the tenth, mm. */
const roundTenth = (mm: number): number => Math.round(mm * 10) / 10;

/** @throws ShopError where this work is no load */
export function requireSavedId(shop: ShopContext, sessionId: number): number {
  if (!findSession(shop.db, sessionId)) throw notFound('This timer');
  const [row] = loadSheetCuts(shop.db, sessionId);
  if (!row) throw notFound('This load');
  return row.savedSheetId;
}

export function viewLoad(shop: ShopContext, sessionId: number, plan: LoadPlan): LoadView {
  return {
    ...viewState(shop, sessionId, plan),
    savedId: plan.saved.id,
    savedVersion: plan.saved.version,
    plans: plan.sheets.map((sheet) => viewPlan(shop, sheet)),
  };
}

export function viewState(shop: ShopContext, sessionId: number, plan: LoadPlan): LoadStateView {
  followMachine(shop, sessionId);
  const rows = loadSheetCuts(shop.db, sessionId);
  return {
    sheets: rows.map((row) => viewSheet(row, plan)),
    cutter: viewCutter(shop, rows, plan),
  };
}

function viewSheet(row: StoredSheetCut, plan: LoadPlan): SheetCutView {
  const { sheet, state, setting, testReasons, tests, expectedWidthMm, readWidthMm, shiftMm, lines, linesDone } = row;
  const neededMm = plan.sheets.find((one) => one.sheet === sheet)?.facts.leastWidthMm ?? 0;
  return {
    sheet,
    state,
    setting,
    testReasons,
    tests,
    next: proposeSetting(tests),
    expectedWidthMm,
    readWidthMm,
    verdict:
      readWidthMm === null
        ? null
        : judgeWidth({ readMm: readWidthMm, expectedMm: expectedWidthMm ?? readWidthMm, neededMm }),
    shiftMm,
    lines,
    linesDone,
    fault: row.fault,
  };
}

function viewCutter(shop: ShopContext, rows: readonly StoredSheetCut[], plan: LoadPlan): CutterView | null {
  const cutter = findCutter(shop);
  if (!cutter) return null;
  const { isOn, job } = cutter.read();
  const name = job && readJobName(job.id);
  const row = job && rows.find(({ jobId }) => jobId === job.id);
  const own = row && plan.sheets.find(({ sheet }) => sheet === row.sheet);
  return {
    name: cutter.name,
    isSimulated: cutter.isSimulated,
    isOn,
    pace: getPace(shop),
    job:
      job && name && row && own
        ? {
            of: name.of,
            test: name.of === 'test' ? name.test : null,
            sheet: row.sheet,
            state: job.state,
            lines: job.lines,
            linesDone: job.linesDone,
            secondsLeft: job.secondsLeft,
            at: job.at && { x: job.at.x, y: own.layer.heightMm + row.shiftMm - job.at.y },
            looks: job.looks,
          }
        : null,
  };
}

function viewPlan({ db }: ShopContext, plan: SheetPlan): LoadSheetView {
  const { sheet, lot, facts, stock, spoiledSpots, pieces, layer, tests, leftovers } = plan;
  const { lotId, form, code, widthMm, lengthMm, left } = lot;
  return {
    sheet,
    lot: { lotId, form, code, widthMm, lengthMm, left, remark: findLot(db, lotId)?.remark ?? '' },
    facts,
    stock,
    spoiledSpots,
    pieces: pieces.map(({ outline, tag }) => ({ tag, outline: outline.map(roundPoint) })),
    lines: [...(layer.pen ?? []), ...layer.paths].map(({ points, open }) => toPathData(points, open ?? false)),
    testSpots: tests.spots,
    leftovers,
  };
}

const roundPoint = ({ x, y }: { readonly x: number; readonly y: number }) => ({ x: roundTenth(x), y: roundTenth(y) });

/** Points nearer than the eye tells are one. */
function toPathData(points: SheetPlan['stock'], open: boolean): string {
  const words: string[] = [];
  for (const point of points) {
    const word = `${roundTenth(point.x)} ${roundTenth(point.y)}`;
    if (word !== words.at(-1)) words.push(word);
  }
  return `M${words.join('L')}${open ? '' : 'Z'}`;
}
