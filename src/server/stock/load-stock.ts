// The stock as screens see it: what is there, what open orders need of it, and what stays free.

import type { ShopFigures } from '../../core/materials';
import { countDays } from '../../core/scheduling';
import { computeCover, computeMinimum, computeOrderWithin, findFittingOffcuts, valueStock } from '../../core/stock';
import { AMOUNT_NOISE, dayOf, figure, groupBy, type Figure } from '../../core/units';
import { loadMinimums, loadShortestLeads } from '../../data/offer-store';
import { loadLots, loadLotsOnShelf, loadNewestLines, type StoredLot } from '../../data/stock-store';
import type { FittingOffcut, FullStock, StockPage, StockRow, ThingView } from '../../views/stock';
import { getShop, type ShopContext } from '../context';
import { DAYS_TO_MAKE } from './make-days';
import { measureLot } from './measure-lot';
import { NO_TRIES, sumTries, toLotView } from './lot-views';
import { computeOrderNeeds, type OrderNeed } from './order-needs';
import { nameThings } from './things';
import { computeWeeklyUses } from './weekly-use';
import { rememberUntilChange } from '../remember';
import { loadSuppliers } from '../../data/supplier-store';

type ReadStock = ShelvedStock & {
  readonly nameOf: (key: string) => ThingView;
  readonly rowOf: (key: string) => StockRow;
};

/** What of the stock rests on the file alone, not on the clock. */
type ShelvedStock = {
  readonly lots: readonly StoredLot[];
  readonly byKey: ReadonlyMap<string, readonly StoredLot[]>;
  readonly needs: ReadonlyMap<string, readonly OrderNeed[]>;
  readonly minimums: ReturnType<typeof loadMinimums>;
  /** By kind and name. */
  readonly keys: readonly string[];
  /** Of which open orders need more than there is. */
  readonly short: readonly string[];
  readonly value: Figure;
};

const readShelved = (shop: ShopContext): ShelvedStock =>
  rememberUntilChange(shop, 'stock by name', () => {
    const { figures } = getShop(shop);
    const lots = loadLotsOnShelf(shop.db);
    const byKey = groupBy(lots, (lot) => lot.key);
    const needs = groupBy(computeOrderNeeds(shop), (need) => need.key);
    const minimums = loadMinimums(shop.db);
    const nameOf = nameThings(shop);
    const keys = [...new Set([...byKey.keys(), ...needs.keys(), ...minimums.keys()])]
      .map((key) => ({ key, thing: nameOf(key) }))
      .sort((x, y) => byName.compare(y.thing.kind, x.thing.kind) || byName.compare(x.thing.name, y.thing.name))
      .map(({ key }) => key);
    const short = keys.filter((key) => {
      const there = (byKey.get(key) ?? []).reduce((sum, lot) => sum + measureLot(lot, figures), 0);
      return there < (needs.get(key) ?? []).reduce((sum, need) => sum + need.amount, 0);
    });
    return { lots, byKey, needs, minimums, keys, short, value: valueLots(lots) };
  });
const byName = new Intl.Collator();

function readStock(shop: ShopContext): ReadStock {
  const { figures, timeZone } = getShop(shop);
  const shelved = readShelved(shop);
  const { byKey, needs, minimums } = shelved;
  const nameOf = nameThings(shop);
  const weeklyOf = computeWeeklyUses(shop, nameOf);
  const leads = loadShortestLeads(shop.db, [...needs.keys()]);
  const today = dayOf(shop.now(), timeZone);
  // The first order, by due day, that what is there does not reach.
  const orderWithin = (
    key: string,
    own: readonly StoredLot[],
    wanted: readonly OrderNeed[],
  ): StockRow['orderWithin'] => {
    let left = own.reduce((sum, lot) => sum + measureLot(lot, figures), 0);
    const first = [...wanted]
      .sort((a, b) => a.dueDay.localeCompare(b.dueDay))
      .find((need) => (left -= need.amount) < -AMOUNT_NOISE);
    const leadDays = leads.get(key);
    return first && leadDays !== undefined
      ? { days: computeOrderWithin(countDays(today, first.dueDay), leadDays, DAYS_TO_MAKE), leadDays }
      : null;
  };
  const suppliers = new Map(loadSuppliers(shop.db).map((supplier) => [supplier.id, supplier.name]));
  const rowOf = (key: string): StockRow => {
    const own = byKey.get(key) ?? [];
    const tried = own.length > 0 ? sumTries(shop, key) : NO_TRIES;
    const thing = nameOf(key);
    const { unit } = thing;
    const { onShelf, reserved, free } = countFree(own, needs.get(key) ?? [], unit, figures);
    const weekly = weeklyOf(key),
      wished = minimums.get(key) ?? null;
    return {
      thing,
      onShelf,
      reserved,
      free,
      wished,
      weekly,
      minimum: computeMinimum(wished ?? undefined, weekly, unit),
      cover: computeCover(free, weekly),
      orderWithin: free.value < 0 ? orderWithin(key, own, needs.get(key) ?? []) : null,
      lots: own.map((lot) => toLotView(lot, suppliers, tried)),
      value: valueStock(own.map((lot) => ({ lot, left: lot.left }))),
    };
  };
  return { ...shelved, nameOf, rowOf };
}

