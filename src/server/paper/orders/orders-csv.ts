// Orders as tables for a spreadsheet: all of them, and open ones line by line.

import { writeCsv } from '../../../core/buying';
import { dayOf, printMajor } from '../../../core/units';
import { listOpenLinesForTable, listOrdersForTable } from '../../../data/order-search';
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

/** Headed as an order file is, so that a shop that takes it has the same orders. */
export function writeOrderLinesCsv(at: ShopInThread): string {
  const shop = openInThread(at);
  const { currency } = getShop(shop);
  const lines = listOpenLinesForTable(shop.db);
  const labels = [...new Set(lines.flatMap(({ texts }) => texts.map(({ label }) => label)))];
  return writeCsv(
    ['order', 'customer', 'contact', 'due', 'item', 'quantity', 'size', 'colour', 'price', 'note', ...labels],
    lines.map((line) => [
      line.orderId,
      line.customer,
      line.contact,
      line.dueDay,
      line.item,
      line.quantity,
      line.sizeName,
      line.colourName,
      line.each === null ? '' : printMajor(line.each, currency),
      line.note,
      ...labels.map((label) => line.texts.find((text) => text.label === label)?.text ?? ''),
    ]),
  );
}
