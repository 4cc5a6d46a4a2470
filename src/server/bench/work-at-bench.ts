// Work at the stations: started and stopped by the server's clock; what is done moves its parts on.

import type { InferType } from 'yup';
import type { startSessionInput } from '../../core/input/index';
import { findReadyParts, listLive, STATION_STEPS } from '../../core/orders/index';
import { sumPresses } from '../../core/scheduling/index';
import { MS_PER_S } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { addPartEvents } from '../../data/part-event-store';
import {
  findSession,
  insertSession,
  loadRunningSessions,
  narrowSession,
  savePressed,
  stopSession,
} from '../../data/work-store';
import { findSavedSheet } from '../../data/cut-sheet-store';
import { loadSheetCuts } from '../../data/sheet-cut-store';
import type { BookedStock } from '../../views/bench';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { newEvent, readOrdersOf, readStandingOf, refuseNotInHand, requireParts } from './bench-parts';
import { keepMinutes } from '../items/keep-minutes';
import { keepPressing } from '../items/keep-pressing';
import { keepWeeding } from '../items/keep-weeding';
import { refuseUnread } from '../orders/read-back';
import { findPerson, paceOf } from '../shop/people';
import { beginByHand } from '../cutting/cut-by-hand';
import { beginLoad } from '../cutting/begin-load';
import { leaveMachine } from '../cutting/follow-machine';
import { bookWork } from './book-work';

type SessionStart = InferType<typeof startSessionInput>;
type SessionWish = Pick<SessionStart, 'station' | 'partIds'> &
  Partial<Pick<SessionStart, 'unreadReason' | 'savedId' | 'personId'>>;

/** Starts the clock at a station on parts that lie ready there. One piece of work a station at a time. */
export function startSession(
  shop: ShopContext,
  { unreadReason = '', savedId = null, personId = null, ...input }: SessionWish,
): { id: number } {
  const { station } = input;
  return inTransaction(shop.db, () => {
    if (loadRunningSessions(shop.db).some((work) => work.station === station))
      throw new ShopError('conflict', { reason: 'station-busy', station });
    const orders = readStandingOf(shop, input.partIds);
    const chosen = requireParts(orders, input.partIds);
    refuseNotInHand(orders);
    if (station === 'cut') refuseUnread(shop, orders, chosen, unreadReason);
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
    if (personId !== null) findPerson(shop, personId);
    const pace = paceOf(shop, station, personId);
    const members = chosen.map((part) => ({ partId: part.id, estimateSeconds: part.estimates[station] * pace }));
    const id = insertSession(shop.db, station, shop.now(), members, personId);
    if (station === 'cut') {
      if (savedId === null) beginByHand(shop, { sessionId: id, orders, parts: chosen });
      else beginLoad(shop, { sessionId: id, savedId, partIds: input.partIds });
    }
    return { id };
  });
}

type Finish = {
  /** Those that are done, of a batch that is not done as a whole; its minutes fall on them. */
  readonly partIds?: readonly number[] | undefined;
  /** Of a clock that was left running, what is counted, seconds. */
  readonly countSeconds?: number | undefined;
};

/**
 * Stops the clock. 'done' moves the parts on that are still where they were; 'paused' keeps the minutes only;
 * 'discarded' drops them.
 */
export function finishSession(
  shop: ShopContext,
  id: number,
  outcome: 'done' | 'paused' | 'discarded',
  { partIds: done, countSeconds }: Finish = {},
): { eventIds: readonly number[]; booked: readonly BookedStock[] } {
  if (outcome !== 'done') leaveMachine(shop, id);
  return inTransaction(shop.db, () => {
    const work = findSession(shop.db, id);
    if (!work) throw notFound('This timer');
    if (outcome === 'done' && isOpenLoad(shop, id)) throw new ShopError('conflict', { reason: 'load-done-by-booking' });
    const atMs = shop.now();
    const stopMs = countSeconds === undefined ? atMs : Math.min(atMs, work.startedAtMs + countSeconds * MS_PER_S);
    if (done && !work.parts.some(({ partId }) => done.includes(partId))) throw notFound('One of these parts');
    if (done) narrowSession(shop.db, id, done);
    if (!stopSession(shop.db, id, stopMs, outcome)) throw new ShopError('conflict', { reason: 'timer-stopped' });
    keepMinutes(shop.db, [id]);
    if (work.progress.presses) savePressed(shop.db, id, sumPresses(work.progress.presses));
    if (outcome !== 'done') return { eventIds: [], booked: [] };
    const { to } = STATION_STEPS[work.station];
    if (to === 'to-cut') return { eventIds: [], booked: [] };
    const partIds = work.parts.map((part) => part.partId).filter((partId) => done?.includes(partId) ?? true);
    const orders = readOrdersOf(shop, partIds);
    // What was spoiled while the clock ran waits to be cut again, and its piece with it.
    const ready = new Set(
      findReadyParts(
        work.station,
        orders.flatMap(({ parts }) => parts),
      ),
    );
    const parts = requireParts(orders, partIds).filter(
      (part) => ready.has(part) && !listLive(part.events).some((event) => event.sessionId === id),
    );
    if (work.station === 'weed') keepWeeding(shop, { work, stopMs, orders, partIds });
    if (work.station === 'press') keepPressing(shop, { work, stopMs, orders, partIds });
    const taken = bookWork(shop, work.station, { sessionId: id, orders, parts });
    const events = parts.map((part) => newEvent(part.id, to, { atMs, sessionId: id, ...taken.costs.get(part.id) }));
    return { booked: taken.booked, eventIds: addPartEvents(shop.db, events) };
  });
}

/** A load is finished by what booking it takes from its lots, not by what its parts take one by one. */
function isOpenLoad({ db }: ShopContext, sessionId: number): boolean {
  const [row] = loadSheetCuts(db, sessionId);
  return row !== undefined && findSavedSheet(db, row.savedSheetId) !== null;
}
