// Items: a blank, artworks at places of it with a vinyl for each layer, and whatever else goes into them.

import { and, asc, count, desc, eq, inArray, isNull, lt, or, sql } from 'drizzle-orm';
import { listAllPlacements, PLAIN_DETAILS, type ItemPlan, type AcceptedCost, type Placement } from '../core/costing';
import { groupBy } from '../core/units';
import { isListed } from './find-named';
import type { Database } from './database';
import { isIn, isInThose, those } from './is-in';
import { prepareOnce } from './prepared';
import { itemCostRests, itemCosts, itemPlacements, items, itemVinyls } from './schema';

export type ItemFields = ItemPlan & { readonly name: string; readonly quantity: number };
export type StoredItem = ItemFields & {
  readonly id: number;
  readonly version: number;
  readonly archived: boolean;
  readonly acceptedCost: AcceptedCost | null;
};

function assembleItems(db: Database, rows: readonly (typeof items.$inferSelect)[]): readonly StoredItem[] {
  const ids = those(rows.map((row) => row.id));
  const vinylsOf = prepareOnce(db, 'vinyls of items', () =>
    db.select().from(itemVinyls).where(isInThose(itemVinyls.itemId)).orderBy(asc(itemVinyls.layerIndex)).prepare(),
  );
  const placementsOf = prepareOnce(db, 'placements of items', () =>
    db
      .select()
      .from(itemPlacements)
      .where(isInThose(itemPlacements.itemId))
      .orderBy(asc(itemPlacements.position))
      .prepare(),
  );
  const vinyls = groupBy(vinylsOf.all(ids), (row) => `${row.itemId} ${row.position}`);
  const placements = groupBy(placementsOf.all(ids), (row) => row.itemId);
  return rows.map(({ archivedAtMs, details, ...fields }) => ({
    ...fields,
    archived: archivedAtMs !== null,
    details: { ...PLAIN_DETAILS, ...details },
    placements: (placements.get(fields.id) ?? []).map(({ itemId, position, ...placement }): Placement => ({
      ...placement,
      vinylIds: (vinyls.get(`${itemId} ${position}`) ?? []).map((row) => row.vinylId),
    })),
  }));
}

export function loadItems(db: Database): readonly StoredItem[] {
  return assembleItems(
    db,
    db.select().from(items).where(isNull(items.archivedAtMs)).orderBy(asc(items.name), asc(items.id)).all(),
  );
}

export const ITEM_SORTS = ['name', 'made', 'cost', 'price', 'hour'] as const;
export type ItemSort = (typeof ITEM_SORTS)[number];
const SORT_COLUMNS = {
  name: items.name,
  made: items.quantity,
  cost: itemCosts.withRisk,
  price: items.price,
  hour: itemCosts.hourEarns,
} as const;

export type ItemSearch = {
  readonly words: string;
  /** Only those on which an hour earns less than that. */
  readonly earnsUnder?: number | undefined;
};

/** A page of the items on the list. Sorted by a cost only where all costs are known. */
export function listItems(
  db: Database,
  search: ItemSearch & {
    readonly sort: ItemSort;
    readonly down: boolean;
    readonly offset: number;
    readonly limit: number;
  },
): readonly StoredItem[] {
  const column = SORT_COLUMNS[search.sort];
  const rows = db
    .select({ id: items.id })
    .from(items)
    .leftJoin(itemCosts, eq(itemCosts.itemId, items.id))
    .where(isFound(search))
    .orderBy(search.down ? desc(column) : asc(column), asc(items.name), asc(items.id))
    .limit(search.limit)
    .offset(search.offset)
    .all();
  const found = new Map(
    findItems(
      db,
      rows.map((row) => row.id),
    ).map((item) => [item.id, item]),
  );
  return rows.flatMap(({ id }) => found.get(id) ?? []);
}

export const countItems = (db: Database, search: ItemSearch): number =>
  db
    .select({ count: sql<number>`count(*)` })
    .from(items)
    .leftJoin(itemCosts, eq(itemCosts.itemId, items.id))
    .where(isFound(search))
    .get()!.count;

const isFound = ({ words, earnsUnder }: ItemSearch) =>
  and(isListed('item', words), earnsUnder === undefined ? undefined : lt(itemCosts.hourEarns, earnsUnder));

/** Names by id, also of those taken off the list. */
export const nameItems = (db: Database, ids: readonly number[]): ReadonlyMap<number, string> =>
  new Map(
    db
      .select({ id: items.id, name: items.name })
      .from(items)
      .where(isIn(items.id, ids))
      .all()
      .map(({ id, name }) => [id, name]),
  );

/** Items by id, also those taken off the list. */
export function findItems(db: Database, ids: readonly number[]): readonly StoredItem[] {
  const statement = prepareOnce(db, 'items', () => db.select().from(items).where(isInThose(items.id)).prepare());
  return assembleItems(db, statement.all(those(ids)));
}

