// Suppliers, found by id and by name, archived rather than deleted.

import type { Supplier } from '../core/buying';
import { suppliers } from './schema';
import type { Database } from './database';
import { isNull, asc, eq, and, sql } from 'drizzle-orm';

export type SupplierFields = Omit<Supplier, 'id'> & { readonly email: string; readonly listFile: string | null };

export type StoredSupplier = Supplier & SupplierFields & { readonly version: number; readonly archived: boolean };

const toSupplier = ({ archivedAtMs, ...fields }: typeof suppliers.$inferSelect): StoredSupplier => ({
  ...fields,
  archived: archivedAtMs !== null,
});

export const loadSuppliers = (db: Database): readonly StoredSupplier[] =>
  db.select().from(suppliers).where(isNull(suppliers.archivedAtMs)).orderBy(asc(suppliers.name)).all().map(toSupplier);

export function findSupplier(db: Database, id: number): StoredSupplier | null {
  const row = db.select().from(suppliers).where(eq(suppliers.id, id)).get();
  return row ? toSupplier(row) : null;
}

export const isSupplierNamed = (db: Database, name: string, exceptId: number): boolean =>
  db
    .select({ id: suppliers.id })
    .from(suppliers)
    .where(and(eq(suppliers.name, name), sql`${suppliers.id} <> ${exceptId}`))
    .get() !== undefined;

export const insertSupplier = (db: Database, fields: SupplierFields): number =>
  db.insert(suppliers).values(fields).returning({ id: suppliers.id }).get().id;

/** False when it was changed since `version` was read. */
export const updateSupplier = (
  db: Database,
  id: number,
  fields: Omit<SupplierFields, 'listFile'>,
  version: number,
): boolean =>
  db
    .update(suppliers)
    .set({ ...fields, version: sql`${suppliers.version} + 1` })
    .where(and(eq(suppliers.id, id), eq(suppliers.version, version)))
    .run().changes === 1;

export const setSupplierArchived = (db: Database, id: number, atMs: number | null): boolean =>
  db.update(suppliers).set({ archivedAtMs: atMs }).where(eq(suppliers.id, id)).run().changes === 1;
