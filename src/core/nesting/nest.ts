// Lays pieces out on stock: a first layout at once, then better ones as long as it is let.

import { randomLcg } from 'd3-random';
import { succeed, fail, type Result } from '../units';
import { listBins } from './bins';
import { type Random } from './field';
import { SHORTER } from './improve';
import type { NestLayout, NestOptions, NestPiece, NestProblem, NestStock } from './nesting';
import { type Copy, keyOf, prepareCopies } from './prepare-copies';
import { fillAll } from './fill-bins';
import { improveAll } from './improve-bins';
import { toLayout, isBetter } from './nest-layout';

/**
 * The best layout found. `onImprove` is told of the first one and of each better one. Problems: a piece without area,
 * one larger than any stock, or no stock at all. Method: greedy construction, then overlap minimisation with guided
 * local search on ever shorter strips (Umetani et al. 2009; Elkeran 2013), at first with simpler outlines; rectangles
 * also by a skyline.
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
  /** From a first layout of its own, not from the best. */
  readonly anew: boolean;
  /** It ends at this share of all rounds, or of the time. */
  readonly until: number;
};
/**
 * Simpler outlines are begun with several times, since what comes of a layout hangs much on its beginning; the best of
 * these is drawn shorter, then as it is.
 */
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
