import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minor } from '../units';
import {
  computePacksPrice,
  computeShipping,
  computeUnitPrices,
  computeUsableArea,
  getPackPrice,
  type Offer,
  type Supplier,
} from './index';

const roll = (key: string, widthMm: number, lengthMm: number, count = 1) => ({ key, count, widthMm, lengthMm });
const offer = (part: Partial<Offer> = {}): Offer => ({
  id: 1,
  supplierId: 1,
  name: 'Roll',
  parts: [roll('vinyl:1', 500, 10_000)],
  price: minor(5000),
  breaks: [],
  takePay: null,
  ...part,
});
const NO_MARGINS = { sideMm: 0, endMm: 0 };

describe('what packs cost', () => {
  it('breaks count for every pack from their number on', () => {
    const broken = offer({
      breaks: [
        { fromPacks: 3, price: minor(4500) },
        { fromPacks: 10, price: minor(4000) },
      ],
    });
    expect([1, 2, 3, 9, 10].map((packs) => getPackPrice(broken, packs))).toEqual([5000, 5000, 4500, 4500, 4000]);
    expect([0, 2, 3, 10].map((packs) => computePacksPrice(broken, packs))).toEqual([0, 10_000, 13_500, 40_000]);
  });

  it('take three, pay two: whole threes', () => {
    const three = offer({ takePay: { take: 3, pay: 2 } });
    expect([1, 2, 3, 4, 6, 7].map((packs) => computePacksPrice(three, packs) / 5000)).toEqual([1, 2, 2, 3, 4, 5]);
  });

  it('never more than without the offer, and so much more for every further group', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 2, max: 6 }),
        fc.integer({ min: 1, max: 5 }),
        (packs, take, less) => {
          const takePay = { take, pay: Math.max(1, take - less) };
          expect(computePacksPrice(offer({ takePay }), packs)).toBeLessThanOrEqual(packs * 5000);
          expect(computePacksPrice(offer({ takePay }), packs + take)).toBe(
            computePacksPrice(offer({ takePay }), packs) + takePay.pay * 5000,
          );
        },
      ),
    );
  });
});

describe('true unit price', () => {
  it('of a roll: by the area that a cutter reaches, landed', () => {
    const { perM2, perMetre, perPiece } = computeUnitPrices(offer(), 1, {
      wanted: () => true,
      margins: { sideMm: 10, endMm: 50 },
      shipping: 500,
    });
    expect(computeUsableArea(roll('x', 500, 10_000), { sideMm: 10, endMm: 50 })).toBe(480 * 9900);
    expect(perM2!.value).toBeCloseTo(5500 / (0.48 * 9.9), 6);
    expect(perMetre!.value).toBeCloseTo(550, 6);
    expect(perPiece).toBeNull();
    expect(perM2!.parts![0]!.value).toBe(5500);
  });

  it('of a bundle: only the colours that are wanted carry its price', () => {
    const bundle = offer({
      price: minor(1200),
      parts: ['vinyl:1', 'vinyl:2', 'vinyl:3', 'vinyl:4'].map((key) => roll(key, 300, 300, 2)),
    });
    const all = computeUnitPrices(bundle, 1, { wanted: () => true, margins: NO_MARGINS, shipping: 0 }),
      one = computeUnitPrices(bundle, 1, { wanted: (key) => key === 'vinyl:2', margins: NO_MARGINS, shipping: 0 });
    expect(all.perM2!.value).toBeCloseTo(1200 / 0.72, 6);
    expect(one.perM2!.value).toBeCloseTo(4 * all.perM2!.value, 6);
    expect(computeUnitPrices(bundle, 1, { wanted: () => false, margins: NO_MARGINS, shipping: 0 }).perM2).toBeNull();
  });

  it('of pieces: each', () => {
    expect(
      computeUnitPrices(
        offer({ price: minor(2400), parts: [{ key: 'blank:1', count: 12, widthMm: null, lengthMm: null }] }),
        2,
        { wanted: () => true, margins: NO_MARGINS, shipping: 240 },
      ).perPiece!.value,
    ).toBeCloseTo(210, 6);
  });
});

it('shipping is free from its threshold on, and nothing costs nothing', () => {
  const supplier: Supplier = {
    id: 1,
    name: 'Trade',
    shipping: minor(690),
    freeFrom: minor(10_000),
    minimumOrder: null,
    leadDays: 2,
  };
  expect([0, 1, 9999, 10_000].map((goods) => computeShipping(supplier, goods))).toEqual([0, 690, 690, 0]);
});
