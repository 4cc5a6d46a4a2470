// The lots that a load may be cut from, as the cutter can reach them: by the rollers, or as much of them as a mat
// holds.

import { intersectRegions, makeRegion, splitPieces } from '../geometry';
import type { ShopFigures } from '../materials';
import type { NestStock, StockMargins } from '../nesting';
import { rectangle, spoiledSpotRing, type LotForm, type OffcutShape, type SpoiledSpot } from '../stock';
import type { CutSheet, Hold } from './cut-sheet';

/** A lot to cut from. `left`: mm of a roll, pieces of all else. `lotId` 0 is a piece that is not on the book. */
export type LotChoice = {
  readonly lotId: number;
  readonly form: LotForm;
  readonly widthMm: number;
  /** Null for a roll. */
  readonly lengthMm: number | null;
  readonly left: number;
  /** Of an offcut that is no rectangle. */
  readonly shape: OffcutShape | null;
  readonly spoiledSpots: readonly SpoiledSpot[];
  /** Written on an offcut. */
  readonly code: string | null;
};

export type HoldFigures = Pick<ShopFigures, 'cutterEdgeMm' | 'leadMm' | 'matWidthMm' | 'matLengthMm' | 'matEdgeMm'>;

/** Rolls run free by the rollers; single pieces lie on a mat, unless said otherwise. */
export const isOnMat = (form: LotForm, hold: Hold): boolean => hold === 'mat' || (hold === 'suited' && form !== 'roll');

export const marginsOf = (form: LotForm, hold: Hold, figures: HoldFigures): StockMargins =>
  isOnMat(form, hold)
    ? { sideMm: figures.matEdgeMm, endMm: figures.matEdgeMm }
    : { sideMm: figures.cutterEdgeMm, endMm: figures.leadMm };

/** What stands for one lot, as far as a mat holds it; null for what can't be cut from. */
export function toStock(choice: LotChoice, hold: Hold, figures: HoldFigures): NestStock | null {
  const { lotId, form, lengthMm, left } = choice;
  const id = String(lotId);
  const margins = marginsOf(form, hold, figures);
  const onMat = isOnMat(form, hold);
  const widthMm = onMat ? Math.min(choice.widthMm, figures.matWidthMm) : choice.widthMm;
  const cap = (length: number) => (onMat ? Math.min(length, figures.matLengthMm) : length);
  switch (form) {
    case 'roll':
      return { kind: 'roll', id, widthMm, lengthMm: cap(left), margins };
    case 'sheet':
      return lengthMm
        ? { kind: 'sheet', id, widthMm, lengthMm: cap(lengthMm), count: Math.max(1, Math.round(left)), margins }
        : null;
    case 'offcut': {
      const shape = lengthMm ? holdOffcut({ ...choice, lengthMm }, onMat, figures) : null;
      return shape && { kind: 'offcut', id, shape, spoiledSpots: choice.spoiledSpots.map(spoiledSpotRing), margins };
    }
    case 'piece':
      return null;
    default:
      return form satisfies never;
  }
}

function holdOffcut(
  choice: LotChoice & { readonly lengthMm: number },
  onMat: boolean,
  { matWidthMm, matLengthMm }: HoldFigures,
): OffcutShape | null {
  const whole = choice.shape ?? rectangle(choice.widthMm, choice.lengthMm);
  if (!onMat || (choice.widthMm <= matWidthMm && choice.lengthMm <= matLengthMm)) return whole;
  const onIt = intersectRegions(makeRegion([whole]), makeRegion([rectangle(matWidthMm, matLengthMm)]));
  return splitPieces(onIt)[0]?.outer ?? null;
}

/** All of a sheet or an offcut, and not only what a mat holds of it; null for a roll, of which nothing is left over. */
export function toWholeStock({ lotId, form, widthMm, lengthMm, shape, spoiledSpots }: LotChoice): NestStock | null {
  if (form === 'roll' || form === 'piece' || !lengthMm) return null;
  const id = String(lotId);
  return form === 'sheet'
    ? { kind: 'sheet', id, widthMm, lengthMm, count: 1 }
    : {
        kind: 'offcut',
        id,
        shape: shape ?? rectangle(widthMm, lengthMm),
        spoiledSpots: spoiledSpots.map(spoiledSpotRing),
      };
}

/**
 * Offcuts first, the smallest of them before larger ones; then sheets, then rolls: so the shelf empties of what is
 * small.
 */
export function orderStock(stock: readonly LotChoice[]): readonly LotChoice[] {
  const rank = { offcut: 0, sheet: 1, roll: 2, piece: 3 } as const;
  const area = ({ widthMm, lengthMm, left }: LotChoice) => widthMm * (lengthMm ?? left);
  return [...stock].sort((a, b) => rank[a.form] - rank[b.form] || area(a) - area(b));
}

/** The lots of a saved sheet as they are now; one that is gone is still drawn, and refused when it is booked. */
export const choicesOf = (sheet: Pick<CutSheet, 'lots'>, stock: readonly LotChoice[]): readonly LotChoice[] =>
  sheet.lots.map(
    (lot) =>
      stock.find((choice) => choice.lotId === lot.lotId) ?? {
        ...lot,
        lengthMm: lot.form === 'roll' ? null : lot.lengthMm,
        left: lot.form === 'roll' ? (lot.lengthMm ?? 0) : 1,
        shape: null,
        spoiledSpots: [],
        code: null,
      },
  );
