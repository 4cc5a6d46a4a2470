// A load that was laid out is cut: its parts move on, the strip or sheet leaves the stock, what is left becomes an
// offcut, and each part carries its share of what was cut off.

import { isInHand, STATION_STEPS, type SheetTaking } from '../../core/orders/index';
import { deleteSavedSheet } from '../../data/cut-sheet-store';
import { inTransaction } from '../../data/database';
import { linkBooking } from '../../data/sheet-cut-store';
import { findOrderIdsOfParts, loadOrders } from '../../data/order-store';
import { insertInstant, loadRunningSessions, stopSession } from '../../data/work-store';
import { findOrigins, type CutOrigin } from '../bench/cut-origins';
import { bookCutWear, type WearCosts } from '../bench/book-wear';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { keepMinutes } from '../items/keep-minutes';
import { readStored, type ReadOrder, type ReadPart } from '../orders/read-orders';
import { refuseUnread } from '../orders/read-back';
import { sharesOf, takeStock } from './take-stock';
import { addPartEvents } from '../../data/part-event-store';

/** `sheet`: as it is numbered in a saved load. */
type NumberedSheet = SheetTaking & { readonly sheet?: number };
export type CutLoad = {
  readonly eventIds: readonly number[];
  readonly partIds: readonly number[];
  /** Codes to write on what is left, in the order of the sheets. */
  readonly offcuts: readonly string[];
};
type CutSheetResult = {
  readonly sheet: NumberedSheet;
  readonly sessionId: number;
  readonly wear: WearCosts;
  readonly cost: number;
  readonly codes: readonly string[];
};

/** One transaction: where a part is cut already or a lot has not so much left, nothing is done. */
export function cutLoad(
  shop: ShopContext,
  {
    sheets,
    sheetId,
    unreadReason = '',
  }: { readonly sheets: readonly NumberedSheet[]; readonly sheetId: number | null; readonly unreadReason?: string },
): CutLoad {
  return inTransaction(shop.db, (): CutLoad => {
    // A saved sheet that is gone was cut or thrown away by another window: its parts say which.
    if (sheetId !== null) deleteSavedSheet(shop.db, sheetId);
    const partIds = sheets.flatMap((sheet) => sheet.parts.map((part) => part.partId));
    if (new Set(partIds).size < partIds.length) throw new ShopError('invalid', { reason: 'part-laid-twice' }, 'sheets');
    const orders = loadOrders(shop.db, findOrderIdsOfParts(shop.db, partIds)).map(readStored);
    stopOwnTimer(shop, new Set(partIds));
    const parts = requireWaiting(shop, orders, partIds);
    refuseUnread(shop, orders, parts, unreadReason);
    refuseStrayIslands(sheets, new Set(partIds));
    const cut = cutSheets(shop, sheets, orders, parts);
    if (sheetId !== null) linkCuts(shop, sheetId, cut);
    const lots = new Map(sheets.flatMap((sheet) => sheet.parts.map(({ partId }) => [partId, sheet.lotId] as const)));
    const origins = findOrigins(shop, { orders, parts }, (id) => lots.get(id) ?? null);
    const eventIds = addCutEvents(shop, { sheets, cut, origins });
    return { eventIds, partIds, offcuts: sheets.flatMap((sheet) => resultOf(cut, sheet).codes) };
  });
}

/** @throws ShopError naming the piece that does not wait to be cut, or lies on the cutter at the bench. */
function requireWaiting(
  shop: ShopContext,
  orders: readonly ReadOrder[],
  partIds: readonly number[],
): readonly ReadPart[] {
  const open = orders.filter(({ stage }) => isInHand(stage));
  const byId = new Map(open.flatMap(({ parts }) => parts).map((part) => [part.id, part]));
  const running = loadRunningSessions(shop.db).filter((session) => session.station === 'cut');
  const cutting = new Set(running.flatMap((session) => session.parts.map((part) => part.partId)));
  return partIds.map((id) => {
    const part = byId.get(id);
    if (!part) throw notFound('One of these parts');
    if (part.state !== STATION_STEPS.cut.from)
      throw new ShopError('conflict', { reason: 'piece-cut-already', piece: part.pieceNumber });
    if (cutting.has(id)) throw new ShopError('conflict', { reason: 'piece-on-cutter', piece: part.pieceNumber });
    return part;
  });
}

