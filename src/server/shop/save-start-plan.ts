// The plan to begin: kit, hours and the mix that is hoped to be sold.

import type { InferType } from 'yup';
import type { planInput } from '../../core/input/index';
import { START_PLAN, type KitOption } from '../../core/planning/index';
import { minor } from '../../core/units/index';
import { findItems, listItems, type StoredItem } from '../../data/item-store';
import { loadStartPlan, saveStartPlan } from '../../data/plan-store';
import type { StartView } from '../../views/start-plan';
import type { ShopContext } from '../context';
import { notFound, stale } from '../errors';
import { readItemCosts } from '../items/item-costs';

/** So many stand in the list of what is sold, besides those the plan has; others are looked for by name. */
const LISTED = 20;

/** A plan that was never saved begins with examples, and with one of each listed item a week. */
export function loadStart(shop: ShopContext): StartView {
  const saved = loadStartPlan(shop.db);
  const first = listItems(shop.db, { words: '', sort: 'name', down: false, offset: 0, limit: LISTED + 1 });
  const there = new Set(first.map((item) => item.id));
  const sold = (saved?.plan.mix ?? []).filter(({ itemId, perWeek }) => perWeek > 0 && !there.has(itemId));
  const others = findItems(
    shop.db,
    sold.map(({ itemId }) => itemId),
  ).filter((item) => !item.archived);
  const items = toPlanItems(shop, [...first.slice(0, LISTED), ...others]);
  const plan = saved?.plan ?? { ...START_PLAN, mix: items.map((item) => ({ itemId: item.id, perWeek: 1 })) };
  return { plan, version: saved?.version ?? 0, items, more: first.length > LISTED };
}

/** @throws ShopError where it is not there, or can't be costed */
export function loadPlanItem(shop: ShopContext, id: number): StartView['items'][number] {
  const [item] = toPlanItems(shop, findItems(shop.db, [id]));
  if (!item) throw notFound('This item');
  return item;
}

/** Those that can be costed, without the lines of their costs. */
function toPlanItems(shop: ShopContext, items: readonly StoredItem[]): StartView['items'] {
  const costs = readItemCosts(shop, items);
  return items.flatMap(({ id, name, price }) => {
    const { cost, acrossMm } = costs.get(id)!;
    return cost ? [{ id, name, price, cost: { ...cost, lines: [] }, acrossMm }] : [];
  });
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
