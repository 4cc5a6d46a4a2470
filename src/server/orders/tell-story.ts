// What happened to an order, the latest first: its steps, and how its parts were cut and pressed.

import type { CutSetting } from '../../core/cutting';
import { groupBy } from '../../core/units';
import { readHandCuts, type StoredHandCut } from '../../data/hand-cut-store';
import { loadCutsBooked } from '../../data/sheet-cut-store';
import { loadLots } from '../../data/stock-store';
import { loadPressed } from '../../data/work-store';
import type { OrderView } from '../../views/orders';
import { describeSetting } from '../../wording/cutting';
import { describePresses } from '../../wording/press-steps';
import { describeEvent } from '../../wording/orders';
import { getSettings, type ShopContext } from '../context';
import type { ReadOrder, ReadPart } from './read-orders';
import { summarisePartEvents } from './tell-parts';

type ToldCut = {
  readonly sessionId: number;
  readonly setting: CutSetting;
  readonly lotIds: readonly number[];
  readonly told: string;
};

/** By the work that did it: from which lots, with which setting, and whether a test cut came out clean before. */
function tellCuts(shop: ShopContext, { parts }: ReadOrder): ReadonlyMap<number, string> {
  const cuts = [...listHandCuts(shop, parts), ...listLoadCuts(shop, parts)];
  const lots = loadLots(shop.db, [...new Set(cuts.flatMap(({ lotIds }) => lotIds))]);
  const codes = new Map(lots.map((lot) => [lot.id, lot.code]));
  const nameLot = (id: number) => (codes.get(id) ? `offcut ${codes.get(id)}` : `lot ${id}`);
  const tell = ({ lotIds, setting, told }: ToldCut): string =>
    `${lotIds.map(nameLot).join(' and ') || 'what is not in the stock'} with ${describeSetting(setting)}${told}`;
  return new Map(
    [...groupBy(cuts, ({ sessionId }) => sessionId)].map(([id, own]) => [id, [...new Set(own.map(tell))].join('; ')]),
  );
}

const listCutSessions = (parts: readonly ReadPart[]): readonly number[] => [
  ...new Set(
    parts.flatMap(({ events }) => events.flatMap(({ kind, sessionId }) => (kind === 'cut' && sessionId) || [])),
  ),
];

/** Without a saved load: each vinyl of the work has a setting, and the lots that its parts of this order came from. */
function listHandCuts({ db }: ShopContext, parts: readonly ReadPart[]): readonly ToldCut[] {
  const lotsOf = (session: number, vinylId: number): readonly number[] => [
    ...new Set(
      parts
        .filter((part) => part.vinylId === vinylId)
        .flatMap(({ events }) =>
          events.flatMap(({ kind, sessionId, lotId }) => (kind === 'cut' && sessionId === session && lotId) || []),
        ),
    ),
  ];
  const isOfOrder = ({ sessionId, vinylId }: StoredHandCut): boolean =>
    parts.some(
      (part) =>
        part.vinylId === vinylId && part.events.some((event) => event.kind === 'cut' && event.sessionId === sessionId),
    );
  return readHandCuts(db, listCutSessions(parts))
    .filter(isOfOrder)
    .map(({ sessionId, vinylId, setting }) => ({
      sessionId,
      setting,
      lotIds: lotsOf(sessionId, vinylId),
      told: ', without a saved load',
    }));
}

function listLoadCuts({ db }: ShopContext, parts: readonly ReadPart[]): readonly ToldCut[] {
  const ids = listCutSessions(parts);
  const cuts = ids.length > 0 ? loadCutsBooked(db, ids) : [];
  return cuts.map(({ bookedSessionId, setting, lotId, tests }) => ({
    sessionId: bookedSessionId!,
    setting,
    lotIds: [lotId],
    told: tests.at(-1)?.result === 'clean' ? ', tested clean' : '',
  }));
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
