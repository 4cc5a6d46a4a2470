// What the lines of an order would cost if they were agreed today, beside what was frozen.

import type { TodayCost } from '../../views/orders';
import { describeCostProblem } from '../../wording/problems';
import { getSettings, type ShopContext } from '../context';
import { costOrder } from './cost-order';
import { requireStandingOrder } from './save-order';

/** @throws ShopError for an item, a colour or an option that is not there any more */
export function costToday(shop: ShopContext, id: number): { readonly lines: readonly TodayCost[] } {
  const settings = getSettings(shop);
  const { order } = requireStandingOrder(shop, id);
  return {
    lines: costOrder(shop, order.lines).lines.map(({ line, cost }): TodayCost => ({
      lineId: line.id,
      each: cost.ok ? cost.value.withRisk : null,
      problem: cost.ok ? null : describeCostProblem(cost.problem, settings),
    })),
  };
}
