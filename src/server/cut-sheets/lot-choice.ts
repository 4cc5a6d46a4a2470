// A lot as a load may be cut from it.

import type { LotChoice } from '../../core/orders/index';
import type { StoredLot } from '../../data/stock-store';

/** Null for what has no width: it is counted, and nothing is cut from it. */
export function toLotChoice(lot: StoredLot): LotChoice | null {
  const { id, form, widthMm, lengthMm, left, shape, spoiledSpots, code } = lot;
  return widthMm ? { lotId: id, form, widthMm, lengthMm, left, shape, spoiledSpots, code } : null;
}
