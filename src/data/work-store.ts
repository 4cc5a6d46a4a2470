// Stretches of work: when they were started and stopped, at which station, on which parts.

import { and, asc, eq, gte, inArray, isNotNull, isNull, ne } from 'drizzle-orm';
import type { Station } from '../core/orders';
import { groupBy } from '../core/units';
import type { Database } from './database';
import { work, workParts, type WorkOutcome } from './schema';

export type WorkPart = { readonly partId: number; readonly estimateSeconds: number };
/** Running while `stoppedAtMs` and `outcome` are null. */
export type StoredWork = {
  readonly id: number;
  readonly station: Station;
  readonly startedAtMs: number;
  readonly stoppedAtMs: number | null;
  readonly outcome: WorkOutcome | null;
  readonly parts: readonly WorkPart[];
};

function assemble(db: Database, rows: readonly (typeof work.$inferSelect)[]): readonly StoredWork[] {
  const members = groupBy(
    db
      .select()
      .from(workParts)
      .where(
        inArray(
          workParts.workId,
          rows.map((row) => row.id),
        ),
      )
      .orderBy(asc(workParts.partId))
      .all(),
    (row) => row.workId,
  );
  return rows.map((row) => ({
    ...row,
    parts: (members.get(row.id) ?? []).map(({ partId, estimateSeconds }) => ({ partId, estimateSeconds })),
  }));
}

export function loadRunningWork(db: Database): readonly StoredWork[] {
  return assemble(db, db.select().from(work).where(isNull(work.stoppedAtMs)).orderBy(asc(work.startedAtMs)).all());
}

/** Work started at or after an instant, running or ended, the earliest first. */
export function loadWorkSince(db: Database, fromMs: number): readonly StoredWork[] {
  return assemble(db, db.select().from(work).where(gte(work.startedAtMs, fromMs)).orderBy(asc(work.startedAtMs)).all());
}

/** Ended work on any of these parts whose minutes count: not the discarded. Each with all its parts. */
export function loadWorkOnParts(db: Database, partIds: readonly number[]): readonly StoredWork[] {
  const touched = db
    .selectDistinct({ id: workParts.workId })
    .from(workParts)
    .where(inArray(workParts.partId, [...partIds]));
  return assemble(
    db,
    db
      .select()
      .from(work)
      .where(and(inArray(work.id, touched), isNotNull(work.stoppedAtMs), ne(work.outcome, 'discarded')))
      .orderBy(asc(work.startedAtMs))
      .all(),
  );
}

export function findWork(db: Database, id: number): StoredWork | null {
  return assemble(db, db.select().from(work).where(eq(work.id, id)).all())[0] ?? null;
}

/** Several statements: call it inside a transaction. */
export function insertWork(db: Database, station: Station, startedAtMs: number, members: readonly WorkPart[]): number {
  const { id } = db.insert(work).values({ station, startedAtMs }).returning({ id: work.id }).get();
  for (const member of members)
    db.insert(workParts)
      .values({ workId: id, ...member })
      .run();
  return id;
}

/** False when it was stopped already. */
export function stopWork(db: Database, id: number, atMs: number, outcome: WorkOutcome): boolean {
  return (
    db
      .update(work)
      .set({ stoppedAtMs: atMs, outcome })
      .where(and(eq(work.id, id), isNull(work.stoppedAtMs)))
      .run().changes === 1
  );
}
