// A saved cut sheet is cut: the server works out what that books from the pieces and where they lie, in a thread, and
// books it.

import type { InferType } from 'yup';
import { decodeText } from '../../core/artwork/index';
import type { cutSavedInput } from '../../core/input/index';
import {
  keyOfSource,
  listPartIds,
  type BookingProblem,
  type CutSheet,
  type CutSource,
  type LoadBooking,
} from '../../core/orders/index';
import type { Result } from '../../core/units/index';
import { findArtworks, findOriginal } from '../../data/artwork-store';
import { findSavedSheet, type StoredCutSheet } from '../../data/cut-sheet-store';
import { findOrderIdsOfParts, loadOrders } from '../../data/order-store';
import { loadCutsOfSaved } from '../../data/sheet-cut-store';
import { findVinyl } from '../../data/shelf-store';
import { loadLots } from '../../data/stock-store';
import { getSettings, getShop, type ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import type { BookTask } from '../heavy/book-thread';
import { heavyWork } from '../heavy/heavy-work';
import { cutLoad, type CutLoad } from './cut-load';
import { toLotChoice } from './lot-choice';

const LIMIT_MS = 30_000;
const WHAT = 'This cut sheet';
const tooMuch = () => new ShopError('busy', { reason: 'booking-too-slow' });

export type Book = (task: BookTask) => Promise<Result<LoadBooking, BookingProblem>>;
const bookInThread: Book = (task) => heavyWork.run({ kind: 'book', task, limitMs: LIMIT_MS, tooMuch });

type CutInput = InferType<typeof cutSavedInput>;
type CutWish = Omit<CutInput, 'unreadReason'> & Partial<Pick<CutInput, 'unreadReason'>>;

/** @throws ShopError not-found, stale, or conflict with what stands in the way */
export async function cutSavedSheet(
  shop: ShopContext,
  id: number,
  { version, leftovers, unreadReason = '' }: CutWish,
  book: Book = bookInThread,
): Promise<CutLoad> {
  const saved = requireVersion(shop, id, version);
  const chosen = leftovers.map(({ sheet, kind }) => [sheet, kind] as const);
  const booking = await book(toBookTask(shop, saved, chosen));
  if (!booking.ok)
    throw new ShopError('conflict', {
      reason: 'load-not-booked',
      problem: booking.problem,
      settings: getSettings(shop),
    });
  // It may have been changed while the thread was at it.
  requireVersion(shop, id, version);
  return cutLoad(shop, { sheets: addShifts(shop, saved, booking.value), sheetId: id, unreadReason });
}

/** Test figures that were cut before a load take more of its roll. */
function addShifts(
  { db }: ShopContext,
  { id, version }: StoredCutSheet,
  { sheets }: LoadBooking,
): LoadBooking['sheets'] {
  const cuts = loadCutsOfSaved(db, id).filter(({ savedVersion }) => savedVersion === version);
  return sheets.map((booked) => {
    const shiftMm = cuts.find(({ sheet }) => sheet === booked.sheet)?.shiftMm ?? 0;
    return shiftMm > 0 ? { ...booked, usedLengthMm: booked.usedLengthMm + shiftMm } : booked;
  });
}

function requireVersion(shop: ShopContext, id: number, version: number): StoredCutSheet {
  const saved = findSavedSheet(shop.db, id);
  if (!saved) throw notFound(WHAT);
  if (saved.version !== version) throw stale(WHAT);
  return saved;
}

export function toBookTask(
  shop: ShopContext,
  { sheet, vinylId }: StoredCutSheet,
  leftovers: BookTask['leftovers'],
): BookTask {
  const lots = loadLots(
    shop.db,
    sheet.lots.map((lot) => lot.lotId),
  ).filter((lot) => lot.left > 0);
  return {
    sheet,
    drawings: readDrawings(shop, sheet),
    stock: lots.flatMap((lot) => toLotChoice(lot) ?? []),
    parts: readPartNumbers(shop, listPartIds(sheet)),
    turnable: findVinyl(shop.db, vinylId)?.details.direction === 'none',
    figures: getShop(shop).figures,
    leftovers,
  };
}

function readDrawings(shop: ShopContext, sheet: CutSheet): BookTask['drawings'] {
  const sources = [...new Map(sheet.pieces.map(({ source }) => [keyOfSource(source), source])).values()];
  const artworks = new Map(
    findArtworks(shop.db, [...new Set(sources.map((source) => source.artworkId))]).map((artwork) => [
      artwork.id,
      artwork,
    ]),
  );
  return sources.flatMap((source: CutSource) => {
    const artwork = artworks.get(source.artworkId);
    const file = findOriginal(shop.db, source.artworkId);
    if (!artwork || !file) return [];
    const { widthMm, layerIndex, mirrored, bits } = source;
    const savedWidthMm = artwork.measurement.widthMm;
    const wish = { steps: artwork.steps, savedWidthMm, widthMm, layerIndex, mirrored, bits };
    return [{ key: keyOfSource(source), drawing: decodeText(file.original), wish }];
  });
}

function readPartNumbers(shop: ShopContext, partIds: readonly number[]): BookTask['parts'] {
  const orders = loadOrders(shop.db, findOrderIdsOfParts(shop.db, partIds));
  return orders.flatMap((order) =>
    order.parts.map((part) => [part.id, { orderId: order.id, pieceNumber: part.pieceNumber }] as const),
  );
}
