// The price list: items by channels, a page at a time; the whole of it for paper and for files.

import type { CostSums } from '../../core/costing/index';
import { priceOnChannel } from '../../core/pricing/index';
import { toBareFigure } from '../../core/units/index';
import { loadChannels, type StoredChannel } from '../../data/channel-store';
import { countPoorItems } from '../../data/item-cost-store';
import { countItems, ITEM_SORTS, listItems, loadItems, type ItemSort, type StoredItem } from '../../data/item-store';
import type { ListQuery } from '../../views/list';
import type { PriceGoal, PriceListView, PriceRow } from '../../views/price-list';
import { getShop, type ShopContext } from '../context';
import { findPage, readListQuery } from '../list-query';
import { rememberUntilChange } from '../remember';
import { describeItems } from './describe-items';
import { calculateAll } from './item-costs';
import { knowCostsSoon } from './know-costs';
import { toGoal } from './price-goals';

const PAGE_ROWS = 50;

export type PriceListQuery = ListQuery<ItemSort> & { readonly goal: PriceGoal; readonly poorOnly: boolean };

export function readPriceListQuery(params: URLSearchParams): PriceListQuery {
  const goal = (['wage', 'margin', 'floor'] as const).find((one) => one === params.get('goal')) ?? 'wage';
  return { ...readListQuery(params, ITEM_SORTS), goal, poorOnly: params.get('poor') === '1' };
}

export function loadPriceList(shop: ShopContext, query = readPriceListQuery(new URLSearchParams())): PriceListView {
  const { figures } = getShop(shop);
  const { goal, poorOnly, ...list } = query;
  if (poorOnly || list.sort === 'cost' || list.sort === 'hour') calculateAll(shop);
  const search = { words: list.words, earnsUnder: poorOnly ? figures.wagePerHour : undefined };
  const { offset, ...at } = findPage(countItems(shop.db, search), list.page, PAGE_ROWS);
  const items = listItems(shop.db, { ...list, ...search, offset, limit: PAGE_ROWS });
  const rows = toPriceRows(shop, items, goal);
  knowCostsSoon(shop);
  return {
    goal,
    poorOnly,
    query: list,
    at,
    rows,
    channels: loadChannels(shop.db),
    ...countPoorItems(shop.db, figures.wagePerHour),
  };
}

/** All of it, by name. */
export function loadWholePriceList(
  shop: ShopContext,
  goal: PriceGoal,
): Pick<PriceListView, 'goal' | 'channels' | 'rows'> {
  return { goal, channels: loadChannels(shop.db), rows: toPriceRows(shop, loadItems(shop.db), goal) };
}

function toPriceRows(shop: ShopContext, items: readonly StoredItem[], goal: PriceGoal): readonly PriceRow[] {
  const channels = loadChannels(shop.db);
  const described = describeItems(shop, items);
  const askOf = makeAsking(shop, goal, channels);
  return described.map(({ item, facts, kept: { cost } }) => ({
    ...facts,
    cost: cost && cost.withRisk,
    asks: cost ? askOf(item.id, cost) : channels.map(() => null),
  }));
}

/** What an item has to cost on each channel. Sought step by step, so that it is remembered until something changes. */
function makeAsking(
  shop: ShopContext,
  goal: PriceGoal,
  channels: readonly StoredChannel[],
): (itemId: number, cost: CostSums) => PriceRow['asks'] {
  const { figures } = getShop(shop);
  const known = rememberUntilChange(shop, `prices for ${goal}`, () => new Map<number, PriceRow['asks']>());
  return (itemId, cost) => {
    const asks =
      known.get(itemId) ??
      channels.map((channel) => {
        const asked = priceOnChannel(toGoal(goal, figures), cost, channel);
        return asked.ok ? toBareFigure(asked.value) : null;
      });
    known.set(itemId, asks);
    return asks;
  };
}
