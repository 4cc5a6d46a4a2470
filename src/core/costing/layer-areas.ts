// Where the vinyl of one layer goes: net, box and used, all true and side by side.

import type { LayerMeasurement } from '../artwork';
import type { ShopFigures, Vinyl } from '../materials';
import { getPackingShare, isPackedFor, type Packing } from './packing';
import { fail, figure, succeed, type Figure, type Result } from '../units';

export type AreaBasis = 'net' | 'box' | 'used';
export const AREA_BASES: readonly AreaBasis[] = ['used', 'box', 'net'];

/** Areas for each piece, mm². Net ≤ box; used is a box's or more, but where true shapes lie closer than their boxes. */
export type LayerAreas = {
  readonly net: Figure;
  readonly box: Figure;
  readonly used: Figure;
  readonly stripLengthMm: number;
  readonly across: number;
  readonly turned: boolean;
};
export type TooWideProblem = {
  readonly kind: 'wider-than-roll';
  readonly vinylName: string;
  readonly needsMm: number;
  readonly usableMm: number;
  readonly shrinkTo: number;
};

/**
 * The three areas of one layer when `quantity` copies are cut side by side from the roll. The strip is cut off square,
 * so its whole width is spent; it is shared by the pieces. `packings`: where they were laid out as true shapes, they
 * lie closer. Pieces are turned a quarter when that makes the strip shorter and the vinyl has no direction. Problem:
 * wider than the roll either way, with the scale at which it fits.
 */
export function computeLayerAreas(input: {
  readonly layer: LayerMeasurement;
  readonly vinyl: Vinyl;
  readonly quantity: number;
  readonly shop: ShopFigures;
  readonly packings?: readonly Packing[];
}): Result<LayerAreas, TooWideProblem> {
  const { layer, vinyl, quantity, shop } = input;
  const { upright, ways, strips, usableMm } = layStrips(layer, vinyl, quantity, shop);
  const best = strips[0];
  if (!best) {
    const needsMm = Math.min(...ways.map((way) => way.across));
    return fail({
      kind: 'wider-than-roll',
      vinylName: vinyl.name,
      needsMm,
      usableMm,
      shrinkTo: Math.max(0, (usableMm - 2 * shop.weedMarginMm) / (needsMm - 2 * shop.weedMarginMm)),
    });
  }
  const boxMm2 = upright.across * upright.along;
  const packing = input.packings?.find((one) => isPackedFor(one, vinyl, shop));
  const laidOut = packing ? getPackingShare(packing, quantity) : 1,
    stripLengthMm = best.lengthMm * laidOut;
  const usedMm2 = (stripLengthMm * vinyl.rollWidthMm) / quantity;
  return succeed({
    stripLengthMm,
    across: best.fit,
    turned: best.turned,
    net: figure('Net: what stays on', layer.netMm2, 'mm²', 'measured'),
    box: figure('Box: with its margin', boxMm2, 'mm²', 'measured', {
      how: '(width + 2 margins) × (height + 2 margins)',
      parts: [
        figure('Width', layer.box.width, 'mm', 'measured'),
        figure('Height', layer.box.height, 'mm', 'measured'),
        figure('Margin', shop.weedMarginMm, 'mm', 'shop'),
      ],
    }),
    used: figure('Used: its share of the strip', usedMm2, 'mm²', 'computed', {
      how: packing
        ? 'strip of boxes in rows × what true shapes take of it × roll width ÷ pieces'
        : 'strip length × roll width ÷ pieces',
      parts: [
        figure(`Strip length${best.turned ? ', pieces turned' : ''}`, best.lengthMm, 'mm', 'computed'),
        ...(packing
          ? [
              figure('Laid out as true shapes, of that', laidOut, 'share', 'measured', {
                how: `${packing.copies} laid out; one lies alone, and what more gain comes evenly until so many`,
              }),
            ]
          : []),
        figure('Pieces side by side', best.fit, 'count', 'computed'),
        figure('Roll width', vinyl.rollWidthMm, 'mm', 'maker'),
        figure('Pieces', quantity, 'count', 'typed'),
      ],
    }),
  });
}

/** The ways to lay a piece with its margins, and the strips that so many take in rows, the shortest first. */
function layStrips(layer: LayerMeasurement, vinyl: Vinyl, quantity: number, shop: ShopFigures) {
  const margin = 2 * shop.weedMarginMm;
  const upright = { across: layer.box.width + margin, along: layer.box.height + margin };
  const usableMm = vinyl.rollWidthMm - 2 * shop.cutterEdgeMm;
  const ways = [{ ...upright, turned: false }];
  if (vinyl.details.direction === 'none') ways.push({ across: upright.along, along: upright.across, turned: true });
  const strips = ways
    .map((way) => ({ ...way, fit: Math.floor(usableMm / way.across + FIT_SLACK) }))
    .filter((way) => way.fit > 0)
    .map((way) => ({ ...way, lengthMm: Math.ceil(quantity / way.fit) * way.along }))
    .sort((a, b) => a.lengthMm - b.lengthMm);
  return { upright, ways, strips, usableMm };
}

/** What a machine has to take across for a layer with its margins, mm: turned a quarter where that is narrower. */
export function getAcross(
  {
    measurement: { box },
    vinyl,
  }: { readonly measurement: Pick<LayerMeasurement, 'box'>; readonly vinyl: Pick<Vinyl, 'details'> },
  weedMarginMm: number,
): number {
  const across = vinyl.details.direction === 'none' ? Math.min(box.width, box.height) : box.width;
  return across + 2 * weedMarginMm;
}

/** A piece that fits to the last micrometre fits. */
const FIT_SLACK = 1e-6;
