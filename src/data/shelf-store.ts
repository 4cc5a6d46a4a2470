// Vinyls and blanks.

import { and, asc, eq, getTableName, isNull, sql } from 'drizzle-orm';
import {
  getOrdinaryDetails,
  type Blank,
  type BlankColour,
  type BlankSize,
  type Vinyl,
  type VinylDetails,
} from '../core/materials';
import { groupBy } from '../core/units';
import type { Database } from './database';
import { isInThose, those } from './is-in';
import { insertRow, prepareOnce } from './prepared';
import { blankColours, blanks, blankSizes, hasOwnPress, supplies, vinyls } from './schema';

type Stored = { readonly supplier: string; readonly version: number; readonly archived: boolean };
export type StoredVinyl = Vinyl & Stored;
export type StoredBlank = Blank & Stored;
export type VinylFields = Omit<Vinyl, 'id'> & { readonly supplier: string };
export type BlankFields = Omit<Blank, 'id'> & { readonly supplier: string };
type Which = { readonly archived?: boolean };

function toVinyl(row: typeof vinyls.$inferSelect): StoredVinyl {
  const { pressLowC, pressHighC, pressSeconds, pressPressure, pressPeel, archivedAtMs, ...fields } = row;
  const press =
    pressLowC === null
      ? null
      : { lowC: pressLowC, highC: pressHighC!, seconds: pressSeconds!, pressure: pressPressure!, peel: pressPeel! };
  return {
    ...fields,
    press,
    details: { ...getOrdinaryDetails(row.kind), ...row.details },
    archived: archivedAtMs !== null,
  };
}

function toVinylRow({
  press,
  details,
  name,
  kind,
  supplier,
  colourName,
  colourHex,
  rollWidthMm,
  rollLengthMm,
  rollPrice,
  weedingFactor,
}: VinylFields) {
  return {
    name,
    kind,
    supplier,
    colourName,
    colourHex,
    rollWidthMm,
    rollLengthMm,
    rollPrice,
    weedingFactor,
    details,
    pressLowC: press?.lowC ?? null,
    pressHighC: press?.highC ?? null,
    pressSeconds: press?.seconds ?? null,
    pressPressure: press?.pressure ?? null,
    pressPeel: press?.peel ?? null,
  };
}

/** Vinyls by name; those taken off the shelf only when asked for. */
export function loadVinyls(db: Database, { archived = false }: Which = {}): readonly StoredVinyl[] {
  return db
    .select()
    .from(vinyls)
    .where(archived ? undefined : isNull(vinyls.archivedAtMs))
    .orderBy(asc(vinyls.name), asc(vinyls.id))
    .all()
    .map(toVinyl);
}

/** The first on the list, by name. */
export const listFirstVinyls = (db: Database, limit: number): readonly StoredVinyl[] =>
  db
    .select()
    .from(vinyls)
    .where(isNull(vinyls.archivedAtMs))
    .orderBy(asc(vinyls.name), asc(vinyls.id))
    .limit(limit)
    .all()
    .map(toVinyl);

/** By name, what the nearest to a colour is chosen by. */
export const loadVinylColours = (db: Database): readonly Pick<StoredVinyl, 'id' | 'kind' | 'colourHex'>[] =>
  db
    .select({ id: vinyls.id, kind: vinyls.kind, colourHex: vinyls.colourHex })
    .from(vinyls)
    .where(isNull(vinyls.archivedAtMs))
    .orderBy(asc(vinyls.name), asc(vinyls.id))
    .all();

export function findVinyl(db: Database, id: number): StoredVinyl | null {
  const row = prepareOnce(db, 'a vinyl', () =>
    db
      .select()
      .from(vinyls)
      .where(eq(vinyls.id, sql.placeholder('id')))
      .prepare(),
  ).get({ id });
  return row ? toVinyl(row) : null;
}

/** Those of these ids, archived ones too. */
export const findVinyls = (db: Database, ids: readonly number[]): readonly StoredVinyl[] =>
  prepareOnce(db, 'vinyls', () => db.select().from(vinyls).where(isInThose(vinyls.id)).prepare())
    .all(those(ids))
    .map(toVinyl);

export type NamedVinyl = Pick<StoredVinyl, 'id' | 'name' | 'colourHex' | 'kind'>;

/** No more of them than lists of many orders show. */
export const nameVinyls = (db: Database, ids: readonly number[]): readonly NamedVinyl[] =>
  prepareOnce(db, 'names of vinyls', () =>
    db
      .select({ id: vinyls.id, name: vinyls.name, colourHex: vinyls.colourHex, kind: vinyls.kind })
      .from(vinyls)
      .where(isInThose(vinyls.id))
      .prepare(),
  ).all(those(ids));

/** Those that the shop presses its own way on some fabric, by name. */
export const listVinylsWithOwnPress = (db: Database): readonly StoredVinyl[] =>
  db
    .select()
    .from(vinyls)
    .where(and(hasOwnPress, isNull(vinyls.archivedAtMs)))
    .orderBy(asc(vinyls.name))
    .all()
    .map(toVinyl);

export function insertVinyl(db: Database, fields: VinylFields): number {
  return insertRow(db, vinyls, toVinylRow(fields));
}

/** False when it was changed since `version` was read. */
export function updateVinyl(db: Database, id: number, fields: VinylFields, version: number): boolean {
  return (
    db
      .update(vinyls)
      .set({ ...toVinylRow(fields), version: sql`${vinyls.version} + 1` })
      .where(and(eq(vinyls.id, id), eq(vinyls.version, version)))
      .run().changes === 1
  );
}

