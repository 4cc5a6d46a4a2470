// The finest stroke and gap each class of material cuts and weeds well, and the width a drawing needs for it.
import type { ThinPlace } from '../geometry';

/** Finest stroke and gap that still hold, mm. */
export type DetailFloor = { readonly strokeMm: number; readonly gapMm: number };

/** Ordinary floors of the trade; a maker's sheet or the shop's own trial wins over them. */
export const DETAIL_FLOORS = {
  smooth: { strokeMm: 1, gapMm: 0.8 },
  textured: { strokeMm: 2.2, gapMm: 2 },
  puff: { strokeMm: 3, gapMm: 3 },
  'premium-adhesive': { strokeMm: 0.8, gapMm: 0.8 },
  'budget-adhesive': { strokeMm: 2, gapMm: 2 },
} as const satisfies Record<string, DetailFloor>;
export type DetailClass = keyof typeof DETAIL_FLOORS;
export const DETAIL_CLASSES = Object.keys(DETAIL_FLOORS) as readonly DetailClass[];

/** What of a measured layer is held against a floor. */
type LayerDetail = { readonly thinnestStroke: ThinPlace | null; readonly thinnestGap: ThinPlace | null };

/**
 * The narrowest width of the whole artwork at which no detail of the layers is below the floor, mm; null when nothing
 * limits it.
 */
export function computeSafeWidth(
  measurement: { readonly widthMm: number; readonly layers: readonly LayerDetail[] },
  floor: DetailFloor,
): number | null {
  let factor = 0;
  for (const layer of measurement.layers) {
    if (layer.thinnestStroke) factor = Math.max(factor, floor.strokeMm / layer.thinnestStroke.widthMm);
    if (layer.thinnestGap) factor = Math.max(factor, floor.gapMm / layer.thinnestGap.widthMm);
  }
  return factor === 0 ? null : measurement.widthMm * factor;
}

/** Measured to about this: a stroke of exactly the floor is not below it. */
const FLOOR_SLACK_MM = 0.01;
/** So that rounding does not ask for a whole millimetre more. */
const WHOLE_SLACK_MM = 0.1;
/** Growing a design by more than this makes another thing of it: then another vinyl or drawing is the remedy. */
const MOST_GROWTH = 3;

/**
 * From which width of the whole artwork on a detail holds, in whole mm, and whether that is the same design still. Null
 * where it holds as it is.
 */
export function judgeDetail(
  thinnestMm: number,
  floorMm: number,
  widthMm: number,
): { readonly safeWidthMm: number; readonly withinReach: boolean } | null {
  if (thinnestMm >= floorMm - FLOOR_SLACK_MM) return null;
  const safeWidthMm = Math.ceil((widthMm * floorMm) / thinnestMm - WHOLE_SLACK_MM);
  return { safeWidthMm, withinReach: safeWidthMm <= widthMm * MOST_GROWTH };
}
