// Suppliers and their offers; price lists, looked at first and then applied as a whole or not at all.

import { inTransaction } from '../../data/database';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { InferType } from 'yup';
import {
  decodeList,
  guessColumns,
  guessDecimal,
  NEEDED_COLUMNS,
  readListTable,
  readPriceList,
  type ListedOffer,
  type TableProblem,
} from '../../core/buying';
import type { listFacts, offerInput, supplierInput } from '../../core/input';
import { minor, type Minor } from '../../core/units';
import {
  findOffers,
  findSupplier,
  insertSupplier,
  isSupplierNamed,
  loadOffers,
  loadPrices,
  putOffer,
  setOfferArchived,
  setPartKey,
  setSupplierArchived,
  updateSupplier,
  type OfferFields,
  type StoredOffer,
  type StoredPart,
} from '../../data/offer-store';
import type { ListPreview, OfferHistory } from '../../views/offers';
import { programRoot, type ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import { listThings, requireThing } from '../stock/things';

const optionalMinor = (value: number | null): Minor | null => (value === null ? null : minor(value));
function toFields(shop: ShopContext, input: InferType<typeof supplierInput>, exceptId: number) {
  if (isSupplierNamed(shop.db, input.name, exceptId))
    throw new ShopError(
      'conflict',
      `There is a supplier called “${input.name}” already. Give this one another name.`,
      'name',
    );
  return {
    name: input.name,
    email: input.email,
    shipping: minor(input.shipping),
    freeFrom: optionalMinor(input.freeFrom),
    minimumOrder: optionalMinor(input.minimumOrder),
    leadDays: input.leadDays,
  };
}

export const addSupplier = (
  shop: ShopContext,
  input: InferType<typeof supplierInput>,
  listFile: string | null = null,
): { id: number } => ({ id: insertSupplier(shop.db, { ...toFields(shop, input, 0), listFile }) });

export function changeSupplier(
  shop: ShopContext,
  id: number,
  input: InferType<typeof supplierInput>,
  version: number,
): { id: number } {
  if (!findSupplier(shop.db, id)) throw notFound('This supplier');
  if (!updateSupplier(shop.db, id, toFields(shop, input, id), version)) throw stale('This supplier');
  return { id };
}

export function archiveSupplier(shop: ShopContext, id: number, archived: boolean): void {
  if (!setSupplierArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This supplier');
}

/** Adds an offer by hand. @throws ShopError where the supplier has one of that article already. */
export function addOffer(shop: ShopContext, input: InferType<typeof offerInput>): { id: number } {
  return inTransaction(shop.db, () => {
    if (!findSupplier(shop.db, input.supplierId)) throw notFound('This supplier');
    if (loadOffers(shop.db, input.supplierId).some((offer) => offer.code === input.code))
      throw new ShopError(
        'conflict',
        `There is an offer of article ${input.code} already. Change that one, or write another number.`,
        'code',
      );
    return { id: putOffer(shop.db, toOfferFields(shop, input), shop.now()) };
  });
}

/** The article and its supplier stay what they are. */
export function changeOffer(
  shop: ShopContext,
  id: number,
  input: InferType<typeof offerInput>,
  version: number,
): { id: number } {
  return inTransaction(shop.db, () => {
    const [offer] = findOffers(shop.db, [id]);
    if (!offer) throw notFound('This offer');
    if (offer.version !== version) throw stale('This offer');
    return {
      id: putOffer(
        shop.db,
        { ...toOfferFields(shop, input), supplierId: offer.supplierId, code: offer.code },
        shop.now(),
      ),
    };
  });
}

export function archiveOffer(shop: ShopContext, id: number, archived: boolean): void {
  if (!setOfferArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This offer');
}

function toOfferFields(shop: ShopContext, input: InferType<typeof offerInput>): OfferFields {
  for (const part of input.parts) if (part.key !== null) requireThing(shop, part.key);
  return {
    ...input,
    price: minor(input.price),
    breaks: [...input.breaks]
      .sort((a, b) => a.fromPacks - b.fromPacks)
      .map((step) => ({ fromPacks: step.fromPacks, price: minor(step.price) })),
  };
}

export function loadHistory(shop: ShopContext, offerId: number): OfferHistory {
  if (findOffers(shop.db, [offerId]).length === 0) throw notFound('This offer');
  return { prices: loadPrices(shop.db, offerId) };
}

export function matchPart(shop: ShopContext, offerId: number, position: number, key: string | null): void {
  if (key !== null && !listThings(shop).some((thing) => thing.key === key))
    throw new ShopError('invalid', 'Thing: it is not on the shelf any more. Choose another.', 'key');
  if (!inTransaction(shop.db, () => setPartKey(shop.db, offerId, position, key))) throw notFound('This offer');
}

const TABLE_WORDS: Readonly<Record<TableProblem['kind'], string>> = {
  'empty-list': 'The list is empty. Ask the supplier for it again, or export it as CSV.',
  'no-header':
    'No columns were found in it: a price list has at least an article number, a name and a price, parted by semicolons, commas or tabs.',
  'too-many-lines': 'That list has more lines than are taken at once. Part it in two.',
  'open-quote': 'A quotation mark is never closed',
};
function readTable(bytes: Uint8Array) {
  const table = readListTable(decodeList(bytes));
  if (table.ok) return table.value;
  const { problem } = table;
  throw new ShopError(
    'unreadable',
    problem.kind === 'open-quote'
      ? `${TABLE_WORDS[problem.kind]}, from line ${problem.line} on. Mend that line, then choose the list again.`
      : TABLE_WORDS[problem.kind],
    'file',
  );
}

type Facts = InferType<typeof listFacts>;
type ReadFacts = {
  readonly preview: ListPreview;
  readonly offers: readonly ListedOffer[];
  readonly gone: readonly StoredOffer[];
};

function readList(shop: ShopContext, supplierId: number, bytes: Uint8Array, facts: Facts): ReadFacts {
  if (!findSupplier(shop.db, supplierId)) throw notFound('This supplier');
  const table = readTable(bytes);
  const match = facts.match ?? guessColumns(table.header);
  const decimal =
    facts.decimal ||
    guessDecimal(table.rows.map(({ cells }) => (match.price === null ? '' : (cells[match.price] ?? ''))));
  const missingColumns = NEEDED_COLUMNS.filter((name) => match[name] === null);
  const { offers, unreadable } =
    missingColumns.length > 0
      ? { offers: [], unreadable: [] }
      : readPriceList(table, { match, decimal, lengthUnit: facts.lengthUnit });
  const known = new Map(loadOffers(shop.db, supplierId).map((offer) => [offer.code, offer]));
  const findKey = makeKeyFinder(shop);
  const isSame = (offer: ListedOffer, before: StoredOffer): boolean =>
    before.price === offer.price &&
    before.name === offer.name &&
    JSON.stringify(before.breaks) === JSON.stringify(offer.breaks) &&
    JSON.stringify(before.parts.map(({ key: _, ...part }) => part)) ===
      JSON.stringify(offer.parts.map(({ thing, ...part }) => ({ label: thing, ...part })));
  const change = (offer: ListedOffer) => ({
    line: offer.line,
    code: offer.code,
    name: offer.name,
    price: offer.price,
    before: known.get(offer.code)?.price ?? null,
  });
  const listed = new Set(offers.map((offer) => offer.code));
  const gone = [...known.values()].filter((offer) => !listed.has(offer.code));
  const changed = offers.filter((offer) => known.has(offer.code) && !isSame(offer, known.get(offer.code)!));
  return {
    offers,
    gone,
    preview: {
      header: table.header,
      sample: table.rows.slice(0, 5).map(({ cells }) => cells),
      match,
      decimal,
      missingColumns,
      unreadable,
      fresh: offers.filter((offer) => !known.has(offer.code)).map(change),
      changed: changed.map(change),
      same: offers.filter((offer) => known.has(offer.code)).length - changed.length,
      gone: gone.map(({ code, name }) => ({ code, name })),
      unmatched: [
        ...new Set(
          offers.flatMap((offer) =>
            offer.parts
              .filter((part) => findKey(part.thing, offer.name) === null)
              .map((part) => part.thing || offer.name),
          ),
        ),
      ],
    },
  };
}

/** What of the shelf a part of a pack is: by its name, as the list says it, or by the offer's own name. */
function makeKeyFinder(shop: ShopContext): (thing: string, offerName: string) => string | null {
  const plain = (text: string) =>
    text
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, ' ')
      .trim();
  const byName = new Map(listThings(shop).map((thing) => [plain(thing.name), thing.key]));
  return (thing, offerName) => byName.get(plain(thing)) ?? byName.get(plain(offerName)) ?? null;
}

export const previewList = (shop: ShopContext, supplierId: number, bytes: Uint8Array, facts: Facts): ListPreview =>
  readList(shop, supplierId, bytes, facts).preview;

/** All of the readable lines or, where anything fails, none. What was matched to the shelf by hand stays so. */
export function applyList(
  shop: ShopContext,
  supplierId: number,
  bytes: Uint8Array,
  facts: Facts,
): { fresh: number; changed: number; dropped: number } {
  return inTransaction(shop.db, () => {
    const { preview, offers, gone } = readList(shop, supplierId, bytes, facts);
    if (preview.missingColumns.length > 0)
      throw new ShopError('invalid', `Say which columns hold ${preview.missingColumns.join(' and ')} first.`, 'match');
    if (offers.length === 0)
      throw new ShopError(
        'invalid',
        'Not one line of this list can be read as an offer. Look at the columns chosen for it.',
        'match',
      );
    const known = new Map(loadOffers(shop.db, supplierId).map((offer) => [offer.code, offer]));
    const touched = new Set([...preview.fresh, ...preview.changed].map((change) => change.code));
    const findKey = makeKeyFinder(shop);
    for (const offer of offers) {
      if (!touched.has(offer.code)) continue;
      const before = known.get(offer.code);
      const parts = offer.parts.map((part, index): StoredPart => ({
        label: part.thing,
        count: part.count,
        widthMm: part.widthMm,
        lengthMm: part.lengthMm,
        key:
          (before?.parts[index]?.label === part.thing ? before.parts[index].key : null) ??
          findKey(part.thing, offer.name),
      }));
      putOffer(
        shop.db,
        {
          supplierId,
          code: offer.code,
          name: offer.name,
          price: offer.price,
          parts,
          breaks: offer.breaks,
          takePay: before?.takePay ?? null,
        },
        shop.now(),
      );
    }
    if (facts.dropMissing) for (const offer of gone) setOfferArchived(shop.db, offer.id, shop.now());
    return {
      fresh: preview.fresh.length,
      changed: preview.changed.length,
      dropped: facts.dropMissing ? gone.length : 0,
    };
  });
}

/** The newest list of a simulated supplier, as its own shop would send it. */
export function fetchSimulatedList(shop: ShopContext, supplierId: number): { bytes: Uint8Array; fileName: string } {
  const supplier = findSupplier(shop.db, supplierId);
  if (!supplier) throw notFound('This supplier');
  if (!supplier.listFile)
    throw new ShopError('invalid', 'Only simulated suppliers can be asked for their list. Choose a file instead.');
  return {
    bytes: readFileSync(join(programRoot(), 'src', 'data', 'demo', 'price-lists', supplier.listFile)),
    fileName: supplier.listFile,
  };
}
