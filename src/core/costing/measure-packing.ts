// Lays a layer out as it is, to know what an item's share of a strip really is.

import type { LayerMeasurement } from '../artwork';
import type { Polyline } from '../geometry';
import { getLayerMaterial, type ShopFigures, type Vinyl } from '../materials';
import { layOutStandard } from '../nesting';
import { computeLayerAreas } from './layer-areas';
import { getPackedCopies, getUsableMm, type Packing } from './packing';

/** The strip of `quantity` copies, at most 24, against boxes in rows. Null where the layer is too wide. */
export async function measurePacking(input: {
  readonly outline: Polyline;
  readonly layer: LayerMeasurement;
  readonly vinyl: Vinyl;
  readonly quantity: number;
  readonly shop: ShopFigures;
}): Promise<Packing | null> {
  const { outline, layer, vinyl, shop } = input,
    copies = getPackedCopies(input.quantity);
  const rows = computeLayerAreas({ layer, vinyl, quantity: copies, shop });
  if (!rows.ok) return null;
  const usableMm = getUsableMm(vinyl, shop),
    { turnable } = getLayerMaterial(vinyl, shop);
  const strip = await layOutStandard({ outline, copies, usableMm, gapMm: shop.weedMarginMm, turnable });
  return strip === null ? null : { copies, usableMm, turnable, share: Math.min(1, strip / rows.value.stripLengthMm) };
}
