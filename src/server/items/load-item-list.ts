// The list of items, a page at a time, and the working of what it shows.

import { GOAL_KINDS, priceOnChannel, readPrice } from '../../core/pricing/index';
import { toBareFigure, type Figure } from '../../core/units/index';
import { findArtworkVersions } from '../../data/artwork-store';
import { loadChannels } from '../../data/channel-store';
import { countPoorItems } from '../../data/item-cost-store';
import { countItems, findItem, ITEM_SORTS, listItems, type ItemSort, type StoredItem } from '../../data/item-store';
import { findBlanks } from '../../data/shelf-store';
import type { ItemListView, ItemRow } from '../../views/items';
import type { ListQuery } from '../../views/list';
import { describeCostProblem } from '../../wording/problems';
import { pictureHref } from '../artwork/picture-file';
import { getSettings, getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { findPage, readListQuery } from '../list-query';
import { loadEvidence } from './evidence';
import { calculateAll, calculateSoon, readItemCosts } from './item-costs';
import { loadMaterials } from './materials';
import { priceItem } from './price-item';
import { toGoal } from './price-goals';

const PAGE_ROWS = 50;

export const readItemQuery = (params: URLSearchParams): ListQuery<ItemSort> => readListQuery(params, ITEM_SORTS);

export function loadItemList(shop: ShopContext, query = readItemQuery(new URLSearchParams())): ItemListView {
  const { figures } = getShop(shop);
  if (query.sort === 'cost' || query.sort === 'hour') calculateAll(shop);
  const { offset, ...at } = findPage(countItems(shop.db, query), query.page, PAGE_ROWS);
  const items = listItems(shop.db, { ...query, offset, limit: PAGE_ROWS });
  const rows = toItemRows(shop, items);
  calculateSoon(shop);
  return { rows, query, at, ...countPoorItems(shop.db, figures.wagePerHour) };
}

function toItemRows(shop: ShopContext, items: readonly StoredItem[]): readonly ItemRow[] {
  const { figures } = getShop(shop);
  const settings = getSettings(shop);
  const costs = readItemCosts(shop, items);
  const blanks = namesOf(findBlanks(shop.db, [...new Set(items.map((item) => item.blankId))]));
  const pictures = listPictures(shop, items);
  return items.map((item) => {
    const { cost, problem, change } = costs.get(item.id)!;
    const { id, name, quantity, price, sizeName } = item;
    const earns = cost && readPrice(price, cost, figures).hourEarns;
    return {
      id,
      name,
      quantity,
      price,
      sizeName,
      pictureHref: pictures.get(item.placements[0]!.artworkId) ?? null,
      blankName: blanks.get(item.blankId) ?? '',
      cost: cost && { cash: cost.cash, full: cost.full, withRisk: cost.withRisk },
      change,
      hourEarns: earns && toBareFigure(earns),
      problem: problem && describeCostProblem(problem, settings),
    };
  });
}

const namesOf = (things: readonly { readonly id: number; readonly name: string }[]): ReadonlyMap<number, string> =>
  new Map(things.map(({ id, name }) => [id, name]));

const listPictures = (shop: ShopContext, items: readonly StoredItem[]): ReadonlyMap<number, string> =>
  new Map(
    findArtworkVersions(shop.db, [...new Set(items.map((item) => item.placements[0]!.artworkId))]).map((artwork) => [
      artwork.id,
      pictureHref(artwork),
    ]),
  );

/**
 * One of the figures that lists show of an item, with its working: `cash`, `full`, `withRisk`, `hourEarns`, or the
 * price on a channel for a goal. @throws ShopError not-found
 */
export function explainItemFigure(shop: ShopContext, id: number, params: URLSearchParams): Figure {
  const item = findItem(shop.db, id);
  if (!item) throw notFound('This item');
  const { figures } = getShop(shop);
  const priced = priceItem({
    item,
    quantity: item.quantity,
    materials: loadMaterials(shop, { plans: [item] }),
    figures,
    evidence: loadEvidence(shop).of(id),
  });
  const of = params.get('of');
  const found = priced.ok ? findFigure() : null;
  if (!found) throw notFound('This figure');
  return found;

  function findFigure(): Figure | null {
    if (!priced.ok) return null;
    const cost = priced.value;
    if (of === 'cash' || of === 'full' || of === 'withRisk') return cost[of];
    if (of === 'hourEarns') return readPrice(item!.price, cost, figures).hourEarns;
    const channel = loadChannels(shop.db).find((one) => String(one.id) === params.get('channel'));
    const goal = GOAL_KINDS.find((kind) => kind === params.get('goal'));
    const asked = of === 'ask' && channel && goal ? priceOnChannel(toGoal(goal, figures), cost, channel) : null;
    return asked?.ok ? asked.value : null;
  }
}
