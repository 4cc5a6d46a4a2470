import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_CHANNEL, PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { computeItemCost, type ItemCost } from '../costing';
import { minor } from '../units';
import {
  ENDINGS,
  findSteepness,
  priceForMargin,
  priceForWage,
  priceOnChannel,
  readChannel,
  roundUpTo,
  type Channel,
  type ChannelGoal,
} from './index';

const made = computeItemCost(PLAIN_ITEM, 10, PLAIN_SHOP);
if (!made.ok) throw new Error(made.problem.kind);
/** 4.61 cash, 5.96 full, 6.16 with risk; 270 s of hands. */
const cost: ItemCost = made.value;
const channel = (part: Partial<Channel> = {}): Channel => ({ ...PLAIN_CHANNEL, ...part });
const solve = (goal: ChannelGoal, on: Channel) => {
  const found = priceOnChannel(goal, cost, on);
  if (!found.ok) throw new Error(found.problem.kind);
  return found.value.value;
};
const takenAt = (price: number, part: Partial<Channel>) => readChannel(minor(price), cost, channel(part)).fees.value;

describe('what a channel takes, by hand', () => {
  it.each<[string, Partial<Channel>, number]>([
    ['a share', { tiers: [{ from: minor(0), share: 0.065 }] }, 130],
    ['a fixed part', { fixed: minor(25) }, 25],
    [
      'tiers: 10 % up to 10.00, 5 % above',
      {
        tiers: [
          { from: minor(0), share: 0.1 },
          { from: minor(1000), share: 0.05 },
        ],
      },
      150,
    ],
    ['a listing that stands for four sales', { listing: minor(90), salesPerListing: 4 }, 23],
    ['a payment of 1.4 % and 0.25', { paymentShare: 0.014, paymentFixed: minor(25) }, 53],
    ['12 % of the sales that advertising brings, a quarter of them', { adShare: 0.12, adOdds: 0.25 }, 60],
    ['a day of 45.00 for 30 pieces', { day: minor(4500), salesPerDay: 30 }, 150],
    ['delivery of 4.90, of which 3.90 are paid', { delivery: minor(490), deliveryPaid: minor(390) }, 100],
    ['delivery that earns a little', { delivery: minor(390), deliveryPaid: minor(490) }, -100],
  ])('%s of 20.00', (_, part, taken) => expect(takenAt(2000, part)).toBe(taken));

  it('tax and a shop’s discount come off the price first', () => {
    const reading = readChannel(minor(2400), cost, channel({ tax: 0.2, discount: 0.5 }));
    // Half of 24.00 is paid; a sixth of that is tax.
    expect(reading.paid.value).toBe(1000);
    expect(reading.yours.value).toBe(1000 - 616);
    expect(reading.margin!.value).toBeCloseTo(384 / 1000, 12);
  });

  it('an hour earns what is left after fees, cash and what goes wrong', () => {
    const reading = readChannel(minor(1500), cost, channel({ fixed: minor(100) }));
    expect(reading.hourEarns!.value).toBeCloseTo((1500 - 100 - 461 - 20) / (270 / 3600), 6);
  });
});

