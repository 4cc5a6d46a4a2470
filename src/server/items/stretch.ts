// A stretch of work that ended just now, where it says what the whole of its work takes.

import type { Station } from '../../core/orders/index';
import { loadSessionsOnParts, type StoredSession } from '../../data/work-store';
import type { ShopContext } from '../context';
import type { ReadOrder } from '../orders/read-orders';

export type Stretch = {
  readonly work: Pick<StoredSession, 'id' | 'startedAtMs'>;
  readonly stopMs: number;
  readonly orders: readonly ReadOrder[];
  /** Worked on in it. */
  readonly partIds: readonly number[];
};

/** Work that was paused is of several stretches, none of which says what the whole takes. */
export function isInOneGo(shop: ShopContext, station: Station, { work, stopMs, partIds }: Stretch): boolean {
  const works = loadSessionsOnParts(shop.db, partIds).filter((other) => other.station === station);
  return stopMs > work.startedAtMs && !isResumed(works, { id: work.id, partIds });
}

type Other = Pick<StoredSession, 'id' | 'outcome'> & { readonly parts: readonly { readonly partId: number }[] };

/**
 * Of any of its parts the last that was done there before was paused. `works`: of that station, in any order. What was
 * made again after it was spoiled was done in one go each time.
 */
export function isResumed(
  works: readonly Other[],
  { id, partIds }: { readonly id: number; readonly partIds: readonly number[] },
): boolean {
  const before = works.filter((other) => other.id < id && other.outcome !== 'discarded').sort((a, b) => b.id - a.id);
  return partIds.some(
    (own) => before.find(({ parts }) => parts.some(({ partId }) => partId === own))?.outcome === 'paused',
  );
}
