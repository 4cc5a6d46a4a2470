import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_ITEM, PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import { getOrdinaryDetails, type Vinyl } from '../materials';
import { minor } from '../units';
import {
  compareVinyls,
  computeGoodPiece,
  findFlip,
  isOtherColour,
  type Candidate,
  type CompareInput,
} from './compare-vinyls';
import { drawOdds } from './compare-odds';
import { sumByStage } from './stages';
import { believeFailure } from './failure';
import { computeExactCost, computeItemCost } from './index';

const input: CompareInput = { spec: PLAIN_ITEM, layerIndex: 0, widthMm: 100, quantity: 10, shop: PLAIN_SHOP };
const none = { made: 0, spoiled: 0 };
/** A fifth of the price, and twice the weeding. */
const BUDGET = { ...PLAIN_VINYL, id: 2, name: 'Budget', rollPrice: minor(1000), weedingFactor: 2 };
const plain: Candidate = { vinyl: PLAIN_VINYL, evidence: none },
  budget: Candidate = { vinyl: BUDGET, evidence: none };

describe('what is believed of the failure rate', () => {
  it('starts at the shop’s own, held as by 25 pieces, and each piece moves it', () => {
    expect(believeFailure(none, { spoilageShare: 0.04 }).mean.value).toBeCloseTo(0.04, 12);
    expect(believeFailure({ made: 75, spoiled: 15 }, { spoilageShare: 0.04 }).mean.value).toBeCloseTo(
      (1 + 15) / 100,
      12,
    );
    // Three good cuts are weak evidence: never "0 %".
    expect(believeFailure({ made: 3, spoiled: 0 }, { spoilageShare: 0.04 }).mean.value).toBeCloseTo(1 / 28, 12);
    expect(believeFailure({ made: 50, spoiled: 5 }, { spoilageShare: 0 }).mean.value).toBeGreaterThan(0.05);
  });
});

describe('side by side', () => {
  it('each candidate costs what the item costs in it, with its own failure rate', () => {
    const [first, second] = compareVinyls(input, [plain, { ...budget, evidence: { made: 75, spoiled: 15 } }]);
    const own = computeItemCost(PLAIN_ITEM, 10, PLAIN_SHOP);
    expect(first!.cost.ok && first!.cost.value.withRisk.value).toBe(own.ok && own.value.withRisk.value);
    const other = computeItemCost({ ...PLAIN_ITEM, layers: [{ measurement: PLAIN_LAYER, vinyl: BUDGET }] }, 10, {
      ...PLAIN_SHOP,
      spoilageShare: 0.16,
    });
    expect(second!.cost.ok && second!.cost.value.withRisk.value).toBe(other.ok && other.value.withRisk.value);
  });

  it('the exact cost rounds to the cost that is shown', () => {
    const exact = computeGoodPiece(input, plain)!;
    const own = computeItemCost(PLAIN_ITEM, 10, PLAIN_SHOP);
    expect(own.ok && Math.abs(own.value.withRisk.value - exact)).toBeLessThanOrEqual(0.5);
    // By hand: 4.605 + 1.35, and of 4.855 at stake 4 ÷ 96.
    expect(exact).toBeCloseTo(595.5 + (485.5 * 0.04) / 0.96, 6);
  });

  it('the stages add up to the total', () => {
    const [{ cost }] = compareVinyls(input, [plain]) as [ReturnType<typeof compareVinyls>[number]];
    if (!cost.ok) throw new Error('not made');
    expect([...sumByStage(cost.value).values()].reduce((sum, figure) => sum + figure.value, 0)).toBe(
      cost.value.withRisk.value,
    );
  });

  it('says what a vinyl is not fit for', () => {
    const thin = {
      ...PLAIN_ITEM,
      layers: [{ measurement: { ...PLAIN_LAYER, thinnestStroke: { widthMm: 0.8, x: 0, y: 0 } }, vinyl: PLAIN_VINYL }],
    };
    const glitter = {
      ...PLAIN_VINYL,
      id: 4,
      details: { ...PLAIN_VINYL.details, strokeMm: 2, takesLayers: false, grade: 'own use' },
    } as const;
    expect(
      compareVinyls({ ...input, spec: thin }, [plain, { vinyl: glitter, evidence: none }]).map(({ unfit }) => unfit),
    ).toEqual([
      [{ kind: 'too-fine', safeWidthMm: 125 }],
      [
        { kind: 'too-fine', safeWidthMm: 250 },
        { kind: 'grade', grade: 'own use', note: '' },
      ],
    ]);
    const two = { ...PLAIN_ITEM, layers: [...PLAIN_ITEM.layers, ...PLAIN_ITEM.layers] };
    expect(
      compareVinyls({ ...input, spec: two }, [
        { vinyl: { ...PLAIN_VINYL, details: glitter.details }, evidence: none },
      ])[0]!.unfit.map(({ kind }) => kind),
    ).toContain('under-others');
    const softshell = { ...PLAIN_ITEM, blank: { ...PLAIN_ITEM.blank, fabric: 'softshell' as const } };
    const hot = compareVinyls({ ...input, spec: softshell }, [plain])[0]!;
    expect([hot.cost.ok, hot.unfit.map(({ kind }) => kind)]).toEqual([false, ['too-hot']]);
  });
});

