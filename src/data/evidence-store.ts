// What the steps of parts come to: where each part is, how often items and vinyls were made and spoiled. Kept in the
// transaction that adds the steps; `recountParts` gives the same from all of them.

import { eq, inArray, sql } from 'drizzle-orm';
import { advancePart, foldPart, UNTOUCHED_PART, type PartEvent, type PartNow } from '../core/orders';
import { groupBy } from '../core/units';
import type { Database } from './database';
import { isIn } from './is-in';
import { keepLotCounts, recountLots } from './lot-evidence-store';
import { prepareOnce } from './prepared';
import { sumFilledSides } from './side-store';
import { writeStoredJson } from './stored-json';
import { itemEvidence, orderLines, partEvents, parts, pieces, vinylEvidence } from './schema';

export type Counts = { readonly made: number; readonly spoiled: number };
type Step = Pick<
  PartEvent,
  'partId' | 'kind' | 'atMs' | 'undoes' | 'recut' | 'cause' | 'lotId' | 'design' | 'finestMm'
>;

/** Brings what is kept of parts, items and vinyls up to date with steps that were just added. */
export function keepSteps(db: Database, steps: readonly Step[]): void {
  for (const [partId, own] of groupBy(steps, (step) => step.partId)) keepPartState(db, partId, own);
  keepCounts(db, steps);
  keepLotCounts(db, steps, (partId) => findOwners(db, partId).vinylId);
}

function keepPartState(db: Database, partId: number, steps: readonly Step[]): void {
  const now = steps.some((step) => step.kind === 'undone')
    ? foldPart(loadEventsOfPart(db, partId))
    : steps.reduce(
        (part, { kind, recut }) => (kind === 'undone' ? part : advancePart(part, { kind, recut })),
        readPartState(db, partId),
      );
  setPartState(db, partId, now);
}

const readPartState = (db: Database, partId: number): PartNow =>
  prepareOnce(db, 'state of a part', () =>
    db
      .select({ state: parts.state, broken: parts.broken, recut: parts.recut })
      .from(parts)
      .where(eq(parts.id, sql.placeholder('partId')))
      .prepare(),
  ).get({ partId }) ?? UNTOUCHED_PART;

function setPartState(db: Database, partId: number, { state, broken, recut }: PartNow): void {
  prepareOnce(db, 'set state of a part', () =>
    db
      .update(parts)
      .set({
        state: sql`${sql.placeholder('state')}`,
        broken: sql`${sql.placeholder('broken')}`,
        recut: sql`${sql.placeholder('recut')}`,
      })
      .where(eq(parts.id, sql.placeholder('partId')))
      .prepare(),
  ).run({ partId, state, broken: broken ? 1 : 0, recut: recut ? writeStoredJson(recut, []) : null });
}

const loadEventsOfPart = (db: Database, partId: number): readonly PartEvent[] =>
  db.select().from(partEvents).where(eq(partEvents.partId, partId)).orderBy(partEvents.id).all();

/** By how much steps move a count: what is taken back counts against it. */
type Change = { partId: number; cut: number; spoiled: number };

function listChanges(db: Database, steps: readonly Step[]): readonly Change[] {
  const undone = steps.flatMap((step) => step.undoes ?? []);
  const kinds = new Map(
    undone.length === 0
      ? []
      : db
          .select({ id: partEvents.id, kind: partEvents.kind })
          .from(partEvents)
          .where(isIn(partEvents.id, undone))
          .all()
          .map(({ id, kind }) => [id, kind] as const),
  );
  return steps.flatMap(({ partId, kind, undoes }): Change[] => {
    const sign = kind === 'undone' ? -1 : 1;
    const what = kind === 'undone' ? kinds.get(undoes ?? 0) : kind;
    if (what === 'cut') return [{ partId, cut: sign, spoiled: 0 }];
    return what === 'spoiled' ? [{ partId, cut: 0, spoiled: sign }] : [];
  });
}

function keepCounts(db: Database, steps: readonly Step[]): void {
  const items = new Map<number, { made: number; spoiled: number }>();
  const vinyls = new Map<number, { made: number; spoiled: number }>();
  const add = (to: typeof items, id: number, made: number, spoiled: number) => {
    const sum = to.get(id) ?? { made: 0, spoiled: 0 };
    to.set(id, { made: sum.made + made, spoiled: sum.spoiled + spoiled });
  };
  for (const { partId, cut, spoiled } of listChanges(db, steps)) {
    const { pieceId, cuts, vinylId, itemId } = findOwners(db, partId);
    const becomesMade = Number(cuts + cut > 0) - Number(cuts > 0);
    if (cut !== 0) setCuts(db, pieceId, cuts + cut);
    add(items, itemId, becomesMade, spoiled);
    add(vinyls, vinylId, cut, spoiled);
  }
  for (const [itemId, counts] of items)
    if (counts.made !== 0 || counts.spoiled !== 0) addToItem(db, { itemId, ...counts });
  for (const [vinylId, counts] of vinyls)
    if (counts.made !== 0 || counts.spoiled !== 0) addToVinyl(db, { vinylId, ...counts });
}

