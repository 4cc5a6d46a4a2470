// What open orders still need of each thing: vinyl for parts that are not cut, blanks for pieces of which nothing is
// pressed.

import { computeStripNeed } from '../../core/costing';
import { shareOfRecut } from '../../core/orders/index';
import { keyOf } from '../../core/stock';
import { getShop, type ShopContext } from '../context';
import { readMadeLines } from '../items/materials';
import { readOrdersHolding, type WaitingOrder } from '../orders/read-orders';
import { rememberUntilChange } from '../remember';

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
export const computeOrderNeeds = (shop: ShopContext): readonly OrderNeed[] =>
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
