// What parts are of, in a word: the name of their item.

import { eq } from 'drizzle-orm';
import type { Database } from './database';
import { isInThose, those } from './is-in';
import { prepareOnce } from './prepared';
import { items, orderLines, parts, pieces } from './schema';

export type PartName = {
  readonly partId: number;
  readonly itemId: number;
  readonly itemName: string;
};

/** By part; those that are not there are left out. */
export function namePartsOf(db: Database, partIds: readonly number[]): ReadonlyMap<number, PartName> {
  const statement = prepareOnce(db, 'names of parts', () =>
    db
      .select({ partId: parts.id, itemId: orderLines.itemId, itemName: items.name })
      .from(parts)
      .innerJoin(pieces, eq(pieces.id, parts.pieceId))
      .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
      .innerJoin(items, eq(items.id, orderLines.itemId))
      .where(isInThose(parts.id))
      .prepare(),
  );
  return new Map(statement.all(those(partIds)).map((name) => [name.partId, name]));
}
