// The plan to begin: kit, hours and the mix that is hoped to be sold.

import type { InferType } from 'yup';
import type { planInput } from '../../core/input/index';
import { START_PLAN, type KitOption } from '../../core/planning/index';
import { minor } from '../../core/units/index';
import { loadItems } from '../../data/item-store';
import { loadStartPlan, saveStartPlan } from '../../data/plan-store';
import type { StartView } from '../../views/start-plan';
import type { ShopContext } from '../context';
import { stale } from '../errors';
import { readItemCosts } from '../items/item-costs';

/** A plan that was never saved begins with examples, and with one of each item a week. */
export function loadStart(shop: ShopContext): StartView {
  const saved = loadStartPlan(shop.db);
  const listed = loadItems(shop.db);
  const costs = readItemCosts(shop, listed);
  const items = listed.flatMap(({ id, name, price }) => {
    const { cost, acrossMm } = costs.get(id)!;
    return cost ? [{ id, name, price, cost, acrossMm }] : [];
  });
  const plan = saved?.plan ?? { ...START_PLAN, mix: items.map((item) => ({ itemId: item.id, perWeek: 1 })) };
  return { plan, version: saved?.version ?? 0, items };
}

export function changeStartPlan(
  shop: ShopContext,
  input: InferType<typeof planInput>,
  version: number,
): { version: number } {
  const options = input.options.map((option) => ({ ...option, price: minor(option.price) }) as KitOption);
  if (!saveStartPlan(shop.db, { ...input, options, cap: minor(input.cap), reserve: minor(input.reserve) }, version))
    throw stale('This plan');
  return { version: version + 1 };
}
