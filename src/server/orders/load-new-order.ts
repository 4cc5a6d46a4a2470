// What an order can be made of, and what it begins with.

import { listAllLetterings } from '../../core/costing/index';
import { dayOf } from '../../core/units/index';
import { loadRecentCustomers } from '../../data/customer-store';
import { loadItems } from '../../data/item-store';
import { findQuote } from '../../data/quote-store';
import type { NewOrderView, OrderableItem, OrderStart } from '../../views/orders';
import { findBlanks } from '../../data/shelf-store';
import { describeCostProblem } from '../../wording/problems';
import { getSettings, getShop, type ShopContext } from '../context';
import { readItemCosts } from '../items/item-costs';
import { rememberUntilChange } from '../remember';

/** Where an order comes from: nothing, an item, or a quote that was given. */
type From = { readonly itemId?: number | null; readonly quoteId?: number | null };

/** Their customers are proposed by name. */
const RECENT_ORDERS = 500;

export function loadNewOrder(shop: ShopContext, from: From): NewOrderView {
  const { timeZone } = getShop(shop);
  const items = listOrderable(shop);
  return {
    today: dayOf(shop.now(), timeZone),
    start: findStart(shop, items, from),
    customers: rememberUntilChange(shop, 'recent customers', () => loadRecentCustomers(shop.db, RECENT_ORDERS)),
    items,
  };
}

/** Items in their sizes, colours and options, each with what stands in the way of costing it. */
export const listOrderable = (shop: ShopContext): readonly OrderableItem[] =>
  rememberUntilChange(shop, 'orderable items', () => readOrderable(shop));

function readOrderable(shop: ShopContext): readonly OrderableItem[] {
  const items = loadItems(shop.db);
  const costs = readItemCosts(shop, items);
  const blanks = new Map(
    findBlanks(shop.db, [...new Set(items.map((item) => item.blankId))]).map((blank) => [blank.id, blank]),
  );
  const settings = getSettings(shop);
  return items.map((item) => {
    const blank = blanks.get(item.blankId);
    const { problem } = costs.get(item.id)!;
    return {
      id: item.id,
      name: item.name,
      price: item.price,
      sizes: blank?.sizes.map((size) => size.name) ?? [],
      colours: blank?.colours.map((colour) => colour.name) ?? [],
      usualSize: item.sizeName,
      usualColour: item.colourName,
      options: item.details.options.map(({ label, surcharge, placement }) => ({
        label,
        surcharge,
        text: placement.lettering?.label ?? null,
      })),
      letterings: listAllLetterings(item),
      variants: item.details.variants,
      problem: problem && describeCostProblem(problem, settings),
    };
  });
}

/** A quote that was given is taken as it was: its customer, pieces, options and price. */
function findStart(shop: ShopContext, items: readonly OrderableItem[], { itemId, quoteId }: From): OrderStart | null {
  const quote = quoteId ? findQuote(shop.db, quoteId) : null;
  const item = items.find(({ id }) => id === (quote?.itemId ?? itemId));
  if (!item) return null;
  const usual = { itemId: item.id, quantity: 1, sizeName: item.usualSize, colourName: item.usualColour, options: [] };
  if (!quote) return { ...usual, customerName: '', agreed: null };
  const { quantity, sizeName, colourName, optionIndexes, total } = quote.facts;
  return {
    itemId: item.id,
    quantity,
    sizeName,
    colourName,
    options: optionIndexes,
    customerName: quote.customerName,
    agreed: total,
  };
}
