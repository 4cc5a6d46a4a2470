// Vinyls and blanks by words of their names.

import { and, asc, isNull, like, or } from 'drizzle-orm';
import type { Database } from './database';
import { toLikePattern } from './like';
import { blanks, vinyls } from './schema';

/** Those on the list whose name holds the words. */
export function findVinylsLike(
  db: Database,
  words: string,
  limit: number,
): readonly { readonly id: number; readonly name: string; readonly colourName: string }[] {
  const wanted = toLikePattern(words);
  return db
    .select({ id: vinyls.id, name: vinyls.name, colourName: vinyls.colourName })
    .from(vinyls)
    .where(and(or(like(vinyls.name, wanted), like(vinyls.colourName, wanted)), isNull(vinyls.archivedAtMs)))
    .orderBy(asc(vinyls.name), asc(vinyls.id))
    .limit(limit)
    .all();
}

/** Those on the list whose name holds the words. */
export function findBlanksLike(
  db: Database,
  words: string,
  limit: number,
): readonly { readonly id: number; readonly name: string }[] {
  const wanted = toLikePattern(words);
  return db
    .select({ id: blanks.id, name: blanks.name })
    .from(blanks)
    .where(and(like(blanks.name, wanted), isNull(blanks.archivedAtMs)))
    .limit(limit)
    .all();
}
