// From a cost to a price and back: fees, margin, markup and what an hour earns.

import type { CostSums } from '../costing';
import { getShopFigure, type ShopFigures } from '../materials';
import {
  fail,
  figure,
  minor,
  roundMoney,
  SECONDS_PER_HOUR,
  succeed,
  type Figure,
  type Minor,
  type Result,
  MONEY_NOISE,
  SHARE_NOISE,
} from '../units';

export type PriceReading = {
  readonly price: Figure;
  readonly fee: Figure;
  /** What is left of the price after the fee and the full cost with risk. */
  readonly yours: Figure;
  /** Share of the price; null at a price of nought. */
  readonly margin: Figure | null;
  /** Share of the cost; null at a cost of nought. */
  readonly markup: Figure | null;
  /** Minor units an hour; null where no time is spent. */
  readonly hourEarns: Figure | null;
};

export type PriceProblem = {
  readonly kind: 'goal-beyond-price';
  readonly feeShare: number;
  readonly goalShare: number;
};

/** The channel's fee on one sale at this price: share × price, rounded to the cent, plus the fixed part. */
export function computeFee(price: number, shop: ShopFigures): Minor {
  return minor(roundMoney(price * shop.feeShare) + shop.feeFixed);
}

/** What a price leaves. Margin is of the price, markup is of the cost. */
export function readPrice(price: Minor, cost: CostSums, shop: ShopFigures): PriceReading {
  const fee = computeFee(price, shop);
  const risk = cost.withRisk;
  const yours = price - fee - risk.value;
  const priceFigure = figure('Price', price, 'money', 'typed');
  const feeFigure = figure('Fee', fee, 'money', 'computed', {
    how: 'share × price + fixed part',
    parts: [getShopFigure(shop, 'feeShare'), priceFigure, getShopFigure(shop, 'feeFixed')],
  });
  const yoursFigure = figure('Yours', yours, 'money', 'computed', {
    how: 'price − fee − full cost with risk',
    parts: [priceFigure, feeFigure, risk],
  });
  const riskShare = risk.value - cost.full.value;
  const forHours = price - fee - cost.cash.value - riskShare;
  const hours = cost.handsSeconds.value / SECONDS_PER_HOUR;
  return {
    price: priceFigure,
    fee: feeFigure,
    yours: yoursFigure,
    margin:
      price === 0
        ? null
        : figure('Margin, of the price', yours / price, 'share', 'computed', {
            how: 'yours ÷ price',
            parts: [yoursFigure, priceFigure],
          }),
    markup:
      risk.value === 0
        ? null
        : figure('Markup, of the cost', yours / risk.value, 'share', 'computed', {
            how: 'yours ÷ full cost with risk',
            parts: [yoursFigure, risk],
          }),
    hourEarns:
      hours === 0
        ? null
        : figure('An hour earns', forHours / hours, 'money/h', 'computed', {
            how: '(price − fee − cash cost − what goes wrong) ÷ your time',
            parts: [
              priceFigure,
              feeFigure,
              cost.cash,
              figure('What goes wrong', riskShare, 'money', 'computed'),
              cost.handsSeconds,
            ],
          }),
  };
}

/** The lowest price in whole cents that reaches the margin: (cost + fixed fee) ÷ (1 − fee share − margin). */
export function priceForMargin(margin: number, cost: CostSums, shop: ShopFigures): Result<Figure, PriceProblem> {
  const room = 1 - shop.feeShare - margin;
  // Binary fractions: 0.55 + 0.45 misses one by 1e-16.
  if (room <= SHARE_NOISE) return fail({ kind: 'goal-beyond-price', feeShare: shop.feeShare, goalShare: margin });
  const price = lowestPrice(
    (cost.withRisk.value + shop.feeFixed) / room,
    (candidate) => candidate - computeFee(candidate, shop) - cost.withRisk.value >= margin * candidate - MONEY_NOISE,
  );
  return succeed(
    figure(margin === 0 ? 'Floor' : 'Price for your margin', price, 'money', 'computed', {
      how: '(full cost with risk + fixed fee) ÷ (1 − fee share − margin), up to the next cent',
      parts: [
        cost.withRisk,
        getShopFigure(shop, 'feeFixed'),
        getShopFigure(shop, 'feeShare'),
        figure('Margin', margin, 'share', 'shop'),
      ],
    }),
  );
}

