// Lays pieces out on stock: a first layout at once, then better ones as long as it is let.

import { randomLcg } from 'd3-random';
import { succeed, fail, type Result, LENGTH_NOISE_MM } from '../units';
import { listBins, type Bin } from './bins';
import { Field, type Random, type Placing } from './field';
import { fillBin } from './first-layout';
import { assembleAnew, findLongest, fitsSomehow, pressIn, SHORTER, shortenStrip, type Best } from './improve';
import type { NestLayout, NestOptions, NestPiece, NestProblem, NestStock, Placement, SheetUse } from './nesting';
import { preparePiece } from './prepare-pieces';
import { packRectangles } from './rectangles';
import { TURN_STEPS } from './pose';
import type { Shape } from './shape';
import { looksLikePuzzle } from './touching';
import { copyPlacings } from './separate';

type Copy = { readonly pieceId: string; readonly copy: number; readonly shape: Shape; readonly areaMm2: number };
/** The same pieces twice: with few corners, and as they are. */
type Prepared = { readonly rough: readonly Copy[] | null; readonly fine: readonly Copy[] };
/** A bin with what lies in it: indices of copies by the field's free pieces, and what is locked there. */
type FilledBin = {
  readonly bin: Bin;
  readonly sheet: number;
  field: Field;
  /** Where the free pieces lie in the best layout known; the field itself may be in the middle of an attempt. */ placings: readonly Placing[];
  inside: readonly number[];
  readonly locked: readonly Placement[];
};

/**
 * The best layout found. `onImprove` is told of the first one and of each better one. Problems: a piece without area, one
 * larger than any stock, or no stock at all. Method: greedy construction, then overlap minimisation with guided local search
 * on ever shorter strips (Umetani et al. 2009; Elkeran 2013), at first with simpler outlines; rectangles also by a skyline.
 */
export async function nest(
  pieces: readonly NestPiece[],
  stock: readonly NestStock[],
  options: NestOptions,
  onImprove?: (layout: NestLayout) => void,
  signal?: AbortSignal,
): Promise<Result<NestLayout, NestProblem>> {
  const bins = listBins(stock, options.margins, options.gapMm);
  if (bins.length === 0) return fail({ kind: 'no-stock' });
  const prepared = prepareCopies(pieces, bins, options);
  if (!prepared.ok) return prepared;
  const random: Random = randomLcg(options.seed);
  const fixed = new Set((options.locked ?? []).map(keyOf));
  const startMs = options.now?.() ?? 0;
  const isOver = (round: number, share: number) =>
    signal?.aborted === true ||
    round >= options.rounds * share ||
    (options.timeMs !== undefined && (options.now?.() ?? 0) - startMs >= options.timeMs * share);
  let best: NestLayout | null = null,
    round = 0;
  const { rough, fine } = prepared.value;
  for (const { copies, anew, until } of listPhases(rough, fine)) {
    if (best && isOver(round, until)) continue;
    const before: NestLayout | null = best;
    const filledBins = fillAll(
      copies,
      bins,
      before && !anew ? { ...options, start: (before as NestLayout).placements } : options,
      random,
      fixed,
    );
    const take = () => {
      const layout = toLayout(filledBins, copies, options);
      if (best && !isBetter(layout, best)) return;
      best = layout;
      onImprove?.(best);
    };
    take();
    // What simpler outlines could not be drawn nearer by far won't be by finer ones.
    const work = improveAll(
      filledBins,
      copies,
      options,
      random,
      anew ? SHORTER.first : copies === rough ? SHORTER.usual : SHORTER.after,
      take,
    );
    for (; !isOver(round, until); round++) {
      if (work.next().done) break;
      await options.pause?.();
    }
    if (options.rounds === 0 || signal?.aborted) break;
  }
  return succeed(best!);
}

type Phase = {
  readonly copies: readonly Copy[];
  /** From a first layout of its own, not from the best. */ readonly anew: boolean;
  /** It ends at this share of all rounds, or of the time. */ readonly until: number;
};
/** Simpler outlines are begun with several times, since what comes of a layout hangs much on its beginning; the best of these is drawn shorter, then as it is. */
const ROUGH_STARTS = [0.06, 0.12, 0.18],
  ROUGH_SHARE = 0.6;
const listPhases = (rough: readonly Copy[] | null, fine: readonly Copy[]): readonly Phase[] =>
  rough
    ? [
        ...ROUGH_STARTS.map((until): Phase => ({ copies: rough, anew: true, until })),
        { copies: rough, anew: false, until: ROUGH_SHARE },
        { copies: fine, anew: false, until: 1 },
      ]
    : [{ copies: fine, anew: true, until: 1 }];

const keyOf = ({ pieceId, copy }: { readonly pieceId: string; readonly copy: number }): string => `${copy} ${pieceId}`;

