// What finished work takes from the stock: the strip that was cut off each roll, the blanks that were pressed. Oldest
// lots first. What the book does not have is not taken, but told: then the book is wrong, and wants a count.

import { computeStripNeed } from '../../core/costing/index';
import { computePricePerM2 } from '../../core/materials/index';
import { holdsBlank, shareOfRecut } from '../../core/orders/index';
import { keyOf, takeFirstIn, type StockCause } from '../../core/stock/index';
import { groupBy, MM2_PER_M2 } from '../../core/units/index';
import { findLot, loadLotsOnShelf } from '../../data/stock-store';
import type { BookedStock } from '../../views/bench';
import { getShop, type ShopContext } from '../context';
import { readMadeLines, type MadeLine } from '../items/materials';
import type { ReadOrder, ReadPart } from '../orders/read-orders';
import { writeLine } from '../stock/save-stock';
import { nameThings } from '../stock/things';

/** The work at the bench, and what it was done on. */
export type BenchWork = {
  readonly sessionId: number;
  /** The orders of all the parts, with all of their parts. */
  readonly orders: readonly ReadOrder[];
  readonly parts: readonly ReadPart[];
};

/** What work took of the stock, told; and what each part bears of it, minor units, not rounded. */
export type TakenStock = {
  readonly booked: readonly BookedStock[];
  /** The lot of each part; of several the oldest. */
  readonly lots: ReadonlyMap<number, number>;
  readonly costs: ReadonlyMap<number, number>;
};

type Wanted = {
  readonly key: string;
  readonly quantity: number;
  /** Rolls narrower than this did not hold it; 0 for blanks. */
  readonly leastWidthMm: number;
  /** The parts that bear it, evenly. */
  readonly partIds: readonly number[];
  /** Of one mm or piece, where the book has none. */
  readonly usualCost: number;
};

/** The strips of what was cut, by vinyl. Call it inside a transaction. */
export const bookStrips = (shop: ShopContext, work: BenchWork): TakenStock =>
  take(shop, work, listStrips(shop, work), 'cut');

/** A blank for each piece that had none yet. Call it inside a transaction. */
export function bookBlanks(shop: ShopContext, work: BenchWork, cause: 'used' | 'spoiled' = 'used'): TakenStock {
  return take(shop, work, listBlanks(shop, work), cause);
}

function take(shop: ShopContext, work: BenchWork, wanted: readonly Wanted[], cause: StockCause): TakenStock {
  const booked: BookedStock[] = [];
  const costs = new Map<number, number>();
  const lots = new Map<number, number>();
  const nameOf = nameThings(shop);
  const titles = titlesOf(work);
  for (const [key, own] of groupBy(wanted, (want) => want.key)) {
    const whole = own.reduce((sum, want) => sum + want.quantity, 0);
    const quantity = roundTenth(whole);
    const leastWidthMm = Math.max(...own.map((want) => want.leastWidthMm));
    const taken = takeOfKey(shop, { key, quantity, leastWidthMm, cause, titles, sessionId: work.sessionId });
    const cost = taken.cost + (quantity - taken.quantity) * own[0]!.usualCost;
    for (const want of own)
      for (const partId of want.partIds) {
        costs.set(partId, (costs.get(partId) ?? 0) + (cost * want.quantity) / whole / want.partIds.length);
        if (taken.lotId !== null) lots.set(partId, taken.lotId);
      }
    if (taken.form !== null)
      booked.push({
        thingName: nameOf(key).name,
        form: taken.form,
        quantity: taken.quantity,
        missing: roundTenth(quantity - taken.quantity),
      });
  }
  return { booked, lots, costs };
}

