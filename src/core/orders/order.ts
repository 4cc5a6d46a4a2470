// What an order is worth: its quote, and what it still needs.

import { computePressSecond, type CostStage, type ItemCost } from '../costing';
import type { ShopFigures } from '../materials';
import { SECONDS_PER_HOUR } from '../units';
import { shareOfRecut, type PartState, type RecutBits, type Station } from './part';

/** One piece of a line as it was calculated when the order was taken; it never changes after. Money in minor units. */
export type LineQuote = {
  readonly quantity: number;
  readonly cash: number;
  readonly full: number;
  readonly withRisk: number;
  readonly wagePerHour: number;
  readonly cutterRatePerHour: number;
  readonly blankPrice: number;
  /** Everything else that leaves the purse and is neither blank, vinyl nor machine time. */
  readonly otherCash: number;
  /** Of `otherCash`, what is used up as the work is done: wear and electricity. Left out in quotes older than that. */
  readonly workCash?: number;
  /** A second at the hot press, and one piece's share of warming it up; 0 where nothing is pressed hot. */
  readonly pressSecondCash?: number;
  readonly warmUpCash?: number;
  readonly setupSeconds: number;
  readonly layers: readonly {
    readonly cutHandsSeconds: number;
    readonly cutMachineSeconds: number;
    /** Copies on the mat at once, 0 without one; left out in quotes older than that. */
    readonly onMat?: number;
    readonly weedSeconds: number;
    readonly vinylCost: number;
  }[];
  readonly pressSeconds: number;
  readonly checkSeconds: number;
  /** What the order takes beside making; left out in quotes older than that. */
  readonly orderSeconds?: number;
};

/** `shop`: the figures that the cost was calculated with. */
export function freezeQuote(cost: ItemCost, shop: ShopFigures): LineQuote {
  const { cutterRatePerHour } = shop;
  const linesOf = (stage: CostStage) => cost.lines.filter((line) => line.stage === stage);
  const secondsOf = (stage: CostStage) => linesOf(stage).reduce((sum, line) => sum + line.handsSeconds, 0);
  const cashOf = (stage: CostStage) => linesOf(stage).reduce((sum, line) => sum + line.cash, 0);
  const blankPrice = cashOf('blank');
  const layers = cost.layers.map((layer) => ({
    cutHandsSeconds: layer.cutHandsSeconds,
    cutMachineSeconds: layer.cutMachineSeconds.value,
    onMat: layer.onMat,
    weedSeconds: layer.weedSeconds.value,
    vinylCost: layer.vinylCost,
  }));
  const machine = layers.reduce(
    (sum, layer) => sum + (layer.cutMachineSeconds / SECONDS_PER_HOUR) * cutterRatePerHour + layer.vinylCost,
    0,
  );
  const pressSecondCash = cost.press.temperatureC === null ? 0 : computePressSecond(shop);
  return {
    quantity: cost.quantity,
    cash: cost.cash.value,
    full: cost.full.value,
    withRisk: cost.withRisk.value,
    wagePerHour: shop.wagePerHour,
    cutterRatePerHour,
    blankPrice,
    otherCash: Math.max(0, cost.cash.value - blankPrice - machine),
    workCash: cashOf('wear') + cashOf('press'),
    pressSecondCash,
    warmUpCash: (pressSecondCash * shop.pressWarmUpSeconds) / cost.quantity,
    setupSeconds: secondsOf('set-up'),
    layers,
    pressSeconds: secondsOf('press'),
    checkSeconds: secondsOf('check'),
    orderSeconds: secondsOf('order'),
  };
}

/** Quoted seconds of hands at each station for one piece; set-up is quoted with the cutting, where it happens. */
export function getQuotedSeconds(quote: LineQuote): Readonly<Record<Station, number>> {
  return {
    cut: quote.setupSeconds + quote.layers.reduce((sum, layer) => sum + layer.cutHandsSeconds, 0),
    weed: quote.layers.reduce((sum, layer) => sum + layer.weedSeconds, 0),
    press: quote.pressSeconds,
    check: quote.checkSeconds,
  };
}

/**
 * Seconds of hands one part still needs from its state on; what is done once for a piece is shared by its layers. Bits
 * of it that are made anew take their share of cutting and weeding.
 */
export function estimateRemaining(
  quote: LineQuote,
  layerIndex: number,
  { state, recut }: { readonly state: PartState; readonly recut?: RecutBits | null },
): Readonly<Record<Station, number>> {
  const layer = quote.layers[layerIndex];
  const again = shareOfRecut(recut ?? null);
  const share = 1 / Math.max(1, quote.layers.length);
  return {
    cut: state === 'to-cut' ? (layer?.cutHandsSeconds ?? 0) * again + quote.setupSeconds * share : 0,
    weed: state === 'to-cut' || state === 'cut' ? (layer?.weedSeconds ?? 0) * again : 0,
    press: state === 'pressed' || state === 'checked' ? 0 : quote.pressSeconds * share,
    check: state === 'checked' ? 0 : quote.checkSeconds * share,
  };
}

/**
 * How one logged stretch of work is shared by the parts it was done on: by their estimates, evenly where there are
 * none.
 */
export function shareSessionSeconds(seconds: number, estimates: readonly number[]): readonly number[] {
  const whole = estimates.reduce((sum, estimate) => sum + estimate, 0);
  return estimates.map((estimate) => (whole > 0 ? (seconds * estimate) / whole : seconds / estimates.length));
}
