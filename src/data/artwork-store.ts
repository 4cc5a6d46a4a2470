// Artworks with their measurements, and the files they came from.

import { and, asc, eq, lt, sql } from 'drizzle-orm';
import {
  type ArtworkMeasurement,
  type ArtworkPicture,
  type KeptChecks,
  type LeftOut,
  type Licence,
  type PrepStep,
} from '../core/artwork';
import { isListed } from './find-named';
import type { Database } from './database';
import { isIn, isInThose, those } from './is-in';
import { prepareOnce } from './prepared';
import { artworkOriginals, artworks } from './schema';

/** What measuring a file gives. */
type MeasuredFields = {
  readonly measurement: ArtworkMeasurement;
  readonly picture: ArtworkPicture;
  readonly leftOut: readonly LeftOut[];
  readonly gradients: number;
  readonly sizeStated: boolean;
};
/** Measured, and said what there is to say of it; null where that would take long. */
export type CheckedFile = MeasuredFields & { readonly checks: KeptChecks | null };
type ChangeableFields = MeasuredFields & {
  readonly name: string;
  readonly layerNames: readonly string[];
  readonly layerVinylIds: readonly (number | null)[];
  readonly steps: readonly PrepStep[];
  readonly licence: Licence;
};
type WithChecks = { readonly checks?: KeptChecks | null };
export type ArtworkFields = ChangeableFields &
  WithChecks & {
    readonly fileName: string;
    readonly original: Buffer;
    readonly createdAtMs: number;
    /** A customer's own text as it was set: on no list. Left out for a drawing. */
    readonly lettered?: boolean;
  };
export type StoredArtwork = ChangeableFields & {
  readonly id: number;
  readonly fileName: string;
  readonly originalBytes: number;
  readonly createdAtMs: number;
  readonly archived: boolean;
  readonly lettered: boolean;
  readonly version: number;
};

function toArtwork({ archivedAtMs, checks: _checks, ...fields }: typeof artworks.$inferSelect): StoredArtwork {
  return { ...fields, archived: archivedAtMs !== null };
}

export function loadArtworks(db: Database): readonly StoredArtwork[] {
  return db
    .select()
    .from(artworks)
    .where(isListed('artwork', ''))
    .orderBy(asc(artworks.name), asc(artworks.id))
    .all()
    .map(toArtwork);
}

export function findArtworks(db: Database, ids: readonly number[]): readonly StoredArtwork[] {
  return db.select().from(artworks).where(isIn(artworks.id, ids)).all().map(toArtwork);
}

/** What items are made from: without the picture, which is most of an artwork. */
export type MadeFrom = Pick<StoredArtwork, 'id' | 'name' | 'measurement' | 'layerNames' | 'steps' | 'version'>;

export const findMadeFrom = (db: Database, ids: readonly number[]): readonly MadeFrom[] =>
  prepareOnce(db, 'made from', () =>
    db
      .select({
        id: artworks.id,
        name: artworks.name,
        measurement: artworks.measurement,
        layerNames: artworks.layerNames,
        steps: artworks.steps,
        version: artworks.version,
      })
      .from(artworks)
      .where(isInThose(artworks.id))
      .prepare(),
  ).all(those(ids));

export const findArtwork = (db: Database, id: number): StoredArtwork | null => findArtworks(db, [id])[0] ?? null;

/** What was said of it when it was measured; null where that was not asked for. */
export const findChecks = (db: Database, id: number): KeptChecks | null =>
  db.select({ checks: artworks.checks }).from(artworks).where(eq(artworks.id, id)).get()?.checks ?? null;

export const findPicture = (
  db: Database,
  id: number,
): { readonly picture: ArtworkPicture; readonly version: number } | null =>
  db.select({ picture: artworks.picture, version: artworks.version }).from(artworks).where(eq(artworks.id, id)).get() ??
  null;

export const findArtworkVersions = (
  db: Database,
  ids: readonly number[],
): readonly { readonly id: number; readonly version: number }[] =>
  db.select({ id: artworks.id, version: artworks.version }).from(artworks).where(isIn(artworks.id, ids)).all();

/** What lists show of an artwork: without its picture. */
export type ListedArtwork = Pick<StoredArtwork, 'id' | 'name' | 'measurement' | 'layerNames' | 'version'>;

/** Those on the list whose name holds the words, by name, from the `offset`th on. */
export const listArtworks = (
  db: Database,
  { words, offset, limit }: { readonly words: string; readonly offset: number; readonly limit: number },
): readonly ListedArtwork[] =>
  db
    .select({
      id: artworks.id,
      name: artworks.name,
      measurement: artworks.measurement,
      layerNames: artworks.layerNames,
      version: artworks.version,
    })
    .from(artworks)
    .where(isListed('artwork', words))
    .orderBy(asc(artworks.name), asc(artworks.id))
    .limit(limit)
    .offset(offset)
    .all();

export const countArtworks = (db: Database, words: string): number =>
  db
    .select({ count: sql<number>`count(*)` })
    .from(artworks)
    .where(isListed('artwork', words))
    .get()!.count;

export function findOriginal(
  db: Database,
  id: number,
): { readonly original: Buffer; readonly fileName: string } | null {
  return (
    db
      .select({ original: artworkOriginals.original, fileName: artworks.fileName })
      .from(artworkOriginals)
      .innerJoin(artworks, eq(artworks.id, artworkOriginals.artworkId))
      .where(eq(artworkOriginals.artworkId, id))
      .get() ?? null
  );
}

/** Two statements: call it inside a transaction. */
export function insertArtwork(db: Database, { original, ...fields }: ArtworkFields): number {
  const { id } = db
    .insert(artworks)
    .values({ ...fields, originalBytes: original.length })
    .returning({ id: artworks.id })
    .get();
  db.insert(artworkOriginals).values({ artworkId: id, original }).run();
  return id;
}

/** False when it was changed since `version` was read. */
export function updateArtwork(
  db: Database,
  id: number,
  fields: ChangeableFields & WithChecks,
  version: number,
): boolean {
  return (
    db
      .update(artworks)
      .set({ ...fields, version: sql`${artworks.version} + 1` })
      .where(and(eq(artworks.id, id), eq(artworks.version, version)))
      .run().changes === 1
  );
}

export function setArtworkArchived(db: Database, id: number, atMs: number | null): boolean {
  return db.update(artworks).set({ archivedAtMs: atMs }).where(eq(artworks.id, id)).run().changes === 1;
}

/** Those that were measured in an edition before `edition`. */
export const listMeasuredBefore = (db: Database, edition: number): readonly number[] =>
  db
    .select({ id: artworks.id })
    .from(artworks)
    .where(lt(measuredIn, edition))
    .orderBy(asc(artworks.id))
    .all()
    .map(({ id }) => id);

export const isAnyMeasuredBefore = (db: Database, edition: number): boolean =>
  db.select({ id: artworks.id }).from(artworks).where(lt(measuredIn, edition)).limit(1).get() !== undefined;

const measuredIn = sql`coalesce(json_extract(${artworks.measurement}, '$.value.edition'), json_extract(${artworks.measurement}, '$.edition'), 0)`;

/** Replaces what measuring gave, unless it was changed since: nobody's entries are touched, so the version stays. */
export function replaceMeasured(
  db: Database,
  { id, version }: Pick<StoredArtwork, 'id' | 'version'>,
  { measurement, picture, leftOut, gradients, sizeStated, checks }: CheckedFile,
): void {
  db.update(artworks)
    .set({ measurement, picture, leftOut, gradients, sizeStated, checks })
    .where(and(eq(artworks.id, id), eq(artworks.version, version)))
    .run();
}
