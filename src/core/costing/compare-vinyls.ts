// The same piece in several vinyls: what a good one costs in each, how sure that is, and where another becomes the cheaper.

import { randomBeta, randomLcg } from 'd3-random';
import { computeSafeWidth } from '../artwork';
import { getDetailFloor, GRADES, isSafeOn, type ShopFigures, type Vinyl } from '../materials';
import { figure, groupBy, type Figure, type Result } from '../units';
import { computeExactCost, computeItemCost, type CostProblem, type CostStage, type ExactCost, type ItemCost, type ItemSpec } from './item-cost';

/** Parts cut from a vinyl so far, and how many of them were spoiled. */
export type Evidence = { readonly made: number; readonly spoiled: number };
export type Candidate = { readonly vinyl: Vinyl; readonly evidence: Evidence };

/**
 * The failure rate as it is believed: a Beta distribution. It starts at the shop's own rate, held as firmly as
 * PRIOR_PIECES pieces would hold it, and each logged piece moves it.
 */
export type Belief = { readonly alpha: number; readonly beta: number; readonly mean: Figure };
const PRIOR_PIECES = 25;

export function believeFailure({ made, spoiled }: Evidence, shop: Pick<ShopFigures, 'spoilageShare'>): Belief {
  // A rate of nought would never be moved by anything.
  const start = Math.min(0.9, Math.max(0.002, shop.spoilageShare));
  const alpha = start * PRIOR_PIECES + spoiled, beta = (1 - start) * PRIOR_PIECES + Math.max(0, made - spoiled);
  return {
    alpha, beta, mean: figure('Goes wrong', alpha / (alpha + beta), 'share', made > 0 ? 'learned' : 'default', {
      how: '(spoiled + share at first × its weight) ÷ (cut + its weight)', parts: [figure('Cut', made, 'count', 'measured'), figure('Spoiled', spoiled, 'count', 'measured'), figure('Share at first', start, 'share', 'shop'), figure('Weight of that, in pieces', PRIOR_PIECES, 'count', 'default')],
    }),
  };
}

export type Unfit =
  | { readonly kind: 'too-fine'; readonly safeWidthMm: number }
  | { readonly kind: 'too-hot' }
  | { readonly kind: 'under-others' }
  | { readonly kind: 'over-others' }
  | { readonly kind: 'grade'; readonly grade: Vinyl['details']['grade'] };

export type Compared = { readonly vinyl: Vinyl; readonly belief: Belief; readonly cost: Result<ItemCost, CostProblem>; readonly unfit: readonly Unfit[] };
export type CompareInput = { readonly spec: ItemSpec; /** The layer that is tried in each. */ readonly layerIndex: number; /** Of the whole artwork. */ readonly widthMm: number; readonly quantity: number; readonly shop: ShopFigures };

const withVinyl = (spec: ItemSpec, layerIndex: number, vinyl: Vinyl): ItemSpec => ({ ...spec, layers: spec.layers.map((layer, index) => (index === layerIndex ? { ...layer, vinyl } : layer)) });

/** Each candidate, in the order given. */
export function compareVinyls({ spec, layerIndex, widthMm, quantity, shop }: CompareInput, candidates: readonly Candidate[]): readonly Compared[] {
  return candidates.map(({ vinyl, evidence }): Compared => {
    const belief = believeFailure(evidence, shop);
    return { vinyl, belief, cost: computeItemCost(withVinyl(spec, layerIndex, vinyl), quantity, { ...shop, spoilageShare: belief.mean.value }), unfit: findUnfit(spec, layerIndex, widthMm, vinyl) };
  });
}

function findUnfit(spec: ItemSpec, layerIndex: number, widthMm: number, vinyl: Vinyl): readonly Unfit[] {
  const safeWidthMm = computeSafeWidth({ widthMm, layers: [spec.layers[layerIndex]!.measurement] }, getDetailFloor(vinyl));
  return [
    ...(safeWidthMm !== null && safeWidthMm > widthMm + 0.5 ? [{ kind: 'too-fine', safeWidthMm } as const] : []), ...(isSafeOn(vinyl, spec.blank.fabric) ? [] : [{ kind: 'too-hot' } as const]),
    ...(layerIndex < spec.layers.length - 1 && !vinyl.details.takesLayers ? [{ kind: 'under-others' } as const] : []), ...(layerIndex > 0 && !vinyl.details.liesOnVinyl ? [{ kind: 'over-others' } as const] : []),
    ...(GRADES.indexOf(vinyl.details.grade) > 0 ? [{ kind: 'grade', grade: vinyl.details.grade } as const] : []),
  ];
}

