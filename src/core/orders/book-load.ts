// What cutting a load books: what it takes of which lots, what is left of them, and how the parts share it. Told from
// where the pieces lie, by the server; the page shows the same before it is asked for.

import { computeRingArea, type Polyline } from '../geometry';
import {
  checkLayout,
  findLeftovers,
  measureLayout,
  measureShares,
  placePoints,
  type CutShape,
  type LayoutFault,
  type Leftover,
  type LeftoverKind,
  type NestLayout,
  type NestPiece,
  type NestStock,
} from '../nesting';
import { fail, succeed, type Result } from '../units';
import { countTagLetters, makeJob, partIdOf, placementKey, type CutJob } from './cut-job';
import type { CutSheet } from './cut-sheet';
import { choicesOf, marginsOf, toStock, toWholeStock, type HoldFigures, type LotChoice } from './load-stock';

/** A part's share of what was cut off, by the area of its outline grown by half the gap, mm². */
export type PartShare = { readonly partId: number; readonly areaMm2: number };
/** What cutting one sheet takes, and how the parts share it. */
export type SheetTaking = {
  readonly lotId: number;
  /** Cut off a roll, mm; of a sheet or offcut all of it is taken. */
  readonly usedLengthMm: number;
  /** Saved as offcuts: outlines of them where they lie on the stock. */
  readonly leftovers: readonly Polyline[];
  /** Pieces on it that no order asked for: they bear their share, and no order does. */
  readonly spareMm2: number;
  readonly parts: readonly PartShare[];
  /** Islands of parts that are counted as cut with another sheet of the load: they bear their share here too. */
  readonly islands: readonly PartShare[];
};
/** `sheet`: as it is numbered in the load. */
type SheetBooking = SheetTaking & { readonly sheet: number };
export type LoadBooking = { readonly sheets: readonly SheetBooking[] };

/** What of a sheet is to be saved: the way that is worth most where nothing was chosen. */
export type LeftoverChoice = LeftoverKind | 'nothing';

export type BookingProblem =
  | { readonly kind: 'not-on-the-book' }
  | { readonly kind: 'unreadable'; readonly names: readonly string[] }
  | { readonly kind: 'stock-changed'; readonly lotId: number }
  | { readonly kind: 'faulty'; readonly faults: readonly LayoutFault[] }
  | { readonly kind: 'only-spares' };

/** A load as it lies: its pieces, where they lie, and on which lots. */
export type LaidLoad = {
  readonly job: CutJob;
  readonly layout: Pick<NestLayout, 'placements' | 'sheets'>;
  readonly choices: readonly LotChoice[];
  readonly gapMm: number;
};

/** Outlines of what is laid out on a sheet, where they lie; holes that others may lie in are no outlines. */
export const placedOutlines = ({ job, layout }: Pick<LaidLoad, 'job' | 'layout'>, sheet: number): readonly Polyline[] =>
  layout.placements
    .filter((placement) => placement.sheet === sheet)
    .flatMap((placement) =>
      outermost(job.pieces.find((piece) => piece.id === placement.pieceId)).map((ring) => placePoints(ring, placement)),
    );

const outermost = (piece: NestPiece | undefined): readonly Polyline[] =>
  [...(piece?.rings ?? [])].sort((a, b) => computeRingArea(b) - computeRingArea(a)).slice(0, 1);

export const choiceOf = ({ choices }: Pick<LaidLoad, 'choices'>, stockId: string): LotChoice | undefined =>
  choices.find((choice) => String(choice.lotId) === stockId);

/**
 * The ways to save what is left of a sheet, the one that is worth most first; of all of it and not only of what the
 * mat held.
 */
export function listLeftovers(laid: LaidLoad, sheet: number): readonly Leftover[] {
  const use = laid.layout.sheets.find((entry) => entry.sheet === sheet);
  const choice = use && choiceOf(laid, use.stockId);
  const whole = choice && toWholeStock(choice);
  return whole ? findLeftovers(whole, placedOutlines(laid, sheet), laid.gapMm, use.usedLengthMm) : [];
}

/** The leftover that is saved of a sheet; null where none is. */
export function chooseLeftover(ways: readonly Leftover[], choice: LeftoverChoice | undefined): Leftover | null {
  return ways.find((way) => way.kind === (choice ?? ways[0]?.kind)) ?? null;
}

/**
 * What the load books. A part is cut once all its islands lie on it: of one that lacks some, what lies there counts as
 * spare. A part whose islands lie on two sheets is counted as cut with the first of them, and bears its share of both.
 */
