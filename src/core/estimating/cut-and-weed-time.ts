// How long a layer takes at the cutter and at the weeding table. Craft rule of thumb, to be moved by logged times
// later.

import { getFineLength, type LayerMeasurement } from '../artwork';
import { getDetailFloor, getShopFigure, type ShopFigures, type Vinyl } from '../materials';
import { figure, type Figure } from '../units';
import type { LearnedCutting } from './learn-cutting';

/** A cavity of this size takes half as much more as one that can hardly be seen. */
const SMALL_CAVITY_MM2 = 4;

/** A machine's own time differs by so much from one that is set alike. */
const CUT_BAND = { low: 0.85, high: 1.2 } as const;

/** Machine seconds to cut one copy of a layer: path ÷ speed + slowing at corners + a lift for each contour. */
export function estimateCutSeconds(layer: LayerMeasurement, shop: ShopFigures): Figure {
  const value =
    layer.cutLengthMm / shop.cutterSpeed +
    layer.sharpCorners * shop.cutterCornerSeconds +
    layer.contours * shop.cutterLiftSeconds;
  return figure('Cut, at the machine', value, 's', 'computed', {
    how: 'path ÷ speed + corners × slowing + contours × lift',
    low: value * CUT_BAND.low,
    high: value * CUT_BAND.high,
    parts: [
      figure('Knife path', layer.cutLengthMm, 'mm', 'measured'),
      getShopFigure(shop, 'cutterSpeed'),
      figure('Sharp corners', layer.sharpCorners, 'count', 'measured'),
      getShopFigure(shop, 'cutterCornerSeconds'),
      figure('Contours', layer.contours, 'count', 'measured'),
      getShopFigure(shop, 'cutterLiftSeconds'),
    ],
  });
}

type CutBatch = {
  /** What the machine cuts, seconds. */
  readonly machineSeconds: number;
  /** How often it is loaded, from 1. */
  readonly loads: Figure;
  /** How loading and watching went in this shop. */
  readonly learned?: LearnedCutting | undefined;
};

/** Your seconds at the cutter for a whole batch of one layer: loading, and watching until it is sure to run well. */
export function estimateCutHandsSeconds({ machineSeconds, loads, learned }: CutBatch, shop: ShopFigures): Figure {
  const load = figure('Loading', loads.value * shop.cutterLoadSeconds, 's', 'computed', {
    how: 'loads × each',
    parts: [loads, getShopFigure(shop, 'cutterLoadSeconds')],
  });
  const watched = figure('Watched', getWatchedSeconds(machineSeconds, shop), 's', 'computed', {
    how: 'as long as it cuts, at most',
    parts: [getShopFigure(shop, 'cutterWatchSeconds'), figure('The batch cuts', machineSeconds, 's', 'computed')],
  });
  if (!learned) {
    const value = load.value + watched.value;
    return figure('Cut, your hands', value, 's', 'computed', {
      how: 'load + watch, at most as long as it cuts; nine in ten jobs lie between what it takes when it goes well and badly',
      low: value * shop.cutHandsLeast,
      high: value * shop.cutHandsMost,
      parts: [load, watched, getShopFigure(shop, 'cutHandsLeast'), getShopFigure(shop, 'cutHandsMost')],
    });
  }
  const value = load.value * learned.loading.value + watched.value * learned.watching.value;
  return figure('Cut, your hands, as logged', value, 's', 'learned', {
    how: 'load × how loading goes + watch × how watching goes',
    low: value * learned.low,
    high: value * learned.high,
    parts: [load, learned.loading, watched, learned.watching],
  });
}

/** A batch is watched at the start, and no longer than it cuts. */
export const getWatchedSeconds = (batchMachineSeconds: number, shop: Pick<ShopFigures, 'cutterWatchSeconds'>): number =>
  Math.min(shop.cutterWatchSeconds, batchMachineSeconds);

/**
 * How small the cavities are, summed: each counts from 0 for a large one to 1 for one that can hardly be seen, without
 * a jump at any size. They are picked out one by one; pieces that stay cost nothing by themselves, since the ground
 * round them lifts in one.
 */
export const sumSmallness = (layer: Pick<LayerMeasurement, 'cavityAreasMm2'>): number =>
  layer.cavityAreasMm2.reduce((sum, areaMm2) => sum + 1 / (1 + areaMm2 / SMALL_CAVITY_MM2), 0);

/** The shop figures that weeding is calculated by, in the order of `listWeedAmounts`. */
export const WEED_FIGURES = [
  'weedBaseSeconds',
  'weedPerMetreSeconds',
  'weedPerCavitySeconds',
  'weedPerSmallCavitySeconds',
  'weedPerFineMetreSeconds',
] as const satisfies readonly (keyof ShopFigures)[];

/** How much of each there is in one copy of a layer: pieces, metres, counts. The vinyl's factor is not in it. */
export const listWeedAmounts = (
  layer: LayerMeasurement,
  vinyl: Pick<Vinyl, 'kind' | 'weedingFactor' | 'details'>,
): readonly number[] => [
  1,
  layer.outerLengthMm / 1000,
  layer.cavities,
  sumSmallness(layer),
  getFineLength(layer, getDetailFloor(vinyl).strokeMm) / 1000,
];

/**
 * Seconds to weed one copy: (base + outside metres + cavities, the small ones more + metres finer than the vinyl holds
 * well) × the vinyl's own factor.
 */
export function estimateWeedSeconds(
  layer: LayerMeasurement,
  vinyl: Pick<Vinyl, 'kind' | 'weedingFactor' | 'details'>,
  shop: ShopFigures,
): Figure {
  const smallness = sumSmallness(layer);
  const { strokeMm } = getDetailFloor(vinyl);
  const fineMm = getFineLength(layer, strokeMm);
  const plain = listWeedAmounts(layer, vinyl).reduce((sum, amount, at) => sum + amount * shop[WEED_FIGURES[at]!], 0);
  const value = plain * vinyl.weedingFactor;
  return figure('Weed', value, 's', 'computed', {
    how: '(base + metres outside + cavities + their smallness + fine metres) × factor of the vinyl; nine in ten jobs lie between what it takes when it goes well and badly',
    low: value * shop.weedLeast,
    high: value * shop.weedMost,
    parts: [
      getShopFigure(shop, 'weedBaseSeconds'),
      figure('Outer path', layer.outerLengthMm, 'mm', 'measured'),
      getShopFigure(shop, 'weedPerMetreSeconds'),
      figure('Cavities', layer.cavities, 'count', 'measured'),
      getShopFigure(shop, 'weedPerCavitySeconds'),
      figure('Smallness of its cavities, summed', smallness, 'count', 'measured', {
        how: 'each 1 ÷ (1 + its area ÷ 4 mm²)',
      }),
      getShopFigure(shop, 'weedPerSmallCavitySeconds'),
      figure('Outline of strokes under the detail floor', fineMm, 'mm', 'measured', {
        parts: [
          figure('Thinnest stroke it holds well', strokeMm, 'mm', vinyl.details.strokeMm === null ? 'default' : 'shop'),
        ],
      }),
      getShopFigure(shop, 'weedPerFineMetreSeconds'),
      figure('Weeding factor of the vinyl', vinyl.weedingFactor, 'factor', 'shop'),
      getShopFigure(shop, 'weedLeast'),
      getShopFigure(shop, 'weedMost'),
    ],
  });
}
