// One order: what was agreed and what it really took, its lines and texts, its money, its proof, and what happened.

import {
  findRests,
  compareWithQuote,
  computeHourEarned,
  computeProfit,
  findUndoable,
  holdsMaterial,
  listMoves,
  shareSessionSeconds,
  STATIONS,
  sumPayments,
  sumSpoilage,
  type Fate,
  type LineProgress,
  type Station,
} from '../../core/orders/index';
import { computeFee } from '../../core/pricing/index';
import { dayOf, figure, groupBy, type Figure } from '../../core/units/index';
import { nameItems } from '../../data/item-store';
import type { StoredLine } from '../../data/order-store';
import { loadPayments } from '../../data/payment-store';
import { loadSessionsOnParts } from '../../data/work-store';
import type { OrderLineView, OrderView } from '../../views/orders';
import { describeAnswer, describeEvent } from '../../wording/orders';
import { STATE_NAMES } from '../../wording/stations';
import { getSettings, getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { askPrices } from './asked-prices';
import { findWaits } from './find-waits';
import { findVinylsOf, toComb, toRows } from './load-orders';
import { loadProofView } from './proofs';
import { readOpenOrders, readOrder, slackOf, type ReadOrder, type ReadPart, type WaitingPart } from './read-orders';
import { listRestingParts } from './list-resting';
import { tellStory } from './tell-story';

/** @throws ShopError not-found */
export function loadOrderView(shop: ShopContext, id: number): OrderView {
  const entry = readOrder(shop, id);
  if (!entry) throw notFound('This order');
  const { order, parts, stage } = entry;
  const stored = getShop(shop);
  const [row] = toRows(shop, [entry], slackOf(readOpenOrders(shop), stored, shop.now()));
  const states = parts.map((part) => part.state);
  const undoable = findUndoable(order.events, states);
  const payments = loadPayments(shop.db, id).map(({ takenBackAtMs, orderId: _orderId, ...payment }) => ({
    ...payment,
    takenBack: takenBackAtMs !== null,
  }));
  const today = dayOf(shop.now(), stored.timeZone);
  return {
    row: row!,
    waits: holdsMaterial(stage) ? findWaits(shop, id) : null,
    customerId: order.customer.id,
    contact: order.customer.contact,
    note: order.note,
    version: order.version,
    placedAtMs: order.placedAtMs,
    today,
    moves: listMoves(stage),
    undo: undoable && describeEvent(undoable),
    lines: toLines(shop, entry),
    spares: listSpares(shop, entry),
    deposit: order.deposit,
    terms: order.terms,
    money: { ...sumPayments(order, payments), asked: sumAsked(shop, order) },
    payments,
    proof: loadProofView(shop, entry),
    ...compareAll(shop, entry),
    answer: describeAnswer({ row: row!, today }, getSettings(shop)),
    rests: findRests(listRestingParts(shop, entry, findVinylsOf(shop, [entry])), shop.now()),
    events: tellStory(shop, entry),
  };
}

function toLines(shop: ShopContext, entry: ReadOrder): readonly OrderLineView[] {
  const { order, parts } = entry;
  const names = nameItems(
    shop.db,
    order.lines.map((line) => line.itemId),
  );
  const colours = new Map(findVinylsOf(shop, [entry]).map((vinyl) => [vinyl.id, vinyl.colourHex]));
  const byLine = groupBy(parts, (part) => part.lineId);
  return order.lines.map((line) => ({
    id: line.id,
    itemId: line.itemId,
    itemName: names.get(line.itemId) ?? 'item',
    quantity: line.quantity,
    sizeName: line.sizeName,
    colourName: line.colourName,
    options: line.options,
    texts: line.texts,
    note: line.note,
    each: line.each,
    readBackAtMs: line.readBackAtMs,
    eachWithRisk: line.quote.withRisk,
    comb: toComb(byLine.get(line.id) ?? [], colours),
  }));
}

/** Prices of lines are only told where all were kept: today's are not what was agreed. */
const sumAsked = (shop: ShopContext, { lines, terms }: ReadOrder['order']): Figure | null =>
  lines.every(({ each }) => each !== null) ? askPrices(shop, lines, terms) : null;

/** Pieces that were begun and are not wanted any more; of those that were not, there is nothing to tell. */
function listSpares(shop: ShopContext, { order, goneParts }: ReadOrder): OrderView['spares'] {
  const begun = goneParts.filter((part) => part.gone === 'spare' || part.gone === 'spoiled');
  if (begun.length === 0) return [];
  const lines = new Map([...order.lines, ...order.goneLines].map((line) => [line.id, line]));
  const names = nameItems(
    shop.db,
    [...lines.values()].map((line) => line.itemId),
  );
  return [...groupBy(begun, (part) => part.pieceId).values()].map((own) => {
    const line = lines.get(own[0]!.lineId)!;
    const states = [...new Set(own.map((part) => STATE_NAMES[part.state]))].join(', ');
    const texts = line.texts.map(({ text }) => text).join(' ');
    return {
      number: own[0]!.pieceNumber,
      itemName: names.get(line.itemId) ?? 'item',
      fate: own[0]!.gone as Fate,
      words: [line.sizeName, line.colourName, texts, states].filter(Boolean).join(', '),
    };
  });
}

/** What was quoted against what it took, spares and spoiled pieces with it: that is spent all the same. */
function compareAll(
  shop: ShopContext,
  { order, parts, goneParts }: ReadOrder,
): Pick<OrderView, 'against' | 'fee' | 'profit' | 'profitQuoted' | 'hourEarned' | 'spoilage'> {
  const { figures } = getShop(shop);
  const all = [...parts, ...goneParts];
  const worked = shareSessions(shop, all);
  const byLine = groupBy(all, (part) => part.lineId);
  const toProgress = (line: StoredLine, quantity: number): LineProgress & { readonly parts: readonly ReadPart[] } => {
    const own = byLine.get(line.id) ?? [];
    const seconds = Object.fromEntries(
      STATIONS.map((station) => [station, own.reduce((sum, part) => sum + (worked.get(part.id)?.[station] ?? 0), 0)]),
    ) as Record<Station, number>;
    return { quote: line.quote, quantity, parts: own, workedSeconds: seconds };
  };
  const progress = [
    ...order.lines.map((line) => toProgress(line, line.quantity)),
    ...order.goneLines.map((line) => toProgress(line, 0)),
  ];
  const against = compareWithQuote(progress);
  const pieces = order.lines.reduce((sum, line) => sum + line.quantity, 0);
  const fee = computeFee(order.agreed, figures);
  const profit = computeProfit(order.agreed, fee, against.cost.real);
  return {
    against,
    fee: figure('Fee', fee, 'money', 'computed', {
      how: `share × agreed price + fixed part, once for the order of ${pieces}`,
    }),
    profit,
    profitQuoted: computeProfit(order.agreed, fee, against.cost.quoted),
    hourEarned: computeHourEarned(profit, against),
    spoilage: sumSpoilage(progress),
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
