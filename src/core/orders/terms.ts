// What an order asks: its pieces at their prices, less what is given off, more for haste and for sending it.

import { figure, minor, type Figure, type Minor } from '../units';

/** How it gets to the customer. */
export const GOES = ['collected', 'sent'] as const;

export type OrderTerms = {
  /** Given off the price of the pieces, share, 0 to 0.9. */
  readonly discountShare: number;
  /** Given off because things go together as a set, minor units. */
  readonly setOff: Minor;
  /** Asked on top because it is wanted sooner, share of the price of the pieces, 0 to 2. */
  readonly rushShare: number;
  readonly goes: (typeof GOES)[number];
  /** Asked for sending it, minor units; nothing where it is collected. */
  readonly deliveryCharge: Minor;
};

export const PLAIN_TERMS: OrderTerms = {
  discountShare: 0,
  setOff: minor(0),
  rushShare: 0,
  goes: 'collected',
  deliveryCharge: minor(0),
};

/** `each`: minor units of one piece. */
export type PricedLine = { readonly label: string; readonly quantity: number; readonly each: number };

/**
 * What is asked in all, minor units, 0 or more: pieces − set, of that the discount off and the rush on top, each rounded
 * to the smallest coin, + delivery. Discount and rush are of the same amount, so that neither is of the other.
 */
export function computeAsk(lines: readonly PricedLine[], terms: OrderTerms): Figure {
  const pieces = sumPieces(lines);
  const base = Math.max(0, pieces.value - terms.setOff);
  const discount = Math.round(base * terms.discountShare);
  const rush = Math.round(base * terms.rushShare);
  const delivery = terms.goes === 'sent' ? terms.deliveryCharge : 0;
  const typed = (label: string, value: number) => figure(label, value, 'money', 'typed');
  const shared = (label: string, value: number, how: string, share: number) =>
    figure(label, value, 'money', 'computed', { how, parts: [figure('Share', share, 'share', 'typed')] });
  return figure('Asked', base - discount + rush + delivery, 'money', 'computed', {
    how: 'pieces, less what is given off, with rush and delivery',
    parts: [
      pieces,
      ...(terms.setOff > 0 ? [typed('Off for a set', -terms.setOff)] : []),
      ...(discount > 0
        ? [shared('Discount', -discount, 'share of the pieces, less the set', terms.discountShare)]
        : []),
      ...(rush > 0 ? [shared('Rush', rush, 'share of the pieces, less the set', terms.rushShare)] : []),
      ...(delivery > 0 ? [typed('Delivery', delivery)] : []),
    ],
  });
}

/**
 * What is agreed once another sum is asked, minor units, 0 or more: it moves by as much, so that what was given off or
 * rounded before stays so.
 */
export const moveAgreed = (agreed: number, askedBefore: number, askedNow: number): number =>
  Math.max(0, agreed + askedNow - askedBefore);

function sumPieces(lines: readonly PricedLine[]): Figure {
  const parts = lines.map(({ label, quantity, each }) =>
    figure(`${quantity} × ${label}`, each * quantity, 'money', 'computed', {
      how: 'pieces × price of one',
      parts: [figure('Price of one', each, 'money', 'typed')],
    }),
  );
  return figure(
    'Pieces',
    parts.reduce((sum, part) => sum + part.value, 0),
    'money',
    'computed',
    { how: 'sum of the lines', parts },
  );
}