function prepareCopies(
  pieces: readonly NestPiece[],
  bins: readonly Bin[],
  { gapMm, inside, start, locked }: NestOptions,
): Result<Prepared, NestProblem> {
  const fine: Copy[] = [],
    roughs: Copy[] = [];
  for (const piece of pieces) {
    const prepared = preparePiece(piece, gapMm, inside);
    if (!prepared.ok) return prepared;
    const { shape, rough, areaMm2 } = prepared.value;
    if (!bins.some((bin) => fitsBin(shape, bin))) return fail(describeTooLarge(piece.id, shape, bins, gapMm));
    // What fits by a hair fits as it is.
    const simpler = bins.every((bin) => fitsBin(rough, bin) || !fitsBin(shape, bin)) ? rough : shape;
    for (let copy = 0; copy < piece.copies; copy++) {
      fine.push({ pieceId: piece.id, copy, shape, areaMm2 });
      roughs.push({ pieceId: piece.id, copy, shape: simpler, areaMm2 });
    }
  }
  // A layout that is there already may be too tight for outlines that take more room, and a puzzle only goes together as it is.
  const isSimpler = roughs.some((copy, at) => copy.shape !== fine[at]!.shape);
  return succeed({
    fine,
    rough:
      isSimpler && !start?.length && !locked?.length && !looksLikePuzzle(fine.map((copy) => copy.shape))
        ? roughs
        : null,
  });
}

const fitsBin = (shape: Shape, bin: Bin): boolean =>
  fitsSomehow(new Field([shape], [{ x: 0, y: 0, step: shape.steps?.[0] ?? 0 }], 1, bin.width, bin.length), 0);

/** How much smaller it would have to be, in its best turn on the most roomy stock. */
function describeTooLarge(pieceId: string, shape: Shape, bins: readonly Bin[], gapMm: number): NestProblem {
  const turns = shape.steps ?? Array.from({ length: 180 }, (_, at) => at * (TURN_STEPS / 360));
  const tries = bins.flatMap((bin) =>
    turns.map((step) => {
      const pose = shape.pose(step),
        across = pose.maxX - pose.minX,
        along = pose.maxY - pose.minY;
      return {
        bin,
        across,
        along,
        share: Math.min((bin.width - gapMm) / (across - gapMm), (bin.length - gapMm) / (along - gapMm)),
      };
    }),
  );
  const best = tries.reduce((a, b) => (b.share > a.share ? b : a));
  return {
    kind: 'too-large',
    pieceId,
    acrossMm: best.across - gapMm,
    alongMm: best.along - gapMm,
    usableAcrossMm: best.bin.width - gapMm,
    usableAlongMm: best.bin.length - gapMm,
    shrinkTo: Math.max(0, best.share),
  };
}

/** One bin after another; what does not fit goes on to the next. */
function fillAll(
  copies: readonly Copy[],
  bins: readonly Bin[],
  options: NestOptions,
  random: Random,
  fixed: ReadonlySet<string>,
): FilledBin[] {
  const shapes = copies.map((copy) => copy.shape);
  const index = new Map(copies.map((copy, at) => [keyOf(copy), at]));
  let waiting = copies.flatMap((copy, at) => (fixed.has(keyOf(copy)) ? [] : [at]));
  const started = new Map((options.start ?? []).map((placement) => [keyOf(placement), placement]));
  const filledBins: FilledBin[] = [];
  for (const [sheet, bin] of bins.entries()) {
    const locked = (options.locked ?? []).filter(
      (placement) => placement.sheet === sheet && index.has(keyOf(placement)),
    );
    if (waiting.length === 0 && locked.length === 0) continue;
    const anchored = locked.map((placement) => ({
      shape: shapes[index.get(keyOf(placement))!]!,
      placing: toPlacing(placement, shapes[index.get(keyOf(placement))!]!, bin),
    }));
    const kept = waiting.filter((at) => started.get(keyOf(copies[at]!))?.sheet === sheet);
    const before = kept.length > 0 ? startFrom(bin, copies, kept, anchored, started) : null;
    const straight = options.start || anchored.length > 0 ? null : packRectangles(bin, shapes, waiting, random);
    const filled =
      before ??
      fillBin(
        bin,
        shapes,
        waiting.filter((at) => fitsBin(shapes[at]!, bin)),
        anchored,
        random,
      );
    const chosen = straight && isRoomier(straight, filled) ? straight : filled;
    filledBins.push({
      bin,
      sheet,
      field: chosen.field,
      placings: copyPlacings(chosen.field),
      inside: chosen.inside,
      locked,
    });
    const inside = new Set(chosen.inside);
    waiting = waiting.filter((at) => !inside.has(at));
  }
  return filledBins;
}

