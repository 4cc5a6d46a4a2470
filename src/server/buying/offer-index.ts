// All offers side by side, looked through a page at a time. What is worked out of them is kept until something it rests
// on changes.

import { findOffers, readOfferStamp } from '../../data/offer-store';
import { loadSuppliers } from '../../data/supplier-store';
import type { OfferPage, OffersView } from '../../views/offers';
import type { ShopContext } from '../context';
import { rememberUntilChange } from '../remember';
import { readStampOfShelf } from '../stock/shelf-stamp';
import { keepOffers, type Kept, type OfferSort } from './kept-offers';
import { loadGround, toSupplierView, viewOffer, type Ground } from './view-offer';

export type OfferQuery = {
  readonly words: string;
  readonly supplierId: number;
  readonly sort: OfferSort;
  readonly offset: number;
};
const OFFER_PAGE = 60;

type Index = Kept & { readonly stamp: string };
const indexes = new WeakMap<ShopContext['db'], Index>();

/** After a change only the offers that it concerns are looked at anew: a shop's suppliers have tens of thousands. */
function readIndex(shop: ShopContext, ground: Ground): Index {
  const { suppliers, needed, figures } = ground;
  const stamp = JSON.stringify([
    rememberUntilChange(shop, 'stamp of offers', () => readOfferStamp(shop.db)),
    readStampOfShelf(shop),
    suppliers.map(({ id, version }) => [id, version]),
    figures.cutterEdgeMm,
    [...needed].sort(),
  ]);
  const known = indexes.get(shop.db);
  if (known?.stamp === stamp) return known;
  const index = { stamp, ...keepOffers(shop.db, ground, known ?? null) };
  indexes.set(shop.db, index);
  return index;
}

/** Every word has to be in an offer's name, article or parts. */
function findPage(
  shop: ShopContext,
  ground: Ground,
  { sorted }: Index,
  { words, supplierId, sort, offset }: OfferQuery,
): OfferPage {
  const wanted = words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const found =
    wanted.length === 0 && supplierId === 0
      ? sorted[sort]
      : sorted[sort].filter(
          (entry) =>
            (supplierId === 0 || entry.supplierId === supplierId) && wanted.every((word) => entry.text.includes(word)),
        );
  const ids = found.slice(offset, offset + OFFER_PAGE).map(({ id }) => id);
  const stored = new Map(findOffers(shop.db, ids).map((offer) => [offer.id, offer]));
  const offers = ids.flatMap((id) => viewOffer(ground, stored.get(id)!) ?? []);
  return { total: found.length, offset, offers };
}

export function findOfferPage(shop: ShopContext, query: OfferQuery): OfferPage {
  const ground = loadGround(shop, loadSuppliers(shop.db));
  return findPage(shop, ground, readIndex(shop, ground), query);
}

/** Suppliers, how many offers they have, and the first page of these. */
export function loadOffersView(shop: ShopContext, words = ''): OffersView {
  const ground = loadGround(shop, loadSuppliers(shop.db));
  const index = readIndex(shop, ground);
  return {
    suppliers: ground.suppliers.map((supplier) => toSupplierView(supplier, index.bySupplier.get(supplier.id) ?? 0)),
    total: index.sorted.name.length,
    unmatched: index.unmatched,
    words,
    first: findPage(shop, ground, index, { words, supplierId: 0, sort: 'unit', offset: 0 }),
  };
}
