// What happened to the parts of an order, told together where it happened together.

import { groupBy } from '../../core/units/index';
import type { OrderView } from '../../views/orders';
import { CAUSE_NAMES, STATE_NAMES } from '../../wording/stations';
import type { ReadPart } from './read-orders';

/** `tellCut`: from what and how it was cut, by the work that did it; null where nobody knows. */
export function summarisePartEvents(
  parts: readonly ReadPart[],
  tellCut: ReadonlyMap<number, string> = new Map(),
): OrderView['events'] {
  const events = parts.flatMap((part) => part.events.map((event) => ({ ...event, pieceNumber: part.pieceNumber })));
  return [...groupBy(events, (event) => `${event.kind}/${event.atMs}/${event.cause}`).values()].map((together) => {
    const { kind, atMs, cause, recut } = together[0]!;
    const ways = new Set(together.flatMap(({ sessionId }) => tellCut.get(sessionId ?? 0) ?? []));
    const numbers = [...new Set(together.map((event) => event.pieceNumber))];
    const which = numbers.length > 4 ? `${numbers.length} pieces` : `piece ${numbers.join(', ')}`;
    const text =
      kind === 'spoiled'
        ? `Spoiled: ${which}, ${cause ? CAUSE_NAMES[cause] : ''}${recut ? `, ${recut.bits.length} of ${recut.of} bits` : ''}${together.some((event) => event.blankLost) ? ', blank lost' : ''}`
        : kind === 'undone'
          ? `Taken back: ${which}`
          : `${which} ${STATE_NAMES[kind]}${kind === 'cut' && ways.size > 0 ? ` from ${[...ways].join('; ')}` : ''}`;
    return { kind, atMs, text };
  });
}
