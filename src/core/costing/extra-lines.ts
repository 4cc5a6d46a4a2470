// Lines for what an item takes besides blank and vinyl: things bought for each piece, and hot-fix stones with their
// template.

import { getShopFigure, type ShopFigures } from '../materials';
import { figure, type Minor } from '../units';
import { line, wage, wageFor, type ExactLine } from './cost-lines';

/** A ribbon, a label, a card: so much for each piece. */
export type ExtraCost = { readonly label: string; readonly price: Minor };

export function extraLine({ label, price }: ExtraCost, index: number): ExactLine {
  return line({
    id: `extra-${index}`,
    stage: 'extra',
    label,
    source: 'typed',
    how: 'for each piece',
    cash: price,
    parts: [figure('For each piece', price, 'money', 'typed')],
  });
}

/**
 * Stones of one size and colour: bought by the gross, brushed into a template that is used many times, lifted with
 * hot-fix tape.
 */
export type StoneField = {
  readonly label: string;
  readonly diameterMm: number;
  readonly count: number;
  /** Of 144 stones. */
  readonly grossPrice: Minor;
  readonly templatePrice: Minor;
  readonly templateUses: number;
  /** For each piece. */
  readonly tapePrice: Minor;
};
export const STONES_IN_GROSS = 144;

/**
 * Stones that are lost or lie the wrong way up are in the price of the gross: the seller counts those that are in the
 * design.
 */
export function stoneLine(field: StoneField, index: number, shop: ShopFigures): ExactLine {
  const seconds = shop.stoneFieldSeconds + field.count * shop.stoneSeconds;
  const stones = (field.count * field.grossPrice) / STONES_IN_GROSS;
  const template = field.templatePrice / field.templateUses;
  return line({
    id: `stones-${index}`,
    stage: 'stones',
    label: `Stones: ${field.label}`,
    source: 'typed',
    how: 'stones + share of the template + tape + minutes × your hour',
    cash: stones + template + field.tapePrice,
    time: wageFor(seconds, shop),
    handsSeconds: seconds,
    parts: [
      figure('Stones', stones, 'money', 'computed', {
        how: 'count × price of a gross ÷ 144',
        parts: [figure('Count', field.count, 'count', 'typed'), figure('A gross', field.grossPrice, 'money', 'typed')],
      }),
      figure('Template', template, 'money', 'computed', {
        how: 'price ÷ uses',
        parts: [
          figure('Template', field.templatePrice, 'money', 'typed'),
          figure('Uses', field.templateUses, 'count', 'typed'),
        ],
      }),
      figure('Hot-fix tape', field.tapePrice, 'money', 'typed'),
      figure('Brush in and lift', seconds, 's', 'computed', {
        how: 'for the field + stones × each',
        parts: [
          getShopFigure(shop, 'stoneFieldSeconds'),
          figure('Count', field.count, 'count', 'typed'),
          getShopFigure(shop, 'stoneSeconds'),
        ],
      }),
      wage(shop),
    ],
  });
}
