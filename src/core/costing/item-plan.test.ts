import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_ITEM, PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import { figure, minor } from '../units';
import { MEASUREMENT_EDITION, type ArtworkMeasurement } from '../artwork';
import { compareVinyls, computeGoodPiece, drawOdds } from './compare-vinyls';
import {
  believeFailure,
  computeItemCost,
  explainChange,
  getUsualVariant,
  getVariantPrice,
  learnMinutes,
  listMadeLayers,
  listVinylIds,
  toAcceptedCost,
  PLAIN_DETAILS,
  resolveVariant,
  shareJointCost,
  startPlacement,
  STONES_IN_GROSS,
  takeOwnMinutes,
  toItemSpec,
  type ItemMaterials,
  type ItemPlan,
  type ItemSpec,
  type Negative,
} from './index';

const measurement = {
  widthMm: 100,
  heightMm: 60,
  layers: [PLAIN_LAYER],
  segments: 4,
  strokesApart: 0,
  overlaps: [],
  chirality: { score: 1, chiral: false },
  safeWidthsMm: {},
  edition: MEASUREMENT_EDITION,
} as unknown as ArtworkMeasurement;
const OTHER = { ...PLAIN_VINYL, id: 2, name: 'Other', rollPrice: minor(10_000) };
const SIZED = {
  ...PLAIN_BLANK,
  sizes: [
    { name: 'S', price: minor(400) },
    { name: 'XL', price: minor(500) },
  ],
  colours: [
    { name: 'white', hex: '#ffffff' },
    { name: 'navy', hex: '#26324a' },
  ],
};
const front = { artworkId: 1, place: 'front', widthMm: 100, widths: { XL: 130 }, seenThrough: false, vinylIds: [1] };
const name = { ...front, place: 'shoulders', widthMm: 50, widths: {} };
const plan: ItemPlan = {
  blankId: 1,
  sizeName: 'S',
  colourName: 'white',
  price: minor(2000),
  areaBasis: 'used',
  artworkPrice: minor(0),
  artworkRun: 1,
  placements: [front, { ...front, place: 'back', widths: {} }],
  details: {
    ...PLAIN_DETAILS,
    options: [{ label: 'Name', surcharge: minor(300), placement: name }],
    variants: [
      { sizeName: 'XL', colourName: null, price: minor(2400), swaps: [] },
      { sizeName: null, colourName: 'navy', price: null, swaps: [{ vinylId: 1, byVinylId: 2 }] },
    ],
  },
};
const materials: ItemMaterials = {
  vinyl: (id) => ({ 1: PLAIN_VINYL, 2: OTHER })[id],
  artwork: (id) => (id === 1 ? { name: 'Plain', measurement, layerNames: ['all'] } : undefined),
};
const costOf = (spec: ItemSpec, quantity = 10) => {
  const cost = computeItemCost(spec, quantity, PLAIN_SHOP);
  if (!cost.ok) throw new Error(cost.problem.kind);
  return cost.value;
};
const specOf = (variant = getUsualVariant(plan), own: Partial<ItemPlan['details']> = {}) =>
  toItemSpec({
    plan: { ...plan, details: { ...plan.details, ...own } },
    made: resolveVariant(plan, variant),
    blank: SIZED,
    materials,
  });

describe('variants, without copying', () => {
  it('a size takes its own width and price, a colour its own vinyl, an option its placement and surcharge', () => {
    const small = resolveVariant(plan, { sizeName: 'S', colourName: 'white', options: [] });
    expect([
      small.price,
      small.placements.map((placement) => placement.widthMm),
      small.placements.map((placement) => placement.vinylIds),
    ]).toEqual([2000, [100, 100], [[1], [1]]]);
    const large = resolveVariant(plan, { sizeName: 'XL', colourName: 'navy', options: [0] });
    expect([
      large.price,
      large.placements.map((placement) => placement.widthMm),
      large.placements.map((placement) => placement.vinylIds),
    ]).toEqual([2700, [130, 100, 50], [[2], [2], [2]]]);
    expect(
      getVariantPrice({ price: plan.price, ...plan.details }, { sizeName: 'XL', colourName: 'navy', options: [0] }),
    ).toBe(2700);
  });

  it('an option that is there no more is left out, and all vinyls of any variant are known', () => {
    expect(resolveVariant(plan, { sizeName: 'S', colourName: 'white', options: [7] }).placements).toHaveLength(2);
    expect([...listVinylIds(plan)].sort()).toEqual([1, 2]);
  });

  it('layers are numbered through the placements; what is nowhere is left out', () => {
    const layers = listMadeLayers(
      resolveVariant(plan, { sizeName: 'XL', colourName: 'white', options: [0] }),
      materials,
    );
    expect(layers.map((layer) => [layer.placement, layer.place, layer.measurement.box.width])).toEqual([
      [0, 'front', 130],
      [1, 'back', 100],
      [2, 'shoulders', 50],
    ]);
    expect(
      listMadeLayers(
        {
          placements: [
            { ...front, artworkId: 9 },
            { ...front, vinylIds: [9] },
          ],
        },
        materials,
      ),
    ).toEqual([]);
  });

  it('a start is the artwork as it was kept, in its own vinyls where they are chosen', () => {
    expect(startPlacement({ id: 4, measurement, layerVinylIds: [null] }, [7, 8], 'front')).toMatchObject({
      artworkId: 4,
      widthMm: 100,
      vinylIds: [7],
    });
  });
});

