// The views of orders: the list with combs and slack, one order with its quote against what it really took.

import {
  compareWithQuote,
  computeProfit,
  STATIONS,
  shareSessionSeconds,
  type LineProgress,
  type Station,
} from '../../core/orders/index';
import { computeFee } from '../../core/pricing/index';
import { dayOf } from '../../core/units/index';
import { figure, groupBy, type Figure } from '../../core/units/index';
import { findItems } from '../../data/item-store';
import { findVinyls, type StoredVinyl } from '../../data/shelf-store';
import { loadSessionsOnParts } from '../../data/work-store';
import type { CombColumn, OrderRow, OrderView } from '../../views/orders';
import { CAUSE_NAMES, STATE_NAMES } from '../../wording/stations';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { readOpenOrders, readOrder, slackOf, type ReadPart, type WaitingOrder, type WaitingPart } from './read-orders';
import { UNCHOSEN } from '../../theme/tokens';
import { plural } from '../../wording/plural';

function toComb(parts: readonly WaitingPart[], colours: ReadonlyMap<number, string>): readonly CombColumn[] {
  return [...groupBy(parts, (part) => part.pieceId)].map(([pieceId, members]) => ({
    pieceId,
    number: members[0]!.pieceNumber,
    teeth: members.map((part) => ({
      partId: part.id,
      state: part.state,
      broken: part.broken,
      colour: colours.get(part.vinylId) ?? UNCHOSEN.grey,
    })),
  }));
}

/** The station where most of an order waits: what to do so that it moves. */
function describeWaitingFor({ stage, parts }: WaitingOrder, vinylNames: ReadonlyMap<number, string>): string {
  if (stage === 'ready') return 'to be collected';
  if (stage === 'handed-over' || stage === 'cancelled') return '';
  const broken = parts.filter((part) => part.broken);
  if (broken.length > 0) return `recut ${broken.length} in ${vinylNames.get(broken[0]!.vinylId) ?? 'its vinyl'}`;
  const slowest = (['to-cut', 'cut', 'weeded', 'pressed'] as const)
    .map((state) => ({ state, waiting: parts.filter((part) => part.state === state) }))
    .find(({ waiting }) => waiting.length > 0);
  if (!slowest) return '';
  const verbs = { 'to-cut': 'cut', cut: 'weed', weeded: 'press', pressed: 'check' } as const;
  const count =
    slowest.state === 'to-cut' || slowest.state === 'cut'
      ? plural(slowest.waiting.length, 'part')
      : plural(new Set(slowest.waiting.map((part) => part.pieceId)).size, 'piece');
  return `${verbs[slowest.state]} ${count}`;
}

export function toRows(
  shop: ShopContext,
  entries: readonly WaitingOrder[],
  slack: ReadonlyMap<number, Figure>,
): readonly OrderRow[] {
  const vinyls = findVinylsOf(shop, entries);
  const colours = new Map(vinyls.map((vinyl) => [vinyl.id, vinyl.colourHex]));
  const names = new Map(vinyls.map((vinyl) => [vinyl.id, vinyl.name]));
  return entries.map((entry) => ({
    id: entry.order.id,
    title: entry.order.title,
    customerName: entry.order.customer.name,
    dueDay: entry.order.dueDay,
    stage: entry.stage,
    agreed: entry.order.agreed,
    neededSeconds: entry.neededSeconds,
    slack: slack.get(entry.order.id) ?? null,
    comb: toComb(entry.parts, colours),
    waitingFor: describeWaitingFor(entry, names),
  }));
}

const findVinylsOf = (shop: ShopContext, entries: readonly WaitingOrder[]): readonly StoredVinyl[] =>
  findVinyls(shop.db, [...new Set(entries.flatMap(({ parts }) => parts.map((part) => part.vinylId)))]);

const EVENT_TEXTS: Readonly<Record<string, string>> = {
  placed: 'Order taken',
  changed: 'Changed',
  'handed-over': 'Collected',
  'taken-back': 'Back to ready',
  cancelled: 'Cancelled',
  reopened: 'Reopened',
};

