// What an open order waits for: stock goes to the orders due first, and what is left over for it may not suffice.

import { addDays } from '../../core/scheduling/index';
import { allocate } from '../../core/stock/index';
import { dayOf, groupBy } from '../../core/units/index';
import { loadShortestLeads } from '../../data/offer-store';
import type { OrderWaits } from '../../views/orders';
import { loadUnderWay, sumShelf } from '../buying/needs';
import { getShop, type ShopContext } from '../context';
import { rememberUntilChange } from '../remember';
import { listNeedsByDue } from '../stock/order-needs';
import { nameThings } from '../stock/things';

/** Of an order that holds its stock. */
export function findWaits(shop: ShopContext, orderId: number): OrderWaits {
  const short = findShortages(shop).get(orderId) ?? [];
  const underWay = short.length > 0 ? loadUnderWay(shop) : new Map<string, number>();
  const leads = loadShortestLeads(shop.db, short);
  const nameOf = nameThings(shop);
  const things = short.map((key) => ({
    name: nameOf(key).name,
    isUnderWay: underWay.has(key),
    days: leads.get(key) ?? null,
  }));
  return { things, from: findFirstDay(shop, things) };
}

function findFirstDay(shop: ShopContext, things: OrderWaits['things']): string | null {
  if (things.some(({ days }) => days === null)) return null;
  const today = dayOf(shop.now(), getShop(shop).timeZone);
  return addDays(today, Math.max(0, ...things.map(({ days }) => days!)));
}

/** By order: the things that are short for it. */
const findShortages = (shop: ShopContext): ReadonlyMap<number, readonly string[]> =>
  rememberUntilChange(shop, 'shortages of open orders', () => {
    const { short: claims } = allocate(listNeedsByDue(shop), sumShelf(shop));
    const short = groupBy(claims, ({ need }) => need.orderId);
    return new Map([...short].map(([orderId, own]) => [orderId, [...new Set(own.map(({ need }) => need.key))]]));
  });
