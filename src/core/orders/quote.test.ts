import { describe, expect, it } from 'vitest';
import { PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { computeItemCost, type ItemCost } from '../costing';
import type { ShopFigures } from '../materials';
import { minor } from '../units';
import { compareWithFacts, computeQuoteTotal, freezeFacts } from './index';

function costWith(part: Partial<ShopFigures> = {}, quantity = 10): ItemCost {
  const cost = computeItemCost(PLAIN_ITEM, quantity, { ...PLAIN_SHOP, ...part });
  if (!cost.ok) throw new Error(cost.problem.kind);
  return cost.value;
}
const facts = freezeFacts({
  cost: costWith(),
  each: minor(1290),
  itemName: 'Towel',
  blankName: 'Tea towel',
  sizeName: 'one size',
  colourName: 'white',
  vinylNames: ['Plain'],
  widthMm: 100,
  readyDay: '2026-12-01',
  wagePerHour: 1800,
  toBuy: [],
  options: [],
  optionIndexes: [],
});

describe('a quote', () => {
  it('holds its total and the lines it rested on, to the cent', () => {
    expect(computeQuoteTotal(minor(1290), 10).value).toBe(12_900);
    expect(facts).toMatchObject({ quantity: 10, total: 12_900, costEach: 616 });
    expect(facts.lines.reduce((sum, line) => sum + line.total, 0)).toBe(616);
  });

  it('has not drifted while nothing changes', () => expect(compareWithFacts(facts, costWith())).toBeNull());

  it('says what would cost more now, the largest change first, and the changes add up', () => {
    const drift = compareWithFacts(facts, costWith({ packaging: 150, wagePerHour: 2000 }))!;
    expect(drift.was).toBe(616);
    expect(drift.because[0]).toEqual({ label: 'Packaging', was: 50, now: 150 });
    expect(drift.because.reduce((sum, line) => sum + line.now - line.was, 0)).toBe(drift.now.value - 616);
  });

  it('names lines that came or went: another number made shares the set-up otherwise', () => {
    const drift = compareWithFacts(facts, costWith({}, 20))!;
    expect(drift.because.map((line) => line.label)).toEqual(
      expect.arrayContaining(['Set-up, shared by 10', 'Set-up, shared by 20']),
    );
  });
});
