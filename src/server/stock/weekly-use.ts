// How fast each thing is used, from what the ledger says.

import { computeWeeklyUse, USE_WEEKS } from '../../core/stock';
import type { Figure } from '../../core/units';
import { loadFirstReceived, loadUseOfLots } from '../../data/stock-store';
import type { ThingView } from '../../views/stock';
import { getShop, type ShopContext } from '../context';
import { measureLot } from './measure-lot';

const WEEK_MS = 7 * 86_400_000;

/** By key; null for what is too new to tell. */
export function computeWeeklyUses(
  shop: ShopContext,
  nameOf: (key: string) => ThingView,
): (key: string) => Figure | null {
  const { figures } = getShop(shop);
  const nowMs = shop.now();
  const used = new Map<string, number>();
  for (const { used: quantity, ...lot } of loadUseOfLots(shop.db, nowMs - USE_WEEKS * WEEK_MS))
    used.set(lot.key, (used.get(lot.key) ?? 0) + measureLot({ ...lot, left: quantity }, figures));
  const first = loadFirstReceived(shop.db);
  return (key) => {
    const sinceMs = first.get(key);
    return sinceMs === undefined
      ? null
      : computeWeeklyUse({ amount: used.get(key) ?? 0, sinceMs }, nameOf(key).unit, nowMs);
  };
}
