// Costs that are not known are calculated in a thread beside, so that nobody waits for those he does not look at.

import type { ShopContext } from '../context';
import { log, ShopError } from '../errors';
import { runForNobody } from '../heavy/asking';
import { heavyWork } from '../heavy/heavy-work';
import { toThread } from '../heavy/shop-in-thread';
import { findUncosted } from '../../data/item-cost-store';

const LIMIT_MS = 300_000;
const tooMuch = () => new ShopError('busy', { reason: 'costs-too-slow' });

let underWay: Promise<unknown> | null = null;

/** Every cost is known once it is done; who asks while it is under way gets the same. */
function knowAllCosts(shop: ShopContext): Promise<unknown> {
  if (!isAnyUnknown(shop)) return Promise.resolve();
  underWay ??= runForNobody(() =>
    heavyWork.run({ kind: 'cost', task: toThread(shop), limitMs: LIMIT_MS, tooMuch }),
  ).finally(() => (underWay = null));
  return underWay;
}

/** Calculates what is not known, behind the answer. */
export function knowCostsSoon(shop: ShopContext): void {
  // A shop in memory alone can't be read by a thread: its costs are calculated as they are looked at.
  if (shop.db.$client.memory) return;
  knowAllCosts(shop).catch((error: unknown) => log.error(error, 'costs of items could not be calculated'));
}

/** For lists that sort or choose by what items cost or earn. */
export const knowCostsFor = async (
  shop: ShopContext,
  { sort, poorOnly = false }: { readonly sort: string; readonly poorOnly?: boolean },
): Promise<void> => {
  if (poorOnly || sort === 'cost' || sort === 'hour') await knowAllCosts(shop);
};

const isAnyUnknown = (shop: ShopContext): boolean => findUncosted(shop.db, 1).length > 0;
