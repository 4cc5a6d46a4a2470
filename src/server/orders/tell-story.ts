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
  const ids = parts.flatMap(({ events }) =>
    events.flatMap(({ kind, sessionId }) => (kind === 'cut' && sessionId) || []),
  );
  const cuts = ids.length > 0 ? loadCutsBooked(shop.db, [...new Set(ids)]) : [];
  const codes = new Map(
    loadLots(shop.db, [...new Set(cuts.map(({ lotId }) => lotId))]).map((lot) => [lot.id, lot.code]),
  );
  const byHand = readHandCuts(shop.db, [...new Set(ids)]).map(
    ({ sessionId, setting }) => [sessionId, `${describeSetting(setting)}, without a saved load`] as const,
  );
  return new Map([
    ...byHand,
    ...cuts.map((cut) => {
      const code = codes.get(cut.lotId);
      const tested = cut.tests.at(-1)?.result === 'clean' ? ', tested clean' : '';
      const lot = code ? `offcut ${code}` : `lot ${cut.lotId}`;
      return [cut.bookedSessionId!, `${lot} with ${describeSetting(cut.setting)}${tested}`] as const;
    }),
  ]);
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
