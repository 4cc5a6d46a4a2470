// In a thread: a saved cut sheet with its drawings in, each of its sheets as it goes to the cutter out.

import { readFileSync } from 'node:fs';
import { TYPEFACES, type CutLayer } from '../../core/artwork';
import { openFont } from '../../core/artwork/lettering/letter';
import { outlineLetters } from '../../core/artwork/lettering/outline-letters';
import { placeTests, type TestSpots } from '../../core/cutting';
import { boundPoints, type Box, type Polyline } from '../../core/geometry';
import type { Leftover, SheetUse } from '../../core/nesting';
import {
  choiceOf,
  drawLoadMarks,
  listLeftovers,
  listPlaced,
  makeSheetLayer,
  marginsOf,
  partIdOf,
  placementsOn,
  placedOutlines,
  readLoad,
  tagOf,
  TAG_LETTERS,
  toLoadFacts,
  type BookingProblem,
  type LaidLoad,
  type LoadFacts,
  type LotChoice,
} from '../../core/orders';
import { rectangle, spoiledSpotRing } from '../../core/stock';
import { assert, fail, succeed, type Result } from '../../core/units';
import { findTypefaceFiles } from '../lettering/typeface-file';
import { readShapes, type BookTask } from './book-thread';
import { heavyJob } from './heavy-job';

export type CutTask = Omit<BookTask, 'leftovers'> & {
  readonly vinylName: string;
  /** Of the vinyl, in words. */
  readonly kind: string;
  readonly thicknessUm: number | null;
};
export type SheetPlan = {
  readonly sheet: number;
  readonly lot: LotChoice;
  readonly facts: LoadFacts;
  /** What is drawn of the stock, and what of it is spoiled. */
  readonly stock: Polyline;
  readonly spoiledSpots: readonly Polyline[];
  readonly pieces: readonly { readonly outline: Polyline; readonly tag: string }[];
  readonly layer: CutLayer;
  readonly tests: TestSpots;
  readonly leftovers: readonly Leftover[];
};

export function planCut(task: CutTask): Result<readonly SheetPlan[], BookingProblem> {
  const shapes = readShapes(task.drawings);
  const parts = new Map(task.parts);
  const read = readLoad({ ...task, shapes, parts });
  if (!read.ok) return read;
  const laid = read.value;
  const plans = laid.layout.sheets.flatMap((use): SheetPlan[] => {
    const lot = choiceOf(laid, use.stockId);
    return lot ? [planSheet(task, { laid, use, lot, shapes, parts })] : [];
  });
  return plans.length > 0 ? succeed(plans) : fail({ kind: 'only-spares' });
}

type OneSheet = {
  readonly laid: LaidLoad;
  readonly use: SheetUse;
  readonly lot: LotChoice;
  readonly shapes: ReturnType<typeof readShapes>;
  readonly parts: ReadonlyMap<number, Parameters<typeof tagOf>[0]>;
};

function planSheet(task: CutTask, { laid, use, lot, shapes, parts }: OneSheet): SheetPlan {
  const { sheet: setup, figures, kind, thicknessUm } = task;
  const facts = toLoadFacts(laid, use, { setup, figures, kind, thicknessUm });
  const drawn = drawLoadMarks(laid, use, { setup, widthMm: lot.widthMm });
  const tagFor = (placement: Parameters<typeof partIdOf>[1]) => tagOf(parts.get(partIdOf(laid.job, placement) ?? 0));
  const tags = setup.marks.tags ? letterTags(placementsOn(laid, use.sheet).map(tagFor)) : [];
  const name = `${task.vinylName}, sheet ${use.sheet + 1}`;
  const spoiledSpots = lot.spoiledSpots.map(spoiledSpotRing);
  const outlines = placedOutlines(laid, use.sheet);
  return {
    sheet: use.sheet,
    lot,
    facts,
    stock: lot.shape ?? rectangle(lot.widthMm, lot.lengthMm ?? use.usedLengthMm),
    spoiledSpots,
    pieces: listPlaced(laid, use.sheet, shapes).map(({ placement, outline }) => ({ outline, tag: tagFor(placement) })),
    layer: makeSheetLayer(laid, use, { name, shapes, marks: setup.marks, drawn, tags, facts }),
    tests: placeTests({
      reach: reachOf(task, use, lot),
      shape: lot.shape,
      taken: [...outlines, ...spoiledSpots],
      gapMm: setup.gapMm,
      isRoll: facts.isRoll,
    }),
    leftovers: listLeftovers(laid, use.sheet),
  };
}

/** Of a roll the strip that is used, of all else as much as the cutter reaches. */
function reachOf({ sheet, figures }: CutTask, use: SheetUse, { form, widthMm, lengthMm, shape }: LotChoice): Box {
  const { sideMm, endMm } = marginsOf(form, sheet.hold, figures);
  const whole = (shape && boundPoints([shape])) ?? { x: 0, y: 0, width: widthMm, height: lengthMm ?? use.usedLengthMm };
  return {
    x: whole.x + sideMm,
    y: whole.y + endMm,
    width: Math.max(0, whole.width - 2 * sideMm),
    height: Math.max(0, whole.height - 2 * endMm),
  };
}

function letterTags(texts: readonly string[]) {
  const typeface = TYPEFACES.find(({ key }) => key === TAG_LETTERS.fontKey);
  const [file] = typeface ? findTypefaceFiles(typeface) : [];
  assert(file !== undefined, 'the typeface of tags comes with Chiral', TAG_LETTERS.fontKey);
  return outlineLetters(texts, openFont(readFileSync(file)), TAG_LETTERS.capHeightMm);
}

export default heavyJob(planCut);
