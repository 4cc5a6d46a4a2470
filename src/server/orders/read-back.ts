// Texts compared with the customer's own words before they are cut, one by one; what was compared and by when is kept.

import type { InferType } from 'yup';
import type { readBackInput } from '../../core/input/index';
import { findPlacementOfLayer } from '../../core/costing/index';
import { inTransaction } from '../../data/database';
import { addOrderEvent } from '../../data/order-event-store';
import { setReadBack } from '../../data/order-line-store';
import type { ShopContext } from '../context';
import { ShopError, stale } from '../errors';
import type { WaitingOrder, WaitingPart } from './read-orders';
import { requireStandingOrder } from './save-order';

/** @throws ShopError where the order changed since these lines were read */
export function readBack(
  shop: ShopContext,
  id: number,
  { lineIds, isRead, version }: InferType<typeof readBackInput>,
): void {
  inTransaction(shop.db, () => {
    const { order } = requireStandingOrder(shop, id);
    if (order.version !== version) throw stale('This order');
    const own = new Set(order.lines.map((line) => line.id));
    if (lineIds.some((lineId) => !own.has(lineId))) throw new ShopError('conflict', { reason: 'line-gone' });
    setReadBack(shop.db, lineIds, isRead ? shop.now() : null);
    const left = order.lines.filter(
      (line) => line.texts.length > 0 && line.readBackAtMs === null && !lineIds.includes(line.id),
    );
    if (isRead && left.length === 0)
      addOrderEvent(shop.db, id, 'noted', shop.now(), { detail: 'every text was read back' });
  });
}

/** Drawings of a piece may be cut before its texts are read. */
const isText = ({ made }: WaitingOrder['order']['lines'][number], { layerIndex }: WaitingPart): boolean =>
  made !== null && findPlacementOfLayer(made, layerIndex)?.text !== undefined;

/**
 * Refuses to cut texts that nobody compared, unless a reason is given; the reason is kept in the story of the order.
 * Call it inside the transaction that cuts.
 */
export function refuseUnread(
  shop: ShopContext,
  orders: readonly WaitingOrder[],
  parts: readonly WaitingPart[],
  reason: string,
): void {
  for (const { order } of orders) {
    const unread = order.lines.filter(
      (line) => line.readBackAtMs === null && parts.some((part) => part.lineId === line.id && isText(line, part)),
    );
    if (unread.length === 0) continue;
    if (reason === '')
      throw new ShopError('conflict', {
        reason: 'text-unread',
        order: order.id,
        title: order.title,
        texts: unread.map(({ texts }) => texts.map(({ text }) => text).join(' ')),
      });
    addOrderEvent(shop.db, order.id, 'noted', shop.now(), {
      detail: `${unread.length === 1 ? 'a text was' : `${unread.length} texts were`} cut without being read back: ${reason}`,
    });
  }
}
