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
type Decal = {
  readonly blank: Blank;
  readonly recipe?: PressRecipe | undefined;
  readonly layers: readonly Laid[];
};

/** Clear film under a decal, by place: as large as the largest of its layers, with the weed margin. Empty for no decal. */
function listFilms({ blank, recipe, layers }: Decal, shop: ShopFigures): readonly Figure[] {
  if (!recipe || !isDecal(recipe, blank)) return [];
  const margin = getShopFigure(shop, 'weedMarginMm');
  return [...groupBy(layers, ({ place }) => place ?? '')].map(([place, own]) => {
    const [width, height] = (['width', 'height'] as const).map((side) =>
      figure(`Largest ${side}`, Math.max(...own.map(({ measurement }) => measurement.box[side])), 'mm', 'measured'),
    ) as [Figure, Figure];
    const area = (width.value + 2 * margin.value) * (height.value + 2 * margin.value);
    return figure(place ? `Film, ${place}` : 'Film', area, 'mm²', 'computed', {
      how: 'largest width × largest height of its layers, with the margin on each side',
      parts: [width, height, margin],
    });
  });
}

const sumAreas = (areas: readonly Figure[]): number => areas.reduce((sum, { value }) => sum + value, 0);
const priceFilm = (areaMm2: number, shop: ShopFigures): number => (areaMm2 / MM2_PER_M2) * shop.decalFilmPerM2;

/** Clear film of one piece and the transfer tape it is set down with, minor units; 0 where it is no decal. */
export function computeDecalCost(decal: Decal, shop: ShopFigures): number {
  const areaMm2 = sumAreas(listFilms(decal, shop));
  return priceFilm(areaMm2, shop) + computeTapeCost(areaMm2, shop);
}

/** Null where the item is no decal. */
export function decalLine(decal: Decal, shop: ShopFigures): ExactLine | null {
  const films = listFilms(decal, shop);
  if (films.length === 0) return null;
  const areaMm2 = sumAreas(films);
  return line({
    id: 'decal',
    stage: 'tape',
    label: 'Decal: film and transfer tape',
    source: 'measured',
    how: 'film + tape of the same size ÷ its uses',
    cash: computeDecalCost(decal, shop),
    parts: [
      figure('Clear film', priceFilm(areaMm2, shop), 'money', 'computed', {
        how: 'area × price of a square metre',
        parts: [...films, getShopFigure(shop, 'decalFilmPerM2')],
      }),
      figure('Transfer tape', computeTapeCost(areaMm2, shop), 'money', 'computed', {
        how: 'area × price of tape ÷ uses',
        parts: [...films, getShopFigure(shop, 'tapePerM2'), getShopFigure(shop, 'tapeUses')],
      }),
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
