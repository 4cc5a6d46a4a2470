// Taking, changing, handing over and cancelling orders.

import type { InferType } from 'yup';
import type { orderChange, orderInput } from '../../core/input/index';
import { changed, type Saved } from '../saved';
import { inTransaction } from '../../data/database';
import { freezeQuote } from '../../core/orders/index';
import { formatMoney, minor } from '../../core/units/index';
import { addOrderEvent, insertOrder, updateOrder, type LineFields, type OrderEventKind } from '../../data/order-store';
import { getSettings, getShop, type ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import { readOrder, type ReadOrder } from './read-orders';
import { costOrder } from './cost-order';
import { ensureCustomer } from '../../data/customer-store';

type TakenOrder = InferType<typeof orderInput>;
/** No options where none are named. */
type OrderWish = Omit<TakenOrder, 'lines' | 'earlyAccepted'> & {
  readonly lines: readonly (Omit<TakenOrder['lines'][number], 'options'> & { readonly options?: readonly number[] })[];
};

/** Takes the order: pieces and parts follow from its lines, each line's cost is frozen as its quote. */
export function placeOrder(shop: ShopContext, input: OrderWish): { id: number } {
  const { figures } = getShop(shop);
  const settings = getSettings(shop);
  const lines = costOrder(shop, input.lines).lines.map(({ line, item, cost }, index): LineFields => {
    if (!cost.ok)
      throw new ShopError(
        'invalid',
        { reason: 'item-not-costed', item: item.name, problem: cost.problem, settings },
        `lines[${index}].${cost.problem.kind === 'unknown-size' ? 'sizeName' : 'itemId'}`,
      );
    return {
      itemId: item.id,
      quantity: line.quantity,
      sizeName: line.sizeName,
      colourName: line.colourName,
      quote: freezeQuote(cost.value, figures),
      made: cost.made,
    };
  });
  return {
    id: inTransaction(shop.db, () => {
      const customerId = ensureCustomer(shop.db, input.customerName, input.contact);
      return insertOrder(shop.db, {
        customerId,
        title: input.title,
        dueDay: input.dueDay,
        agreed: minor(input.agreed),
        note: input.note,
        placedAtMs: shop.now(),
        lines,
      });
    }),
  };
}

export function changeOrder(
  shop: ShopContext,
  id: number,
  input: InferType<typeof orderChange>,
  version: number,
): Saved {
  const order = requireOrder(shop, id);
  const settings = getSettings(shop);
  inTransaction(shop.db, () => {
    if (!updateOrder(shop.db, id, { ...input, agreed: minor(input.agreed) }, version)) throw stale('This order');
    const changes = [
      order.order.dueDay === input.dueDay ? null : `due ${order.order.dueDay} → ${input.dueDay}`,
      order.order.agreed === input.agreed
        ? null
        : `price ${formatMoney(order.order.agreed, settings)} → ${formatMoney(input.agreed, settings)}`,
      order.order.title === input.title ? null : `now “${input.title}”`,
    ].filter(Boolean);
    if (changes.length > 0) addOrderEvent(shop.db, id, 'changed', shop.now(), changes.join(', '));
  });
  return changed(id, version);
}

const MOVES = {
  'hand-over': {
    from: ['ready'],
    event: 'handed-over',
    refusal: 'order-not-ready',
  },
  'take-back': { from: ['handed-over'], event: 'taken-back', refusal: 'order-not-collected' },
  cancel: { from: ['to-cut', 'in-work', 'ready'], event: 'cancelled', refusal: 'order-closed' },
  reopen: { from: ['cancelled'], event: 'reopened', refusal: 'order-not-cancelled' },
} as const satisfies Record<string, { from: readonly string[]; event: OrderEventKind; refusal: string }>;
export type OrderMove = keyof typeof MOVES;
export const isOrderMove = (text: string): text is OrderMove => Object.hasOwn(MOVES, text);

export function moveOrder(shop: ShopContext, id: number, move: OrderMove): void {
  inTransaction(shop.db, () => {
    const { stage } = requireOrder(shop, id);
    const { from, event, refusal } = MOVES[move];
    if (!(from as readonly string[]).includes(stage)) throw new ShopError('conflict', { reason: refusal });
    addOrderEvent(shop.db, id, event, shop.now());
  });
}

function requireOrder(shop: ShopContext, id: number): ReadOrder {
  const order = readOrder(shop, id);
  if (!order) throw notFound('This order');
  return order;
}
