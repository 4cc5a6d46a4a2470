// From waiting parts and stock to what is laid out, and back to parts; no drawing and no talking to anybody here.

import { fitLargestRest, measureShares, type NestLayout, type NestPiece, type NestStock, type Placement } from '../../core/nesting';
import { rectangle } from '../../core/stock';
import type { CutSheetsView, StockChoice, WaitingPart } from '../../views/views';
import type { CutShape } from '../../workers/nest-client';

export type Group = CutSheetsView['groups'][number];
/** Parts that are cut alike are copies of one piece. */
export const getShapeKey = ({ artworkId, layerIndex, widthMm, mirrored }: WaitingPart): string => `${artworkId}/${layerIndex}/${widthMm}/${mirrored ? 'm' : 'n'}`;

export type Load = { readonly pieces: readonly NestPiece[]; /** The parts of each piece, by its copies. */ readonly parts: ReadonlyMap<string, readonly WaitingPart[]> };

export function makeLoad(parts: readonly WaitingPart[], shapes: ReadonlyMap<string, CutShape>, turnable: boolean): Load {
  const byKey = new Map<string, WaitingPart[]>();
  for (const part of [...parts].sort((a, b) => a.dueDay.localeCompare(b.dueDay))) byKey.set(getShapeKey(part), [...(byKey.get(getShapeKey(part)) ?? []), part]);
  const pieces = [...byKey].flatMap(([id, own]): NestPiece[] => {
    const shape = shapes.get(id);
    return shape ? [{ id, rings: [shape.outline], copies: own.length, turns: turnable ? 'free' : [0, 180] }] : [];
  });
  return { pieces, parts: byKey };
}

export const partOf = (load: Load, { pieceId, copy }: Pick<Placement, 'pieceId' | 'copy'>): WaitingPart | undefined => load.parts.get(pieceId)?.[copy];

/** What stands for one lot; null for what can't be cut from. */
export function toStock({ lotId, form, widthMm, lengthMm, left, shape }: StockChoice): NestStock | null {
  const id = String(lotId);
  switch (form) {
    case 'roll':
      return { kind: 'roll', id, widthMm, lengthMm: left };
    case 'sheet':
      return lengthMm ? { kind: 'sheet', id, widthMm, lengthMm, count: Math.round(left) } : null;
    case 'offcut':
      return lengthMm ? { kind: 'offcut', id, shape: shape ?? rectangle(widthMm, lengthMm), badSpots: [] } : null;
    case 'piece':
      return null;
    default:
      return form satisfies never;
  }
}

/** Offcuts first, the smallest of them before larger ones; then sheets, then rolls: so the shelf empties of what is small. */
export function orderStock(stock: readonly StockChoice[]): readonly StockChoice[] {
  const rank = { offcut: 0, sheet: 1, roll: 2, piece: 3 } as const;
  return [...stock].sort((a, b) => rank[a.form] - rank[b.form] || a.widthMm * (a.lengthMm ?? a.left) - b.widthMm * (b.lengthMm ?? b.left));
}

/** What is told to the server once the load is cut. */
export function toCutLoad(layout: NestLayout, load: Load, stock: readonly StockChoice[], gapMm: number) {
  const shares = measureShares(load.pieces, gapMm);
  return {
    sheets: layout.sheets.map((use) => {
      const lot = stock.find((choice) => String(choice.lotId) === use.stockId)!;
      // Of an odd offcut nobody knows what is left without a ruler.
      const rest = lot.form !== 'sheet' || !lot.lengthMm ? null : fitLargestRest(lot.widthMm, lot.lengthMm, use.usedLengthMm);
      return {
        lotId: lot.lotId, usedLengthMm: use.usedLengthMm, rest,
        parts: layout.placements.filter((placement) => placement.sheet === use.sheet).flatMap((placement) => {
          const part = partOf(load, placement), areaMm2 = shares.get(placement.pieceId);
          return part && areaMm2 ? [{ partId: part.partId, areaMm2 }] : [];
        }),
      };
    }),
  };
}