export const findItem = (db: Database, id: number): StoredItem | null => findItems(db, [id])[0] ?? null;

/** Items on the list with this artwork at a place, or a layer in this vinyl. */
export function findItemIdsUsing(
  db: Database,
  material: { readonly artworkId: number } | { readonly vinylId: number },
): readonly number[] {
  const users =
    'artworkId' in material
      ? db
          .select({ id: itemPlacements.itemId })
          .from(itemPlacements)
          .where(eq(itemPlacements.artworkId, material.artworkId))
      : db.select({ id: itemVinyls.itemId }).from(itemVinyls).where(eq(itemVinyls.vinylId, material.vinylId));
  return db
    .select({ id: items.id })
    .from(items)
    .where(and(inArray(items.id, users), isNull(items.archivedAtMs)))
    .orderBy(asc(items.id))
    .all()
    .map((row) => row.id);
}

/**
 * Items on the list with a layer in one of these vinyls; also those that have it in a variant, as far as their costs
 * are known. By name.
 */
export function findItemIdsUsingVinyls(db: Database, vinylIds: readonly number[]): readonly number[] {
  const placed = db.select({ id: itemVinyls.itemId }).from(itemVinyls).where(isIn(itemVinyls.vinylId, vinylIds));
  const rested = db
    .select({ id: itemCostRests.itemId })
    .from(itemCostRests)
    .where(
      isIn(
        itemCostRests.what,
        vinylIds.map((id) => `vinyl:${id}`),
      ),
    );
  return db
    .select({ id: items.id })
    .from(items)
    .where(and(or(inArray(items.id, placed), inArray(items.id, rested)), isNull(items.archivedAtMs)))
    .orderBy(asc(items.name), asc(items.id))
    .all()
    .map((row) => row.id);
}

function writePlacements(db: Database, itemId: number, placements: readonly Placement[]): void {
  db.insert(itemPlacements)
    .values(placements.map(({ vinylIds: _vinylIds, ...placement }, position) => ({ itemId, position, ...placement })))
    .run();
  db.insert(itemVinyls)
    .values(
      placements.flatMap(({ vinylIds }, position) =>
        vinylIds.map((vinylId, layerIndex) => ({ itemId, position, layerIndex, vinylId })),
      ),
    )
    .run();
}

/** Several statements: call it inside a transaction. */
export function insertItem(
  db: Database,
  { placements, ...fields }: ItemFields,
  acceptedCost: AcceptedCost | null = null,
): number {
  const { id } = db
    .insert(items)
    .values({ ...fields, acceptedCost })
    .returning({ id: items.id })
    .get();
  writePlacements(db, id, placements);
  return id;
}

/** False when it was changed since `version` was read. Several statements: call it inside a transaction. */
export function updateItem(
  db: Database,
  id: number,
  { placements, ...fields }: ItemFields,
  version: number,
  acceptedCost: AcceptedCost | null = null,
): boolean {
  const { changes } = db
    .update(items)
    .set({ ...fields, acceptedCost, version: sql`${items.version} + 1` })
    .where(and(eq(items.id, id), eq(items.version, version)))
    .run();
  if (changes === 0) return false;
  db.delete(itemVinyls).where(eq(itemVinyls.itemId, id)).run();
  db.delete(itemPlacements).where(eq(itemPlacements.itemId, id)).run();
  writePlacements(db, id, placements);
  return true;
}

/** What it costs now is agreed to; nobody's entries are touched, so the version stays. */
export function setAcceptedCost(db: Database, id: number, acceptedCost: AcceptedCost | null): boolean {
  return db.update(items).set({ acceptedCost }).where(eq(items.id, id)).run().changes === 1;
}

export function setItemArchived(db: Database, id: number, atMs: number | null): boolean {
  return db.update(items).set({ archivedAtMs: atMs }).where(eq(items.id, id)).run().changes === 1;
}

/** How many items on the list use each of these artworks at a place, by its id. */
export function countItemsByArtwork(db: Database, artworkIds: readonly number[]): ReadonlyMap<number, number> {
  const rows = db
    .select({ id: itemPlacements.artworkId, uses: count(sql`distinct ${items.id}`) })
    .from(itemPlacements)
    .innerJoin(items, eq(items.id, itemPlacements.itemId))
    .where(and(isNull(items.archivedAtMs), isIn(itemPlacements.artworkId, artworkIds)))
    .groupBy(itemPlacements.artworkId)
    .all();
  return new Map(rows.map((row) => [row.id, row.uses]));
}

/** How many layers the items on the list take an artwork to have; null where none uses it. */
export function countLayersInUse(db: Database, artworkId: number): number | null {
  for (const item of loadItems(db)) {
    const placement = listAllPlacements(item).find((candidate) => candidate.artworkId === artworkId);
    if (placement) return placement.vinylIds.length;
  }
  return null;
}
