// The lines of an open order are changed: what is not begun follows at once, what is begun becomes a spare or is booked
// as spoiled, as the seller says.

import type { InferType } from 'yup';
import type { linesChange } from '../../core/input/index';
import { moveAgreed, planLineChange, type LineNow, type LinesPlan, type LineWanted } from '../../core/orders/index';
import { formatMoney, groupBy, minor, type Minor } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { updateAgreed } from '../../data/order-store';
import { addOrderEvent } from '../../data/order-event-store';
import { insertLines, insertMorePieces, setPiecesGone, updateLine } from '../../data/order-line-store';
import { nameItems } from '../../data/item-store';
import { insertRoster } from '../../data/roster-store';
import { changed, type Saved } from '../saved';
import { getSettings, type ShopContext } from '../context';
import { ShopError, stale } from '../errors';
import { plural } from '../../wording/plural';
import { askPrices } from './asked-prices';
import { refuseOver } from './move-order';
import type { ReadOrder } from './read-orders';
import { freezeLines, requireOrder, type WrittenLine } from './save-order';

type Wanted = LineWanted & WrittenLine & { readonly rosterRow: number | null };

/** Texts have to be set before. @throws ShopError 'pieces-begun' where it is not said what becomes of them */
export function changeLines(
  shop: ShopContext,
  id: number,
  { lines: wanted, fate, roster, agreed }: InferType<typeof linesChange>,
  version: number,
): Saved {
  return inTransaction(shop.db, () => {
    const entry = requireOrder(shop, id);
    refuseOver(entry);
    const { order } = entry;
    const lines = (wanted as readonly Wanted[]).map((wish) => keepPrice(wish, order.lines));
    const plan = planLineChange<Wanted>(readLines(entry), lines, fate);
    if (!plan.ok)
      throw new ShopError(
        'conflict',
        plan.problem.kind === 'pieces-begun'
          ? { reason: 'pieces-begun', pieces: plan.problem.numbers }
          : { reason: 'line-gone' },
        'lines',
      );
    const now = minor(agreed ?? followPrices(shop, order, lines));
    if (!updateAgreed(shop.db, id, now, version)) throw stale('This order');
    apply(shop, {
      entry,
      plan: plan.value,
      rosterId: roster ? insertRoster(shop.db, roster, shop.now()) : null,
      agreed: now,
    });
    return changed(id, version);
  });
}

/** A price that nobody spoke of stays as it was agreed. */
function keepPrice(wish: Wanted, lines: ReadOrder['order']['lines']): Wanted {
  if (wish.each !== undefined) return wish;
  return { ...wish, each: lines.find(({ id }) => id === wish.lineId)?.each ?? null };
}

/** Where no other sum was written, what was agreed follows the prices of the lines. */
const followPrices = (
  shop: ShopContext,
  { lines, terms, agreed }: ReadOrder['order'],
  wanted: readonly Wanted[],
): number => moveAgreed(agreed, askPrices(shop, lines, terms).value, askPrices(shop, wanted, terms).value);

function readLines({ order, parts }: ReadOrder): readonly LineNow[] {
  const byPiece = groupBy(parts, (part) => part.pieceId);
  const pieces = [...byPiece].map(([pieceId, own]) => ({
    pieceId,
    lineId: own[0]!.lineId,
    number: own[0]!.pieceNumber,
    begun: own.some((part) => part.state !== 'to-cut' || part.cuts > 0),
  }));
  return order.lines.map((line) => ({
    ...line,
    lineId: line.id,
    pieces: pieces.filter((piece) => piece.lineId === line.id),
  }));
}

type Change = {
  readonly entry: ReadOrder;
  readonly plan: LinesPlan<Wanted>;
  readonly rosterId: number | null;
  /** What is agreed from now on. */
  readonly agreed: Minor;
};

function apply(shop: ShopContext, { entry, plan, rosterId, agreed }: Change): void {
  const { order } = entry;
  const atMs = shop.now();
  const settings = getSettings(shop);
  setPiecesGone(shop.db, plan.gone);
  for (const { lineId, wish } of plan.kept)
    updateLine(shop.db, lineId, { note: wish.note ?? '', each: wish.each == null ? null : minor(wish.each) });
  for (const { lineId, count } of plan.more) insertMorePieces(shop.db, order.id, lineId, count);
  insertLines(shop.db, order.id, freezeLines(shop, plan.fresh, rosterId));
  const changes = [
    ...describePlan(shop, entry, plan),
    ...(agreed === order.agreed
      ? []
      : [`price ${formatMoney(order.agreed, settings)} → ${formatMoney(agreed, settings)}`]),
  ];
  if (changes.length > 0) addOrderEvent(shop.db, order.id, 'changed', atMs, { detail: changes.join('; ') });
}

/** What changed, as the order's story tells it. */
function describePlan(
  shop: ShopContext,
  { order }: ReadOrder,
  { gone, more, fresh }: LinesPlan<Wanted>,
): readonly string[] {
  const names = nameItems(shop.db, [...order.lines.map((line) => line.itemId), ...fresh.map((line) => line.itemId)]);
  const lines = new Map(order.lines.map((line) => [line.id, line]));
  const sayGone = (fate: string, words: string) => {
    const numbers = gone.filter((piece) => piece.gone === fate).map(({ number }) => number);
    return numbers.length === 0 ? [] : [`${words} ${listNumbers(numbers)}`];
  };
  const sayFresh = groupBy(fresh, (line) => line.itemId);
  return [
    ...more.map(({ lineId, count }) => `${count} more ${names.get(lines.get(lineId)!.itemId) ?? 'pieces'}`),
    ...[...sayFresh].map(
      ([itemId, own]) =>
        `${plural(
          own.reduce((sum, line) => sum + line.quantity, 0),
          'piece',
        )} of ${names.get(itemId) ?? 'an item'} made anew`,
    ),
    ...sayGone('dropped', 'not wanted: piece'),
    ...sayGone('spare', 'kept as a spare: piece'),
    ...sayGone('spoiled', 'booked as spoiled: piece'),
  ];
}

const MOST_NAMED = 6;
const listNumbers = (numbers: readonly number[]): string =>
  numbers.length > MOST_NAMED
    ? `${numbers.slice(0, MOST_NAMED).join(', ')} and ${numbers.length - MOST_NAMED} others`
    : numbers.join(', ');
