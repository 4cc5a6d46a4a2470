// What is cut without a saved load: with the setting that is known best for its vinyl, or the one the seller says.

import type { InferType } from 'yup';
import type { handSettingInput } from '../../core/input/index';
import { groupBy } from '../../core/units/index';
import { changeHandCut, insertHandCut } from '../../data/hand-cut-store';
import { findSession } from '../../data/work-store';
import type { ShopContext } from '../context';
import type { WaitingOrder, WaitingPart } from '../orders/read-orders';
import { notFound, ShopError } from '../errors';
import { findFinest, findSetting } from './begin-load';

type Work = {
  readonly sessionId: number;
  readonly orders: readonly WaitingOrder[];
  readonly parts: readonly WaitingPart[];
};

/** Call it inside the transaction that starts the clock. */
export function beginByHand(shop: ShopContext, { sessionId, orders, parts }: Work): void {
  for (const [vinylId, own] of groupBy(parts, (part) => part.vinylId))
    insertHandCut(shop.db, {
      sessionId,
      vinylId,
      setting: findSetting(shop, vinylId, () => findFinest(shop, orders, own)),
    });
}

/** @throws ShopError where the clock stands, or nothing of this vinyl is cut in it */
export function setByHand(
  shop: ShopContext,
  sessionId: number,
  { vinylId, setting }: InferType<typeof handSettingInput>,
): void {
  const work = findSession(shop.db, sessionId);
  if (!work) throw notFound('This timer');
  if (work.stoppedAtMs !== null) throw new ShopError('conflict', { reason: 'timer-stopped' });
  if (!changeHandCut(shop.db, sessionId, vinylId, setting)) throw notFound('This vinyl');
}
