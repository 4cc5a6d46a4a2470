// What was agreed besides the pieces, in words.

import type { OrderTerms } from '../core/orders';
import { formatMoney, formatShare, type FormatSettings } from '../core/units';

/** Each that differs, as the story of an order tells it. */
export function describeTermChanges(was: OrderTerms, now: OrderTerms, settings: FormatSettings): readonly string[] {
  const share = (value: number) => formatShare(value, settings, 1);
  const money = (value: number) => formatMoney(value, settings);
  return [
    ...(was.discountShare === now.discountShare
      ? []
      : [`discount ${share(was.discountShare)} → ${share(now.discountShare)}`]),
    ...(was.setOff === now.setOff ? [] : [`off as a set ${money(was.setOff)} → ${money(now.setOff)}`]),
    ...(was.rushShare === now.rushShare ? [] : [`rush ${share(was.rushShare)} → ${share(now.rushShare)}`]),
    ...(was.goes === now.goes ? [] : [now.goes === 'sent' ? 'to be sent' : 'to be collected']),
    ...(was.deliveryCharge === now.deliveryCharge
      ? []
      : [`delivery ${money(was.deliveryCharge)} → ${money(now.deliveryCharge)}`]),
  ];
}
