// Filled bins made better: ever shorter strips, and pieces moved from later bins into earlier ones.

import type { FilledBin } from './fill-bins';
import { type Copy, fitsBin } from './prepare-copies';
import type { NestOptions } from './nesting';
import { type Random, Field } from './field';
import { listLeft } from './nest-layout';
import type { Shape } from './shape';
import { pressIn, findLongest, type Best, shortenStrip, assembleAnew } from './improve';
import { copyPlacings } from './separate';
import { looksLikePuzzle } from './touching';

/** Turn by turn: more pieces onto earlier sheets, then the last one shorter. */
export function* improveAll(
  filledBins: FilledBin[],
  copies: readonly Copy[],
  options: NestOptions,
  random: Random,
  firstBy: number,
  take: () => void,
): Generator<void, void> {
  yield* pressForward(filledBins, copies, options, random, take);
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

/** What lies on a later sheet, or nowhere, is pressed into an earlier one. */
function* pressForward(
  filledBins: FilledBin[],
  copies: readonly Copy[],
  options: NestOptions,
  random: Random,
  take: () => void,
): Generator<void, void> {
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
