// An offer as its page shows it, with what it comes to by area or piece.

import { computeUnitPrices, type Supplier } from '../../core/buying';
import type { ShopFigures } from '../../core/materials';
import type { StoredOffer } from '../../data/offer-store';
import type { StoredSupplier } from '../../data/supplier-store';
import type { OfferView, SupplierView } from '../../views/offers';
import type { ThingView } from '../../views/stock';
import { getShop, type ShopContext } from '../context';
import { listThings } from '../stock/things';
import { rememberUntilChange } from '../remember';
import { loadOpenNeeds } from './needs';
import { toOffer } from './offer-of';

const HOUR_MS = 3_600_000;

/** What all offers are seen against. */
export type Ground = {
  readonly suppliers: readonly StoredSupplier[];
  readonly supplierOf: ReadonlyMap<number, StoredSupplier>;
  readonly thingOf: ReadonlyMap<string, ThingView>;
  /** Keys of what open orders or minimums ask for. */
  readonly needed: ReadonlySet<string>;
  readonly figures: ShopFigures;
};

export const loadGround = (shop: ShopContext, suppliers: readonly StoredSupplier[]): Ground => ({
  suppliers,
  supplierOf: new Map(suppliers.map((supplier) => [supplier.id, supplier])),
  thingOf: new Map(listThings(shop).map((thing) => [thing.key, thing])),
  needed: readNeeded(shop),
  figures: getShop(shop).figures,
});

/** How fast things are used is looked at once an hour. */
function readNeeded(shop: ShopContext): ReadonlySet<string> {
  const hour = Math.floor(shop.now() / HOUR_MS);
  return rememberUntilChange(
    shop,
    `things needed in hour ${hour}`,
    () => new Set(loadOpenNeeds(shop).flatMap((need) => need.accepts)),
  );
}

/**
 * Null where its supplier is not on the list any more. Of a bundle, the colours of use are those that are needed; of a
 * pack with none of these, all that the shelf knows.
 */
export function viewOffer({ supplierOf, thingOf, needed, figures }: Ground, stored: StoredOffer): OfferView | null {
  const supplier = supplierOf.get(stored.supplierId);
  if (!supplier) return null;
  const offer = toOffer(stored);
  const some = stored.parts.some((part) => part.key !== null && needed.has(part.key));
  return {
    id: offer.id,
    supplierId: offer.supplierId,
    code: stored.code,
    name: offer.name,
    price: offer.price,
    parts: stored.parts.map((part) => ({ ...part, thing: thingOf.get(part.key ?? '') ?? null })),
    breaks: offer.breaks,
    takePay: offer.takePay,
    pricedAtMs: stored.pricedAtMs,
    version: stored.version,
    unit: computeUnitPrices(offer, 1, {
      wanted: (key) => (some ? needed.has(key) : key !== ''),
      margins: { sideMm: figures.cutterEdgeMm, endMm: 0 },
      shipping: shareOfShipping(supplier, offer.price),
    }),
  };
}

/** Its share of shipping, as if a pack came alone. */
const shareOfShipping = (supplier: Supplier, price: number): number =>
  supplier.freeFrom !== null && price >= supplier.freeFrom ? 0 : supplier.shipping;

export const toSupplierView = (supplier: StoredSupplier, offers: number): SupplierView => ({
  id: supplier.id,
  name: supplier.name,
  shipping: supplier.shipping,
  freeFrom: supplier.freeFrom,
  minimumOrder: supplier.minimumOrder,
  leadDays: supplier.leadDays,
  email: supplier.email,
  simulated: supplier.listFile !== null,
  version: supplier.version,
  offers,
});