/** What lies there, what of it open orders need, and what is free. */
function countFree(
  own: readonly StoredLot[],
  needs: readonly OrderNeed[],
  unit: ThingView['unit'],
  figures: ShopFigures,
): Pick<StockRow, 'onShelf' | 'reserved' | 'free'> {
  const there = own.map((lot) => figure(`Lot ${lot.code ?? lot.id}`, measureLot(lot, figures), unit, 'measured'));
  const reservedParts = needs.map((need) => figure(need.orderTitle, need.amount, unit, 'computed'));
  const onShelf = figure(
    'On the shelf',
    there.reduce((sum, part) => sum + part.value, 0),
    unit,
    'computed',
    { how: unit === 'mm²' ? 'what a cutter reaches of each lot' : 'pieces of each lot', parts: there },
  );
  const reserved = figure(
    'For open orders',
    reservedParts.reduce((sum, part) => sum + part.value, 0),
    unit,
    'computed',
    { how: 'what is not cut or pressed yet', parts: reservedParts },
  );
  const free = figure('Free', onShelf.value - reserved.value, unit, 'computed', {
    how: 'on the shelf − for open orders',
    parts: [onShelf, reserved],
  });
  return { onShelf, reserved, free };
}

const valueLots = (lots: readonly StoredLot[]) => valueStock(lots.map((lot) => ({ lot, left: lot.left })));

/** All that lies there, for papers and tables. */
export function loadStock(shop: ShopContext): FullStock {
  const { keys, rowOf, value } = readStock(shop);
  return { rows: keys.map(rowOf), value };
}

const STOCK_PAGE = 60;
const NEWEST_LINES = 12;

/** Things whose name has every word, a page at a time. */
export function loadStockPage(
  shop: ShopContext,
  { words, offset }: { readonly words: string; readonly offset: number },
): StockPage {
  const { lots, keys, short, value, nameOf, rowOf } = readStock(shop);
  const wanted = words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const found = keys.filter((key) => {
    const name = nameOf(key).name.toLowerCase();
    return wanted.every((word) => name.includes(word));
  });
  const newest = loadNewestLines(shop.db, NEWEST_LINES);
  const forms = new Map(
    loadLots(shop.db, [...new Set(newest.map((line) => line.lotId))]).map((lot) => [lot.id, lot.form]),
  );
  return {
    rows: found.slice(offset, offset + STOCK_PAGE).map(rowOf),
    total: found.length,
    offset,
    empty: keys.length === 0,
    short: short.map((key) => nameOf(key).name),
    offcuts: lots.filter((lot) => lot.form === 'offcut').length,
    value,
    lines: newest.map(({ key, ...line }) => ({
      ...line,
      form: forms.get(line.lotId) ?? 'piece',
      thingName: nameOf(key).name,
    })),
  };
}

/** Offcuts that hold a piece of this size, the one that loses least first. */
export function findOffcuts(
  shop: ShopContext,
  wish: { readonly widthMm: number; readonly heightMm: number; readonly key: string | null },
): readonly FittingOffcut[] {
  const nameOf = nameThings(shop);
  const suppliers = new Map(loadSuppliers(shop.db).map((supplier) => [supplier.id, supplier.name]));
  const offcuts = loadLotsOnShelf(shop.db, wish.key ?? undefined).flatMap((lot) =>
    lot.form === 'offcut' && lot.shape ? [{ lot, shape: lot.shape, spoiledSpots: lot.spoiledSpots }] : [],
  );
  return findFittingOffcuts(offcuts, wish.widthMm, wish.heightMm, true)
    .slice(0, 50)
    .map(({ offcut, fit, usedShare }) => ({
      lot: toLotView(offcut.lot, suppliers),
      thing: nameOf(offcut.lot.key),
      fit,
      usedShare,
    }));
}
