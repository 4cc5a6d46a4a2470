// Suppliers, their offers with the history of prices, and purchases.

import { and, asc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { Offer, PriceBreak } from '../core/buying';
import type { Minimum } from '../core/stock';
import { groupBy, type Minor } from '../core/units';
import type { Database } from './database';
import { isIn } from './is-in';
import { insertRow, insertRows, prepareOnce } from './prepared';
import { minimums, offerBreaks, offerParts, offerPrices, offers, suppliers } from './schema';

export type StoredPart = {
  readonly key: string | null;
  readonly label: string;
  readonly count: number;
  readonly widthMm: number | null;
  readonly lengthMm: number | null;
};
export type OfferFields = {
  readonly supplierId: number;
  readonly code: string;
  readonly name: string;
  readonly price: Minor;
  readonly parts: readonly StoredPart[];
  readonly breaks: readonly PriceBreak[];
  readonly takePay: Offer['takePay'];
};
export type StoredOffer = OfferFields & {
  readonly id: number;
  readonly pricedAtMs: number;
  readonly archived: boolean;
  readonly version: number;
};

type OfferRow = typeof offers.$inferSelect;

/** `among`: of which offers parts and breaks are read; more than those of the rows may be. */
function assemble(db: Database, rows: readonly OfferRow[], among: Wish): readonly StoredOffer[] {
  const parts = groupBy(
    db.select().from(offerParts).where(among(offerParts.offerId)).orderBy(asc(offerParts.position)).all(),
    (row) => row.offerId,
  );
  const breaks = groupBy(
    db.select().from(offerBreaks).where(among(offerBreaks.offerId)).orderBy(asc(offerBreaks.fromPacks)).all(),
    (row) => row.offerId,
  );
  return rows.map(({ takeCount, payCount, archivedAtMs, ...fields }) => ({
    ...fields,
    archived: archivedAtMs !== null,
    takePay: takeCount === null ? null : { take: takeCount, pay: payCount! },
    parts: (parts.get(fields.id) ?? []).map(({ key, label, count, widthMm, lengthMm }) => ({
      key,
      label,
      count,
      widthMm,
      lengthMm,
    })),
    breaks: (breaks.get(fields.id) ?? []).map(({ fromPacks, price }) => ({ fromPacks, price })),
  }));
}

type Wish = (offerId: typeof offerParts.offerId | typeof offerBreaks.offerId) => SQL | undefined;

/** A list of 20,000 ids is no question to ask: of so many all are read. */
const MOST_ASKED = 500;
const assembleThese = (db: Database, rows: readonly OfferRow[]): readonly StoredOffer[] =>
  assemble(db, rows, (offerId) =>
    rows.length < MOST_ASKED
      ? isIn(
          offerId,
          rows.map((row) => row.id),
        )
      : undefined,
  );

/** Offers that still stand, of suppliers that still are. */
export function loadOffers(db: Database, supplierId?: number): readonly StoredOffer[] {
  const stands = and(
    isNull(offers.archivedAtMs),
    supplierId === undefined ? undefined : eq(offers.supplierId, supplierId),
  );
  const rows = db.select().from(offers).where(stands).orderBy(asc(offers.name), asc(offers.id)).all();
  return assemble(db, rows, (offerId) => inArray(offerId, db.select({ id: offers.id }).from(offers).where(stands)));
}

/** The versions of all offers that still stand, of suppliers that still are, by id. */
export const loadOfferVersions = (db: Database): ReadonlyMap<number, number> =>
  new Map(
    db
      .select({ id: offers.id, version: offers.version })
      .from(offers)
      .innerJoin(suppliers, eq(suppliers.id, offers.supplierId))
      .where(and(isNull(offers.archivedAtMs), isNull(suppliers.archivedAtMs)))
      .values() as [number, number][],
  );

/** Those that hold one of these things, by name; only offers that still stand. */
export const findOffersOf = (db: Database, keys: readonly string[]): readonly StoredOffer[] =>
  assembleThese(
    db,
    db
      .select()
      .from(offers)
      .where(
        and(
          isNull(offers.archivedAtMs),
          inArray(offers.id, db.select({ id: offerParts.offerId }).from(offerParts).where(isIn(offerParts.key, keys))),
        ),
      )
      .orderBy(asc(offers.name), asc(offers.id))
      .all(),
  );
export const findOffers = (db: Database, ids: readonly number[]): readonly StoredOffer[] =>
  assembleThese(db, db.select().from(offers).where(isIn(offers.id, ids)).all());

function dropContents(db: Database, offerId: number): void {
  db.delete(offerParts).where(eq(offerParts.offerId, offerId)).run();
  db.delete(offerBreaks).where(eq(offerBreaks.offerId, offerId)).run();
}

function writeContents(db: Database, offerId: number, { parts, breaks }: Pick<OfferFields, 'parts' | 'breaks'>): void {
  insertRows(
    db,
    offerParts,
    parts.map((part, position) => ({ offerId, position, ...part })),
  );
  insertRows(
    db,
    offerBreaks,
    breaks.map((step) => ({ offerId, ...step })),
  );
}

/**
 * Adds an offer, or brings the one of the same code up to date; a new price is added to its history. Several
 * statements: call it inside a transaction.
 */
export function putOffer(db: Database, fields: OfferFields, nowMs: number): number {
  const { supplierId, code, name, price, takePay } = fields;
  const row = {
    name,
    price,
    takeCount: takePay?.take ?? null,
    payCount: takePay?.pay ?? null,
    pricedAtMs: nowMs,
    archivedAtMs: null,
  };
  const known = findOfferOfCode(db).get({ supplierId, code });
  const id = known ? known.id : insertRow(db, offers, { supplierId, code, ...row });
  if (known)
    db.update(offers)
      .set({ ...row, version: sql`${offers.version} + 1` })
      .where(eq(offers.id, id))
      .run();
  if (!known || known.price !== price) addPrice(db).run({ offerId: id, atMs: nowMs, price });
  if (known) dropContents(db, id);
  writeContents(db, id, fields);
  return id;
}

const findOfferOfCode = (db: Database) =>
  prepareOnce(db, 'offer of a code', () =>
    db
      .select({ id: offers.id, price: offers.price })
      .from(offers)
      .where(and(eq(offers.supplierId, sql.placeholder('supplierId')), eq(offers.code, sql.placeholder('code'))))
      .prepare(),
  );

/** A second price of the same instant takes the place of the first. */
const addPrice = (db: Database) =>
  prepareOnce(db, 'price of an offer', () =>
    db
      .insert(offerPrices)
      .values({ offerId: sql.placeholder('offerId'), atMs: sql.placeholder('atMs'), price: sql.placeholder('price') })
      .onConflictDoUpdate({ target: [offerPrices.offerId, offerPrices.atMs], set: { price: sql`excluded.price` } })
      .prepare(),
  );

/** The fewest days in which anybody delivers each of these things, by key. */
export function loadShortestLeads(db: Database, keys: readonly string[]): ReadonlyMap<string, number> {
  const rows = db
    .select({ key: offerParts.key, days: sql<number>`min(${suppliers.leadDays})` })
    .from(offerParts)
    .innerJoin(offers, eq(offers.id, offerParts.offerId))
    .innerJoin(suppliers, eq(suppliers.id, offers.supplierId))
    .where(and(isNull(offers.archivedAtMs), isNull(suppliers.archivedAtMs), isIn(offerParts.key, keys)))
    .groupBy(offerParts.key)
    .all();
  return new Map(rows.flatMap(({ key, days }) => (key === null ? [] : [[key, days] as const])));
}

/** Changes whenever an offer does. */
export const readOfferStamp = (db: Database): readonly unknown[] =>
  Object.values(
    db
      .select({
        count: sql`count(*)`,
        changes: sql`sum(${offers.version})`,
        kept: sql`sum(${offers.archivedAtMs} is null)`,
        newest: sql`max(${offers.pricedAtMs})`,
      })
      .from(offers)
      .get() ?? {},
  );

export const setOfferArchived = (db: Database, id: number, atMs: number | null): boolean =>
  db.update(offers).set({ archivedAtMs: atMs }).where(eq(offers.id, id)).run().changes === 1;
/** Several statements: call it inside a transaction. */
export function setPartKey(db: Database, offerId: number, position: number, key: string | null): boolean {
  db.update(offers)
    .set({ version: sql`${offers.version} + 1` })
    .where(eq(offers.id, offerId))
    .run();
  return (
    db
      .update(offerParts)
      .set({ key })
      .where(and(eq(offerParts.offerId, offerId), eq(offerParts.position, position)))
      .run().changes === 1
  );
}
export const loadPrices = (
  db: Database,
  offerId: number,
): readonly { readonly atMs: number; readonly price: Minor }[] =>
  db
    .select({ atMs: offerPrices.atMs, price: offerPrices.price })
    .from(offerPrices)
    .where(eq(offerPrices.offerId, offerId))
    .orderBy(asc(offerPrices.atMs))
    .all();

export const loadMinimums = (db: Database): ReadonlyMap<string, Minimum> =>
  new Map(
    db
      .select()
      .from(minimums)
      .all()
      .map(({ key, ...minimum }) => [key, minimum]),
  );
/** Neither amount nor weeks: no minimum any more. */
export function setMinimum(db: Database, key: string, minimum: Minimum): void {
  if (minimum.amount === null && minimum.coverWeeks === null) db.delete(minimums).where(eq(minimums.key, key)).run();
  else
    db.insert(minimums)
      .values({ key, ...minimum })
      .onConflictDoUpdate({ target: minimums.key, set: { ...minimum } })
      .run();
}
