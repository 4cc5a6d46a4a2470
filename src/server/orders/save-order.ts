// Taking an order, and changing what was agreed about it.

import type { InferType } from 'yup';
import type { orderChange, orderInput, termsInput } from '../../core/input/index';
import { askEach, freezeQuote, PLAIN_TERMS, type LineText, type OrderTerms } from '../../core/orders/index';
import { formatMoney, minor } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { insertOrder, updateOrder, type StandingOrder } from '../../data/order-store';
import { addOrderEvent } from '../../data/order-event-store';
import { type LineFields } from '../../data/order-line-store';
import { markLetteringsUsed } from '../../data/lettering-store';
import { insertRoster } from '../../data/roster-store';
import { changed, type Saved } from '../saved';
import { getSettings, getShop, type ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import { costOrder, type WishedLine } from './cost-order';
import { toAsked } from './asked-prices';
import { describeTermChanges } from '../../wording/order-terms';
import { ensureCustomer } from './find-customer';
import { readOrder, readStandingOrder, type ReadOrder, type WaitingOrder } from './read-orders';

type TakenOrder = InferType<typeof orderInput>;
export type WrittenLine = WishedLine & {
  readonly note?: string | undefined;
  /** Asked for one piece; null or left out: the shop's price. */
  readonly each?: number | null | undefined;
  /** Which line of a list of names it is. */
  readonly rosterRow?: number | null | undefined;
};
/** What most orders go without may be left out. */
export type OrderWish = Pick<TakenOrder, 'customerName' | 'contact' | 'title' | 'dueDay' | 'agreed' | 'note'> &
  Partial<Pick<TakenOrder, 'customerId' | 'terms' | 'deposit' | 'as' | 'roster'>> & {
    readonly lines: readonly WrittenLine[];
  };

/**
 * Takes the order: pieces and parts follow from its lines, each line's cost is frozen as its quote. Texts have to be
 * set before.
 */
export function placeOrder(shop: ShopContext, input: OrderWish): { id: number } {
  return {
    id: inTransaction(shop.db, () => {
      const atMs = shop.now();
      const rosterId = input.roster ? insertRoster(shop.db, input.roster, atMs) : null;
      const customerId = ensureCustomer(shop, {
        customerId: input.customerId ?? null,
        name: input.customerName,
        contact: input.contact,
      });
      return insertOrder(
        shop.db,
        {
          customerId,
          title: input.title,
          dueDay: input.dueDay,
          agreed: minor(input.agreed),
          terms: toTerms(input.terms),
          deposit: minor(input.deposit ?? 0),
          note: input.note,
          placedAtMs: atMs,
          lines: freezeLines(shop, input.lines, rosterId),
        },
        input.as ?? 'placed',
      );
    }),
  };
}

/** Lines with their costs as of now. @throws ShopError naming the field of a line that can't be costed */
export function freezeLines(
  shop: ShopContext,
  lines: readonly WrittenLine[],
  rosterId: number | null,
): readonly LineFields[] {
  const { figures } = getShop(shop);
  const settings = getSettings(shop);
  const costed = costOrder(shop, lines).lines;
  markLetteringsUsed(
    shop.db,
    costed.flatMap(({ cost }) => cost.made.placements.map(({ artworkId }) => artworkId)),
  );
  return costed.map(({ line, item, cost }, index): LineFields => {
    if (!cost.ok)
      throw new ShopError(
        'invalid',
        { reason: 'item-not-costed', item: item.name, problem: cost.problem, settings },
        `lines[${index}].${cost.problem.kind === 'unknown-size' ? 'sizeName' : 'itemId'}`,
      );
    const rosterRow = line.rosterRow ?? null;
    return {
      itemId: item.id,
      quantity: line.quantity,
      sizeName: line.sizeName,
      colourName: line.colourName,
      options: line.options,
      texts: (line.texts ?? []).filter(({ text }) => text.trim() !== '') as readonly LineText[],
      note: line.note ?? '',
      each: minor(askEach(line, toAsked(item))),
      rosterId: rosterRow === null ? null : rosterId,
      rosterRow,
      quote: freezeQuote(cost.value, figures),
      made: cost.made,
    };
  });
}

export function changeOrder(
  shop: ShopContext,
  id: number,
  input: InferType<typeof orderChange>,
  version: number,
): Saved {
  const { order } = requireOrder(shop, id);
  const fields = {
    ...input,
    agreed: minor(input.agreed),
    terms: input.terms ? toTerms(input.terms) : order.terms,
    deposit: minor(input.deposit ?? order.deposit),
  };
  inTransaction(shop.db, () => {
    if (!updateOrder(shop.db, id, fields, version)) throw stale('This order');
    const changes = describeChanges(shop, order, fields);
    if (changes.length > 0) addOrderEvent(shop.db, id, 'changed', shop.now(), { detail: changes.join(', ') });
  });
  return changed(id, version);
}

function describeChanges(
  shop: ShopContext,
  order: Omit<StandingOrder, 'parts' | 'goneParts'>,
  input: Pick<StandingOrder, 'title' | 'dueDay' | 'agreed' | 'terms' | 'deposit'>,
): readonly string[] {
  const settings = getSettings(shop);
  const money = (was: number, now: number) => `${formatMoney(was, settings)} → ${formatMoney(now, settings)}`;
  return [
    ...(order.dueDay === input.dueDay ? [] : [`due ${order.dueDay} → ${input.dueDay}`]),
    ...(order.agreed === input.agreed ? [] : [`price ${money(order.agreed, input.agreed)}`]),
    ...describeTermChanges(order.terms, input.terms, settings),
    ...(order.deposit === input.deposit ? [] : [`deposit ${money(order.deposit, input.deposit)}`]),
    ...(order.title === input.title ? [] : [`now “${input.title}”`]),
  ];
}

/** What is left out is as most orders go. */
const toTerms = (terms: InferType<typeof termsInput> | undefined): OrderTerms =>
  terms ? { ...terms, setOff: minor(terms.setOff), deliveryCharge: minor(terms.deliveryCharge) } : PLAIN_TERMS;

/** @throws ShopError not-found */
export function requireOrder(shop: ShopContext, id: number): ReadOrder {
  const order = readOrder(shop, id);
  if (!order) throw notFound('This order');
  return order;
}

/** As it stands. @throws ShopError not-found */
export function requireStandingOrder(shop: ShopContext, id: number): WaitingOrder {
  const order = readStandingOrder(shop, id);
  if (!order) throw notFound('This order');
  return order;
}
