// A quick quote: what so many of an item cost and should be asked for, and when they can be ready.

import type { InferType } from 'yup';
import { inTransaction } from '../../data/database';
import { listMadeLayers, toAcceptedCost, type ItemCost, type Made, type Variant } from '../../core/costing/index';
import { itemInput, type quoteInput } from '../../core/input/index';
import { compareWithFacts, computeQuoteTotal, freezeFacts } from '../../core/orders/index';
import { computeFloor, priceForMargin, priceForWage, readPrice } from '../../core/pricing/index';
import { minor, type Minor } from '../../core/units/index';
import { findArtwork } from '../../data/artwork-store';
import { findItem, insertItem, type ItemFields } from '../../data/item-store';
import { listFirstVinyls, loadBlanks } from '../../data/shelf-store';
import { findQuote, insertQuote, loadQuotes, setQuoteArchived, type StoredQuote } from '../../data/quote-store';
import type { QuoteAnswer, QuoteStart, QuoteView } from '../../views/quotes';
import { findMissing } from './find-missing';
import { findPromise } from './find-promise';
import { getShop, type ShopContext } from '../context';
import { notFound, parseInput, ShopError } from '../errors';
import { loadEvidence } from '../items/evidence';
import { toItemFields } from '../items/save-item';
import { loadMaterials, type Materials } from '../items/materials';
import { findInTheWay } from '../items/find-in-the-way';
import { priceItem } from '../items/price-item';
import { listOrderable } from './load-new-order';

type Given = InferType<typeof quoteInput>;
type Wish = Omit<Given, 'options' | 'itemId' | 'drawing'> & {
  readonly options?: readonly number[];
  readonly itemId?: number | null;
  readonly drawing?: Given['drawing'];
};
type Calculated = {
  readonly item: ItemFields;
  readonly itemId: number | null;
  readonly materials: Materials;
  readonly made: Made;
  readonly cost: ItemCost;
  readonly each: Minor;
};

function calculateQuote(shop: ShopContext, wish: Wish): Calculated {
  const stored = getShop(shop);
  const known = wish.itemId ? findItem(shop.db, wish.itemId) : null;
  if (!known && !wish.drawing) throw notFound('This item');
  const item = known ?? toDraft(shop, wish);
  const materials = loadMaterials(shop, { plans: [item] });
  const blank = materials.blanks.get(item.blankId);
  if (!blank?.colours.some((colour) => colour.name === wish.colourName))
    throw new ShopError(
      'invalid',
      { reason: 'no-such-colour', blank: blank?.name, colour: wish.colourName },
      'colourName',
    );
  const cost = priceItem({
    item,
    variant: toVariant(wish),
    quantity: wish.quantity,
    orderPieces: wish.quantity,
    materials,
    figures: stored.figures,
    ...(known ? { evidence: loadEvidence(shop).of(known.id) } : {}),
  });
  if (!cost.ok)
    throw new ShopError(
      'invalid',
      {
        reason: 'not-costed',
        problem: cost.problem,
        settings: { locale: stored.locale, currency: stored.currency, timeZone: stored.timeZone, system: 'metric' },
      },
      cost.problem.kind === 'unknown-size' ? 'sizeName' : known ? 'itemId' : 'drawing',
    );
  // A drawing has no price yet: the margin that is aimed for makes one.
  const goal = known ? null : priceForMargin(stored.figures.marginGoal, cost.value, stored.figures);
  const each = wish.each === null ? (goal?.ok ? minor(goal.value.value) : cost.made.price) : minor(wish.each);
  return { item, itemId: known?.id ?? null, materials, made: cost.made, cost: cost.value, each };
}

/** A drawing as an item that is not kept yet: one artwork on a blank, plain. */
function toDraft(shop: ShopContext, { drawing, sizeName, colourName, quantity }: Wish): ItemFields {
  const { artworkId, blankId, widthMm, vinylIds } = drawing!;
  const artwork = findArtwork(shop.db, artworkId);
  return toItemFields(
    shop,
    parseInput(itemInput, {
      name: artwork?.name ?? 'Drawing',
      blankId,
      sizeName,
      colourName,
      areaBasis: 'used',
      quantity,
      price: 0,
      placements: [{ artworkId, place: 'front, centred', widthMm, widths: {}, seenThrough: false, vinylIds }],
    }),
  );
}

