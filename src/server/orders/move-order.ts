// An order moves on, or a step is taken back. Which steps make sense is core's to say.

import { decideMove, findUndoable, getOwed, isOver, ORDER_MOVES, type OrderMove } from '../../core/orders/index';
import { inTransaction } from '../../data/database';
import { addOrderEvent } from '../../data/order-event-store';
import { getSettings, type ShopContext } from '../context';
import { ShopError } from '../errors';
import type { WaitingOrder } from './read-orders';
import { requireStandingOrder } from './save-order';

export const isOrderMove = (text: string): text is OrderMove => (ORDER_MOVES as readonly string[]).includes(text);

export type MoveWish = {
  readonly move: OrderMove;
  /** Why, or by whom. */
  readonly detail?: string;
  /** Closing gives up what is still owed. */
  readonly owedGivenUp?: boolean;
};

/** @throws ShopError with the reason why the step makes no sense now */
export function moveOrder(shop: ShopContext, id: number, { move, detail = '', owedGivenUp = false }: MoveWish): void {
  inTransaction(shop.db, () => {
    const entry = requireStandingOrder(shop, id);
    const { stage, order } = entry;
    const owed = getOwed(order);
    const decided = decideMove(move, { stage, owed, owedGivenUp });
    if (!decided.ok)
      throw decided.problem.kind === 'still-owed'
        ? new ShopError('conflict', { reason: 'order-still-owed', owed, settings: getSettings(shop) })
        : new ShopError('conflict', { reason: 'order-move-refused', move, stage });
    addOrderEvent(shop.db, id, decided.value, shop.now(), { detail });
    if (move === 'hand-over' || move === 'send') closeWhenPaid(shop, requireStandingOrder(shop, id));
  });
}

/** Told of an order that closed by itself: taking it back takes the hand-over back with it. */
export const CLOSED_BY_ITSELF = 'handed over and paid';

/** What is handed over and paid is closed: nobody has to say so. */
export function closeWhenPaid(shop: ShopContext, { order, stage }: WaitingOrder): void {
  if ((stage === 'collected' || stage === 'sent') && getOwed(order) === 0)
    addOrderEvent(shop.db, order.id, 'closed', shop.now(), { detail: CLOSED_BY_ITSELF });
}

/** Takes the last step back. Closing that followed from a hand-over goes with it. @throws ShopError where there is none */
export function undoMove(shop: ShopContext, id: number): void {
  inTransaction(shop.db, () => {
    const first = takeLastBack(shop, id);
    if (first.kind === 'closed' && first.detail === CLOSED_BY_ITSELF) takeLastBack(shop, id);
  });
}

function takeLastBack(shop: ShopContext, id: number) {
  const { order, parts } = requireStandingOrder(shop, id);
  const last = findUndoable(
    order.events,
    parts.map((part) => part.state),
  );
  if (!last) throw new ShopError('conflict', { reason: 'no-step-to-undo' });
  addOrderEvent(shop.db, id, 'undone', shop.now(), { undoes: last.id });
  return last;
}

/** @throws ShopError: nothing about an order that has left the shop can be changed */
export function refuseOver({ stage }: WaitingOrder): void {
  if (isOver(stage)) throw new ShopError('conflict', { reason: 'work-on-closed-order' });
}
