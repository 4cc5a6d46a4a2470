// Orders as they stand now: their parts' stories folded, their stage, what they still need.

import {
  decideStage,
  estimateRemaining,
  foldPart,
  STATIONS,
  type OrderStage,
  type PartStory,
} from '../../core/orders/index';
import { computeSlack } from '../../core/scheduling/index';
import type { Figure } from '../../core/units/index';
import { findOpenOrderIds, findOrder, loadOrders, type StoredOrder, type StoredPart } from '../../data/order-store';
import type { StoredShop } from '../../data/shop-store';
import type { ShopContext } from '../context';

export type ReadPart = StoredPart & PartStory & { readonly estimates: ReturnType<typeof estimateRemaining> };
export type ReadOrder = {
  readonly order: StoredOrder;
  readonly parts: readonly ReadPart[];
  readonly stage: OrderStage;
  readonly neededSeconds: number;
};

export function readStored(order: StoredOrder): ReadOrder {
  const quotes = new Map(order.lines.map((line) => [line.id, line.quote]));
  const parts = order.parts.map((part): ReadPart => {
    const story = foldPart(part.events);
    return { ...part, ...story, estimates: estimateRemaining(quotes.get(part.lineId)!, part.layerIndex, story.state) };
  });
  const kinds = order.events.map((event) => event.kind);
  const handedOver = kinds.lastIndexOf('handed-over') > kinds.lastIndexOf('taken-back');
  const cancelled = kinds.lastIndexOf('cancelled') > kinds.lastIndexOf('reopened');
  const stage = decideStage({ states: parts.map((part) => part.state), handedOver, cancelled });
  return {
    order,
    parts,
    stage,
    neededSeconds: parts.reduce(
      (sum, part) => sum + STATIONS.reduce((all, station) => all + part.estimates[station], 0),
      0,
    ),
  };
}

export const readOpenOrders = (shop: ShopContext): readonly ReadOrder[] =>
  loadOrders(shop.db, findOpenOrderIds(shop.db)).map(readStored);

export function readOrder(shop: ShopContext, id: number): ReadOrder | null {
  const order = findOrder(shop.db, id);
  return order ? readStored(order) : null;
}

export function slackOf(orders: readonly ReadOrder[], stored: StoredShop, nowMs: number): ReadonlyMap<number, Figure> {
  const waiting = orders.filter((entry) => entry.stage === 'to-cut' || entry.stage === 'in-work');
  return computeSlack({
    orders: waiting.map(({ order, neededSeconds }) => ({ orderId: order.id, dueDay: order.dueDay, neededSeconds })),
    nowMs,
    timeZone: stored.timeZone,
    shop: stored.figures,
  });
}
