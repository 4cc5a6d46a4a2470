// What was paid for things and what they are offered at: the prices beside those of the shelf.

import { computeUnitPrices } from '../../core/buying';
import { parseKey, type PricedLot, type PricedOffer, type Prices } from '../../core/stock';
import { MM2_PER_M2 } from '../../core/units';
import { findOffersOf } from '../../data/offer-store';
import { loadPricedLots, type StoredLot } from '../../data/stock-store';
import { loadSuppliers } from '../../data/supplier-store';
import { toOffer } from '../buying/offer-of';
import type { ShopContext } from '../context';

/** By the key of a thing, looked up once, when it is asked for; null for what was never bought and is not offered. */
export function makePriceLookup(shop: ShopContext): (key: string) => Prices | null {
  const known = new Map<string, Prices | null>();
  let suppliers: ReadonlyMap<number, string> | null = null;
  const nameOf = (id: number) =>
    (suppliers ??= new Map(loadSuppliers(shop.db).map((one) => [one.id, one.name]))).get(id) ?? 'supplier';
  return (key) => {
    if (!known.has(key)) known.set(key, findPrices(shop, key, nameOf));
    return known.get(key) ?? null;
  };
}

function findPrices(shop: ShopContext, key: string, nameOf: (supplierId: number) => string): Prices | null {
  const lots = loadPricedLots(shop.db, key).flatMap(toPriced);
  const isVinyl = parseKey(key)?.kind === 'vinyl';
  const offers = findOffersOf(shop.db, [key]).flatMap((stored): readonly PricedOffer[] => {
    const offer = toOffer(stored);
    // Of the whole width: what no machine reaches is in the area used.
    const { perM2, perPiece } = computeUnitPrices(offer, 1, {
      wanted: (one) => one === key,
      margins: { sideMm: 0, endMm: 0 },
      shipping: 0,
    });
    const price = isVinyl ? perM2 : perPiece;
    const label = `${offer.name}, ${nameOf(stored.supplierId)}, before shipping`;
    return price ? [{ id: stored.id, label, price: price.value }] : [];
  });
  return lots.length + offers.length === 0 ? null : { lots, offers };
}

/** An offcut's price is in the roll it came from. */
function toPriced(lot: StoredLot): readonly PricedLot[] {
  const named = { label: `Lot ${lot.code ?? lot.id}`, receivedAtMs: lot.receivedAtMs };
  if (lot.form === 'piece') return [{ ...named, left: lot.left, price: lot.unitCost }];
  if (!lot.widthMm || lot.form === 'offcut') return [];
  const one = lot.form === 'roll' ? lot.widthMm : lot.widthMm * (lot.lengthMm ?? 0);
  return one > 0 ? [{ ...named, left: lot.left * one, price: (lot.unitCost / one) * MM2_PER_M2 }] : [];
}
