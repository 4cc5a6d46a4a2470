// Orders looked through: closed ones a page at a time, and any by words or number.

import { and, asc, desc, eq, isNotNull, isNull, ne, sql } from 'drizzle-orm';
import type { Database } from './database';
import { toLikePattern } from './like';
import { isLookedUp, toMatch } from './looked-for';
import { customers, items, orderLines, orders, type OrderStanding } from './schema';
import { splitWords } from '../core/orders';
import { groupBy, type Minor } from '../core/units';
import { isIn } from './is-in';

const CLOSED_COLUMNS = {
  closed: orders.closedAtMs,
  due: orders.dueDay,
  number: orders.id,
  title: orders.title,
  agreed: orders.agreed,
} as const;

/** Ids of orders that were handed over or cancelled; by when they were closed the latest first, unless turned round. */
export function findClosedOrderIds(
  db: Database,
  query: {
    readonly words: string;
    readonly sort: keyof typeof CLOSED_COLUMNS;
    readonly down: boolean;
    readonly offset: number;
    readonly limit: number;
  },
): readonly number[] {
  const falls = query.sort === 'closed' ? !query.down : query.down;
  const direction = falls ? desc : asc;
  return db
    .select({ id: orders.id })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(isClosedLike(query.words))
    .orderBy(direction(CLOSED_COLUMNS[query.sort]), direction(orders.id))
    .limit(query.limit)
    .offset(query.offset)
    .all()
    .map((row) => row.id);
}

export const countClosedOrders = (db: Database, words: string): number =>
  words === ''
    ? db
        .select({ count: sql<number>`count(*)` })
        .from(orders)
        .where(isNotNull(orders.closedAtMs))
        .get()!.count
    : db
        .select({ count: sql<number>`count(*)` })
        .from(orders)
        .innerJoin(customers, eq(customers.id, orders.customerId))
        .where(isClosedLike(words))
        .get()!.count;

export type TableOrder = {
  readonly id: number;
  readonly title: string;
  readonly customer: string;
  readonly contact: string;
  readonly placedAtMs: number;
  readonly dueDay: string;
  readonly standing: OrderStanding;
  readonly closedAtMs: number | null;
  readonly pieces: number;
  readonly agreed: Minor;
  readonly paid: Minor;
};

/** Every order in one row, the first taken first. */
export const listOrdersForTable = (db: Database): readonly TableOrder[] =>
  db
    .select({
      id: orders.id,
      title: orders.title,
      customer: customers.name,
      contact: customers.contact,
      placedAtMs: orders.placedAtMs,
      dueDay: orders.dueDay,
      standing: orders.standing,
      closedAtMs: orders.closedAtMs,
      pieces: sql<number>`(select coalesce(sum(${orderLines.quantity}), 0) from ${orderLines} where ${orderLines.orderId} = ${orders.id})`,
      agreed: orders.agreed,
      paid: orders.paid,
    })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .orderBy(asc(orders.id))
    .all();

/** Each line of an order that is worked on, the first taken first. */
export const listOpenLinesForTable = (db: Database) =>
  db
    .select({
      orderId: orders.id,
      customer: customers.name,
      contact: customers.contact,
      dueDay: orders.dueDay,
      item: items.name,
      quantity: orderLines.quantity,
      sizeName: orderLines.sizeName,
      colourName: orderLines.colourName,
      each: orderLines.each,
      note: orderLines.note,
      texts: orderLines.texts,
    })
    .from(orderLines)
    .innerJoin(orders, eq(orders.id, orderLines.orderId))
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .innerJoin(items, eq(items.id, orderLines.itemId))
    .where(isNull(orders.closedAtMs))
    .orderBy(asc(orders.id), asc(orderLines.id))
    .all();

/** The latest closed first, with all that they are looked for by. */
export function listLatestClosed(
  db: Database,
  limit: number,
): readonly { readonly id: number; readonly texts: readonly string[] }[] {
  const latest = db
    .select({ id: orders.id, title: orders.title, customer: customers.name })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(isNotNull(orders.closedAtMs))
    .orderBy(desc(orders.closedAtMs))
    .limit(limit)
    .all();
  const said = groupBy(
    db
      .select({ orderId: orderLines.orderId, words: orderLines.words })
      .from(orderLines)
      .where(
        and(
          isIn(
            orderLines.orderId,
            latest.map(({ id }) => id),
          ),
          ne(orderLines.words, ''),
        ),
      )
      .all(),
    (line) => line.orderId,
  );
  return latest.map(({ id, title, customer }) => ({
    id,
    texts: [title, customer, ...(said.get(id) ?? []).map(({ words }) => words)],
  }));
}

const isClosedLike = (words: string) => and(isNotNull(orders.closedAtMs), words === '' ? undefined : matches(words));

/** Each of the words, in any order: in the title, the customer or on a piece, or it is the order's number. */
const matches = (words: string) => and(...splitWords(words).map(matchesWord));

function matchesWord(word: string) {
  const number = /^#?(\d{1,9})$/.exec(word)?.[1] ?? NO_ORDER;
  return sql`${orders.id} in (
    ${isLookedUp(word) ? lookUp(word) : lookThrough(word)}
    union all select ${Number(number)})`;
}

const lookUp = (word: string) => sql`
  select rowid from order_words where order_words match ${toMatch(word)}
  union all select id from orders where customer_id in (
    select rowid from customer_words where customer_words match ${`name : ${toMatch(word)}`})`;

/** Each table is gone through once: asked of every order with its customer and lines it takes five times as long. */
function lookThrough(word: string) {
  const wanted = toLikePattern(word);
  return sql`
    select id from orders where title like ${wanted}
    union all select id from orders where customer_id in (select id from customers where name like ${wanted})
    union all select order_id from order_lines where words <> '' and words like ${wanted}`;
}

export type FoundOrder = Pick<TableOrder, 'id' | 'title' | 'customer' | 'dueDay' | 'standing' | 'closedAtMs'>;

/** Orders that hold the words, or whose number they are: open ones first, the first due first; then the last closed. */
export function findOrdersLike(db: Database, words: string, limit: number): readonly FoundOrder[] {
  return db
    .select({
      id: orders.id,
      title: orders.title,
      customer: customers.name,
      dueDay: orders.dueDay,
      standing: orders.standing,
      closedAtMs: orders.closedAtMs,
    })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(matches(words))
    .orderBy(isNotNull(orders.closedAtMs), desc(orders.closedAtMs), asc(orders.dueDay), asc(orders.id))
    .limit(limit)
    .all();
}
const NO_ORDER = -1;
