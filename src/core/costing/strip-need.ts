// What cutting so many of a layer takes off a roll: the strip, the area of it that a cutter reaches, and how wide the
// roll has to be.

import type { LayerMeasurement } from '../artwork';
import type { ShopFigures, Vinyl } from '../materials';
import { computeLayerAreas } from './layer-areas';

export type StripNeed = { readonly stripLengthMm: number; readonly usableMm2: number; readonly leastWidthMm: number };

/** Null where the layer is wider than the roll either way. */
export function computeStripNeed(
  layer: LayerMeasurement,
  vinyl: Vinyl,
  quantity: number,
  shop: ShopFigures,
): StripNeed | null {
  const areas = computeLayerAreas({ layer, vinyl, quantity, shop });
  if (!areas.ok) return null;
  const across = (areas.value.turned ? layer.box.height : layer.box.width) + 2 * shop.weedMarginMm;
  return {
    stripLengthMm: areas.value.stripLengthMm,
    usableMm2: areas.value.stripLengthMm * (vinyl.rollWidthMm - 2 * shop.cutterEdgeMm),
    leastWidthMm: across + 2 * shop.cutterEdgeMm,
  };
}
