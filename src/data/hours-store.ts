// What was worked and what was spoiled between two instants, for the books.

import { and, asc, eq, gte, isNotNull, lt, ne, sql, type SQL } from 'drizzle-orm';
import type { SpoiledLine, StationWork } from '../core/orders';
import { groupBy } from '../core/units';
import type { Database } from './database';
import { isIn } from './is-in';
import { orderLines, partEvents, parts, pieces, workSessions } from './schema';

/** From its first instant on, up to its last without that, epoch ms. */
export type Span = { readonly fromMs: number; readonly untilMs: number };

/** Ended work that counts, by the instant it was started; steps done in one go have no length and are no stretch. */
export const sumWork = (db: Database, { fromMs, untilMs }: Span): readonly StationWork[] =>
  db
    .select({
      station: workSessions.station,
      seconds: sql<number>`sum(${workSessions.stoppedAtMs} - ${workSessions.startedAtMs}) / 1000.0`,
      stretches: sql<number>`sum(${workSessions.stoppedAtMs} > ${workSessions.startedAtMs})`,
    })
    .from(workSessions)
    .where(
      and(
        gte(workSessions.startedAtMs, fromMs),
        lt(workSessions.startedAtMs, untilMs),
        isNotNull(workSessions.stoppedAtMs),
        ne(workSessions.outcome, 'discarded'),
      ),
    )
    .groupBy(workSessions.station)
    .all();

/** Pieces of which a part was checked then, and that was not taken back. */
export function countChecked(db: Database, span: Span): number {
  const row = db
    .select({ pieces: sql<number>`count(distinct ${parts.pieceId})` })
    .from(partEvents)
    .innerJoin(parts, eq(parts.id, partEvents.partId))
    .where(and(happened('checked', span), NOT_TAKEN_BACK))
    .get();
  return row?.pieces ?? 0;
}

/** The parts that were spoiled then, by the lines of their orders, with all that ever happened to them. */
export function loadSpoiledLines(db: Database, span: Span): readonly SpoiledLine[] {
  const ids = db.selectDistinct({ id: partEvents.partId }).from(partEvents).where(happened('spoiled', span)).all();
  const spoiled = ids.map(({ id }) => id);
  const placed = db
    .select({ id: parts.id, layerIndex: parts.layerIndex, lineId: pieces.lineId })
    .from(parts)
    .innerJoin(pieces, eq(pieces.id, parts.pieceId))
    .where(isIn(parts.id, spoiled))
    .all();
  const events = db.select().from(partEvents).where(isIn(partEvents.partId, spoiled)).orderBy(asc(partEvents.id)).all();
  const byPart = groupBy(events, ({ partId }) => partId);
  const byLine = groupBy(placed, ({ lineId }) => lineId);
  const quotes = db
    .select({ id: orderLines.id, quote: orderLines.quote })
    .from(orderLines)
    .where(isIn(orderLines.id, [...byLine.keys()]))
    .all();
  return quotes.map(({ id, quote }) => ({
    quote,
    parts: byLine.get(id)!.map((part) => ({ layerIndex: part.layerIndex, events: byPart.get(part.id)! })),
  }));
}

/** Written out: the indexes hold events of one kind each, and a kind that is told only later finds neither. */
const KINDS = { checked: sql`${partEvents.kind} = 'checked'`, spoiled: sql`${partEvents.kind} = 'spoiled'` } as const;
const happened = (kind: keyof typeof KINDS, { fromMs, untilMs }: Span): SQL =>
  and(KINDS[kind], gte(partEvents.atMs, fromMs), lt(partEvents.atMs, untilMs))!;
const NOT_TAKEN_BACK = sql`not exists (select 1 from part_events later where later.undoes = ${partEvents.id})`;
