// Trials side by side, and their candidates.

import { and, desc, eq, isNotNull, isNull, lt, ne } from 'drizzle-orm';
import type { Database } from './database';
import { isIn } from './is-in';
import { insertRow } from './prepared';
import { sideCandidates, sideTrials } from './schema';

export type StoredSide = typeof sideTrials.$inferSelect;
export type NewSide = Omit<typeof sideTrials.$inferInsert, 'id'>;
export type StoredCandidate = typeof sideCandidates.$inferSelect;
export type NewCandidate = Omit<typeof sideCandidates.$inferInsert, 'id'>;
export type CandidateChange = Partial<Omit<StoredCandidate, 'id' | 'trialId' | 'vinylId' | 'lotId'>>;

export const insertSide = (db: Database, side: NewSide): number => insertRow(db, sideTrials, side);
export const insertCandidate = (db: Database, candidate: NewCandidate): number =>
  insertRow(db, sideCandidates, candidate);

export const findSide = (db: Database, id: number): StoredSide | null =>
  db.select().from(sideTrials).where(eq(sideTrials.id, id)).get() ?? null;
export const findCandidate = (db: Database, id: number): StoredCandidate | null =>
  db.select().from(sideCandidates).where(eq(sideCandidates.id, id)).get() ?? null;
/** In the order they were chosen in. */
export const loadCandidates = (db: Database, trialIds: readonly number[]): readonly StoredCandidate[] =>
  db
    .select()
    .from(sideCandidates)
    .where(isIn(sideCandidates.trialId, trialIds))
    .orderBy(sideCandidates.trialId, sideCandidates.id)
    .all();

export const changeSide = (db: Database, id: number, change: Pick<StoredSide, 'closedAtMs'>): void =>
  void db.update(sideTrials).set(change).where(eq(sideTrials.id, id)).run();
export const changeCandidate = (db: Database, id: number, change: CandidateChange): void =>
  void db.update(sideCandidates).set(change).where(eq(sideCandidates.id, id)).run();
/** With its candidates. */
export const deleteSide = (db: Database, id: number): void =>
  void db.delete(sideTrials).where(eq(sideTrials.id, id)).run();

const isLabelled = ne(sideCandidates.label, '');
const LISTED = 200;
export const listOpenSides = (db: Database): readonly StoredSide[] =>
  db
    .select()
    .from(sideTrials)
    .where(isNull(sideTrials.closedAtMs))
    .orderBy(desc(sideTrials.startedAtMs))
    .limit(LISTED)
    .all();

/** Closed ones, the latest first; `beforeMs`: begun before then. */
export const listClosedSides = (db: Database, limit: number, beforeMs: number | null): readonly StoredSide[] =>
  db
    .select()
    .from(sideTrials)
    .where(and(isNotNull(sideTrials.closedAtMs), beforeMs === null ? undefined : lt(sideTrials.startedAtMs, beforeMs)))
    .orderBy(desc(sideTrials.startedAtMs))
    .limit(limit)
    .all();

export type SideCount = Pick<StoredCandidate, 'vinylId' | 'lotId'> &
  Pick<StoredSide, 'design' | 'finestMm'> & {
    readonly tries: number;
    readonly failures: number;
    readonly lastAtMs: number;
  };

/** What one candidate says of its vinyl; nothing before its sheet is closed, nor where the vinyl was not in question. */
export function countCandidate(
  { axis, design, finestMm, pieces }: Pick<StoredSide, 'axis' | 'design' | 'finestMm' | 'pieces'>,
  { vinylId, lotId, sheet, filledAtMs }: Pick<StoredCandidate, 'vinylId' | 'lotId' | 'sheet' | 'filledAtMs'>,
): SideCount | null {
  if (axis !== 'vinyl' || filledAtMs === null) return null;
  return { vinylId, lotId, design, finestMm, tries: pieces, failures: sheet.lost, lastAtMs: filledAtMs };
}

/** Of all candidates that count. */
export const sumFilledSides = (db: Database): readonly SideCount[] =>
  db
    .select()
    .from(sideCandidates)
    .innerJoin(sideTrials, eq(sideTrials.id, sideCandidates.trialId))
    .where(isNotNull(sideCandidates.filledAtMs))
    .all()
    .flatMap(({ side_trials: side, side_candidates: candidate }) => countCandidate(side, candidate) ?? []);

/** Tapes, mats, tools: candidates of trials along that line, the latest first. */
export const listFilledOfLabels = (db: Database, limit: number) =>
  db
    .select({
      axis: sideTrials.axis,
      pieces: sideTrials.pieces,
      label: sideCandidates.label,
      sheet: sideCandidates.sheet,
    })
    .from(sideCandidates)
    .innerJoin(sideTrials, eq(sideTrials.id, sideCandidates.trialId))
    .where(and(isNotNull(sideCandidates.filledAtMs), isLabelled))
    .orderBy(desc(sideCandidates.filledAtMs), desc(sideCandidates.id))
    .limit(limit)
    .all();