function findOwners(db: Database, partId: number) {
  return prepareOnce(db, 'owners of a part', () =>
    db
      .select({ pieceId: pieces.id, cuts: pieces.cuts, vinylId: parts.vinylId, itemId: orderLines.itemId })
      .from(parts)
      .innerJoin(pieces, eq(pieces.id, parts.pieceId))
      .innerJoin(orderLines, eq(orderLines.id, pieces.lineId))
      .where(eq(parts.id, sql.placeholder('partId')))
      .prepare(),
  ).get({ partId })!;
}

function setCuts(db: Database, pieceId: number, cuts: number): void {
  prepareOnce(db, 'set cuts of a piece', () =>
    db
      .update(pieces)
      .set({ cuts: sql`${sql.placeholder('cuts')}` })
      .where(eq(pieces.id, sql.placeholder('pieceId')))
      .prepare(),
  ).run({ pieceId, cuts });
}

function addToItem(db: Database, counts: Required<typeof itemEvidence.$inferInsert>): void {
  prepareOnce(db, 'add to the evidence of an item', () => {
    const set = addGiven(itemEvidence);
    return db
      .insert(itemEvidence)
      .values({ itemId: sql.placeholder('itemId'), ...COUNTS })
      .onConflictDoUpdate({ target: itemEvidence.itemId, set })
      .prepare();
  }).run(counts);
}

/** Negative: it is taken back. */
export function addToVinyl(db: Database, counts: Required<typeof vinylEvidence.$inferInsert>): void {
  prepareOnce(db, 'add to the evidence of a vinyl', () => {
    const set = addGiven(vinylEvidence);
    return db
      .insert(vinylEvidence)
      .values({ vinylId: sql.placeholder('vinylId'), ...COUNTS })
      .onConflictDoUpdate({ target: vinylEvidence.vinylId, set })
      .prepare();
  }).run(counts);
}

const COUNTS = { made: sql.placeholder('made'), spoiled: sql.placeholder('spoiled') };
const addGiven = ({ made, spoiled }: typeof itemEvidence | typeof vinylEvidence) => ({
  made: sql`${made} + excluded.made`,
  spoiled: sql`${spoiled} + excluded.spoiled`,
});

/** Of one item: pieces of which something was cut, and parts that were spoiled; what was taken back never happened. */
export const findItemEvidence = (db: Database, itemId: number): Counts | null =>
  prepareOnce(db, 'evidence of an item', () =>
    db
      .select({ made: itemEvidence.made, spoiled: itemEvidence.spoiled })
      .from(itemEvidence)
      .where(eq(itemEvidence.itemId, sql.placeholder('itemId')))
      .prepare(),
  ).get({ itemId }) ?? null;

/** By vinyl: parts cut from it, and how many of those were spoiled; what was taken back never happened. */
export const loadVinylEvidence = (db: Database, vinylIds: readonly number[]): ReadonlyMap<number, Counts> =>
  new Map(
    db
      .select()
      .from(vinylEvidence)
      .where(isIn(vinylEvidence.vinylId, vinylIds))
      .all()
      .map(({ vinylId, ...counts }) => [vinylId, counts]),
  );

/** What `keepSteps` keeps, from all steps that ever were: for a file that an older program wrote, and to check it. */
export function recountParts(db: Database): void {
  let partId = 0;
  const stories = new Map<number, PartEvent[]>();
  for (const event of db.select().from(partEvents).orderBy(partEvents.partId, partEvents.id).all()) {
    if (event.partId !== partId) stories.set((partId = event.partId), []);
    stories.get(partId)!.push(event);
  }
  db.update(parts).set(UNTOUCHED_PART).run();
  for (const [id, events] of stories) setPartState(db, id, foldPart(events));
  const live = sql`${partEvents.id} not in (select undoes from part_events where undoes is not null)`;
  db.update(pieces)
    .set({
      cuts: sql`(
        select count(*) from part_events join parts on parts.id = part_events.part_id
        where parts.piece_id = pieces.id and part_events.kind = 'cut' and ${live}
      )`,
    })
    .run();
  recountItems(db, live);
  recountVinyls(db, live);
  recountLots(db, live);
}

const COUNTED = ['cut', 'spoiled'] as const;

function recountItems(db: Database, live: ReturnType<typeof sql>): void {
  db.delete(itemEvidence).run();
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
    .where(sql`${inArray(partEvents.kind, COUNTED)} and ${live}`)
    .groupBy(orderLines.itemId)
    .all();
  for (const row of rows) addToItem(db, row);
}

function recountVinyls(db: Database, live: ReturnType<typeof sql>): void {
  db.delete(vinylEvidence).run();
  const rows = db
    .select({
      vinylId: parts.vinylId,
      made: sql<number>`sum(${partEvents.kind} = 'cut')`,
      spoiled: sql<number>`sum(${partEvents.kind} = 'spoiled')`,
    })
    .from(partEvents)
    .innerJoin(parts, eq(parts.id, partEvents.partId))
    .where(sql`${inArray(partEvents.kind, COUNTED)} and ${live}`)
    .groupBy(parts.vinylId)
    .all();
  for (const row of rows) addToVinyl(db, row);
  for (const { vinylId, tries, failures } of sumFilledSides(db))
    addToVinyl(db, { vinylId, made: tries, spoiled: failures });
}
