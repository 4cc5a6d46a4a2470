// Customers by name.

import type { Database } from './database';
import { customers } from './schema';
import { asc, eq } from 'drizzle-orm';

export type StoredCustomer = { readonly id: number; readonly name: string; readonly contact: string };

export function loadCustomers(db: Database): readonly StoredCustomer[] {
  return db.select().from(customers).orderBy(asc(customers.name)).all();
}

/** The id of the customer of that name, added when new; a contact that is given replaces the old one. */
export function ensureCustomer(db: Database, name: string, contact: string): number {
  const known = db.select().from(customers).where(eq(customers.name, name)).get();
  if (!known) return db.insert(customers).values({ name, contact }).returning({ id: customers.id }).get().id;
  if (contact !== '' && contact !== known.contact)
    db.update(customers).set({ contact }).where(eq(customers.id, known.id)).run();
  return known.id;
}
