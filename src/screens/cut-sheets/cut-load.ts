// A load as a screen holds it: from waiting parts to pieces, and to what is saved of it; no drawing and no talking to
// anybody here.

import type { CutShape, Inside, Marks, NestLayout, NestOptions, NestStock } from '../../core/nesting';
import {
  keyOfSource,
  placementKey,
  type CutJob,
  type CutSheet,
  type CutSheetPiece,
  type CutSource,
  type Hold,
  type LaidLoad,
  type LotChoice,
} from '../../core/orders';
import type { CutSheetsView, UsualPiece, WaitingPart } from '../../views/cut-sheets';

export type Group = CutSheetsView['groups'][number];
export type SavedSheet = Group['saved'][number];
export type Setup = { readonly gapMm: number; readonly hold: Hold; readonly marks: Marks; readonly inside: Inside };
export type Laid = {
  readonly layout: NestLayout;
  readonly job: CutJob;
  readonly shapes: ReadonlyMap<string, CutShape>;
  readonly stock: readonly NestStock[];
  readonly choices: readonly LotChoice[];
  readonly options: NestOptions;
  readonly setup: Setup;
  /** To see how many go on it: parts that nobody ordered. */
  readonly counting: boolean;
};

export const sourceOf = ({ artworkId, layerIndex, widthMm, mirrored, bits }: WaitingPart): CutSource => ({
  artworkId,
  layerIndex,
  widthMm,
  mirrored,
  ...(bits ? { bits } : {}),
});
/** The load as core books it. */
export const toLaidLoad = ({ job, layout, choices, setup }: Laid): LaidLoad => ({
  job,
  layout,
  choices,
  gapMm: setup.gapMm,
});

/**
 * The parts as pieces to cut, the first due first; `loose` by their source fall into islands. `suffix` tells them from
 * others of their kind on the sheet.
 */
export function toCutPieces(
  parts: readonly WaitingPart[],
  shapes: ReadonlyMap<string, CutShape>,
  loose: ReadonlySet<string>,
  suffix = '',
): readonly CutSheetPiece[] {
  const byKey = new Map<string, WaitingPart[]>();
  for (const part of [...parts].sort((a, b) => a.dueDay.localeCompare(b.dueDay))) {
    const key = keyOfSource(sourceOf(part));
    byKey.set(key, [...(byKey.get(key) ?? []), part]);
  }
  return [...byKey].flatMap(([key, own]): CutSheetPiece[] => {
    const shape = shapes.get(key),
      first = own[0]!,
      partIds = own.map((part) => part.partId);
    const whole = { name: `${first.layerName} of ${first.itemName}`, source: sourceOf(first), partIds };
    if (!shape) return [];
    return loose.has(key) && shape.islands.length > 1
      ? shape.islands.map((_, island) => ({ ...whole, id: `${key}#${island}${suffix}`, island }))
      : [{ ...whole, id: `${key}${suffix}`, island: null }];
  });
}

export const toSpares = (usual: UsualPiece, copies: number, suffix: string): CutSheetPiece => ({
  id: `${keyOfSource(usual.source)}${suffix}`,
  name: usual.name,
  source: usual.source,
  island: null,
  partIds: Array<null>(copies).fill(null),
});

/** What is saved of a load while it is worked on. */
export function toCutSheet({ layout, job, choices, setup }: Laid, locked: ReadonlySet<string>): CutSheet {
  const lying = new Set(layout.placements.map((placement) => placement.pieceId));
  return {
    ...setup,
    lots: choices.map(({ lotId, form, widthMm, lengthMm, left }) => ({
      lotId,
      form,
      widthMm,
      lengthMm: lengthMm ?? (lotId === 0 ? left : null),
    })),
    pieces: job.cut.filter((piece) => lying.has(piece.id)),
    placements: layout.placements,
    locked: layout.placements.map(placementKey).filter((key) => locked.has(key)),
    sheets: layout.sheets.map((use) => ({ ...use, lotId: Number(use.stockId) })),
  };
}

/** Without parts that do not wait any more; copies are numbered anew. */
export function dropGone(sheet: CutSheet, waiting: ReadonlySet<number>): CutSheet {
  const numbers = new Map<string, number>();
  const pieces = sheet.pieces.flatMap((piece) => {
    const partIds = piece.partIds.filter((id, copy) => {
      if (id !== null && !waiting.has(id)) return false;
      numbers.set(
        placementKey({ pieceId: piece.id, copy }),
        [...numbers.keys()].filter((key) => key.endsWith(` ${piece.id}`)).length,
      );
      return true;
    });
    return partIds.length > 0 ? [{ ...piece, partIds }] : [];
  });
  const renumber = (pieceId: string, copy: number) => numbers.get(placementKey({ pieceId, copy }));
  return {
    ...sheet,
    pieces,
    placements: sheet.placements.flatMap((placement) => {
      const copy = renumber(placement.pieceId, placement.copy);
      return copy === undefined ? [] : [{ ...placement, copy }];
    }),
    locked: sheet.placements
      .filter((placement) => sheet.locked.includes(placementKey(placement)))
      .flatMap((placement) => {
        const copy = renumber(placement.pieceId, placement.copy);
        return copy === undefined ? [] : [placementKey({ ...placement, copy })];
      }),
  };
}
