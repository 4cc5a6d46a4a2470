// Keeping, changing and taking off artworks. The server measures the original itself; no figure is taken from a page.

import type { InferType } from 'yup';
import type { artworkChange } from '../core/input';
import { findArtwork, findOriginal, insertArtwork, setArtworkArchived, updateArtwork } from '../data/artwork-store';
import { getDisplayColourName } from '../wording/colours';
import type { ShopContext } from './context';
import { notFound, ShopError, stale } from './errors';
import { measureFile } from './measure-file';

export async function keepArtwork(shop: ShopContext, file: { readonly bytes: Uint8Array; readonly fileName: string; readonly name: string; readonly widthMm: number; readonly layerNames?: readonly string[] }): Promise<{ id: number }> {
  const measured = await measureFile(file.bytes, file.widthMm);
  const layerNames = measured.measurement.layers.map((layer, index) => file.layerNames?.[index] ?? getDisplayColourName(layer.colour));
  const fields = { ...measured, layerNames, name: file.name, fileName: file.fileName, original: Buffer.from(file.bytes), createdAtMs: shop.now() };
  return { id: shop.db.transaction(() => insertArtwork(shop.db, fields)) };
}

export async function changeArtwork(shop: ShopContext, id: number, change: InferType<typeof artworkChange>, version: number): Promise<{ id: number }> {
  const known = findArtwork(shop.db, id);
  const original = findOriginal(shop.db, id);
  if (!known || !original) throw notFound('This artwork');
  const measured = await measureFile(original.original, change.widthMm);
  if (change.layerNames.length !== measured.measurement.layers.length) throw new ShopError('invalid', `This artwork has ${measured.measurement.layers.length} layers: name each of them.`, 'layerNames');
  const saved = shop.db.transaction(() => updateArtwork(shop.db, id, { ...measured, name: change.name, layerNames: change.layerNames }, version));
  if (!saved) throw stale('This artwork');
  return { id };
}

export function archiveArtwork(shop: ShopContext, id: number, archived: boolean): void {
  if (!setArtworkArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This artwork');
}