/** The price that leaves this markup on the cost: (cost × (1 + markup) + fixed fee) ÷ (1 − fee share). */
export function priceForMarkup(markup: number, cost: CostSums, shop: ShopFigures): Result<Figure, PriceProblem> {
  return priceForAmount(
    'Price for this markup',
    cost.withRisk.value * (1 + markup),
    [cost.withRisk, figure('Markup', markup, 'share', 'typed')],
    shop,
  );
}

/** The price at which an hour earns `wagePerHour`: cash, risk and the hours at that wage, before the fee. */
export function priceForWage(wagePerHour: number, cost: CostSums, shop: ShopFigures): Result<Figure, PriceProblem> {
  const riskShare = cost.withRisk.value - cost.full.value;
  const hours = cost.handsSeconds.value / SECONDS_PER_HOUR;
  return priceForAmount(
    'Price for your wage goal',
    cost.cash.value + riskShare + wagePerHour * hours,
    [
      cost.cash,
      figure('What goes wrong', riskShare, 'money', 'computed'),
      figure('Wage goal', wagePerHour, 'money/h', 'shop'),
      cost.handsSeconds,
    ],
    shop,
  );
}

export const computeFloor = (cost: CostSums, shop: ShopFigures): Result<Figure, PriceProblem> =>
  priceForMargin(0, cost, shop);

function priceForAmount(
  label: string,
  left: number,
  parts: readonly Figure[],
  shop: ShopFigures,
): Result<Figure, PriceProblem> {
  const room = 1 - shop.feeShare;
  if (room <= SHARE_NOISE) return fail({ kind: 'goal-beyond-price', feeShare: shop.feeShare, goalShare: 0 });
  const price = lowestPrice(
    (left + shop.feeFixed) / room,
    (candidate) => candidate - computeFee(candidate, shop) >= left - MONEY_NOISE,
  );
  return succeed(
    figure(label, price, 'money', 'computed', {
      how: '(what must be left + fixed fee) ÷ (1 − fee share), up to the next cent',
      parts: [...parts, getShopFigure(shop, 'feeFixed'), getShopFigure(shop, 'feeShare')],
    }),
  );
}

/**
 * The fee is rounded to the cent, so the exact solution can be a cent or two off: go down while it holds, up until it
 * does.
 */
function lowestPrice(near: number, holds: (candidate: number) => boolean): Minor {
  let price = Math.ceil(near - MONEY_NOISE);
  while (price > 0 && holds(price - 1)) price--;
  while (!holds(price)) price++;
  return minor(price);
}

/** Discounts that are ordinarily asked for: a regular, a club, a shop that sells it on. */
export const DISCOUNTS = [0.05, 0.1, 0.2, 0.4] as const;
export type DiscountReading = {
  readonly share: number;
  readonly price: Figure;
  readonly hourEarns: Figure | null;
  /** You would pay to work. */
  readonly belowFloor: boolean;
};

/**
 * What a discount leaves: the price less it, up to the cent, and what an hour earns then. `share` from 0 to 1; below 0
 * it is a surcharge, as for a rush.
 */
export function readDiscount(share: number, price: Minor, cost: CostSums, shop: ShopFigures): DiscountReading {
  const left = minor(Math.ceil(price * (1 - share) - MONEY_NOISE));
  const reading = readPrice(left, cost, shop);
  const [label, how] =
    share < 0
      ? ['Price with the surcharge', 'price × (1 + surcharge), up to the cent']
      : ['Price less the discount', 'price × (1 − discount), up to the cent'];
  return {
    share,
    price: figure(label, left, 'money', 'computed', {
      how,
      parts: [
        figure('Price', price, 'money', 'typed'),
        figure(share < 0 ? 'Surcharge' : 'Discount', Math.abs(share), 'share', 'typed'),
      ],
    }),
    hourEarns: reading.hourEarns,
    belowFloor: reading.yours.value < 0,
  };
}

