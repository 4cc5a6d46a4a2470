// The lines of a cost for what is done: set-up, cutting, weeding, pressing and checking.

import { type Figure, figure, SECONDS_PER_HOUR } from '../units';
import { type ShopFigures, getShopFigure } from '../materials';
import { type ExactLine, line, wageFor, wage, type Named, nameLayer } from './cost-lines';
import type { PressPlan } from '../pressing';

/** The band of your seconds, from the figure that they are. */
const bandOf = (seconds: Figure) => ({
  handsSeconds: seconds.value,
  lowSeconds: seconds.low ?? seconds.value,
  highSeconds: seconds.high ?? seconds.value,
});

export function setupLine(vinylCount: number, quantity: number, shop: ShopFigures): ExactLine {
  const seconds = (shop.setupSeconds + vinylCount * shop.setupPerVinylSeconds) / quantity;
  return line({
    id: 'set-up',
    stage: 'set-up',
    label: quantity === 1 ? 'Set-up' : `Set-up, shared by ${quantity}`,
    source: 'shop',
    how: '(batch + vinyls × each) ÷ pieces × your hour',
    time: wageFor(seconds, shop),
    handsSeconds: seconds,
    parts: [
      getShopFigure(shop, 'setupSeconds'),
      figure('Vinyls', vinylCount, 'count', 'computed'),
      getShopFigure(shop, 'setupPerVinylSeconds'),
      figure('Pieces', quantity, 'count', 'typed'),
      wage(shop),
    ],
  });
}

export function cutLine(input: Named & { machine: Figure; hands: Figure; shop: ShopFigures }): ExactLine {
  const { index, machine, hands, shop } = input;
  return line({
    id: `cut-${index}`,
    stage: 'cut',
    label: `Cut: ${nameLayer(input)}`,
    source: hands.source === 'computed' ? 'measured' : hands.source,
    how: 'your hands × your hour + machine time × machine hour',
    cash: (machine.value / SECONDS_PER_HOUR) * shop.cutterRatePerHour,
    time: wageFor(hands.value, shop),
    ...bandOf(hands),
    waitSeconds: Math.max(0, machine.value - hands.value),
    parts: [hands, wage(shop), machine, getShopFigure(shop, 'cutterRatePerHour')],
  });
}

export function weedLine(input: Named & { seconds: Figure; shop: ShopFigures }): ExactLine {
  const { index, seconds, shop } = input;
  return line({
    id: `weed-${index}`,
    stage: 'weed',
    label: `Weed: ${nameLayer(input)}`,
    source: seconds.source === 'computed' ? 'measured' : seconds.source,
    how: 'minutes × your hour',
    time: wageFor(seconds.value, shop),
    ...bandOf(seconds),
    parts: [seconds, wage(shop)],
  });
}

/** A second of the hot press, minor units: its electricity, and its share of what the press cost. */
export const computePressSecond = (
  shop: Pick<ShopFigures, 'pressWatts' | 'energyPerKwh' | 'pressRatePerHour'>,
): number => ((shop.pressWatts / 1000) * shop.energyPerKwh + shop.pressRatePerHour) / SECONDS_PER_HOUR;

/** `hands`: your seconds, as planned or as the shop has found them. */
export function pressLine(plan: PressPlan, hands: Figure, quantity: number, shop: ShopFigures): ExactLine {
  const hot = plan.temperatureC !== null;
  const pressSeconds = hot ? hands.value + shop.pressWarmUpSeconds / quantity : 0;
  return line({
    id: 'press',
    stage: 'press',
    label: hot ? `Press, ${plan.pressCycles} press cycles` : 'Tape and place',
    source: hands.source,
    how: hot ? 'minutes × your hour + electricity + machine hour' : 'minutes × your hour',
    cash: pressSeconds * computePressSecond(shop),
    time: wageFor(hands.value, shop),
    ...bandOf(hands),
    waitSeconds: plan.waitSeconds,
    parts: [
      hands,
      wage(shop),
      ...(hot
        ? [
            figure('Press on, with its share of the warm-up', pressSeconds, 's', 'computed', {
              parts: [hands, getShopFigure(shop, 'pressWarmUpSeconds'), figure('Pieces', quantity, 'count', 'typed')],
            }),
            getShopFigure(shop, 'pressWatts'),
            getShopFigure(shop, 'energyPerKwh'),
            getShopFigure(shop, 'pressRatePerHour'),
          ]
        : []),
    ],
  });
}

/**
 * What an order takes beside making: messages, the proof, packing, post. Once an order, however many pieces: `pieces`
 * are those of it, null where it is not known. Null where the shop counts none.
 */
export function orderLine(pieces: number | null, shop: ShopFigures): ExactLine | null {
  if (shop.orderSeconds === 0) return null;
  const shared = pieces === null ? getShopFigure(shop, 'piecesPerOrder') : figure('Pieces', pieces, 'count', 'typed');
  const seconds = shop.orderSeconds / shared.value;
  return line({
    id: 'order',
    stage: 'order',
    label: shared.value === 1 ? 'Messages, proof, post' : `Messages, proof, post, shared by ${shared.value}`,
    source: 'shop',
    how: 'minutes of an order ÷ its pieces × your hour',
    time: wageFor(seconds, shop),
    handsSeconds: seconds,
    parts: [getShopFigure(shop, 'orderSeconds'), shared, wage(shop)],
  });
}

export function checkLine(shop: ShopFigures): ExactLine {
  return line({
    id: 'check',
    stage: 'check',
    label: 'Check, fold, pack',
    source: 'shop',
    how: 'minutes × your hour',
    time: wageFor(shop.checkSeconds, shop),
    handsSeconds: shop.checkSeconds,
    parts: [getShopFigure(shop, 'checkSeconds'), wage(shop)],
  });
}
