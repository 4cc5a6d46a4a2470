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
  const { cost, itemName, price, negative } = input;
  const joint = computeJointCost(cost, negative.layer);
  const areas = cost.layers[negative.layer]?.areas;
  if (!areas) return SHARING_WAYS.map((way) => ({ way, products: null }));
  const itemOwn = figure('What it takes besides', cost.withRisk.value - joint.value, 'money', 'computed', {
    how: 'full cost with risk − cost of the cut',
    parts: [cost.withRisk, joint],
  });
  const ownOf = [itemOwn, figure('What it takes besides', negative.ownCost, 'money', 'typed')] as const;
  const priceOf = [
    figure('Price', price, 'money', 'typed'),
    figure('Price', negative.price, 'money', 'typed'),
  ] as const;
  const weededOut = figure('Weeded out', Math.max(0, areas.box.value - areas.net.value), 'mm²', 'measured', {
    how: 'box − net',
    parts: [areas.box, areas.net],
  });
  const netValues = [0, 1].map((at) =>
    figure('Price less what it takes besides', priceOf[at]!.value - ownOf[at]!.value, 'money', 'computed', {
      parts: [priceOf[at]!, ownOf[at]!],
    }),
  ) as [Figure, Figure];
  const finish = (
    way: SharingWay,
    exact: readonly [number, number],
    how: string,
    parts: readonly (readonly Figure[])[],
  ): Sharing => {
    const rounded =
      way === 'by-product' ? [joint.value - roundMoney(exact[1]), roundMoney(exact[1])] : apportion(exact, joint.value);
    return {
      way,
      products: [itemName, negative.name].map((name, at): SharedProduct => {
        const share = figure('Its share of the cut', rounded[at]!, 'money', 'computed', {
          how,
          parts: [joint, ...parts[at]!],
        });
        const whole = figure('Cost', share.value + ownOf[at]!.value, 'money', 'computed', {
          how: 'share of the cut + what it takes besides',
          parts: [share, ownOf[at]!],
        });
        return {
          name,
          share,
          cost: whole,
          left: figure('Left of the price', priceOf[at]!.value - whole.value, 'money', 'computed', {
            how: 'price − cost, before fees',
            parts: [priceOf[at]!, whole],
          }),
        };
      }) as unknown as [SharedProduct, SharedProduct],
    };
  };
  return SHARING_WAYS.map((way): Sharing => {
    switch (way) {
      case 'area': {
        const whole = areas.net.value + weededOut.value;
        return whole > 0
          ? finish(
              way,
              [(joint.value * areas.net.value) / whole, (joint.value * weededOut.value) / whole],
              'cost of the cut × its area ÷ both areas',
              [
                [areas.net, weededOut],
                [weededOut, areas.net],
              ],
            )
          : { way, products: null };
      }
      case 'value': {
        const [first, second] = netValues,
          whole = first.value + second.value;
        return first.value > 0 && second.value > 0
          ? finish(
              way,
              [(joint.value * first.value) / whole, (joint.value * second.value) / whole],
              'cost of the cut × its net value ÷ both net values',
              [
                [first, second],
                [second, first],
              ],
            )
          : { way, products: null };
      }
      case 'by-product': {
        const credit = netValues[1];
        return credit.value > 0
          ? finish(
              way,
              [joint.value - credit.value, credit.value],
              'the negative’s net value is credited to the item',
              [[credit], [credit]],
            )
          : { way, products: null };
      }
      default:
        return way satisfies never;
    }
  });
}
