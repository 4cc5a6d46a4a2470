// How fast each thing is used, from what the ledger says.

import { computeWeeklyUse, USE_WEEKS } from '../../core/stock';
import type { Figure } from '../../core/units';
import { loadFirstReceived, loadUseOfLots } from '../../data/stock-store';
import type { ThingView } from '../../views/stock';
import { getShop, type ShopContext } from '../context';
import { rememberUntilChange } from '../remember';
import { measureLot } from './measure-lot';

const HOUR_MS = 3_600_000;
const WEEK_MS = 7 * 24 * HOUR_MS;

/** By key; null for what is too new to tell. */
export function computeWeeklyUses(
  shop: ShopContext,
  nameOf: (key: string) => ThingView,
): (key: string) => Figure | null {
  const nowMs = shop.now();
  const used = sumUsed(shop, nowMs);
  const first = rememberUntilChange(shop, 'when things first came', () => loadFirstReceived(shop.db));
  return (key) => {
    const sinceMs = first.get(key);
    return sinceMs === undefined
      ? null
      : computeWeeklyUse({ amount: used.get(key) ?? 0, sinceMs }, nameOf(key).unit, nowMs);
  };
}

/** By key, over the last weeks: from a full hour on, so that it is summed once an hour and not on every page. */
function sumUsed(shop: ShopContext, nowMs: number): ReadonlyMap<string, number> {
  const fromMs = Math.floor((nowMs - USE_WEEKS * WEEK_MS) / HOUR_MS) * HOUR_MS;
  return rememberUntilChange(shop, `used since ${fromMs}`, () => {
    const { figures } = getShop(shop);
    const used = new Map<string, number>();
    for (const { used: quantity, ...lot } of loadUseOfLots(shop.db, fromMs))
      used.set(lot.key, (used.get(lot.key) ?? 0) + measureLot({ ...lot, left: quantity }, figures));
    return used;
  });
}