const toVariant = (wish: Pick<Wish, 'sizeName' | 'colourName' | 'options'>): Variant => ({
  sizeName: wish.sizeName,
  colourName: wish.colourName,
  options: wish.options ?? [],
});

function answer(shop: ShopContext, calculated: Calculated, wish: Wish): QuoteAnswer {
  const { figures } = getShop(shop);
  const { cost, each } = calculated;
  const reading = readPrice(each, cost, figures);
  const floor = computeFloor(cost, figures),
    forMargin = priceForMargin(figures.marginGoal, cost, figures),
    forWage = priceForWage(figures.wageGoalPerHour, cost, figures);
  const toBuy = findMissing(shop, [{ made: calculated.made, quantity: wish.quantity }], calculated.materials);
  const ready = findPromise(shop, cost.handsSeconds.value * wish.quantity, toBuy);
  return {
    cost: cost.withRisk,
    each: reading.price,
    total: computeQuoteTotal(each, wish.quantity),
    hourEarns: reading.hourEarns,
    floor: floor.ok ? floor.value : null,
    forMargin: forMargin.ok ? forMargin.value : null,
    forWage: forWage.ok ? forWage.value : null,
    findings: findInTheWay(shop, calculated.made, calculated.materials).map(({ what, todo }) => ({ what, todo })),
    ready,
    toBuy,
  };
}

export const askQuote = (shop: ShopContext, wish: Wish): QuoteAnswer => answer(shop, calculateQuote(shop, wish), wish);

export function saveQuote(shop: ShopContext, wish: Wish): { id: number } {
  const calculated = calculateQuote(shop, wish);
  const { item, materials, made, cost, each } = calculated;
  const { ready, toBuy } = answer(shop, calculated, wish);
  const facts = freezeFacts({
    cost,
    each,
    itemName: item.name,
    blankName: materials.blanks.get(item.blankId)?.name ?? '',
    sizeName: wish.sizeName,
    colourName: wish.colourName,
    vinylNames: [...new Set(listMadeLayers(made, materials).map(({ vinyl }) => vinyl.name))],
    widthMm: made.placements[0]?.widthMm ?? 0,
    options: (wish.options ?? []).flatMap((at) => item.details.options[at]?.label ?? []),
    optionIndexes: wish.options ?? [],
    readyDay: ready?.day ?? null,
    wagePerHour: getShop(shop).figures.wagePerHour,
    toBuy: toBuy.map((thing) => thing.name),
  });
  return inTransaction(shop.db, () => {
    // An order can follow only on an item: a drawing becomes one with its quote.
    const itemId = calculated.itemId ?? insertItem(shop.db, { ...item, price: each }, toAcceptedCost(cost, shop.now()));
    return { id: insertQuote(shop.db, { customerName: wish.customerName, itemId, atMs: shop.now(), facts }) };
  });
}

export function archiveQuote(shop: ShopContext, id: number, archived: boolean): void {
  if (!setQuoteArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This quote');
}

function toView(shop: ShopContext, quote: StoredQuote): QuoteView {
  const { facts } = quote;
  const item = findItem(shop.db, quote.itemId);
  const cost = item
    ? priceItem({
        item,
        variant: { sizeName: facts.sizeName, colourName: facts.colourName, options: facts.optionIndexes },
        quantity: facts.quantity,
        orderPieces: facts.quantity,
        materials: loadMaterials(shop, { plans: [item] }),
        figures: getShop(shop).figures,
        evidence: loadEvidence(shop).of(item.id),
      })
    : null;
  return { ...quote, drift: cost?.ok ? compareWithFacts(facts, cost.value) : null };
}

const SHOWN = 8;
/** So many stand in a list to choose from; those nearest to a drawing come with it. */
const VINYLS_LISTED = 40;

export const loadQuoteStart = (shop: ShopContext): QuoteStart => ({
  items: listOrderable(shop),
  quotes: loadQuotes(shop.db, SHOWN).map((quote) => toView(shop, quote)),
  vinyls: listFirstVinyls(shop.db, VINYLS_LISTED),
  blanks: loadBlanks(shop.db),
});

/** @throws ShopError where there is none. */
export function requireQuote(shop: ShopContext, id: number): StoredQuote {
  const quote = findQuote(shop.db, id);
  if (!quote) throw notFound('This quote');
  return quote;
}
