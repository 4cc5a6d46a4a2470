// Work at the stations: started and stopped by the server's clock; parts move on, are spoiled, or taken back.

import type { InferType } from 'yup';
import type { spoilInput, startSessionInput } from '../../core/input/index';
import { inTransaction } from '../../data/database';
import { findReadyParts, STATION_STEPS, type PartEvent } from '../../core/orders/index';
import { findOrderIdsOfParts, loadOrders } from '../../data/order-store';
import { findSession, insertSession, loadRunningSessions, stopSession } from '../../data/work-store';
import type { BookedStock } from '../../views/bench';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { readStored, type ReadOrder, type ReadPart } from '../orders/read-orders';
import { bookBenchStock, returnBenchStock } from './book-stock';
import { bookBenchWear } from './book-wear';
import { addPartEvents, countUndoneOfSession } from '../../data/part-event-store';

type NewEvent = Omit<PartEvent, 'id'> & { readonly sessionId: number | null };

function readOrdersOf(shop: ShopContext, partIds: readonly number[]): readonly ReadOrder[] {
  return loadOrders(shop.db, findOrderIdsOfParts(shop.db, partIds)).map(readStored);
}

/** The parts in the order asked, of open orders only. @throws ShopError when one is gone or its order closed. */
function requireParts(orders: readonly ReadOrder[], partIds: readonly number[]): readonly ReadPart[] {
  const byId = new Map(orders.flatMap(({ parts }) => parts).map((part) => [part.id, part]));
  const closed = new Set(
    orders
      .filter(({ stage }) => stage === 'handed-over' || stage === 'cancelled')
      .flatMap(({ parts }) => parts.map((part) => part.id)),
  );
  return [...new Set(partIds)].map((id) => {
    const part = byId.get(id);
    if (!part) throw notFound('One of these parts');
    if (closed.has(id)) throw new ShopError('conflict', { reason: 'work-on-closed-order' });
    return part;
  });
}

/** Starts the clock at a station on parts that lie ready there. One piece of work a station at a time. */
export function startSession(shop: ShopContext, input: InferType<typeof startSessionInput>): { id: number } {
  const { station } = input;
  return inTransaction(shop.db, () => {
    if (loadRunningSessions(shop.db).some((work) => work.station === station))
      throw new ShopError('conflict', { reason: 'station-busy', station });
    const orders = readOrdersOf(shop, input.partIds);
    const chosen = requireParts(orders, input.partIds);
    const ready = new Set(
      findReadyParts(
        station,
        orders.flatMap(({ parts }) => parts),
      ).map((part) => part.id),
    );
    const other = chosen.find((part) => !ready.has(part.id));
    if (other)
      throw new ShopError('conflict', {
        reason: 'piece-not-ready',
        piece: other.pieceNumber,
        station,
        state: other.state,
      });
    return {
      id: insertSession(
        shop.db,
        station,
        shop.now(),
        chosen.map((part) => ({ partId: part.id, estimateSeconds: part.estimates[station] })),
      ),
    };
  });
}

/**
 * Stops the clock. 'done' moves the parts on that are still where they were; 'paused' keeps the minutes only;
 * 'discarded' drops them.
 */
export function finishSession(
  shop: ShopContext,
  id: number,
  outcome: 'done' | 'paused' | 'discarded',
): { eventIds: readonly number[]; booked: readonly BookedStock[] } {
  return inTransaction(shop.db, () => {
    const work = findSession(shop.db, id);
    if (!work) throw notFound('This timer');
    const atMs = shop.now();
    if (!stopSession(shop.db, id, atMs, outcome)) throw new ShopError('conflict', { reason: 'timer-stopped' });
    if (outcome !== 'done') return { eventIds: [], booked: [] };
    const { from, to } = STATION_STEPS[work.station];
    if (to === 'to-cut') return { eventIds: [], booked: [] };
    const partIds = work.parts.map((part) => part.partId);
    const orders = readOrdersOf(shop, partIds);
    const parts = requireParts(orders, partIds).filter((part) => part.state === from);
    bookBenchWear(shop, work, orders, parts);
    const booked = parts.length > 0 ? bookBenchStock(shop, work, orders, parts) : [];
    return {
      booked,
      eventIds: addPartEvents(
        shop.db,
        parts.map((part): NewEvent => ({
          partId: part.id,
          kind: to,
          atMs,
          sessionId: id,
          undoes: null,
          cause: null,
          blankLost: false,
        })),
      ),
    };
  });
}

