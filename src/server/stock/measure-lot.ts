// What of a lot can be used.

import type { ShopFigures } from '../../core/materials';
import { computeOffcutArea } from '../../core/stock';
import type { StoredLot } from '../../data/stock-store';

/** What of a lot can be used: mm² that a cutter reaches, or pieces. */
export function measureLot(
  lot: Pick<StoredLot, 'form' | 'left' | 'widthMm' | 'lengthMm' | 'shape' | 'spoiledSpots'>,
  figures: ShopFigures,
): number {
  const reach = Math.max(0, (lot.widthMm ?? 0) - 2 * figures.cutterEdgeMm);
  switch (lot.form) {
    case 'roll':
      return lot.left * reach;
    case 'sheet':
      return lot.left * reach * (lot.lengthMm ?? 0);
    case 'offcut':
      return lot.left * (lot.shape ? computeOffcutArea(lot.shape, lot.spoiledSpots) : 0);
    case 'piece':
      return lot.left;
    default:
      return lot.form satisfies never;
  }
}
