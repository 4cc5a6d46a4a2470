// Texts that were set, by what they say and how they look: each is an artwork that no list shows. What was only tried is
// let go after a while.

import { and, eq, lt, notInArray } from 'drizzle-orm';
import type { LetteringFit } from '../core/artwork';
import { insertArtwork, type ArtworkFields } from './artwork-store';
import { inTransaction, type Database } from './database';
import { isIn } from './is-in';
import { artworks, itemPlacements, layerPackings, letterings } from './schema';

export type KeptLettering = { readonly key: string; readonly artworkId: number; readonly fit: LetteringFit };

/** By key; those that were never set are left out. */
export const findLetterings = (db: Database, keys: readonly string[]): ReadonlyMap<string, KeptLettering> =>
  new Map(
    db
      .select({ key: letterings.key, artworkId: letterings.artworkId, fit: letterings.fit })
      .from(letterings)
      .where(isIn(letterings.key, keys))
      .all()
      .map((row) => [row.key, row]),
  );

/** Keeps what was set; one that was kept meanwhile stays as it is. */
export function insertLetterings(
  db: Database,
  set: readonly { readonly key: string; readonly fit: LetteringFit; readonly artwork: ArtworkFields }[],
): void {
  inTransaction(db, () => {
    const known = findLetterings(
      db,
      set.map(({ key }) => key),
    );
    for (const { key, fit, artwork } of set) {
      if (known.has(key)) continue;
      const artworkId = insertArtwork(db, { ...artwork, lettered: true });
      db.insert(letterings).values({ key, artworkId, fit, setAtMs: artwork.createdAtMs }).run();
    }
  });
}

/** Something rests on these artworks now; those that are no texts are passed over. */
export function markLetteringsUsed(db: Database, artworkIds: readonly number[]): void {
  if (artworkIds.length === 0) return;
  db.update(letterings)
    .set({ used: true })
    .where(and(isIn(letterings.artworkId, artworkIds), eq(letterings.used, false)))
    .run();
}

/** Lets texts go that were only tried, before that time; never one that an item is made of. */
export function deleteTriedLetterings(db: Database, beforeMs: number): void {
  const ofItems = db.select({ id: itemPlacements.artworkId }).from(itemPlacements);
  const packed = db.select({ id: layerPackings.artworkId }).from(layerPackings);
  inTransaction(db, () => {
    const tried = db
      .delete(letterings)
      .where(
        and(
          eq(letterings.used, false),
          lt(letterings.setAtMs, beforeMs),
          notInArray(letterings.artworkId, ofItems),
          notInArray(letterings.artworkId, packed),
        ),
      )
      .returning({ artworkId: letterings.artworkId })
      .all();
    if (tried.length > 0)
      db.delete(artworks)
        .where(
          isIn(
            artworks.id,
            tried.map(({ artworkId }) => artworkId),
          ),
        )
        .run();
  });
}
