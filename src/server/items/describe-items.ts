// What every list says of an item: what it is, what an hour on it earns, and why it can't be costed.

import { readPrice } from '../../core/pricing/index';
import { toBareFigure } from '../../core/units/index';
import type { KeptCost } from '../../data/item-cost-store';
import type { StoredItem } from '../../data/item-store';
import { findBlanks } from '../../data/shelf-store';
import type { ItemRow } from '../../views/items';
import { describeCostProblem } from '../../wording/problems';
import { getSettings, getShop, type ShopContext } from '../context';
import { readItemCosts } from './item-costs';

type ItemFacts = Pick<
  ItemRow,
  'id' | 'name' | 'quantity' | 'price' | 'sizeName' | 'blankName' | 'hourEarns' | 'problem'
>;

/** In the order of the items, each with its cost as it is kept. */
export function describeItems(
  shop: ShopContext,
  items: readonly StoredItem[],
): readonly { readonly item: StoredItem; readonly facts: ItemFacts; readonly kept: KeptCost }[] {
  const { figures } = getShop(shop);
  const settings = getSettings(shop);
  const costs = readItemCosts(shop, items);
  const blanks = findBlanks(shop.db, [...new Set(items.map((item) => item.blankId))]);
  const nameOf = new Map(blanks.map(({ id, name }) => [id, name]));
  return items.map((item) => {
    const kept = costs.get(item.id)!;
    const { id, name, quantity, price, sizeName, blankId } = item;
    const earns = kept.cost && readPrice(price, kept.cost, figures).hourEarns;
    const facts = {
      id,
      name,
      quantity,
      price,
      sizeName,
      blankName: nameOf.get(blankId) ?? '',
      hourEarns: earns && toBareFigure(earns),
      problem: kept.problem && describeCostProblem(kept.problem, settings),
    };
    return { item, facts, kept };
  });
}