export function bookLoad(laid: LaidLoad, chosen: ReadonlyMap<number, LeftoverChoice>): LoadBooking {
  const shares = measureShares(laid.job.pieces, laid.gapMm);
  const lacking = listLacking(laid);
  const taken = new Set<number>();
  const sheets = laid.layout.sheets.flatMap((use): SheetBooking[] => {
    const lot = choiceOf(laid, use.stockId);
    if (!lot) return [];
    const areas = new Map<number, number>();
    const islands = new Map<number, number>();
    let spareMm2 = 0;
    for (const placement of laid.layout.placements) {
      if (placement.sheet !== use.sheet) continue;
      const partId = partIdOf(laid.job, placement);
      const areaMm2 = shares.get(placement.pieceId) ?? 0;
      if (partId === null || lacking.has(partId)) spareMm2 += areaMm2;
      else addTo(taken.has(partId) ? islands : areas, partId, areaMm2);
    }
    for (const partId of areas.keys()) taken.add(partId);
    return [
      {
        sheet: use.sheet,
        lotId: lot.lotId,
        usedLengthMm: use.usedLengthMm,
        leftovers: chooseLeftover(listLeftovers(laid, use.sheet), chosen.get(use.sheet))?.pieces ?? [],
        spareMm2,
        parts: toShares(areas),
        islands: toShares(islands),
      },
    ];
  });
  return { sheets };
}

/** Parts of which some island lies nowhere. */
function listLacking({ job, layout }: LaidLoad): ReadonlySet<number | null> {
  const lying = new Set(layout.placements.map(placementKey));
  return new Set(
    job.cut.flatMap((piece) =>
      piece.partIds.filter((_, copy) => !lying.has(placementKey({ pieceId: piece.id, copy }))),
    ),
  );
}

function addTo(areas: Map<number, number>, partId: number, areaMm2: number): void {
  areas.set(partId, (areas.get(partId) ?? 0) + areaMm2);
}

const toShares = (areas: ReadonlyMap<number, number>): readonly PartShare[] =>
  [...areas].map(([partId, areaMm2]) => ({ partId, areaMm2 }));

export type SavedLoad = {
  readonly sheet: CutSheet;
  /** By `keyOfSource`; what could not be read is missing. */
  readonly shapes: ReadonlyMap<string, CutShape>;
  /** As they are now. */
  readonly stock: readonly LotChoice[];
  readonly parts: ReadonlyMap<number, { readonly orderId: number; readonly pieceNumber: number }>;
  readonly turnable: boolean;
  readonly figures: HoldFigures;
  /** By sheet; where none is chosen, the way that is worth most. */
  readonly leftovers: ReadonlyMap<number, LeftoverChoice>;
};

/**
 * What cutting a saved sheet books, measured anew from its pieces and where they lie. Problems: those of `readLoad`, or
 * nothing on it that anybody ordered. Cost as `checkLayout`.
 */
export function bookSavedLoad(load: SavedLoad): Result<LoadBooking, BookingProblem> {
  const read = readLoad(load);
  if (!read.ok) return read;
  const booking = bookLoad(read.value, load.leftovers);
  return booking.sheets.some((use) => use.parts.length > 0) ? succeed(booking) : fail({ kind: 'only-spares' });
}

/**
 * A saved sheet as it lies, on its lots as they are now. Problems: a lot that is not on the book, drawings that can't be
 * read, lots that are others than when it was laid out, pieces that overlap or lie out of reach. Cost as `checkLayout`.
 */
export function readLoad(load: Omit<SavedLoad, 'leftovers'>): Result<LaidLoad, BookingProblem> {
  const { sheet, shapes, figures } = load;
  if (sheet.sheets.some((use) => use.lotId === 0)) return fail({ kind: 'not-on-the-book' });
  const job = makeJob(sheet.pieces, shapes, {
    turnable: load.turnable,
    marks: sheet.marks,
    inside: sheet.inside,
    tagLetters: countTagLetters(sheet.pieces, (partId) => load.parts.get(partId)),
  });
  const unread = sheet.pieces.filter((piece) => !job.cut.includes(piece));
  if (unread.length > 0) return fail({ kind: 'unreadable', names: [...new Set(unread.map((piece) => piece.name))] });
  const choices = choicesOf(sheet, load.stock);
  const stock = choices.flatMap((choice): readonly NestStock[] => {
    const one = toStock(choice, sheet.hold, figures);
    return one ? [one] : [];
  });
  const margins = marginsOf('roll', sheet.hold, figures);
  const layout = measureLayout(job.pieces, stock, sheet.placements, margins);
  const other = layout.sheets.find((use) => !isSameLot(sheet, use));
  if (other) return fail({ kind: 'stock-changed', lotId: Number(other.stockId) });
  const faults = checkLayout(
    job.pieces,
    stock,
    { placements: sheet.placements, left: [] },
    { gapMm: sheet.gapMm, margins },
  );
  const real = faults.filter((fault) => fault.kind !== 'missing');
  if (real.length > 0) return fail({ kind: 'faulty', faults: real });
  return succeed({ job, layout, choices, gapMm: sheet.gapMm });
}

/**
 * Sheets are numbered through the stock: where a lot has others before it than it had, the number means another piece.
 */
const isSameLot = (sheet: CutSheet, use: { readonly sheet: number; readonly stockId: string }): boolean =>
  sheet.sheets.some((saved) => saved.sheet === use.sheet && String(saved.lotId) === use.stockId);
