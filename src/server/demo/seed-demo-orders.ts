// The demo shop's orders: taken, worked on and handed over through the same use cases as the screens, at past times.

import type { InferType } from 'yup';
import { orderInput } from '../../core/input/index';
import { STATION_STEPS, STATIONS, type SpoilageCause } from '../../core/orders/index';
import { readRoster } from '../../core/rosters/index';
import { addDays } from '../../core/scheduling/index';
import { dayOf, minor } from '../../core/units/index';
import { addOrderEvent } from '../../data/order-event-store';
import { insertPayment } from '../../data/payment-store';
import { spoilParts } from '../bench/spoil-parts';
import { finishSession, startSession } from '../bench/work-at-bench';
import { getShop, type ShopContext } from '../context';
import { parseInput } from '../errors';
import { CLOSED_BY_ITSELF } from '../orders/move-order';
import { prepareTexts } from '../orders/line-texts';
import { readOrder } from '../orders/read-orders';
import { placeOrder } from '../orders/save-order';

type Clock = { ms: number };
const DAY_MS = 86_400_000;

export type DemoOrder = {
  title: string;
  customer: string;
  contact: string;
  placedDaysAgo: number;
  dueInDays: number;
  lines: [item: string, quantity: number, size: string, colour: string][];
  /** A list of names as the customer sent it. */
  names?: { item: string; colour: string; options: number[]; labels: string[]; source: string };
  agreed: number;
  reached: Record<'cut' | 'weed' | 'press' | 'check', number>;
  pace: number;
  spoiled?: { pieces: number; layer: number; cause: SpoilageCause; blankLost: boolean };
  handedOverDaysAgo?: number;
};
/** As it is written down; its texts are being set. */
type TakenOrder = {
  readonly order: DemoOrder;
  readonly wish: InferType<typeof orderInput>;
  readonly textsSet: Promise<void>;
};

export function takeOrder({
  shop,
  order,
  items,
  nowMs,
}: {
  shop: ShopContext;
  order: DemoOrder;
  items: ReadonlyMap<string, number>;
  nowMs: number;
}): TakenOrder {
  const today = dayOf(nowMs, getShop(shop).timeZone);
  const lines = [
    ...order.lines.map(([item, quantity, sizeName, colourName]) => ({
      itemId: items.get(item),
      quantity,
      sizeName,
      colourName,
    })),
    ...(order.names ? readNames(order.names, items) : []),
  ];
  const wish = parseInput(orderInput, {
    title: order.title,
    customerName: order.customer,
    contact: order.contact,
    dueDay: addDays(today, order.dueInDays),
    agreed: order.agreed,
    note: '',
    roster: order.names?.source ?? null,
    lines,
  });
  return { order, wish, textsSet: prepareTexts(shop, wish.lines) };
}

export async function seedOrder({
  shop,
  clock,
  order: { order, wish, textsSet },
  nowMs,
}: {
  shop: ShopContext;
  clock: Clock;
  order: TakenOrder;
  nowMs: number;
}): Promise<void> {
  await textsSet;
  const placedMs = nowMs - order.placedDaysAgo * DAY_MS - 20 * 60_000;
  clock.ms = placedMs;
  const { id } = placeOrder(shop, wish);
  const endMs = nowMs - (order.handedOverDaysAgo ?? 0) * DAY_MS - 40 * 60_000;
  const busy = STATIONS.filter((station) => order.reached[station] > 0);
  const stepMs = (endMs - placedMs) / (busy.length + 1);
  for (const [index, station] of busy.entries()) {
    clock.ms = placedMs + stepMs * (index + 1);
    const work = (count: number) => workOn(shop, clock, id, station, count, order.pace);
    work(order.reached[station]);
    if (station === 'weed' && order.spoiled) {
      const { pieces, layer, cause, blankLost } = order.spoiled;
      const parts = readOrder(shop, id)!
        .parts.filter((part) => part.state === 'weeded' && part.layerIndex === layer)
        .slice(0, pieces);
      clock.ms += 60_000;
      spoilParts(shop, { partIds: parts.map((part) => part.id), cause, blankLost });
      if (order.handedOverDaysAgo !== undefined)
        for (const again of ['cut', 'weed'] as const) workOn(shop, clock, id, again, pieces, order.pace);
    }
  }
  if (order.handedOverDaysAgo === undefined) return;
  const atMs = nowMs - order.handedOverDaysAgo * DAY_MS;
  addOrderEvent(shop.db, id, 'handed-over', atMs);
  insertPayment(shop.db, { orderId: id, kind: 'payment', amount: minor(order.agreed), means: 'transfer', atMs });
  addOrderEvent(shop.db, id, 'closed', atMs, { detail: CLOSED_BY_ITSELF });
}

/** The rows of a list whose columns are the texts and then the size. */
function readNames(
  { item, colour, options, labels, source }: NonNullable<DemoOrder['names']>,
  items: ReadonlyMap<string, number>,
) {
  const table = readRoster(source, []);
  if (!table.ok) throw new Error('The list of names of the demo can’t be read');
  return table.value.rows.map(({ line, cells }) => ({
    itemId: items.get(item),
    quantity: 1,
    sizeName: cells[labels.length],
    colourName: colour,
    options,
    texts: labels.map((label, at) => ({ label, text: cells[at], given: cells[at] })),
    rosterRow: line,
  }));
}

/** Logs the work of a station on the first `count` pieces that can go on, at a pace against the estimate. */
function workOn(
  shop: ShopContext,
  clock: Clock,
  orderId: number,
  station: (typeof STATIONS)[number],
  count: number,
  pace: number,
): void {
  const { parts } = readOrder(shop, orderId)!;
  const { from } = STATION_STEPS[station];
  const whole = (pieceId: number) =>
    station === 'cut' || station === 'weed' || parts.every((part) => part.pieceId !== pieceId || part.state === from);
  const ready = parts.filter((part) => part.state === from && whole(part.pieceId));
  const pieces = new Set([...new Set(ready.map((part) => part.pieceId))].slice(0, count));
  const chosen = ready.filter((part) => pieces.has(part.pieceId));
  if (chosen.length === 0) return;
  const { id } = startSession(shop, { station, partIds: chosen.map((part) => part.id) });
  clock.ms += chosen.reduce((sum, part) => sum + part.estimates[station], 0) * pace * 1000;
  finishSession(shop, id, 'done');
}
