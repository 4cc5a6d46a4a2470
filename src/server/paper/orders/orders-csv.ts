// All orders as a table for a spreadsheet.

import { writeCsv } from '../../../core/buying';
import { dayOf, printMajor } from '../../../core/units';
import { listOrdersForTable } from '../../../data/order-search';
import { getShop } from '../../context';
import { openInThread, type ShopInThread } from '../../heavy/shop-in-thread';

export function writeOrdersCsv(at: ShopInThread): string {
  const shop = openInThread(at);
  const { currency, timeZone } = getShop(shop);
  const money = (amount: number) => printMajor(amount, currency);
  const day = (ms: number | null) => (ms === null ? '' : dayOf(ms, timeZone));
  return writeCsv(
    [
      'number',
      'order',
      'customer',
      'contact',
      'taken',
      'due',
      'standing',
      'closed',
      'pieces',
      `agreed ${currency}`,
      `paid ${currency}`,
    ],
    listOrdersForTable(shop.db).map((order) => [
      order.id,
      order.title,
      order.customer,
      order.contact,
      day(order.placedAtMs),
      order.dueDay,
      order.standing,
      day(order.closedAtMs),
      order.pieces,
      money(order.agreed),
      money(order.paid),
    ]),
  );
}
