// Whether each order can still be in time: hours free until it is due, less the hours needed by it and all due before.

import type { ShopFigures } from '../materials';
import { figure, groupBy, type Figure } from '../units';
import { countFreeSeconds } from './free-time';

export type Waiting = { readonly orderId: number; readonly dueDay: string; readonly neededSeconds: number };

/**
 * Slack of each order in seconds, by order id: negative when it is short. Work is taken by due day (earliest due date
 * first, which is late by the least possible: Jackson's rule); orders due on one day share that day's slack.
 */
export function computeSlack(input: {
  readonly orders: readonly Waiting[];
  readonly nowMs: number;
  readonly timeZone: string;
  readonly shop: ShopFigures;
}): ReadonlyMap<number, Figure> {
  const { orders, ...calendar } = input;
  const slack = new Map<number, Figure>();
  const byDay = groupBy(orders, (order) => order.dueDay);
  const freeUntil = countFreeSeconds(calendar);
  let needed = 0;
  for (const day of [...byDay.keys()].sort()) {
    const due = byDay.get(day)!;
    const before = needed;
    needed += due.reduce((sum, order) => sum + order.neededSeconds, 0);
    const free = freeUntil(day);
    for (const order of due) {
      slack.set(
        order.orderId,
        figure(free - needed < 0 ? 'Short' : 'Spare', free - needed, 's', 'computed', {
          how: 'hours free until due − this order − all that is due before or with it',
          parts: [
            figure('Working time until it is due', free, 's', 'shop'),
            figure('This order', order.neededSeconds, 's', 'computed'),
            figure('Due before it', before, 's', 'computed'),
            figure('Due the same day', needed - before - order.neededSeconds, 's', 'computed'),
          ],
        }),
      );
    }
  }
  return slack;
}
