// What a sheet of a cut load takes from the stock, and the offcuts that are left of it.

import type { PartShare, SheetTaking } from '../../core/orders/index';
import { computeOffcutArea, listSpoiledSpotsOn, type OffcutShape } from '../../core/stock/index';
import { AMOUNT_NOISE } from '../../core/units/index';
import { findLot, type StoredLot } from '../../data/stock-store';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { addOffcut, writeLine } from '../stock/save-stock';

/** Of what the parts share, so much lies on the sheet at least: half the gap about each may reach over its edge. */
const PARTS_INSIDE = 0.7;
/** A leftover may begin so far beyond the sheet, and end so far beyond it, mm: its corners are rounded to tenths. */
const BEGIN_TOLERANCE_MM = 0.05;
const END_TOLERANCE_MM = 0.15;
const AREA_TOLERANCE_MM2 = 1;

export const sharesOf = (sheet: SheetTaking): readonly PartShare[] => [...sheet.parts, ...sheet.islands];

/** What the sheet took cost; and the codes of the offcuts that are left. Only what is gone is paid for by the parts. */
export function takeStock(
  shop: ShopContext,
  sheet: SheetTaking,
  titles: string,
  sessionId: number,
): { readonly cost: number; readonly codes: readonly string[] } {
  const lot = findLot(shop.db, sheet.lotId);
  if (!lot || lot.form === 'piece') throw notFound('This lot');
  const takes = lot.form === 'roll' ? roundTenth(sheet.usedLengthMm) : 1;
  if (takes > lot.left + AMOUNT_NOISE) throw notEnough(lot, takes);
  writeLine(shop, lot, 'cut', -takes, titles, sessionId);
  if (lot.form === 'roll' || sheet.leftovers.length === 0) return { cost: takes * lot.unitCost, codes: [] };
  const wholeMm2 = lot.shape ? computeOffcutArea(lot.shape) : (lot.widthMm ?? 0) * (lot.lengthMm ?? 0);
  const leftovers = sheet.leftovers.map((ring) => readLeftover(ring, lot));
  const partsMm2 = sharesOf(sheet).reduce((sum, part) => sum + part.areaMm2, sheet.spareMm2);
  const leftMm2 = leftovers.reduce((sum, leftover) => sum + leftover.areaMm2, 0);
  if (
    !leftovers.every((leftover) => isWithin(leftover, lot)) ||
    leftMm2 > wholeMm2 - partsMm2 * PARTS_INSIDE + AREA_TOLERANCE_MM2
  )
    throw new ShopError('invalid', { reason: 'leftovers-too-large', lot }, 'sheets');
  const offcuts = leftovers.map(({ widthMm, lengthMm, shape, spoiledSpots, areaMm2 }) => {
    const unitCost = (lot.unitCost * areaMm2) / wholeMm2;
    const fields = { widthMm, lengthMm, shape, spoiledSpots, unitCost, remark: '' };
    return { unitCost, code: addOffcut(shop, lot, fields, sessionId).code };
  });
  return {
    cost: lot.unitCost - offcuts.reduce((sum, offcut) => sum + offcut.unitCost, 0),
    codes: offcuts.map((offcut) => offcut.code),
  };
}

function notEnough(lot: StoredLot, takesMm: number): ShopError {
  return new ShopError(
    'conflict',
    lot.form === 'roll'
      ? { reason: 'roll-short-meanwhile', lot, leftMm: lot.left, takesMm }
      : { reason: 'sheet-cut-meanwhile', lot },
  );
}

type CutLeftover = ReturnType<typeof readLeftover>;
/** The outline from its own corner, with the spoiled spots that go along. */
function readLeftover(ring: OffcutShape, lot: StoredLot) {
  const left = Math.min(...ring.map((point) => point.x));
  const top = Math.min(...ring.map((point) => point.y));
  const shape = ring.map((point) => ({ x: roundTenth(point.x - left), y: roundTenth(point.y - top) }));
  return {
    shape,
    spoiledSpots: listSpoiledSpotsOn(ring, lot.spoiledSpots),
    left,
    top,
    widthMm: Math.max(...shape.map((point) => point.x)),
    lengthMm: Math.max(...shape.map((point) => point.y)),
    areaMm2: computeOffcutArea(shape),
  };
}

const isWithin = (leftover: CutLeftover, lot: StoredLot): boolean =>
  leftover.left >= -BEGIN_TOLERANCE_MM &&
  leftover.top >= -BEGIN_TOLERANCE_MM &&
  leftover.left + leftover.widthMm <= (lot.widthMm ?? 0) + END_TOLERANCE_MM &&
  leftover.top + leftover.lengthMm <= (lot.lengthMm ?? 0) + END_TOLERANCE_MM;

const roundTenth = (mm: number): number => Math.round(mm * 10) / 10;
