// What is told at hand-over: what was pressed rests, what sticks cures, also heat vinyl on a film.

import { expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { itemInput } from '../../core/input';
import { PLAIN_RECIPE, type LayerSchool } from '../../core/pressing';
import { loadItems } from '../../data/item-store';
import { loadBlanks } from '../../data/shelf-store';
import { finishSession, startSession } from '../bench/work-at-bench';
import { parseInput } from '../errors';
import { addItem } from '../items/save-item';
import { loadOrderView } from './load-order-view';
import { readOrder } from './read-orders';
import { placeOrder } from './save-order';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

/** A paw on this blank, ordered and pressed. */
function pressOn(blankName: string, layers: LayerSchool): number {
  const paw = loadItems(shop.db).find(({ name }) => name === 'Dog bandana, paw')!;
  const blank = loadBlanks(shop.db).find(({ name }) => name === blankName)!;
  const { id: _id, version: _version, archived: _archived, acceptedCost: _accepted, ...fields } = paw;
  const sizeName = blank.sizes[0]!.name;
  const colourName = blank.colours[0]!.name;
  const details = { ...fields.details, recipe: { ...PLAIN_RECIPE, layers } };
  const item = parseInput(itemInput, { ...fields, details, blankId: blank.id, sizeName, colourName });
  const { id } = placeOrder(shop, {
    title: 'Paws',
    customerName: 'Ada Brook',
    contact: '',
    dueDay: '2026-12-09',
    agreed: 9000,
    note: '',
    lines: [{ itemId: addItem(shop, item).id, quantity: 1, sizeName, colourName }],
  });
  const partIds = readOrder(shop, id)!.parts.map((part) => part.id);
  for (const station of ['cut', 'weed', 'press'] as const)
    finishSession(shop, startSession(shop, { station, partIds }).id, 'done');
  return id;
}

it.each([
  ['Dog bandana', 'tack, then full', 'rest'],
  ['Enamel camp cup', 'tack, then full', 'rest'],
  ['Enamel camp cup', 'on a decal film', 'cure'],
  ['Seed tin', 'on a decal film', 'cure'],
  ['Dog bandana', 'on a decal film', 'rest'],
] as const)('a paw on %s, layers %s, is told to %s', (blankName, layers, kind) => {
  const id = pressOn(blankName, layers);
  const doneAtMs = shop.now();
  expect(loadOrderView(shop, id).rests).toEqual([{ kind, untilMs: doneAtMs + 24 * 3_600_000 }]);
  shop.clock.ms += 25 * 3_600_000;
  expect(loadOrderView(shop, id).rests).toEqual([]);
});
