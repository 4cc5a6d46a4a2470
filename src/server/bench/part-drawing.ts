// What one part is cut from: its drawing as it was prepared, and which layer of it, so that a page can draw its bits.

import { findArtworks } from '../../data/artwork-store';
import type { PartDrawing } from '../../views/bench';
import type { ShopContext } from '../context';
import { notFound } from '../errors';
import { readMadeLines } from '../items/materials';
import { readOrdersOf, requireParts } from './bench-parts';

/** @throws ShopError when the part or its drawing is gone, or its order closed */
export function loadPartDrawing(shop: ShopContext, partId: number): PartDrawing {
  const orders = readOrdersOf(shop, [partId]);
  const [part] = requireParts(orders, [partId]);
  const layer = readMadeLines(shop, orders).lines.get(part!.lineId)?.layers[part!.layerIndex];
  const [artwork] = layer ? findArtworks(shop.db, [layer.artworkId]) : [];
  if (!layer || !artwork) throw notFound('The drawing of this part');
  return {
    artworkId: artwork.id,
    steps: artwork.steps,
    savedWidthMm: artwork.measurement.widthMm,
    widthMm: layer.widthMm,
    layerIndex: layer.layerIndex,
    recut: part!.recut,
  };
}
