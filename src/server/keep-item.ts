// Adding, changing and taking off items; what an item refers to has to be there.

import type { InferType } from 'yup';
import { getWornLayers } from '../core/artwork';
import type { itemInput } from '../core/input';
import { minor } from '../core/units';
import { findArtwork } from '../data/artwork-store';
import { insertItem, setItemArchived, updateItem, findItem, type ItemFields } from '../data/item-store';
import { findBlank, findVinyl } from '../data/shelf-store';
import type { ShopContext } from './context';
import { notFound, ShopError, stale } from './errors';

function toItemFields(shop: ShopContext, input: InferType<typeof itemInput>): ItemFields {
  const blank = findBlank(shop.db, input.blankId);
  if (!blank) throw new ShopError('invalid', 'Blank: it is not on the shelf any more. Choose another.', 'blankId');
  if (!blank.sizes.some((size) => size.name === input.sizeName)) throw new ShopError('invalid', `Size: ${blank.name} has ${blank.sizes.map((size) => size.name).join(', ')}.`, 'sizeName');
  if (!blank.colours.some((colour) => colour.name === input.colourName)) throw new ShopError('invalid', `Colour: ${blank.name} has ${blank.colours.map((colour) => colour.name).join(', ')}.`, 'colourName');
  const artwork = findArtwork(shop.db, input.artworkId);
  if (!artwork) throw new ShopError('invalid', 'Artwork: it is not here any more. Choose another.', 'artworkId');
  const layers = getWornLayers(artwork.measurement).length;
  if (input.vinylIds.length !== layers) throw new ShopError('invalid', `Vinyl: this artwork has ${layers} ${layers === 1 ? 'layer' : 'layers'}, choose one for each.`, 'vinylIds');
  for (const [index, id] of input.vinylIds.entries()) {
    if (!findVinyl(shop.db, id)) throw new ShopError('invalid', 'Vinyl: it is not on the shelf any more. Choose another.', `vinylIds[${index}]`);
  }
  return { ...input, price: minor(input.price), artworkPrice: minor(input.artworkPrice) };
}

export function addItem(shop: ShopContext, input: InferType<typeof itemInput>): { id: number } {
  return { id: shop.db.transaction(() => insertItem(shop.db, toItemFields(shop, input))) };
}

export function changeItem(shop: ShopContext, id: number, input: InferType<typeof itemInput>, version: number): { id: number } {
  if (!findItem(shop.db, id)) throw notFound('This item');
  if (!shop.db.transaction(() => updateItem(shop.db, id, toItemFields(shop, input), version))) throw stale('This item');
  return { id };
}

export function archiveItem(shop: ShopContext, id: number, archived: boolean): void {
  if (!setItemArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This item');
}