const totalAt = ({ full, atStake }: ExactCost, failure: number): number => full + (atStake * failure) / (1 - failure);

/** What a good piece costs, not rounded, with a candidate's own failure rate; null where it can't be made so. */
export function computeGoodPiece(input: CompareInput, { vinyl, evidence }: Candidate, failure?: number): number | null {
  const exact = computeExactCost(withVinyl(input.spec, input.layerIndex, vinyl), input.quantity, input.shop);
  return exact.ok ? totalAt(exact.value, failure ?? believeFailure(evidence, input.shop).mean.value) : null;
}

/** Where two costs meet, the first place between `from` and `to`; null where they don't, or one can't be told. Looked for in steps, then halved. */
export function findFlip(a: (at: number) => number | null, b: (at: number) => number | null, from: number, to: number, steps = 48): number | null {
  const difference = (at: number): number | null => {
    const first = a(at), second = b(at);
    return first === null || second === null ? null : first - second;
  };
  let low = from, before = difference(from);
  for (let step = 1; step <= steps; step++) {
    const high = from + ((to - from) * step) / steps;
    const after = difference(high);
    if (before !== null && after !== null && before !== 0 && Math.sign(before) !== Math.sign(after)) return halve(difference, low, high, Math.sign(before));
    [low, before] = [high, after];
  }
  return null;
}

function halve(difference: (at: number) => number | null, low: number, high: number, sign: number): number {
  for (let round = 0; round < 40; round++) {
    const middle = (low + high) / 2;
    if (Math.sign(difference(middle) ?? 0) === sign) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

export type Odds = { /** That each is the cheapest; they add up to 1. */ readonly cheapest: readonly number[]; /** Between which the failure rate of each lies, nine times in ten. */ readonly failure: readonly { readonly low: number; readonly high: number }[] };
export const DRAWS = 20_000;

/** Draws failure rates as they are believed, and counts which candidate is the cheapest. The same seed gives the same. */
export function drawOdds(input: CompareInput, candidates: readonly Candidate[], draws = DRAWS, seed = 0.42): Odds {
  const random = randomLcg(seed);
  const players = candidates.map(({ vinyl, evidence }) => {
    const exact = computeExactCost(withVinyl(input.spec, input.layerIndex, vinyl), input.quantity, input.shop);
    const { alpha, beta } = believeFailure(evidence, input.shop);
    return { exact: exact.ok ? exact.value : null, draw: randomBeta.source(random)(alpha, beta), rates: new Float64Array(draws), wins: 0 };
  });
  for (let round = 0; round < draws; round++) {
    let best: (typeof players)[number] | null = null, least = Infinity;
    for (const player of players) {
      const rate = Math.min(0.99, player.draw());
      player.rates[round] = rate;
      const total = player.exact ? totalAt(player.exact, rate) : Infinity;
      if (total < least) [best, least] = [player, total];
    }
    if (best) best.wins++;
  }
  const at = (sorted: Float64Array, share: number) => sorted[Math.min(draws - 1, Math.floor(share * draws))] ?? 0;
  return {
    cheapest: players.map((player) => player.wins / draws),
    failure: players.map(({ rates }) => {
      const sorted = rates.slice().sort();
      return { low: at(sorted, 0.05), high: at(sorted, 0.95) };
    }),
  };
}

export const STAGE_LABELS: Readonly<Record<CostStage, string>> = { blank: 'Blank', artwork: 'Drawing', vinyl: 'Vinyl', tape: 'Transfer tape', 'set-up': 'Set-up', cut: 'Cut', weed: 'Weed', press: 'Press', wear: 'Wear', risk: 'What goes wrong', check: 'Check, fold, pack', pack: 'Packaging', overhead: 'Overheads' };

/** The lines of a cost by stage, in making order: what can be set side by side whatever vinyls they are of. */
export function sumByStage(cost: ItemCost): ReadonlyMap<CostStage, Figure> {
  return new Map([...groupBy(cost.lines, (line) => line.stage)].map(([stage, lines]) => [stage, lines.length === 1 ? lines[0]!.figure : figure(STAGE_LABELS[stage], lines.reduce((sum, line) => sum + line.total, 0), 'money', 'computed', { how: 'sum of its lines', parts: lines.map((line) => line.figure) })]));
}