const isRoomier = (
  a: { readonly field: Field; readonly inside: readonly number[] },
  b: { readonly field: Field; readonly inside: readonly number[] },
): boolean =>
  a.inside.length > b.inside.length || (a.inside.length === b.inside.length && a.field.reach() < b.field.reach());

/** A layout that was there before, where it holds: pieces that overlap in it go on to be laid out anew. */
function startFrom(
  bin: Bin,
  copies: readonly Copy[],
  kept: readonly number[],
  anchored: readonly { readonly shape: Shape; readonly placing: Placing }[],
  started: ReadonlyMap<string, Placement>,
): { readonly field: Field; readonly inside: readonly number[] } | null {
  const fixed = [...anchored, ...bin.obstacles.map(({ shape, x, y }) => ({ shape, placing: { x, y, step: 0 } }))];
  const build = (members: readonly number[]) =>
    new Field(
      [...members.map((at) => copies[at]!.shape), ...fixed.map((entry) => entry.shape)],
      [
        ...members.map((at) => toPlacing(started.get(keyOf(copies[at]!))!, copies[at]!.shape, bin)),
        ...fixed.map((entry) => entry.placing),
      ],
      members.length,
      bin.width,
      bin.length,
    );
  const inside = [...kept];
  let field = build(inside);
  while (field.total() > 0 && inside.length > 0) {
    const worst = inside
      .map((_, at) => field.overlapOf(at))
      .reduce((best, overlap, at, all) => (overlap > all[best]! ? at : best), 0);
    inside.splice(worst, 1);
    field = build(inside);
  }
  return inside.length > 0 ? { field, inside } : null;
}

/** Turn by turn: more pieces onto earlier sheets, then the last one shorter. */
function* improveAll(
  filledBins: FilledBin[],
  copies: readonly Copy[],
  options: NestOptions,
  random: Random,
  firstBy: number,
  take: () => void,
): Generator<void, void> {
  // What lies on a later sheet, or nowhere, is pressed into an earlier one.
  for (let again = true; again;) {
    again = false;
    for (const [at, filled] of filledBins.entries()) {
      const later = [
        ...filledBins.slice(at + 1).flatMap((other) => other.inside),
        ...listLeft(filledBins, copies, options),
      ]
        .filter((member) => fitsBin(copies[member]!.shape, filled.bin))
        .sort((a, b) => copies[b]!.areaMm2 - copies[a]!.areaMm2);
      if (filled.bin.kind === 'roll' && at === filledBins.length - 1) continue;
      const room =
        filled.bin.width * filled.bin.length -
        filled.inside.reduce((sum, member) => sum + copies[member]!.shape.areaMm2, 0) -
        filled.bin.obstacles.reduce((sum, obstacle) => sum + obstacle.shape.areaMm2, 0);
      const tried = new Set<Shape>();
      for (const member of later) {
        const { shape } = copies[member]!;
        if (shape.areaMm2 > room || tried.has(shape)) continue;
        tried.add(shape);
        const wider = yield* pressIn(filled.field, shape, random);
        if (!wider) continue;
        for (const other of filledBins) if (other !== filled) dropFrom(other, member);
        filled.field = wider;
        filled.placings = copyPlacings(wider);
        filled.inside = [...filled.inside, member];
        take();
        again = true;
        break;
      }
    }
  }
  const last = filledBins.findLast((filled) => filled.inside.length > 0);
  if (!last) return;
  const areaMm2 = last.inside.reduce((sum, member) => sum + copies[member]!.shape.areaMm2, 0);
  const leastLength = Math.max(areaMm2 / last.bin.width, findLongest(last.field) * SLIGHTLY_LESS);
  const best: Best = { placings: copyPlacings(last.field), reach: last.field.reach() };
  const onShorter = () => {
    last.placings = best.placings;
    take();
  };
  const shorten = shortenStrip(last.field, best, random, leastLength, firstBy, onShorter);
  // Few pieces may go together as a puzzle; where they don't for long, less is spent on it.
  const puzzle =
    last.locked.length === 0 &&
    last.inside.length <= PUZZLE_PIECES &&
    looksLikePuzzle(last.inside.map((member) => copies[member]!.shape))
      ? assembleAnew(last.field, last.bin, best, random, leastLength, onShorter)
      : null;
  for (let round = 0, puzzling = puzzle !== null; ; round++) {
    for (let step = 0; puzzling && step < (round < PUZZLE_EAGER ? 40 : 12); step++) {
      puzzling = puzzle?.next().done === false;
      if (step % 8 === 7) yield;
    }
    for (let step = 0; step < 4; step++) {
      if (shorten.next().done) return;
      yield;
    }
  }
}

/** Between two turns that are looked at a piece may be a little shorter. */
const SLIGHTLY_LESS = 0.995;
const PUZZLE_PIECES = 60;
const PUZZLE_EAGER = 400;

