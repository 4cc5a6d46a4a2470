// How many loads of the mat so many copies of a layer are.

import type { LayerMeasurement } from '../artwork';
import type { ShopFigures, Vinyl } from '../materials';
import { COUNT_NOISE, figure, type Figure } from '../units';

type MatFigures = Pick<ShopFigures, 'matWidthMm' | 'matLengthMm' | 'matEdgeMm' | 'weedMarginMm'>;

/**
 * How many copies lie on the mat side by side in rows, upright or turned a quarter where the vinyl has no direction; 0
 * where not even one does: that is cut without a mat.
 */
export function countOnMat(
  layer: Pick<LayerMeasurement, 'box'>,
  vinyl: Pick<Vinyl, 'details'>,
  shop: MatFigures,
): number {
  const [width, height] = [layer.box.width + 2 * shop.weedMarginMm, layer.box.height + 2 * shop.weedMarginMm];
  const fitting = (across: number, along: number): number =>
    Math.floor((shop.matWidthMm - 2 * shop.matEdgeMm) / across + COUNT_NOISE) *
    Math.floor((shop.matLengthMm - 2 * shop.matEdgeMm) / along + COUNT_NOISE);
  return Math.max(fitting(width, height), vinyl.details.direction === 'none' ? fitting(height, width) : 0);
}

/** Loads of so many copies, of which `onMat` lie on the mat at once; without a mat they are one load. */
export function countLoads(copies: number, onMat: number): Figure {
  if (onMat === 0) return figure('Loads, without a mat', 1, 'count', 'computed');
  return figure('Loads of the mat', Math.ceil(copies / onMat), 'count', 'computed', {
    how: 'copies ÷ what fits on the mat',
    parts: [figure('Copies', copies, 'count', 'typed'), figure('Fit on the mat', onMat, 'count', 'computed')],
  });
}
