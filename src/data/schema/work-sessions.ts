// Stretches of work at the stations.

import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Station } from '../../core/orders';
import type { PressesTogether, WorkProgress } from '../../core/scheduling';
import { id } from '../columns';
import { parts } from './orders';
import { people } from './people';
import { storedJson } from '../stored-json';

export type SessionOutcome = 'done' | 'paused' | 'discarded';

/** A stretch of work at a station; running while it has no end. */
export const workSessions = sqliteTable(
  'work_sessions',
  {
    id: id(),
    station: text('station').$type<Station>().notNull(),
    /** Whose work it is; null where nobody said. */
    personId: integer('person_id').references(() => people.id),
    startedAtMs: integer('started_at_ms').notNull(),
    stoppedAtMs: integer('stopped_at_ms'),
    outcome: text('outcome').$type<SessionOutcome>(),
    /** While it runs: how far it is, and what counts down for it. */
    progress: storedJson<WorkProgress>('progress'),
    /** How it was really pressed, once it is stopped; null for other stations, and where no press was counted. */
    pressed: storedJson<readonly PressesTogether[]>('pressed'),
  },
  (table) => [
    uniqueIndex('work_sessions_running_once')
      .on(table.station)
      .where(sql`${table.stoppedAtMs} is null`),
    index('work_sessions_by_start').on(table.startedAtMs),
    check('work_ended_whole', sql`(${table.stoppedAtMs} is null) = (${table.outcome} is null)`),
  ],
);

export const workSessionParts = sqliteTable(
  'work_session_parts',
  {
    sessionId: integer('session_id')
      .notNull()
      .references(() => workSessions.id, { onDelete: 'cascade' }),
    partId: integer('part_id')
      .notNull()
      .references(() => parts.id, { onDelete: 'cascade' }),
    /** What this part was calculated to take when the clock was started: the shares of the stretch go by it. */
    estimateSeconds: real('estimate_seconds').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.sessionId, table.partId] }),
    index('work_session_parts_by_part').on(table.partId),
  ],
);
