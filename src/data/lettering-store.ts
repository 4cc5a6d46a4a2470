// Texts that were set, by what they say and how they look: each is an artwork that no list shows.

import type { LetteringFit } from '../core/artwork';
import { insertArtwork, type ArtworkFields } from './artwork-store';
import { inTransaction, type Database } from './database';
import { isIn } from './is-in';
import { letterings } from './schema';

export type KeptLettering = { readonly key: string; readonly artworkId: number; readonly fit: LetteringFit };

/** By key; those that were never set are left out. */
export const findLetterings = (db: Database, keys: readonly string[]): ReadonlyMap<string, KeptLettering> =>
  new Map(
    db
      .select()
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
      db.insert(letterings).values({ key, artworkId, fit }).onConflictDoNothing().run();
    }
  });
}