describe('places', () => {
  it('each is laid out and pressed by itself, its lines are named after it', () => {
    const cost = costOf(specOf());
    expect(cost.press.steps.filter((step) => step.kind === 'lay-out').map((step) => step.place)).toEqual([
      'front',
      'back',
    ]);
    expect(cost.lines.filter((line) => line.stage === 'weed').map((line) => line.figure.label)).toEqual([
      'Weed: Plain, front',
      'Weed: Plain, back',
    ]);
    expect(new Set(cost.lines.map((line) => line.figure.label)).size).toBe(cost.lines.length);
  });

  it('with vinyls of two temperatures that never lie on one another are pressed each at its own, with a caution', () => {
    const cool = { ...PLAIN_VINYL, id: 3, name: 'Cool', press: { ...PLAIN_VINYL.press!, lowC: 115, highC: 130 } };
    const apart = {
      ...PLAIN_ITEM,
      layers: [
        { measurement: PLAIN_LAYER, vinyl: PLAIN_VINYL, place: 'front' },
        { measurement: PLAIN_LAYER, vinyl: cool, place: 'back' },
      ],
    };
    expect(costOf(apart).press.cautions).toContainEqual({ kind: 'temperatures', fromC: 123, toC: 155 });
    expect(
      computeItemCost(
        { ...apart, layers: apart.layers.map((layer) => ({ ...layer, place: 'front' })) },
        10,
        PLAIN_SHOP,
      ),
    ).toMatchObject({ ok: false, problem: { kind: 'windows-apart' } });
  });
});

describe('what goes into it besides', () => {
  it('stones, by hand: 288 at 1.80 a gross, a template of 24.00 for 40 pieces, tape 0.25, and your time', () => {
    const shop = { ...PLAIN_SHOP, stoneFieldSeconds: 60, stoneSeconds: 0.5 };
    const spec = {
      ...PLAIN_ITEM,
      stones: [
        {
          label: 'clear',
          diameterMm: 3,
          count: 2 * STONES_IN_GROSS,
          grossPrice: minor(180),
          templatePrice: minor(2400),
          templateUses: 40,
          tapePrice: minor(25),
        },
      ],
    };
    const cost = computeItemCost(spec, 10, shop);
    const line = cost.ok ? cost.value.lines.find((candidate) => candidate.stage === 'stones')! : null;
    expect([line?.cash, line?.handsSeconds, line?.time]).toEqual([360 + 60 + 25, 60 + 144, 102]);
  });

  it('extras and packaging of its own count once a piece', () => {
    const plain = costOf(PLAIN_ITEM),
      own = costOf({
        ...PLAIN_ITEM,
        extras: [
          { label: 'Ribbon', price: minor(15) },
          { label: 'Card', price: minor(8) },
        ],
        packaging: minor(80),
      });
    // Ribbon and card are at stake like the blank, packaging is not: 4 in 96 of 23 are lost with them.
    expect(own.cash.value - plain.cash.value).toBe(23 + 80 - 50);
    expect(own.lines.filter((line) => line.stage === 'extra').map((line) => line.total)).toEqual([15, 8]);
  });

  it('material is calculated at what the oldest lots cost, what was paid last, or what is offered', () => {
    const prices = {
      lots: [
        { label: 'Lot 1', receivedAtMs: 1, left: 60_000, price: 500 },
        { label: 'Lot 2', receivedAtMs: 2, left: 1e6, price: 1500 },
      ],
      offers: [
        { id: 1, label: 'A', price: 900 },
        { id: 2, label: 'B', price: 700 },
      ],
    };
    const at = (priceBasis: 'shelf' | 'oldest' | 'latest' | 'offer', own = prices) =>
      costOf({ ...PLAIN_ITEM, priceBasis, layers: [{ ...PLAIN_ITEM.layers[0]!, prices: own }] }).lines.find(
        (line) => line.stage === 'vinyl',
      )!.figure.parts![1]!;
    // Ten take 1050 cm²: 600 of the first lot, the rest of the second.
    expect(at('oldest').value).toBeCloseTo((0.06 * 500 + 0.045 * 1500) / 0.105, 6);
    expect([at('latest').value, at('offer').value, at('shelf').value]).toEqual([1500, 700, 1000]);
    expect(at('oldest').parts!.map((part) => part.label)).toEqual(['Lot 1', 'Lot 2']);
    const chosen = costOf({
      ...PLAIN_ITEM,
      priceBasis: 'offer',
      offerIds: [1, 99],
      layers: [{ ...PLAIN_ITEM.layers[0]!, prices }],
    });
    expect(chosen.lines.find((line) => line.stage === 'vinyl')!.figure.parts![1]).toMatchObject({
      value: 900,
      how: 'A',
    });
    // What the shelf has not is bought as last; what was never bought is calculated at the shelf's price.
    expect(at('oldest', { ...prices, lots: [prices.lots[0]!] }).value).toBe(500);
    expect(at('oldest', { lots: [], offers: [] }).value).toBe(1000);
  });
});

