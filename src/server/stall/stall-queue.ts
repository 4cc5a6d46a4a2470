// Who waits at the stall: what is promised for today, in the order it was taken.

import { isInHand } from '../../core/orders/index';
import { dayOf } from '../../core/units/index';
import type { StallQueue, StallView } from '../../views/stall';
import { getShop, type ShopContext } from '../context';
import { listOrderable } from '../orders/load-new-order';
import { describeWaiting } from '../orders/load-orders';
import { readOpenOrders, type WaitingOrder } from '../orders/read-orders';
import { rememberUntilChange } from '../remember';

export const loadStall = (shop: ShopContext): StallView => ({
  items: listOrderable(shop).filter(({ problem }) => problem === null),
  queue: loadStallQueue(shop),
});

export function loadStallQueue(shop: ShopContext): StallQueue {
  const today = dayOf(shop.now(), getShop(shop).timeZone);
  return rememberUntilChange(shop, `stall on ${today}`, () => {
    const waiting = readStallOrders(shop);
    const describe = describeWaiting(shop, waiting);
    return {
      orders: waiting.map((entry) => ({
        id: entry.order.id,
        title: entry.order.title,
        stage: entry.stage,
        waitingFor: describe(entry),
      })),
      waitSeconds: listAhead(waiting).reduce((sum, { seconds }) => sum + seconds, 0),
    };
  });
}

function readStallOrders(shop: ShopContext): readonly WaitingOrder[] {
  const today = dayOf(shop.now(), getShop(shop).timeZone);
  return readOpenOrders(shop)
    .filter(({ order, stage }) => order.dueDay <= today && (isInHand(stage) || stage === 'ready'))
    .sort((a, b) => a.order.id - b.order.id);
}

/** Work that comes before a new piece. */
export const readAhead = (shop: ShopContext) => listAhead(readStallOrders(shop));

const listAhead = (waiting: readonly WaitingOrder[]) =>
  waiting
    .filter(({ neededSeconds }) => neededSeconds > 0)
    .map(({ order, neededSeconds }) => ({ label: order.title, seconds: neededSeconds }));
