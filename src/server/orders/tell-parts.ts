// What happened to the parts of an order, told together where it happened together.

import { groupBy } from '../../core/units/index';
import type { OrderView } from '../../views/orders';
import { CAUSE_NAMES, STATE_NAMES } from '../../wording/stations';
import type { ReadPart } from './read-orders';

/** `ways`: how it was cut and pressed, by the work that did it; nothing where nobody knows. */
export function summarisePartEvents(
  parts: readonly ReadPart[],
  ways: Partial<Readonly<Record<'cut' | 'pressed', ReadonlyMap<number, string>>>> = {},
): OrderView['events'] {
  const events = parts.flatMap((part) => part.events.map((event) => ({ ...event, pieceNumber: part.pieceNumber })));
  return [...groupBy(events, (event) => `${event.kind}/${event.atMs}/${event.cause}`).values()].map((together) => {
    const { kind, atMs, cause, recut } = together[0]!;
    const own = kind === 'cut' || kind === 'pressed' ? ways[kind] : undefined;
    const how = [...new Set(together.flatMap(({ sessionId }) => own?.get(sessionId ?? 0) ?? []))].join('; ');
    const numbers = [...new Set(together.map((event) => event.pieceNumber))];
    const which = numbers.length > 4 ? `${numbers.length} pieces` : `piece ${numbers.join(', ')}`;
    const text =
      kind === 'spoiled'
        ? `Spoiled: ${which}, ${cause ? CAUSE_NAMES[cause] : ''}${recut ? `, ${recut.bits.length} of ${recut.of} bits` : ''}${together.some((event) => event.blankLost) ? ', blank lost' : ''}`
        : kind === 'undone'
          ? `Taken back: ${which}`
          : `${which} ${STATE_NAMES[kind]}${how ? ` ${kind === 'cut' ? 'from' : 'with'} ${how}` : ''}`;
    return { kind, atMs, text };
  });
}
