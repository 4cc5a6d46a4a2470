import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_ITEM, PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import { figure, minor } from '../units';
import { drawOdds } from './compare-odds';
import { compareVinyls, computeGoodPiece } from './compare-vinyls';
import { computeItemCost, explainChange, toAcceptedCost, shareJointCost, type Negative } from './index';
import { costOf } from './item-plan-examples';

it('other offers and other blanks stand side by side like vinyls', () => {
  const input = { spec: PLAIN_ITEM, layerIndex: 0, widthMm: 100, quantity: 10, shop: PLAIN_SHOP },
    none = { made: 0, spoiled: 0 };
  const dear = { ...PLAIN_BLANK, id: 5, name: 'Linen towel', sizes: [{ name: 'one size', price: minor(900) }] };
  const [offered, linen] = compareVinyls(input, [
    { vinyl: PLAIN_VINYL, evidence: none, name: 'Sheets', price: figure('Offered', 2000, 'money/m²', 'shop') },
    { vinyl: PLAIN_VINYL, evidence: none, name: 'Linen', blank: { blank: dear, sizeName: 'one size' } },
  ]);
  expect([offered!.name, linen!.name]).toEqual(['Sheets', 'Linen']);
  expect(offered!.cost.ok && offered!.cost.value.lines.find((line) => line.stage === 'vinyl')!.cash).toBe(21);
  expect(
    computeGoodPiece(input, { vinyl: PLAIN_VINYL, evidence: none, blank: { blank: dear, sizeName: 'one size' } })! -
      computeGoodPiece(input, { vinyl: PLAIN_VINYL, evidence: none })!,
  ).toBeCloseTo(500 / 0.96, 6);
});

it('one vinyl at two prices fails alike: the cheaper is the cheapest for certain', () => {
  const input = { spec: PLAIN_ITEM, layerIndex: 0, widthMm: 100, quantity: 10, shop: PLAIN_SHOP },
    evidence = { made: 40, spoiled: 6 };
  const at = (price: number) => ({ vinyl: PLAIN_VINYL, evidence, price: figure('Offered', price, 'money/m²', 'shop') });
  const { cheapest, failure } = drawOdds(input, [at(1000), at(990)], 2000);
  expect(cheapest).toEqual([0, 1]);
  expect(failure[0]).toEqual(failure[1]);
});

describe('two products of one cut', () => {
  const cost = costOf(PLAIN_ITEM);
  const negative: Negative = { name: 'Negative', layer: 0, price: minor(500), ownCost: minor(200) };
  const ways = (own = negative) =>
    Object.fromEntries(
      shareJointCost({ cost, itemName: 'Towel', price: minor(1077), negative: own }).map(({ way, products }) => [
        way,
        products,
      ]),
    );
  it('by hand: vinyl 11, cutting 5, weeding 30 are shared by area, by value, or the negative is credited', () => {
    // The joint cost is 46. Net 4000 mm² against 110 × 70 − 4000 weeded out.
    expect(ways()['area']!.map((product) => product.share.value)).toEqual([24, 22]);
    // The towel brings 10.77 less the 5.70 it takes besides, the negative 5.00 less 2.00.
    expect(ways()['value']!.map((product) => product.share.value)).toEqual([29, 17]);
    expect(ways()['by-product']!.map((product) => [product.share.value, product.left.value])).toEqual([
      [46 - 300, 1077 - (616 - 300)],
      [300, 0],
    ]);
  });

  it('shares always add up to the cost of the cut, and what both leave is the same either way', () => {
    fc.assert(
      fc.property(fc.integer({ min: 201, max: 5000 }), fc.integer({ min: 0, max: 200 }), (price, ownCost) => {
        const all = Object.values(ways({ ...negative, price: minor(price), ownCost: minor(ownCost) })).flatMap(
          (products) => (products ? [products] : []),
        );
        expect(all.length).toBe(3);
        for (const products of all) expect(products[0].share.value + products[1].share.value).toBe(46);
        expect(new Set(all.map((products) => products[0].left.value + products[1].left.value)).size).toBe(1);
      }),
    );
  });

  it('what brings nothing can’t be shared by value', () =>
    expect([
      ways({ ...negative, price: minor(100) })['value'],
      ways({ ...negative, price: minor(100) })['by-product'],
    ]).toEqual([null, null]));
});

describe('was so much, now so much, because', () => {
  it('names what was given and is another now, and nothing that only follows', () => {
    const accepted = toAcceptedCost(costOf(PLAIN_ITEM), 5);
    expect(explainChange(accepted, costOf(PLAIN_ITEM))).toBeNull();
    const dearer = computeItemCost(
      { ...PLAIN_ITEM, layers: [{ measurement: PLAIN_LAYER, vinyl: { ...PLAIN_VINYL, rollPrice: minor(20_000) } }] },
      10,
      { ...PLAIN_SHOP, wagePerHour: 2400 },
    );
    const change = explainChange(accepted, dearer.ok ? dearer.value : (null as never))!;
    expect(change.was).toBe(616);
    expect(change.because.map(({ label, was, now }) => [label, was, now])).toEqual([
      ['Roll price', 5000, 20_000],
      ['Your hour', 1800, 2400],
    ]);
    expect(change.lines.reduce((sum, line) => sum + line.now - line.was, 0)).toBe(change.now.value - change.was);
  });
});
