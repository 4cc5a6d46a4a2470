// Examples that several tests share.

import type { TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { rectangle } from '../../core/stock';
import { placeOrder } from '../orders/save-order';
import { loadCutSheets } from './load-cut-sheets';

/** What is left across the whole width behind `usedMm`. */
export const behind = (widthMm: number, usedMm: number, lengthMm: number) =>
  rectangle(widthMm, lengthMm).map((point) => ({ x: point.x, y: point.y + usedMm }));

export const SLATE = 'Tarn Smooth, slate';

/** What waits of a vinyl, and the stock for it. */
export const groupOf = (shop: TestShop, name: string) =>
  loadCutSheets(shop).groups.find((group) => group.vinyl.name === name)!;

/** An order of coats, one part of slate each; its id. */
export function orderCoats(shop: TestShop, quantity = 2): number {
  const item = priceAllItems(shop).find((row) => row.item.name === 'Lab coat, club mark')!.item;
  return placeOrder(shop, {
    title: 'Club coats',
    customerName: 'Ansel Thrush',
    contact: '',
    dueDay: '2026-11-26',
    agreed: 9000,
    note: '',
    lines: [{ itemId: item.id, quantity, sizeName: 'M', colourName: 'white' }],
  }).id;
}

/** The parts of an order that wait to be cut from a vinyl. */
export const waiting = (shop: TestShop, orderId: number, name = SLATE) =>
  groupOf(shop, name).parts.filter((part) => part.orderId === orderId);
