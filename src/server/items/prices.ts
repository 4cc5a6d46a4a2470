// What was paid for things and what they are offered at: the prices beside those of the shelf.

import { computeUnitPrices } from '../../core/buying';
import { parseKey, type PricedLot, type PricedOffer, type Prices } from '../../core/stock';
import { groupBy, MM2_PER_M2 } from '../../core/units';
import { loadOffers } from '../../data/offer-store';
import { loadBoughtLots, type StoredLot } from '../../data/stock-store';
import { toOffer } from '../buying/offer-of';
import type { ShopContext } from '../context';
import { loadSuppliers } from '../../data/supplier-store';

/** By the key of a thing; things that were never bought and are not offered have none. */
export function loadPrices(shop: ShopContext): ReadonlyMap<string, Prices> {
  const lots = groupBy(loadBoughtLots(shop.db), (lot) => lot.key);
  const suppliers = new Map(loadSuppliers(shop.db).map((supplier) => [supplier.id, supplier]));
  const offers = new Map<string, PricedOffer[]>();
  for (const stored of loadOffers(shop.db)) {
    const supplier = suppliers.get(stored.supplierId);
    const offer = toOffer(stored);
    for (const key of new Set(stored.parts.flatMap((part) => part.key ?? []))) {
      // Of the whole width: what no machine reaches is in the area used.
      const { perM2, perPiece } = computeUnitPrices(offer, 1, {
        wanted: (one) => one === key,
        margins: { sideMm: 0, endMm: 0 },
        shipping: 0,
      });
      const price = parseKey(key)?.kind === 'vinyl' ? perM2 : perPiece;
      if (price)
        offers.set(key, [
          ...(offers.get(key) ?? []),
          {
            id: stored.id,
            label: `${offer.name}, ${supplier?.name ?? 'supplier'}, before shipping`,
            price: price.value,
          },
        ]);
    }
  }
  return new Map(
    [...new Set([...lots.keys(), ...offers.keys()])].map((key) => [
      key,
      { lots: (lots.get(key) ?? []).flatMap(toPriced), offers: offers.get(key) ?? [] },
    ]),
  );
}

/** An offcut's price is in the roll it came from. */
function toPriced(lot: StoredLot): readonly PricedLot[] {
  const named = { label: `Lot ${lot.code ?? lot.id}`, receivedAtMs: lot.receivedAtMs };
  if (lot.form === 'piece') return [{ ...named, left: lot.left, price: lot.unitCost }];
  if (!lot.widthMm || lot.form === 'offcut') return [];
  const one = lot.form === 'roll' ? lot.widthMm : lot.widthMm * (lot.lengthMm ?? 0);
  return one > 0 ? [{ ...named, left: lot.left * one, price: (lot.unitCost / one) * MM2_PER_M2 }] : [];
}
