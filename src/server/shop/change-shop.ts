// The shop's own figures, and a change of its currency: every amount in the book goes with it, or nothing does.

import type { InferType } from 'yup';
import type { currencyChange, shopInput } from '../../core/input/index';
import { getPriceLevel, moveToPriceLevel, type ShopFigures } from '../../core/materials/index';
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
    const { currency: from, figures: before } = getShop(shop);
    const own = { ...(figures as ShopFigures), priceLevel: before.priceLevel };
    const changed = from !== input.currency;
    if (changed && rate === null && hasPrices(shop.db))
      throw new ShopError('conflict', { reason: 'currency-asks', from, to: input.currency }, 'currency');
    // Where nothing is priced yet, ordinary figures become those of the new currency.
    const begun = changed && rate === null ? moveToPriceLevel(own, getPriceLevel(input.currency)) : own;
    if (!updateShop(shop.db, identity, begun, version)) throw stale('The shop’s figures');
    if (changed && rate !== null)
      scaleMoney(shop.db, rate * 10 ** (getMoneyDigits(input.currency) - getMoneyDigits(from)));
  });
}