/** A clock that runs at the cutter for parts of this load only was of this load: its minutes are kept with them. */
function stopOwnTimer(shop: ShopContext, partIds: ReadonlySet<number>): void {
  const running = loadRunningSessions(shop.db).find((session) => session.station === 'cut');
  if (!running?.parts.every(({ partId }) => partIds.has(partId))) return;
  stopSession(shop.db, running.id, shop.now(), 'paused');
  keepMinutes(shop.db, [running.id]);
}

function refuseStrayIslands(sheets: readonly SheetTaking[], partIds: ReadonlySet<number>): void {
  if (sheets.some((sheet) => sheet.islands.some(({ partId }) => !partIds.has(partId))))
    throw new ShopError('invalid', { reason: 'stray-islands' }, 'sheets');
}

/**
 * A session of no length for each sheet ties its parts, stock and wear together, so that all are given back together.
 * What is spare on a sheet without any part of an order is cut in the session of another, so that it is given back with
 * that.
 */
function cutSheets(
  shop: ShopContext,
  sheets: readonly NumberedSheet[],
  orders: readonly ReadOrder[],
  parts: readonly ReadPart[],
): readonly CutSheetResult[] {
  const titles = [...new Set(orders.map(({ order }) => order.title))].join(', ').slice(0, 180);
  const withPartsFirst = [...sheets].sort((a, b) => Number(b.parts.length > 0) - Number(a.parts.length > 0));
  const cut: CutSheetResult[] = [];
  for (const sheet of withPartsFirst) {
    const own = parts.filter((part) => sheet.parts.some(({ partId }) => partId === part.id));
    const shared = own.length === 0 ? cut.at(-1)?.sessionId : undefined;
    const sessionId = shared ?? insertCutSession(shop, own);
    const wear = bookCutWear(shop, { sessionId, orders, parts: own });
    cut.push({ sheet, sessionId, wear, ...takeStock(shop, sheet, titles, sessionId) });
  }
  return cut;
}

/** So that the story of a part tells from what and how it was cut. */
function linkCuts({ db }: ShopContext, savedId: number, cut: readonly CutSheetResult[]): void {
  for (const { sheet, sessionId } of cut)
    if (sheet.sheet !== undefined) linkBooking(db, savedId, sheet.sheet, sessionId);
}

function insertCutSession(shop: ShopContext, parts: readonly ReadPart[]): number {
  const members = parts.map((part) => ({ partId: part.id, estimateSeconds: part.estimates.cut }));
  return insertInstant(shop.db, 'cut', shop.now(), members);
}

function addCutEvents(
  shop: ShopContext,
  {
    sheets,
    cut,
    origins,
  }: {
    readonly sheets: readonly SheetTaking[];
    readonly cut: readonly CutSheetResult[];
    readonly origins: ReadonlyMap<number, CutOrigin>;
  },
): readonly number[] {
  const vinylCost = shareCosts(cut);
  // One step, however many parts: they are told as one.
  const atMs = shop.now();
  return sheets.flatMap((sheet) =>
    addPartEvents(
      shop.db,
      sheet.parts.map(({ partId }) => ({
        partId,
        kind: 'cut' as const,
        atMs,
        sessionId: resultOf(cut, sheet).sessionId,
        undoes: null,
        cause: null,
        blankLost: false,
        vinylCost: vinylCost.get(partId)!,
        wearCost: resultOf(cut, sheet).wear.get(partId) ?? null,
        ...origins.get(partId),
      })),
    ),
  );
}

/** What each part bears of the sheets that it lies on, minor units, not rounded. */
function shareCosts(cut: readonly CutSheetResult[]): ReadonlyMap<number, number> {
  const costs = new Map<number, number>();
  for (const { sheet, cost } of cut) {
    const shares = sharesOf(sheet);
    const whole = shares.reduce((sum, part) => sum + part.areaMm2, sheet.spareMm2);
    for (const { partId, areaMm2 } of shares) costs.set(partId, (costs.get(partId) ?? 0) + (cost * areaMm2) / whole);
  }
  return costs;
}

const resultOf = (cut: readonly CutSheetResult[], sheet: SheetTaking): CutSheetResult =>
  cut.find((result) => result.sheet === sheet)!;
