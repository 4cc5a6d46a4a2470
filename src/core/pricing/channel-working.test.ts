// Every step that the working of a sale on a channel shows, worked out by hand.

import { describe, expect, it } from 'vitest';
import { PLAIN_CHANNEL } from '../../../test/worked-example';
import { figure, minor } from '../units';
import { priceOnChannel, readChannel, type Channel, type ChannelGoal } from './index';
import { cost, solved, stepsOf } from './working-examples';

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
