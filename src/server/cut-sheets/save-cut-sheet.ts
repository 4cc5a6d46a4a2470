// Loads are saved as they are laid out: what one lays claim to, a second is refused.

import type { InferType } from 'yup';
import type { cutSheetInput } from '../../core/input/index';
import { inTransaction } from '../../data/database';
import { findClash, listPartIds, STATION_STEPS, type CutSheetClash } from '../../core/orders/index';
import {
  deleteSavedSheet,
  findSavedSheet,
  insertSavedSheet,
  loadSavedSheets,
  updateSavedSheet,
  type StoredCutSheet,
} from '../../data/cut-sheet-store';
import { findOrderIdsOfParts, loadOrders } from '../../data/order-store';
import { findLot } from '../../data/stock-store';
import { getShop, type ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import { readStored } from '../orders/read-orders';
import type { Refusal } from '../../wording/refusals';

type SavedSheet = { readonly id: number; readonly version: number };

export function saveCutSheet(shop: ShopContext, { vinylId, sheet }: InferType<typeof cutSheetInput>): SavedSheet {
  return inTransaction(shop.db, () => {
    refuseClash(shop, null, sheet);
    return { id: insertSavedSheet(shop.db, { vinylId, sheet, savedAtMs: shop.now() }), version: 1 };
  });
}

export function changeCutSheet(
  shop: ShopContext,
  id: number,
  version: number,
  { sheet }: InferType<typeof cutSheetInput>,
): SavedSheet {
  return inTransaction(shop.db, () => {
    if (!findSavedSheet(shop.db, id)) throw notFound('This cut sheet');
    refuseClash(shop, id, sheet);
    if (!updateSavedSheet(shop.db, id, version, { sheet, savedAtMs: shop.now() })) throw stale('This cut sheet');
    return { id, version: version + 1 };
  });
}

/** Its parts wait again. */
export function dropCutSheet(shop: ShopContext, id: number): void {
  if (!deleteSavedSheet(shop.db, id)) throw notFound('This cut sheet');
}

function refuseClash(shop: ShopContext, id: number | null, sheet: InferType<typeof cutSheetInput>['sheet']): void {
  const parts = new Map(readPartStates(shop, listPartIds(sheet)));
  for (const partId of listPartIds(sheet)) {
    const part = parts.get(partId);
    if (!part) throw notFound('One of these parts');
    if (part.state !== STATION_STEPS.cut.from)
      throw new ShopError('conflict', { reason: 'piece-not-waiting', piece: part.pieceNumber, order: part.title });
  }
  const others = loadSavedSheets(shop.db).filter((other) => other.id !== id);
  const clash = findClash(
    sheet,
    others.map((other) => ({ id: other.id, sheet: other.sheet })),
    (lotId) => findLot(shop.db, lotId)?.left ?? 0,
  );
  if (clash) throw new ShopError('conflict', toRefusal(shop, clash, others, parts));
}

type PartState = { readonly pieceNumber: number; readonly title: string; readonly state: string };

function readPartStates(shop: ShopContext, partIds: readonly number[]): readonly (readonly [number, PartState])[] {
  return loadOrders(shop.db, findOrderIdsOfParts(shop.db, partIds))
    .map(readStored)
    .flatMap(({ order, parts }) =>
      parts.map((part) => [part.id, { pieceNumber: part.pieceNumber, title: order.title, state: part.state }] as const),
    );
}

/** What stands in the way of a sheet, as the refusal the seller reads. */
function toRefusal(
  shop: ShopContext,
  clash: CutSheetClash<number>,
  others: readonly StoredCutSheet[],
  parts: ReadonlyMap<number, PartState>,
): Refusal {
  const other = nameOther(
    shop,
    others.find((candidate) => candidate.id === clash.by),
  );
  if (clash.kind === 'part') return { reason: 'piece-on-other-sheet', part: parts.get(clash.partId) ?? null, other };
  const lot = { id: clash.lotId, code: findLot(shop.db, clash.lotId)?.code ?? null };
  const shortage = { lot, leftMm: clash.left, takesMm: clash.takes };
  const isRoll = clash.form === 'roll';
  if (clash.by === null) return isRoll ? { reason: 'roll-short', ...shortage } : { reason: 'sheet-gone', lot };
  return isRoll ? { reason: 'roll-claimed', ...shortage, other } : { reason: 'sheet-claimed', lot, other };
}

function nameOther(shop: ShopContext, sheet: StoredCutSheet | undefined) {
  if (!sheet) return null;
  const { locale, timeZone } = getShop(shop);
  return { parts: sheet.sheet.placements.length, savedAtMs: sheet.savedAtMs, zone: { locale, timeZone } };
}
