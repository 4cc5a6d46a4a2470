// What an open order waits for: stock goes to the orders due first, and what is left over for it may not suffice.

import { addDays } from '../../core/scheduling/index';
import { AMOUNT_NOISE, dayOf } from '../../core/units/index';
import { loadShortestLeads } from '../../data/offer-store';
import { loadLotsOnShelf } from '../../data/stock-store';
import type { OrderWaits } from '../../views/orders';
import { loadUnderWay } from '../buying/needs';
import { getShop, type ShopContext } from '../context';
import { rememberUntilChange } from '../remember';
import { computeOrderNeeds } from '../stock/load-stock';
import { measureLot } from '../stock/measure-lot';
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
    const { figures } = getShop(shop);
    const left = new Map<string, number>();
    for (const lot of loadLotsOnShelf(shop.db)) left.set(lot.key, (left.get(lot.key) ?? 0) + measureLot(lot, figures));
    const short = new Map<number, Set<string>>();
    const needs = [...computeOrderNeeds(shop)].sort(
      (a, b) => a.dueDay.localeCompare(b.dueDay) || a.orderId - b.orderId,
    );
    for (const { key, amount, orderId } of needs) {
      const has = left.get(key) ?? 0;
      left.set(key, Math.max(0, has - amount));
      if (amount - has > AMOUNT_NOISE) short.set(orderId, (short.get(orderId) ?? new Set()).add(key));
    }
    return new Map([...short].map(([orderId, keys]) => [orderId, [...keys]]));
  });
