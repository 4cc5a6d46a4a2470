// A saved load made ready for the cutter: what is cut, in which order, and where test figures go.

import { beforeEach, expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { boundPoints } from '../../core/geometry/index';
import { findSavedSheet } from '../../data/cut-sheet-store';
import { groupOf, layTwoLabels, LABEL_BLACK } from '../cut-sheets/cut-load-examples';
import { toBookTask } from '../cut-sheets/cut-saved-sheet';
import { changeCutSheet, saveCutSheet } from '../cut-sheets/save-cut-sheet';
import { setAsideOffcut } from '../stock/save-stock';
import { planCut, type CutTask } from './cut-thread';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
let savedId = 0;
const rollId = () => groupOf(shop, LABEL_BLACK).stock.find((lot) => lot.form === 'roll')!.lotId;
beforeEach(() => {
  savedId = saveCutSheet(shop, layTwoLabels(shop, rollId())).id;
});
function plan(more: Partial<CutTask> = {}) {
  const { leftovers: _, ...task } = toBookTask(shop, findSavedSheet(shop.db, savedId)!, []);
  const made = planCut({ ...task, vinylName: 'Quay Hold', kind: 'permanent', thicknessUm: 75, ...more });
  if (!made.ok) throw new Error(made.problem.kind);
  return made.value;
}

it('has each piece where it lies with its tag, and all its lines within the strip', () => {
  const [sheet] = plan();
  expect(sheet!.pieces.map(({ tag }) => tag).every((tag) => /^\d+\/\d+$/.test(tag))).toBe(true);
  const box = boundPoints(sheet!.layer.paths.map(({ points }) => points))!;
  expect(box.x).toBeGreaterThanOrEqual(0);
  expect(box.y + box.height).toBeLessThanOrEqual(sheet!.facts.usedLengthMm);
  expect(sheet!.facts).toMatchObject({ isRoll: true, onMat: false, thicknessUm: 75, kind: 'permanent' });
  expect(sheet!.leftovers).toEqual([]);
});

it('finishes a piece before the next, what lies within it before what lies around it', () => {
  const [sheet] = plan();
  const { paths } = sheet!.layer;
  const firstOuter = paths.findIndex(({ inner }) => !inner);
  expect(firstOuter).toBeGreaterThan(0);
  const boxes = sheet!.pieces.map(({ outline }) => boundPoints([outline])!);
  const pieceOf = paths.map(({ points }) =>
    boxes.findIndex((box) => points[0]!.x >= box.x - 0.1 && points[0]!.x <= box.x + box.width + 0.1),
  );
  expect([...pieceOf].sort()).toEqual(pieceOf);
});

it('writes tags with a pen before anything is cut, in letters that are there', () => {
  const task = toBookTask(shop, findSavedSheet(shop.db, savedId)!, []);
  const tagged = { ...task.sheet, marks: { ...task.sheet.marks, tags: true } };
  const [sheet] = plan({ sheet: { ...tagged, placements: spread(tagged.placements) } });
  expect(sheet!.layer.pen!.length).toBeGreaterThan(6);
  expect(sheet!.facts.pen).toBe(true);
});

/** Tags need room between the pieces. */
const spread = <T extends { readonly copy: number; readonly xMm: number }>(placements: readonly T[]): readonly T[] =>
  placements.map((placement) => ({ ...placement, xMm: placement.xMm + placement.copy * 60 }));

it('on an offcut tests beside what is laid out, and says what is left of it', () => {
  const aside = { widthMm: 300, lengthMm: 300, takesMm: 300, cornerWidthMm: 0, cornerLengthMm: 0, remark: '' };
  const offcut = setAsideOffcut(shop, rollId(), aside);
  changeCutSheet(shop, savedId, 1, layTwoLabels(shop, offcut.id));
  const [sheet] = plan();
  expect(sheet!.lot.code).toBe(offcut.code);
  expect(sheet!.tests).toMatchObject({ shiftMm: 0 });
  expect(sheet!.tests.spots.length).toBeGreaterThan(1);
  expect(sheet!.leftovers.length).toBeGreaterThan(0);
  expect(sheet!.facts).toMatchObject({ isRoll: false, onMat: true });
});

it('is none where its pieces lie on one another, or on a piece that is on no book', () => {
  const { leftovers: _, ...task } = toBookTask(shop, findSavedSheet(shop.db, savedId)!, []);
  const wish = { ...task, vinylName: 'Quay Hold', kind: 'permanent', thicknessUm: null };
  const piled = task.sheet.placements.map((placement) => ({ ...placement, xMm: 20 }));
  expect(planCut({ ...wish, sheet: { ...task.sheet, placements: piled } })).toMatchObject({
    problem: { kind: 'faulty' },
  });
  const sheets = task.sheet.sheets.map((use) => ({ ...use, lotId: 0 }));
  expect(planCut({ ...wish, sheet: { ...task.sheet, sheets } })).toMatchObject({
    problem: { kind: 'not-on-the-book' },
  });
});
