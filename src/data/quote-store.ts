// Quotes: written once, never changed.

import { desc, eq, isNull } from 'drizzle-orm';
import type { QuoteFacts } from '../core/orders';
import type { Database } from './database';
import { quotes } from './schema';

export type StoredQuote = {
  readonly id: number;
  readonly customerName: string;
  readonly itemId: number;
  readonly atMs: number;
  readonly facts: QuoteFacts;
};

const COLUMNS = {
  id: quotes.id,
  customerName: quotes.customerName,
  itemId: quotes.itemId,
  atMs: quotes.atMs,
  facts: quotes.facts,
};
/** Newest first. */
export const loadQuotes = (db: Database, count: number): readonly StoredQuote[] =>
  db.select(COLUMNS).from(quotes).where(isNull(quotes.archivedAtMs)).orderBy(desc(quotes.id)).limit(count).all();
export const findQuote = (db: Database, id: number): StoredQuote | null =>
  db.select(COLUMNS).from(quotes).where(eq(quotes.id, id)).get() ?? null;
export const insertQuote = (db: Database, quote: Omit<StoredQuote, 'id'>): number =>
  db.insert(quotes).values(quote).returning({ id: quotes.id }).get().id;
export const setQuoteArchived = (db: Database, id: number, atMs: number | null): boolean =>
  db.update(quotes).set({ archivedAtMs: atMs }).where(eq(quotes.id, id)).run().changes === 1;
