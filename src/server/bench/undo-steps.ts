// Steps at the bench taken back.

import { listLive, type PartEvent } from '../../core/orders/index';
import { groupBy } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { addPartEvents } from '../../data/part-event-store';
import type { ShopContext } from '../context';
import { ShopError } from '../errors';
import { newEvent, readOrdersOf, requireParts } from './bench-parts';
import { giveBack, type Lost } from './give-back';

/** Takes steps back that are the latest of their parts; what was logged stays logged. */
export function undoSteps(shop: ShopContext, eventIds: readonly number[], partIds: readonly number[]): void {
  inTransaction(shop.db, () => {
    const wanted = new Set(eventIds);
    const undone = requireParts(readOrdersOf(shop, partIds), partIds).flatMap((part) =>
      listLatest(part.events, wanted),
    );
    if (undone.length === 0) throw new ShopError('conflict', { reason: 'nothing-to-undo' });
    const lost = new Map<number, Lost>();
    for (const [sessionId, own] of groupBy(undone, (event) => event.sessionId ?? null))
      if (sessionId !== null) for (const [id, costs] of giveBack(shop, sessionId, own)) lost.set(id, costs);
    const atMs = shop.now();
    addPartEvents(
      shop.db,
      undone.map((event) => newEvent(event.partId, 'undone', { atMs, undoes: event.id, ...lost.get(event.id) })),
    );
  });
}

/** Of the wanted steps of one part, those that nothing was built upon, the latest first. */
function listLatest(events: readonly PartEvent[], wanted: ReadonlySet<number>): readonly PartEvent[] {
  const live = [...listLive(events)].reverse();
  const first = live.findIndex((event) => !wanted.has(event.id));
  return first === -1 ? live : live.slice(0, first);
}
