// The same piece in several vinyls: what a good one costs in each, how sure that is, and where another becomes the
// cheaper.

import { computeSafeWidth } from '../artwork';
import { estimateWeedSeconds } from '../estimating';
import { getDetailFloor, getKindFacts, GRADES, isSafeOn, type Blank, type ShopFigures, type Vinyl } from '../materials';
import { planPressing, toPressInput } from '../pressing';
import { figure, type Figure, type Result } from '../units';
import { believeFailure, type Belief, type Evidence } from './failure';
import {
  computeExactCost,
  computeItemCost,
  type CostProblem,
  type ExactCost,
  type ItemCost,
  type ItemSpec,
} from './item-cost';

/** A vinyl for the layer; at the price of an offer, or with another blank, where that is what is tried. */
export type Candidate = {
  readonly vinyl: Vinyl;
  readonly evidence: Evidence;
  /** How it is called, where that is not the vinyl's name. */
  readonly name?: string;
  readonly price?: Figure;
  readonly blank?: { readonly blank: Blank; readonly sizeName: string };
};

export type Unfit =
  | { readonly kind: 'too-fine'; readonly safeWidthMm: number }
  | { readonly kind: 'too-hot' }
  /** Of the line that the layer has now: to be chosen by colour. */
  | { readonly kind: 'other-colour' }
  /** No temperature suits both. */
  | { readonly kind: 'windows-apart'; readonly names: readonly [string, string] }
  /** Puff that something is pressed after. */
  | { readonly kind: 'pressed-again'; readonly by: string }
  | { readonly kind: 'under-others' }
  | { readonly kind: 'over-others' }
  | { readonly kind: 'grade'; readonly grade: Vinyl['details']['grade']; readonly note: string };

export type Compared = {
  readonly name: string;
  readonly vinyl: Vinyl;
  readonly belief: Belief;
  readonly cost: Result<ItemCost, CostProblem>;
  readonly unfit: readonly Unfit[];
};
export type CompareInput = {
  readonly spec: ItemSpec;
  /** The layer that is tried in each. */
  readonly layerIndex: number;
  /** Of the whole artwork. */
  readonly widthMm: number;
  readonly quantity: number;
  readonly shop: ShopFigures;
};

export const getCandidateName = (candidate: Candidate): string => candidate.name ?? candidate.vinyl.name;

/**
 * The shop's own minutes for weeding are those of the vinyl it has: another one takes them longer or shorter as the
 * estimates say.
 */
function bendMinutes(
  { minutes, layers: before }: ItemSpec,
  after: ItemSpec['layers'],
  shop: ShopFigures,
): Pick<ItemSpec, 'minutes'> {
  if (!minutes?.weed) return minutes ? { minutes } : {};
  const estimate = (layers: ItemSpec['layers']) =>
    layers.reduce((sum, { measurement, vinyl }) => sum + estimateWeedSeconds(measurement, vinyl, shop).value, 0);
  const was = estimate(before),
    k = was > 0 ? estimate(after) / was : 1;
  const { low, high, ...weed } = minutes.weed;
  return {
    minutes: {
      ...minutes,
      weed:
        k === 1
          ? minutes.weed
          : {
              ...weed,
              value: weed.value * k,
              ...(low === undefined ? {} : { low: low * k }),
              ...(high === undefined ? {} : { high: high * k }),
              how: 'yours for the vinyl it has × estimate of this vinyl ÷ estimate of that',
              parts: [minutes.weed, figure('Against the vinyl it has', k, 'factor', 'computed')],
            },
    },
  };
}

export function withCandidate(
  { spec, layerIndex, shop }: Pick<CompareInput, 'spec' | 'layerIndex' | 'shop'>,
  { vinyl, price, blank }: Candidate,
): ItemSpec {
  const layers = spec.layers.map((layer, index) => {
    if (index !== layerIndex) return layer;
    const { price: _price, prices, ...rest } = layer;
    return { ...rest, vinyl, ...(price ? { price } : prices && layer.vinyl.id === vinyl.id ? { prices } : {}) };
  });
  const minutes = bendMinutes(spec, layers, shop);
  if (!blank) return { ...spec, ...minutes, layers };
  const { blankPrices: _blankPrices, ...own } = spec;
  return { ...own, ...minutes, layers, blank: blank.blank, sizeName: blank.sizeName };
}

/** Each candidate, in the order given. */
export function compareVinyls(
  { spec, layerIndex, widthMm, quantity, shop }: CompareInput,
  candidates: readonly Candidate[],
): readonly Compared[] {
  return candidates.map((candidate): Compared => {
    const belief = believeFailure(candidate.evidence, shop);
    const tried = withCandidate({ spec, layerIndex, shop }, candidate);
    return {
      name: getCandidateName(candidate),
      vinyl: candidate.vinyl,
      belief,
      cost: computeItemCost({ ...tried, spoilage: belief.mean }, quantity, shop),
      unfit: findUnfit(tried, spec.layers[layerIndex]!.vinyl, { layerIndex, widthMm, shop }),
    };
  });
}

