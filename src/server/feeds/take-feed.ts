// Orders of a channel's file: new ones are taken, changed ones changed, cancelled ones cancelled, each once; the same
// file again changes nothing.

import { createHash } from 'node:crypto';
import {
  guessFeedColumns,
  keyOfHeader,
  pairLines,
  readFeed,
  readFeedHeader,
  type FeedColumns,
  type FeedOrder,
} from '../../core/feeds/index';
import type { InferType } from 'yup';
import type { nameMatch } from '../../core/input/index';
import { addDays } from '../../core/scheduling/index';
import { dayOf } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import {
  findFeedColumns,
  findFeedOrder,
  listOpenFeedOrders,
  putFeedColumns,
  putFeedItem,
  putFeedName,
  putFeedOrder,
  type FeedState,
} from '../../data/feed-store';
import { findItems } from '../../data/item-store';
import { findOrder } from '../../data/order-store';
import type { FeedReport } from '../../views/feed';
import { describeUnknown } from '../../wording/feeds';
import { getShop, type ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { changeLines } from '../orders/change-lines';
import { askPrices } from '../orders/asked-prices';
import { prepareTexts } from '../orders/line-texts';
import { moveOrder } from '../orders/move-order';
import { changeOrder, placeOrder, requireStandingOrder } from '../orders/save-order';
import { PLAIN_TERMS } from '../../core/orders/index';
import { keyOfName, matchFeedOrder, type MatchedOrder } from './match-feed';

type Outcome = FeedState | 'same';

/**
 * `columns`: which is which, where its headings don't tell; remembered for all files that begin so.
 * @throws ShopError 'feed-unreadable' where the file is none: nothing of it is taken
 */
export async function takeFeed(
  shop: ShopContext,
  { file, text, columns }: { readonly file: string; readonly text: string; readonly columns?: FeedColumns },
): Promise<FeedReport> {
  const known = (header: readonly string[]) =>
    columns ?? findFeedColumns(shop.db, keyOfHeader(header)) ?? guessFeedColumns(header);
  const read = readFeed(text, getShop(shop), known);
  if (!read.ok && read.problem.kind === 'no-column')
    throw new ShopError('unreadable', { reason: 'feed-columns', file, column: read.problem.column });
  if (!read.ok) throw new ShopError('unreadable', { reason: 'feed-unreadable', file, problem: read.problem });
  if (columns) rememberColumns(shop, text, columns);
  const outcomes: Outcome[] = [];
  for (const order of read.value) outcomes.push(await takeFeedOrder(shop, order, file));
  return countOutcomes(outcomes);
}

function rememberColumns(shop: ShopContext, text: string, columns: FeedColumns): void {
  const read = readFeedHeader(text);
  if (read.ok) putFeedColumns(shop.db, keyOfHeader(read.value.header), columns);
}

/** Remembers what the channel calls an item, or a size or colour of it, and tries again what waited for it. */
export async function matchName(
  shop: ShopContext,
  { kind, name, itemId, own = '' }: Omit<InferType<typeof nameMatch>, 'own'> & { readonly own?: string },
): Promise<FeedReport> {
  if (!findItems(shop.db, [itemId])[0]) throw notFound('This item');
  if (kind === 'item') putFeedItem(shop.db, keyOfName(name), itemId);
  else putFeedName(shop.db, { kind, itemId, name: keyOfName(name), own });
  return retryFeed(shop);
}

/** What waits or was refused, once more. */
export async function retryFeed(shop: ShopContext): Promise<FeedReport> {
  const outcomes: Outcome[] = [];
  for (const { content, file } of listOpenFeedOrders(shop.db)) outcomes.push(await takeFeedOrder(shop, content, file));
  return countOutcomes(outcomes);
}

function countOutcomes(outcomes: readonly Outcome[]): FeedReport {
  const count = (outcome: Outcome) => outcomes.filter((one) => one === outcome).length;
  return {
    taken: count('taken'),
    changed: count('changed'),
    cancelled: count('cancelled'),
    same: count('same'),
    waiting: count('waiting'),
    refused: count('refused'),
  };
}

const digestOf = (order: FeedOrder): string => createHash('sha256').update(JSON.stringify(order)).digest('hex');

async function takeFeedOrder(shop: ShopContext, order: FeedOrder, file: string): Promise<Outcome> {
  if (isSettled(shop, order)) return 'same';
  const matched = matchFeedOrder(shop, order);
  try {
    if (!order.isCancelled && matched.unknown.length === 0) await prepareTexts(shop, matched.lines);
    return inTransaction(shop.db, () => {
      // Another window may have taken it while its texts were set.
      if (isSettled(shop, order)) return 'same';
      return carryOut(shop, order, matched, file);
    });
  } catch (error) {
    if (!(error instanceof ShopError)) throw error;
    note(shop, order, { state: 'refused', problem: error.message, file });
    return 'refused';
  }
}

/** It said the same last time, and that was done. */
function isSettled(shop: ShopContext, order: FeedOrder): boolean {
  const known = findFeedOrder(shop.db, order.reference);
  return known?.digest === digestOf(order) && known.state !== 'waiting' && known.state !== 'refused';
}

type Note = {
  readonly state: FeedState;
  readonly problem?: string;
  readonly file: string;
  /** Left out: the order it had before. */
  readonly orderId?: number | null;
};

function note(shop: ShopContext, order: FeedOrder, { state, problem = '', file, orderId }: Note): FeedState {
  const known = findFeedOrder(shop.db, order.reference);
  putFeedOrder(shop.db, {
    reference: order.reference,
    orderId: orderId ?? known?.orderId ?? null,
    digest: digestOf(order),
    content: order,
    state,
    problem,
    file,
    atMs: shop.now(),
  });
  return state;
}

function carryOut(shop: ShopContext, order: FeedOrder, matched: MatchedOrder, file: string): FeedState {
  const orderId = findFeedOrder(shop.db, order.reference)?.orderId ?? null;
  if (order.isCancelled) {
    if (orderId !== null && findOrder(shop.db, orderId))
      moveOrder(shop, orderId, { move: 'cancel', detail: 'by the channel' });
    return note(shop, order, { state: 'cancelled', file });
  }
  if (matched.unknown.length > 0)
    return note(shop, order, { state: 'waiting', problem: describeUnknown(matched.unknown), file });
  if (orderId === null) return note(shop, order, { state: 'taken', file, orderId: takeNew(shop, order, matched) });
  changeTaken(shop, order, matched, orderId);
  return note(shop, order, { state: 'changed', file });
}

/** Promised in so many days where the channel names none. */
const DUE_DAYS = 14;

const dueDayOf = (shop: ShopContext, { dueDay }: FeedOrder): string =>
  dueDay || addDays(dayOf(shop.now(), getShop(shop).timeZone), DUE_DAYS);

function takeNew(shop: ShopContext, order: FeedOrder, { lines }: MatchedOrder): number {
  return placeOrder(shop, {
    customerName: order.customerName || `Buyer of ${order.reference}`,
    contact: order.contact,
    title: `Channel order ${order.reference}`.slice(0, TITLE_LETTERS),
    dueDay: dueDayOf(shop, order),
    agreed: askPrices(shop, lines, PLAIN_TERMS).value,
    note: order.note,
    lines,
  }).id;
}
const TITLE_LETTERS = 120;

function changeTaken(shop: ShopContext, order: FeedOrder, { lines }: MatchedOrder, orderId: number): void {
  const before = requireStandingOrder(shop, orderId).order;
  changeLines(
    shop,
    orderId,
    {
      lines: pairLines(before.lines, lines).map((line) => ({
        ...line,
        each: line.each ?? undefined,
        note: line.note ?? '',
        options: [...line.options],
        texts: line.texts.map((text) => ({ ...text, smaller: text.smaller ?? false })),
        rosterRow: null,
      })),
      fate: null,
      roster: null,
      agreed: undefined,
    },
    before.version,
  );
  const { version, title, agreed, deposit } = requireStandingOrder(shop, orderId).order;
  const dueDay = order.dueDay || before.dueDay;
  if (dueDay !== before.dueDay || order.note !== before.note)
    changeOrder(shop, orderId, { title, dueDay, agreed, terms: undefined, deposit, note: order.note }, version);
}
