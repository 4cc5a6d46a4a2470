// The views of items, artworks and the shelf.

import { readPrice } from '../../core/pricing';
import { countItemsByArtwork, findArtwork, loadArtworks } from '../../data/artwork-store';
import { loadChannels } from '../../data/channel-store';
import { findItem, loadItems } from '../../data/item-store';
import { findBlank, findVinyl, loadBlanks, loadVinyls } from '../../data/shelf-store';
import { loadVinylEvidence } from '../../data/order-store';
import type { ArtworkListView, ArtworkView, CompareView, ItemEditorView, ItemListView, ItemRow, ShelfView } from '../../views/views';
import { describeCostProblem } from '../../wording/problems';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { loadMaterials, priceItem } from '../price-item';

export const loadShelf = (shop: ShopContext): ShelfView => ({ vinyls: loadVinyls(shop.db), blanks: loadBlanks(shop.db) });
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
  const items = loadItems(shop.db);
  const materials = loadMaterials(shop, items);
  const stored = getShop(shop);
  const settings = { locale: stored.locale, currency: stored.currency, timeZone: stored.timeZone, system: 'metric' as const };
  return {
    rows: items.map((item): ItemRow => {
      const cost = priceItem({ item, sizeName: item.sizeName, quantity: item.quantity, materials, figures: stored.figures });
      return {
        item, picture: materials.artworks.get(item.artworkId)!.picture, blankName: materials.blanks.get(item.blankId)?.name ?? '', cost: cost.ok ? { ...cost.value, layers: [] } : null,
        hourEarns: cost.ok ? readPrice(item.price, cost.value, stored.figures).hourEarns : null, problem: cost.ok ? null : describeCostProblem(cost.problem, settings),
      };
    }),
  };
}

/** What the item's page needs to reckon by itself: the item (or none yet), all artworks, and the shelf with what the item uses. @throws ShopError not-found */
export function loadItemEditor(shop: ShopContext, id: number | null, startArtworkId: number | null): ItemEditorView {
  const item = id === null ? null : findItem(shop.db, id);
  if (id !== null && !item) throw notFound('This item');
  const shelf = loadShelf(shop);
  const artworks = loadArtworks(shop.db);
  const channels = loadChannels(shop.db);
  if (!item) return { item, artworks, shelf, startArtworkId, channels };
  const present = <T extends { readonly id: number }>(things: readonly T[], ids: readonly number[], find: (missing: number) => T | null) =>
    [...things, ...[...new Set(ids)].filter((missing) => !things.some((thing) => thing.id === missing)).flatMap((missing) => find(missing) ?? [])];
  return {
    item, startArtworkId, channels,
    artworks: present(artworks, [item.artworkId], (missing) => findArtwork(shop.db, missing)),
    shelf: { vinyls: present(shelf.vinyls, item.vinylIds, (missing) => findVinyl(shop.db, missing)), blanks: present(shelf.blanks, [item.blankId], (missing) => findBlank(shop.db, missing)) },
  };
}

/** @throws ShopError not-found */
export function loadCompare(shop: ShopContext, id: number): CompareView {
  const { item, artworks, shelf } = loadItemEditor(shop, id, null);
  const artwork = artworks.find((candidate) => candidate.id === item!.artworkId)!;
  return { item: item!, artwork, blank: shelf.blanks.find((candidate) => candidate.id === item!.blankId)!, vinyls: shelf.vinyls, evidence: [...loadVinylEvidence(shop.db)].map(([vinylId, counts]) => ({ vinylId, ...counts })) };
}
