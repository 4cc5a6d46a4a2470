// The line of a cost for what wears: blade, mat, cover sheet, pillow.

import { type Figure, figure } from '../units';
import type { LayerMeasurement } from '../artwork';
import type { PressPlan } from '../pressing';
import { type Blank, type ShopFigures, getShopFigure } from '../materials';
import { type ExactLine, line } from './cost-lines';

/** What a metre of blade and a load on a mat have really cost, where the shop knows by those it wore out. */
export type WearPrices = { readonly bladeMetre?: Figure; readonly matLoad?: Figure };

type WearInput = {
  readonly layers: readonly { readonly measurement: LayerMeasurement }[];
  /** Of each layer that is cut on the mat. */
  readonly loads: readonly Figure[];
  readonly plan: PressPlan;
  readonly blank: Pick<Blank, 'heating'>;
  readonly quantity: number;
  readonly shop: ShopFigures;
  readonly prices?: WearPrices;
};

/** A metre of blade: as the shop knows it by those it wore out, else price ÷ life. */
export const getBladeMetre = (shop: ShopFigures, { bladeMetre }: WearPrices): Figure =>
  bladeMetre ??
  figure('A metre of blade', shop.bladePrice / shop.bladeLifeMetres, 'money/m', 'shop', {
    how: 'price ÷ life',
    parts: [getShopFigure(shop, 'bladePrice'), getShopFigure(shop, 'bladeLifeMetres')],
  });

export const getMatLoad = (shop: ShopFigures, { matLoad }: WearPrices): Figure =>
  matLoad ??
  figure('A load on the mat', shop.matPrice / shop.matLifeLoads, 'money', 'shop', {
    how: 'price ÷ life',
    parts: [getShopFigure(shop, 'matPrice'), getShopFigure(shop, 'matLifeLoads')],
  });

/** What one piece wears at the press, minor units: heat tape holds a print on what is wrapped. */
export function getPressWear(
  pressCycles: number,
  blank: Pick<Blank, 'heating'>,
  shop: ShopFigures,
): { readonly cover: number; readonly pillow: number; readonly heatTape: number } {
  return {
    cover: (pressCycles * shop.coverSheetPrice) / shop.coverSheetPresses,
    pillow: (pressCycles * shop.pillowPrice) / shop.pillowPresses,
    heatTape: pressCycles > 0 && blank.heating === 'wrap' ? shop.heatTape : 0,
  };
}

export function wearLine({ layers, loads, plan, blank, quantity, shop, prices = {} }: WearInput): ExactLine {
  const metres = layers.reduce((sum, layer) => sum + layer.measurement.cutLengthMm, 0) / 1000;
  const bladeMetre = getBladeMetre(shop, prices);
  const matLoad = getMatLoad(shop, prices);
  const matLoads = loads.reduce((sum, load) => sum + load.value, 0);
  const blade = metres * bladeMetre.value;
  const mat = (matLoads * matLoad.value) / quantity;
  const { cover, pillow, heatTape } = getPressWear(plan.pressCycles, blank, shop);
  const worn = (label: string, amount: number, how: string, parts: readonly Figure[]) =>
    figure(label, amount, 'money', 'computed', { how, parts });
  return line({
    id: 'wear',
    stage: 'wear',
    label: plan.pressCycles > 0 ? 'Wear: blade, mat, cover sheet' : 'Wear: blade, mat',
    source: 'shop',
    how: 'sum of what wears',
    cash: blade + mat + cover + pillow + heatTape,
    parts: [
      worn('Blade', blade, 'knife path × a metre of blade', [
        figure('Knife path, all layers', metres * 1000, 'mm', 'measured'),
        bladeMetre,
      ]),
      worn('Mat', mat, 'loads × a load ÷ pieces', [
        figure('Loads', matLoads, 'count', 'computed', { how: 'of all layers', parts: loads }),
        matLoad,
        figure('Pieces', quantity, 'count', 'typed'),
      ]),
      ...(plan.pressCycles > 0
        ? [
            worn('Cover sheet', cover, 'press cycles ÷ life × price', [
              figure('Press cycles', plan.pressCycles, 'count', 'computed'),
              getShopFigure(shop, 'coverSheetPrice'),
              getShopFigure(shop, 'coverSheetPresses'),
            ]),
          ]
        : []),
      ...(pillow > 0
        ? [
            worn('Pillow', pillow, 'press cycles ÷ life × price', [
              figure('Press cycles', plan.pressCycles, 'count', 'computed'),
              getShopFigure(shop, 'pillowPrice'),
              getShopFigure(shop, 'pillowPresses'),
            ]),
          ]
        : []),
      ...(heatTape > 0 ? [getShopFigure(shop, 'heatTape')] : []),
    ],
  });
}
