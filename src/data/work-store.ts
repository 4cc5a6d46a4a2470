// Stretches of work: when they were started and stopped, at which station, on which parts.

import { and, asc, desc, eq, gte, inArray, isNotNull, isNull, ne, not, sql } from 'drizzle-orm';
import type { Station } from '../core/orders';
import { NO_PROGRESS, type PressesTogether, type WorkProgress } from '../core/scheduling';
import { groupBy } from '../core/units';
import type { Database } from './database';
import { isIn, isInThose, those } from './is-in';
import { insertRow, insertRows, prepareOnce } from './prepared';
import { parts, workSessions, workSessionParts, type SessionOutcome } from './schema';

export type SessionPart = { readonly partId: number; readonly estimateSeconds: number };
/** Running while `stoppedAtMs` and `outcome` are null. */
export type StoredSession = {
  readonly id: number;
  readonly station: Station;
  readonly personId: number | null;
  readonly startedAtMs: number;
  readonly stoppedAtMs: number | null;
  readonly outcome: SessionOutcome | null;
  readonly progress: WorkProgress;
  readonly parts: readonly SessionPart[];
};

function assemble(db: Database, rows: readonly (typeof workSessions.$inferSelect)[]): readonly StoredSession[] {
  const statement = prepareOnce(db, 'parts of work', () =>
    db
      .select()
      .from(workSessionParts)
      .where(isInThose(workSessionParts.sessionId))
      .orderBy(asc(workSessionParts.partId))
      .prepare(),
  );
  const members = groupBy(statement.all(those(rows.map((row) => row.id))), (row) => row.sessionId);
  return rows.map((row) => ({
    ...row,
    progress: row.progress ?? NO_PROGRESS,
    parts: (members.get(row.id) ?? []).map(({ partId, estimateSeconds }) => ({ partId, estimateSeconds })),
  }));
}

export function loadRunningSessions(db: Database): readonly StoredSession[] {
  const statement = prepareOnce(db, 'work that runs', () =>
    db
      .select()
      .from(workSessions)
      .where(isNull(workSessions.stoppedAtMs))
      .orderBy(asc(workSessions.startedAtMs))
      .prepare(),
  );
  return assemble(db, statement.all());
}

/** Work started at or after an instant, running or ended, the earliest first. */
export function loadSessionsSince(db: Database, fromMs: number): readonly StoredSession[] {
  return assemble(
    db,
    db
      .select()
      .from(workSessions)
      .where(gte(workSessions.startedAtMs, fromMs))
      .orderBy(asc(workSessions.startedAtMs))
      .all(),
  );
}

/** Ended work on any of these parts whose minutes count: not the discarded. Each with all its parts. */
export function loadSessionsOnParts(db: Database, partIds: readonly number[]): readonly StoredSession[] {
  const statement = prepareOnce(db, 'ended work on parts', () => {
    const touched = db
      .selectDistinct({ id: workSessionParts.sessionId })
      .from(workSessionParts)
      .where(isInThose(workSessionParts.partId));
    return db
      .select()
      .from(workSessions)
      .where(
        and(
          inArray(workSessions.id, touched),
          isNotNull(workSessions.stoppedAtMs),
          ne(workSessions.outcome, 'discarded'),
        ),
      )
      .orderBy(asc(workSessions.startedAtMs))
      .prepare();
  });
  return assemble(db, statement.all(those(partIds)));
}

export type DoneWork = {
  readonly station: Station;
  readonly startedAtMs: number;
  readonly stoppedAtMs: number;
  /** What all its parts were calculated to take when the clock was started. */
  readonly estimateSeconds: number;
  /** Null where its parts are of several. */
  readonly vinylId: number | null;
};

