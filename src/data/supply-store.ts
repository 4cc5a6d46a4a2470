// Supplies and what wears them.

import { and, asc, desc, eq, gt, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Supply, SupplyKind, WearLine, WearLineKind } from '../core/stock';
import { groupBy } from '../core/units';
import type { Database } from './database';
import { isInThose, those } from './is-in';
import { insertRow, prepareOnce } from './prepared';
import { supplies, supplyWear } from './schema';

export type SupplyFields = Omit<Supply, 'id'>;
export type StoredSupply = Supply & { readonly version: number; readonly archived: boolean };
export type StoredWear = WearLine & { readonly supplyId: number };

const toSupply = ({ archivedAtMs, ...fields }: typeof supplies.$inferSelect): StoredSupply => ({
  ...fields,
  archived: archivedAtMs !== null,
});

/** By name; those no longer kept only when asked for. */
export const loadSupplies = (
  db: Database,
  { archived = false }: { readonly archived?: boolean } = {},
): readonly StoredSupply[] =>
  db
    .select()
    .from(supplies)
    .where(archived ? undefined : isNull(supplies.archivedAtMs))
    .orderBy(asc(supplies.name), asc(supplies.id))
    .all()
    .map(toSupply);
export function findSupply(db: Database, id: number): StoredSupply | null {
  const row = prepareOnce(db, 'supply', () =>
    db
      .select()
      .from(supplies)
      .where(eq(supplies.id, sql.placeholder('id')))
      .prepare(),
  ).get({ id });
  return row ? toSupply(row) : null;
}
export const insertSupply = (db: Database, fields: SupplyFields): number =>
  db.insert(supplies).values(fields).returning({ id: supplies.id }).get().id;
/** False when it was changed since `version` was read. */
export const updateSupply = (db: Database, id: number, fields: SupplyFields, version: number): boolean =>
  db
    .update(supplies)
    .set({ ...fields, version: sql`${supplies.version} + 1` })
    .where(and(eq(supplies.id, id), eq(supplies.version, version)))
    .run().changes === 1;
export const setSupplyArchived = (db: Database, id: number, atMs: number | null): boolean =>
  db.update(supplies).set({ archivedAtMs: atMs }).where(eq(supplies.id, id)).run().changes === 1;

type NewWear = {
  readonly supplyId: number;
  readonly atMs: number;
  readonly kind: WearLineKind;
  readonly amount: number;
  /** What one of `amount` costs, minor units. */
  readonly unitCost?: number;
  readonly sessionId: number | null;
};

/** Written out: an index of such lines alone is not used for a value that is handed over. */
const IS_FITTED = sql`${supplyWear.kind} = 'fitted'`;

export function addWear(db: Database, line: NewWear): void {
  const wornBefore = line.kind === 'fitted' ? sumWornInUse(db, line.supplyId) : null;
  insertRow(db, supplyWear, { ...line, ...(wornBefore === null ? {} : { wornBefore }) });
}

/** What the one in use has worn, whether or not it was cleaned; null where none is in use. */
function sumWornInUse(db: Database, supplyId: number): number | null {
  const ofSupply = eq(supplyWear.supplyId, supplyId);
  const fitted = db
    .select({ id: sql<number | null>`max(${supplyWear.id})` })
    .from(supplyWear)
    .where(and(ofSupply, IS_FITTED))
    .get();
  if (!fitted || fitted.id === null) return null;
  const since = db
    .select({ worn: WORN })
    .from(supplyWear)
    .where(and(ofSupply, gt(supplyWear.id, fitted.id)))
    .get();
  return since?.worn ?? 0;
}

/** Cleaning brings back life, but what was worn stays worn. */
const WORN = sql<number>`sum(case ${supplyWear.kind} when 'worn' then ${supplyWear.amount} when 'given-back' then -${supplyWear.amount} else 0 end)`;