/**
 * Marks parts as spoiled: they go back to be cut. With the blank lost, whatever was pressed on it has to be made again
 * too.
 */
export function spoilParts(shop: ShopContext, input: InferType<typeof spoilInput>): { eventIds: readonly number[] } {
  return inTransaction(shop.db, () => {
    const orders = readOrdersOf(shop, input.partIds);
    const chosen = requireParts(orders, input.partIds);
    const uncut = chosen.find((part) => part.state === 'to-cut');
    // A part on the cutter just now is spoiled before it counts as cut: the vinyl is gone all the same.
    const cutting = new Set(
      loadRunningSessions(shop.db)
        .filter((work) => work.station === 'cut')
        .flatMap((work) => work.parts.map((part) => part.partId)),
    );
    if (uncut && !cutting.has(uncut.id))
      throw new ShopError('conflict', { reason: 'piece-not-cut', piece: uncut.pieceNumber });
    const atMs = shop.now();
    const event = (partId: number, kind: NewEvent['kind'], blankLost = false): NewEvent => ({
      partId,
      kind,
      atMs,
      sessionId: null,
      undoes: null,
      cause: kind === 'spoiled' ? input.cause : null,
      blankLost,
    });
    const pieces = new Set(chosen.map((part) => part.pieceId));
    const all = orders.flatMap(({ parts }) => parts);
    const alsoLost = input.blankLost
      ? all.filter(
          (part) =>
            pieces.has(part.pieceId) &&
            (part.state === 'pressed' || part.state === 'checked') &&
            !chosen.includes(part),
        )
      : [];
    const blankCounted = new Set<number>();
    const events = [...chosen, ...alsoLost].flatMap((part) => {
      const countBlank = input.blankLost && !blankCounted.has(part.pieceId);
      if (countBlank) blankCounted.add(part.pieceId);
      return [...(part.state === 'to-cut' ? [event(part.id, 'cut')] : []), event(part.id, 'spoiled', countBlank)];
    });
    return { eventIds: addPartEvents(shop.db, events) };
  });
}

/** Takes steps back that are the latest of their parts; what was logged stays logged. */
export function undoSteps(shop: ShopContext, eventIds: readonly number[], partIds: readonly number[]): void {
  inTransaction(shop.db, () => {
    const wanted = new Set(eventIds);
    const atMs = shop.now();
    const events: NewEvent[] = [];
    for (const part of requireParts(readOrdersOf(shop, partIds), partIds)) {
      const undone = new Set(part.events.filter((event) => event.kind === 'undone').map((event) => event.undoes));
      const live = part.events.filter((event) => event.kind !== 'undone' && !undone.has(event.id));
      while (live.length > 0 && wanted.has(live[live.length - 1]!.id)) {
        events.push({
          partId: part.id,
          kind: 'undone',
          atMs,
          sessionId: null,
          undoes: live.pop()!.id,
          cause: null,
          blankLost: false,
        });
      }
    }
    if (events.length === 0) throw new ShopError('conflict', { reason: 'nothing-to-undo' });
    addPartEvents(shop.db, events);
    for (const { sessionId, undone, all } of countUndoneOfSession(
      shop.db,
      events.flatMap((event) => event.undoes ?? []),
    ))
      returnBenchStock(shop, sessionId, undone, all);
  });
}
