// Customers: people, of whom several may bear one name.

import { and, asc, desc, eq, isNull, like, or, sql } from 'drizzle-orm';
import type { Database } from './database';
import { splitWords } from '../core/orders';
import { isIn } from './is-in';
import { toLikePattern } from './like';
import { isLookedUp, toMatch } from './looked-for';
import { customers, orders } from './schema';

export type StoredCustomer = {
  readonly id: number;
  readonly name: string;
  readonly contact: string;
  readonly address: string;
  readonly note: string;
  readonly archived: boolean;
  readonly version: number;
};
export type CustomerFields = Pick<StoredCustomer, 'name' | 'contact' | 'address' | 'note'>;

export const toCustomer = ({ archivedAtMs, ...fields }: typeof customers.$inferSelect): StoredCustomer => ({
  ...fields,
  archived: archivedAtMs !== null,
});

export const findCustomer = (db: Database, id: number): StoredCustomer | null => {
  const row = db.select().from(customers).where(eq(customers.id, id)).get();
  return row ? toCustomer(row) : null;
};

/** All of that very name, the newest first. */
export const findCustomersNamed = (db: Database, name: string): readonly StoredCustomer[] =>
  db
    .select()
    .from(customers)
    .where(and(eq(customers.name, name), isNull(customers.archivedAtMs)))
    .orderBy(desc(customers.id))
    .all()
    .map(toCustomer);

/** Customers of the newest orders, by name: those who are likely to order again. */
export function loadRecentCustomers(
  db: Database,
  newestOrders: number,
): readonly Pick<StoredCustomer, 'id' | 'name' | 'contact'>[] {
  const isNew = sql`${orders.id} > (select max(id) from orders) - ${newestOrders}`;
  return db
    .selectDistinct({ id: customers.id, name: customers.name, contact: customers.contact })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(and(isNew, isNull(customers.archivedAtMs)))
    .orderBy(asc(customers.name), asc(customers.id))
    .all();
}

export const insertCustomer = (db: Database, fields: CustomerFields): number =>
  db.insert(customers).values(fields).returning({ id: customers.id }).get().id;

/** False when it was changed since `version` was read. */
export const updateCustomer = (db: Database, id: number, fields: CustomerFields, version: number): boolean =>
  db
    .update(customers)
    .set({ ...fields, version: sql`${customers.version} + 1` })
    .where(and(eq(customers.id, id), eq(customers.version, version)))
    .run().changes === 1;

export const setCustomerContact = (db: Database, id: number, contact: string): void => {
  db.update(customers)
    .set({ contact, version: sql`${customers.version} + 1` })
    .where(eq(customers.id, id))
    .run();
};

export const setCustomerArchived = (db: Database, id: number, atMs: number | null): boolean =>
  db.update(customers).set({ archivedAtMs: atMs }).where(eq(customers.id, id)).run().changes === 1;

/** On the list, with each of the words in the name or the contact. */
export const matchesCustomer = (words: string) =>
  and(isNull(customers.archivedAtMs), ...splitWords(words).map(matchesWord));

function matchesWord(word: string) {
  const wanted = toLikePattern(word);
  return isLookedUp(word)
    ? sql`${customers.id} in (select rowid from customer_words where customer_words match ${toMatch(word)})`
    : or(like(customers.name, wanted), like(customers.contact, wanted));
}

/** All on the list, by name. */
export const loadCustomers = (db: Database): readonly StoredCustomer[] =>
  db
    .select()
    .from(customers)
    .where(isNull(customers.archivedAtMs))
    .orderBy(asc(customers.name), asc(customers.id))
    .all()
    .map(toCustomer);

/** By name, with how many orders each had and what these came to; cancelled ones aside. */
export function listCustomers(
  db: Database,
  { words, offset, limit }: { readonly words: string; readonly offset: number; readonly limit: number },
): readonly (StoredCustomer & OrdersOf)[] {
  const rows = db
    .select()
    .from(customers)
    .where(matchesCustomer(words))
    .orderBy(asc(customers.name), asc(customers.id))
    .limit(limit)
    .offset(offset)
    .all();
  const sums = sumOrders(
    db,
    rows.map(({ id }) => id),
  );
  return rows.map((row) => ({ ...toCustomer(row), ...(sums.get(row.id) ?? NO_ORDERS) }));
}

export const countCustomers = (db: Database, words: string): number =>
  db
    .select({ count: sql<number>`count(*)` })
    .from(customers)
    .where(matchesCustomer(words))
    .get()!.count;

type OrdersOf = {
  readonly orders: number;
  readonly worth: number;
  readonly owed: number;
  readonly lastAtMs: number | null;
};
const NO_ORDERS: OrdersOf = { orders: 0, worth: 0, owed: 0, lastAtMs: null };

/** Cancelled ones aside. */
export const sumOrdersOf = (db: Database, customerId: number): OrdersOf =>
  sumOrders(db, [customerId]).get(customerId) ?? NO_ORDERS;

/** By customer; those without an order are left out. */
function sumOrders(db: Database, customerIds: readonly number[]): ReadonlyMap<number, OrdersOf> {
  const rows = db
    .select({
      customerId: orders.customerId,
      orders: sql<number>`count(*)`,
      worth: sql<number>`coalesce(sum(${orders.agreed}), 0)`,
      owed: sql<number>`coalesce(sum(case when ${orders.standing} <> 'closed' then max(0, ${orders.agreed} - ${orders.paid}) else 0 end), 0)`,
      lastAtMs: sql<number | null>`max(${orders.placedAtMs})`,
    })
    .from(orders)
    .where(and(isIn(orders.customerId, customerIds), sql`${orders.standing} <> 'cancelled'`))
    .groupBy(orders.customerId)
    .all();
  return new Map(rows.map(({ customerId, ...sums }) => [customerId, sums]));
}

/** The newest first. */
export const listOrderIdsOf = (
  db: Database,
  customerId: number,
  { offset, limit }: { readonly offset: number; readonly limit: number },
): readonly number[] =>
  db
    .select({ id: orders.id })
    .from(orders)
    .where(eq(orders.customerId, customerId))
    .orderBy(desc(orders.id))
    .limit(limit)
    .offset(offset)
    .all()
    .map(({ id }) => id);