describe('the price needed', () => {
  it('is that of the shop’s own fee where the channel is as plain', () => {
    const plain = channel({ tiers: [{ from: minor(0), share: 0.05 }], fixed: minor(30) });
    for (const share of [0, 0.2, 0.35, 0.6]) {
      const own = priceForMargin(share, cost, PLAIN_SHOP);
      expect(solve({ kind: 'margin', share }, plain)).toBe(own.ok && own.value.value);
    }
    const wage = priceForWage(2400, cost, PLAIN_SHOP);
    expect(solve({ kind: 'wage', perHour: 2400 }, plain)).toBe(wage.ok && wage.value.value);
  });

  it('reaches its goal, and no lower price with the same ending does', () => {
    const any = fc.record({
      share: fc.double({ min: 0, max: 0.3, noNaN: true }),
      upper: fc.double({ min: 0, max: 0.3, noNaN: true }),
      from: fc.integer({ min: 100, max: 3000 }),
      fixed: fc.nat(200),
      paymentShare: fc.double({ min: 0, max: 0.05, noNaN: true }),
      adShare: fc.double({ min: 0, max: 0.15, noNaN: true }),
      day: fc.nat(5000),
      tax: fc.constantFrom(0, 0.1, 0.2),
      discount: fc.constantFrom(0, 0.3, 0.5),
      ending: fc.constantFrom(...ENDINGS),
      margin: fc.double({ min: 0, max: 0.3, noNaN: true }),
    });
    fc.assert(
      fc.property(any, ({ share, upper, from, margin, fixed, day, ...rest }) => {
        const on = channel({
          ...rest,
          fixed: minor(fixed),
          day: minor(day),
          salesPerDay: 20,
          adOdds: 0.3,
          tiers: [
            { from: minor(0), share },
            { from: minor(from), share: upper },
          ],
        });
        const found = priceOnChannel({ kind: 'margin', share: margin }, cost, on);
        if (!found.ok) return;
        const price = found.value.value;
        const reaches = (at: number) => {
          const { yours, paid } = readChannel(minor(at), cost, on);
          return yours.value >= margin * paid.value - 1e-6;
        };
        expect(reaches(price)).toBe(true);
        expect(roundUpTo(price, on.ending)).toBe(price);
        const step = on.ending === 'any' ? 1 : 100;
        if (price >= step) expect(reaches(price - step)).toBe(false);
      }),
      { numRuns: 300 },
    );
  });

  it('is found below a step of the fees that leaves nothing above it', () => {
    const steep = channel({
      tiers: [
        { from: minor(0), share: 0.05 },
        { from: minor(10_000), share: 0.7 },
      ],
    });
    const found = priceOnChannel({ kind: 'margin', share: 0.35 }, cost, steep);
    const alone = priceOnChannel({ kind: 'margin', share: 0.35 }, cost, channel({ tiers: [steep.tiers[0]!] }));
    // 6.16 ÷ (1 − 0.05 − 0.35) = 10.27
    expect(found.ok && found.value.value).toBe(1027);
    expect(alone.ok && alone.value.value).toBe(1027);
  });

  it('is the first of all prices that reaches the goal, however the steps rise and fall', () => {
    const share = fc.double({ min: 0, max: 0.95, noNaN: true });
    const steps = fc.record({
      first: share,
      second: share,
      third: share,
      from: fc.integer({ min: 300, max: 1200 }),
      further: fc.integer({ min: 1, max: 1500 }),
      margin: fc.double({ min: 0, max: 0.5, noNaN: true }),
    });
    fc.assert(
      fc.property(steps, ({ first, second, third, from, further, margin }) => {
        const on = channel({
          tiers: [
            { from: minor(0), share: first },
            { from: minor(from), share: second },
            { from: minor(from + further), share: third },
          ],
        });
        const found = priceOnChannel({ kind: 'margin', share: margin }, cost, on);
        const reaches = (at: number) => readChannel(minor(at), cost, on).yours.value >= margin * at - 1e-6;
        const most = found.ok ? Math.min(found.value.value, 4000) : 4000;
        for (let price = 1; price < most; price++) {
          // Fees are rounded step by step: near the edge of one a single cent may hold by its rounding.
          if (reaches(price) && reaches(price + 3) && reaches(price + 6))
            expect(price).toBeGreaterThanOrEqual(most - 3);
        }
        if (found.ok) expect(reaches(found.value.value)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('is told to be steep where little of each unit more is left, near where no price holds', () => {
    const steepness = (share: number, margin: number) =>
      findSteepness({ kind: 'margin', share: margin }, channel({ tiers: [{ from: minor(0), share }] }));
    expect(steepness(0.1, 0.35)).toBeNull();
    expect(steepness(0.5, 0.34)).toBeNull();
    expect(steepness(0.5, 0.4)).toBeCloseTo(0.1, 12);
    // 6.16 ÷ 0.1: a tenth of a percent more of fees is 0.62 more to ask.
    expect(solve({ kind: 'margin', share: 0.4 }, channel({ tiers: [{ from: minor(0), share: 0.5 }] }))).toBe(6160);
    expect(steepness(0.6, 0.4)).toBeNull();
    expect(findSteepness({ kind: 'wage', perHour: 2400 }, channel({ paymentShare: 0.9 }))).toBeCloseTo(0.1, 12);
  });

  it('is refused where the channel and the goal leave nothing', () => {
    expect(
      priceOnChannel({ kind: 'margin', share: 0.6 }, cost, channel({ tiers: [{ from: minor(0), share: 0.4 }] })),
    ).toEqual({ ok: false, problem: { kind: 'takes-too-much', taken: 0.4, goal: 0.6 } });
    expect(priceOnChannel({ kind: 'floor' }, cost, channel({ discount: 1 }))).toMatchObject({ ok: false });
    // Fees are of the price with its tax in it: 90 % of that are more than all of the net price.
    expect(
      priceOnChannel({ kind: 'floor' }, cost, channel({ tiers: [{ from: minor(0), share: 0.9 }], tax: 0.2 })),
    ).toMatchObject({ ok: false });
  });

  it.each([
    [1234, '00', 1300],
    [1234, '50', 1250],
    [1290, '90', 1290],
    [1291, '90', 1390],
    [1234, 'any', 1234],
    [0, '99', 99],
  ] as const)('%d up to the ending %s is %d', (price, ending, rounded) =>
    expect(roundUpTo(price, ending)).toBe(rounded),
  );
});
