// Who works in the shop.

import { and, asc, eq, isNotNull, isNull } from 'drizzle-orm';
import type { Database } from './database';
import { insertRow, prepareOnce } from './prepared';
import { people } from './schema';

export type StoredPerson = { readonly id: number; readonly name: string };
const NAMED = { id: people.id, name: people.name };

/** Those who work here now, by name. */
export const listPeople = (db: Database): readonly StoredPerson[] =>
  prepareOnce(db, 'people', () =>
    db.select(NAMED).from(people).where(isNull(people.archivedAtMs)).orderBy(asc(people.name)).prepare(),
  ).all();

/** All who ever did, for what was logged. */
export const listEverybody = (db: Database): readonly StoredPerson[] =>
  db.select(NAMED).from(people).orderBy(asc(people.name)).all();

export const insertPerson = (db: Database, name: string): number => insertRow(db, people, { name });

export const findGone = (db: Database, name: string): StoredPerson | null =>
  db
    .select(NAMED)
    .from(people)
    .where(and(eq(people.name, name), isNotNull(people.archivedAtMs)))
    .get() ?? null;

/** Null brings back. False where nobody is meant. */
export const setPersonArchived = (db: Database, id: number, atMs: number | null): boolean =>
  db.update(people).set({ archivedAtMs: atMs }).where(eq(people.id, id)).run().changes === 1;
