// Loads are saved as they are laid out: what one lays claim to, a second is refused.

import type { InferType } from 'yup';
import type { cutSheetInput } from '../../core/input/index';
import { inTransaction } from '../../data/database';
import { findClash, listPartIds, STATION_STEPS, type CutSheetClash } from '../../core/orders/index';
import { formatInstant } from '../../core/units/index';
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
import { plural } from '../../wording/plural';

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
      throw new ShopError(
        'conflict',
        `Piece ${part.pieceNumber} of ${part.title} does not wait to be cut any more, perhaps since another window. Reload, and lay out what still waits.`,
      );
  }
  const others = loadSavedSheets(shop.db).filter((other) => other.id !== id);
  const clash = findClash(
    sheet,
    others.map((other) => ({ id: other.id, sheet: other.sheet })),
    (lotId) => findLot(shop.db, lotId)?.left ?? 0,
  );
  if (clash) throw describeClash(shop, clash, others, parts);
}

type PartState = { readonly pieceNumber: number; readonly title: string; readonly state: string };

function readPartStates(shop: ShopContext, partIds: readonly number[]): readonly (readonly [number, PartState])[] {
  return loadOrders(shop.db, findOrderIdsOfParts(shop.db, partIds))
    .map(readStored)
    .flatMap(({ order, parts }) =>
      parts.map((part) => [part.id, { pieceNumber: part.pieceNumber, title: order.title, state: part.state }] as const),
    );
}

function describeClash(
  shop: ShopContext,
  clash: CutSheetClash<number>,
  others: readonly StoredCutSheet[],
  parts: ReadonlyMap<number, PartState>,
): ShopError {
  const other = others.find((candidate) => candidate.id === clash.by);
  const { locale, timeZone } = getShop(shop);
  const where = other
    ? `the cut sheet of ${plural(other.sheet.placements.length, 'part')} saved at ${formatInstant(other.savedAtMs, { locale, timeZone })}`
    : 'another load';
  if (clash.kind === 'part') {
    const part = parts.get(clash.partId);
    return new ShopError(
      'conflict',
      `Piece ${part?.pieceNumber ?? ''} of ${part?.title ?? 'an order'} lies on ${where} already. Open that one, or discard it first.`,
    );
  }
  const lot = findLot(shop.db, clash.lotId),
    name = lot?.code ? `Offcut ${lot.code}` : `Lot ${clash.lotId}`;
  if (clash.by === null)
    return new ShopError(
      'conflict',
      clash.form === 'roll'
        ? `${name} has ${Math.floor(clash.left)} mm left, and this takes ${Math.ceil(clash.takes)} mm. Choose other stock, or lay out fewer parts.`
        : `${name} is gone: it was cut from or counted off meanwhile. Choose other stock, and lay out again.`,
    );
  return new ShopError(
    'conflict',
    clash.form === 'roll'
      ? `Of ${name} ${Math.floor(clash.left)} mm are free beside ${where}, and this takes ${Math.ceil(clash.takes)} mm. Choose other stock, or lay out fewer parts.`
      : `${name} is taken by ${where}. Choose other stock, or discard that sheet first.`,
  );
}