describe('own minutes', () => {
  it('win over the estimate, are shared by it, and say so', () => {
    const estimates = [figure('a', 10, 's', 'computed'), figure('b', 30, 's', 'computed')];
    expect(
      takeOwnMinutes(figure('own', 100, 's', 'learned', { low: 80, high: 140 }), estimates).map(
        ({ value, source, low, high }) => [value, source, low, high],
      ),
    ).toEqual([
      [25, 'learned', 20, 35],
      [75, 'learned', 60, 105],
    ]);
    expect(takeOwnMinutes(undefined, estimates)).toBe(estimates);
    const cost = costOf({ ...PLAIN_ITEM, minutes: { weed: figure('Weed, as typed', 240, 's', 'typed') } });
    expect(cost.lines.find((line) => line.stage === 'weed')).toMatchObject({
      handsSeconds: 240,
      time: 120,
      figure: { source: 'typed' },
    });
  });

  it('are learned from three pieces on: their mean, with the middle of them as band', () => {
    expect(learnMinutes('Weed', { seconds: [50, 60] })).toBeNull();
    expect(learnMinutes('Weed', { seconds: [50, 60, 100] })).toMatchObject({
      value: 70,
      low: 50,
      high: 100,
      source: 'learned',
    });
  });

  it('of the vinyl it has grow with the estimate when another vinyl is tried', () => {
    const spec = { ...PLAIN_ITEM, minutes: { weed: figure('Weed, as logged', 120, 's', 'learned') } };
    const [slow] = compareVinyls({ spec, layerIndex: 0, widthMm: 100, quantity: 10, shop: PLAIN_SHOP }, [
      { vinyl: { ...OTHER, weedingFactor: 2 }, evidence: { made: 0, spoiled: 0 } },
    ]);
    expect(slow!.cost.ok && slow!.cost.value.lines.find((line) => line.stage === 'weed')!.handsSeconds).toBeCloseTo(
      240,
      9,
    );
  });

  it('your time has a band that holds it', () => {
    const { handsSeconds } = costOf(PLAIN_ITEM);
    expect(handsSeconds.low!).toBeLessThan(handsSeconds.value);
    expect(handsSeconds.high!).toBeGreaterThan(handsSeconds.value);
  });
});

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

it('more waste never lowers the cost', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 400 }), (first, second) => {
      const at = (spoiled: number) =>
        costOf({ ...PLAIN_ITEM, spoilage: believeFailure({ made: 500, spoiled }, PLAIN_SHOP).mean }).withRisk.value;
      expect(at(Math.max(first, second))).toBeGreaterThanOrEqual(at(Math.min(first, second)));
    }),
  );
});
