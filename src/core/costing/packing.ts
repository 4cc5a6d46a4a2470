// What true shapes take of what boxes in rows would: measured once for a layer, by laying out as many as are usually
// made.

import { MOST_STANDARD_COPIES } from '../nesting/standard-copies';
import { getLayerMaterial, type ShopFigures, type Vinyl } from '../materials';
import { LENGTH_NOISE_MM } from '../units';

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
  /** As it is made. */
  readonly widthMm: number;
  /** As its item usually is made; where nothing is said, the same. */
  readonly usualWidthMm?: number | undefined;
  /** How many of its item are made in one go, as they are laid out. */
  readonly copies: number;
};

/**
 * The layouts of a layer, which hold at about their size. A layout belongs to its item's width and number: one that was
 * made for another item counts only where there is none and `likely` asks for it, as while an item is being typed.
 */
export function listPackings(stored: readonly StoredPacking[], layer: PackedLayer, likely = false): readonly Packing[] {
  const { widthMm, usualWidthMm = widthMm, copies } = layer;
  const known = stored.filter(
    (one) =>
      one.artworkId === layer.artworkId &&
      one.artworkVersion === layer.artworkVersion &&
      one.layerIndex === layer.layerIndex &&
      Math.abs(one.widthMm / widthMm - 1) <= SIZE_HOLDS,
  );
  const own = known.filter((one) => one.copies === copies && Math.abs(one.widthMm - usualWidthMm) < LENGTH_NOISE_MM);
  if (own.length > 0 || !likely) return own;
  return [...known].sort((a, b) => distance(a, layer) - distance(b, layer));
}

const distance = (one: StoredPacking, { widthMm, copies }: PackedLayer) =>
  Math.abs(Math.log(one.widthMm / widthMm)) + Math.abs(Math.log(one.copies / copies));

/** As many are laid out for an item that is made in such a number. */
export const getPackedCopies = (madeAtOnce: number): number => Math.min(MOST_STANDARD_COPIES, Math.max(1, madeAtOnce));

/** Between one, which lies alone, and the copies that were laid out the gain comes evenly; more gain no more. */
export function getPackingShare({ share, copies }: Packing, quantity: number): number {
  if (quantity <= 1 || copies <= 1) return 1;
  return 1 - (1 - share) * Math.min(1, (quantity - 1) / (copies - 1));
}
