// A step of several orders at once: each by itself, so that one which can't take it keeps none of the others.

import type { InferType } from 'yup';
import type { ordersMove } from '../../core/input/index';
import type { MovedOrders } from '../../views/orders';
import type { ShopContext } from '../context';
import { ShopError } from '../errors';
import { moveOrder, undoMove } from './move-order';

/** What was moved, and of the others why not, in words. */
export function moveOrders(shop: ShopContext, { ids, move }: InferType<typeof ordersMove>): MovedOrders {
  const moved: number[] = [];
  const refused: { id: number; words: string }[] = [];
  for (const id of new Set(ids)) {
    try {
      if (move === 'undo') undoMove(shop, id);
      else moveOrder(shop, id, { move });
      moved.push(id);
    } catch (error) {
      if (!(error instanceof ShopError)) throw error;
      refused.push({ id, words: error.message });
    }
  }
  return { moved, refused };
}
