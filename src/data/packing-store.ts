// How close the true shapes of layers lie.

import { and, eq, ne } from 'drizzle-orm';
import type { StoredPacking } from '../core/costing';
import type { Database } from './database';
import { isInThose, those } from './is-in';
import { prepareOnce } from './prepared';
import { layerPackings } from './schema';

export const loadPackings = (db: Database, artworkIds: readonly number[]): readonly StoredPacking[] =>
  artworkIds.length === 0
    ? []
    : prepareOnce(db, 'packings', () =>
        db.select().from(layerPackings).where(isInThose(layerPackings.artworkId)).prepare(),
      ).all(those(artworkIds));

/**
 * In place of what was stored of that layer at that width, roll and number. Layouts of older versions of its drawing are
 * of no use any more.
 */
export function savePacking(db: Database, packing: StoredPacking): void {
  const { share, artworkId, artworkVersion } = packing;
  db.delete(layerPackings)
    .where(and(eq(layerPackings.artworkId, artworkId), ne(layerPackings.artworkVersion, artworkVersion)))
    .run();
  db.insert(layerPackings)
    .values(packing)
    .onConflictDoUpdate({
      target: [
        layerPackings.artworkId,
        layerPackings.layerIndex,
        layerPackings.widthMm,
        layerPackings.usableMm,
        layerPackings.turnable,
        layerPackings.copies,
      ],
      set: { share, artworkVersion },
    })
    .run();
}
