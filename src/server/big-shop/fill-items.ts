// A thousand drawings, and the items made with some of them.

import { PRICE_BASES } from '../../core/stock/index';
import { groupBy, minor } from '../../core/units/index';
import { findOriginal, insertArtwork, loadArtworks, type StoredArtwork } from '../../data/artwork-store';
import { insertItem, loadItems, type StoredItem } from '../../data/item-store';
import { loadPackings, savePacking } from '../../data/packing-store';
import { loadVinyls } from '../../data/shelf-store';
import type { ShopContext } from '../context';
import type { Chance } from '../chance';

const DAY_MS = 86_400_000;
/** In place of the vinyl that an item of the demo has: one like it. */
const OTHER_VINYL = 0.8;

export function fillItems(
  shop: ShopContext,
  chance: Chance,
  wanted: { readonly artworks: number; readonly items: number },
): void {
  const models = loadArtworks(shop.db);
  const copies = groupBy(
    Array.from({ length: wanted.artworks }, (_, index) => copyArtwork(shop, models[index % models.length]!, index)),
    (copy) => copy.modelId,
  );
  const vinyls = groupBy(loadVinyls(shop.db), (vinyl) => vinyl.kind);
  const kinds = new Map([...vinyls].flatMap(([kind, own]) => own.map(({ id }) => [id, kind] as const)));
  const likeIt = (vinylId: number): number =>
    chance.happens(OTHER_VINYL) ? chance.pick(vinyls.get(kinds.get(vinylId)!)!).id : vinylId;
  const artworkLike = (artworkId: number): number => chance.pick(copies.get(artworkId)!).id;
  const ofTheDemo = loadItems(shop.db);
  // Most of what a shop sells is of one colour.
  const items = [...ofTheDemo, ...ofTheDemo.filter(isOfOneColour), ...ofTheDemo.filter(isOfOneColour)];
  for (let index = 0; index < wanted.items; index++)
    copyItem({ shop, chance, model: items[index % items.length]!, index, likeIt, artworkLike });
}

const isOfOneColour = (item: StoredItem): boolean =>
  item.placements.reduce((sum, placement) => sum + placement.vinylIds.length, 0) === 1;

function copyArtwork(shop: ShopContext, model: StoredArtwork, index: number): { id: number; modelId: number } {
  const { id: modelId, version: _version, archived: _archived, originalBytes: _bytes, ...fields } = model;
  const id = insertArtwork(shop.db, {
    ...fields,
    name: `${model.name} ${index + 1}`,
    original: findOriginal(shop.db, modelId)!.original,
    createdAtMs: shop.now() - (index % 1000) * DAY_MS,
  });
  for (const packing of loadPackings(shop.db, [modelId]))
    savePacking(shop.db, { ...packing, artworkId: id, artworkVersion: 1 });
  return { id, modelId };
}

function copyItem(input: {
  readonly shop: ShopContext;
  readonly chance: Chance;
  readonly model: StoredItem;
  readonly index: number;
  readonly likeIt: (vinylId: number) => number;
  readonly artworkLike: (artworkId: number) => number;
}): void {
  const { shop, chance, model, index, likeIt, artworkLike } = input;
  const { id: _id, version: _version, archived: _archived, acceptedCost: _accepted, ...fields } = model;
  insertItem(shop.db, {
    ...fields,
    name: `${model.name} ${index + 1}`,
    quantity: chance.whole(1, 12),
    price: minor(chance.whole(900, 6_000)),
    placements: fields.placements.map((placement) => ({
      ...placement,
      artworkId: artworkLike(placement.artworkId),
      vinylIds: placement.vinylIds.map(likeIt),
    })),
    details: { ...fields.details, priceBasis: chance.pick(PRICE_BASES) },
  });
}