/** Work that was done in one go, the latest first: what was paused is of several stretches. */
export function listDoneWork(db: Database, limit: number): readonly DoneWork[] {
  const latest = db
    .select()
    .from(workSessions)
    .where(eq(workSessions.outcome, 'done'))
    .orderBy(desc(workSessions.startedAtMs))
    .limit(limit)
    .as('latest');
  const vinyl = { least: sql<number>`min(${parts.vinylId})`, most: sql<number>`max(${parts.vinylId})` };
  return db
    .select({
      station: latest.station,
      startedAtMs: latest.startedAtMs,
      stoppedAtMs: latest.stoppedAtMs,
      estimateSeconds: sql<number>`sum(${workSessionParts.estimateSeconds})`,
      ...vinyl,
    })
    .from(latest)
    .innerJoin(workSessionParts, eq(workSessionParts.sessionId, latest.id))
    .innerJoin(parts, eq(parts.id, workSessionParts.partId))
    .groupBy(latest.id)
    .orderBy(desc(latest.startedAtMs))
    .all()
    .map(({ least, most, stoppedAtMs, ...work }) => ({
      ...work,
      stoppedAtMs: stoppedAtMs ?? work.startedAtMs,
      vinylId: least === most ? least : null,
    }));
}

export const findSession = (db: Database, id: number): StoredSession | null => findSessions(db, [id])[0] ?? null;

/** Of all work that ever was. */
export const findSessionIds = (db: Database): readonly number[] =>
  db
    .select({ id: workSessions.id })
    .from(workSessions)
    .orderBy(asc(workSessions.id))
    .all()
    .map((row) => row.id);

/** By id. */
export function findSessions(db: Database, ids: readonly number[]): readonly StoredSession[] {
  const statement = prepareOnce(db, 'work', () =>
    db.select().from(workSessions).where(isInThose(workSessions.id)).orderBy(asc(workSessions.id)).prepare(),
  );
  return assemble(db, statement.all(those(ids)));
}

/** Several statements: call it inside a transaction. */
export function insertSession(
  db: Database,
  station: Station,
  startedAtMs: number,
  members: readonly SessionPart[],
  personId: number | null = null,
): number {
  const id = insertRow(db, workSessions, { station, startedAtMs, personId });
  insertMembers(db, id, members);
  return id;
}

/** Work of no length: something was done in one go, or no clock was run. */
export function insertInstant(db: Database, station: Station, atMs: number, members: readonly SessionPart[]): number {
  const done = { station, startedAtMs: atMs, stoppedAtMs: atMs, outcome: 'done' as const };
  const id = insertRow(db, workSessions, done);
  insertMembers(db, id, members);
  return id;
}

function insertMembers(db: Database, sessionId: number, members: readonly SessionPart[]): void {
  insertRows(
    db,
    workSessionParts,
    members.map((member) => ({ sessionId, ...member })),
  );
}

/**
 * False when it was stopped already. A clock that was set back meanwhile gives no minutes below nothing: the work then
 * has no length.
 */
export function stopSession(db: Database, id: number, atMs: number, outcome: SessionOutcome): boolean {
  return (
    prepareOnce(db, 'stop work', () =>
      db
        .update(workSessions)
        .set({
          stoppedAtMs: sql`max(${sql.placeholder('atMs')}, ${workSessions.startedAtMs})`,
          outcome: sql`${sql.placeholder('outcome')}`,
        })
        .where(and(eq(workSessions.id, sql.placeholder('id')), isNull(workSessions.stoppedAtMs)))
        .prepare(),
    ).run({ id, atMs, outcome }).changes === 1
  );
}

export function saveProgress(db: Database, id: number, progress: WorkProgress): void {
  db.update(workSessions).set({ progress }).where(eq(workSessions.id, id)).run();
}

/** Of work that stops before all of it is done: its minutes fall on these parts alone. */
export function narrowSession(db: Database, id: number, partIds: readonly number[]): void {
  db.delete(workSessionParts)
    .where(and(eq(workSessionParts.sessionId, id), not(isIn(workSessionParts.partId, partIds))))
    .run();
}

/** How it was really pressed. */
export function savePressed(db: Database, id: number, pressed: readonly PressesTogether[]): void {
  db.update(workSessions).set({ pressed }).where(eq(workSessions.id, id)).run();
}

/** Of these stretches of work those that tell how it was pressed. */
export const loadPressed = (db: Database, ids: readonly number[]): ReadonlyMap<number, readonly PressesTogether[]> =>
  new Map(
    db
      .select({ id: workSessions.id, pressed: workSessions.pressed })
      .from(workSessions)
      .where(isIn(workSessions.id, ids))
      .all()
      .flatMap(({ id, pressed }) => (pressed ? [[id, pressed] as const] : [])),
  );