/** Of which nothing lies on the shelf is let be: not every shop keeps its book of everything. */
function takeOfKey(
  shop: ShopContext,
  want: Pick<Wanted, 'key' | 'quantity' | 'leastWidthMm'> & {
    readonly cause: StockCause;
    readonly titles: string;
    readonly sessionId: number;
  },
): {
  readonly quantity: number;
  readonly cost: number;
  readonly form: BookedStock['form'] | null;
  readonly lotId: number | null;
} {
  const lots = loadLotsOnShelf(shop.db, want.key).filter(
    (lot) =>
      (lot.form === 'roll' || lot.form === 'piece') && (lot.widthMm ?? Infinity) >= want.leastWidthMm - WIDTH_PLAY_MM,
  );
  const has = lots.reduce((sum, lot) => sum + lot.left, 0);
  const quantity = Math.min(want.quantity, has);
  const taken = takeFirstIn(
    lots.map((lot) => ({ lot, left: lot.left })),
    quantity,
  );
  if (!taken.ok) return { quantity: 0, cost: 0, form: null, lotId: null };
  for (const { lotId, quantity: part } of taken.value.taken)
    writeLine(shop, findLot(shop.db, lotId)!, want.cause, -part, want.titles, want.sessionId);
  const [first] = taken.value.taken;
  return { quantity, cost: taken.value.cost.value, form: lots[0]!.form, lotId: first?.lotId ?? null };
}

/** Widths of rolls are told in tenths of a mm. */
const WIDTH_PLAY_MM = 0.05;
const roundTenth = (quantity: number): number => Math.round(quantity * 10) / 10;
const MOST_LETTERS = 180;

const titlesOf = ({ orders, parts }: BenchWork): string =>
  [
    ...new Set(
      orders
        .filter(({ parts: own }) => own.some((part) => parts.some((worked) => worked.id === part.id)))
        .map(({ order }) => order.title),
    ),
  ]
    .join(', ')
    .slice(0, MOST_LETTERS);

/** Strips of each layer, as they are calculated for the costs: copies side by side across the roll. */
function listStrips(shop: ShopContext, { orders, parts }: BenchWork): readonly Wanted[] {
  const { figures } = getShop(shop);
  const { lines } = readMadeLines(shop, orders);
  return [
    ...groupBy(parts, (part) => `${part.lineId} ${part.layerIndex} ${shareOfRecut(part.recut)}`).values(),
  ].flatMap((own): Wanted[] => {
    const layer = lines.get(own[0]!.lineId)?.layers[own[0]!.layerIndex];
    const need = layer ? computeStripNeed(layer.measurement, layer.vinyl, own.length, figures) : null;
    if (!layer || !need) return [];
    return [
      {
        key: keyOf({ kind: 'vinyl', vinylId: layer.vinyl.id }),
        quantity: need.stripLengthMm * shareOfRecut(own[0]!.recut),
        leastWidthMm: need.leastWidthMm,
        partIds: own.map((part) => part.id),
        usualCost: (computePricePerM2(layer.vinyl).value * layer.vinyl.rollWidthMm) / MM2_PER_M2,
      },
    ];
  });
}

function listBlanks(shop: ShopContext, { orders, parts }: BenchWork): readonly Wanted[] {
  const { lines } = readMadeLines(shop, orders);
  const partsOfPiece = groupBy(
    orders.flatMap(({ parts: own }) => own),
    (part) => part.pieceId,
  );
  const bare = [...groupBy(parts, (part) => part.pieceId)].filter(
    ([pieceId]) => !holdsBlank((partsOfPiece.get(pieceId) ?? []).flatMap((own) => own.events)),
  );
  return bare.flatMap(([, own]): Wanted[] => {
    const line = lines.get(own[0]!.lineId);
    return line ? [wantBlank(line, own[0]!.id)] : [];
  });
}

function wantBlank({ made, blank }: MadeLine, partId: number): Wanted {
  return {
    key: keyOf({ kind: 'blank', blankId: made.blankId, sizeName: made.sizeName, colourName: made.colourName }),
    quantity: 1,
    leastWidthMm: 0,
    partIds: [partId],
    usualCost: blank.sizes.find((size) => size.name === made.sizeName)?.price ?? 0,
  };
}
