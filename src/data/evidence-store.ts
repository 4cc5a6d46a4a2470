// What the log says: of parts, items and vinyls.

import type { Database } from './database';
import type { LineQuote } from '../core/orders';
import { parts, pieces, orderLines, partEvents } from './schema';
import { sql, eq, isNotNull, and, inArray, notInArray } from 'drizzle-orm';

/** Of these parts: their item and unit, how many parts the piece has, and what their line was calculated at. */
export function loadLoggedParts(
  db: Database,
  partIds: readonly number[],
): readonly {
  readonly id: number;
  readonly pieceId: number;
  readonly itemId: number;
  readonly layerIndex: number;
  readonly partsOfPiece: number;
  readonly quote: LineQuote;
}[] {
  if (partIds.length === 0) return [];
  const counts = new Map(
    db
      .select({ pieceId: parts.pieceId, count: sql<number>`count(*)` })
      .from(parts)
      .groupBy(parts.pieceId)
      .all()
      .map((row) => [row.pieceId, row.count]),
  );
  const wanted = new Set(partIds);
  return db
    .select({
      id: parts.id,
      pieceId: pieces.id,
      layerIndex: parts.layerIndex,
      itemId: orderLines.itemId,
      quote: orderLines.quote,
    })
    .from(parts)
    .innerJoin(pieces, eq(pieces.id, parts.pieceId))
    .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
    .all()
    .filter((row) => wanted.has(row.id))
    .map((row) => ({ ...row, partsOfPiece: counts.get(row.pieceId) ?? 1 }));
}

/** Of one item: pieces of which something was cut, and parts that were spoiled; what was taken back never happened. */
export function loadItemEvidence(
  db: Database,
): ReadonlyMap<number, { readonly made: number; readonly spoiled: number }> {
  const undone = db.select({ id: partEvents.undoes }).from(partEvents).where(isNotNull(partEvents.undoes));
  const rows = db
    .select({
      itemId: orderLines.itemId,
      made: sql<number>`count(distinct case when ${partEvents.kind} = 'cut' then ${pieces.id} end)`,
      spoiled: sql<number>`sum(${partEvents.kind} = 'spoiled')`,
    })
    .from(partEvents)
    .innerJoin(parts, eq(parts.id, partEvents.partId))
    .innerJoin(pieces, eq(pieces.id, parts.pieceId))
    .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
    .where(and(inArray(partEvents.kind, ['cut', 'spoiled']), notInArray(partEvents.id, undone)))
    .groupBy(orderLines.itemId)
    .all();
  return new Map(rows.map(({ itemId, made, spoiled }) => [itemId, { made, spoiled }]));
}

/** By vinyl: parts cut from it, and how many of those were spoiled; what was taken back never happened. */
export function loadVinylEvidence(
  db: Database,
): ReadonlyMap<number, { readonly made: number; readonly spoiled: number }> {
  const undone = db.select({ id: partEvents.undoes }).from(partEvents).where(isNotNull(partEvents.undoes));
  const rows = db
    .select({
      vinylId: parts.vinylId,
      made: sql<number>`sum(${partEvents.kind} = 'cut')`,
      spoiled: sql<number>`sum(${partEvents.kind} = 'spoiled')`,
    })
    .from(partEvents)
    .innerJoin(parts, eq(parts.id, partEvents.partId))
    .where(and(inArray(partEvents.kind, ['cut', 'spoiled']), notInArray(partEvents.id, undone)))
    .groupBy(parts.vinylId)
    .all();
  return new Map(rows.map(({ vinylId, made, spoiled }) => [vinylId, { made, spoiled }]));
}
