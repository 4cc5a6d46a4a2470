// Orders of a channel's file, and what it calls the items.

import { desc, eq, inArray, sql } from 'drizzle-orm';
import type { FeedColumns } from '../core/feeds';
import type { Database } from './database';
import { feedColumns, feedItems, feedNames, feedOrders, type FeedState } from './schema';

export type StoredFeedOrder = typeof feedOrders.$inferSelect;
export type { FeedState };

export const findFeedOrder = (db: Database, reference: string): StoredFeedOrder | null =>
  db.select().from(feedOrders).where(eq(feedOrders.reference, reference)).get() ?? null;

/** As it stands now; one of that number is replaced. */
export function putFeedOrder(db: Database, fields: Omit<StoredFeedOrder, 'id'>): void {
  db.insert(feedOrders).values(fields).onConflictDoUpdate({ target: feedOrders.reference, set: fields }).run();
}

/** The latest first. */
export const listFeedOrders = (
  db: Database,
  { offset, limit }: { readonly offset: number; readonly limit: number },
): readonly StoredFeedOrder[] =>
  db.select().from(feedOrders).orderBy(desc(feedOrders.atMs), desc(feedOrders.id)).limit(limit).offset(offset).all();

export const countFeedOrders = (db: Database): number =>
  db
    .select({ count: sql<number>`count(*)` })
    .from(feedOrders)
    .get()!.count;

/** That wait for something, the first come first. */
export const listOpenFeedOrders = (db: Database): readonly StoredFeedOrder[] =>
  db
    .select()
    .from(feedOrders)
    .where(inArray(feedOrders.state, ['waiting', 'refused']))
    .orderBy(feedOrders.atMs, feedOrders.id)
    .all();

/** By what the channel calls each, in lower case. */
export const loadFeedItems = (db: Database): ReadonlyMap<string, number> =>
  new Map(
    db
      .select()
      .from(feedItems)
      .all()
      .map(({ article, itemId }) => [article, itemId]),
  );

export function putFeedItem(db: Database, article: string, itemId: number): void {
  db.insert(feedItems)
    .values({ article, itemId })
    .onConflictDoUpdate({ target: feedItems.article, set: { itemId } })
    .run();
}

export type FeedName = typeof feedNames.$inferSelect;

/** What it calls sizes and colours of items, in lower case. */
export const loadFeedNames = (db: Database): readonly FeedName[] => db.select().from(feedNames).all();

export function putFeedName(db: Database, fields: FeedName): void {
  db.insert(feedNames)
    .values(fields)
    .onConflictDoUpdate({ target: [feedNames.kind, feedNames.itemId, feedNames.name], set: { own: fields.own } })
    .run();
}

/** Which column is which in files with that first line; null where nobody said so yet. */
export const findFeedColumns = (db: Database, header: string): FeedColumns | null =>
  db.select().from(feedColumns).where(eq(feedColumns.header, header)).get()?.columns ?? null;

export function putFeedColumns(db: Database, header: string, columns: FeedColumns): void {
  db.insert(feedColumns)
    .values({ header, columns })
    .onConflictDoUpdate({ target: feedColumns.header, set: { columns } })
    .run();
}
