// Every step that the working of a price shows, worked out by hand.

import { describe, expect, it } from 'vitest';
import { printWorking } from '../../../test/print-working';
import { PLAIN_CHANNEL, PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { computeItemCost, type ItemCost } from '../costing';
import type { ShopFigures } from '../materials';
import { figure, minor, type Figure } from '../units';
import {
  computeFloor,
  priceForMargin,
  priceForMarkup,
  priceForWage,
  priceOnChannel,
  readChannel,
  readDiscount,
  readPrice,
  readSet,
  type Channel,
  type ChannelGoal,
} from './index';

function costIn(shop: ShopFigures): ItemCost {
  const made = computeItemCost(PLAIN_ITEM, 10, shop);
  if (!made.ok) throw new Error(made.problem.kind);
  return made.value;
}
/** 4.61 cash, 5.96 full, 6.16 with risk; 270 s of hands. */
const cost = costIn(PLAIN_SHOP);

const stepsOf = (found: Figure | null, depth = 1): string[] =>
  found
    ? printWorking(found, depth)
        .replaceAll(/, (?:computed|shop|typed|default)/g, '')
        .split('\n')
    : [];
function solved(found: ReturnType<typeof priceForMargin> | ReturnType<typeof priceOnChannel>): string[] {
  if (!found.ok) throw new Error(found.problem.kind);
  return stepsOf(found.value).map((line) => line.replace(/ \(.*\)$/, ''));
}

describe('a price', () => {
  const reading = readPrice(minor(1000), cost, PLAIN_SHOP);
  it('is told in what it leaves', () => {
    expect(stepsOf(reading.fee)).toEqual([
      'Fee: 80 money (share × price + fixed part)',
      '  Fee, share of the price: 0.05 share',
      '  Price: 1000 money',
      '  Fee, fixed for each sale: 30 money',
    ]);
    expect(stepsOf(reading.yours)).toEqual([
      'Yours: 304 money (price − fee − full cost with risk)',
      '  Price: 1000 money',
      '  Fee: 80 money (share × price + fixed part)',
      '  Full cost with risk: 616 money (full cost + what goes wrong or comes back)',
    ]);
    // 1000 − 80 − 461 − 20 = 439 for 270 s: 5,853.33 an hour.
    expect(stepsOf(reading.hourEarns)).toEqual([
      'An hour earns: 5853.33 money/h ((price − fee − cash cost − what goes wrong) ÷ your time)',
      '  Price: 1000 money',
      '  Fee: 80 money (share × price + fixed part)',
      '  Cash cost: 461 money (what leaves the purse)',
      '  What goes wrong: 20 money',
      '  Your time for one: 270 s (sum of the lines)',
    ]);
  });

  it('has no margin at nought, no markup on nothing, and no hour where no time is spent', () => {
    expect(readPrice(minor(0), cost, PLAIN_SHOP).margin).toBeNull();
    const nothing = figure('Nothing', 0, 'money', 'computed');
    expect(readPrice(minor(1000), { ...cost, withRisk: nothing }, PLAIN_SHOP).markup).toBeNull();
    const none = figure('No time', 0, 's', 'computed');
    expect(readPrice(minor(1000), { ...cost, handsSeconds: none }, PLAIN_SHOP).hourEarns).toBeNull();
    expect(readSet(2, 0, minor(1000), { ...cost, handsSeconds: none }, PLAIN_SHOP).hourEarns).toBeNull();
    const selling = readChannel(minor(1000), { ...cost, handsSeconds: none }, PLAIN_CHANNEL);
    expect(selling.hourEarns).toBeNull();
    expect(readChannel(minor(0), cost, PLAIN_CHANNEL).margin).toBeNull();
  });

  it('is solved for, and says from what', () => {
    const fee = ['  Fee, fixed for each sale: 30 money', '  Fee, share of the price: 0.05 share'];
    // (616 + 30) ÷ (1 − 0.05 − 0.35) = 1,076.7
    expect(solved(priceForMargin(0.35, cost, PLAIN_SHOP))).toEqual([
      'Price for your margin: 1077 money',
      '  Full cost with risk: 616 money',
      ...fee,
      '  Margin: 0.35 share',
    ]);
    expect(solved(computeFloor(cost, PLAIN_SHOP))[0]).toBe('Floor: 680 money');
    // 616 × 1.5 = 924; the fee of 1004 is 50 + 30.
    expect(solved(priceForMarkup(0.5, cost, PLAIN_SHOP))).toEqual([
      'Price for this markup: 1004 money',
      '  Full cost with risk: 616 money',
      '  Markup: 0.5 share',
      ...fee,
    ]);
    // 461 + 20 + 2400 × 270 ÷ 3600 = 661; the fee of 727 is 36 + 30.
    expect(solved(priceForWage(2400, cost, PLAIN_SHOP))).toEqual([
      'Price for your wage goal: 727 money',
      '  Cash cost: 461 money',
      '  What goes wrong: 20 money',
      '  Wage goal: 2400 money/h',
      '  Your time for one: 270 s',
      ...fee,
    ]);
  });
});

describe('a discount, a surcharge', () => {
  it('is called what it is', () => {
    expect(stepsOf(readDiscount(0.1, minor(1005), cost, PLAIN_SHOP).price)).toEqual([
      'Price less the discount: 905 money (price × (1 − discount), up to the cent)',
      '  Price: 1005 money',
      '  Discount: 0.1 share',
    ]);
    expect(stepsOf(readDiscount(-0.25, minor(1005), cost, PLAIN_SHOP).price)).toEqual([
      'Price with the surcharge: 1257 money (price × (1 + surcharge), up to the cent)',
      '  Price: 1005 money',
      '  Surcharge: 0.25 share',
    ]);
    expect(stepsOf(readDiscount(0, minor(1005), cost, PLAIN_SHOP).price)[2]).toBe('  Discount: 0 share');
  });

  it('that leaves just nothing is not below the floor', () => {
    // 680 − (34 + 30) = 616
    expect(readDiscount(0, minor(680), cost, PLAIN_SHOP).belowFloor).toBe(false);
    expect(readDiscount(0, minor(679), cost, PLAIN_SHOP).belowFloor).toBe(true);
  });
});

describe('a set', () => {
  it('of pieces that bear no order is so many times one', () => {
    const set = readSet(3, 0.1, minor(1000), cost, PLAIN_SHOP);
    expect(stepsOf(set.yours)).toEqual([
      'Yours: 687 money (price of the set − fee − full cost with risk)',
      '  A set of 3: 2700 money (pieces × price × (1 − off), up to the cent)',
      '  Fee: 165 money (share × price of the set + fixed part, once)',
      '  Full cost with risk, all of it: 1848 money (pieces × one)',
    ]);
    expect(stepsOf(set.hourEarns!.parts![2]!)).toEqual([
      'Your time, all of it: 810 s (pieces × one)',
      '  Your time for one: 270 s (sum of the lines)',
    ]);
  });

  it('has its order once', () => {
    // An order takes 6 min, 1.80, shared by two: each bears 0.90 and 180 s; three in one order save 0.90 and 180 s.
    const shop = { ...PLAIN_SHOP, orderSeconds: 360, piecesPerOrder: 2 };
    const set = readSet(3, 0.1, minor(1000), costIn(shop), shop);
    expect(stepsOf(set.yours.parts![2]!)).toEqual([
      'Full cost with risk, all of it: 2028 money (pieces × one, but one order)',
      '  Full cost with risk: 706 money (full cost + what goes wrong or comes back)',
      '  Less: the order is one: -90 money',
    ]);
    expect(set.yours.value).toBe(2700 - 165 - 2028);
    // 3 × (686 − 461) − 90 = 585 of wages; (507 + 585) ÷ 1170 s = 33.60 an hour.
    expect(stepsOf(set.hourEarns, 2)).toEqual([
      'An hour earns: 3360 money/h ((yours + your time at your hour) ÷ your time)',
      '  Yours: 507 money (price of the set − fee − full cost with risk)',
      '    A set of 3: 2700 money (pieces × price × (1 − off), up to the cent)',
      '    Fee: 165 money (share × price of the set + fixed part, once)',
      '    Full cost with risk, all of it: 2028 money (pieces × one, but one order)',
      '  Your time, paid: 585 money',
      '  Your time, all of it: 1170 s (pieces × one, but one order)',
      '    Your time for one: 450 s (sum of the lines)',
      '    Less: the order is one: -180 s',
    ]);
  });

  it('that leaves just nothing is not below the floor', () => {
    // Two at 664 are 1328; the fee is 66 + 30; 1328 − 96 = 1232 = 2 × 616.
    expect(readSet(2, 0, minor(664), cost, PLAIN_SHOP)).toMatchObject({ belowFloor: false, yours: { value: 0 } });
    expect(readSet(2, 0, minor(663), cost, PLAIN_SHOP).belowFloor).toBe(true);
  });
});

describe('a channel that takes everything there is', () => {
  const on: Channel = {
    ...PLAIN_CHANNEL,
    tiers: [
      { from: minor(0), share: 0.1 },
      { from: minor(1000), share: 0.05 },
    ],
    fixed: minor(25),
    piecesPerSale: 2,
    listing: minor(90),
    salesPerListing: 4,
    paymentShare: 0.02,
    paymentFixed: minor(30),
    adShare: 0.12,
    adOdds: 0.25,
    day: minor(4500),
    salesPerDay: 30,
    delivery: minor(490),
    deliveryPaid: minor(390),
    feesOnDelivery: true,
    discount: 0.1,
    tax: 0.2,
  };
  const reading = readChannel(minor(3000), cost, on);

  it('takes tax and discount off first', () => {
    // 3000 × 0.9 = 2700 are paid; 2700 ÷ 1.2 = 2250 are received.
    expect(stepsOf(reading.paid)).toEqual([
      'Received: 2250 money (price less discount and tax)',
      '  Price: 3000 money',
      '  Discount: 0.1 share',
      '  Tax in the price: 0.2 share',
    ]);
    expect(stepsOf(readChannel(minor(3000), cost, { ...on, tax: 0 }).paid)).toHaveLength(3);
    expect(stepsOf(readChannel(minor(3000), cost, { ...on, discount: 0 }).paid)).toHaveLength(3);
    expect(stepsOf(readChannel(minor(3000), cost, PLAIN_CHANNEL).paid)).toEqual([
      'Received: 3000 money (the price)',
      '  Price: 3000 money',
    ]);
  });

  it('shows each of its fees', () => {
    // Shares are of 2700 + 390 ÷ 2 = 2895.
    expect(stepsOf(reading.fees, 3)).toEqual([
      'Taken by the channel: 591 money (sum of its fees)',
      '  Share of the price, step 1: 100 money (part of the price × share)',
      '    Part of the price: 1000 money',
      '    Share: 0.1 share',
      '  Share of the price, step 2: 95 money (part of the price × share)',
      '    Of what is above: 1000 money',
      '    Part of the price: 1895 money',
      '    Share: 0.05 share',
      '  Fixed, each sale: 13 money (for a sale ÷ its pieces)',
      '    Fixed, each sale: 25 money',
      '    Pieces in a sale: 2 count',
      '  Putting it up for sale: 23 money (fee ÷ sales for each time)',
      '    Fee: 90 money',
      '    Sales: 4 count',
      '  Payment: 73 money (share × price + fixed part)',
      '    Share: 0.02 share',
      '    Fixed part: 15 money (for a sale ÷ its pieces)',
      '      Fixed part: 30 money',
      '      Pieces in a sale: 2 count',
      '  Advertising, on average: 87 money (price × share × share of sales that come by it)',
      '    Share: 0.12 share',
      '    Sales that come by it: 0.25 share',
      '  Its part of the day: 150 money (day ÷ pieces sold on one)',
      '    Day: 4500 money',
      '    Pieces: 30 count',
      '  Delivery, beyond what the customer pays: 50 money (what it costs − what is paid for it)',
      '    It costs: 245 money (for a sale ÷ its pieces)',
      '      It costs: 490 money',
      '      Pieces in a sale: 2 count',
      '    Is paid: 195 money (for a sale ÷ its pieces)',
      '      Is paid: 390 money',
      '      Pieces in a sale: 2 count',
    ]);
    const plain = { ...PLAIN_CHANNEL, tiers: [{ from: minor(0), share: 0.1 }], fixed: minor(25) };
    expect(stepsOf(readChannel(minor(3000), cost, plain).fees, 2)).toEqual([
      'Taken by the channel: 325 money (sum of its fees)',
      '  Share of the price: 300 money (part of the price × share)',
      '    Part of the price: 3000 money',
      '    Share: 0.1 share',
      '  Fixed, each sale: 25 money',
    ]);
  });

  it('leaves 2250 − 591 − 616, and so much an hour', () => {
    expect(stepsOf(reading.yours)[0]).toBe('Yours: 1043 money (received − taken − full cost with risk)');
    expect(reading.margin!.value).toBeCloseTo(1043 / 2250, 12);
    // (1043 + 135 of wages) ÷ 270 s
    expect(stepsOf(reading.hourEarns)).toEqual([
      'An hour earns: 15706.67 money/h ((yours + your time at your hour) ÷ your time)',
      '  Yours: 1043 money (received − taken − full cost with risk)',
      '  Your time, paid: 135 money',
      '  Your time for one: 270 s (sum of the lines)',
    ]);
  });

  it('says what a price there was found from', () => {
    const parts = (goal: ChannelGoal) => solved(priceOnChannel(goal, cost, on)).map((line) => line.replace(/:.*/, ''));
    const both = ['  Full cost with risk', '  Taken by the channel'];
    expect(parts({ kind: 'margin', share: 0.3 })).toEqual(['Price for your margin', ...both, '  Margin']);
    expect(parts({ kind: 'margin', share: 0 })).toEqual(['Price for your margin', ...both]);
    expect(parts({ kind: 'wage', perHour: 2400 })).toEqual([
      'Price for your wage goal',
      ...both,
      '  Wage goal',
      '  Your time for one',
    ]);
    expect(parts({ kind: 'floor' })).toEqual(['Floor', ...both]);
  });

  it('reaches the wage and the floor there, and a cent less does not', () => {
    const plain: Channel = { ...PLAIN_CHANNEL, tiers: [{ from: minor(0), share: 0.05 }], fixed: minor(30) };
    const at = (goal: ChannelGoal) => {
      const found = priceOnChannel(goal, cost, plain);
      return found.ok ? found.value.value : null;
    };
    expect(at({ kind: 'floor' })).toBe(680);
    expect(at({ kind: 'wage', perHour: 2400 })).toBe(727);
    // Where no time is spent any wage is reached at the floor.
    const none = figure('No time', 0, 's', 'computed');
    const idle = priceOnChannel({ kind: 'wage', perHour: 2400 }, { ...cost, handsSeconds: none }, plain);
    expect(idle.ok && idle.value.value).toBe(680);
  });

  it('refuses where of each unit more the goal leaves nothing, steps, payment, advertising and tax together', () => {
    const taking = { ...PLAIN_CHANNEL, tiers: [{ from: minor(0), share: 0.5 }], paymentShare: 0.1, adShare: 0.5 };
    const refusal = (channel: Channel, share: number) => {
      const found = priceOnChannel({ kind: 'margin', share }, cost, channel);
      return found.ok ? null : found.problem;
    };
    // (0.5 + 0.1 + 0.5 × 0.4) × 1.2 = 0.96 of what is received
    const heavy = { ...taking, adOdds: 0.4, tax: 0.2 };
    expect(refusal(heavy, 0.1)).toEqual({
      kind: 'takes-too-much',
      taken: expect.closeTo(0.96, 12) as number,
      goal: 0.1,
    });
    expect(refusal(heavy, 0.03)).toBeNull();
    expect(refusal({ ...heavy, adOdds: 0 }, 0.1)).toBeNull();
    expect(refusal({ ...heavy, tax: 0 }, 0.1)).toBeNull();
  });
});
