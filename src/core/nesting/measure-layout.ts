// What a layout takes, told from where the pieces lie: for layouts that were changed by hand.

import { boundRegion, computeRegionArea, computeRingArea } from '../geometry';
import { listSheets } from './bins';
import { place } from './check-layout';
import type { NestLayout, NestPiece, NestStock, Placement, SheetUse, StockMargins } from './nesting';

/** Sheets in their order, each with what is used of it. Pieces that lie on no sheet count nowhere. */
export function measureLayout(
  pieces: readonly NestPiece[],
  stock: readonly NestStock[],
  placements: readonly Placement[],
  margins: StockMargins,
): Pick<NestLayout, 'placements' | 'sheets' | 'usedLengthMm' | 'density'> {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const sheets = listSheets(stock).flatMap((entry, sheet): SheetUse[] => {
    const laid = placements
      .filter((placement) => placement.sheet === sheet)
      .flatMap((placement) => {
        const piece = byId.get(placement.pieceId);
        return piece ? [place(piece, placement)] : [];
      });
    if (laid.length === 0) return [];
    const { sideMm, endMm } = entry.margins ?? margins;
    const reach =
      Math.max(
        ...laid.map((one) => {
          const box = boundRegion(one.region);
          return box ? box.y + box.height : 0;
        }),
      ) + (entry.kind === 'offcut' ? sideMm : endMm);
    const whole = entry.kind === 'offcut' ? Math.max(...entry.shape.map((point) => point.y)) : entry.lengthMm;
    const usedLengthMm = entry.kind === 'roll' ? reach : Math.min(reach, whole);
    const usedMm2 =
      entry.kind === 'roll'
        ? usedLengthMm * entry.widthMm
        : entry.kind === 'sheet'
          ? entry.widthMm * entry.lengthMm
          : computeRingArea(entry.shape);
    const piecesMm2 = laid.reduce((sum, one) => sum + computeRegionArea(one.region), 0);
    return [{ sheet, stockId: entry.id, usedLengthMm, usedMm2, piecesMm2, density: piecesMm2 / usedMm2 }];
  });
  const usedMm2 = sheets.reduce((sum, use) => sum + use.usedMm2, 0);
  return {
    placements,
    sheets,
    usedLengthMm: sheets.reduce((sum, use) => sum + use.usedLengthMm, 0),
    density: usedMm2 > 0 ? sheets.reduce((sum, use) => sum + use.piecesMm2, 0) / usedMm2 : 0,
  };
}
