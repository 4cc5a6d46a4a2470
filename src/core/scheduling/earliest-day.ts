// The earliest day that can be promised: what is waiting comes first, material has to be there, and only working hours
// count.

import type { ShopFigures } from '../materials';
import { figure, type Figure } from '../units';
import { addDays, countFreeSeconds } from './free-time';
import { dayOf } from '../units';

export type Promise = { readonly day: string; readonly working: Figure };
export type PromiseInput = {
  readonly nowMs: number;
  readonly timeZone: string;
  readonly shop: ShopFigures;
  /** Hands that all open orders still need, and that this job needs. */
  readonly waitingSeconds: number;
  readonly ownSeconds: number;
  /** Days until the last of its material is here; 0 where all of it is. */
  readonly materialDays: number;
};
const LOOK_AHEAD_DAYS = 370;

/** Null where the shop's hours do not suffice within a year. */
export function findEarliestDay(input: PromiseInput): Promise | null {
  const { nowMs, timeZone, shop, waitingSeconds, ownSeconds, materialDays } = input;
  const today = dayOf(nowMs, timeZone);
  const free = countFreeSeconds({ nowMs, timeZone, shop });
  // Hours before the material is there are for the orders that wait.
  const before = materialDays > 0 ? free(addDays(today, materialDays - 1)) : 0;
  for (let ahead = materialDays; ahead <= LOOK_AHEAD_DAYS; ahead++) {
    const day = addDays(today, ahead);
    const until = free(day);
    if (until < waitingSeconds + ownSeconds || until - before < ownSeconds) continue;
    return {
      day,
      working: figure('Working time until then', until, 's', 'shop', {
        how: 'enough for what waits and this job, once its material is here',
        parts: [
          figure('Waiting orders', waitingSeconds, 's', 'computed'),
          figure('This job', ownSeconds, 's', 'computed'),
          figure('Days until its material is here', materialDays, 'count', materialDays > 0 ? 'computed' : 'measured'),
        ],
      }),
    };
  }
  return null;
}
