// What one piece costs, and should cost the customer, by how many are made at once.

import type { ShopFigures } from '../materials';
import { succeed, type Result } from '../units';
import { computeItemCost, type CostProblem, type ItemCost, type ItemSpec } from './item-cost';

export const LADDER_QUANTITIES = [1, 2, 5, 10, 20, 50, 100] as const;

/** Costs by quantity, in the order asked. Problem: the item can't be made at all. */
export function computeLadder(
  spec: ItemSpec,
  quantities: readonly number[],
  shop: ShopFigures,
): Result<readonly ItemCost[], CostProblem> {
  const rungs: ItemCost[] = [];
  for (const quantity of quantities) {
    const cost = computeItemCost(spec, quantity, shop);
    if (!cost.ok) return cost;
    rungs.push(cost.value);
  }
  return succeed(rungs);
}

/**
 * Prices that never rise with the quantity. A part-filled strip can make five dearer each than four: then the smaller
 * number is sold at the price of the larger, so that each rung still covers its own cost. Values by rising quantity.
 */
export function levelLadder(prices: readonly number[]): readonly number[] {
  const level = [...prices];
  for (let at = level.length - 2; at >= 0; at--) level[at] = Math.max(level[at]!, level[at + 1]!);
  return level;
}
