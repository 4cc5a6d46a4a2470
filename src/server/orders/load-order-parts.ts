// The parts of an order by vinyl, by the temperature they are pressed at, and by size.

import { groupParts } from '../../core/orders/index';
import { planPressing, toPressInput } from '../../core/pressing/index';
import { formatTemperature } from '../../core/units/index';
import type { OrderPartsView } from '../../views/orders';
import { getSettings, getShop, type ShopContext } from '../context';
import { readMadeLines } from '../items/materials';
import { requireOrder } from './save-order';

/** @throws ShopError not-found */
export function loadOrderParts(shop: ShopContext, id: number): OrderPartsView {
  const entry = requireOrder(shop, id);
  const { lines, materials } = readMadeLines(shop, [entry]);
  const settings = getSettings(shop);
  const { figures } = getShop(shop);
  const heats = new Map(
    [...lines].map(([lineId, { layers, blank, made }]) => {
      const plan = planPressing(toPressInput({ layers, blank, ...made }, figures));
      if (!plan.ok) return [lineId, 'no safe temperature'];
      return [
        lineId,
        plan.value.temperatureC === null ? 'no heat' : formatTemperature(plan.value.temperatureC, settings),
      ];
    }),
  );
  const sizes = new Map(entry.order.lines.map(({ id: lineId, sizeName }) => [lineId, sizeName]));
  return {
    vinyl: groupParts(entry.parts, ({ vinylId }) => materials.vinyls.get(vinylId)?.name ?? 'vinyl'),
    temperature: groupParts(entry.parts, ({ lineId }) => heats.get(lineId) ?? 'no heat'),
    size: groupParts(entry.parts, ({ lineId }) => sizes.get(lineId) ?? ''),
  };
}
