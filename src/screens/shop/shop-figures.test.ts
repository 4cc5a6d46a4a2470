import { expect, it } from 'vitest';
import { SHOP_FIGURE_KEYS } from '../../core/materials';
import { FIGURE_GROUPS } from './figure-groups';

it('every figure of the shop stands on its page, once', () => {
  const shown = FIGURE_GROUPS.flatMap((group) => group.keys);
  expect([...shown].sort()).toEqual([...SHOP_FIGURE_KEYS].sort());
});
