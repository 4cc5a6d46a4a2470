// Payments of orders. What is paid in all is kept with the order, in the transaction that changes it.

import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { getPaidBy, type PaymentKind } from '../core/orders';
import type { Minor } from '../core/units';
import { inTransaction, type Database } from './database';
import { isIn } from './is-in';
import { insertRow, prepareOnce } from './prepared';
import { customers, orders, payments } from './schema';

export type StoredPayment = typeof payments.$inferSelect;

export const loadPayments = (db: Database, orderId: number): readonly StoredPayment[] =>
  db.select().from(payments).where(eq(payments.orderId, orderId)).orderBy(asc(payments.id)).all();

export const findPayment = (db: Database, id: number): StoredPayment | null =>
  db.select().from(payments).where(eq(payments.id, id)).get() ?? null;

export function insertPayment(
  db: Database,
  payment: {
    readonly orderId: number;
    readonly kind: PaymentKind;
    readonly amount: Minor;
    readonly means: string;
    readonly atMs: number;
  },
): number {
  return inTransaction(db, () => {
    const id = insertRow(db, payments, payment);
    addToPaid(db, payment.orderId, getPaidBy(payment));
    return id;
  });
}

/** False where it was taken back before. */
export function takePaymentBack(db: Database, payment: StoredPayment, atMs: number): boolean {
  return inTransaction(db, () => {
    const { changes } = db
      .update(payments)
      .set({ takenBackAtMs: atMs })
      .where(and(eq(payments.id, payment.id), isNull(payments.takenBackAtMs)))
      .run();
    if (changes === 0) return false;
    addToPaid(db, payment.orderId, -getPaidBy(payment));
    return true;
  });
}

function addToPaid(db: Database, orderId: number, amount: number): void {
  prepareOnce(db, 'add to what was paid', () =>
    db
      .update(orders)
      .set({ paid: sql`${orders.paid} + ${sql.placeholder('amount')}` })
      .where(eq(orders.id, sql.placeholder('orderId')))
      .prepare(),
  ).run({ orderId, amount });
}

const isOwed = sql`${orders.standing} in ('open', 'handed-over') and ${orders.paid} < ${orders.agreed}`;

/** Orders with anything owed, the longest due first. */
export const listOwed = (db: Database, { offset, limit }: { readonly offset: number; readonly limit: number }) =>
  db
    .select({
      id: orders.id,
      title: orders.title,
      customerName: customers.name,
      contact: customers.contact,
      dueDay: orders.dueDay,
      standing: orders.standing,
      agreed: orders.agreed,
      paid: orders.paid,
    })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(isOwed)
    .orderBy(asc(orders.dueDay), asc(orders.id))
    .limit(limit)
    .offset(offset)
    .all();

export const sumOwed = (db: Database): { readonly count: number; readonly owed: number } =>
  db
    .select({
      count: sql<number>`count(*)`,
      owed: sql<number>`coalesce(sum(${orders.agreed} - ${orders.paid}), 0)`,
    })
    .from(orders)
    .where(isOwed)
    .get()!;

/** What the payments of these orders come to, counted anew: for a test of what is kept. */
export const recountPaid = (db: Database, orderIds: readonly number[]): ReadonlyMap<number, number> =>
  new Map(
    db
      .select({
        id: payments.orderId,
        paid: sql<number>`sum(case ${payments.kind} when 'payment' then ${payments.amount} when 'refund' then -${payments.amount} else 0 end)`,
      })
      .from(payments)
      .where(and(isIn(payments.orderId, orderIds), isNull(payments.takenBackAtMs)))
      .groupBy(payments.orderId)
      .all()
      .map(({ id, paid }) => [id, paid]),
  );
