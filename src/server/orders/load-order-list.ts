// The list of orders, a page at a time: the open ones with their slack, or those that are closed.

import { splitWords } from '../../core/orders/index';
import { dayOf } from '../../core/units/index';
import { loadStandingOrders } from '../../data/order-store';
import { countClosedOrders, findClosedOrderIds } from '../../data/order-search';
import type { OrderListView, OrderShow, OrderSort } from '../../views/orders';
import type { ListQuery } from '../../views/list';
import { getShop, type ShopContext } from '../context';
import { findPage, readListQuery } from '../list-query';
import { toRows } from './load-orders';
import { readOpenOrders, readStanding, slackOf, type WaitingOrder } from './read-orders';

const PAGE_ROWS = 50;
const OPEN_SORTS = ['due', 'number', 'title', 'agreed'] as const;
const CLOSED_SORTS = ['closed', 'due', 'number', 'title', 'agreed'] as const;

type OrderListQuery = ListQuery<OrderSort> & { readonly show: OrderShow };

export function readOrderQuery(params: URLSearchParams): OrderListQuery {
  const show = (['open', 'ready', 'closed'] as const).find((one) => one === params.get('show')) ?? 'open';
  return { ...readListQuery<OrderSort>(params, show === 'closed' ? CLOSED_SORTS : OPEN_SORTS), show };
}

export function loadOrderList(shop: ShopContext, asked = readOrderQuery(new URLSearchParams())): OrderListView {
  const { show, ...query } = asked;
  const stored = getShop(shop);
  const open = readOpenOrders(shop);
  const slack = slackOf(open, stored, shop.now());
  const { entries, at } = show === 'closed' ? pageClosed(shop, query) : pageOpen(open, asked);
  return {
    show,
    query,
    at,
    rows: toRows(shop, entries, slack),
    counts: {
      open: open.length,
      short: open.filter(({ order }) => (slack.get(order.id)?.value ?? 0) < 0).length,
      ready: open.filter((entry) => entry.stage === 'ready').length,
      closed: countClosedOrders(shop.db, ''),
    },
    today: dayOf(shop.now(), stored.timeZone),
  };
}

function pageClosed(shop: ShopContext, query: ListQuery<OrderSort>) {
  const { offset, ...at } = findPage(countClosedOrders(shop.db, query.words), query.page, PAGE_ROWS);
  const ids = findClosedOrderIds(shop.db, { ...query, offset, limit: PAGE_ROWS });
  return { entries: loadStandingOrders(shop.db, ids).map(readStanding), at };
}

/** Open orders are few, and all were read for their slack. */
function pageOpen(open: readonly WaitingOrder[], { show, words, sort, down, page }: OrderListQuery) {
  const wanted = splitWords(words);
  const found = open.filter(
    ({ order, stage }) => (show === 'open' || stage === 'ready') && wanted.every((word) => holdsWord(order, word)),
  );
  const sorted = sort === 'due' ? [...found] : [...found].sort((a, b) => compare(sort, a, b));
  if (down) sorted.reverse();
  const { offset, ...at } = findPage(sorted.length, page, PAGE_ROWS);
  return { entries: sorted.slice(offset, offset + PAGE_ROWS), at };
}

/** In its title, its customer or on a piece; or its number, with or without a mark before it. */
function holdsWord({ id, title, customer, lines }: WaitingOrder['order'], word: string): boolean {
  const said = lines.flatMap(({ texts }) => texts.map(({ text }) => text));
  return (
    word.replace(/^#/, '') === String(id) ||
    [title, customer.name, ...said].some((text) => text.toLowerCase().includes(word))
  );
}

function compare(sort: OrderSort, { order: a }: WaitingOrder, { order: b }: WaitingOrder): number {
  if (sort === 'title') return a.title.localeCompare(b.title) || a.id - b.id;
  return sort === 'agreed' ? a.agreed - b.agreed || a.id - b.id : a.id - b.id;
}
