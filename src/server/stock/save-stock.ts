// Receiving, booking, counting and setting aside: the only ways into the ledger. A booking that would go below nothing
// is refused with the figure.

import type { InferType } from 'yup';
import type { bookingInput, lotInput, offcutInput, spoiledSpotsInput } from '../../core/input';
import { inTransaction } from '../../data/database';
import {
  checkLine,
  cornered,
  computeOffcutArea,
  correctTo,
  listSpoiledSpotsOn,
  makeOffcutCode,
  rectangle,
  type SpoiledSpot,
  type BookingProblem,
  type Lot,
  type OffcutShape,
  type StockCause,
} from '../../core/stock';
import {
  addStockLine,
  countOffcuts,
  findLot,
  insertLot,
  isCodeTaken,
  setLotWidth,
  setSpoiledSpots,
  setRemark,
  type StoredLot,
} from '../../data/stock-store';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { requireThing } from './things';

function refusalOf(problem: BookingProblem, form: Lot['form']): ShopError {
  switch (problem.kind) {
    case 'below-zero':
      return new ShopError(
        'conflict',
        { reason: 'lot-short', form, has: problem.has, asked: problem.asked },
        'quantity',
      );
    case 'wrong-sign':
      return new ShopError('invalid', { reason: 'quantity-signed' }, 'quantity');
    case 'not-whole':
      return new ShopError('invalid', { reason: 'quantity-not-whole' }, 'quantity');
    case 'nothing':
      return new ShopError('invalid', { reason: 'quantity-nothing' }, 'quantity');
    default:
      return problem satisfies never;
  }
}

function requireLot(shop: ShopContext, id: number): StoredLot {
  const lot = findLot(shop.db, id);
  if (!lot) throw notFound('This lot');
  return lot;
}

/** Checks and writes one line. Call it inside a transaction. @throws ShopError */
export function writeLine(
  shop: ShopContext,
  lot: StoredLot,
  cause: StockCause,
  quantity: number,
  note: string,
  sessionId?: number,
): void {
  const checked = checkLine(lot, lot.left, { lotId: lot.id, cause, quantity });
  if (!checked.ok) throw refusalOf(checked.problem, lot.form);
  addStockLine(shop.db, {
    ...checked.value,
    atMs: shop.now(),
    note,
    ...(sessionId === undefined ? {} : { sessionId }),
  });
}

export function receiveLot(
  shop: ShopContext,
  input: InferType<typeof lotInput>,
  from: { readonly supplierId?: number; readonly note?: string; readonly unitCost?: number } = {},
): { id: number } {
  const thing = requireThing(shop, input.key);
  if ((thing.kind === 'vinyl') !== (input.form !== 'piece'))
    throw new ShopError('invalid', { reason: thing.kind === 'vinyl' ? 'vinyl-in-pieces' : 'pieces-as-vinyl' }, 'form');
  if (input.form !== 'piece' && (input.widthMm === null || (input.form !== 'roll' && input.lengthMm === null)))
    throw new ShopError('invalid', { reason: 'lot-without-size' }, 'widthMm');
  return inTransaction(shop.db, () => {
    const id = insertLot(shop.db, {
      key: input.key,
      form: input.form,
      widthMm: input.form === 'piece' ? null : input.widthMm,
      lengthMm: input.form === 'piece' ? null : input.lengthMm,
      receivedAtMs: shop.now(),
      unitCost: from.unitCost ?? input.price / input.quantity,
      supplierId: from.supplierId ?? null,
      remark: input.remark,
    });
    writeLine(shop, requireLot(shop, id), 'received', input.quantity, from.note ?? '');
    return { id };
  });
}

export function bookStock(
  shop: ShopContext,
  id: number,
  { cause, quantity, note }: InferType<typeof bookingInput>,
): void {
  inTransaction(shop.db, () =>
    writeLine(shop, requireLot(shop, id), cause, cause === 'returned' ? quantity : -quantity, note),
  );
}

/** Brings the lot to what was counted, and to its true width where that was measured; says by how much it was off. */
export function countStock(
  shop: ShopContext,
  id: number,
  counted: number,
  note: string,
  widthMm: number | null = null,
): { offBy: number } {
  return inTransaction(shop.db, () => {
    const lot = requireLot(shop, id);
    if (lot.form !== 'roll' && !Number.isInteger(counted))
      throw new ShopError('invalid', { reason: 'count-not-whole' }, 'counted');
    const line = correctTo(lot, lot.left, counted);
    if (line) addStockLine(shop.db, { ...line, atMs: shop.now(), note });
    if (widthMm !== null) setWidth(shop, lot, widthMm);
    return { offBy: line?.quantity ?? 0 };
  });
}

