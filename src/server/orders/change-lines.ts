// The lines of an open order are changed: what is not begun follows at once, what is begun becomes a spare or is booked
// as spoiled, as the seller says.

import type { InferType } from 'yup';
import type { linesChange } from '../../core/input/index';
import { planLineChange, type LineNow, type LinesPlan, type LineWanted } from '../../core/orders/index';
import { groupBy } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { raiseOrderVersion } from '../../data/order-store';
import { addOrderEvent } from '../../data/order-event-store';
import { insertLines, insertMorePieces, setPiecesGone } from '../../data/order-line-store';
import { nameItems } from '../../data/item-store';
import { insertRoster } from '../../data/roster-store';
import { changed, type Saved } from '../saved';
import type { ShopContext } from '../context';
import { ShopError, stale } from '../errors';
import { plural } from '../../wording/plural';
import { refuseOver } from './move-order';
import type { ReadOrder } from './read-orders';
import { freezeLines, requireOrder, type WrittenLine } from './save-order';

type Wanted = LineWanted & WrittenLine & { readonly rosterRow: number | null };

/** Texts have to be set before. @throws ShopError 'pieces-begun' where it is not said what becomes of them */
export function changeLines(
  shop: ShopContext,
  id: number,
  { lines, fate, roster }: InferType<typeof linesChange>,
  version: number,
): Saved {
  return inTransaction(shop.db, () => {
    const entry = requireOrder(shop, id);
    refuseOver(entry);
    const plan = planLineChange<Wanted>(readLines(entry), lines as readonly Wanted[], fate);
    if (!plan.ok)
      throw new ShopError(
        'conflict',
        plan.problem.kind === 'pieces-begun'
          ? { reason: 'pieces-begun', pieces: plan.problem.numbers }
          : { reason: 'line-gone' },
        'lines',
      );
    if (!raiseOrderVersion(shop.db, id, version)) throw stale('This order');
    apply(shop, entry, plan.value, roster ? insertRoster(shop.db, roster, shop.now()) : null);
    return changed(id, version);
  });
}

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

function apply(shop: ShopContext, entry: ReadOrder, plan: LinesPlan<Wanted>, rosterId: number | null): void {
  const { order } = entry;
  const atMs = shop.now();
  setPiecesGone(shop.db, plan.gone);
  for (const { lineId, count } of plan.more) insertMorePieces(shop.db, order.id, lineId, count);
  insertLines(shop.db, order.id, freezeLines(shop, plan.fresh, rosterId));
  addOrderEvent(shop.db, order.id, 'changed', atMs, { detail: describePlan(shop, entry, plan) });
}

/** What changed, as the order's story tells it. */
function describePlan(shop: ShopContext, { order }: ReadOrder, { gone, more, fresh }: LinesPlan<Wanted>): string {
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
  ].join('; ');
}

const MOST_NAMED = 6;
const listNumbers = (numbers: readonly number[]): string =>
  numbers.length > MOST_NAMED
    ? `${numbers.slice(0, MOST_NAMED).join(', ')} and ${numbers.length - MOST_NAMED} others`
    : numbers.join(', ');
