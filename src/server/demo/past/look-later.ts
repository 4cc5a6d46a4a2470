// Orders of the demo shop's past that were looked at again when they had been worn and washed.

import { laterInput, seenInput } from '../../../core/input/index';
import { proposeLooks, type LaterLook } from '../../../core/scheduling/index';
import { dayOf } from '../../../core/units/index';
import { findLater } from '../../../data/later-look-store';
import { findVinyl } from '../../../data/shelf-store';
import { getShop } from '../../context';
import { parseInput } from '../../errors';
import { forgetLater, planLater, seeLater } from '../../trials/later-looks';
import { DAY_MS, type Past } from './past';

/** Those looked at, of all that are proposed: edges after a day, a wash, five washes. */
const isChosen = ({ washes, reason }: LaterLook): boolean =>
  reason === 'edges' || (reason === 'wash' && washes <= MOST_WASHES);
const MOST_WASHES = 5;

/** Planned when it is handed over; ids of what is to be looked at. */
export function planLooks({ stock }: Past, orderId: number): readonly number[] {
  const { shop } = stock;
  const today = dayOf(shop.now(), getShop(shop).timeZone);
  const looks = proposeLooks(today).filter(isChosen);
  return planLater(shop, parseInput(laterInput, { orderId, looks })).ids;
}

/** Those whose day has come: seen, or nobody asked and they are let be. The clock stands at the last of them. */
export function lookAt({ file, stock, chance }: Past, laterIds: readonly number[]): void {
  const { shop, clock, nowMs } = stock;
  const today = dayOf(nowMs, getShop(shop).timeZone);
  const due = laterIds
    .flatMap((id) => findLater(shop.db, id) ?? [])
    .filter(({ dueDay }) => dueDay < today)
    .sort((a, b) => a.dueDay.localeCompare(b.dueDay) || a.id - b.id);
  for (const { id, dueDay, vinylId, washes } of due) {
    clock.ms = Date.parse(dueDay) + DAY_MS / 2;
    if (!chance.happens(file.answered)) {
      forgetLater(shop, id);
      continue;
    }
    const lifts = washes > 0 && chance.happens(file.lifts[findVinyl(shop.db, vinylId)!.name] ?? 0);
    const kind = lifts ? 'lifted' : washes > 0 ? 'washed' : 'fine';
    seeLater(shop, id, parseInput(seenInput, { kind, note: lifts ? 'at the edge' : '' }));
  }
}
