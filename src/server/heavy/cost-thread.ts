// In a thread: calculates what items cost where it is not known, and keeps it.

import { inTransaction } from '../../data/database';
import { calculateSome } from '../items/item-costs';
import { heavyJob } from './heavy-job';
import { openInThread, type ShopInThread } from './shop-in-thread';

const AT_ONCE = 10;

/**
 * What is read and what is kept of it are one transaction: where somebody changes anything in between, SQLite refuses
 * the second, and it is calculated anew. A cost of yesterday's price is never kept.
 */
export function calculateInSteps(at: ShopInThread): void {
  const shop = openInThread(at);
  let isMore = true;
  while (isMore) isMore = tryStep(() => inTransaction(shop.db, () => calculateSome(shop, AT_ONCE)));
}

function tryStep(step: () => boolean): boolean {
  try {
    return step();
  } catch (error) {
    if (!isBusy(error)) throw error;
    return true;
  }
}

const isBusy = (error: unknown): boolean =>
  [error, (error as { cause?: unknown }).cause].some((one) =>
    String((one as { code?: unknown } | undefined)?.code).startsWith('SQLITE_BUSY'),
  );

export default heavyJob(calculateInSteps);
