// Years of work are looked through in a thread: pages don't wait for it.

import type { LearnedView } from '../../views/trials';
import type { ShopContext } from '../context';
import { ShopError } from '../errors';
import { heavyWork } from '../heavy/heavy-work';
import { toThread } from '../heavy/shop-in-thread';

const LIMIT_MS = 30_000;
const tooMuch = () => new ShopError('busy', { reason: 'log-too-slow' });

export const learnInThread = (shop: ShopContext): Promise<LearnedView> =>
  heavyWork.run<LearnedView>({ kind: 'learn', task: toThread(shop), limitMs: LIMIT_MS, tooMuch });
