// The stock as screens see it: what is there, what open orders need of it, and what stays free.

import { computeStripNeed } from '../../core/costing';
import type { ShopFigures } from '../../core/materials';
import { countDays } from '../../core/scheduling';
import { dayOf, AMOUNT_NOISE } from '../../core/units';
import {
  computeCover,
  computeMinimum,
  computeOrderWithin,
  findFittingOffcuts,
  keyOf,
  valueStock,
} from '../../core/stock';
import { figure, groupBy } from '../../core/units';
import { loadMinimums, loadShortestLeads } from '../../data/offer-store';
import { loadLots, loadLotsOnShelf, loadNewestLines, type StoredLot } from '../../data/stock-store';
import type { FittingOffcut, FullStock, StockPage, StockRow, ThingView } from '../../views/stock';
import { getShop, type ShopContext } from '../context';
import { readMadeLines } from '../items/materials';
import { shareOfRecut } from '../../core/orders/index';
import { readOrdersHolding, type WaitingOrder } from '../orders/read-orders';
import { DAYS_TO_MAKE } from './make-days';
import { measureLot } from './measure-lot';
import { NO_TRIES, sumTries, toLotView } from './lot-views';
import { nameThings } from './things';
import { computeWeeklyUses } from './weekly-use';
import { rememberUntilChange } from '../remember';
import { loadSuppliers } from '../../data/supplier-store';

/** What one order still needs of a thing. */
export type OrderNeed = {
  readonly key: string;
  readonly amount: number;
  readonly leastWidthMm: number;
  readonly dueDay: string;
  readonly orderId: number;
  readonly orderTitle: string;
};

/**
 * Vinyl for parts not cut yet, in mm² of strip that a cutter reaches; blanks for pieces of which nothing is pressed
 * yet.
 */
const computeOrderNeeds = (shop: ShopContext): readonly OrderNeed[] =>
  rememberUntilChange(shop, 'needs of open orders', () => readOrderNeeds(shop));

/** The same, of the orders due first before those of the others. */
export const listNeedsByDue = (shop: ShopContext): readonly OrderNeed[] =>
  [...computeOrderNeeds(shop)].sort((a, b) => a.dueDay.localeCompare(b.dueDay) || a.orderId - b.orderId);

function readOrderNeeds(shop: ShopContext): readonly OrderNeed[] {
  const orders = readOrdersHolding(shop);
  const { figures } = getShop(shop);
  const { lines } = readMadeLines(shop, orders);
  return orders.flatMap(({ order, parts }) => {
    const named = countNamed(order.lines, parts);
    return order.lines.flatMap((line): OrderNeed[] => {
      const madeLine = lines.get(line.id);
      if (!madeLine) return [];
      const own = parts.filter((part) => part.lineId === line.id);
      const needs: OrderNeed[] = madeLine.layers.flatMap(({ measurement, vinyl }, layerIndex): OrderNeed[] => {
        const waiting = own
          .filter((part) => part.layerIndex === layerIndex && part.state === 'to-cut')
          .reduce((sum, part) => sum + shareOfRecut(part.recut), 0);
        if (waiting === 0) return [];
        // Names lie side by side on a strip: each takes its share of one on which all were as long as it.
        const together = line.texts.length > 0 ? (named.get(`${line.itemId}/${layerIndex}`) ?? waiting) : waiting;
        const need = computeStripNeed(measurement, vinyl, together, figures);
        return need
          ? [
              {
                key: keyOf({ kind: 'vinyl', vinylId: vinyl.id }),
                amount: (need.usableMm2 * waiting) / together,
                leastWidthMm: need.leastWidthMm,
                dueDay: order.dueDay,
                orderId: order.id,
                orderTitle: order.title,
              },
            ]
          : [];
      });
      const pressed = new Set(
        own.filter((part) => part.state === 'pressed' || part.state === 'checked').map((part) => part.pieceId),
      );
      const blanks = new Set(own.map((part) => part.pieceId).filter((piece) => !pressed.has(piece))).size;
      if (blanks > 0)
        needs.push({
          key: keyOf({
            kind: 'blank',
            blankId: madeLine.made.blankId,
            sizeName: line.sizeName,
            colourName: line.colourName,
          }),
          amount: blanks,
          leastWidthMm: 0,
          dueDay: order.dueDay,
          orderId: order.id,
          orderTitle: order.title,
        });
      return needs;
    });
  });
}

/** Parts with a text of their own that wait to be cut, by item and layer. */
function countNamed(lines: WaitingOrder['order']['lines'], parts: WaitingOrder['parts']): ReadonlyMap<string, number> {
  const items = new Map(lines.filter(({ texts }) => texts.length > 0).map((line) => [line.id, line.itemId]));
  const counts = new Map<string, number>();
  for (const { lineId, layerIndex, state } of parts) {
    const itemId = items.get(lineId);
    if (itemId === undefined || state !== 'to-cut') continue;
    const key = `${itemId}/${layerIndex}`;
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return counts;
}

type ReadStock = {
  readonly lots: readonly StoredLot[];
  /** By kind and name. */
  readonly keys: readonly string[];
  readonly nameOf: (key: string) => ThingView;
  readonly rowOf: (key: string) => StockRow;
  readonly isShort: (key: string) => boolean;
};

function readStock(shop: ShopContext): ReadStock {
  const { figures, timeZone } = getShop(shop);
  const lots = loadLotsOnShelf(shop.db);
  const needs = groupBy(computeOrderNeeds(shop), (need) => need.key);
  const minimums = loadMinimums(shop.db);
  const byKey = groupBy(lots, (lot) => lot.key);
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
  const keys = [...new Set([...byKey.keys(), ...needs.keys(), ...minimums.keys()])]
    .map((key) => ({ key, thing: nameOf(key) }))
    .sort((x, y) => y.thing.kind.localeCompare(x.thing.kind) || x.thing.name.localeCompare(y.thing.name))
    .map(({ key }) => key);
  const isShort = (key: string) =>
    (byKey.get(key) ?? []).reduce((sum, lot) => sum + measureLot(lot, figures), 0) <
    (needs.get(key) ?? []).reduce((sum, need) => sum + need.amount, 0);
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
  return { lots, keys, nameOf, rowOf, isShort };
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
  const { lots, keys, rowOf } = readStock(shop);
  return { rows: keys.map(rowOf), value: valueLots(lots) };
}

const STOCK_PAGE = 60;
const NEWEST_LINES = 12;

/** Things whose name has every word, a page at a time. */
export function loadStockPage(
  shop: ShopContext,
  { words, offset }: { readonly words: string; readonly offset: number },
): StockPage {
  const { lots, keys, nameOf, rowOf, isShort } = readStock(shop);
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
    short: keys.filter(isShort).map((key) => nameOf(key).name),
    offcuts: lots.filter((lot) => lot.form === 'offcut').length,
    value: valueLots(lots),
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
