// The parts that work is done on, and what is written of them.

import { isOver, type PartEvent } from '../../core/orders/index';
import { findOrderIdsOfParts, loadOrders } from '../../data/order-store';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { readStored, type ReadOrder, type ReadPart } from '../orders/read-orders';

export type NewEvent = Omit<PartEvent, 'id'> & { readonly sessionId: number | null };

export function readOrdersOf(shop: ShopContext, partIds: readonly number[]): readonly ReadOrder[] {
  return loadOrders(shop.db, findOrderIdsOfParts(shop.db, partIds)).map(readStored);
}

/** The parts in the order asked, of open orders only. @throws ShopError when one is gone or its order closed. */
export function requireParts(orders: readonly ReadOrder[], partIds: readonly number[]): readonly ReadPart[] {
  const byId = new Map(orders.flatMap(({ parts }) => parts).map((part) => [part.id, part]));
  const closed = new Set(
    orders.filter(({ stage }) => isOver(stage)).flatMap(({ parts }) => parts.map((part) => part.id)),
  );
  return [...new Set(partIds)].map((id) => {
    const part = byId.get(id);
    if (!part) throw notFound('One of these parts');
    if (closed.has(id)) throw new ShopError('conflict', { reason: 'work-on-closed-order' });
    return part;
  });
}

/** @throws ShopError: nothing is begun of an order that is not agreed, or on hold */
export function refuseNotInHand(orders: readonly ReadOrder[]): void {
  const other = orders.find(({ stage }) => stage === 'wish' || stage === 'quoted' || stage === 'on-hold');
  if (other)
    throw new ShopError('conflict', { reason: 'order-not-in-hand', stage: other.stage, title: other.order.title });
}

export type Costs = Pick<PartEvent, 'vinylCost' | 'blankCost' | 'wearCost'>;

export const newEvent = (
  partId: number,
  kind: NewEvent['kind'],
  more: Costs & Partial<NewEvent> & Pick<NewEvent, 'atMs'>,
): NewEvent => ({ partId, kind, sessionId: null, undoes: null, cause: null, blankLost: false, ...more });
