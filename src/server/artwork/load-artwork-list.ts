// The list of drawings, a page at a time.

import { countArtworks, listArtworks } from '../../data/artwork-store';
import { countItemsByArtwork } from '../../data/item-store';
import type { ArtworkListView } from '../../views/artwork';
import type { ShopContext } from '../context';
import { findPage, readListQuery } from '../list-query';
import { pictureHref } from './picture-file';

const PAGE_CARDS = 48;

export function loadArtworkList(shop: ShopContext, params = new URLSearchParams()): ArtworkListView {
  const query = readListQuery(params, ['name']);
  const { words } = query;
  const { offset, ...at } = findPage(countArtworks(shop.db, words), query.page, PAGE_CARDS);
  const listed = listArtworks(shop.db, { words, offset, limit: PAGE_CARDS });
  const uses = countItemsByArtwork(
    shop.db,
    listed.map((artwork) => artwork.id),
  );
  return {
    query,
    at,
    artworks: listed.map((artwork) => ({
      id: artwork.id,
      name: artwork.name,
      widthMm: artwork.measurement.widthMm,
      heightMm: artwork.measurement.heightMm,
      layers: artwork.layerNames.map((name, index) => ({
        name,
        colour: artwork.measurement.layers[index]?.colour ?? null,
      })),
      pictureHref: pictureHref(artwork),
      usedBy: uses.get(artwork.id) ?? 0,
    })),
  };
}
