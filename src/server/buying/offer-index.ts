// All offers side by side, looked through a page at a time. What is worked out of them is kept until something it rests
// on changes.

import { computeUnitPrices, type Supplier } from '../../core/buying';
import { loadOffers, readOfferStamp } from '../../data/offer-store';
import { readShelfStamp } from '../../data/shelf-store';
import type { OfferPage, OffersView, OfferView, SupplierView } from '../../views/offers';
import { getShop, type ShopContext } from '../context';
import { listThings } from '../stock/things';
import { loadOpenNeeds } from './needs';
import { toOffer } from './offer-of';
import { loadSuppliers } from '../../data/supplier-store';
import type { StoredSupplier } from '../../data/supplier-store';

type OfferSort = 'unit' | 'name' | 'newest';
export type OfferQuery = {
  readonly words: string;
  readonly supplierId: number;
  readonly sort: OfferSort;
  readonly offset: number;
};
const OFFER_PAGE = 60;

type Entry = {
  readonly view: OfferView;
  /** Lower case: name, article and what the parts are called. */
  readonly text: string;
};
type Index = {
  readonly stamp: string;
  readonly sorted: Readonly<Record<OfferSort, readonly Entry[]>>;
  readonly unmatched: number;
  readonly bySupplier: ReadonlyMap<number, number>;
};
const indexes = new WeakMap<ShopContext['db'], Index>();

function readIndex(shop: ShopContext, suppliers: readonly StoredSupplier[]): Index {
  const { figures } = getShop(shop);
  // The colours of a bundle that are of use: those open orders or minimums ask for; of a pack with none of these, all
  // that the shelf knows.
  const needed = new Set(loadOpenNeeds(shop).flatMap((need) => need.accepts));
  const stamp = JSON.stringify([
    readOfferStamp(shop.db),
    readShelfStamp(shop.db),
    suppliers.map(({ id, version }) => [id, version]),
    figures.cutterEdgeMm,
    [...needed].sort(),
  ]);
  const known = indexes.get(shop.db);
  if (known?.stamp === stamp) return known;
  const supplierOf = new Map(suppliers.map((supplier) => [supplier.id, supplier]));
  const thingOf = new Map(listThings(shop).map((thing) => [thing.key, thing]));
  const entries = loadOffers(shop.db).flatMap((stored): Entry[] => {
    const supplier = supplierOf.get(stored.supplierId);
    if (!supplier) return [];
    const offer = toOffer(stored);
    const some = stored.parts.some((part) => part.key !== null && needed.has(part.key));
    const unit = computeUnitPrices(offer, 1, {
      wanted: (key) => (some ? needed.has(key) : key !== ''),
      margins: { sideMm: figures.cutterEdgeMm, endMm: 0 },
      shipping: shareOfShipping(supplier, offer.price),
    });
    const parts = stored.parts.map((part) => ({ ...part, thing: thingOf.get(part.key ?? '') ?? null }));
    const view = {
      id: offer.id,
      supplierId: offer.supplierId,
      code: stored.code,
      name: offer.name,
      price: offer.price,
      parts,
      breaks: offer.breaks,
      takePay: offer.takePay,
      pricedAtMs: stored.pricedAtMs,
      version: stored.version,
      unit,
    };
    return [
      {
        view,
        text: `${view.name} ${view.code} ${parts.map((part) => part.thing?.name ?? part.label).join(' ')}`.toLowerCase(),
      },
    ];
  });
  const unitOf = ({ view: { unit } }: Entry) => unit.perM2?.value ?? unit.perPiece?.value ?? Infinity;
  const bySupplier = new Map<number, number>();
  for (const { view } of entries) bySupplier.set(view.supplierId, (bySupplier.get(view.supplierId) ?? 0) + 1);
  const index: Index = {
    stamp,
    bySupplier,
    unmatched: entries.filter(({ view }) => view.parts.some((part) => part.key === null)).length,
    sorted: {
      // Loaded by name already. Vinyl first, since square metres and pieces can't be compared.
      name: entries,
      unit: [...entries].sort(
        (a, b) => Number(a.view.unit.perM2 === null) - Number(b.view.unit.perM2 === null) || unitOf(a) - unitOf(b),
      ),
      newest: [...entries].sort((a, b) => b.view.pricedAtMs - a.view.pricedAtMs),
    },
  };
  indexes.set(shop.db, index);
  return index;
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

/** Every word has to be in an offer's name, article or parts. */
function findPage({ sorted }: Index, { words, supplierId, sort, offset }: OfferQuery): OfferPage {
  const wanted = words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const found =
    wanted.length === 0 && supplierId === 0
      ? sorted[sort]
      : sorted[sort].filter(
          ({ view, text }) =>
            (supplierId === 0 || view.supplierId === supplierId) && wanted.every((word) => text.includes(word)),
        );
  return { total: found.length, offset, offers: found.slice(offset, offset + OFFER_PAGE).map(({ view }) => view) };
}

export const findOfferPage = (shop: ShopContext, query: OfferQuery): OfferPage =>
  findPage(readIndex(shop, loadSuppliers(shop.db)), query);

/** Suppliers, how many offers they have, and the first page of these. */
export function loadOffersView(shop: ShopContext, words = ''): OffersView {
  const suppliers = loadSuppliers(shop.db);
  const index = readIndex(shop, suppliers);
  return {
    suppliers: suppliers.map((supplier) => toSupplierView(supplier, index.bySupplier.get(supplier.id) ?? 0)),
    total: index.sorted.name.length,
    unmatched: index.unmatched,
    words,
    first: findPage(index, { words, supplierId: 0, sort: 'unit', offset: 0 }),
  };
}