export function remarkLot(shop: ShopContext, id: number, remark: string): void {
  if (!setRemark(shop.db, id, remark)) throw notFound('This lot');
}

/** The label says one width and the machine reads another: what it reads is true. */
export function readWidth(shop: ShopContext, id: number, widthMm: number): { wasMm: number } {
  return inTransaction(shop.db, () => {
    const lot = requireLot(shop, id);
    setWidth(shop, lot, widthMm);
    return { wasMm: lot.widthMm ?? widthMm };
  });
}

/** Of an odd offcut the shape says how wide it is. */
function setWidth(shop: ShopContext, lot: StoredLot, widthMm: number): void {
  if (lot.form === 'piece' || lot.shape !== null)
    throw new ShopError('invalid', { reason: 'lot-has-no-width', form: lot.form }, 'widthMm');
  setLotWidth(shop.db, lot.id, widthMm);
}

/** What of an offcut is spoiled, all of it: what it said before is replaced. */
export function markSpoiledSpots(shop: ShopContext, id: number, { spots }: InferType<typeof spoiledSpotsInput>): void {
  const lot = requireLot(shop, id),
    { shape } = lot;
  if (lot.form !== 'offcut' || !shape) throw new ShopError('invalid', { reason: 'spots-on-no-offcut' });
  const beside = spots.findIndex((spot) => listSpoiledSpotsOn(shape, [spot]).length === 0);
  if (beside >= 0) throw new ShopError('invalid', { reason: 'spot-beside-offcut', spot: beside + 1 }, 'spots');
  if (spots.length > 0 && computeOffcutArea(shape, spots) < 1)
    throw new ShopError('invalid', { reason: 'offcut-all-spoiled' }, 'spots');
  setSpoiledSpots(shop.db, id, spots);
}

/** Takes a stretch off a roll (or a sheet off its lot) and keeps the piece as an offcut with a code of its own. */
export function setAsideOffcut(
  shop: ShopContext,
  id: number,
  input: InferType<typeof offcutInput>,
): { id: number; code: string } {
  return inTransaction(shop.db, () => {
    const lot = requireLot(shop, id);
    if (lot.form === 'piece') throw new ShopError('invalid', { reason: 'offcut-of-no-vinyl' });
    if (lot.widthMm !== null && Math.min(input.widthMm, input.lengthMm) > lot.widthMm + 0.05)
      throw new ShopError('invalid', { reason: 'offcut-wider-than-lot', widthMm: lot.widthMm }, 'widthMm');
    const takes = lot.form === 'roll' ? input.takesMm : input.takesMm > 0 ? 1 : 0;
    if (takes > 0) writeLine(shop, lot, 'set-aside', -takes, 'set aside as an offcut');
    const shape =
      input.cornerWidthMm > 0
        ? cornered(input.widthMm, input.lengthMm, input.cornerWidthMm, input.cornerLengthMm)
        : rectangle(input.widthMm, input.lengthMm);
    return addOffcut(shop, lot, {
      widthMm: input.widthMm,
      lengthMm: input.lengthMm,
      shape,
      unitCost: takes * lot.unitCost,
      remark: input.remark,
    });
  });
}

type NewOffcut = {
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly shape: OffcutShape;
  readonly spoiledSpots?: readonly SpoiledSpot[];
  readonly unitCost: number;
  readonly remark: string;
};

/**
 * A piece of the lot as a lot of its own, with a code to write on it. `sessionId`: what left it. Call it inside a
 * transaction.
 */
export function addOffcut(
  shop: ShopContext,
  lot: StoredLot,
  offcut: NewOffcut,
  sessionId?: number,
): { id: number; code: string } {
  let number = countOffcuts(shop.db) + 1;
  while (isCodeTaken(shop.db, makeOffcutCode(number))) number++;
  const code = makeOffcutCode(number);
  const id = insertLot(shop.db, {
    key: lot.key,
    form: 'offcut',
    code,
    receivedAtMs: shop.now(),
    supplierId: lot.supplierId,
    fromLotId: lot.id,
    ...offcut,
  });
  writeLine(shop, requireLot(shop, id), 'received', 1, `from lot ${lot.id}`, sessionId);
  return { id, code };
}
