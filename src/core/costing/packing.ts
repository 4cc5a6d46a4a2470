// What true shapes take of what boxes in rows would: measured once for a layer, by laying out as many as are usually
// made.

import { getLayerMaterial, type ShopFigures, type Vinyl } from '../materials';

/**
 * `share` of the strip of boxes, for so many copies; 1 where shapes lie no closer than their boxes. It holds for one
 * width of roll, and for one freedom to turn.
 */
export type Packing = {
  readonly share: number;
  readonly copies: number;
  readonly usableMm: number;
  readonly turnable: boolean;
};
/** As it is kept, with the layer that it is of. */
export type StoredPacking = Packing & {
  readonly artworkId: number;
  readonly artworkVersion: number;
  readonly layerIndex: number;
  readonly widthMm: number;
};

/** Laid out at another size it packs much the same: as long as it is not farther from it than this share. */
const SIZE_HOLDS = 0.25;

export const getUsableMm = (vinyl: Pick<Vinyl, 'rollWidthMm'>, shop: Pick<ShopFigures, 'cutterEdgeMm'>): number =>
  vinyl.rollWidthMm - 2 * shop.cutterEdgeMm;

export const isPackedFor = ({ usableMm, turnable }: Packing, vinyl: Vinyl, shop: ShopFigures): boolean =>
  turnable === getLayerMaterial(vinyl, shop).turnable && Math.abs(usableMm - getUsableMm(vinyl, shop)) < 0.5;

export type PackedLayer = {
  readonly artworkId: number;
  readonly artworkVersion: number;
  readonly layerIndex: number;
  readonly widthMm: number;
};

/** All that are kept of a layer at about this width. */
export const listPackings = (stored: readonly StoredPacking[], layer: PackedLayer): readonly Packing[] =>
  stored.filter(
    (one) =>
      one.artworkId === layer.artworkId &&
      one.artworkVersion === layer.artworkVersion &&
      one.layerIndex === layer.layerIndex &&
      Math.abs(one.widthMm / layer.widthMm - 1) <= SIZE_HOLDS,
  );

/** Between one, which lies alone, and the copies that were laid out the gain comes evenly; more gain no more. */
export function getPackingShare({ share, copies }: Packing, quantity: number): number {
  if (quantity <= 1 || copies <= 1) return 1;
  return 1 - (1 - share) * Math.min(1, (quantity - 1) / (copies - 1));
}
