// One station of the bench: the first of its queue, however much waits in the shop.

import { countWaiting, gatherBatches } from '../../core/scheduling/index';
import { STATIONS, type Station } from '../../core/orders/index';
import { dayOf } from '../../core/units/index';
import { findOrderIdsOfLines, loadStandingOrders } from '../../data/order-store';
import type { BenchLineView, BenchView } from '../../views/bench';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { readMadeLines, type MadeLine, type Materials } from '../items/materials';
import { readOrdersInHand, readStanding } from '../orders/read-orders';
import { rememberUntilChange } from '../remember';
import { loadRunning } from '../shop/load-frame';
import { listPaces } from '../shop/people';
import { narrowToPieces, partsOf, readPartsAtBench, toLineView } from './bench-views';

/** Batches shown at once; what comes after them waits longer. */
const BATCHES_SHOWN = 15;

export const loadStation = (shop: ShopContext, station: Station): BenchView => ({
  ...rememberUntilChange(shop, `bench at ${station}`, () => readStationNow(shop, station)),
  readAtMs: shop.now(),
  today: dayOf(shop.now(), getShop(shop).timeZone),
});

function readStationNow(shop: ShopContext, station: Station): Omit<BenchView, 'readAtMs' | 'today'> {
  const orders = readOrdersInHand(shop);
  const { parts, saved } = readPartsAtBench(shop);
  const running = loadRunning(shop);
  const inHand = new Set(running.filter((work) => work.station === station).flatMap((work) => work.partIds));
  const batches = gatherBatches(station, parts);
  const shown = batches.filter(
    (batch, at) => at < BATCHES_SHOWN || batch.parts.some((part) => inHand.has(part.partId)),
  );
  const pieceIds = new Set(shown.flatMap((batch) => batch.parts.map((part) => part.pieceId)));
  for (const part of parts) if (inHand.has(part.partId)) pieceIds.add(part.pieceId);
  const narrowed = narrowToPieces(orders, pieceIds);
  const made = readMadeLines(shop, narrowed);
  const first = shown.find((batch) => batch.parts.some((part) => inHand.has(part.partId))) ?? shown[0];
  const firstLine = first?.parts[0]?.lineId ?? parts.find((part) => inHand.has(part.partId))?.lineId;
  return {
    parts: narrowed.flatMap(({ order, parts: own }) =>
      own.filter((part) => part.state !== 'checked').map(partsOf(order, saved, made)),
    ),
    later: batches.length - shown.length,
    waiting: Object.fromEntries(STATIONS.map((name) => [name, countWaiting(name, parts)])) as BenchView['waiting'],
    lines: [...made.lines].flatMap(([lineId, line]) =>
      lineId === firstLine ? [toLineView(shop, lineId, line, made.materials)] : [],
    ),
    running,
    vinyls: [...made.materials.vinyls.values()],
    paces: listPaces(shop, station),
  };
}

/** How the pieces of a line are made. @throws ShopError not-found */
export function loadBenchLine(shop: ShopContext, lineId: number): BenchLineView {
  const { line, materials } = requireMadeLine(shop, lineId);
  return toLineView(shop, lineId, line, materials);
}

/** A line of an order that is in hand. @throws ShopError not-found */
export function requireMadeLine(
  shop: ShopContext,
  lineId: number,
): { readonly line: MadeLine; readonly materials: Materials } {
  const orders = loadStandingOrders(shop.db, findOrderIdsOfLines(shop.db, [lineId])).map(readStanding);
  const { lines, materials } = readMadeLines(shop, orders);
  const line = lines.get(lineId);
  if (!line) throw notFound('This line');
  return { line, materials };
}

/** @throws ShopError not-found when it is none of the four. */
export function requireStation(text: string | undefined): Station {
  const station = STATIONS.find((name) => name === text);
  if (!station) throw notFound('This station');
  return station;
}

/** The station an address asks for; the cutter where it asks for none. */
export const readStation = (params: URLSearchParams): Station =>
  STATIONS.find((name) => name === params.get('station')) ?? 'cut';
