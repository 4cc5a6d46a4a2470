// In a thread: what is wished for in, the cheapest basket and the plain orders beside it out.

import { planBasket, type BasketWish } from '../buying/plan-basket';
import { heavyJob } from './heavy-job';
import { openInThread, type ShopInThread } from './shop-in-thread';

export type BasketTask = { readonly shop: ShopInThread; readonly wish: BasketWish };

export default heavyJob(({ shop, wish }: BasketTask) => planBasket(openInThread(shop), wish));
