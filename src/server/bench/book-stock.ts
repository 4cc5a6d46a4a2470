// What finished work takes from the stock: the strip that was cut off each roll, the blanks that were pressed. Oldest
// lots first. What the book does not have is not taken, but told: then the book is wrong, and wants a count.

import { computeStripNeed } from '../../core/costing/index';
import { keyOf, takeFirstIn } from '../../core/stock/index';
import { groupBy } from '../../core/units/index';
import { holdsBlank, type Station } from '../../core/orders/index';
import { findLot, loadLinesOfSession, loadLotsOnShelf } from '../../data/stock-store';
import type { BookedStock } from '../../views/bench';
import { getShop, type ShopContext } from '../context';
import { readMadeLines } from '../items/materials';
import type { ReadOrder, ReadPart } from '../orders/read-orders';
import { writeLine } from '../stock/save-stock';
import { nameThings } from '../stock/things';

type Wanted = {
  readonly key: string;
  readonly quantity: number;
  /** Rolls narrower than this did not hold it; 0 for blanks. */
  readonly leastWidthMm: number;
};

/**
 * Things of which nothing lies on the shelf are let be: not every shop keeps its book of everything. Call it inside a
 * transaction.
 */
export function bookBenchStock(
  shop: ShopContext,
  work: { readonly id: number; readonly station: Station },
  orders: readonly ReadOrder[],
  parts: readonly ReadPart[],
): readonly BookedStock[] {
  const wanted =
    work.station === 'cut'
      ? listStrips(shop, orders, parts)
      : work.station === 'press'
        ? listBlanks(shop, orders, parts)
        : [];
  const nameOf = nameThings(shop);
  const titles = [
    ...new Set(
      orders
        .filter(({ parts: own }) => own.some((part) => parts.some((cut) => cut.id === part.id)))
        .map(({ order }) => order.title),
    ),
  ]
    .join(', ')
    .slice(0, 180);
  return [...groupBy(wanted, (want) => want.key)].flatMap(([key, own]): BookedStock[] => {
    const least = Math.max(...own.map((want) => want.leastWidthMm));
    const lots = loadLotsOnShelf(shop.db, key).filter(
      (lot) => (lot.form === 'roll' || lot.form === 'piece') && (lot.widthMm ?? Infinity) >= least - 0.05,
    );
    if (lots.length === 0) return [];
    const quantity = Math.round(own.reduce((sum, want) => sum + want.quantity, 0) * 10) / 10;
    const has = lots.reduce((sum, lot) => sum + lot.left, 0);
    const taken = takeFirstIn(
      lots.map((lot) => ({ lot, left: lot.left })),
      Math.min(quantity, has),
    );
    if (!taken.ok) return [];
    for (const { lotId, quantity: part } of taken.value.taken)
      writeLine(shop, findLot(shop.db, lotId)!, work.station === 'cut' ? 'cut' : 'used', -part, titles, work.id);
    return [
      {
        thingName: nameOf(key).name,
        form: lots[0]!.form,
        quantity: Math.min(quantity, has),
        missing: Math.max(0, Math.round((quantity - has) * 10) / 10),
      },
    ];
  });
}

/** Strips of each layer, as they are calculated for the costs: copies side by side across the roll. */
function listStrips(shop: ShopContext, orders: readonly ReadOrder[], parts: readonly ReadPart[]): readonly Wanted[] {
  const { figures } = getShop(shop);
  const { lines } = readMadeLines(shop, orders);
  return [...groupBy(parts, (part) => `${part.lineId} ${part.layerIndex}`).values()].flatMap((own): Wanted[] => {
    const layer = lines.get(own[0]!.lineId)?.layers[own[0]!.layerIndex];
    const need = layer ? computeStripNeed(layer.measurement, layer.vinyl, own.length, figures) : null;
    return layer && need
      ? [
          {
            key: keyOf({ kind: 'vinyl', vinylId: layer.vinyl.id }),
            quantity: need.stripLengthMm,
            leastWidthMm: need.leastWidthMm,
          },
        ]
      : [];
  });
}

function listBlanks(shop: ShopContext, orders: readonly ReadOrder[], parts: readonly ReadPart[]): readonly Wanted[] {
  const { lines } = readMadeLines(shop, orders);
  const events = groupBy(
    orders.flatMap(({ parts: own }) => own),
    (part) => part.pieceId,
  );
  const pieces = new Map(
    parts
      .filter((part) => !holdsBlank((events.get(part.pieceId) ?? []).flatMap((own) => own.events)))
      .map((part) => [part.pieceId, part.lineId]),
  );
  return [...pieces.values()].flatMap((lineId): Wanted[] => {
    const made = lines.get(lineId)?.made;
    return made
      ? [
          {
            key: keyOf({ kind: 'blank', blankId: made.blankId, sizeName: made.sizeName, colourName: made.colourName }),
            quantity: 1,
            leastWidthMm: 0,
          },
        ]
      : [];
  });
}

/**
 * Gives back what work took for parts whose step is taken back: `undone` of its `all` parts. Call it inside a
 * transaction.
 */
export function returnBenchStock(shop: ShopContext, sessionId: number, undone: number, all: number): void {
  const booked = [...groupBy(loadLinesOfSession(shop.db, [sessionId]), (line) => line.lotId)].map(([lotId, lines]) => ({
    lot: findLot(shop.db, lotId)!,
    lines,
  }));
  // An offcut that the work left is part of the sheet that comes back: the one is there or the other, never both.
  const left = booked.filter(({ lines }) => lines.reduce((sum, line) => sum + line.quantity, 0) > 0);
  if (left.length > 0 && (undone < all || left.some(({ lot }) => lot.left < 1))) return;
  for (const { lot } of left) writeLine(shop, lot, 'set-aside', -1, 'the load that left it was taken back', sessionId);
  for (const { lot, lines } of booked) {
    if (left.some((offcut) => offcut.lot.id === lot.id)) continue;
    const taken = -lines.filter((line) => line.quantity < 0).reduce((sum, line) => sum + line.quantity, 0);
    const still = -lines.reduce((sum, line) => sum + line.quantity, 0);
    const share = (taken * undone) / all;
    const back = Math.min(still, lot.form === 'roll' ? Math.round(share * 10) / 10 : Math.round(share));
    if (back > 0) writeLine(shop, lot, 'returned', back, 'the step at the bench was taken back', sessionId);
  }
}
