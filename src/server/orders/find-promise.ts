// The first day on which a job can be done, by the hours of the shop, the orders that wait and what must be bought.

import { findEarliestDay, type Promise as Promised } from '../../core/scheduling';
import { getShop, type ShopContext } from '../context';
import type { Missing } from './find-missing';
import { readOrdersInHand } from './read-orders';

/** `ownSeconds`: hands that the job itself takes. Null where the hours do not suffice within a year. */
export function findPromise(shop: ShopContext, ownSeconds: number, toBuy: readonly Missing[]): Promised | null {
  const { figures, timeZone } = getShop(shop);
  const waitingSeconds = readOrdersInHand(shop).reduce((sum, order) => sum + order.neededSeconds, 0);
  return findEarliestDay({
    nowMs: shop.now(),
    timeZone,
    shop: figures,
    waitingSeconds,
    ownSeconds,
    materialDays: Math.max(0, ...toBuy.map((thing) => thing.days ?? 0)),
  });
}
