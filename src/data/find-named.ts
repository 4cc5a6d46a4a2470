// What has a name, by words of it: each of the words is somewhere in it. What is off its list is not found.

import { and, asc, eq, isNull, like, or } from 'drizzle-orm';
import { splitWords } from '../core/orders';
import { matchesCustomer } from './customer-store';
import type { Database } from './database';
import { toLikePattern } from './like';
import { artworks, blanks, customers, items, vinyls } from './schema';

const NAMED = { artwork: artworks, blank: blanks, item: items } as const;
type NamedKind = keyof typeof NAMED;
export type NamedThing = { readonly id: number; readonly name: string };

/** On its list, with each of the words in its name. Texts that were set stand with their orders. */
export const isListed = (kind: NamedKind, words: string) =>
  and(
    isNull(NAMED[kind].archivedAtMs),
    kind === 'artwork' ? eq(artworks.lettered, false) : undefined,
    ...splitWords(words).map((word) => like(NAMED[kind].name, toLikePattern(word))),
  );

/** By name; a shelf and a list of items hold a few thousand at the most. */
export function findNamed(db: Database, kind: NamedKind, words: string, limit: number): readonly NamedThing[] {
  const { id, name } = NAMED[kind];
  return db
    .select({ id, name })
    .from(NAMED[kind])
    .where(isListed(kind, words))
    .orderBy(asc(name), asc(id))
    .limit(limit)
    .all();
}

/** Of vinyls the name of their colour is looked through too. */
export function findVinyls(
  db: Database,
  words: string,
  limit: number,
): readonly (NamedThing & { readonly colourName: string })[] {
  const holds = (word: string) =>
    or(like(vinyls.name, toLikePattern(word)), like(vinyls.colourName, toLikePattern(word)));
  return db
    .select({ id: vinyls.id, name: vinyls.name, colourName: vinyls.colourName })
    .from(vinyls)
    .where(and(isNull(vinyls.archivedAtMs), ...splitWords(words).map(holds)))
    .orderBy(asc(vinyls.name), asc(vinyls.id))
    .limit(limit)
    .all();
}

/** Of customers the contact too: several may bear one name. */
export function findCustomers(
  db: Database,
  words: string,
  limit: number,
): readonly (NamedThing & { readonly contact: string })[] {
  return db
    .select({ id: customers.id, name: customers.name, contact: customers.contact })
    .from(customers)
    .where(matchesCustomer(words))
    .orderBy(asc(customers.name), asc(customers.id))
    .limit(limit)
    .all();
}
