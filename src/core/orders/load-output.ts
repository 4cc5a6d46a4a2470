// A load as it leaves for the cutter: what its loading card says of a sheet, and the lines that are cut.

import type { CutLayer } from '../artwork';
import { boundPoints, type Polyline } from '../geometry';
import {
  drawMarks,
  makeLoadLayer,
  orderCutting,
  placePoints,
  type CutShape,
  type DrawnMarks,
  type LoadPart,
  type Marks,
  type Placement,
  type SheetUse,
} from '../nesting';
import { choiceOf, placedOutlines, type LaidLoad } from './book-load';
import { outlineOf } from './cut-job';
import type { CutSheet, LoadFacts } from './cut-sheet';
import { isOnMat, marginsOf, type HoldFigures } from './load-stock';

export type LoadSetup = Pick<CutSheet, 'gapMm' | 'hold' | 'marks'>;

export const placementsOn = ({ layout }: Pick<LaidLoad, 'layout'>, sheet: number): readonly Placement[] =>
  layout.placements.filter((placement) => placement.sheet === sheet);

const sourceOfPiece = ({ job }: Pick<LaidLoad, 'job'>, placement: Placement) =>
  job.cut.find((piece) => piece.id === placement.pieceId)!;

export type FactsWish = {
  readonly setup: LoadSetup;
  /** Null where margins are not asked for. */
  readonly figures: HoldFigures | null;
  /** Of the vinyl, in words. */
  readonly kind: string;
  readonly thicknessUm?: number | null;
};

/** What has to be known to load a sheet. */
export function toLoadFacts(
  laid: LaidLoad,
  use: SheetUse,
  { setup, figures, kind, thicknessUm = null }: FactsWish,
): LoadFacts {
  const choice = choiceOf(laid, use.stockId);
  const mirrored = placementsOn(laid, use.sheet).map((placement) => sourceOfPiece(laid, placement).source.mirrored);
  const box = boundPoints(placedOutlines(laid, use.sheet));
  const form = choice?.form ?? 'roll';
  const margins = figures ? marginsOf(form, setup.hold, figures) : { sideMm: 0, endMm: 0 };
  return {
    isRoll: form === 'roll',
    onMat: isOnMat(form, setup.hold),
    mirrored: mirrored.every(Boolean) ? 'all' : mirrored.some(Boolean) ? 'some' : 'none',
    widthMm: choice?.widthMm ?? 0,
    leastWidthMm: box ? Math.ceil((box.x + box.width + margins.sideMm) * 10) / 10 : 0,
    usedLengthMm: use.usedLengthMm,
    leadMm: margins.endMm,
    thicknessUm,
    kind,
    pen: setup.marks.tool === 'pen' && (setup.marks.tags || setup.marks.corners),
    trim: setup.marks.trim,
  };
}

/** `widthMm`: of the stock, as far as the cutter reaches it. */
export function drawLoadMarks(
  laid: LaidLoad,
  use: SheetUse,
  { setup, widthMm }: { readonly setup: LoadSetup; readonly widthMm: number },
): DrawnMarks {
  return drawMarks(setup.marks, placedOutlines(laid, use.sheet), setup.gapMm, {
    widthMm,
    usedLengthMm: use.usedLengthMm,
    isRoll: choiceOf(laid, use.stockId)?.form === 'roll',
  });
}

/** A letters' outline from its own corner, one for each placement on the sheet; empty where nothing is tagged. */
type TagLines = readonly (readonly Polyline[])[];

type LayerWish = {
  readonly name: string;
  readonly shapes: ReadonlyMap<string, CutShape>;
  readonly marks: Pick<Marks, 'tool'>;
  readonly drawn: DrawnMarks;
  readonly tags: TagLines;
  readonly facts: Pick<LoadFacts, 'mirrored' | 'widthMm'>;
};

/** All that is cut and drawn on one sheet, in its order. */
export function makeSheetLayer(laid: LaidLoad, use: SheetUse, wish: LayerWish): CutLayer {
  const { name, shapes, marks, drawn, tags, facts } = wish;
  const parts = placementsOn(laid, use.sheet).flatMap((placement, at): LoadPart[] => {
    const outline = outlineOf(sourceOfPiece(laid, placement), shapes);
    const corner = laid.job.tagAt.get(placement.pieceId);
    const letters = tags[at] ?? [];
    const box = boundPoints(letters);
    const tag =
      corner && box
        ? letters.map((ring) => ring.map((point) => ({ x: point.x - box.x + corner.x, y: point.y - box.y + corner.y })))
        : [];
    return outline ? [{ placement, ...outline, tag }] : [];
  });
  return makeLoadLayer(parts, marks, drawn, {
    name,
    mirrored: facts.mirrored !== 'none',
    widthMm: facts.widthMm,
    lengthMm: use.usedLengthMm,
  });
}

/** The pieces of a sheet in the order they are cut, each where it lies. */
export function listPlaced(
  laid: LaidLoad,
  sheet: number,
  shapes: ReadonlyMap<string, CutShape>,
): readonly { readonly placement: Placement; readonly outline: Polyline }[] {
  const placed = placementsOn(laid, sheet).map((placement) => ({
    placement,
    outline: placePoints(outlineOf(sourceOfPiece(laid, placement), shapes)?.outline ?? [], placement),
  }));
  return orderCutting(placed.map(({ outline }) => outline)).map((at) => placed[at]!);
}
