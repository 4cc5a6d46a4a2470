import { describe, expect, it } from 'vitest';
import { minor } from '../units';
import { getPaidBy, sumPayments, type Payment } from './index';

const pay = (kind: Payment['kind'], amount: number, takenBack = false): Payment => ({
  kind,
  amount: minor(amount),
  means: 'cash',
  takenBack,
});
const money = (agreed: number, deposit: number, ...payments: readonly Payment[]) => {
  const { paid, tips, owed, depositDue } = sumPayments({ agreed: minor(agreed), deposit: minor(deposit) }, payments);
  return [paid.value, tips.value, owed.value, depositDue.value];
};

describe('money of an order', () => {
  it.each([
    // agreed, deposit, payments: paid, tips, owed, deposit due
    ['nothing paid', money(10_000, 3000), [0, 0, 10_000, 3000]],
    ['half the deposit', money(10_000, 3000, pay('payment', 1500)), [1500, 0, 8500, 1500]],
    ['deposit and rest', money(10_000, 3000, pay('payment', 3000), pay('payment', 7000)), [10_000, 0, 0, 0]],
    [
      'too much, and some given back',
      money(10_000, 0, pay('payment', 12_000), pay('refund', 1500)),
      [10_500, 0, -500, 0],
    ],
    ['a tip pays nothing', money(10_000, 0, pay('payment', 10_000), pay('tip', 500)), [10_000, 500, 0, 0]],
    ['what was taken back never was', money(10_000, 0, pay('payment', 10_000, true)), [0, 0, 10_000, 0]],
    ['nothing agreed', money(0, 0), [0, 0, 0, 0]],
  ])('%s', (_, got, expected) => expect(got).toEqual(expected));

  it('shows each payment in its working', () => {
    const { owed } = sumPayments({ agreed: minor(5000), deposit: minor(0) }, [
      pay('payment', 2000),
      pay('refund', 500),
    ]);
    expect(owed.parts?.map(({ label, value }) => [label, value])).toEqual([
      ['Agreed price', 5000],
      ['Paid', 1500],
    ]);
    expect(owed.parts?.[1]?.parts?.map(({ label, value }) => [label, value])).toEqual([
      ['Paid, cash', 2000],
      ['Given back, cash', -500],
    ]);
  });

  it('knows what each adds to what is paid', () =>
    expect((['payment', 'refund', 'tip'] as const).map((kind) => getPaidBy(pay(kind, 700)))).toEqual([700, -700, 0]));
});
