// Parts that went wrong: they go back to be cut, and what is lost with them is booked.

import type { InferType } from 'yup';
import type { spoilInput } from '../../core/input/index';
import { holdsBlank, type PartEvent } from '../../core/orders/index';
import { groupBy } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { addPartEvents } from '../../data/part-event-store';
import { insertInstant, loadRunningSessions, type StoredSession } from '../../data/work-store';
import type { ShopContext } from '../context';
import { ShopError } from '../errors';
import type { ReadOrder, ReadPart } from '../orders/read-orders';
import { newEvent, readOrdersOf, requireParts, type NewEvent } from './bench-parts';
import { bookBlanks } from './book-stock';
import { bookWork } from './book-work';

/**
 * Marks parts as spoiled: they go back to be cut. With the blank lost, whatever was pressed on it has to be made again
 * too.
 */
export function spoilParts(shop: ShopContext, input: InferType<typeof spoilInput>): { eventIds: readonly number[] } {
  return inTransaction(shop.db, () => {
    const orders = readOrdersOf(shop, input.partIds);
    const chosen = requireParts(orders, input.partIds);
    const recut = input.blankLost || chosen.length > 1 ? null : input.recut;
    const uncut = chosen.find((part) => part.state === 'to-cut');
    // A part on the cutter just now is spoiled before it counts as cut: the vinyl is gone all the same.
    const running = loadRunningSessions(shop.db);
    const cutting = new Set(
      running.filter((work) => work.station === 'cut').flatMap((work) => work.parts.map((part) => part.partId)),
    );
    if (uncut && !cutting.has(uncut.id))
      throw new ShopError('conflict', { reason: 'piece-not-cut', piece: uncut.pieceNumber });
    const atMs = shop.now();
    const pieces = new Set(chosen.map((part) => part.pieceId));
    const alsoLost = input.blankLost
      ? orders
          .flatMap(({ parts }) => parts)
          .filter(
            (part) =>
              pieces.has(part.pieceId) &&
              (part.state === 'pressed' || part.state === 'checked') &&
              !chosen.includes(part),
          )
      : [];
    const cuts = bookCutsInWork(shop, running, orders, chosen);
    const lost = input.blankLost ? bookLostBlanks(shop, running, orders, chosen) : NO_BLANKS;
    const blankCounted = new Set<number>();
    const events = [...chosen, ...alsoLost].flatMap((part) => {
      const blankLost = input.blankLost && !blankCounted.has(part.pieceId);
      if (blankLost) blankCounted.add(part.pieceId);
      const blankCost = blankLost ? lost.costs.get(part.id) : undefined;
      const spoiled = newEvent(part.id, 'spoiled', {
        atMs,
        cause: input.cause,
        blankLost,
        ...(recut ? { recut } : {}),
        ...(blankCost === undefined ? {} : { blankCost, sessionId: lost.sessionId }),
      });
      return [...(cuts.get(part.id) ?? []), spoiled];
    });
    return { eventIds: addPartEvents(shop.db, events) };
  });
}

/** Parts on the cutter just now are cut: their strip is gone, and the blade has worn. */
function bookCutsInWork(
  shop: ShopContext,
  running: readonly StoredSession[],
  orders: readonly ReadOrder[],
  chosen: readonly ReadPart[],
): ReadonlyMap<number, readonly NewEvent[]> {
  const parts = chosen.filter((part) => part.state === 'to-cut');
  const work = running.find((session) => session.station === 'cut');
  if (parts.length === 0 || !work) return new Map();
  const { costs } = bookWork(shop, 'cut', { sessionId: work.id, orders, parts });
  const atMs = shop.now();
  return new Map(
    parts.map((part) => [part.id, [newEvent(part.id, 'cut', { atMs, sessionId: work.id, ...costs.get(part.id) })]]),
  );
}

type LostBlanks = { readonly sessionId: number | null; readonly costs: ReadonlyMap<number, number> };
const NO_BLANKS: LostBlanks = { sessionId: null, costs: new Map() };

/** A blank that nothing was pressed on yet is taken off the shelf now: it is lost all the same. */
function bookLostBlanks(
  shop: ShopContext,
  running: readonly StoredSession[],
  orders: readonly ReadOrder[],
  chosen: readonly ReadPart[],
): LostBlanks {
  const bare = [...groupBy(chosen, (part) => part.pieceId).values()].filter(
    ([first]) => !holdsBlank(listEventsOfPiece(orders, first!.pieceId)),
  );
  if (bare.length === 0) return NO_BLANKS;
  const parts = bare.map(([first]) => first!);
  const pressing = running.find(
    (session) =>
      session.station === 'press' && parts.every((part) => session.parts.some(({ partId }) => partId === part.id)),
  );
  const sessionId =
    pressing?.id ??
    insertInstant(
      shop.db,
      'press',
      shop.now(),
      parts.map((part) => ({ partId: part.id, estimateSeconds: 0 })),
    );
  return { sessionId, costs: bookBlanks(shop, { sessionId, orders, parts }, 'spoiled').costs };
}

const listEventsOfPiece = (orders: readonly ReadOrder[], pieceId: number): readonly PartEvent[] =>
  orders.flatMap(({ parts }) => parts.filter((part) => part.pieceId === pieceId).flatMap((part) => part.events));
