// Two products out of one cut: the item, and what is weeded out of it. They share the cost of the cut; how it is shared
// is the seller's choice.

import { apportion, figure, roundMoney, type Figure, type Minor } from '../units';
import type { ItemCost } from './item-cost';

/** What is weeded out of a layer and sold too. */
export type Negative = {
  readonly name: string;
  readonly layer: number;
  readonly price: Minor;
  /** What it takes besides the cut: its blank, pressing, packing. */
  readonly ownCost: Minor;
};
export type SharingWay = 'area' | 'value' | 'by-product';
const SHARING_WAYS: readonly SharingWay[] = ['area', 'value', 'by-product'];
type SharedProduct = {
  readonly name: string;
  readonly share: Figure;
  readonly cost: Figure;
  /** Of its price; fees are not taken off. */
  readonly left: Figure;
};
export type Sharing = {
  readonly way: SharingWay;
  /** The item, then the negative; null where the way can't be gone: nothing of value is there to share by. */
  readonly products: readonly [SharedProduct, SharedProduct] | null;
};

/**
 * The cost up to where the two part: vinyl, cut and weeding of the layer, with its part of what goes wrong not in it.
 */
function computeJointCost(cost: ItemCost, layer: number): Figure {
  const lines = cost.lines.filter((line) => [`vinyl-${layer}`, `cut-${layer}`, `weed-${layer}`].includes(line.id));
  return figure(
    'Cost of the cut, for both',
    lines.reduce((sum, line) => sum + line.total, 0),
    'money',
    'computed',
    { how: 'vinyl + cutting + weeding of the layer', parts: lines.map((line) => line.figure) },
  );
}

/** Each of the two, the item first: what it takes besides the cut, its price, and the one less the other. */
type Sides = {
  readonly names: readonly [string, string];
  readonly own: readonly [Figure, Figure];
  readonly prices: readonly [Figure, Figure];
  readonly netValues: readonly [Figure, Figure];
};

/**
 * The three ways side by side. By area: net area against what is weeded out of its box. By sale value: what each brings
 * less what it takes after the cut (net realisable value). By-product: the negative's net value is taken off the item's
 * cost. Source: the ordinary methods of joint costing. Shares add up to the joint cost exactly.
 */
export function shareJointCost(input: {
  readonly cost: ItemCost;
  readonly itemName: string;
  readonly price: Minor;
  readonly negative: Negative;
}): readonly Sharing[] {
  const { cost, negative } = input;
  const areas = cost.layers[negative.layer]?.areas;
  if (!areas) return SHARING_WAYS.map((way) => ({ way, products: null }));
  const joint = computeJointCost(cost, negative.layer);
  const weededOut = figure('Weeded out', Math.max(0, areas.box.value - areas.net.value), 'mm²', 'measured', {
    how: 'box − net',
    parts: [areas.box, areas.net],
  });
  const sides = describeSides(input, joint);
  return SHARING_WAYS.map((way): Sharing => {
    const split = splitCost(way, joint.value, [areas.net, weededOut], sides.netValues);
    return { way, products: split && toProducts(split, joint, sides) };
  });
}

function describeSides(input: Parameters<typeof shareJointCost>[0], joint: Figure): Sides {
  const { cost, itemName, price, negative } = input;
  const own = [
    figure('What it takes besides', cost.withRisk.value - joint.value, 'money', 'computed', {
      how: 'full cost with risk − cost of the cut',
      parts: [cost.withRisk, joint],
    }),
    figure('What it takes besides', negative.ownCost, 'money', 'typed'),
  ] as const;
  const prices = [figure('Price', price, 'money', 'typed'), figure('Price', negative.price, 'money', 'typed')] as const;
  const netValueOf = (at: 0 | 1): Figure =>
    figure('Price less what it takes besides', prices[at].value - own[at].value, 'money', 'computed', {
      parts: [prices[at], own[at]],
    });
  return { names: [itemName, negative.name], own, prices, netValues: [netValueOf(0), netValueOf(1)] };
}

/** How the cost of the cut falls on the two: amounts in minor units that add up to it, and what they go by. */
type Split = {
  readonly amounts: readonly [number, number];
  readonly how: string;
  readonly parts: readonly [readonly Figure[], readonly Figure[]];
};

/** Null where there is nothing to share by. */
function splitCost(
  way: SharingWay,
  joint: number,
  areas: readonly [Figure, Figure],
  netValues: readonly [Figure, Figure],
): Split | null {
  switch (way) {
    case 'area':
      return areas[0].value + areas[1].value > 0
        ? splitBy(areas, joint, 'cost of the cut × its area ÷ both areas')
        : null;
    case 'value':
      return netValues.every((net) => net.value > 0)
        ? splitBy(netValues, joint, 'cost of the cut × its net value ÷ both net values')
        : null;
    case 'by-product': {
      const credit = roundMoney(netValues[1].value);
      return netValues[1].value > 0
        ? {
            amounts: [joint - credit, credit],
            how: 'the negative’s net value is credited to the item',
            parts: [[netValues[1]], [netValues[1]]],
          }
        : null;
    }
    default:
      return way satisfies never;
  }
}

function splitBy([first, second]: readonly [Figure, Figure], joint: number, how: string): Split {
  const whole = first.value + second.value;
  const [ofFirst, ofSecond] = apportion([(joint * first.value) / whole, (joint * second.value) / whole], joint);
  return {
    amounts: [ofFirst!, ofSecond!],
    how,
    parts: [
      [first, second],
      [second, first],
    ],
  };
}

function toProducts(split: Split, joint: Figure, sides: Sides): readonly [SharedProduct, SharedProduct] {
  const productOf = (at: 0 | 1): SharedProduct => {
    const share = figure('Its share of the cut', split.amounts[at], 'money', 'computed', {
      how: split.how,
      parts: [joint, ...split.parts[at]],
    });
    const cost = figure('Cost', share.value + sides.own[at].value, 'money', 'computed', {
      how: 'share of the cut + what it takes besides',
      parts: [share, sides.own[at]],
    });
    const left = figure('Left of the price', sides.prices[at].value - cost.value, 'money', 'computed', {
      how: 'price − cost, before fees',
      parts: [sides.prices[at], cost],
    });
    return { name: sides.names[at], share, cost, left };
  };
  return [productOf(0), productOf(1)];
}
