// Every copy of every piece as a shape, rough and fine, the largest first; refused where one fits nowhere.

import type { Shape } from './shape';
import type { NestPiece, NestOptions, NestProblem } from './nesting';
import type { Bin } from './bins';
import { type Result, fail, succeed } from '../units';
import { preparePiece } from './prepare-pieces';
import { looksLikePuzzle } from './touching';
import { fitsSomehow } from './improve';
import { Field } from './field';
import { TURN_STEPS } from './pose';

export type Copy = { readonly pieceId: string; readonly copy: number; readonly shape: Shape; readonly areaMm2: number };

/** The same pieces twice: with few corners, and as they are. */
type Prepared = { readonly rough: readonly Copy[] | null; readonly fine: readonly Copy[] };

export const keyOf = ({ pieceId, copy }: { readonly pieceId: string; readonly copy: number }): string =>
  `${copy} ${pieceId}`;

export function prepareCopies(
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
  // A layout that is there already may be too tight for outlines that take more room, and a puzzle only goes together
  // as it is.
  const isSimpler = roughs.some((copy, at) => copy.shape !== fine[at]!.shape);
  return succeed({
    fine,
    rough:
      isSimpler && !start?.length && !locked?.length && !looksLikePuzzle(fine.map((copy) => copy.shape))
        ? roughs
        : null,
  });
}

export const fitsBin = (shape: Shape, bin: Bin): boolean =>
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
