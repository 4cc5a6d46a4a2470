import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeItemCost, type ItemCost } from '../costing';
import { PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { minor } from '../units';
import {
  computeFee,
  computeFloor,
  priceForMargin,
  priceForMarkup,
  priceForWage,
  readDiscount,
  readPrice,
} from './price';

const result = computeItemCost(PLAIN_ITEM, 10, PLAIN_SHOP);
if (!result.ok) throw new Error(result.problem.kind);
const cost: ItemCost = result.value;
const value = (solved: ReturnType<typeof priceForMargin>) => {
  if (!solved.ok) throw new Error(solved.problem.kind);
  return minor(solved.value.value);
};

describe('reading a price, by hand', () => {
  const reading = readPrice(minor(1000), cost, PLAIN_SHOP);
  it('takes the fee from the price', () => {
    expect(computeFee(1000, PLAIN_SHOP)).toBe(80); // 5 % + 0.30
    expect(reading.yours.value).toBe(1000 - 80 - 616);
  });
  it('says margin of the price and markup of the cost', () => {
    expect(reading.margin!.value).toBeCloseTo(304 / 1000, 12);
    expect(reading.markup!.value).toBeCloseTo(304 / 616, 12);
  });
  it('says what an hour earns: what is left after fee, cash and risk, by the time spent', () => {
    expect(reading.hourEarns!.value).toBeCloseTo((1000 - 80 - 461 - 20) / (270 / 3600), 6);
  });
});

describe('solving for a price', () => {
  it('finds (cost + fixed fee) ÷ (1 − fee share − margin), up to the next cent', () => {
    expect(value(priceForMargin(0.35, cost, PLAIN_SHOP))).toBe(Math.ceil((616 + 30) / 0.6)); // 10.77
    expect(value(computeFloor(cost, PLAIN_SHOP))).toBe(680); // 646 ÷ 0.95
  });

  it('refuses a fee and a margin that leave nothing', () => {
    expect(priceForMargin(0.95, cost, PLAIN_SHOP)).toEqual({
      ok: false,
      problem: { kind: 'goal-beyond-price', feeShare: 0.05, goalShare: 0.95 },
    });
    expect(priceForMarkup(0.1, cost, { ...PLAIN_SHOP, feeShare: 1 })).toMatchObject({ ok: false });
  });

  const shops = fc
    .record({
      feeShare: fc.integer({ min: 0, max: 40 }).map((n) => n / 100),
      feeFixed: fc.integer({ min: 0, max: 500 }),
    })
    .map((fee) => ({ ...PLAIN_SHOP, ...fee }));

  it('price → margin → price: the goal is reached, and a cent less misses it', () => {
    fc.assert(
      fc.property(shops, fc.integer({ min: 0, max: 50 }), (shop, percent) => {
        const goal = percent / 100;
        const price = value(priceForMargin(goal, cost, shop));
        expect(readPrice(price, cost, shop).yours.value).toBeGreaterThanOrEqual(goal * price - 1e-6);
        expect(readPrice(minor(price - 1), cost, shop).yours.value).toBeLessThan(goal * (price - 1));
      }),
    );
  });

  it('reaches markup and wage in the same way', () => {
    fc.assert(
      fc.property(shops, fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 9000 }), (shop, percent, wage) => {
        expect(
          readPrice(value(priceForMarkup(percent / 100, cost, shop)), cost, shop).markup!.value,
        ).toBeGreaterThanOrEqual(percent / 100 - 1e-9);
        expect(readPrice(value(priceForWage(wage, cost, shop)), cost, shop).hourEarns!.value).toBeGreaterThanOrEqual(
          wage - 1e-6,
        );
      }),
    );
  });

  it('at the floor an hour earns the shop’s hour, within a cent a piece', () => {
    const earns = readPrice(value(computeFloor(cost, PLAIN_SHOP)), cost, PLAIN_SHOP).hourEarns!.value;
    expect(Math.abs(earns - PLAIN_SHOP.wagePerHour)).toBeLessThan(1 / (270 / 3600) + 1);
  });
});

describe('a discount', () => {
  it('leaves the price less it, up to the cent, and says what an hour earns then', () => {
    const reading = readDiscount(0.1, minor(1005), cost, PLAIN_SHOP);
    // 904.5 is asked as 9.05; the fee is 5 % and 0.30 of that.
    expect(reading.price.value).toBe(905);
    expect(reading.hourEarns!.value).toBeCloseTo((905 - 75 - 461 - 20) / (270 / 3600), 6);
    expect(readDiscount(0, minor(1005), cost, PLAIN_SHOP).price.value).toBe(1005);
  });

  it('is told where you would pay to work, and only there', () => {
    const floor = value(computeFloor(cost, PLAIN_SHOP));
    fc.assert(
      fc.property(fc.integer({ min: floor, max: 5000 }), fc.double({ min: 0, max: 1, noNaN: true }), (price, share) => {
        const { price: left, belowFloor } = readDiscount(share, minor(price), cost, PLAIN_SHOP);
        expect(left.value).toBeLessThanOrEqual(price);
        expect(belowFloor).toBe(left.value < floor);
      }),
    );
  });
});
