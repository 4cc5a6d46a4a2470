// The basket is worked out in a thread, from the file itself: gathering what can be chosen from takes long enough to be
// felt by everybody.

import type { BasketView } from '../../views/purchases';
import type { ShopContext } from '../context';
import { ShopError } from '../errors';
import type { BasketTask } from '../heavy/basket-thread';
import { heavyWork } from '../heavy/heavy-work';
import { toThread } from '../heavy/shop-in-thread';
import type { BasketWish } from './plan-basket';

/** The proof may take the solver a minute for each of several questions. */
const LIMIT_MS = 180_000;
const tooMuch = () => new ShopError('busy', { reason: 'basket-too-slow' });

/** @throws ShopError 'busy' when it takes too long */
export const planInThread = (shop: ShopContext, wish: BasketWish): Promise<BasketView> =>
  heavyWork.run({
    kind: 'basket',
    task: { shop: toThread(shop), wish } satisfies BasketTask,
    limitMs: LIMIT_MS,
    tooMuch,
  });
