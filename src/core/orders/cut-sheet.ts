// A load that is laid out and not cut yet: which parts lie where on which stock, and what it lays claim to.

import { AMOUNT_NOISE } from '../units';
import type { Inside, Marks, Placement, SheetUse } from '../nesting';
import type { LotForm } from '../stock';

/** What a piece is cut from: a layer of an artwork at a width, as it lies on the cutter. */
export type CutSource = {
  readonly artworkId: number;
  readonly layerIndex: number;
  readonly widthMm: number;
  readonly mirrored: boolean;
  /** Of its islands, from left to right as seen from the front, those that are cut; left out for all of them. */
  readonly bits?: readonly number[] | undefined;
};
/**
 * How it is held: as suits its stock (rolls by the rollers, all else on a mat), all of it on a mat, or all of it
 * without.
 */
export type Hold = 'suited' | 'mat' | 'free';
export type CutSheetPiece = {
  readonly id: string;
  readonly name: string;
  readonly source: CutSource;
  /** The one of its loose islands; null for all of it together. */
  readonly island: number | null;
  /** For each copy the part that it is; null where it is more than was ordered. */
  readonly partIds: readonly (number | null)[];
};
/** `lotId` 0 is a piece that is not on the book. */
type CutSheetLot = {
  readonly lotId: number;
  readonly form: LotForm;
  readonly widthMm: number;
  readonly lengthMm: number | null;
};
export type CutSheet = {
  readonly gapMm: number;
  readonly hold: Hold;
  readonly marks: Marks;
  /** What of a piece others may lie in. */
  readonly inside: Inside;
  readonly lots: readonly CutSheetLot[];
  readonly pieces: readonly CutSheetPiece[];
  readonly placements: readonly Placement[];
  /** Of the placements those that stay where they are: copy and piece. */
  readonly locked: readonly string[];
  readonly sheets: readonly (SheetUse & { readonly lotId: number })[];
};

export const listPartIds = (sheet: Pick<CutSheet, 'pieces'>): readonly number[] => [
  ...new Set(sheet.pieces.flatMap((piece) => piece.partIds.flatMap((id) => id ?? []))),
];

/** How much of each lot it takes: mm of a roll, pieces of all else. */
function sumClaims(sheet: Pick<CutSheet, 'sheets' | 'lots'>): ReadonlyMap<number, number> {
  const claims = new Map<number, number>();
  for (const use of sheet.sheets) {
    if (use.lotId === 0) continue;
    const isRoll = sheet.lots.find((lot) => lot.lotId === use.lotId)?.form === 'roll';
    claims.set(use.lotId, (claims.get(use.lotId) ?? 0) + (isRoll ? use.usedLengthMm : 1));
  }
  return claims;
}

export type CutSheetClash<Id> =
  | { readonly kind: 'part'; readonly partId: number; readonly by: Id }
  | {
      readonly kind: 'lot';
      readonly lotId: number;
      readonly form: LotForm;
      readonly left: number;
      readonly takes: number;
      readonly by: Id | null;
    };

/** The first thing that others lay claim to already, or that is not there any more; null where there is none. */
export function findClash<Id>(
  sheet: CutSheet,
  others: readonly { readonly id: Id; readonly sheet: CutSheet }[],
  leftOf: (lotId: number) => number,
): CutSheetClash<Id> | null {
  const owners = new Map(
    others.flatMap((other) => listPartIds(other.sheet).map((partId) => [partId, other.id] as const)),
  );
  for (const partId of listPartIds(sheet))
    if (owners.has(partId)) return { kind: 'part', partId, by: owners.get(partId)! };
  const theirs = others.map((other) => ({ id: other.id, claims: sumClaims(other.sheet) }));
  for (const [lotId, takes] of sumClaims(sheet)) {
    const left = leftOf(lotId) - theirs.reduce((sum, other) => sum + (other.claims.get(lotId) ?? 0), 0);
    if (takes <= left + AMOUNT_NOISE) continue;
    return {
      kind: 'lot',
      lotId,
      form: sheet.lots.find((lot) => lot.lotId === lotId)?.form ?? 'roll',
      left: Math.max(0, left),
      takes,
      by: theirs.find((other) => other.claims.has(lotId))?.id ?? null,
    };
  }
  return null;
}

/** What has to be known to load one sheet. `leastWidthMm`: narrower, and the outermost piece is out of reach. */
export type LoadFacts = {
  readonly isRoll: boolean;
  readonly onMat: boolean;
  readonly mirrored: 'all' | 'some' | 'none';
  readonly widthMm: number;
  readonly leastWidthMm: number;
  readonly usedLengthMm: number;
  readonly leadMm: number;
  readonly thicknessUm: number | null;
  readonly kind: string;
  readonly pen: boolean;
  readonly trim: boolean;
};
