// The views of items, artworks and the shelf.

import { readPrice } from '../../core/pricing/index';
import { explainChange, listArtworkIds, listVinylIds } from '../../core/costing/index';
import { parseKey } from '../../core/stock/index';
import { findArtwork, loadArtworks } from '../../data/artwork-store';
import { loadChannels } from '../../data/channel-store';
import { countItemsByArtwork, findItem } from '../../data/item-store';
import { loadOffers } from '../../data/offer-store';
import { findBlank, findVinyl, loadBlanks, loadVinyls } from '../../data/shelf-store';
import type { ArtworkListView, ArtworkView } from '../../views/artwork';
import type { CompareOffer, CompareView } from '../../views/compare';
import type { ItemEditorView, ItemListView, ItemRow } from '../../views/items';
import type { ShelfView } from '../../views/shelf';
import { describeCostProblem } from '../../wording/problems';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { toOffer } from '../buying/offer-of';
import { ROLL_FROM_MM } from '../buying/purchases';
import { loadEvidence } from './evidence';
import { loadPackings } from '../../data/packing-store';
import { loadPrices } from './prices';
import { priceAllItems } from './price-all';
import { loadVinylEvidence } from '../../data/evidence-store';
import { loadSuppliers } from '../../data/supplier-store';

export const loadShelf = (shop: ShopContext): ShelfView => ({
  vinyls: loadVinyls(shop.db),
  blanks: loadBlanks(shop.db),
});
export function loadArtworkList(shop: ShopContext): ArtworkListView {
  const uses = countItemsByArtwork(shop.db);
  return { artworks: loadArtworks(shop.db).map((artwork) => ({ ...artwork, usedBy: uses.get(artwork.id) ?? 0 })) };
}

/** @throws ShopError not-found */
export function loadArtworkView(shop: ShopContext, id: number): ArtworkView {
  const artwork = findArtwork(shop.db, id);
  if (!artwork) throw notFound('This artwork');
  return artwork;
}

export function loadItemList(shop: ShopContext): ItemListView {
  const { rows, materials } = priceAllItems(shop);
  const stored = getShop(shop);
  const settings = {
    locale: stored.locale,
    currency: stored.currency,
    timeZone: stored.timeZone,
    system: 'metric' as const,
  };
  return {
    rows: rows.map(({ item, cost }): ItemRow => ({
      item,
      picture: materials.artworks.get(item.placements[0]!.artworkId)!.picture,
      blankName: materials.blanks.get(item.blankId)?.name ?? '',
      cost: cost.ok ? { ...cost.value, layers: [] } : null,
      change: cost.ok && item.acceptedCost ? explainChange(item.acceptedCost, cost.value) : null,
      hourEarns: cost.ok ? readPrice(item.price, cost.value, stored.figures).hourEarns : null,
      problem: cost.ok ? null : describeCostProblem(cost.problem, settings),
    })),
  };
}

/**
 * What the item's page needs to calculate by itself: the item (or none yet), all artworks, and the shelf with what the
 * item uses. @throws ShopError not-found
 */
export function loadItemEditor(shop: ShopContext, id: number | null, startArtworkId: number | null): ItemEditorView {
  const item = id === null ? null : findItem(shop.db, id);
  if (id !== null && !item) throw notFound('This item');
  const shelf = loadShelf(shop);
  const artworks = loadArtworks(shop.db);
  const channels = loadChannels(shop.db);
  const packings = loadPackings(shop.db, [
    ...new Set([...artworks.map((artwork) => artwork.id), ...(item ? listArtworkIds(item) : [])]),
  ]);
  const known = {
    packings,
    startArtworkId,
    channels,
    prices: [...loadPrices(shop)],
    evidence: item ? loadEvidence(shop).of(item.id) : {},
  };
  if (!item) return { item, artworks, shelf, ...known };
  const present = <T extends { readonly id: number }>(
    things: readonly T[],
    ids: readonly number[],
    find: (missing: number) => T | null,
  ) => [
    ...things,
    ...[...new Set(ids)]
      .filter((missing) => !things.some((thing) => thing.id === missing))
      .flatMap((missing) => find(missing) ?? []),
  ];
  return {
    item,
    ...known,
    artworks: present(artworks, listArtworkIds(item), (missing) => findArtwork(shop.db, missing)),
    shelf: {
      vinyls: present(shelf.vinyls, listVinylIds(item), (missing) => findVinyl(shop.db, missing)),
      blanks: present(shelf.blanks, [item.blankId], (missing) => findBlank(shop.db, missing)),
    },
  };
}

/** @throws ShopError not-found */
export function loadCompare(shop: ShopContext, id: number): CompareView {
  const { item, artworks, shelf, prices, evidence } = loadItemEditor(shop, id, null);
  const vinylIds = shelf.vinyls.map((vinyl) => vinyl.id);
  return {
    item: item!,
    artworks,
    blanks: shelf.blanks,
    vinyls: shelf.vinyls,
    prices,
    own: evidence,
    offers: listOffers(shop),
    evidence: [...loadVinylEvidence(shop.db, vinylIds)].map(([vinylId, counts]) => ({ vinylId, ...counts })),
  };
}

/** Offers of one vinyl each: what bundles come to is told on the shelf. */
function listOffers(shop: ShopContext): CompareView['offers'] {
  const suppliers = new Map(loadSuppliers(shop.db).map((supplier) => [supplier.id, supplier]));
  return loadOffers(shop.db).flatMap((stored): CompareOffer[] => {
    const supplier = suppliers.get(stored.supplierId),
      [part, ...others] = stored.parts;
    const thing = part?.key ? parseKey(part.key) : null;
    if (!supplier || !part || others.length > 0 || thing?.kind !== 'vinyl' || !part.widthMm || !part.lengthMm)
      return [];
    return [
      {
        id: stored.id,
        name: stored.name,
        supplierName: supplier.name,
        vinylId: thing.vinylId,
        form: part.lengthMm >= ROLL_FROM_MM ? 'roll' : 'sheet',
        offer: toOffer(stored),
        shipping: supplier.shipping,
        freeFrom: supplier.freeFrom,
      },
    ];
  });
}