/** What a piece of work wore and did not give back, by supply. */
export const loadWearOfSession = (
  db: Database,
  sessionId: number,
): readonly {
  readonly supplyId: number;
  readonly kind: SupplyKind;
  readonly amount: number;
  readonly unitCost: number;
}[] =>
  db
    .select({
      supplyId: supplyWear.supplyId,
      kind: supplies.kind,
      amount: WORN,
      unitCost: sql<number>`coalesce(max(${supplyWear.unitCost}), 0)`,
    })
    .from(supplyWear)
    .innerJoin(supplies, eq(supplies.id, supplyWear.supplyId))
    .where(eq(supplyWear.sessionId, sessionId))
    .groupBy(supplyWear.supplyId)
    .all();

/** What each of a supply that was replaced had worn by then, by time. */
export const loadLives = (db: Database, supplyId: number): readonly number[] =>
  prepareOnce(db, 'lives of a supply', () =>
    db
      .select({ worn: sql<number>`${supplyWear.wornBefore}` })
      .from(supplyWear)
      .where(and(eq(supplyWear.supplyId, sql.placeholder('supplyId')), IS_FITTED, isNotNull(supplyWear.wornBefore)))
      .orderBy(asc(supplyWear.id))
      .prepare(),
  )
    .all({ supplyId })
    .map(({ worn }) => worn);

/** Of each supply, what was booked since the last one was fitted, that included; by time. */
export function loadWearInUse(db: Database): ReadonlyMap<number, readonly StoredWear[]> {
  const starts = prepareOnce(db, 'supplies in use', () =>
    db
      .select({ id: sql<number>`max(${supplyWear.id})`, supplyId: supplyWear.supplyId })
      .from(supplyWear)
      .where(IS_FITTED)
      .groupBy(supplyWear.supplyId)
      .prepare(),
  ).all();
  const since = prepareOnce(db, 'wear of a supply since', () =>
    db
      .select({
        supplyId: supplyWear.supplyId,
        atMs: supplyWear.atMs,
        kind: supplyWear.kind,
        amount: supplyWear.amount,
      })
      .from(supplyWear)
      .where(
        and(
          eq(supplyWear.supplyId, sql.placeholder('supplyId')),
          sql`${supplyWear.id} >= ${sql.placeholder('fromId')}`,
        ),
      )
      .orderBy(asc(supplyWear.id))
      .prepare(),
  );
  return new Map(starts.map(({ id, supplyId }) => [supplyId, since.all({ supplyId, fromId: id })]));
}

/** When one of a kind was put to use, the latest first. */
export const listFittedAt = (db: Database, kind: SupplyKind, limit: number): readonly number[] =>
  db
    .select({ atMs: supplyWear.atMs })
    .from(supplyWear)
    .innerJoin(supplies, eq(supplies.id, supplyWear.supplyId))
    .where(and(IS_FITTED, eq(supplies.kind, kind)))
    .orderBy(desc(supplyWear.id))
    .limit(limit)
    .all()
    .map(({ atMs }) => atMs);

/** The supply of each of these kinds that was fitted last: the one in use. */
export function findFitted(db: Database, kinds: readonly SupplyKind[]): ReadonlyMap<SupplyKind, number> {
  const rows = prepareOnce(db, 'fitted supplies', () =>
    db
      .select({ kind: supplies.kind, supplyId: supplyWear.supplyId, id: sql<number>`max(${supplyWear.id})` })
      .from(supplyWear)
      .innerJoin(supplies, eq(supplies.id, supplyWear.supplyId))
      .where(and(IS_FITTED, isNull(supplies.archivedAtMs), isInThose(supplies.kind)))
      .groupBy(supplyWear.supplyId)
      .prepare(),
  ).all(those(kinds));
  return new Map(
    [...groupBy(rows, (row) => row.kind)].map(([kind, own]) => [
      kind,
      own.reduce((a, b) => (b.id > a.id ? b : a)).supplyId,
    ]),
  );
}