/** It is taken from the log, or put back: whoever has the vinyl open is told that it was changed. */
export const setWeedingFactor = (db: Database, id: number, weedingFactor: number): void =>
  void db
    .update(vinyls)
    .set({ weedingFactor, version: sql`${vinyls.version} + 1` })
    .where(eq(vinyls.id, id))
    .run();

/** What it holds, mm; null: what its kind ordinarily holds. */
export function setDetailFloor(db: Database, id: number, floor: Pick<VinylDetails, 'strokeMm' | 'gapMm'>): boolean {
  const vinyl = findVinyl(db, id);
  if (!vinyl) return false;
  const change = { details: { ...vinyl.details, ...floor }, version: vinyl.version + 1 };
  return db.update(vinyls).set(change).where(eq(vinyls.id, id)).run().changes === 1;
}

export function setVinylArchived(db: Database, id: number, atMs: number | null): boolean {
  return db.update(vinyls).set({ archivedAtMs: atMs }).where(eq(vinyls.id, id)).run().changes === 1;
}

function assembleBlanks(db: Database, rows: readonly (typeof blanks.$inferSelect)[]): readonly StoredBlank[] {
  const ids = those(rows.map((row) => row.id));
  const sizesOf = prepareOnce(db, 'sizes of blanks', () =>
    db.select().from(blankSizes).where(isInThose(blankSizes.blankId)).orderBy(asc(blankSizes.position)).prepare(),
  );
  const coloursOf = prepareOnce(db, 'colours of blanks', () =>
    db.select().from(blankColours).where(isInThose(blankColours.blankId)).orderBy(asc(blankColours.position)).prepare(),
  );
  const sizes = groupBy(sizesOf.all(ids), (row) => row.blankId);
  const colours = groupBy(coloursOf.all(ids), (row) => row.blankId);
  return rows.map(({ archivedAtMs, ...fields }) => ({
    ...fields,
    archived: archivedAtMs !== null,
    sizes: (sizes.get(fields.id) ?? []).map(({ blankId: _blankId, position: _position, ...size }): BlankSize => size),
    colours: (colours.get(fields.id) ?? []).map(({ name, hex }): BlankColour => ({ name, hex })),
  }));
}

export function loadBlanks(db: Database, { archived = false }: Which = {}): readonly StoredBlank[] {
  return assembleBlanks(
    db,
    db
      .select()
      .from(blanks)
      .where(archived ? undefined : isNull(blanks.archivedAtMs))
      .orderBy(asc(blanks.name), asc(blanks.id))
      .all(),
  );
}

/** Those of these ids, archived ones too. */
export const findBlanks = (db: Database, ids: readonly number[]): readonly StoredBlank[] =>
  assembleBlanks(
    db,
    prepareOnce(db, 'blanks', () => db.select().from(blanks).where(isInThose(blanks.id)).prepare()).all(those(ids)),
  );
export const findBlank = (db: Database, id: number): StoredBlank | null => findBlanks(db, [id])[0] ?? null;

function writeSizesAndColours(db: Database, blankId: number, { sizes, colours }: BlankFields): void {
  db.insert(blankSizes)
    .values(
      sizes.map(({ name, price, widthMm, lengthMm }, position) => ({
        blankId,
        position,
        name,
        price,
        widthMm,
        lengthMm,
      })),
    )
    .run();
  db.insert(blankColours)
    .values(colours.map(({ name, hex }, position) => ({ blankId, position, name, hex })))
    .run();
}

/** Several statements: call it inside a transaction. */
export function insertBlank(db: Database, fields: BlankFields): number {
  const { name, supplier, fabric, heating, areas, shape } = fields;
  const { id } = db
    .insert(blanks)
    .values({ name, supplier, fabric, heating, areas, shape })
    .returning({ id: blanks.id })
    .get();
  writeSizesAndColours(db, id, fields);
  return id;
}

/** False when it was changed since `version` was read. Several statements: call it inside a transaction. */
export function updateBlank(db: Database, id: number, fields: BlankFields, version: number): boolean {
  const { name, supplier, fabric, heating, areas, shape } = fields;
  const { changes } = db
    .update(blanks)
    .set({ name, supplier, fabric, heating, areas, shape: shape ?? null, version: sql`${blanks.version} + 1` })
    .where(and(eq(blanks.id, id), eq(blanks.version, version)))
    .run();
  if (changes === 0) return false;
  db.delete(blankSizes).where(eq(blankSizes.blankId, id)).run();
  db.delete(blankColours).where(eq(blankColours.blankId, id)).run();
  writeSizesAndColours(db, id, fields);
  return true;
}

export function setBlankArchived(db: Database, id: number, atMs: number | null): boolean {
  return db.update(blanks).set({ archivedAtMs: atMs }).where(eq(blanks.id, id)).run().changes === 1;
}

/** Changes whenever a vinyl, blank or supply does. */
export function readShelfStamp(db: Database): readonly unknown[] {
  return [vinyls, blanks, supplies].map((table) =>
    Object.values(
      prepareOnce(db, `stamp of ${getTableName(table)}`, () =>
        db
          .select({
            count: sql`count(*)`,
            changes: sql`sum(${table.version})`,
            kept: sql`sum(${table.archivedAtMs} is null)`,
          })
          .from(table)
          .prepare(),
      ).get() ?? {},
    ),
  );
}
