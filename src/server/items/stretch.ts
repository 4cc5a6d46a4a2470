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
  const others = loadSessionsOnParts(shop.db, partIds).filter(
    (other) => other.station === station && other.id !== work.id && other.outcome !== 'discarded',
  );
  return others.length === 0 && stopMs > work.startedAtMs;
}
