// What to cut a load from: the one piece of stock that takes all of it with least waste; where none does, several,
// offcuts first.

import { computeRingArea } from '../geometry';
import { succeed, type Result } from '../units';
import { nest } from './nest';
import type { NestLayout, NestOptions, NestPiece, NestProblem, NestStock } from './nesting';
import { fitLargestLeftover } from './leftovers';

/**
 * `stock` is what is used of what was offered, `layout` a first layout on it; `wasteMm2` is what is gone and is neither
 * piece nor kept as a leftover.
 */
export type ChosenStock = {
  readonly stock: readonly NestStock[];
  readonly layout: NestLayout;
  readonly wasteMm2: number;
};

const areaOf = (stock: NestStock): number =>
  stock.kind === 'offcut' ? computeRingArea(stock.shape) : stock.widthMm * stock.lengthMm;

/**
 * Of a sheet what is left behind the last piece is not wasted. An offcut is used up, so that the shelf empties of it.
 */
function measureWaste(stock: readonly NestStock[], layout: NestLayout): number {
  return layout.sheets.reduce((sum, use) => {
    const kind = stock.find((entry) => entry.id === use.stockId);
    const leftover = kind?.kind === 'sheet' ? fitLargestLeftover(kind.widthMm, kind.lengthMm, use.usedLengthMm) : null;
    return sum + use.usedMm2 - use.piecesMm2 - (leftover ? leftover.widthMm * leftover.lengthMm : 0);
  }, 0);
}

/**
 * Fewest loads first (each sheet, offcut or strip is one), then least waste. Each piece of stock is tried alone by a
 * first layout, the smallest first; where none takes everything they are taken together in the order given. Problems as
 * of `nest`.
 */
export async function chooseStock(
  pieces: readonly NestPiece[],
  stock: readonly NestStock[],
  options: NestOptions,
  signal?: AbortSignal,
): Promise<Result<ChosenStock, NestProblem>> {
  const quick = { ...options, rounds: 0 };
  let best: ChosenStock | null = null;
  for (const kind of [...stock].sort((a, b) => areaOf(a) - areaOf(b))) {
    if (signal?.aborted) break;
    const alone: NestStock = kind.kind === 'sheet' ? { ...kind, count: 1 } : kind;
    const found = await nest(pieces, [alone], quick);
    await options.pause?.();
    if (!found.ok || found.value.left.length > 0) continue;
    const wasteMm2 = measureWaste([alone], found.value);
    if (!best || wasteMm2 < best.wasteMm2) best = { stock: [kind], layout: found.value, wasteMm2 };
  }
  if (best) return succeed(best);
  const together = await nest(pieces, stock, quick);
  if (!together.ok) return together;
  const used = new Set(together.value.sheets.map((use) => use.stockId));
  return succeed({
    stock: stock.filter((kind) => used.has(kind.id)),
    layout: together.value,
    wasteMm2: measureWaste(stock, together.value),
  });
}
