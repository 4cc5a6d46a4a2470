// The plan to begin: kit, hours and the mix that is hoped to be sold.

import type { InferType } from 'yup';
import type { planInput } from '../../core/input/index';
import { START_PLAN, type KitOption } from '../../core/planning/index';
import { minor } from '../../core/units/index';
import { loadStartPlan, saveStartPlan } from '../../data/plan-store';
import type { StartView } from '../../views/start-plan';
import { getAcross, getUsualVariant, listMadeLayers, resolveVariant } from '../../core/costing/index';
import { getShop, type ShopContext } from '../context';
import { stale } from '../errors';
import { priceAllItems } from '../items/price-all';

/** A plan that was never saved begins with examples, and with one of each item a week. */
export function loadStart(shop: ShopContext): StartView {
  const saved = loadStartPlan(shop.db);
  const { rows, materials } = priceAllItems(shop);
  const { weedMarginMm } = getShop(shop).figures;
  const items = rows.flatMap(({ item, cost }) =>
    cost.ok
      ? [
          {
            id: item.id,
            name: item.name,
            price: item.price,
            cost: { ...cost.value, layers: [] },
            acrossMm: Math.max(
              0,
              ...listMadeLayers(resolveVariant(item, getUsualVariant(item)), materials).map((layer) =>
                getAcross(layer, weedMarginMm),
              ),
            ),
          },
        ]
      : [],
  );
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
