// All offers side by side, looked through a page at a time. What is worked out of them is kept until something it rests
// on changes.

import { findOffers, loadOffers, readOfferStamp, type StoredOffer } from '../../data/offer-store';
import { loadSuppliers } from '../../data/supplier-store';
import type { OfferPage, OffersView } from '../../views/offers';
import type { ShopContext } from '../context';
import { rememberUntilChange } from '../remember';
import { readStampOfShelf } from '../stock/shelf-stamp';
import { loadGround, toSupplierView, viewOffer, type Ground } from './view-offer';

type OfferSort = 'unit' | 'name' | 'newest';
export type OfferQuery = {
  readonly words: string;
  readonly supplierId: number;
  readonly sort: OfferSort;
  readonly offset: number;
};
const OFFER_PAGE = 60;

/** What an offer is found and sorted by; the rest of it is read for the page that shows it. */
type Entry = {
  readonly id: number;
  readonly supplierId: number;
  readonly name: string;
  /** Lower case: name, article and what the parts are called. */
  readonly text: string;
  readonly pricedAtMs: number;
  readonly isMatched: boolean;
  /** Priced by area; else by piece. */
  readonly isVinyl: boolean;
  /** Minor units for a square metre or a piece. */
  readonly perUnit: number;
};

type Index = {
  readonly stamp: string;
  readonly sorted: Readonly<Record<OfferSort, readonly Entry[]>>;
  readonly unmatched: number;
  readonly bySupplier: ReadonlyMap<number, number>;
};
const indexes = new WeakMap<ShopContext['db'], Index>();

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
  // One supplier after another: all offers at once are a hundred megabytes for a moment.
  const entries = suppliers.flatMap(({ id }) =>
    loadOffers(shop.db, id).flatMap((stored) => toEntry(ground, stored) ?? []),
  );
  const index = { stamp, ...sortEntries(entries) };
  indexes.set(shop.db, index);
  return index;
}

function toEntry(ground: Ground, stored: StoredOffer): Entry | null {
  const view = viewOffer(ground, stored);
  if (!view) return null;
  const { perM2, perPiece } = view.unit;
  const names = view.parts.map((part) => part.thing?.name ?? part.label);
  return {
    id: view.id,
    supplierId: view.supplierId,
    name: view.name,
    text: `${view.name} ${view.code} ${names.join(' ')}`.toLowerCase(),
    pricedAtMs: view.pricedAtMs,
    isMatched: view.parts.every((part) => part.key !== null),
    isVinyl: perM2 !== null,
    perUnit: perM2?.value ?? perPiece?.value ?? Infinity,
  };
}

function sortEntries(entries: readonly Entry[]): Omit<Index, 'stamp'> {
  const bySupplier = new Map<number, number>();
  for (const { supplierId } of entries) bySupplier.set(supplierId, (bySupplier.get(supplierId) ?? 0) + 1);
  const byName = [...entries].sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.id - b.id));
  return {
    bySupplier,
    unmatched: entries.filter(({ isMatched }) => !isMatched).length,
    sorted: {
      name: byName,
      // Vinyl first, since square metres and pieces can't be compared.
      unit: [...byName].sort((a, b) => Number(b.isVinyl) - Number(a.isVinyl) || a.perUnit - b.perUnit),
      newest: [...byName].sort((a, b) => b.pricedAtMs - a.pricedAtMs),
    },
  };
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
