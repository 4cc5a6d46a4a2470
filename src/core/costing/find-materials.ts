// Where core looks up what an item names, from plain lists of it.

import type { Vinyl } from '../materials';
import type { Prices } from '../stock';
import { listPackings, type StoredPacking } from './packing';
import type { ArtworkFacts, ItemMaterials } from './made-layers';

export type MaterialLists = {
  readonly vinyls: readonly Vinyl[];
  readonly artworks: readonly (ArtworkFacts & { readonly id: number; readonly version: number })[];
  /** What was paid and is offered, by the key of a thing. */
  readonly prices: readonly (readonly [string, Prices])[];
  readonly packings: readonly StoredPacking[];
};

export function findMaterials({ vinyls, artworks, prices, packings }: MaterialLists): ItemMaterials {
  const vinylById = new Map(vinyls.map((vinyl) => [vinyl.id, vinyl]));
  const artworkById = new Map(artworks.map((artwork) => [artwork.id, artwork]));
  const pricesByKey = new Map(prices);
  return {
    vinyl: (id) => vinylById.get(id),
    artwork: (id) => artworkById.get(id),
    prices: (key) => pricesByKey.get(key),
    // An item that is being typed has no layout of its own yet: the likeliest one stands in for it.
    packings: (layer) =>
      listPackings(packings, { ...layer, artworkVersion: artworkById.get(layer.artworkId)?.version ?? 0 }, true),
  };
}
