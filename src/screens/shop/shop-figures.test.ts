import { expect, it } from 'vitest';
import { SHOP_FIGURE_KEYS } from '../../core/materials';
import { FIGURE_GROUPS } from './figure-groups';

it('every figure of the shop stands on its page, once; but for the one that goes with the currency', () => {
  const shown = FIGURE_GROUPS.flatMap((group) => group.keys);
  expect([...shown, 'priceLevel'].sort()).toEqual([...SHOP_FIGURE_KEYS].sort());
});