export const SET_SIZES = [2, 3, 5] as const;
export type SetReading = {
  readonly count: number;
  readonly price: Figure;
  readonly yours: Figure;
  readonly hourEarns: Figure | null;
  readonly belowFloor: boolean;
};

/**
 * So many sold as one set, the set cheaper by `share`: the fixed fee is taken once, and the order has its messages and
 * post once; everything else is for each piece.
 */
export function readSet(count: number, share: number, price: Minor, cost: CostSums, shop: ShopFigures): SetReading {
  const asked = figure(`A set of ${count}`, Math.ceil(count * price * (1 - share) - MONEY_NOISE), 'money', 'computed', {
    how: 'pieces × price × (1 − off), up to the cent',
    parts: [
      figure('Pieces', count, 'count', 'typed'),
      figure('Price', price, 'money', 'typed'),
      figure('Off', share, 'share', 'shop'),
    ],
  });
  const fee = figure('Fee', computeFee(asked.value, shop), 'money', 'computed', {
    how: 'share × price of the set + fixed part, once',
    parts: [getShopFigure(shop, 'feeShare'), asked, getShopFigure(shop, 'feeFixed')],
  });
  const once = getOrderOnce(count, cost, shop);
  const costs = figure(
    'Full cost with risk, all of it',
    count * cost.withRisk.value - once.saved,
    'money',
    'computed',
    {
      how: once.saved === 0 ? 'pieces × one' : 'pieces × one, but one order',
      parts: [cost.withRisk, ...once.parts],
    },
  );
  const seconds = count * cost.handsSeconds.value - once.savedSeconds;
  const time = figure('Your time, all of it', seconds, 's', 'computed', {
    how: once.savedSeconds === 0 ? 'pieces × one' : 'pieces × one, but one order',
    parts: [cost.handsSeconds, ...once.timeParts],
  });
  const wages = count * (cost.full.value - cost.cash.value) - once.saved;
  const yours = figure('Yours', asked.value - fee.value - costs.value, 'money', 'computed', {
    how: 'price of the set − fee − full cost with risk',
    parts: [asked, fee, costs],
  });
  return {
    count,
    price: asked,
    yours,
    belowFloor: yours.value < 0,
    hourEarns:
      seconds === 0
        ? null
        : figure('An hour earns', ((yours.value + wages) * SECONDS_PER_HOUR) / seconds, 'money/h', 'computed', {
            how: '(yours + your time at your hour) ÷ your time',
            parts: [yours, figure('Your time, paid', wages, 'money', 'computed'), time],
          }),
  };
}

const ONE_ORDER = 'Less: the order is one';

/** What pieces of one order save of what each bears of an order; below nothing where an order usually has more pieces. */
function getOrderOnce(
  count: number,
  cost: CostSums,
  shop: ShopFigures,
): {
  readonly saved: number;
  readonly savedSeconds: number;
  readonly parts: readonly Figure[];
  readonly timeParts: readonly Figure[];
} {
  const line = cost.lines.find(({ id }) => id === 'order');
  if (!line) return { saved: 0, savedSeconds: 0, parts: [], timeParts: [] };
  const all = roundMoney((shop.orderSeconds / SECONDS_PER_HOUR) * shop.wagePerHour);
  const saved = count * line.total - all;
  const savedSeconds = count * line.handsSeconds - shop.orderSeconds;
  return {
    saved,
    savedSeconds,
    parts: saved === 0 ? [] : [figure(ONE_ORDER, -saved, 'money', 'computed', { parts: [line.figure] })],
    timeParts: savedSeconds === 0 ? [] : [figure(ONE_ORDER, -savedSeconds, 's', 'computed')],
  };
}
