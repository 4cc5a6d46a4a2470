// What material is calculated at, by each way there is.

import { describe, expect, it } from 'vitest';
import { printWorking } from '../../../test/print-working';
import { choosePrice, type PriceBasis, type Prices } from './index';

const M2 = 1_000_000;
/** In no order: the newest came at 30, the oldest at 10. */
const prices: Prices = {
  lots: [
    { label: 'Lot 2', receivedAtMs: 20, left: 2 * M2, price: 1200 },
    { label: 'Lot 3', receivedAtMs: 30, left: 5 * M2, price: 1500 },
    { label: 'Lot 1', receivedAtMs: 10, left: 1 * M2, price: 900 },
  ],
  offers: [
    { id: 7, label: 'A roll', price: 1100 },
    { id: 8, label: 'Sheets', price: 1000 },
    { id: 9, label: 'A strip', price: 1000 },
  ],
};
const NOTHING: Prices = { lots: [], offers: [] };
const at = (basis: PriceBasis, needed = M2, chosen: readonly number[] = [], from = prices) =>
  choosePrice(from, basis, needed, 'money/m²', chosen);

describe('the price of material', () => {
  it('is that of the shelf where that is asked for, or where nothing was bought or is offered', () => {
    expect(at('shelf')).toBeNull();
    for (const basis of ['latest', 'offer', 'oldest'] as const) expect(at(basis, M2, [], NOTHING)).toBeNull();
  });

  it('is what was paid last, whatever order the lots are told in', () => {
    expect(printWorking(at('latest')!)).toBe('Paid last: 1500 money/m², shop (Lot 3)');
  });

  it('is the chosen offer’s, else the cheapest’s; of two alike the first', () => {
    expect(printWorking(at('offer')!)).toBe('Offered: 1000 money/m², shop (Sheets)');
    expect(at('offer', M2, [7])).toMatchObject({ value: 1100, how: 'A roll' });
    expect(at('offer', M2, [7, 9])).toMatchObject({ value: 1000, how: 'A strip' });
    expect(at('offer', M2, [99])).toMatchObject({ value: 1000, how: 'Sheets' });
  });
});

describe('the oldest on the shelf first', () => {
  it('is that of the oldest lot as long as it lasts', () => {
    expect(printWorking(at('oldest', M2 / 2)!).split('\n')).toEqual([
      'Oldest on the shelf first: 900 money/m², shop (what is taken of each lot × its price ÷ all)',
      '  Lot 1: 900 money/m², shop (0.500 m² of it)',
    ]);
    expect(at('oldest', M2)!.parts).toHaveLength(1);
  });

  it('is the mean of what is taken of each', () => {
    // 1 m² at 9.00, 2 m² at 12.00, 1 m² at 15.00: 48.00 ÷ 4.
    expect(printWorking(at('oldest', 4 * M2)!).split('\n')).toEqual([
      'Oldest on the shelf first: 1200 money/m², shop (what is taken of each lot × its price ÷ all)',
      '  Lot 1: 900 money/m², shop (1.000 m² of it)',
      '  Lot 2: 1200 money/m², shop (2.000 m² of it)',
      '  Lot 3: 1500 money/m², shop (1.000 m² of it)',
    ]);
  });

  it('calculates what the shelf has not at the newest price', () => {
    // 9 + 24 + 75 and 2 m² more at 15.00: 138 ÷ 10.
    const found = at('oldest', 10 * M2)!;
    expect(found.value).toBeCloseTo(1380, 9);
    expect(found.parts!.at(-1)).toMatchObject({ label: 'To be bought, as last', value: 1500, how: '2.000 m² of it' });
    const empty = { ...prices, lots: prices.lots.map((lot) => ({ ...lot, left: 0 })) };
    expect(at('oldest', M2, [], empty)).toMatchObject({ value: 1500, parts: [{ label: 'To be bought, as last' }] });
    expect(at('oldest', 0)).toMatchObject({ value: 1500 });
  });

  it('counts pieces as pieces', () => {
    const lots = [{ label: 'Lot 4', receivedAtMs: 1, left: 3, price: 420 }];
    const found = choosePrice({ lots, offers: [] }, 'oldest', 5, 'money')!;
    expect(printWorking(found).split('\n')).toEqual([
      'Oldest on the shelf first: 420 money, shop (what is taken of each lot × its price ÷ all)',
      '  Lot 4: 420 money, shop (3 of it)',
      '  To be bought, as last: 420 money, shop (2 of it)',
    ]);
  });
});
