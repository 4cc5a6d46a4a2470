// How often the film of a lot failed, by how fine the work was: from the steps of parts and from candidates that were
// tried side by side. Kept as it happens; `recountLots` gives the same from all of it.

import { desc, eq, inArray, sql, type SQL } from 'drizzle-orm';
import { FILM_CAUSES, type PartEvent } from '../core/orders';
import type { Database } from './database';
import { isIn } from './is-in';
import { prepareOnce } from './prepared';
import { lotEvidence, partEvents, parts } from './schema';
import { sumFilledSides } from './side-store';
import { addToWidth, dropWidths } from './width-tries-store';

type LotStep = Pick<PartEvent, 'kind' | 'cause' | 'lotId' | 'design' | 'finestMm'>;
type Step = LotStep & Pick<PartEvent, 'partId' | 'atMs' | 'undoes'>;
const isFilmFailure = ({ kind, cause }: LotStep): boolean =>
  kind === 'spoiled' && cause !== null && FILM_CAUSES.has(cause);

/** What was cut from a lot, and what of it the film failed; what is taken back counts against it. */
export function keepLotCounts(db: Database, steps: readonly Step[], vinylOf: (partId: number) => number): void {
  for (const step of steps) {
    const sign = step.kind === 'undone' ? -1 : 1;
    const what = step.kind === 'undone' ? findStep(db, step.undoes ?? 0) : step;
    if (!what?.design) continue;
    const tries = what.kind === 'cut' ? sign : 0;
    const failures = isFilmFailure(what) ? sign : 0;
    if (tries === 0 && failures === 0) continue;
    const vinylId = vinylOf(step.partId);
    const { design, lotId, finestMm } = what;
    countTries(db, { vinylId, lotId, design, finestMm: finestMm ?? null, tries, failures, lastAtMs: step.atMs });
  }
}

const findStep = (db: Database, id: number): LotStep | undefined =>
  db
    .select({
      kind: partEvents.kind,
      cause: partEvents.cause,
      lotId: partEvents.lotId,
      design: partEvents.design,
      finestMm: partEvents.finestMm,
    })
    .from(partEvents)
    .where(eq(partEvents.id, id))
    .get();

/** Cut from what the book did not have. */
const NO_LOT = 0;

type Tries = Omit<typeof lotEvidence.$inferInsert, 'lotId'> & {
  readonly lotId: number | null | undefined;
  readonly finestMm: number | null;
};

/** Of the lot, and of that width. Negative: it is taken back. */
export function countTries(db: Database, { lotId, finestMm, ...row }: Tries): void {
  addToLot(db, { ...row, lotId: lotId ?? NO_LOT });
  addToWidth(db, { ...row, finestMm });
}

function addToLot(db: Database, row: typeof lotEvidence.$inferInsert): void {
  const add = prepareOnce(db, 'add to lot evidence', () => {
    const { vinylId, lotId, design } = lotEvidence;
    const set = {
      tries: sql`${lotEvidence.tries} + excluded.tries`,
      failures: sql`${lotEvidence.failures} + excluded.failures`,
      lastAtMs: sql`max(${lotEvidence.lastAtMs}, excluded.last_at_ms)`,
    };
    const values = {
      vinylId: sql.placeholder('vinylId'),
      lotId: sql.placeholder('lotId'),
      design: sql.placeholder('design'),
      tries: sql.placeholder('tries'),
      failures: sql.placeholder('failures'),
      lastAtMs: sql.placeholder('lastAtMs'),
    };
    return db
      .insert(lotEvidence)
      .values(values)
      .onConflictDoUpdate({ target: [vinylId, lotId, design], set })
      .prepare();
  });
  add.run(row);
}

export type LotEvidence = typeof lotEvidence.$inferSelect;
/** Of the lots that were worked on last, the latest first. */
export const listLatestLotEvidence = (db: Database, limit: number): readonly LotEvidence[] =>
  db.select().from(lotEvidence).orderBy(desc(lotEvidence.lastAtMs)).limit(limit).all();
export const loadLotEvidence = (db: Database, vinylIds: readonly number[]): readonly LotEvidence[] =>
  db.select().from(lotEvidence).where(isIn(lotEvidence.vinylId, vinylIds)).all();

/** `live`: of steps that were not taken back. */
export function recountLots(db: Database, live: SQL): void {
  db.delete(lotEvidence).run();
  dropWidths(db);
  const isFailure = sql`${partEvents.kind} = 'spoiled' and ${inArray(partEvents.cause, [...FILM_CAUSES])}`;
  const rows = db
    .select({
      vinylId: parts.vinylId,
      lotId: partEvents.lotId,
      design: partEvents.design,
      finestMm: partEvents.finestMm,
      tries: sql<number>`sum(${partEvents.kind} = 'cut')`,
      failures: sql<number>`sum(${isFailure})`,
      lastAtMs: sql<number>`max(${partEvents.atMs})`,
    })
    .from(partEvents)
    .innerJoin(parts, eq(parts.id, partEvents.partId))
    .where(sql`${partEvents.design} is not null and (${partEvents.kind} = 'cut' or (${isFailure})) and ${live}`)
    .groupBy(parts.vinylId, partEvents.lotId, partEvents.design, partEvents.finestMm)
    .all();
  for (const { design, ...row } of rows) if (design) countTries(db, { ...row, design });
  for (const row of sumFilledSides(db)) countTries(db, row);
}
