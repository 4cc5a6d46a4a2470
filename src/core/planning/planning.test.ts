import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_ITEM, PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import { computeItemCost } from '../costing';
import { figure, minor } from '../units';
import {
  addOneSale,
  addUpKit,
  bendContribution,
  chooseKit,
  isTooNarrow,
  compareMat,
  computeBreakEven,
  computeContribution,
  computeOutlay,
  countInPack,
  findCheaperFrom,
  judgeMat,
  judgeTool,
  KIT_EXAMPLES,
  KIT_NEEDS,
  listUncovered,
  SCENARIOS,
  type Buy,
  type KitOption,
  type MixItem,
  type PieceBox,
} from './index';

const option = (name: string, price: number, covers: KitOption['covers'], grade: 1 | 2 | 3 = 2): KitOption => ({
  name,
  price: minor(price),
  covers,
  grade,
  used: false,
});
const OPTIONS = [
  option('small', 100, ['cutter'], 1),
  option('good', 300, ['cutter'], 3),
  option('press', 200, ['press']),
  option('both', 420, ['cutter', 'press'], 3),
  option('tools', 30, ['tools']),
];
const wish = (cap: number, reserve = 0) => ({
  options: OPTIONS,
  needs: ['cutter', 'press', 'tools'] as const,
  cap: minor(cap),
  reserve: minor(reserve),
});

describe('a kit under a cap', () => {
  it('is the best that is paid for, the cheaper of those alike, or simply the cheapest', () => {
    expect(chooseKit(wish(1000), 'grade')).toMatchObject({
      chosen: [3, 4],
      total: { value: 450 },
      left: { value: 550 },
    });
    expect(chooseKit(wish(400), 'grade')!.chosen).toEqual([0, 2, 4]);
    expect(chooseKit(wish(1000), 'price')!.total.value).toBe(330);
    expect(chooseKit(wish(500, 60), 'grade')!.total.value).toBe(330);
    expect(chooseKit(wish(329), 'grade')).toBeNull();
  });

  it('by hand may be anything, and says what is missing and how far it is over', () => {
    expect(addUpKit(OPTIONS, [1, 2], minor(400)).left.value).toBe(-100);
    expect(listUncovered(wish(0), [1])).toEqual(['press', 'tools']);
  });

  it('agrees with trying every set of options', () => {
    const arbitrary = fc.array(
      fc.record({
        price: fc.integer({ min: 1, max: 60 }),
        grade: fc.constantFrom(1 as const, 2 as const, 3 as const),
        covers: fc.subarray([...KIT_NEEDS], { minLength: 1, maxLength: 2 }),
      }),
      { minLength: 1, maxLength: 7 },
    );
    fc.assert(
      fc.property(
        arbitrary,
        fc.subarray([...KIT_NEEDS], { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 10, max: 150 }),
        (raw, needs, cap) => {
          const options = raw.map(({ price, grade, covers }) => option('x', price, covers, grade));
          let least = Infinity;
          for (let mask = 0; mask < 1 << options.length; mask++) {
            const chosen = options.flatMap((_, at) => (mask & (1 << at) ? [at] : []));
            const price = chosen.reduce((sum, at) => sum + options[at]!.price, 0);
            if (price <= cap && listUncovered({ options, needs }, chosen).length === 0) least = Math.min(least, price);
          }
          const found = chooseKit({ options, needs, cap: minor(cap), reserve: minor(0) }, 'price');
          expect(found?.total.value ?? Infinity).toBe(least);
          expect(chooseKit({ options, needs, cap: minor(cap), reserve: minor(0) }, 'grade') === null).toBe(
            least === Infinity,
          );
        },
      ),
    );
  });

  it('proposes no cutter that the drawings are too wide for, and leaves the money that is to be left', () => {
    const asked = { options: KIT_EXAMPLES, needs: ['cutter', 'press', 'tools', 'mats and tape'] as const };
    const cutterOf = (leastWidthMm: number, cap = 70_000, reserve = 12_000) => {
      const kit = chooseKit({ ...asked, cap: minor(cap), reserve: minor(reserve), leastWidthMm }, 'price');
      return kit && kit.chosen.map((at) => KIT_EXAMPLES[at]!).find((one) => one.covers.includes('cutter'))!.widthMm;
    };
    expect([cutterOf(0), cutterOf(114), cutterOf(115), cutterOf(240), cutterOf(306)]).toEqual([
      114, 114, 305, 305, 600,
    ]);
    expect(cutterOf(700)).toBeNull();
    const cheapest = chooseKit({ ...asked, cap: minor(70_000), reserve: minor(0), leastWidthMm: 240 }, 'price')!;
    const left = cheapest.left.value;
    expect(cutterOf(240, 70_000, left)).toBe(305);
    expect(cutterOf(240, 70_000, left + 1)).toBeNull();
    // Of a cutter that nobody measured nothing is known against it.
    expect(isTooNarrow({ ...KIT_EXAMPLES[0]!, widthMm: null }, 240)).toBe(false);
  });

  it('the examples make a whole kit', () =>
    expect(
      chooseKit({ options: KIT_EXAMPLES, needs: KIT_NEEDS, cap: minor(100_000), reserve: minor(0) }, 'grade'),
    ).not.toBeNull());
});