/** @throws ShopError not-found */
export function loadOrderView(shop: ShopContext, id: number): OrderView {
  const entry = readOrder(shop, id);
  if (!entry) throw notFound('This order');
  const stored = getShop(shop);
  const { order, parts } = entry;
  const [row] = toRows(shop, [entry], slackOf(readOpenOrders(shop), stored, shop.now()));
  const worked = shareSessions(shop, parts);
  const names = new Map(
    findItems(
      shop.db,
      order.lines.map((line) => line.itemId),
    ).map((item) => [item.id, item.name]),
  );
  const colours = new Map(findVinylsOf(shop, [entry]).map((vinyl) => [vinyl.id, vinyl.colourHex]));
  const against = compareWithQuote(
    order.lines.map((line): LineProgress => {
      const own = parts.filter((part) => part.lineId === line.id);
      const seconds = Object.fromEntries(
        STATIONS.map((station) => [station, own.reduce((sum, part) => sum + (worked.get(part.id)?.[station] ?? 0), 0)]),
      ) as Record<Station, number>;
      return { quote: line.quote, quantity: line.quantity, parts: own, workedSeconds: seconds };
    }),
  );
  const pieces = order.lines.reduce((sum, line) => sum + line.quantity, 0);
  const feeFigure = figure('Fee', computeFee(order.agreed, stored.figures), 'money', 'computed', {
    how: `share × agreed price + fixed part, once for the order of ${pieces}`,
  });
  return {
    row: row!,
    contact: order.customer.contact,
    note: order.note,
    version: order.version,
    placedAtMs: order.placedAtMs,
    today: dayOf(shop.now(), stored.timeZone),
    against,
    fee: feeFigure,
    profit: computeProfit(order.agreed, computeFee(order.agreed, stored.figures), against.cost.real),
    profitQuoted: computeProfit(order.agreed, computeFee(order.agreed, stored.figures), against.cost.quoted),
    lines: order.lines.map((line) => ({
      id: line.id,
      itemId: line.itemId,
      itemName: names.get(line.itemId) ?? 'item',
      quantity: line.quantity,
      sizeName: line.sizeName,
      colourName: line.colourName,
      eachWithRisk: line.quote.withRisk,
      comb: toComb(
        parts.filter((part) => part.lineId === line.id),
        colours,
      ),
    })),
    events: [
      ...order.events.map((event) => ({
        kind: event.kind,
        atMs: event.atMs,
        text: `${EVENT_TEXTS[event.kind] ?? event.kind}${event.detail ? `: ${event.detail}` : ''}`,
      })),
      ...summarisePartEvents(parts),
    ].sort((a, b) => b.atMs - a.atMs),
  };
}

/** Seconds that fell on each part at each station. */
function shareSessions(
  shop: ShopContext,
  parts: readonly WaitingPart[],
): ReadonlyMap<number, Partial<Record<Station, number>>> {
  const seconds = new Map<number, Partial<Record<Station, number>>>();
  for (const work of loadSessionsOnParts(
    shop.db,
    parts.map((part) => part.id),
  )) {
    const shares = shareSessionSeconds(
      ((work.stoppedAtMs ?? work.startedAtMs) - work.startedAtMs) / 1000,
      work.parts.map((part) => part.estimateSeconds),
    );
    for (const [index, { partId }] of work.parts.entries()) {
      const own = seconds.get(partId) ?? {};
      own[work.station] = (own[work.station] ?? 0) + shares[index]!;
      seconds.set(partId, own);
    }
  }
  return seconds;
}

function summarisePartEvents(parts: readonly ReadPart[]): OrderView['events'] {
  const events = parts.flatMap((part) => part.events.map((event) => ({ ...event, pieceNumber: part.pieceNumber })));
  return [...groupBy(events, (event) => `${event.kind}/${event.atMs}/${event.cause}`).values()].map((together) => {
    const { kind, atMs, cause } = together[0]!;
    const numbers = [...new Set(together.map((event) => event.pieceNumber))];
    const which = numbers.length > 4 ? `${numbers.length} pieces` : `piece ${numbers.join(', ')}`;
    const text =
      kind === 'spoiled'
        ? `Spoiled: ${which}, ${cause ? CAUSE_NAMES[cause] : ''}${together.some((event) => event.blankLost) ? ', blank lost' : ''}`
        : kind === 'undone'
          ? `Taken back: ${which}`
          : `${which} ${STATE_NAMES[kind]}`;
    return { kind, atMs, text };
  });
}
