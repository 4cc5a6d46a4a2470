// A price list as it would change a supplier's offers: read, matched with what is known, and not applied yet.

import type { InferType } from 'yup';
import {
  decodeList,
  guessColumns,
  guessDecimal,
  NEEDED_COLUMNS,
  readListTable,
  readPriceList,
  type ListedOffer,
} from '../../core/buying';
import type { listFacts } from '../../core/input';
import { loadOffers, type StoredOffer } from '../../data/offer-store';
import type { ListChange, ListPreview } from '../../views/offers';
import { getShop, type ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { listThings } from '../stock/things';
import { findSupplier } from '../../data/supplier-store';

/** Lines that are shown as they are in the file. */
const SAMPLE_LINES = 5;

export type ListFacts = InferType<typeof listFacts>;
export type ReadList = {
  readonly preview: ListPreview;
  readonly offers: readonly ListedOffer[];
  /** Known offers that the list does not have any more. */
  readonly gone: readonly StoredOffer[];
  readonly known: ReadonlyMap<string, StoredOffer>;
  readonly findKey: KeyFinder;
};
/** What of the shelf a part of a pack is; null where nothing is called so. */
export type KeyFinder = (thing: string, offerName: string) => string | null;

/** @throws ShopError 'unreadable' where it is no table */
export function readList(shop: ShopContext, supplierId: number, bytes: Uint8Array, facts: ListFacts): ReadList {
  if (!findSupplier(shop.db, supplierId)) throw notFound('This supplier');
  const table = readTable(bytes);
  const match = facts.match ?? guessColumns(table.header);
  const priceCells = table.rows.map(({ cells }) => (match.price === null ? '' : (cells[match.price] ?? '')));
  const decimal = facts.decimal || guessDecimal(priceCells);
  const missingColumns = NEEDED_COLUMNS.filter((name) => match[name] === null);
  const { offers, unreadable } =
    missingColumns.length > 0
      ? { offers: [], unreadable: [] }
      : readPriceList(table, {
          match,
          decimal,
          lengthUnit: facts.lengthUnit,
          currency: getShop(shop).currency,
        });
  const known = new Map(loadOffers(shop.db, supplierId).map((offer) => [offer.code, offer]));
  const findKey = makeKeyFinder(shop);
  const gone = listGone(known, offers);
  return {
    offers,
    gone,
    known,
    findKey,
    preview: {
      header: table.header,
      sample: table.rows.slice(0, SAMPLE_LINES).map(({ cells }) => cells),
      match,
      decimal,
      missingColumns,
      unreadable,
      ...compareWithKnown(offers, known),
      gone: gone.map(({ code, name }) => ({ code, name })),
      unmatched: listUnmatched(offers, findKey),
    },
  };
}

function readTable(bytes: Uint8Array) {
  const table = readListTable(decodeList(bytes));
  if (table.ok) return table.value;
  throw new ShopError('unreadable', { reason: 'list-unreadable', problem: table.problem }, 'file');
}

function compareWithKnown(
  offers: readonly ListedOffer[],
  known: ReadonlyMap<string, StoredOffer>,
): Pick<ListPreview, 'fresh' | 'changed' | 'same'> {
  const toChange = (offer: ListedOffer): ListChange => ({
    line: offer.line,
    code: offer.code,
    name: offer.name,
    price: offer.price,
    before: known.get(offer.code)?.price ?? null,
  });
  const listed = offers.filter((offer) => known.has(offer.code));
  const changed = listed.filter((offer) => !isSame(offer, known.get(offer.code)!));
  return {
    fresh: offers.filter((offer) => !known.has(offer.code)).map(toChange),
    changed: changed.map(toChange),
    same: listed.length - changed.length,
  };
}

const isSame = (offer: ListedOffer, before: StoredOffer): boolean =>
  before.price === offer.price &&
  before.name === offer.name &&
  JSON.stringify(before.breaks) === JSON.stringify(offer.breaks) &&
  JSON.stringify(before.parts.map(({ key: _, ...part }) => part)) ===
    JSON.stringify(offer.parts.map(({ thing, ...part }) => ({ label: thing, ...part })));

function listGone(known: ReadonlyMap<string, StoredOffer>, offers: readonly ListedOffer[]): readonly StoredOffer[] {
  const listed = new Set(offers.map((offer) => offer.code));
  return [...known.values()].filter((offer) => !listed.has(offer.code));
}

function listUnmatched(offers: readonly ListedOffer[], findKey: KeyFinder): readonly string[] {
  const unmatched = offers.flatMap((offer) =>
    offer.parts.filter((part) => findKey(part.thing, offer.name) === null).map((part) => part.thing || offer.name),
  );
  return [...new Set(unmatched)];
}

/** By its name, as the list says it, or by the offer's own name. */
function makeKeyFinder(shop: ShopContext): KeyFinder {
  const plain = (text: string) =>
    text
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, ' ')
      .trim();
  const byName = new Map(listThings(shop).map((thing) => [plain(thing.name), thing.key]));
  return (thing, offerName) => byName.get(plain(thing)) ?? byName.get(plain(offerName)) ?? null;
}
