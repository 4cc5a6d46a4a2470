// Filled bins as a layout, and which of two layouts is the better one.

import { type FilledBin, turnMiddle, toPlacing } from './fill-bins';
import { type Copy, keyOf } from './prepare-copies';
import type { NestOptions, NestLayout, Placement, SheetUse } from './nesting';
import { TURN_STEPS } from './pose';
import { LENGTH_NOISE_MM } from '../units';

export function listLeft(
  filledBins: readonly FilledBin[],
  copies: readonly Copy[],
  options: NestOptions,
): readonly number[] {
  const placed = new Set(filledBins.flatMap((filled) => filled.inside)),
    locked = new Set((options.locked ?? []).map(keyOf));
  return copies.flatMap((copy, at) => (placed.has(at) || locked.has(keyOf(copy)) ? [] : [at]));
}

export function toLayout(filledBins: readonly FilledBin[], copies: readonly Copy[], options: NestOptions): NestLayout {
  const placements: Placement[] = [],
    sheets: SheetUse[] = [];
  const byKey = new Map(copies.map((copy) => [keyOf(copy), copy]));
  for (const { bin, sheet, placings, inside, locked } of filledBins) {
    if (inside.length + locked.length === 0) continue;
    for (const [at, member] of inside.entries()) {
      const placing = placings[at]!,
        { pieceId, copy, shape } = copies[member]!,
        middle = turnMiddle(shape, placing.step);
      placements.push({
        pieceId,
        copy,
        sheet,
        xMm: placing.x + bin.x - middle.x,
        yMm: placing.y + bin.y - middle.y,
        rotationDeg: (placing.step * 360) / TURN_STEPS,
      });
    }
    placements.push(...locked);
    const lockedReach = locked.map((placement) => {
      const { shape } = byKey.get(keyOf(placement))!,
        placing = toPlacing(placement, shape, bin);
      return placing.y + shape.pose(placing.step).maxY;
    });
    const reach = Math.max(
      0,
      ...inside.map((member, at) => placings[at]!.y + copies[member]!.shape.pose(placings[at]!.step).maxY),
      ...lockedReach,
    );
    const half = options.gapMm / 2;
    const usedLengthMm = Math.min(
      bin.y + reach - half + bin.endMm,
      bin.kind === 'roll' ? Infinity : bin.y + bin.length,
    );
    const piecesMm2 =
      inside.reduce((sum, member) => sum + copies[member]!.areaMm2, 0) +
      locked.reduce((sum, placement) => sum + byKey.get(keyOf(placement))!.areaMm2, 0);
    const usedMm2 = bin.kind === 'roll' ? usedLengthMm * bin.wholeWidth : bin.wholeMm2;
    sheets.push({ sheet, stockId: bin.stockId, usedLengthMm, usedMm2, piecesMm2, density: piecesMm2 / usedMm2 });
  }
  const usedMm2 = sheets.reduce((sum, use) => sum + use.usedMm2, 0);
  return {
    placements,
    sheets,
    usedLengthMm: sheets.reduce((sum, use) => sum + use.usedLengthMm, 0),
    density: usedMm2 > 0 ? sheets.reduce((sum, use) => sum + use.piecesMm2, 0) / usedMm2 : 0,
    left: listLeft(filledBins, copies, options).map((at) => ({ pieceId: copies[at]!.pieceId, copy: copies[at]!.copy })),
  };
}

/** Fewer left over, then fewer sheets, then the last one emptier. */
export function isBetter(a: NestLayout, b: NestLayout): boolean {
  if (a.left.length !== b.left.length) return a.left.length < b.left.length;
  if (a.sheets.length !== b.sheets.length) return a.sheets.length < b.sheets.length;
  const last = (layout: NestLayout) => layout.sheets.at(-1)?.usedLengthMm ?? 0;
  return last(a) < last(b) - LENGTH_NOISE_MM;
}
