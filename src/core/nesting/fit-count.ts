// How many of one piece go on a piece of stock.

import { succeed, type Result } from '../units';
import { nest } from './nest';
import type { NestLayout, NestOptions, NestPiece, NestProblem, NestStock } from './nesting';

/** More are never looked for: nobody cuts so many in one load. */
const MOST_FITTING = 200;

/**
 * So many that area alone would allow are tried; what is laid out counts. `copies` of the piece is not looked at.
 * Problems as of `nest`.
 */
export async function fitCount(
  piece: NestPiece,
  stock: NestStock,
  options: NestOptions,
  onImprove?: (count: number, layout: NestLayout) => void,
  signal?: AbortSignal,
): Promise<Result<{ readonly count: number; readonly layout: NestLayout }, NestProblem>> {
  const one = await nest([{ ...piece, copies: 1 }], [stock], { ...options, rounds: 0 });
  if (!one.ok) return one;
  const pieceMm2 = one.value.sheets[0]!.piecesMm2,
    stockMm2 = stock.kind === 'offcut' ? one.value.sheets[0]!.usedMm2 : stock.widthMm * stock.lengthMm;
  const copies = Math.max(1, Math.min(MOST_FITTING, Math.floor(stockMm2 / pieceMm2)));
  // A roll is filled like a sheet of its length.
  const sheet: NestStock =
    stock.kind === 'roll'
      ? { kind: 'sheet', id: stock.id, widthMm: stock.widthMm, lengthMm: stock.lengthMm, count: 1 }
      : stock.kind === 'sheet'
        ? { ...stock, count: 1 }
        : stock;
  const found = await nest(
    [{ ...piece, copies }],
    [sheet],
    options,
    (layout) => onImprove?.(layout.placements.length, layout),
    signal,
  );
  return found.ok ? succeed({ count: found.value.placements.length, layout: { ...found.value, left: [] } }) : found;
}
