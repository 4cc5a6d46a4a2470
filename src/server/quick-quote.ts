// A quick quote: what so many of an item cost and should be asked for, and when they can be ready.

import type { InferType } from 'yup';
import { computeStripNeed, type ItemCost } from '../core/costing';
import type { quoteInput } from '../core/input';
import { compareWithFacts, computeQuoteTotal, freezeFacts } from '../core/orders';
import { computeFloor, priceForMargin, priceForWage, readPrice } from '../core/pricing';
import { findEarliestDay } from '../core/scheduling';
import { keyOf } from '../core/stock';
import { minor, type Minor } from '../core/units';
import { findItem, type StoredItem } from '../data/item-store';
import { loadShortestLeads } from '../data/offer-store';
import { findQuote, insertQuote, loadQuotes, setQuoteArchived, type StoredQuote } from '../data/quote-store';
import type { QuoteAnswer, QuoteStart, QuoteView } from '../views/views';
import { describeCostProblem } from '../wording/problems';
import { getShop, type ShopContext } from './context';
import { notFound, ShopError } from './errors';
import { getItemLayers, loadMaterials, priceItem, type Materials } from './price-item';
import { readOpenOrders } from './read-orders';
import { loadStock } from './stock/view-stock';
import { nameThings } from './stock/things';
import { loadNewOrder } from './views/orders';

type Wish = InferType<typeof quoteInput>;
type Reckoned = { readonly item: StoredItem; readonly materials: Materials; readonly cost: ItemCost; readonly each: Minor };

function reckon(shop: ShopContext, wish: Wish): Reckoned {
  const stored = getShop(shop);
  const item = findItem(shop.db, wish.itemId);
  if (!item) throw notFound('This item');
  const materials = loadMaterials(shop, [item]);
  const blank = materials.blanks.get(item.blankId);
  if (!blank?.colours.some((colour) => colour.name === wish.colourName)) throw new ShopError('invalid', `Colour: ${blank?.name ?? 'the blank'} does not come in ${wish.colourName}.`, 'colourName');
  const cost = priceItem({ item, sizeName: wish.sizeName, quantity: wish.quantity, materials, figures: stored.figures });
  if (!cost.ok) throw new ShopError('invalid', describeCostProblem(cost.problem, { locale: stored.locale, currency: stored.currency, timeZone: stored.timeZone, system: 'metric' }), cost.problem.kind === 'unknown-size' ? 'sizeName' : 'itemId');
  return { item, materials, cost: cost.value, each: wish.each === null ? item.price : minor(wish.each) };
}

/** What the job needs beyond what is free on the shelf, and how soon anybody delivers it. */
function findMissing(shop: ShopContext, { item, materials }: Reckoned, wish: Wish): QuoteAnswer['toBuy'] {
  const { figures } = getShop(shop);
  const needed = new Map<string, number>([[keyOf({ kind: 'blank', blankId: item.blankId, sizeName: wish.sizeName, colourName: wish.colourName }), wish.quantity]]);
  for (const { measurement, vinyl } of getItemLayers(item, materials)) {
    const key = keyOf({ kind: 'vinyl', vinylId: vinyl.id });
    needed.set(key, (needed.get(key) ?? 0) + (computeStripNeed(measurement, vinyl, wish.quantity, figures)?.usableMm2 ?? 0));
  }
  const free = new Map(loadStock(shop).rows.map((row) => [row.thing.key, row.free.value]));
  const missing = [...needed].filter(([key, amount]) => (free.get(key) ?? 0) < amount - 1e-6).map(([key]) => key);
  const leads = loadShortestLeads(shop.db, missing);
  const nameOf = nameThings(shop);
  return missing.map((key) => ({ name: nameOf(key).name, days: leads.get(key) ?? null }));
}

function answer(shop: ShopContext, reckoned: Reckoned, wish: Wish): QuoteAnswer {
  const { figures, timeZone } = getShop(shop);
  const { cost, each } = reckoned;
  const reading = readPrice(each, cost, figures);
  const floor = computeFloor(cost, figures), forMargin = priceForMargin(figures.marginGoal, cost, figures), forWage = priceForWage(figures.wageGoalPerHour, cost, figures);
  const toBuy = findMissing(shop, reckoned, wish);
  const waitingSeconds = readOpenOrders(shop).filter(({ stage }) => stage === 'to-cut' || stage === 'in-work').reduce((sum, order) => sum + order.neededSeconds, 0);
  const ready = findEarliestDay({ nowMs: shop.now(), timeZone, shop: figures, waitingSeconds, ownSeconds: cost.handsSeconds.value * wish.quantity, materialDays: Math.max(0, ...toBuy.map((thing) => thing.days ?? 0)) });
  return { cost: cost.withRisk, each: reading.price, total: computeQuoteTotal(each, wish.quantity), hourEarns: reading.hourEarns, floor: floor.ok ? floor.value : null, forMargin: forMargin.ok ? forMargin.value : null, forWage: forWage.ok ? forWage.value : null, ready, toBuy };
}

export const askQuote = (shop: ShopContext, wish: Wish): QuoteAnswer => answer(shop, reckon(shop, wish), wish);

export function keepQuote(shop: ShopContext, wish: Wish): { id: number } {
  const reckoned = reckon(shop, wish);
  const { item, materials, cost, each } = reckoned;
  const { ready, toBuy } = answer(shop, reckoned, wish);
  const { figures } = getShop(shop);
  return {
    id: insertQuote(shop.db, {
      customerName: wish.customerName, itemId: item.id, atMs: shop.now(),
      facts: freezeFacts({
        cost, each, itemName: item.name, blankName: materials.blanks.get(item.blankId)?.name ?? '', sizeName: wish.sizeName, colourName: wish.colourName, vinylNames: getItemLayers(item, materials).map(({ vinyl }) => vinyl.name), widthMm: item.widthMm,
        readyDay: ready?.day ?? null, wagePerHour: figures.wagePerHour, toBuy: toBuy.map((thing) => thing.name),
      }),
    }),
  };
}

export function archiveQuote(shop: ShopContext, id: number, archived: boolean): void {
  if (!setQuoteArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This quote');
}

function toView(shop: ShopContext, quote: StoredQuote): QuoteView {
  const { facts } = quote;
  const item = findItem(shop.db, quote.itemId);
  const cost = item ? priceItem({ item, sizeName: facts.sizeName, quantity: facts.quantity, materials: loadMaterials(shop, [item]), figures: getShop(shop).figures }) : null;
  return { ...quote, drift: cost?.ok ? compareWithFacts(facts, cost.value) : null };
}

const SHOWN = 8;
export const loadQuoteStart = (shop: ShopContext): QuoteStart => ({ items: loadNewOrder(shop, null).items, quotes: loadQuotes(shop.db, SHOWN).map((quote) => toView(shop, quote)) });

/** @throws ShopError where there is none. */
export function requireQuote(shop: ShopContext, id: number): StoredQuote {
  const quote = findQuote(shop.db, id);
  if (!quote) throw notFound('This quote');
  return quote;
}
