// Items: a blank, one placement of an artwork, a vinyl for each of its layers.

import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { AreaBasis } from '../core/costing';
import { groupBy, type Minor } from '../core/units';
import type { Database } from './database';
import { items, itemVinyls } from './schema';

export type ItemFields = {
  readonly name: string; readonly blankId: number; readonly sizeName: string; readonly colourName: string; readonly artworkId: number; readonly placement: string; readonly widthMm: number;
  readonly seenThrough: boolean; readonly areaBasis: AreaBasis; readonly quantity: number; readonly price: Minor; readonly artworkPrice: Minor; readonly artworkRun: number;
  /** One for each layer of the artwork, in its order. */
  readonly vinylIds: readonly number[];
};
export type StoredItem = ItemFields & { readonly id: number; readonly version: number; readonly archived: boolean };

function assembleItems(db: Database, rows: readonly (typeof items.$inferSelect)[]): readonly StoredItem[] {
  const vinyls = groupBy(db.select().from(itemVinyls).where(inArray(itemVinyls.itemId, rows.map((row) => row.id))).orderBy(asc(itemVinyls.layerIndex)).all(), (row) => row.itemId);
  return rows.map(({ archivedAtMs, ...fields }) => ({ ...fields, archived: archivedAtMs !== null, vinylIds: (vinyls.get(fields.id) ?? []).map((row) => row.vinylId) }));
}

export function loadItems(db: Database): readonly StoredItem[] {
  return assembleItems(db, db.select().from(items).where(isNull(items.archivedAtMs)).orderBy(asc(items.name), asc(items.id)).all());
}

/** Items by id, also those taken off the list. */
export function findItems(db: Database, ids: readonly number[]): readonly StoredItem[] {
  return assembleItems(db, db.select().from(items).where(inArray(items.id, [...ids])).all());
}

export const findItem = (db: Database, id: number): StoredItem | null => findItems(db, [id])[0] ?? null;

const writeVinyls = (db: Database, itemId: number, vinylIds: readonly number[]): void => void db.insert(itemVinyls).values(vinylIds.map((vinylId, layerIndex) => ({ itemId, layerIndex, vinylId }))).run();

/** Several statements: call it inside a transaction. */
export function insertItem(db: Database, { vinylIds, ...fields }: ItemFields): number {
  const { id } = db.insert(items).values(fields).returning({ id: items.id }).get();
  writeVinyls(db, id, vinylIds);
  return id;
}

/** False when it was changed since `version` was read. Several statements: call it inside a transaction. */
export function updateItem(db: Database, id: number, { vinylIds, ...fields }: ItemFields, version: number): boolean {
  const { changes } = db.update(items).set({ ...fields, version: sql`${items.version} + 1` }).where(and(eq(items.id, id), eq(items.version, version))).run();
  if (changes === 0) return false;
  db.delete(itemVinyls).where(eq(itemVinyls.itemId, id)).run();
  writeVinyls(db, id, vinylIds);
  return true;
}

export function setItemArchived(db: Database, id: number, atMs: number | null): boolean {
  return db.update(items).set({ archivedAtMs: atMs }).where(eq(items.id, id)).run().changes === 1;
}

/** How many layers the items on the list take an artwork to have; null where none uses it. */
export function countLayersInUse(db: Database, artworkId: number): number | null {
  const row = db.select({ id: items.id }).from(items).where(and(eq(items.artworkId, artworkId), isNull(items.archivedAtMs))).limit(1).get();
  return row ? db.select().from(itemVinyls).where(eq(itemVinyls.itemId, row.id)).all().length : null;
}
