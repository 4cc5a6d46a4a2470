// Search over everything that has a name.

import { dayOf, formatDay, type FormatSettings } from '../../core/units/index';
import { findCustomers, findNamed, findVinyls, type NamedThing } from '../../data/find-named';
import { findOrdersLike, type FoundOrder } from '../../data/order-search';
import type { FoundThing } from '../../views/frame';
import { getSettings, type ShopContext } from '../context';

/** So many of each kind. */
const EACH = 6;

/** So many of one kind to choose from. */
const OF_A_KIND = 30;

export const NAMED_KINDS = ['artwork', 'vinyl', 'item'] as const;
type NamedKind = (typeof NAMED_KINDS)[number];

/** Those of a kind whose name holds the words, by name. */
export const findNames = (shop: ShopContext, kind: NamedKind, words: string): readonly NamedThing[] =>
  (kind === 'vinyl' ? findVinyls(shop.db, words, OF_A_KIND) : findNamed(shop.db, kind, words, OF_A_KIND)).map(
    ({ id, name }) => ({ id, name }),
  );

/** Things whose name holds the words, archived ones left out; a number finds the order of that number. */
export function findThings(shop: ShopContext, words: string): readonly FoundThing[] {
  const settings = getSettings(shop);
  const { db } = shop;
  const thing = (kind: FoundThing['kind'], label: string, detail: string, href: string): FoundThing => ({
    kind,
    label,
    detail,
    href,
  });
  return [
    ...findOrdersLike(db, words, EACH).map((order) =>
      thing('order', order.title, describeOrder(order, settings), `/orders/${order.id}`),
    ),
    ...findCustomers(db, words, EACH).map(({ id, name, contact }) =>
      thing('customer', name, contact === '' ? 'customer' : `customer, ${contact}`, `/customers/${id}`),
    ),
    ...findNamed(db, 'item', words, EACH).map(({ id, name }) => thing('item', name, 'item', `/items/${id}`)),
    ...findNamed(db, 'artwork', words, EACH).map(({ id, name }) => thing('artwork', name, 'artwork', `/artwork/${id}`)),
    ...findVinyls(db, words, EACH).map(({ id, name, colourName }) =>
      thing('vinyl', name, colourName, `/shelf?vinyl=${id}`),
    ),
    ...findNamed(db, 'blank', words, EACH).map(({ id, name }) => thing('blank', name, 'blank', `/shelf?blank=${id}`)),
  ];
}

/** Whose it is, and by when, or since when there is nothing to do. */
function describeOrder({ customer, dueDay, standing, closedAtMs }: FoundOrder, settings: FormatSettings): string {
  if (closedAtMs === null) return `${customer}, due ${formatDay(dueDay, settings)}`;
  const day = formatDay(dayOf(closedAtMs, settings.timeZone), settings);
  return `${customer}, ${standing === 'cancelled' ? 'cancelled' : 'handed over'} ${day}`;
}
