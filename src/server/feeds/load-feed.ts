// What came from the channel, and what waits to be matched.

import { countFeedOrders, listFeedOrders, listOpenFeedOrders } from '../../data/feed-store';
import type { FeedView, UnknownName } from '../../views/feed';
import type { ShopContext } from '../context';
import { findPage, readListQuery } from '../list-query';
import { listOrderable } from '../orders/load-new-order';
import { FEED_FOLDER } from './feed-folder';
import { keyOfName, matchFeedOrder } from './match-feed';

const PAGE_ROWS = 50;

export function loadFeed(shop: ShopContext, params: URLSearchParams): FeedView {
  const { page } = readListQuery(params, ['time']);
  const { offset, ...at } = findPage(countFeedOrders(shop.db), page, PAGE_ROWS);
  const open = listOpenFeedOrders(shop.db);
  const waiting = open.filter(({ state }) => state === 'waiting');
  return {
    rows: listFeedOrders(shop.db, { offset, limit: PAGE_ROWS }).map(
      ({ reference, content, orderId, state, problem, file, atMs }) => ({
        reference,
        customerName: content.customerName,
        orderId,
        state,
        problem,
        file,
        atMs,
      }),
    ),
    at,
    unknown: listOnce(waiting.flatMap(({ content }) => matchFeedOrder(shop, content).unknown)),
    refused: open.length - waiting.length,
    items: listOrderable(shop).map(({ id, name }) => ({ id, name })),
    folder: FEED_FOLDER,
  };
}

/** Of the same name, whatever its capitals, the first. */
const listOnce = (names: readonly UnknownName[]): readonly UnknownName[] =>
  [
    ...new Map(
      [...names]
        .reverse()
        .map((name) => [`${name.kind} ${name.kind === 'item' ? '' : name.item.id} ${keyOfName(name.name)}`, name]),
    ).values(),
  ].reverse();
