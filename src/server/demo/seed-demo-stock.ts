// The demo shop's suppliers with their lists and older prices, and what lies on its shelf. What a past has used of it
// counts as part of what is used by today: the shelf of today is the same with a past and without.

import { inTransaction } from '../../data/database';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { lotInput, supplierInput, supplyInput } from '../../core/input/index';
import { keyOf as thingKey, type WearLine } from '../../core/stock/index';
import { minor } from '../../core/units/index';
import { loadOffers, putOffer, setMinimum } from '../../data/offer-store';
import { findLot } from '../../data/stock-store';
import { loadWearInUse } from '../../data/supply-store';
import { addSupplier } from '../buying/save-supplier';
import { applyList } from '../buying/import-price-list';
import { programRoot, type ShopContext } from '../context';
import { parseInput } from '../errors';
import { countStock, receiveLot, setAsideOffcut, bookStock } from '../stock/save-stock';
import { addSupply, bookWear } from '../stock/save-supplies';
import { listThings } from '../stock/things';

export type DemoLot = DemoStock['lots'][number];
export type DemoSupply = DemoStock['supplies'][number];
type DemoStock = {
  suppliers: {
    name: string;
    email: string;
    shipping: number;
    freeFrom: number | null;
    minimumOrder: number | null;
    leadDays: number;
    listFile: string;
  }[];
  /** By when, in days ago, all prices were so much lower. */
  olderPrices: { daysAgo: number; share: number }[];
  lots: {
    thing: string;
    form: string;
    widthMm: number | null;
    lengthMm: number | null;
    quantity: number;
    price: number;
    daysAgo: number;
    remark?: string;
    used?: number;
    counted?: number;
    offcut?: [widthMm: number, lengthMm: number, takesMm: number, cornerWidthMm: number, cornerLengthMm: number];
  }[];
  minimums: { thing: string; amount?: number; coverWeeks?: number }[];
  supplies: {
    name: string;
    kind: string;
    supplier: string;
    widthMm?: number;
    tack?: string;
    angleDegrees?: number;
    life?: number;
    note?: string;
    fittedDaysAgo?: number;
    worn?: number;
    cleaned?: number;
    stock?: { pieces: number; price: number };
  }[];
};

const DAY_MS = 86_400_000;
const AS_THEY_LOOK = { match: null, decimal: '', lengthUnit: 'mm', dropMissing: false } as const;

export type StockSeed = {
  readonly shop: ShopContext;
  readonly clock: { ms: number };
  readonly nowMs: number;
  readonly folder: string;
  readonly file: DemoStock;
  /** The key of a thing by its name. */
  readonly keyOf: ReadonlyMap<string, string>;
  /** What is on the shelf already, by its entry in the file. */
  readonly lots: Map<DemoLot, number>;
  readonly supplies: Map<DemoSupply, number>;
};

export function beginStock(shop: ShopContext, clock: { ms: number }, nowMs: number): StockSeed {
  const folder = join(programRoot(), 'src', 'data', 'demo');
  const file = JSON.parse(readFileSync(join(folder, 'stock.json'), 'utf8')) as DemoStock;
  const keyOf = new Map(listThings(shop).map((thing) => [thing.name, thing.key]));
  return { shop, clock, nowMs, folder, file, keyOf, lots: new Map(), supplies: new Map() };
}

/** `clock` is moved to the past and to `nowMs` at the end. */
export function seedDemoStock(seed: StockSeed): void {
  const { shop, clock, nowMs, file, keyOf } = seed;
  seedSuppliers(seed);
  for (const lot of file.lots) seedLot(seed, lot);
  for (const { thing, amount, coverWeeks } of file.minimums)
    setMinimum(shop.db, keyOf.get(thing)!, { amount: amount ?? null, coverWeeks: coverWeeks ?? null });
  for (const supply of file.supplies) seedSupply(seed, supply);
  clock.ms = nowMs;
}

