// What has to be bought: what open orders need beyond what is there, what lies below its minimum, and what is added by
// hand.

import type { Need } from '../../core/buying';
import { countDays } from '../../core/scheduling';
import { dayOf, AMOUNT_NOISE } from '../../core/units';
import { allocate, computeMinimum } from '../../core/stock';
import { formatDay } from '../../core/units';
import { findOffers, loadMinimums } from '../../data/offer-store';
import { loadLotsOnShelf } from '../../data/stock-store';
import { getShop, type ShopContext } from '../context';
import { DAYS_TO_MAKE } from '../stock/make-days';
import { measureLot } from '../stock/measure-lot';
import { computeWeeklyUses } from '../stock/weekly-use';
import { listNeedsByDue } from '../stock/order-needs';
import { nameThings } from '../stock/things';
import { loadPurchases } from '../../data/purchase-store';
import { rememberUntilChange } from '../remember';

export type OpenNeed = Need & { readonly because: string; readonly unit: 'mm²' | 'count' };
type Extra = { readonly key: string; readonly amount: number };
export type NeedWish = {
  readonly extra: readonly Extra[];
  readonly withOrders: boolean;
  readonly withMinimums: boolean;
};

/** Stock goes to the orders due first; what is under way from suppliers counts as there. */
export function loadOpenNeeds(
  shop: ShopContext,
  wish: NeedWish = { extra: [], withOrders: true, withMinimums: true },
): readonly OpenNeed[] {
  const { timeZone, locale } = getShop(shop);
  const nameOf = nameThings(shop);
  const today = dayOf(shop.now(), timeZone);
  const coming = new Map(sumShelf(shop));
  for (const [key, amount] of loadUnderWay(shop)) coming.set(key, (coming.get(key) ?? 0) + amount);
  const { short: missing, left } = allocate(wish.withOrders ? listNeedsByDue(shop) : [], coming);
  const needs: OpenNeed[] = missing.map(({ need, short }, index) => ({
    id: `order ${need.key} ${index}`,
    label: nameOf(need.key).name,
    accepts: [need.key],
    amount: short,
    leastWidthMm: need.leastWidthMm,
    withinDays: Math.max(0, countDays(today, need.dueDay) - DAYS_TO_MAKE),
    because: `for ${need.orderTitle}, due ${formatDay(need.dueDay, { locale })}`,
    unit: nameOf(need.key).unit,
  }));
  if (wish.withMinimums) {
    const weeklyOf = computeWeeklyUses(shop, nameOf);
    for (const [key, wished] of loadMinimums(shop.db)) {
      const minimum = computeMinimum(wished, weeklyOf(key), nameOf(key).unit);
      const short = (minimum?.value ?? 0) - (left.get(key) ?? 0);
      if (short > AMOUNT_NOISE)
        needs.push({
          id: `minimum ${key}`,
          label: nameOf(key).name,
          accepts: [key],
          amount: short,
          leastWidthMm: 0,
          withinDays: null,
          because: 'below what should always be there',
          unit: nameOf(key).unit,
        });
    }
  }
  for (const { key, amount } of wish.extra)
    needs.push({
      id: `hand ${key}`,
      label: nameOf(key).name,
      accepts: [key],
      amount,
      leastWidthMm: 0,
      withinDays: null,
      because: 'added by hand',
      unit: nameOf(key).unit,
    });
  return needs;
}

/** What lies on the shelf, by thing. */
export const sumShelf = (shop: ShopContext): ReadonlyMap<string, number> =>
  rememberUntilChange(shop, 'what lies on the shelf', () => {
    const { figures } = getShop(shop);
    const amounts = new Map<string, number>();
    for (const lot of loadLotsOnShelf(shop.db))
      amounts.set(lot.key, (amounts.get(lot.key) ?? 0) + measureLot(lot, figures));
    return amounts;
  });

/** What was ordered and has not come yet, by thing. */
export function loadUnderWay(shop: ShopContext): ReadonlyMap<string, number> {
  const { figures } = getShop(shop);
  const open = loadPurchases(shop.db).filter((purchase) => purchase.closedAtMs === null);
  const offers = new Map(
    findOffers(shop.db, [...new Set(open.flatMap((purchase) => purchase.lines.map((line) => line.offerId)))]).map(
      (offer) => [offer.id, offer],
    ),
  );
  const amounts = new Map<string, number>();
  for (const line of open.flatMap((purchase) => purchase.lines)) {
    const packs = Math.max(0, line.packs - line.receivedPacks - line.damagedPacks);
    for (const part of offers.get(line.offerId)?.parts ?? []) {
      if (part.key === null || packs === 0) continue;
      const one =
        part.widthMm === null
          ? part.count
          : measureLot(
              {
                form: 'sheet',
                left: part.count,
                widthMm: part.widthMm,
                lengthMm: part.lengthMm,
                shape: null,
                spoiledSpots: [],
              },
              figures,
            );
      amounts.set(part.key, (amounts.get(part.key) ?? 0) + packs * one);
    }
  }
  return amounts;
}
