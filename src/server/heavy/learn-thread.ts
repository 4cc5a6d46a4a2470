// In a thread: the log of the shop in, what it teaches out.

import { learnTimes } from '../trials/learn-times';
import { heavyJob } from './heavy-job';
import { openInThread, type ShopInThread } from './shop-in-thread';

export default heavyJob((at: ShopInThread) => learnTimes(openInThread(at)));
