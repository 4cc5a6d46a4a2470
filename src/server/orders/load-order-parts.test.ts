// The parts of an order by vinyl, temperature and size: every part once in each.

import { expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { makeNamed, setNames, takeOrderOf } from '../../../test/named-orders';
import { loadOrderParts } from './load-order-parts';
import { readOrder } from './read-orders';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

it('has every part once, whatever it is grouped by', async () => {
  await setNames(shop, ['ASH', 'VALE']);
  const id = takeOrderOf(shop, { lines: [makeNamed(shop, 'ASH'), makeNamed(shop, 'VALE', { sizeName: 'XL' })] });
  const count = readOrder(shop, id)!.parts.length;
  const groups = loadOrderParts(shop, id);
  for (const by of ['vinyl', 'temperature', 'size'] as const)
    expect(groups[by].reduce((sum, group) => sum + group.parts, 0)).toBe(count);
  expect(groups.size.map(({ name, pieces }) => [name, pieces])).toEqual([
    ['M', [1]],
    ['XL', [2]],
  ]);
  expect(groups.vinyl.map(({ name }) => name)).toContain('Tarn Cool, white');
  expect(groups.temperature).toHaveLength(1);
  expect(groups.temperature[0]!.name).toMatch(/^\d+ °C$/);
});
