// What the lines of an order ask: at the prices that were agreed for each, else at the shop's of today.

import { computeAsk, priceLines, type AskedItem, type AskedLine, type OrderTerms } from '../../core/orders/index';
import type { Figure } from '../../core/units/index';
import { findItems, type StoredItem } from '../../data/item-store';
import type { ShopContext } from '../context';

export const toAsked = ({ price, details }: StoredItem): AskedItem => ({
  price,
  variants: details.variants,
  options: details.options,
});

export function askPrices(shop: ShopContext, lines: readonly AskedLine[], terms: OrderTerms): Figure {
  const found = findItems(
    shop.db,
    lines.map((line) => line.itemId),
  );
  const items = new Map(found.map((item) => [item.id, { name: item.name, ...toAsked(item) }]));
  return computeAsk(
    priceLines(lines, (id) => items.get(id)),
    terms,
  );
}
