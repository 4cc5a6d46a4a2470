// How close the true shapes of layers lie.

import { inArray } from 'drizzle-orm';
import type { StoredPacking } from '../core/costing';
import type { Database } from './database';
import { layerPackings } from './schema';

export const loadPackings = (db: Database, artworkIds: readonly number[]): readonly StoredPacking[] =>
  artworkIds.length === 0
    ? []
    : db
        .select()
        .from(layerPackings)
        .where(inArray(layerPackings.artworkId, [...artworkIds]))
        .all();

/** In place of what was kept of that layer at that width and roll. */
export function savePacking(db: Database, packing: StoredPacking): void {
  const { copies, share, artworkVersion } = packing;
  db.insert(layerPackings)
    .values(packing)
    .onConflictDoUpdate({
      target: [
        layerPackings.artworkId,
        layerPackings.layerIndex,
        layerPackings.widthMm,
        layerPackings.usableMm,
        layerPackings.turnable,
      ],
      set: { copies, share, artworkVersion },
    })
    .run();
}
