// Due days of orders as a calendar: one order, or a feed of all that are open.

import ical from 'ical-generator';
import { loadStandingOrders, findOpenOrderIds, type StandingOrder } from '../../data/order-store';
import { getShop, type ShopContext } from '../context';
import { requireStandingOrder } from '../orders/save-order';

/** The same order has the same mark in every copy of the calendar, so that a change replaces what was there. */
const markOf = (id: number): string => `order-${id}@chiral`;

type DueOrder = Pick<StandingOrder, 'id' | 'title' | 'dueDay' | 'customer' | 'placedAtMs' | 'version'>;

/** `address`: where this shop is reached. */
export const writeOpenCalendar = (shop: ShopContext, address: string): string =>
  writeCalendar(shop, loadStandingOrders(shop.db, findOpenOrderIds(shop.db)), address);

/** @throws ShopError not-found */
export const writeOrderCalendar = (shop: ShopContext, id: number, address: string): string =>
  writeCalendar(shop, [requireStandingOrder(shop, id).order], address);

function writeCalendar(shop: ShopContext, orders: readonly DueOrder[], address: string): string {
  const { name } = getShop(shop);
  const calendar = ical({
    name: `${name}: orders due`,
    prodId: { company: 'Chiral', product: 'Chiral', language: 'EN' },
  });
  for (const { id, title, dueDay, customer, placedAtMs, version } of orders)
    calendar.createEvent({
      id: markOf(id),
      sequence: version,
      stamp: new Date(placedAtMs),
      start: new Date(`${dueDay}T00:00:00Z`),
      timezone: 'UTC',
      allDay: true,
      summary: `${title}, for ${customer.name}`,
      url: `${address}/orders/${id}`,
    });
  return calendar.toString();
}

export const calendarResponse = (text: string): Response =>
  new Response(text, { headers: { 'Content-Type': 'text/calendar; charset=utf-8', 'Cache-Control': 'no-store' } });
