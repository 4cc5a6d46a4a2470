import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { orderInput } from '../../core/input/index';
import { addDays } from '../../core/scheduling/index';
import { dayOf } from '../../core/units/index';
import { createOnce } from '../create-once';
import { getShop } from '../context';
import { ShopError } from '../errors';
import { loadNewOrder } from './load-new-order';
import { loadOrderList } from './load-order-list';
import { saveQuote } from './quick-quote';
import { readOrder } from './read-orders';
import { askOrder, takeOrder } from './take-order';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const idOf = (name: string) => priceAllItems(shop).find((row) => row.item.name === name)!.item.id;
const line = (part: object = {}) => ({
  itemId: idOf('Honeycomb tea towel'),
  quantity: 4,
  sizeName: 'one size',
  colourName: 'natural',
  options: [],
  ...part,
});
const order = (part: object = {}) =>
  orderInput.validateSync({
    customerName: 'Mira Tarn',
    contact: '',
    title: 'Four towels',
    dueDay: addDays(today(), 60),
    agreed: 10_400,
    note: '',
    lines: [line()],
    ...part,
  });
const today = () => dayOf(shop.now(), getShop(shop).timeZone);
const countOpen = () => loadOrderList(shop).rows.length;

describe('an order as it is put together', () => {
  it('costs what its lines cost in their sizes and numbers, and is ready after what waits', () => {
    const one = askOrder(shop, { lines: [line({ quantity: 1 })] });
    const four = askOrder(shop, { lines: [line()] });
    // Set-up is shared: four cost less than four times one.
    expect(four.cost!.value).toBeLessThan(4 * one.cost!.value);
    const apart = askOrder(shop, { lines: [line({ quantity: 1 }), line({ quantity: 3 })] });
    expect(apart.cost!.value).toBe(four.cost!.value);
    expect(four.problems).toEqual([]);
    expect(four.ready!.day > today()).toBe(true);
  });

  it('is what is quoted in it once it is taken, to the cent', () => {
    const asked = askOrder(shop, { lines: [line()] });
    const { id } = takeOrder(shop, order());
    const quoted = readOrder(shop, id)!.order.lines.reduce((sum, own) => sum + own.quote.withRisk * own.quantity, 0);
    expect(asked.cost!.value).toBe(quoted);
  });

  it('says which line can’t be costed, and knows no sum then', () => {
    const answer = askOrder(shop, { lines: [line(), line({ sizeName: 'XXL' })] });
    expect(answer.cost).toBeNull();
    expect(answer.problems).toEqual([
      { line: 1, itemName: 'Honeycomb tea towel', words: expect.stringContaining('XXL') as string },
    ]);
  });
});

it('says of an option with a text that nothing is written for it', () => {
  const club = { itemId: idOf('Crew jacket, crest and club mark'), sizeName: 'M', colourName: 'navy', options: [0] };
  const ask = (text: string) =>
    askOrder(shop, { lines: [line({ ...club, texts: [{ label: 'Surname', text, given: text }] })] }).findings;
  expect(ask(' ')).toMatchObject([{ what: 'nothing is written for Surname' }]);
  expect(ask('TARN').map(({ what }) => what)).not.toContain('nothing is written for Surname');
});

describe('the day an order is promised for', () => {
  it('is never past without a word, and the earliest one is named', async () => {
    const earliest = askOrder(shop, { lines: [line()] }).ready!.day;
    const past = await refusalOf(() => takeOrder(shop, order({ dueDay: addDays(today(), -1) })));
    expect(past).toMatchObject({ code: 'conflict', field: 'dueDay', refusal: { reason: 'due-past', earliest } });
    expect(past.message).toMatch(/^That day is past\. The earliest possible is /);
    const early = await refusalOf(() => takeOrder(shop, order({ dueDay: addDays(earliest, -1) })));
    expect(early).toMatchObject({ field: 'dueDay', refusal: { reason: 'due-too-early', earliest } });
  });

  it('is taken from the earliest on, and earlier ones where that was accepted', () => {
    const earliest = askOrder(shop, { lines: [line()] }).ready!.day;
    const before = countOpen();
    takeOrder(shop, order({ dueDay: earliest }));
    takeOrder(shop, order({ dueDay: addDays(today(), -1), earlyAccepted: true }));
    expect(countOpen()).toBe(before + 2);
  });
});

describe('an order that follows on a quote', () => {
  it('begins with its customer, pieces and price', () => {
    const { id } = saveQuote(shop, { ...line({ quantity: 7 }), each: 2450, customerName: 'Mira Tarn' });
    expect(loadNewOrder(shop, { quoteId: id }).start).toEqual({
      itemId: line().itemId,
      quantity: 7,
      sizeName: 'one size',
      colourName: 'natural',
      options: [],
      customerName: 'Mira Tarn',
      agreed: 7 * 2450,
    });
    expect(loadNewOrder(shop, { quoteId: id + 1 }).start).toBeNull();
  });
});

describe('a request that comes again after its answer was lost', () => {
  const take = (key: string, part: object = {}) =>
    createOnce(shop, { key, asked: JSON.stringify(part) }, () => takeOrder(shop, order(part)));

  it('makes one order, and gets the first answer', () => {
    const before = countOpen();
    const first = take('a');
    expect(take('a')).toEqual(first);
    expect(countOpen()).toBe(before + 1);
    expect(take('b')).not.toEqual(first);
    expect(countOpen()).toBe(before + 2);
  });

  it('is refused under the same key with other entries, and makes nothing', async () => {
    take('a');
    const before = countOpen();
    const refused = await refusalOf(() => take('a', { title: 'Five towels' }));
    expect(refused.refusal).toEqual({ reason: 'created-before' });
    expect(countOpen()).toBe(before);
  });

  it('that was refused the first time may come through the second', async () => {
    await refusalOf(() => take('a', { dueDay: '2020-01-01' }));
    const before = countOpen();
    take('a', { dueDay: '2020-01-01', earlyAccepted: true });
    expect(countOpen()).toBe(before + 1);
  });

  it('is forgotten after a week, so that the list does not grow for ever', () => {
    const first = take('a');
    shop.clock.ms += 8 * 24 * 3600 * 1000;
    take('b');
    expect(take('a')).not.toEqual(first);
  });
});

it('what is created without a key is whole or not there at all, too', async () => {
  const before = countOpen();
  await refusalOf(() =>
    createOnce(shop, { key: null, asked: '' }, () => {
      takeOrder(shop, order());
      throw new ShopError('conflict', { reason: 'timer-stopped' });
    }),
  );
  expect(countOpen()).toBe(before);
});
