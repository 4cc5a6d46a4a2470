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
import { findVinyl, loadBlanks, loadVinyls, readShelfStamp, type StoredVinyl } from '../../data/shelf-store';
import { loadStockedKeys } from '../../data/stock-store';
import type { ShelfPage } from '../../views/shelf';
import type { ShopContext } from '../context';

const cache = new WeakMap<ShopContext['db'], { readonly stamp: string; readonly vinyls: readonly StoredVinyl[] }>();

/** Kept until one changes: searching asks for them with each letter. */
function readVinyls(shop: ShopContext): readonly StoredVinyl[] {
  const stamp = JSON.stringify(readShelfStamp(shop.db));
  const known = cache.get(shop.db);
  if (known?.stamp === stamp) return known.vinyls;
  const vinyls = loadVinyls(shop.db);
  cache.set(shop.db, { stamp, vinyls });
  return vinyls;
}

const SHELF_PAGE = 100;
export type ShelfQuery = VinylFilter & { readonly offset: number };

/** `openId`: a vinyl to be opened, wherever in the list it stands. */
export function loadShelfPage(
  shop: ShopContext,
  query: ShelfQuery = { ...NO_FILTER, offset: 0 },
  openId: number | null = null,
): ShelfPage {
  const vinyls = readVinyls(shop);
  const stocked = query.inStock
    ? new Set(
        loadStockedKeys(shop.db).flatMap((key) => {
          const thing = parseKey(key);
          return thing?.kind === 'vinyl' ? [thing.vinylId] : [];
        }),
      )
    : new Set<number>();
  const found = filterVinyls(vinyls, query, stocked);
  const extreme = (sign: 1 | -1): Figure | null =>
    vinyls.length === 0
      ? null
      : computePricePerM2(vinyls.reduce((a, b) => ((getPricePerMm2(b) - getPricePerMm2(a)) * sign < 0 ? b : a)));
  return {
    vinyls: found.slice(query.offset, query.offset + SHELF_PAGE),
    total: found.length,
    offset: query.offset,
    vinylCount: vinyls.length,
    cheapest: extreme(1),
    dearest: extreme(-1),
    blanks: loadBlanks(shop.db),
    open: openId === null ? null : findVinyl(shop.db, openId),
  };
}
