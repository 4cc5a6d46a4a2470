// What an item costs now, from the shelf, the artwork and the shop's figures.

import { getWornLayers, scaleMeasurement } from '../core/artwork';
import { computeItemCost, type CostProblem, type ItemCost } from '../core/costing';
import type { Blank, ShopFigures, Vinyl } from '../core/materials';
import type { Result } from '../core/units';
import type { StoredArtwork } from '../data/artwork-store';
import type { ItemFields } from '../data/item-store';
import { findArtworks } from '../data/artwork-store';
import { findBlanks, findVinyls, type StoredBlank, type StoredVinyl } from '../data/shelf-store';
import type { ShopContext } from './context';

export type Materials = { readonly blanks: ReadonlyMap<number, StoredBlank>; readonly vinyls: ReadonlyMap<number, StoredVinyl>; readonly artworks: ReadonlyMap<number, StoredArtwork> };

/** Everything that these items are made of, and other vinyls that parts of older orders are cut from; archived things too: an old item still has to be costed and made. */
export function loadMaterials(shop: ShopContext, items: readonly Pick<ItemFields, 'artworkId' | 'blankId' | 'vinylIds'>[], alsoVinylIds: readonly number[] = []): Materials {
  const byId = <T extends { id: number }>(things: readonly T[]) => new Map(things.map((thing) => [thing.id, thing]));
  return {
    blanks: byId(findBlanks(shop.db, [...new Set(items.map((item) => item.blankId))])),
    vinyls: byId(findVinyls(shop.db, [...new Set([...items.flatMap((item) => item.vinylIds), ...alsoVinylIds])])),
    artworks: byId(findArtworks(shop.db, [...new Set(items.map((item) => item.artworkId))])),
  };
}

export function getItemLayers(item: Pick<ItemFields, 'artworkId' | 'widthMm' | 'vinylIds'>, materials: Materials) {
  const artwork = materials.artworks.get(item.artworkId);
  if (!artwork) return [];
  const measured = scaleMeasurement(artwork.measurement, item.widthMm);
  return getWornLayers(measured).flatMap((measurement, index) => {
    const vinyl: Vinyl | undefined = materials.vinyls.get(item.vinylIds[index] ?? -1);
    return vinyl ? [{ measurement, vinyl, name: artwork.layerNames[index] ?? measurement.colour }] : [];
  });
}

export function priceItem(input: { item: ItemFields; sizeName: string; quantity: number; materials: Materials; figures: ShopFigures }): Result<ItemCost, CostProblem> {
  const { item, sizeName, quantity, materials, figures } = input;
  const blank: Blank | undefined = materials.blanks.get(item.blankId);
  if (!blank) return { ok: false, problem: { kind: 'unknown-size', sizeName, blankName: 'This blank' } };
  return computeItemCost({ blank, sizeName, layers: getItemLayers(item, materials), areaBasis: item.areaBasis, artwork: { price: item.artworkPrice, run: item.artworkRun } }, quantity, figures);
}
