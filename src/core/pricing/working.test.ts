// Every step that the working of a price shows, worked out by hand.

import { describe, expect, it } from 'vitest';
import { PLAIN_CHANNEL, PLAIN_SHOP } from '../../../test/worked-example';
import { figure, minor } from '../units';
import {
  computeFloor,
  priceForMargin,
  priceForMarkup,
  priceForWage,
  readChannel,
  readDiscount,
  readPrice,
  readSet,
} from './index';
import { cost, costIn, solved, stepsOf } from './working-examples';

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
