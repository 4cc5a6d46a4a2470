// What orders wait for: stock goes to those due first.

import { describe, expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { takeOrderOf } from '../../../test/named-orders';
import { priceAllItems } from '../../../test/price-all';
import { addDays } from '../../core/scheduling/index';
import { dayOf } from '../../core/units/index';
import { getShop } from '../context';
import { loadOrderView } from './load-order-view';
import { moveOrder } from './move-order';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const today = () => dayOf(shop.now(), getShop(shop).timeZone);
const towels = (quantity: number, inDays: number, as: 'placed' | 'wished' = 'placed') =>
  takeOrderOf(shop, {
    as,
    dueDay: addDays(today(), inDays),
    lines: [
      {
        itemId: priceAllItems(shop).find((row) => row.item.name === 'Honeycomb tea towel')!.item.id,
        quantity,
        sizeName: 'one size',
        colourName: 'natural',
      },
    ],
  });
const waitsOf = (id: number) => loadOrderView(shop, id).waits;
const namesOf = (id: number) => waitsOf(id)!.things.map(({ name }) => name);

describe('an order', () => {
  it('has what it needs while the shelf suffices, though one due later does not', () => {
    const [large, small] = [towels(400, 60), towels(1, 2)];
    expect(waitsOf(small)).toEqual({ things: [], from: today() });
    expect(namesOf(large)).toContainEqual(expect.stringMatching(/towel/i));
  });

  it('waits when one due before it takes all there is', () => {
    const late = towels(1, 90);
    expect(namesOf(late)).not.toContainEqual(expect.stringMatching(/towel/i));
    towels(400, 30);
    expect(namesOf(late)).toContainEqual(expect.stringMatching(/towel/i));
  });

  it('can be made after the longest lead time, or from a day that is not known', () => {
    const { things, from } = waitsOf(towels(400, 60))!;
    const days = things.map((thing) => thing.days);
    expect(from).toBe(days.includes(null) ? null : addDays(today(), Math.max(...days.map(Number))));
  });

  it('that is only a wish holds nothing, and neither does one that was cancelled', () => {
    const late = towels(1, 90);
    const before = namesOf(late);
    expect(waitsOf(towels(400, 30, 'wished'))).toBeNull();
    expect(namesOf(late)).toEqual(before);
    const large = towels(400, 30);
    moveOrder(shop, large, { move: 'cancel' });
    expect(waitsOf(large)).toBeNull();
    expect(namesOf(late)).toEqual(before);
  });
});