/** `tried`: the item with the candidate in the layer; `own`: what the layer has now. */
function findUnfit(
  tried: ItemSpec,
  own: Vinyl,
  { layerIndex, widthMm, shop }: Pick<CompareInput, 'layerIndex' | 'widthMm' | 'shop'>,
): readonly Unfit[] {
  const layer = tried.layers[layerIndex]!;
  const { vinyl, place } = layer;
  const safeWidthMm = computeSafeWidth({ widthMm, layers: [layer.measurement] }, getDetailFloor(vinyl));
  const under = tried.layers.slice(0, layerIndex).filter((other) => other.place === place);
  const over = tried.layers.slice(layerIndex + 1).filter((other) => other.place === place);
  const pressing = planPressing(toPressInput(tried, shop));
  const lateHot = over.find((other) => getKindFacts(other.vinyl.kind).family === 'heat' && other.vinyl.kind !== 'puff');
  return [
    ...(isOtherColour(own, vinyl) ? [{ kind: 'other-colour' } as const] : []),
    ...(safeWidthMm !== null && safeWidthMm > widthMm + 0.5 ? [{ kind: 'too-fine', safeWidthMm } as const] : []),
    ...(isSafeOn(vinyl, tried.blank.fabric) ? [] : [{ kind: 'too-hot' } as const]),
    ...(!pressing.ok && pressing.problem.kind === 'windows-apart'
      ? [{ kind: 'windows-apart', names: pressing.problem.vinylNames } as const]
      : []),
    ...(over.length > 0 && !vinyl.details.takesLayers ? [{ kind: 'under-others' } as const] : []),
    ...(under.length > 0 && !vinyl.details.liesOnVinyl ? [{ kind: 'over-others' } as const] : []),
    ...(vinyl.kind === 'puff' && lateHot ? [{ kind: 'pressed-again', by: lateHot.vinyl.name } as const] : []),
    ...(GRADES.indexOf(vinyl.details.grade) > 0
      ? [{ kind: 'grade', grade: vinyl.details.grade, note: vinyl.details.gradeNote } as const]
      : []),
  ];
}

/**
 * Two colours of one line: alike in all that a cost or a fitness rests on. Which of them is no question of cost.
 */
export const isOtherColour = (a: Vinyl, b: Vinyl): boolean =>
  a.id !== b.id &&
  a.colourHex !== b.colourHex &&
  a.kind === b.kind &&
  lineOf(a) === lineOf(b) &&
  a.weedingFactor === b.weedingFactor;

/** The name without the colour: "Tarn Smooth" of "Tarn Smooth, slate". */
const lineOf = ({ name, colourName }: Vinyl): string =>
  name
    .toLowerCase()
    .replace(colourName.toLowerCase(), '')
    .replace(/[\s,–-]+$/, '')
    .trim();

export const totalAt = ({ full, atStake }: ExactCost, failure: number): number =>
  full + (atStake * failure) / (1 - failure);

/** What a good piece costs, not rounded, with a candidate's own failure rate; null where it can't be made so. */
export function computeGoodPiece(input: CompareInput, candidate: Candidate, failure?: number): number | null {
  const exact = computeExactCost(withCandidate(input, candidate), input.quantity, input.shop);
  return exact.ok ? totalAt(exact.value, failure ?? believeFailure(candidate.evidence, input.shop).mean.value) : null;
}

/**
 * Where two costs meet, the place nearest to `near` between `from` and `to`; null where they don't, or one can't be told.
 * Looked for in steps, then halved.
 */
export function findFlip(
  a: (at: number) => number | null,
  b: (at: number) => number | null,
  { from, to, near }: { readonly from: number; readonly to: number; readonly near: number },
  steps = 48,
): number | null {
  const difference = (at: number): number | null => {
    const first = a(at),
      second = b(at);
    return first === null || second === null ? null : first - second;
  };
  const found: number[] = [];
  let low = from,
    before = difference(from);
  for (let step = 1; step <= steps; step++) {
    const high = from + ((to - from) * step) / steps;
    const after = difference(high);
    if (before !== null && after !== null && before !== 0 && Math.sign(before) !== Math.sign(after))
      found.push(halve(difference, low, high, Math.sign(before)));
    [low, before] = [high, after];
  }
  return found.length === 0
    ? null
    : found.reduce((nearest, at) => (Math.abs(at - near) < Math.abs(nearest - near) ? at : nearest));
}

function halve(difference: (at: number) => number | null, low: number, high: number, sign: number): number {
  for (let round = 0; round < 40; round++) {
    const middle = (low + high) / 2;
    if (Math.sign(difference(middle) ?? 0) === sign) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
