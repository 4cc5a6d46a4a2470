// The list of orders, a page at a time: the open ones with their slack, or those that are closed.

import { holdsWords, nearlyHoldsWords, type Findable } from '../../core/orders/find-words';
import { listMoves } from '../../core/orders/index';
import { dayOf, type Figure } from '../../core/units/index';
import { loadStandingOrders } from '../../data/order-store';
import { countClosedOrders, findClosedOrderIds, listLatestClosed } from '../../data/order-search';
import type { OrderListView, OrderShow, OrderSort } from '../../views/orders';
import type { ListPage, ListQuery } from '../../views/list';
import { describeAnswer } from '../../wording/orders';
import { getSettings, getShop, type ShopContext } from '../context';
import { findPage, readListQuery } from '../list-query';
import { toRows } from './load-orders';
import { readOpenOrders, readStanding, slackOf, type WaitingOrder } from './read-orders';

const PAGE_ROWS = 50;
/** The first is the usual order: what is late or at risk comes first. */
const OPEN_SORTS = ['slack', 'due', 'number', 'title', 'agreed'] as const;
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
  const { entries, at, isNear } = show === 'closed' ? pageClosed(shop, query) : pageOpen(open, asked, slack);
  const today = dayOf(shop.now(), stored.timeZone);
  const settings = getSettings(shop);
  return {
    show,
    query,
    at,
    isNear,
    rows: toRows(shop, entries, slack).map((row, at) => ({
      ...row,
      answer: describeAnswer({ row, today }, settings),
      moves: listMoves(entries[at]!.stage),
    })),
    counts: {
      open: open.length,
      short: open.filter(({ order }) => (slack.get(order.id)?.value ?? 0) < 0).length,
      ready: open.filter((entry) => entry.stage === 'ready').length,
      closed: countClosedOrders(shop.db, ''),
    },
    today,
  };
}

type Page = {
  readonly entries: readonly WaitingOrder[];
  readonly at: ListPage;
  /** Nothing is written so: these are near it. */
  readonly isNear: boolean;
};

function pageClosed(shop: ShopContext, query: ListQuery<OrderSort>): Page {
  const { words, sort, down } = query;
  const count = countClosedOrders(shop.db, words);
  const read = (ids: readonly number[]) => loadStandingOrders(shop.db, ids).map(readStanding);
  if (count === 0 && words !== '') return nearClosed(shop, query, read);
  const { offset, ...at } = findPage(count, query.page, PAGE_ROWS);
  const ids = findClosedOrderIds(shop.db, {
    words,
    sort: sort === 'slack' ? 'closed' : sort,
    down,
    offset,
    limit: PAGE_ROWS,
  });
  return { entries: read(ids), at, isNear: false };
}

/** Of the latest ones only: slips are looked for in what is remembered. */
function nearClosed(
  shop: ShopContext,
  { words, page }: ListQuery<OrderSort>,
  read: (ids: readonly number[]) => readonly WaitingOrder[],
): Page {
  const near = listLatestClosed(shop.db, LATEST)
    .filter((order) => nearlyHoldsWords(order, words))
    .map(({ id }) => id);
  const { offset, ...at } = findPage(near.length, page, PAGE_ROWS);
  return { entries: read(near.slice(offset, offset + PAGE_ROWS)), at, isNear: near.length > 0 };
}
const LATEST = 2000;

/** Open orders are few, and all were read for their slack. */
function pageOpen(
  open: readonly WaitingOrder[],
  { show, words, sort, down, page }: OrderListQuery,
  slack: ReadonlyMap<number, Figure>,
): Page {
  const shown = open.filter(({ stage }) => show === 'open' || stage === 'ready');
  const exact = shown.filter(({ order }) => holdsWords(toFindable(order), words));
  const found = exact.length > 0 ? exact : shown.filter(({ order }) => nearlyHoldsWords(toFindable(order), words));
  const sorted = sort === 'due' ? [...found] : [...found].sort((a, b) => compare(sort, a, b, slack));
  if (down) sorted.reverse();
  const { offset, ...at } = findPage(sorted.length, page, PAGE_ROWS);
  return {
    entries: sorted.slice(offset, offset + PAGE_ROWS),
    at,
    isNear: exact.length === 0 && found.length > 0,
  };
}

const toFindable = ({ id, title, customer, lines }: WaitingOrder['order']): Findable => ({
  id,
  texts: [title, customer.name, ...lines.flatMap(({ texts }) => texts.map(({ text }) => text))],
});

function compare(sort: OrderSort, one: WaitingOrder, other: WaitingOrder, slack: ReadonlyMap<number, Figure>): number {
  const [a, b] = [one.order, other.order];
  if (sort === 'title') return a.title.localeCompare(b.title) || a.id - b.id;
  if (sort === 'agreed') return a.agreed - b.agreed || a.id - b.id;
  if (sort !== 'slack') return a.id - b.id;
  // What is ready, held or not agreed has none: it comes after all that has to be worked on.
  const slackOfOrder = ({ id }: { readonly id: number }) => slack.get(id)?.value ?? Infinity;
  const [left, right] = [slackOfOrder(a), slackOfOrder(b)];
  return left === right ? 0 : left - right;
}