function seedSuppliers({ shop, clock, nowMs, folder, file }: StockSeed): void {
  for (const { listFile, ...supplier } of file.suppliers) {
    const [oldest] = file.olderPrices;
    clock.ms = nowMs - (oldest?.daysAgo ?? 0) * DAY_MS;
    const { id } = addSupplier(shop, parseInput(supplierInput, supplier), listFile);
    applyList(shop, id, readFileSync(join(folder, 'price-lists', listFile)), AS_THEY_LOOK);
    const offers = loadOffers(shop.db, id);
    for (const { daysAgo, share } of [...file.olderPrices, { daysAgo: 2, share: 1 }]) {
      clock.ms = nowMs - daysAgo * DAY_MS;
      for (const offer of offers)
        inTransaction(shop.db, () =>
          putOffer(shop.db, { ...offer, price: minor(Math.round(offer.price * share)) }, clock.ms),
        );
    }
  }
}

/** Comes on its day. */
export function receiveDemoLot({ shop, clock, nowMs, keyOf, lots }: StockSeed, lot: DemoLot): number {
  clock.ms = nowMs - lot.daysAgo * DAY_MS;
  const { id } = receiveLot(
    shop,
    parseInput(lotInput, {
      key: keyOf.get(lot.thing),
      form: lot.form,
      widthMm: lot.widthMm,
      lengthMm: lot.lengthMm,
      quantity: lot.quantity,
      price: lot.price,
      remark: lot.remark ?? '',
    }),
  );
  lots.set(lot, id);
  return id;
}

function seedLot(seed: StockSeed, lot: DemoLot): void {
  const { shop, clock, nowMs } = seed;
  const id = seed.lots.get(lot) ?? receiveDemoLot(seed, lot);
  clock.ms = nowMs - lot.daysAgo * DAY_MS + DAY_MS / 3;
  const more = (lot.used ?? 0) - (lot.quantity - findLot(shop.db, id)!.left);
  if (more > 0) bookStock(shop, id, { cause: 'cut', quantity: more, note: '' });
  if (lot.offcut) {
    const [widthMm, lengthMm, takesMm, cornerWidthMm, cornerLengthMm] = lot.offcut;
    setAsideOffcut(shop, id, { widthMm, lengthMm, takesMm, cornerWidthMm, cornerLengthMm, remark: '' });
  }
  if (lot.counted !== undefined) countStock(shop, id, lot.counted, 'monthly count');
}

export function addDemoSupply({ shop, supplies }: StockSeed, entry: DemoSupply): number {
  const { fittedDaysAgo: _fitted, worn: _worn, cleaned: _cleaned, stock: _stock, ...supply } = entry;
  const { id } = addSupply(
    shop,
    parseInput(supplyInput, { widthMm: null, tack: null, angleDegrees: null, life: null, note: '', ...supply }),
  );
  supplies.set(entry, id);
  return id;
}

/** Its stock comes, and one of it is taken into use. */
export function fitDemoSupply({ shop, clock, nowMs }: StockSeed, entry: DemoSupply, id: number): void {
  const { fittedDaysAgo, stock } = entry;
  clock.ms = nowMs - (fittedDaysAgo ?? 1) * DAY_MS;
  if (stock)
    receiveLot(
      shop,
      parseInput(lotInput, {
        key: thingKey({ kind: 'supply', supplyId: id }),
        form: 'piece',
        widthMm: null,
        lengthMm: null,
        quantity: stock.pieces,
        price: stock.price,
        remark: '',
      }),
    );
  if (fittedDaysAgo !== undefined) bookWear(shop, id, { kind: 'fitted', amount: 0, fromStock: true });
}

/** Since it was taken into use. */
export const sumWorn = (lines: readonly WearLine[] = []): number =>
  lines.reduce((sum, { kind, amount }) => sum + (kind === 'worn' ? amount : 0), 0);

function seedSupply(seed: StockSeed, entry: DemoSupply): void {
  const { shop, clock, nowMs } = seed;
  let id = seed.supplies.get(entry);
  if (id === undefined) {
    id = addDemoSupply(seed, entry);
    fitDemoSupply(seed, entry, id);
  }
  clock.ms = nowMs - DAY_MS / 2;
  const more = (entry.worn ?? 0) - sumWorn(loadWearInUse(shop.db).get(id));
  if (more > 0) bookWear(shop, id, { kind: 'worn', amount: more, fromStock: false });
  if (entry.cleaned) bookWear(shop, id, { kind: 'cleaned', amount: entry.cleaned, fromStock: false });
}
