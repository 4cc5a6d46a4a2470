// More onto a layout that stays as it is: what else fits into what is left of it, or one piece onto another sheet.

import type { Result } from '../units';
import { listSheets } from './bins';
import { nest } from './nest';
import type { NestLayout, NestOptions, NestPiece, NestProblem, NestStock, Placement } from './nesting';

/**
 * The stock of a sheet of the layout, alone: a roll only as far as it is cut off. Sheets of one lot are counted one by
 * one.
 */
export function stockOf(
  stock: readonly NestStock[],
  layout: Pick<NestLayout, 'sheets'>,
  sheet: number,
): NestStock | null {
  const kind = listSheets(stock)[sheet];
  if (kind?.kind !== 'roll') return kind ?? null;
  const use = layout.sheets.find((entry) => entry.sheet === sheet);
  return { ...kind, lengthMm: Math.min(kind.lengthMm, use?.usedLengthMm ?? kind.lengthMm) };
}

/**
 * The pieces of `more` that found room among `placements`, on the sheets that are used already; the first of them come
 * first. Nothing that lies there is moved. Pieces that are too large for it are left out. `only`: no other sheet than
 * this.
 */
export async function fillSheet(
  pieces: readonly NestPiece[],
  layout: NestLayout,
  more: readonly NestPiece[],
  stock: readonly NestStock[],
  options: NestOptions,
  only?: number,
  signal?: AbortSignal,
): Promise<Result<readonly Placement[], NestProblem>> {
  const sheets = layout.sheets.map((use) => use.sheet).filter((sheet) => only === undefined || sheet === only);
  const own = sheets.flatMap((sheet, at) => {
    const kind = stockOf(stock, layout, sheet);
    return kind ? [{ sheet, at, kind }] : [];
  });
  const isNew = new Set(more.map((piece) => piece.id));
  const lying = layout.placements.flatMap((placement) => {
    const at = own.findIndex((entry) => entry.sheet === placement.sheet);
    return at === -1 || isNew.has(placement.pieceId) ? [] : [{ ...placement, sheet: at }];
  });
  // Copies elsewhere don't count here: those that lie here are numbered anew.
  const staying = pieces
    .map((piece) => ({ ...piece, copies: lying.filter((placement) => placement.pieceId === piece.id).length }))
    .filter((piece) => piece.copies > 0);
  const locked = staying.flatMap((piece) =>
    lying.filter((placement) => placement.pieceId === piece.id).map((placement, copy) => ({ ...placement, copy })),
  );
  for (let wanted = more; ;) {
    if (wanted.length === 0 || own.length === 0) return { ok: true, value: [] };
    const { start: _, ...rest } = options;
    const found = await nest(
      [...staying, ...wanted],
      own.map((entry) => entry.kind),
      { ...rest, rounds: 0, locked },
      undefined,
      signal,
    );
    if (found.ok)
      return {
        ok: true,
        value: found.value.placements
          .filter((placement) => isNew.has(placement.pieceId))
          .map((placement) => ({ ...placement, sheet: own[placement.sheet]!.sheet })),
      };
    if (found.problem.kind !== 'too-large' || !isNew.has(found.problem.pieceId)) return found;
    const { pieceId } = found.problem;
    wanted = wanted.filter((piece) => piece.id !== pieceId);
  }
}
