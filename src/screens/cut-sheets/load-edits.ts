// Changes of a load by hand, as pure functions: from what is laid out to what is laid out then.

import { listSheets, stockOf, type NestOptions, type Placement } from '../../core/nesting';
import { placementKey, type CutJob, type CutSheetPiece } from '../../core/orders';
import type { WaitingPart } from '../../views/cut-sheets';
import type { Laid } from './cut-load';

/** Sheets that are tried as the next one at most. */
const MOST_SHEETS = 200;

/** Sheets that a piece can be moved to: those in use, and the next piece of stock that is not. */
export function listTargets({ stock, layout }: Laid): readonly number[] {
  const used = layout.sheets.map((use) => use.sheet);
  const isFree = (sheet: number) => !used.includes(sheet) && stockOf(stock, { sheets: [] }, sheet) !== null;
  const next = Array.from({ length: Math.min(MOST_SHEETS, listSheets(stock).length) }, (_, sheet) => sheet).find(
    isFree,
  );
  return next === undefined ? used : [...used, next];
}

/** The cut list and the placements without one copy; the copies behind it move up. */
export function removeCopy(
  { job, layout }: Pick<Laid, 'job' | 'layout'>,
  placement: Placement,
): { readonly cut: readonly CutSheetPiece[]; readonly placements: readonly Placement[] } {
  const isOwn = (one: Placement) => one.pieceId === placement.pieceId;
  return {
    cut: job.cut.flatMap((piece) => {
      if (piece.id !== placement.pieceId) return [piece];
      const partIds = piece.partIds.filter((_, copy) => copy !== placement.copy);
      return partIds.length > 0 ? [{ ...piece, partIds }] : [];
    }),
    placements: layout.placements
      .filter((one) => placementKey(one) !== placementKey(placement))
      .map((one) => (isOwn(one) && one.copy > placement.copy ? { ...one, copy: one.copy - 1 } : one)),
  };
}

type Filled = { readonly piece: CutSheetPiece; readonly placements: readonly Placement[] };

/** Copies that found no room are not on the sheet: those that did are numbered anew. */
export function keepPlaced(cut: readonly CutSheetPiece[], placed: readonly Placement[]): readonly Filled[] {
  return cut.flatMap((piece): Filled[] => {
    const own = placed.filter((placement) => placement.pieceId === piece.id).sort((a, b) => a.copy - b.copy);
    if (own.length === 0) return [];
    const partIds = own.map((placement) => piece.partIds[placement.copy] ?? null);
    return [{ piece: { ...piece, partIds }, placements: own.map((placement, copy) => ({ ...placement, copy })) }];
  });
}

/** The layout without a piece, with room made known on a sheet that nothing lies on yet. */
export function withoutPiece({ layout }: Laid, placement: Placement, sheet: number): Laid['layout'] {
  const empty = { sheet, stockId: '', usedLengthMm: Infinity, usedMm2: 0, piecesMm2: 0, density: 0 };
  const isUsed = layout.sheets.some((use) => use.sheet === sheet);
  return {
    ...layout,
    placements: layout.placements.filter((one) => placementKey(one) !== placementKey(placement)),
    sheets: isUsed ? layout.sheets : [...layout.sheets, empty],
  };
}

/** Turned where it lies: about the middle of its outline, not about its own corner. */
export function turnAboutMiddle(placement: Placement, job: CutJob, degrees: number): Partial<Placement> {
  const ring = job.pieces.find((piece) => piece.id === placement.pieceId)?.rings[0] ?? [];
  const xs = ring.map((point) => point.x);
  const ys = ring.map((point) => point.y);
  const middle = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
  const middleAt = (rotation: number) => {
    const angle = (rotation * Math.PI) / 180;
    return {
      x: middle.x * Math.cos(angle) - middle.y * Math.sin(angle),
      y: middle.x * Math.sin(angle) + middle.y * Math.cos(angle),
    };
  };
  const rotationDeg = (placement.rotationDeg + degrees) % 360;
  const before = middleAt(placement.rotationDeg);
  const after = middleAt(rotationDeg);
  return { rotationDeg, xMm: placement.xMm + before.x - after.x, yMm: placement.yMm + before.y - after.y };
}

export function nameOf(
  { job }: Pick<Laid, 'job'>,
  byPart: ReadonlyMap<number, WaitingPart>,
  placement: Placement,
): string {
  const piece = job.cut.find((one) => one.id === placement.pieceId);
  const id = piece?.partIds[placement.copy] ?? null;
  const part = id === null ? undefined : byPart.get(id);
  if (!part) return `${piece?.name ?? 'piece'}, spare`;
  const island = piece?.island ?? null;
  return `${part.orderTitle}, piece ${part.pieceNumber}: ${part.layerName}${island === null ? '' : `, island ${island + 1}`}`;
}

/** A problem names the piece by what it is of, not by its key. */
export function nameProblem<T extends { readonly kind: string; readonly pieceId?: string }>(
  problem: T,
  job: CutJob,
): T {
  const piece = job.cut.find((one) => one.id === problem.pieceId);
  return piece ? { ...problem, pieceId: piece.name } : problem;
}

/** Without what can't be sent to a worker. */
export const toPlainOptions = ({ now: _, pause: __, ...options }: NestOptions): Omit<NestOptions, 'now' | 'pause'> =>
  options;
