// The list of items, a page at a time, and the working of what it shows.

import type { ItemCost } from '../../core/costing/index';
import { GOAL_KINDS, priceOnChannel, readPrice } from '../../core/pricing/index';
import type { Figure } from '../../core/units/index';
import { findArtworkVersions } from '../../data/artwork-store';
import { loadChannels } from '../../data/channel-store';
import { countPoorItems } from '../../data/item-cost-store';
import { countItems, findItem, ITEM_SORTS, listItems, type ItemSort, type StoredItem } from '../../data/item-store';
import type { ItemListView, ItemRow } from '../../views/items';
import type { ListQuery } from '../../views/list';
import { pictureHref } from '../artwork/picture-file';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { findPage, readListQuery } from '../list-query';
import { loadEvidence } from './evidence';
import { describeItems } from './describe-items';
import { calculateAll } from './item-costs';
import { knowCostsSoon } from './know-costs';
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
  knowCostsSoon(shop);
  return { rows, query, at, ...countPoorItems(shop.db, figures.wagePerHour) };
}

function toItemRows(shop: ShopContext, items: readonly StoredItem[]): readonly ItemRow[] {
  const pictures = listPictures(shop, items);
  return describeItems(shop, items).map(({ item, facts, kept }) => ({
    ...facts,
    pictureHref: pictures.get(item.placements[0]!.artworkId) ?? null,
    cost: kept.cost && { cash: kept.cost.cash, full: kept.cost.full, withRisk: kept.cost.withRisk },
    change: kept.change,
  }));
}

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
  const priced = priceItem({
    item,
    quantity: item.quantity,
    materials: loadMaterials(shop, { plans: [item] }),
    figures: getShop(shop).figures,
    evidence: loadEvidence(shop).of(id),
  });
  const found = priced.ok ? pickFigure(shop, item, priced.value, params) : null;
  if (!found) throw notFound('This figure');
  return found;
}

function pickFigure(shop: ShopContext, item: StoredItem, cost: ItemCost, params: URLSearchParams): Figure | null {
  const { figures } = getShop(shop);
  const of = params.get('of');
  if (of === 'cash' || of === 'full' || of === 'withRisk') return cost[of];
  if (of === 'hourEarns') return readPrice(item.price, cost, figures).hourEarns;
  const channel = loadChannels(shop.db).find((one) => String(one.id) === params.get('channel'));
  const goal = GOAL_KINDS.find((kind) => kind === params.get('goal'));
  const asked = of === 'ask' && channel && goal ? priceOnChannel(toGoal(goal, figures), cost, channel) : null;
  return asked?.ok ? asked.value : null;
}
