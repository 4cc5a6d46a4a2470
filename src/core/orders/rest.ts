// What still cures or rests after it was pressed or stuck on, to be told when it is handed over.

import { MS_PER_S } from '../units';

/** An adhesive decal grips fully after a day; a press-on is not washed before. */
type RestKind = 'cure' | 'rest';
export type RestingPart = { readonly kind: RestKind; readonly doneAtMs: number };
export type Rest = { readonly kind: RestKind; readonly untilMs: number };

const REST_HOURS = 24;
const REST_MS = REST_HOURS * 3600 * MS_PER_S;

/** Until when, the last of each kind; nothing of what is over by now. Instants are epoch ms. */
export function findRests(parts: readonly RestingPart[], nowMs: number): readonly Rest[] {
  return (['cure', 'rest'] as const).flatMap((kind): readonly Rest[] => {
    const untilMs = Math.max(...parts.filter((part) => part.kind === kind).map((part) => part.doneAtMs + REST_MS));
    return untilMs > nowMs ? [{ kind, untilMs }] : [];
  });
}
