// Orders as they stand now: their parts' stories folded, their stage, what they still need.

import {
  decideStage,
  isInHand,
  holdsMaterial,
  estimateRemaining,
  foldPart,
  STATIONS,
  type OrderStage,
  type PartStory,
} from '../../core/orders/index';
import { computeSlack } from '../../core/scheduling/index';
import type { Figure } from '../../core/units/index';
import {
  findOpenOrderIds,
  findOrder,
  loadStandingOrders,
  type StandingOrder,
  type StandingPart,
  type StoredOrder,
  type StoredPart,
} from '../../data/order-store';
import type { StoredShop } from '../../data/shop-store';
import type { ShopContext } from '../context';
import { rememberUntilChange } from '../remember';

type Estimates = { readonly estimates: ReturnType<typeof estimateRemaining> };
/** A part as it stands, with the seconds it still takes at each station. */
export type WaitingPart = StandingPart & Estimates;
/** An order as it stands: what lists, the bench and the promise of a day need. */
export type WaitingOrder = {
  readonly order: Omit<StandingOrder, 'parts' | 'goneParts'>;
  readonly parts: readonly WaitingPart[];
  readonly stage: OrderStage;
  /** Hands, from where its parts are. */
  readonly neededSeconds: number;
};
export type ReadPart = WaitingPart & StoredPart & PartStory;
/** With the whole story of each part. */
export type ReadOrder = Omit<WaitingOrder, 'parts'> & {
  readonly parts: readonly ReadPart[];
  /** Of pieces that are not wanted any more: what they took is spent all the same. */
  readonly goneParts: readonly ReadPart[];
};

export function readStanding<Part extends StandingPart>(
  order: Omit<StandingOrder, 'parts' | 'goneParts'> & { readonly parts: readonly Part[] },
): Omit<WaitingOrder, 'parts'> & { readonly parts: readonly (Part & Estimates)[] } {
  const quotes = new Map(order.lines.map((line) => [line.id, line.quote]));
  const parts = order.parts.map((part) => ({
    ...part,
    estimates: estimateRemaining(quotes.get(part.lineId)!, part.layerIndex, part),
  }));
  return {
    order,
    parts,
    stage: decideStage(
      order.events,
      parts.map((part) => part.state),
    ),
    neededSeconds: parts.reduce(
      (sum, part) => sum + STATIONS.reduce((all, station) => all + part.estimates[station], 0),
      0,
    ),
  };
}

export function readStored({ goneParts, ...order }: StoredOrder): ReadOrder {
  const fold = (part: StoredPart) => ({ ...part, ...foldPart(part.events) });
  const read = readStanding({ ...order, parts: order.parts.map(fold) });
  return { ...read, goneParts: goneParts.map((part) => ({ ...fold(part), estimates: NOTHING_LEFT })) };
}
const NOTHING_LEFT = { cut: 0, weed: 0, press: 0, check: 0 };

/** The soonest due first. */
export const readOpenOrders = (shop: ShopContext): readonly WaitingOrder[] =>
  rememberUntilChange(shop, 'open orders', () =>
    loadStandingOrders(shop.db, findOpenOrderIds(shop.db)).map(readStanding),
  );

/** Those that may be worked on, the soonest due first: agreed, and not held. */
export const readOrdersInHand = (shop: ShopContext): readonly WaitingOrder[] =>
  readOpenOrders(shop).filter(({ stage }) => isInHand(stage));

/** Those that vinyl and blanks are held for. */
export const readOrdersHolding = (shop: ShopContext): readonly WaitingOrder[] =>
  readOpenOrders(shop).filter(({ stage }) => holdsMaterial(stage));

export function readOrder(shop: ShopContext, id: number): ReadOrder | null {
  const order = findOrder(shop.db, id);
  return order ? readStored(order) : null;
}

/** Without what happened to each of its parts: that is most of what there is to read. */
export function readStandingOrder(shop: ShopContext, id: number): WaitingOrder | null {
  const [order] = loadStandingOrders(shop.db, [id]);
  return order ? readStanding(order) : null;
}

const MINUTE_MS = 60_000;

/** To the minute: within one, a page that shows it says the same, and need not be drawn anew. */
export function slackOf(
  orders: readonly WaitingOrder[],
  stored: StoredShop,
  nowMs: number,
): ReadonlyMap<number, Figure> {
  const waiting = orders.filter((entry) => isInHand(entry.stage));
  return computeSlack({
    orders: waiting.map(({ order, neededSeconds }) => ({ orderId: order.id, dueDay: order.dueDay, neededSeconds })),
    nowMs: Math.floor(nowMs / MINUTE_MS) * MINUTE_MS,
    timeZone: stored.timeZone,
    shop: stored.figures,
  });
}
