// The room of vinyls and blanks: looked through on the server, a page at a time.

import {
  computePricePerM2,
  filterVinyls,
  getPricePerMm2,
  NO_FILTER,
  type VinylFilter,
} from '../../core/materials/index';
import { parseKey } from '../../core/stock/index';
import type { Figure } from '../../core/units/index';
import { findVinyl, loadBlanks, loadVinyls, type StoredVinyl } from '../../data/shelf-store';
import { loadStockedKeys } from '../../data/stock-store';
import type { ShelfPage } from '../../views/shelf';
import type { ShopContext } from '../context';
import { readStampOfShelf } from './shelf-stamp';

/** All that are on the shelf, and what of them costs least and most by the square metre. */
type Shelf = {
  readonly vinyls: readonly StoredVinyl[];
  readonly cheapest: Figure | null;
  readonly dearest: Figure | null;
};
const cache = new WeakMap<ShopContext['db'], Shelf & { readonly stamp: string }>();

/** Kept until one changes: searching asks for them with each letter. */
function readShelf(shop: ShopContext): Shelf {
  const stamp = readStampOfShelf(shop);
  const known = cache.get(shop.db);
  if (known?.stamp === stamp) return known;
  const vinyls = loadVinyls(shop.db);
  const [first, ...others] = vinyls.map((vinyl) => ({ vinyl, price: getPricePerMm2(vinyl) }));
  const cheapest = first && others.reduce((a, b) => (b.price < a.price ? b : a), first);
  const dearest = first && others.reduce((a, b) => (b.price > a.price ? b : a), first);
  const shelf = {
    stamp,
    vinyls,
    cheapest: cheapest ? computePricePerM2(cheapest.vinyl) : null,
    dearest: dearest ? computePricePerM2(dearest.vinyl) : null,
  };
  cache.set(shop.db, shelf);
  return shelf;
}

const SHELF_PAGE = 100;
export type ShelfQuery = VinylFilter & { readonly offset: number };

/** `openId`: a vinyl to be opened, wherever in the list it stands. */
export function loadShelfPage(
  shop: ShopContext,
  query: ShelfQuery = { ...NO_FILTER, offset: 0 },
  openId: number | null = null,
): ShelfPage {
  const { vinyls, cheapest, dearest } = readShelf(shop);
  const stocked = query.inStock
    ? new Set(
        loadStockedKeys(shop.db).flatMap((key) => {
          const thing = parseKey(key);
          return thing?.kind === 'vinyl' ? [thing.vinylId] : [];
        }),
      )
    : new Set<number>();
  const found = filterVinyls(vinyls, query, stocked);
  return {
    vinyls: found.slice(query.offset, query.offset + SHELF_PAGE),
    total: found.length,
    offset: query.offset,
    vinylCount: vinyls.length,
    cheapest,
    dearest,
    blanks: loadBlanks(shop.db),
    open: openId === null ? null : findVinyl(shop.db, openId),
  };
}
