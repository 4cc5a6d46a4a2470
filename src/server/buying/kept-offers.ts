// What all offers are found and sorted by, kept in order: after a change what it concerns is put in place anew.

import { findOffers, loadOffers, loadOfferVersions, type StoredOffer } from '../../data/offer-store';
import type { ShopContext } from '../context';
import { viewOffer, type Ground } from './view-offer';

export type OfferSort = 'unit' | 'name' | 'newest';

/** What an offer is found and sorted by; the rest of it is read for the page that shows it. */
type OfferEntry = {
  readonly id: number;
  readonly version: number;
  readonly supplierId: number;
  readonly name: string;
  /** Lower case: name, article and what the parts are called. */
  readonly text: string;
  readonly pricedAtMs: number;
  /** What of the shelf its parts are; of those that nobody matched yet there is none. */
  readonly keys: readonly string[];
  readonly isMatched: boolean;
  /** Priced by area; else by piece. */
  readonly isVinyl: boolean;
  /** Minor units for a square metre or a piece. */
  readonly perUnit: number;
};

export type Kept = {
  readonly ground: Ground;
  readonly sorted: Readonly<Record<OfferSort, readonly OfferEntry[]>>;
  readonly unmatched: number;
  readonly bySupplier: ReadonlyMap<number, number>;
};

type Compare = (a: OfferEntry, b: OfferEntry) => number;
const byName: Compare = (a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.id - b.id);
const COMPARE: Readonly<Record<OfferSort, Compare>> = {
  name: byName,
  // Vinyl first, since square metres and pieces can't be compared.
  unit: (a, b) => Number(b.isVinyl) - Number(a.isVinyl) || compareNumbers(a.perUnit, b.perUnit) || byName(a, b),
  newest: (a, b) => b.pricedAtMs - a.pricedAtMs || byName(a, b),
};
/** An offer that has no price by unit is infinitely dear: two such are as dear. */
const compareNumbers = (a: number, b: number): number => (a < b ? -1 : a > b ? 1 : 0);

/** With more to look at anew, all of a supplier's are read at once. */
const MOST_SINGLE = 2000;
const ASKED_AT_ONCE = 400;

export function keepOffers(db: ShopContext['db'], ground: Ground, before: Kept | null): Kept {
  const versions = loadOfferVersions(db);
  const concerned = before && tellConcerned(before.ground, ground);
  const sound = (before?.sorted.name ?? []).filter(
    (entry) => versions.get(entry.id) === entry.version && !concerned?.(entry),
  );
  const soundIds = new Set(sound.map(({ id }) => id));
  const wanted = [...versions.keys()].filter((id) => !soundIds.has(id));
  const fresh = readEntries(db, ground, wanted);
  const sort = (name: OfferSort): readonly OfferEntry[] =>
    // In order but for what is new at its end, which is what sorting is quick with.
    [...(before?.sorted[name] ?? []).filter(({ id }) => soundIds.has(id)), ...fresh].sort(COMPARE[name]);
  const all = sort('name');
  const bySupplier = new Map<number, number>();
  for (const { supplierId } of all) bySupplier.set(supplierId, (bySupplier.get(supplierId) ?? 0) + 1);
  return {
    ground,
    bySupplier,
    unmatched: all.filter(({ isMatched }) => !isMatched).length,
    sorted: { name: all, unit: sort('unit'), newest: sort('newest') },
  };
}

/** Whether an entry rests on something that is not as it was: its supplier, the cutter, what its parts are, what is needed. */
function tellConcerned(before: Ground, now: Ground): (entry: OfferEntry) => boolean {
  if (before.figures.cutterEdgeMm !== now.figures.cutterEdgeMm) return () => true;
  const suppliers = new Set([...before.suppliers, ...now.suppliers].map(({ id }) => id));
  for (const id of suppliers)
    if (before.supplierOf.get(id)?.version === now.supplierOf.get(id)?.version) suppliers.delete(id);
  const keys = new Set(
    [...before.needed, ...now.needed].filter((key) => before.needed.has(key) !== now.needed.has(key)),
  );
  for (const key of new Set([...before.thingOf.keys(), ...now.thingOf.keys()]))
    if (before.thingOf.get(key)?.name !== now.thingOf.get(key)?.name) keys.add(key);
  return (entry) => suppliers.has(entry.supplierId) || entry.keys.some((key) => keys.has(key));
}

function readEntries(db: ShopContext['db'], ground: Ground, ids: readonly number[]): readonly OfferEntry[] {
  const enter = (stored: StoredOffer) => toEntry(ground, stored) ?? [];
  if (ids.length <= MOST_SINGLE)
    return Array.from({ length: Math.ceil(ids.length / ASKED_AT_ONCE) }, (_, lot) =>
      findOffers(db, ids.slice(lot * ASKED_AT_ONCE, (lot + 1) * ASKED_AT_ONCE)).flatMap(enter),
    ).flat();
  const wanted = new Set(ids);
  // One supplier after another: all offers at once are a hundred megabytes for a moment.
  return ground.suppliers.flatMap(({ id }) =>
    loadOffers(db, id)
      .filter((offer) => wanted.has(offer.id))
      .flatMap(enter),
  );
}

/** Null where its supplier is not on the list any more. */
function toEntry(ground: Ground, stored: StoredOffer): OfferEntry | null {
  const view = viewOffer(ground, stored);
  if (!view) return null;
  const { perM2, perPiece } = view.unit;
  const names = view.parts.map((part) => part.thing?.name ?? part.label);
  return {
    id: view.id,
    version: view.version,
    supplierId: view.supplierId,
    name: view.name,
    text: `${view.name} ${view.code} ${names.join(' ')}`.toLowerCase(),
    pricedAtMs: view.pricedAtMs,
    keys: view.parts.flatMap(({ key }) => (key === null ? [] : [key])),
    isMatched: view.parts.every((part) => part.key !== null),
    isVinyl: perM2 !== null,
    perUnit: perM2?.value ?? perPiece?.value ?? Infinity,
  };
}
