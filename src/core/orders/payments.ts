// Money of an order: what was paid, given back and is still owed.

import { figure, type Figure, type Minor } from '../units';

/** A tip is on top: it pays nothing of what is owed. */
export const PAYMENT_KINDS = ['payment', 'refund', 'tip'] as const;
export type PaymentKind = (typeof PAYMENT_KINDS)[number];

export type Payment = {
  readonly kind: PaymentKind;
  /** Above 0, minor units; a refund's is what went back. */
  readonly amount: Minor;
  /** Cash, card, transfer: a word. */
  readonly means: string;
  readonly takenBack: boolean;
};

const SIGNS: Readonly<Record<PaymentKind, number>> = { payment: 1, refund: -1, tip: 0 };
const LABELS: Readonly<Record<PaymentKind, string>> = { payment: 'Paid', refund: 'Given back', tip: 'Tip' };

/** What a payment adds to what is paid, minor units. */
export const getPaidBy = ({ kind, amount }: Pick<Payment, 'kind' | 'amount'>): number => SIGNS[kind] * amount;

/** What is not paid yet, minor units; 0 at the least. */
export const getOwed = ({ agreed, paid }: { readonly agreed: number; readonly paid: number }): number =>
  Math.max(0, agreed - paid);

export type OrderMoney = {
  /** Payments less refunds. */
  readonly paid: Figure;
  readonly tips: Figure;
  /** Below 0 where more was paid than agreed. */
  readonly owed: Figure;
  /** Of the deposit that was asked for, what is not there yet. */
  readonly depositDue: Figure;
};

/** Minor units throughout. */
export function sumPayments(
  { agreed, deposit }: { readonly agreed: Minor; readonly deposit: Minor },
  payments: readonly Payment[],
): OrderMoney {
  const live = payments.filter((payment) => !payment.takenBack);
  const parts = (kinds: readonly PaymentKind[]) =>
    live
      .filter(({ kind }) => kinds.includes(kind))
      .map(({ kind, amount, means }) =>
        figure(`${LABELS[kind]}, ${means}`, kind === 'refund' ? -amount : amount, 'money', 'typed'),
      );
  const add = (figures: readonly Figure[]) => figures.reduce((sum, { value }) => sum + value, 0);
  const settling = parts(['payment', 'refund']);
  const tipped = parts(['tip']);
  const paid = figure('Paid', add(settling), 'money', 'computed', { how: 'payments − refunds', parts: settling });
  return {
    paid,
    tips: figure('Tips', add(tipped), 'money', 'computed', { how: 'on top of the price', parts: tipped }),
    owed: figure('Owed', agreed - paid.value, 'money', 'computed', {
      how: 'agreed price − paid',
      parts: [figure('Agreed price', agreed, 'money', 'typed'), paid],
    }),
    depositDue: figure('Deposit due', Math.max(0, deposit - paid.value), 'money', 'computed', {
      how: 'deposit asked for − paid, 0 at the least',
      parts: [figure('Deposit asked for', deposit, 'money', 'typed'), paid],
    }),
  };
}