function dropFrom(filled: FilledBin, member: number): void {
  const at = filled.inside.indexOf(member);
  if (at === -1) return;
  const keep = <T>(list: readonly T[]) => list.filter((_, index) => index !== at);
  filled.field = new Field(
    keep(filled.field.shapes),
    keep(filled.field.placings),
    filled.field.free - 1,
    filled.field.width,
    filled.bin.length,
  );
  filled.placings = copyPlacings(filled.field);
  filled.inside = keep(filled.inside);
}

function listLeft(filledBins: readonly FilledBin[], copies: readonly Copy[], options: NestOptions): readonly number[] {
  const placed = new Set(filledBins.flatMap((filled) => filled.inside)),
    locked = new Set((options.locked ?? []).map(keyOf));
  return copies.flatMap((copy, at) => (placed.has(at) || locked.has(keyOf(copy)) ? [] : [at]));
}

function toPlacing(placement: Placement, shape: Shape, bin: Bin): Placing {
  const step = ((((placement.rotationDeg * TURN_STEPS) / 360) % TURN_STEPS) + TURN_STEPS) % TURN_STEPS;
  const { x, y } = turnMiddle(shape, step);
  return { x: placement.xMm + x - bin.x, y: placement.yMm + y - bin.y, step };
}

/** Where the middle of a shape comes to when it is turned about its own origin. */
function turnMiddle(shape: Shape, step: number): { readonly x: number; readonly y: number } {
  const angle = (step * 2 * Math.PI) / TURN_STEPS,
    cos = Math.cos(angle),
    sin = Math.sin(angle);
  return { x: shape.middleX * cos - shape.middleY * sin, y: shape.middleX * sin + shape.middleY * cos };
}

function toLayout(filledBins: readonly FilledBin[], copies: readonly Copy[], options: NestOptions): NestLayout {
  const placements: Placement[] = [],
    sheets: SheetUse[] = [];
  const byKey = new Map(copies.map((copy) => [keyOf(copy), copy]));
  for (const { bin, sheet, placings, inside, locked } of filledBins) {
    if (inside.length + locked.length === 0) continue;
    for (const [at, member] of inside.entries()) {
      const placing = placings[at]!,
        { pieceId, copy, shape } = copies[member]!,
        middle = turnMiddle(shape, placing.step);
      placements.push({
        pieceId,
        copy,
        sheet,
        xMm: placing.x + bin.x - middle.x,
        yMm: placing.y + bin.y - middle.y,
        rotationDeg: (placing.step * 360) / TURN_STEPS,
      });
    }
    placements.push(...locked);
    const lockedReach = locked.map((placement) => {
      const { shape } = byKey.get(keyOf(placement))!,
        placing = toPlacing(placement, shape, bin);
      return placing.y + shape.pose(placing.step).maxY;
    });
    const reach = Math.max(
      0,
      ...inside.map((member, at) => placings[at]!.y + copies[member]!.shape.pose(placings[at]!.step).maxY),
      ...lockedReach,
    );
    const half = options.gapMm / 2;
    const usedLengthMm = Math.min(
      bin.y + reach - half + bin.endMm,
      bin.kind === 'roll' ? Infinity : bin.y + bin.length,
    );
    const piecesMm2 =
      inside.reduce((sum, member) => sum + copies[member]!.areaMm2, 0) +
      locked.reduce((sum, placement) => sum + byKey.get(keyOf(placement))!.areaMm2, 0);
    const usedMm2 = bin.kind === 'roll' ? usedLengthMm * bin.wholeWidth : bin.wholeMm2;
    sheets.push({ sheet, stockId: bin.stockId, usedLengthMm, usedMm2, piecesMm2, density: piecesMm2 / usedMm2 });
  }
  const usedMm2 = sheets.reduce((sum, use) => sum + use.usedMm2, 0);
  return {
    placements,
    sheets,
    usedLengthMm: sheets.reduce((sum, use) => sum + use.usedLengthMm, 0),
    density: usedMm2 > 0 ? sheets.reduce((sum, use) => sum + use.piecesMm2, 0) / usedMm2 : 0,
    left: listLeft(filledBins, copies, options).map((at) => ({ pieceId: copies[at]!.pieceId, copy: copies[at]!.copy })),
  };
}

/** Fewer left over, then fewer sheets, then the last one emptier. */
function isBetter(a: NestLayout, b: NestLayout): boolean {
  if (a.left.length !== b.left.length) return a.left.length < b.left.length;
  if (a.sheets.length !== b.sheets.length) return a.sheets.length < b.sheets.length;
  const last = (layout: NestLayout) => layout.sheets.at(-1)?.usedLengthMm ?? 0;
  return last(a) < last(b) - LENGTH_NOISE_MM;
}
