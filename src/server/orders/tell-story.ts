// What happened to an order, the latest first: its steps, and how its parts were cut and pressed.

import { readHandCuts } from '../../data/hand-cut-store';
import { loadCutsBooked } from '../../data/sheet-cut-store';
import { loadLots } from '../../data/stock-store';
import { loadPressed } from '../../data/work-store';
import type { OrderView } from '../../views/orders';
import { describeSetting } from '../../wording/cutting';
import { describePresses } from '../../wording/press-steps';
import { describeEvent } from '../../wording/orders';
import { getSettings, type ShopContext } from '../context';
import type { ReadOrder } from './read-orders';
import { summarisePartEvents } from './tell-parts';

/** From which lot, with which setting, and whether a test cut came out clean before. */
function tellCuts(shop: ShopContext, { parts }: ReadOrder): ReadonlyMap<number, string> {
  const events = parts.flatMap((part) => part.events.filter(({ kind }) => kind === 'cut'));
  const ids = [...new Set(events.flatMap(({ sessionId }) => sessionId ?? []))];
  const cuts = ids.length > 0 ? loadCutsBooked(shop.db, ids) : [];
  const lotsOf = (id: number) => [
    ...new Set(events.flatMap(({ sessionId, lotId }) => (sessionId === id && lotId) || [])),
  ];
  const hands = readHandCuts(shop.db, ids).map(({ sessionId, setting }) => ({
    sessionId,
    setting,
    lotIds: lotsOf(sessionId),
    told: ', without a saved load',
  }));
  const loads = cuts.map(({ bookedSessionId, setting, lotId, tests }) => ({
    sessionId: bookedSessionId!,
    setting,
    lotIds: [lotId],
    told: tests.at(-1)?.result === 'clean' ? ', tested clean' : '',
  }));
  const all = [...hands, ...loads];
  const codes = new Map(
    loadLots(shop.db, [...new Set(all.flatMap(({ lotIds }) => lotIds))]).map((lot) => [lot.id, lot.code]),
  );
  const nameLot = (id: number) => (codes.get(id) ? `offcut ${codes.get(id)}` : `lot ${id}`);
  return new Map(
    all.map(({ sessionId, setting, lotIds, told }) => {
      const from = lotIds.map(nameLot).join(' and ') || 'what is not in the stock';
      return [sessionId, `${from} with ${describeSetting(setting)}${told}`];
    }),
  );
}

/** Temperature as it was read, seconds and peel of each vinyl, by the work that did it. */
function tellPresses(shop: ShopContext, { parts }: ReadOrder): ReadonlyMap<number, string> {
  const ids = parts.flatMap(({ events }) =>
    events.flatMap(({ kind, sessionId }) => (kind === 'pressed' && sessionId) || []),
  );
  const settings = getSettings(shop);
  return new Map(
    [...loadPressed(shop.db, [...new Set(ids)])].map(([id, presses]) => [
      id,
      presses.map((press) => describePresses(press, settings)).join('; '),
    ]),
  );
}

export function tellStory(shop: ShopContext, entry: ReadOrder): OrderView['events'] {
  const { order, parts } = entry;
  const ways = { cut: tellCuts(shop, entry), pressed: tellPresses(shop, entry) };
  const undone = new Set(order.events.map((event) => event.undoes));
  return [
    ...order.events.map((event) => ({
      kind: event.kind,
      atMs: event.atMs,
      text: `${describeEvent(event)}${event.detail ? `: ${event.detail}` : ''}${undone.has(event.id) ? ' (taken back)' : ''}`,
    })),
    ...summarisePartEvents(parts, ways),
  ]
    .reverse()
    .sort((a, b) => b.atMs - a.atMs);
}
