// Customers by name.

import type { Database } from './database';
import { customers, orders } from './schema';
import { asc, eq, sql } from 'drizzle-orm';

export type StoredCustomer = { readonly id: number; readonly name: string; readonly contact: string };

/** Customers of the newest orders, by name: those who are likely to order again. */
export function loadRecentCustomers(db: Database, newestOrders: number): readonly StoredCustomer[] {
  const isNew = sql`${orders.id} > (select max(id) from orders) - ${newestOrders}`;
  return db
    .selectDistinct({ id: customers.id, name: customers.name, contact: customers.contact })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(isNew)
    .orderBy(asc(customers.name))
    .all();
}

/** The id of the customer of that name, added when new; a contact that is given replaces the old one. */
export function ensureCustomer(db: Database, name: string, contact: string): number {
  const known = db.select().from(customers).where(eq(customers.name, name)).get();
  if (!known) return db.insert(customers).values({ name, contact }).returning({ id: customers.id }).get().id;
  if (contact !== '' && contact !== known.contact)
    db.update(customers).set({ contact }).where(eq(customers.id, known.id)).run();
  return known.id;
}
