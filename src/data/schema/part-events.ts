// What happened to each part.

import { sql } from 'drizzle-orm';
import { check, index, integer, real, sqliteTable, text, type AnySQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { DesignClass } from '../../core/artwork';
import type { PartEventKind, RecutBits, SpoilageCause } from '../../core/orders';
import { id } from '../columns';
import { storedJson } from '../stored-json';
import { parts } from './orders';
import { lots } from './stock';
import { workSessions } from './work-sessions';

export const partEvents = sqliteTable(
  'part_events',
  {
    id: id(),
    partId: integer('part_id')
      .notNull()
      .references(() => parts.id, { onDelete: 'cascade' }),
    kind: text('kind').$type<Exclude<PartEventKind, 'to-cut'>>().notNull(),
    atMs: integer('at_ms').notNull(),
    sessionId: integer('session_id').references(() => workSessions.id),
    /** For 'undone': the event taken back. */
    undoes: integer('undoes').references((): AnySQLiteColumn => partEvents.id),
    cause: text('cause').$type<SpoilageCause>(),
    blankLost: integer('blank_lost', { mode: 'boolean' }).notNull(),
    /** For 'spoiled': what of the part is made anew; null for all of it. */
    recut: storedJson<RecutBits>('recut'),
    /** What it took, minor units; for 'undone', what of it could not be given back. */
    vinylCost: real('vinyl_cost'),
    blankCost: real('blank_cost'),
    wearCost: real('wear_cost'),
    /** Of a cut, and of what spoiled it: the lot it was cut from, and how fine it is; null where nobody knows. */
    lotId: integer('lot_id').references(() => lots.id),
    design: text('design').$type<DesignClass>(),
    /** Its thinnest stroke or gap, mm; null where nothing of it is thin, or nobody knows. */
    finestMm: real('finest_mm'),
  },
  (table) => [
    index('part_events_by_part').on(table.partId),
    index('part_events_by_session')
      .on(table.sessionId)
      .where(sql`${table.sessionId} is not null`),
    index('part_events_undone')
      .on(table.undoes)
      .where(sql`${table.undoes} is not null`),
    index('part_events_spoiled')
      .on(table.atMs)
      .where(sql`${table.kind} = 'spoiled'`),
    index('part_events_checked')
      .on(table.atMs)
      .where(sql`${table.kind} = 'checked'`),
    check('part_events_undo', sql`(${table.kind} = 'undone') = (${table.undoes} is not null)`),
  ],
);
