// Orders with names, for tests: jackets of the demo with a surname.

import { letterText } from '../src/server/heavy/letter-thread';
import { letterTexts } from '../src/server/lettering/letter-texts';
import { loadReadBack } from '../src/server/orders/load-read-back';
import { readBack } from '../src/server/orders/read-back';
import { placeOrder, type OrderWish } from '../src/server/orders/save-order';
import type { TestShop } from './demo-shop';
import { priceAllItems } from './price-all';

export const findClub = (shop: TestShop) =>
  priceAllItems(shop).find((row) => row.item.name === 'Crew jacket, crest and club mark')!.item;

/** Texts are set here and now: no thread is needed for so few. */
export async function setNames(shop: TestShop, names: readonly string[]): Promise<void> {
  const { lettering } = findClub(shop).details.options[0]!.placement;
  await letterTexts(
    shop,
    names.map((text) => ({ text, lettering: lettering!, smaller: false })),
    { letterLot: (wishes) => Promise.resolve(wishes.map(letterText)) },
  );
}

/** A jacket with that surname; it has to be set before. */
export const makeNamed = (shop: TestShop, text: string, part: object = {}) => ({
  itemId: findClub(shop).id,
  quantity: 1,
  sizeName: 'M',
  colourName: 'navy',
  options: [0],
  texts: [{ label: 'Surname', text, given: text }],
  ...part,
});

export const takeOrderOf = (shop: TestShop, part: Partial<OrderWish>): number =>
  placeOrder(shop, {
    title: 'Named',
    customerName: 'Juniper Vale',
    contact: '',
    dueDay: '2027-03-01',
    agreed: 10_000,
    note: '',
    lines: [],
    ...part,
  }).id;

export function readAllBack(shop: TestShop, id: number): void {
  const { version, lines } = loadReadBack(shop, id);
  readBack(shop, id, { lineIds: lines.map(({ lineId }) => lineId), isRead: true, version });
}
