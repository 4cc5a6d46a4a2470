import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minor } from '../units';
import { computeAsk, moveAgreed, PLAIN_TERMS, type OrderTerms } from './terms';

const JACKETS = { label: 'Jacket', quantity: 4, each: 3550 };
const CUPS = { label: 'Cup', quantity: 3, each: 1805 };
const ask = (terms: Partial<OrderTerms> = {}, lines = [JACKETS, CUPS]) =>
  computeAsk(lines, { ...PLAIN_TERMS, ...terms });

describe('computeAsk', () => {
  it('asks the pieces at their prices where nothing else was agreed', () => {
    expect(ask().value).toBe(4 * 3550 + 3 * 1805);
    expect(ask({}, []).value).toBe(0);
  });

  it('takes the set off first, then the discount of what is left, to the cent', () => {
    // 19,615 − 615 = 19,000; 7.5 % of it is 1,425.
    expect(ask({ setOff: minor(615), discountShare: 0.075 }).value).toBe(17_575);
  });

  it('rounds discount and rush each by itself', () => {
    // 5 % of 19,615 is 980.75, 25 % of it 4,903.75.
    expect(ask({ discountShare: 0.05, rushShare: 0.25 }).value).toBe(19_615 - 981 + 4904);
  });

  it('asks for delivery only where it is sent, and gives no discount on it', () => {
    const delivery = { deliveryCharge: minor(690), discountShare: 0.1 };
    expect(ask({ ...delivery, goes: 'sent' }).value).toBe(19_615 - 1962 + 690);
    expect(ask({ ...delivery, goes: 'collected' }).value).toBe(19_615 - 1962);
  });

  it('never asks less than nothing for a set', () => {
    expect(ask({ setOff: minor(50_000) }).value).toBe(0);
  });

  it('tells each part by name, and they add up', () => {
    const asked = ask({
      setOff: minor(615),
      discountShare: 0.1,
      rushShare: 0.2,
      goes: 'sent',
      deliveryCharge: minor(5),
    });
    const parts = asked.parts!;
    expect(parts.map(({ label }) => label)).toEqual(['Pieces', 'Off for a set', 'Discount', 'Rush', 'Delivery']);
    expect(parts.reduce((sum, part) => sum + part.value, 0)).toBe(asked.value);
    expect(parts[0]!.parts!.map(({ label, value }) => [label, value])).toEqual([
      ['4 × Jacket', 14_200],
      ['3 × Cup', 5415],
    ]);
  });

  it('adds up to whole coins for any terms', () => {
    const money = fc.integer({ min: 0, max: 100_000 }).map(minor);
    const line = fc.record({
      label: fc.constant('Piece'),
      quantity: fc.integer({ min: 1, max: 300 }),
      each: fc.integer({ min: 0, max: 50_000 }),
    });
    const terms = fc.record({
      discountShare: fc.double({ min: 0, max: 0.9, noNaN: true }),
      setOff: money,
      rushShare: fc.double({ min: 0, max: 2, noNaN: true }),
      goes: fc.constantFrom('collected' as const, 'sent' as const),
      deliveryCharge: money,
    });
    fc.assert(
      fc.property(fc.array(line, { maxLength: 6 }), terms, (lines, own) => {
        const asked = computeAsk(lines, own);
        expect(Number.isInteger(asked.value)).toBe(true);
        expect(asked.value).toBeGreaterThanOrEqual(0);
        const pieces = lines.reduce((sum, { quantity, each }) => sum + quantity * each, 0);
        if (own.setOff <= pieces) expect(asked.parts!.reduce((sum, part) => sum + part.value, 0)).toBe(asked.value);
      }),
    );
  });
});

describe('moveAgreed', () => {
  it('moves by as much as what is asked, and never below nothing', () => {
    // 5.00 were given off by hand: they stay given.
    expect(moveAgreed(9500, 10_000, 12_500)).toBe(12_000);
    expect(moveAgreed(9500, 10_000, 10_000)).toBe(9500);
    expect(moveAgreed(300, 10_000, 0)).toBe(0);
  });
});
