// Below how much of a thing more is bought.

import type { InferType } from 'yup';
import type { minimumInput } from '../../core/input';
import { setMinimum } from '../../data/offer-store';
import type { ShopContext } from '../context';
import { requireThing } from './things';

/** @throws ShopError where nothing of the shelf has that key */
export function changeMinimum(shop: ShopContext, { key, amount, coverWeeks }: InferType<typeof minimumInput>): void {
  requireThing(shop, key);
  setMinimum(shop.db, key, { amount, coverWeeks });
}