describe('where the answer flips', () => {
  const atWage = (candidate: Candidate) => (wage: number) =>
    computeGoodPiece({ ...input, shop: { ...PLAIN_SHOP, wagePerHour: wage } }, candidate);
  it('over the wage, by hand: a fifth of the vinyl saved against a minute more of weeding', () => {
    // 8.4 cents of vinyl are saved, a minute of weeding is added; both are at stake alike.
    const flip = findFlip(atWage(plain), atWage(budget), { from: 0, to: 4000, near: 1800 })!;
    expect(flip).toBeCloseTo((10.5 * 0.8 * 60) / 1, 3);
    expect(atWage(budget)(flip - 10)!).toBeLessThan(atWage(plain)(flip - 10)!);
    expect(atWage(budget)(flip + 10)!).toBeGreaterThan(atWage(plain)(flip + 10)!);
  });

  it('is none where one is cheaper everywhere, or one can’t be made', () => {
    expect(
      findFlip(
        () => 1,
        () => 2,
        { from: 0, to: 10, near: 5 },
      ),
    ).toBeNull();
    expect(
      findFlip(
        () => null,
        (at) => at,
        { from: 0, to: 10, near: 5 },
      ),
    ).toBeNull();
  });

  it('is where two lines cross', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 9.5, noNaN: true }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        (at, slope) => {
          expect(
            findFlip(
              (x) => 3 + slope * (x - at),
              () => 3,
              { from: 0, to: 10, near: 5 },
            ),
          ).toBeCloseTo(at, 6);
        },
      ),
    );
  });
});

it('of several crossings the one nearest to where one is', () => {
  // Crosses nothing at 1, 4 and 9.
  const wave = (x: number) => (x - 1) * (x - 4) * (x - 9);
  const near = (place: number) => findFlip(wave, () => 0, { from: 0, to: 10, near: place });
  expect([0, 2, 3, 6, 8].map((place) => Math.round(near(place)! * 1000) / 1000)).toEqual([1, 1, 4, 4, 9]);
});

describe('what a vinyl is not fit for', () => {
  const unfitOf = (vinyl: Vinyl, neighbour: Vinyl = PLAIN_VINYL) => {
    const spec = { ...PLAIN_ITEM, layers: [...PLAIN_ITEM.layers, { measurement: PLAIN_LAYER, vinyl: neighbour }] };
    return compareVinyls({ ...input, spec }, [{ vinyl, evidence: none }])[0]!.unfit.map((entry) => entry.kind);
  };
  it('a colour of the line that is there is no choice of cost; the same colour of another line is', () => {
    const slate = { ...PLAIN_VINYL, id: 7, name: 'Plain, red', colourName: 'red', colourHex: '#c02020' };
    expect(isOtherColour({ ...PLAIN_VINYL, name: 'Plain, blue' }, slate)).toBe(true);
    expect(isOtherColour(PLAIN_VINYL, { ...PLAIN_VINYL, id: 8, name: 'Other' })).toBe(false);
    expect(isOtherColour(PLAIN_VINYL, { ...slate, name: 'Rough, red' })).toBe(false);
    expect(unfitOf(slate)).toEqual(['other-colour']);
  });

  it('what can’t be pressed with its neighbour is not called fit, nor puff that something is pressed after', () => {
    const cool = { ...PLAIN_VINYL, id: 7, name: 'Cool', press: { ...PLAIN_VINYL.press!, lowC: 115, highC: 130 } };
    expect(unfitOf(cool)).toEqual(['windows-apart']);
    expect(unfitOf(cool, cool)).toEqual([]);
    const puff = { ...PLAIN_VINYL, id: 8, name: 'Puffy', kind: 'puff', details: getOrdinaryDetails('puff') } as const;
    expect(unfitOf(puff)).toContain('pressed-again');
  });
});

describe('the odds', () => {
  it('add up, are the same for the same seed, and follow the evidence', () => {
    const bad: Candidate = { ...budget, evidence: { made: 40, spoiled: 14 } };
    const first = drawOdds(input, [plain, bad]),
      again = drawOdds(input, [plain, bad]);
    expect(first).toEqual(again);
    expect(first.cheapest[0]! + first.cheapest[1]!).toBeCloseTo(1, 12);
    expect(first.cheapest[0]!).toBeGreaterThan(0.95);
    // A rate that 14 of 40 pieces speak for lies about (14 + 1) ÷ 65.
    expect(first.failure[1]!.low).toBeLessThan(15 / 65);
    expect(first.failure[1]!.high).toBeGreaterThan(15 / 65);
    expect(first.failure[1]!.high - first.failure[1]!.low).toBeLessThan(0.25);
  });

  it('two alike are as likely', () => {
    const { cheapest } = drawOdds(input, [plain, { ...plain, vinyl: { ...PLAIN_VINYL, id: 9 } }]);
    expect(Math.abs(cheapest[0]! - 0.5)).toBeLessThan(0.02);
  });

  it('what can’t be made is never the cheapest', () => {
    const narrow: Candidate = {
      vinyl: { ...PLAIN_VINYL, id: 5, rollWidthMm: 40, rollPrice: minor(1) },
      evidence: none,
    };
    expect(
      computeExactCost({ ...PLAIN_ITEM, layers: [{ measurement: PLAIN_LAYER, vinyl: narrow.vinyl }] }, 10, PLAIN_SHOP)
        .ok,
    ).toBe(false);
    expect(drawOdds(input, [plain, narrow], 100).cheapest).toEqual([1, 0]);
  });
});