describe('when it has come back', () => {
  const made = computeItemCost(PLAIN_ITEM, 10, PLAIN_SHOP);
  if (!made.ok) throw new Error(made.problem.kind);
  const item = (perWeek: number, price = 1077): MixItem => ({
    name: 'Towel',
    cost: made.value,
    price: minor(price),
    perWeek,
  });
  const spent = figure('Kit', 50_000, 'money', 'typed');
  it('by hand: 10.77 less a fee of 0.84, cash 4.61 and 0.20 that goes wrong leave 5.12', () => {
    const contribution = computeContribution([item(10)], PLAIN_SHOP)!;
    expect([contribution.each.value, contribution.perWeek.value]).toEqual([512, 5120]);
    const outcome = computeBreakEven({ spent, contribution, hoursPerWeek: 10, weeks: 12 });
    expect([outcome.pieces!.value, outcome.weeks!.value, outcome.reach.value]).toEqual([98, 10, 1]);
    expect([outcome.cash[0], outcome.cash[9], outcome.cash[10]]).toEqual([-50_000, -3920, 1200]);
  });

  it('hours that don’t suffice make it longer, not the pieces more', () => {
    const contribution = computeContribution([item(100)], PLAIN_SHOP)!;
    const slow = computeBreakEven({
      spent,
      contribution,
      hoursPerWeek: contribution.hoursPerWeek.value / 3600 / 4,
      weeks: 2,
    });
    expect([slow.reach.value, slow.pieces!.value, slow.weeks!.value]).toEqual([0.25, 98, 4]);
    expect(
      computeBreakEven({ spent, contribution: addOneSale(contribution), hoursPerWeek: 1, weeks: 0 }).perWeek.value,
    ).toBeCloseTo(computeBreakEven({ spent, contribution, hoursPerWeek: 1, weeks: 0 }).perWeek.value, -1);
  });

  it('never comes back where a piece leaves nothing; nothing is told where nothing is sold', () => {
    expect(
      computeBreakEven({
        spent,
        contribution: computeContribution([item(5, 400)], PLAIN_SHOP)!,
        hoursPerWeek: 10,
        weeks: 3,
      }),
    ).toMatchObject({ pieces: null, weeks: null });
    expect(computeContribution([item(0)], PLAIN_SHOP)).toBeNull();
  });

  it('slow is never better than expected, nor that than good; one more sale never makes it later', () => {
    fc.assert(
      fc.property(fc.integer({ min: 600, max: 5000 }), fc.integer({ min: 1, max: 30 }), (price, perWeek) => {
        const mix = [item(perWeek, price)],
          contribution = computeContribution(mix, PLAIN_SHOP)!;
        const weekly = SCENARIOS.map(
          (scenario) =>
            computeBreakEven({
              spent,
              contribution: bendContribution(contribution, mix, scenario),
              hoursPerWeek: 60,
              weeks: 1,
            }).perWeek.value,
        );
        if (contribution.each.value > 0) expect(weekly).toEqual([...weekly].sort((a, b) => a - b));
        const now = computeBreakEven({ spent, contribution, hoursPerWeek: 10, weeks: 0 }),
          more = computeBreakEven({ spent, contribution: addOneSale(contribution), hoursPerWeek: 10, weeks: 0 });
        if (now.weeks) expect(more.weeks!.value).toBeLessThanOrEqual(now.weeks.value);
      }),
    );
  });
});

