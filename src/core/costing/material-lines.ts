// The lines of a cost for what a piece is made of: blank, artwork, vinyl and transfer tape.

import { type Blank, type BlankSize, type ShopFigures, getKindFacts, getShopFigure } from '../materials';
import { isDecal, type PressRecipe } from '../pressing';
import { type Figure, figure, groupBy, type Minor, MM2_PER_M2 } from '../units';
import { type ExactLine, line, type Named, nameLayer } from './cost-lines';
import type { LayerAreas, AreaBasis } from './layer-areas';

/** `price`: what it is calculated at instead of the shelf's price. */
export function blankLine(blank: Blank, size: BlankSize, price: Figure | null = null): ExactLine {
  const calculated = price ?? figure('Price', size.price, 'money', 'shop');
  return line({
    id: 'blank',
    stage: 'blank',
    label: `${blank.name}, ${size.name}`,
    source: calculated.source,
    how: 'price of the blank',
    parts: [calculated],
    cash: calculated.value,
  });
}

/** What was paid for a drawing, over how many pieces it is used: one where it is made for a single customer. */
export type ArtworkCost = { readonly price: Minor; readonly run: number };

/** Null where nothing was paid for it. */
export function artworkLine(artwork: ArtworkCost | undefined): ExactLine | null {
  if (!artwork || artwork.price === 0) return null;
  return line({
    id: 'artwork',
    stage: 'artwork',
    label: artwork.run > 1 ? `Drawing, over ${artwork.run}` : 'Drawing',
    source: 'typed',
    how: 'price ÷ pieces it is used for',
    cash: artwork.price / artwork.run,
    parts: [
      figure('Paid for it', artwork.price, 'money', 'typed'),
      figure('Pieces it is used for', artwork.run, 'count', 'typed'),
    ],
  });
}

export function vinylLine(input: Named & { areas: LayerAreas; basis: AreaBasis; price: Figure }): ExactLine {
  const { index, areas, basis, price } = input;
  const area = areas[basis];
  return line({
    id: `vinyl-${index}`,
    stage: 'vinyl',
    label: `Vinyl: ${nameLayer(input)}`,
    source: 'measured',
    how: 'area × price of a square metre',
    cash: (area.value * price.value) / MM2_PER_M2,
    parts: [area, price],
  });
}

/** What transfer tape as large as a box costs, minor units: it is used several times. `boxMm2` with its margin. */
export const computeTapeCost = (boxMm2: number, shop: Pick<ShopFigures, 'tapePerM2' | 'tapeUses'>): number =>
  ((boxMm2 / MM2_PER_M2) * shop.tapePerM2) / shop.tapeUses;

type Laid = { readonly place?: string; readonly measurement: { readonly box: { width: number; height: number } } };

/** Clear film under a decal, mm²: at each place as large as the largest of its layers, with the margin of the weed box. */
function computeFilmMm2(layers: readonly Laid[], { weedMarginMm }: Pick<ShopFigures, 'weedMarginMm'>): number {
  const places = [...groupBy(layers, ({ place }) => place ?? '').values()];
  const largest = (own: readonly Laid[], side: 'width' | 'height') =>
    Math.max(...own.map(({ measurement }) => measurement.box[side])) + 2 * weedMarginMm;
  return places.reduce((sum, own) => sum + largest(own, 'width') * largest(own, 'height'), 0);
}

type Decal = {
  readonly blank: Blank;
  readonly recipe?: PressRecipe | undefined;
  readonly layers: readonly Laid[];
};
const isOnFilm = ({ blank, recipe }: Decal): boolean => recipe !== undefined && isDecal(recipe, blank);

/** Clear film of one piece, minor units; 0 where it is no decal. */
export const computeFilmCost = (decal: Decal, shop: ShopFigures): number =>
  isOnFilm(decal) ? (computeFilmMm2(decal.layers, shop) * shop.decalFilmPerM2) / MM2_PER_M2 : 0;

/** Null where the item is no decal. */
export function filmLine(decal: Decal, shop: ShopFigures): ExactLine | null {
  if (!isOnFilm(decal)) return null;
  const area = computeFilmMm2(decal.layers, shop);
  return line({
    id: 'film',
    stage: 'tape',
    label: 'Clear decal film',
    source: 'measured',
    how: 'area of the film × its price',
    cash: computeFilmCost(decal, shop),
    parts: [
      figure('Film', area, 'mm²', 'computed', {
        how: 'as large as the largest layer of each place, with the weed margin',
        parts: [getShopFigure(shop, 'weedMarginMm')],
      }),
      getShopFigure(shop, 'decalFilmPerM2'),
    ],
  });
}

/**
 * Transfer tape for adhesive vinyl: as large as the box, used several times. Null for heat transfer, which has its
 * carrier.
 */
export function transferTapeLine(input: Named & { areas: LayerAreas; shop: ShopFigures }): ExactLine | null {
  const { index, vinyl, areas, shop } = input;
  if (getKindFacts(vinyl.kind).family !== 'adhesive') return null;
  return line({
    id: `tape-${index}`,
    stage: 'tape',
    label: input.where ? `Transfer tape, ${input.where}` : 'Transfer tape',
    source: 'measured',
    how: 'box area × price of tape ÷ uses',
    cash: computeTapeCost(areas.box.value, shop),
    parts: [areas.box, getShopFigure(shop, 'tapePerM2'), getShopFigure(shop, 'tapeUses')],
  });
}
