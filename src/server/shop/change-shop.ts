// The shop's own figures, and a change of its currency: every amount in the book goes with it, or nothing does.

import type { InferType } from 'yup';
import type { currencyChange, shopInput } from '../../core/input/index';
import type { ShopFigures } from '../../core/materials/index';
import { getMoneyDigits } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { hasPrices, scaleMoney } from '../../data/money-store';
import { updateShop } from '../../data/shop-store';
import { getShop, type ShopContext } from '../context';
import { ShopError, stale } from '../errors';

/**
 * `currency` says what becomes of the prices where the currency is another: what one of the old is worth in the new, 1
 * where the numbers stay. @throws ShopError where that is not said and there are prices
 */
export function changeShop(
  shop: ShopContext,
  input: InferType<typeof shopInput>,
  version: number,
  { rate }: InferType<typeof currencyChange> = { rate: null },
): void {
  const { figures, ...identity } = input;
  inTransaction(shop.db, () => {
    const from = getShop(shop).currency;
    const changed = from !== input.currency;
    if (changed && rate === null && hasPrices(shop.db))
      throw new ShopError('conflict', { reason: 'currency-asks', from, to: input.currency }, 'currency');
    if (!updateShop(shop.db, identity, figures as ShopFigures, version)) throw stale('The shop’s figures');
    // Where nothing is priced yet there are only ordinary figures: 1500 minor units are as fair a start in yen as in euros.
    if (changed && rate !== null)
      scaleMoney(shop.db, rate * 10 ** (getMoneyDigits(input.currency) - getMoneyDigits(from)));
  });
}