describe('worth buying', () => {
  const box: PieceBox = { acrossMm: 100, alongMm: 60, turnable: true, edgeMm: 10 };
  const buy = (
    name: string,
    price: number,
    widthMm: number,
    lengthMm: number,
    shipping = 0,
    breaks: Buy['offer']['breaks'] = [],
  ): Buy => ({
    supplier: { shipping: minor(shipping), freeFrom: null },
    offer: {
      id: 1,
      supplierId: 1,
      name,
      parts: [{ key: 'vinyl:1', count: 1, widthMm, lengthMm }],
      price: minor(price),
      breaks,
      takePay: null,
    },
  });
  it('counts the pieces in a pack as a ruler would, turned where that gives more', () => {
    // 285 between the edges: two across upright, four turned; 305 long: five of 60, three of 100.
    expect(countInPack(box, buy('sheet', 0, 305, 305).offer)).toBe(12);
    expect(countInPack({ ...box, turnable: false }, buy('sheet', 0, 305, 305).offer)).toBe(10);
    expect(countInPack(box, buy('strip', 0, 60, 1000).offer)).toBe(0);
  });

  it('finds from how many pieces on the roll beats the sheets, and not before; shipping is free from its own amount', () => {
    const free: Buy = {
      ...buy('roll', 2400, 305, 5000, 500),
      supplier: { shipping: minor(500), freeFrom: minor(3000) },
    };
    expect([computeOutlay(box, free, 1)!.value, computeOutlay(box, free, 400)!.value]).toEqual([2900, 4800]);
    const roll = buy('roll', 2400, 305, 5000),
      sheet = buy('sheet', 300, 305, 305);
    const from = findCheaperFrom(box, roll, sheet)!;
    expect(from).toBe(7 * 12 + 1);
    expect(computeOutlay(box, roll, from)!.value).toBeLessThanOrEqual(computeOutlay(box, sheet, from)!.value);
    expect(computeOutlay(box, roll, from - 1)!.value).toBeGreaterThan(computeOutlay(box, sheet, from - 1)!.value);
    expect(findCheaperFrom(box, sheet, roll)).toBeNull();
    expect(findCheaperFrom(box, roll, buy('strip', 1, 60, 1000))).toBeNull();
  });

  it('a tool pays after price ÷ what it saves, unless it is worn out before, or saves nothing', () => {
    // 20 s at 18.00 an hour are 10 cents; a hundredth of 5.00 is 5.
    expect(judgeTool({ price: 1500, savesSeconds: 20, savesShare: 0.01, life: null }, 500, 1800)).toMatchObject({
      saves: { value: 15 },
      from: { value: 100 },
    });
    expect(judgeTool({ price: 1500, savesSeconds: 20, savesShare: 0, life: 100 }, 500, 1800).from).toBeNull();
    expect(judgeTool({ price: 1500, savesSeconds: 0, savesShare: 0, life: null }, 500, 1800).from).toBeNull();
  });

  it('a mat costs its load and handling, none costs strip and dearer vinyl', () => {
    const facts = { perM2: 100, leadMm: 60, leastMm: 150, rollWidthMm: 500, pricePerM2: 900 };
    const { withMat, without } = compareMat(
      4,
      100,
      { matLoad: 20, handlingSeconds: 60, piecesPerLoad: 4 },
      facts,
      1800,
    );
    expect(withMat.value).toBeCloseTo((20 + 30) / 4, 9);
    // 160 mm of 500 are cut, 60 of them for nothing, at 10.00 a m²; 100 mm cost 1.00 a m² more.
    expect(without.value).toBeCloseTo((0.03 * 1000 + 0.05 * 100) / 4, 9);
    // Four of the plain layer lie side by side: for one or four the strip is as long, so four share the mat's load and
    // the lead-in alike.
    const judged = judgeMat(
      { measurement: PLAIN_LAYER, vinyl: PLAIN_VINYL },
      4,
      { handlingSeconds: 60, piecesPerLoad: 1, perM2: 0, leadMm: 60, leastMm: 0 },
      20,
      { ...PLAIN_SHOP, weedMarginMm: 5, cutterEdgeMm: 0 },
    );
    expect([judged.withMat.value, judged.without.value, judged.from]).toEqual([50, expect.closeTo(7.5, 6), 1]);
    expect(
      judgeMat(
        { measurement: PLAIN_LAYER, vinyl: PLAIN_VINYL },
        4,
        { handlingSeconds: 0, piecesPerLoad: 9, perM2: 500, leadMm: 60, leastMm: 0 },
        0,
        PLAIN_SHOP,
      ).from,
    ).toBeNull();
    expect(
      compareMat(1, 20, { matLoad: 0, handlingSeconds: 0, piecesPerLoad: 4 }, facts, 1800).without.value,
    ).toBeCloseTo(0.065 * 1000 + 0.01 * 100, 9);
  });
});
