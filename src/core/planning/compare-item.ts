// The same piece made in each of what is compared: costs, the cheapest, where the answer flips, and the curves to draw.

import {
  compareVinyls,
  computeGoodPiece,
  findFlip,
  getCandidateName,
  type Candidate,
  type Compared,
  type CompareInput,
} from '../costing/compare-vinyls';
import type { ShopFigures } from '../materials';
import { toCandidates, toCompareSpec, type CompareBasis, type CompareWish } from './compare-candidates';

/** What the cost is drawn over: minor units an hour, mm, pieces made at once, or the share that goes wrong. */
const COMPARE_AXES = ['wage', 'width', 'quantity', 'failure'] as const;
export type CompareAxis = (typeof COMPARE_AXES)[number];

/** Where the answer turns round: from `at` on, up or down from where one is, `beyond` is the cheaper. */
export type Flip = {
  readonly over: CompareAxis;
  readonly at: number;
  readonly beyond: string;
  readonly side: 'above' | 'below';
  /** How far off it is, as a share of where one is now. */
  readonly away: number;
};

/** Costs of a good piece along an axis, minor units; null where it can't be made. `v0` is of the first candidate. */
export type Curve = {
  readonly axis: CompareAxis;
  readonly points: readonly Readonly<Record<string, number | null>>[];
  readonly now: number;
};

export type Comparison = {
  readonly input: CompareInput;
  readonly candidates: readonly Candidate[];
  readonly compared: readonly Compared[];
  /** Index of the cheapest; -1 where there is none. */
  readonly best: number;
  readonly flips: readonly Flip[];
  readonly curves: readonly Curve[];
};

const CURVE_POINTS = 24;
/** An hour is tried from nothing to this, minor units, or to twice what it is worth now. */
const LEAST_TOP_WAGE = 4000;
const LEAST_WIDTH_MM = 10;
const LEAST_TOP_QUANTITY = 60;
const TOP_FAILURE = 0.5;
/** What is nothing now is as far from anything. */
const LEAST_NOW = 1e-6;

type Range = { readonly from: number; readonly to: number; readonly now: number };
type CostAt = (candidate: Candidate, at: number) => number | null;

/** What each costs and which is the cheapest, without where that turns. Cost: an item cost for each candidate. */
export function compareAsTheyAre(basis: CompareBasis, wish: CompareWish, shop: ShopFigures): Comparison {
  const { layerIndex, widthMm, quantity } = wish;
  const spec = toCompareSpec(basis, widthMm);
  const input: CompareInput = { spec, layerIndex, widthMm: spec.layers[layerIndex] ? widthMm : 0, quantity, shop };
  const candidates = toCandidates(basis, wish, spec);
  const compared = compareVinyls(input, candidates);
  return { input, candidates, compared, best: findCheapest(compared), flips: [], curves: [] };
}

/** With where the answer turns, and the curves to draw. Cost: a few hundred item costs for each candidate. */
export function compareItem(basis: CompareBasis, wish: CompareWish, shop: ShopFigures): Comparison {
  const asTheyAre = compareAsTheyAre(basis, wish, shop);
  const { input, candidates, compared, best } = asTheyAre;
  const costAt = makeCostAt(basis, input, candidates[best]);
  const ranges = makeRanges(wish, shop, compared[best]);
  return {
    ...asTheyAre,
    flips: COMPARE_AXES.flatMap((axis) => findFlips(axis, candidates, best, costAt[axis], ranges[axis])).sort(
      (a, b) => a.away - b.away,
    ),
    curves: listDrawnAxes(candidates).map((axis) => drawCurve(axis, candidates, costAt[axis], ranges[axis])),
  };
}

function makeCostAt(
  basis: CompareBasis,
  input: CompareInput,
  cheapest: Candidate | undefined,
): Readonly<Record<CompareAxis, CostAt>> {
  return {
    wage: (candidate, at) => computeGoodPiece({ ...input, shop: { ...input.shop, wagePerHour: at } }, candidate),
    width: (candidate, at) => computeGoodPiece({ ...input, widthMm: at, spec: toCompareSpec(basis, at) }, candidate),
    quantity: (candidate, at) => computeGoodPiece({ ...input, quantity: Math.max(1, Math.round(at)) }, candidate),
    failure: (candidate, at) => computeGoodPiece(input, candidate, candidate === cheapest ? at : undefined),
  };
}

function makeRanges(
  { widthMm, quantity }: CompareWish,
  shop: ShopFigures,
  best: Compared | undefined,
): Readonly<Record<CompareAxis, Range>> {
  return {
    wage: { from: 0, to: Math.max(LEAST_TOP_WAGE, shop.wagePerHour * 2), now: shop.wagePerHour },
    width: { from: Math.max(LEAST_WIDTH_MM, widthMm * 0.4), to: widthMm * 2, now: widthMm },
    quantity: { from: 1, to: Math.max(LEAST_TOP_QUANTITY, quantity * 3), now: quantity },
    failure: { from: 0, to: TOP_FAILURE, now: best?.belief.mean.value ?? 0 },
  };
}

/** One vinyl fails as often, whoever sold it and whatever it lies on: there is nothing to draw over that. */
const listDrawnAxes = (candidates: readonly Candidate[]): readonly CompareAxis[] =>
  COMPARE_AXES.filter(
    (axis) => axis !== 'failure' || new Set(candidates.map((candidate) => candidate.vinyl.id)).size > 1,
  );

function findCheapest(compared: readonly Compared[]): number {
  const totals = compared.map(({ cost }) => (cost.ok ? cost.value.withRisk.value : Infinity));
  return totals.indexOf(Math.min(...totals));
}

/** Between the cheapest as it stands and each other one: the nearest place from where on that one is cheaper. */
function findFlips(
  axis: CompareAxis,
  candidates: readonly Candidate[],
  best: number,
  costAt: CostAt,
  { from, to, now }: Range,
): readonly Flip[] {
  const first = candidates[best];
  if (!first) return [];
  const others = candidates.filter(
    (other) => other !== first && !(axis === 'failure' && other.vinyl.id === first.vinyl.id),
  );
  return others.flatMap((other): Flip[] => {
    const costOf = (candidate: Candidate) => (at: number) => costAt(candidate, at);
    const at = findFlip(costOf(first), costOf(other), { from, to, near: now });
    if (at === null) return [];
    const side = at >= now ? 'above' : 'below';
    return [
      { over: axis, at, beyond: getCandidateName(other), side, away: Math.abs(at - now) / Math.max(now, LEAST_NOW) },
    ];
  });
}

function drawCurve(
  axis: CompareAxis,
  candidates: readonly Candidate[],
  costAt: CostAt,
  { from, to, now }: Range,
): Curve {
  const points = Array.from({ length: CURVE_POINTS + 1 }, (_, step) => {
    const at = from + ((to - from) * step) / CURVE_POINTS;
    const costs = candidates.map((candidate, index) => [`v${index}`, costAt(candidate, at)] as const);
    return { at, ...Object.fromEntries(costs) };
  });
  return { axis, points, now };
}
