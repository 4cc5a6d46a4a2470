// What a finished piece of work wears: blade and mat when it is cut, cover sheet and pillow when it is pressed.

import { planPressing } from '../../core/pressing/index';
import type { SupplyKind } from '../../core/stock/index';
import type { Station } from '../../core/orders/index';
import { addWear, findFitted } from '../../data/supply-store';
import { getShop, type ShopContext } from '../context';
import { readMadeLines } from '../items/materials';
import type { ReadOrder, ReadPart } from '../orders/read-orders';

/** Books on what is in use now; kinds of which nothing is in use are let be. Call it inside a transaction. */
export function bookBenchWear(
  shop: ShopContext,
  work: { readonly id: number; readonly station: Station },
  orders: readonly ReadOrder[],
  parts: readonly ReadPart[],
): void {
  const kinds: readonly SupplyKind[] =
    work.station === 'cut' ? ['blade', 'mat'] : work.station === 'press' ? ['cover sheet', 'pillow'] : [];
  const fitted = kinds.length > 0 && parts.length > 0 ? findFitted(shop.db, kinds) : new Map<SupplyKind, number>();
  if (fitted.size === 0) return;
  const { lines } = readMadeLines(shop, orders);
  const amounts = new Map<SupplyKind, number>();
  if (work.station === 'cut') {
    const layers = parts.flatMap((part) => lines.get(part.lineId)?.layers[part.layerIndex] ?? []);
    amounts.set('blade', layers.reduce((sum, { measurement }) => sum + measurement.cutLengthMm, 0) / 1000);
    // Each vinyl is a load of its own.
    amounts.set('mat', new Set(layers.map(({ vinyl }) => vinyl.id)).size);
  } else {
    const { figures } = getShop(shop);
    // A piece is pressed as a whole, whatever number of parts it has.
    const pieces = new Map(parts.map((part) => [part.pieceId, lines.get(part.lineId)]));
    const pressCycles = [...pieces.values()].reduce((sum, line) => {
      const plan = line ? planPressing({ layers: line.layers, blank: line.blank, shop: figures }) : null;
      return sum + (plan?.ok ? plan.value.pressCycles : 0);
    }, 0);
    amounts.set('cover sheet', pressCycles);
    amounts.set('pillow', pressCycles);
  }
  for (const [kind, supplyId] of fitted) {
    const amount = amounts.get(kind) ?? 0;
    if (amount > 0) addWear(shop.db, { supplyId, atMs: shop.now(), kind: 'worn', amount, sessionId: work.id });
  }
}
