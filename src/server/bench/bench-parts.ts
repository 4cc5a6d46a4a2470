// The parts that work is done on, and what is written of them.

import { isOver, type PartEvent } from '../../core/orders/index';
import { findOrderIdsOfParts, loadOrders, loadStandingOrders } from '../../data/order-store';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { readStanding, readStored, type ReadOrder, type WaitingOrder, type WaitingPart } from '../orders/read-orders';

export type NewEvent = Omit<PartEvent, 'id'> & { readonly sessionId: number | null };

export function readOrdersOf(shop: ShopContext, partIds: readonly number[]): readonly ReadOrder[] {
  return loadOrders(shop.db, findOrderIdsOfParts(shop.db, partIds)).map(readStored);
}

/** As they stand: without what happened to each of their parts. */
export function readStandingOf(shop: ShopContext, partIds: readonly number[]): readonly WaitingOrder[] {
  return loadStandingOrders(shop.db, findOrderIdsOfParts(shop.db, partIds)).map(readStanding);
}

/** The parts in the order asked, of open orders only. @throws ShopError when one is gone or its order closed. */
export function requireParts<Part extends WaitingPart>(
  orders: readonly (Pick<WaitingOrder, 'stage'> & { readonly parts: readonly Part[] })[],
  partIds: readonly number[],
): readonly Part[] {
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
export function refuseNotInHand(orders: readonly WaitingOrder[]): void {
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
