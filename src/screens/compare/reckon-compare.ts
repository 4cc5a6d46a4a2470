// The same piece in each of the chosen vinyls: costs, where they meet, and the lines to draw.

import { getWornLayers, scaleMeasurement } from '../../core/artwork';
import { compareVinyls, computeGoodPiece, findFlip, type Candidate, type Compared, type CompareInput } from '../../core/costing/compare-vinyls';
import type { ItemSpec } from '../../core/costing';
import type { ShopFigures } from '../../core/materials';
import type { CompareView } from '../../views/views';
import type { Flip } from '../../wording/compare';

export type CompareWish = { readonly layerIndex: number; readonly vinylIds: readonly number[]; readonly widthMm: number; readonly quantity: number };
export type Axis = Flip['over'];
export type Curve = { readonly axis: Axis; readonly points: readonly Readonly<Record<string, number | null>>[]; readonly now: number };
export type Comparison = { readonly input: CompareInput; readonly candidates: readonly Candidate[]; readonly compared: readonly Compared[]; /** Index of the cheapest. */ readonly best: number; readonly flips: readonly Flip[]; readonly curves: readonly Curve[] };

const CURVE_POINTS = 24;

function toSpec(view: CompareView, wish: Pick<CompareWish, 'widthMm'>): ItemSpec {
  const worn = getWornLayers(scaleMeasurement(view.artwork.measurement, wish.widthMm));
  const vinylOf = (index: number) => view.vinyls.find((vinyl) => vinyl.id === view.item.vinylIds[index]) ?? view.vinyls[0]!;
  return { blank: view.blank, sizeName: view.item.sizeName, areaBasis: view.item.areaBasis, artwork: { price: view.item.artworkPrice, run: view.item.artworkRun }, layers: worn.map((measurement, index) => ({ measurement, vinyl: vinylOf(index) })) };
}

export function reckonCompare(view: CompareView, wish: CompareWish, shop: ShopFigures): Comparison {
  const { layerIndex, widthMm, quantity } = wish;
  const input: CompareInput = { spec: toSpec(view, wish), layerIndex, widthMm, quantity, shop };
  const candidates = wish.vinylIds.flatMap((id): Candidate[] => {
    const vinyl = view.vinyls.find((candidate) => candidate.id === id);
    return vinyl ? [{ vinyl, evidence: view.evidence.find((counts) => counts.vinylId === id) ?? { made: 0, spoiled: 0 } }] : [];
  });
  const compared = compareVinyls(input, candidates);
  const best = findCheapest(compared);
  const costAt: Readonly<Record<Axis, (candidate: Candidate, at: number) => number | null>> = {
    wage: (candidate, at) => computeGoodPiece({ ...input, shop: { ...shop, wagePerHour: at } }, candidate),
    width: (candidate, at) => computeGoodPiece({ ...input, widthMm: at, spec: toSpec(view, { widthMm: at }) }, candidate),
    quantity: (candidate, at) => computeGoodPiece({ ...input, quantity: Math.max(1, Math.round(at)) }, candidate),
    failure: (candidate, at) => computeGoodPiece(input, candidate, candidate === candidates[best] ? at : undefined),
  };
  const ranges: Readonly<Record<Axis, readonly [from: number, to: number, now: number]>> = { wage: [0, Math.max(4000, shop.wagePerHour * 2), shop.wagePerHour], width: [Math.max(10, widthMm * 0.4), widthMm * 2, widthMm], quantity: [1, Math.max(60, quantity * 3), quantity], failure: [0, 0.5, compared[best]?.belief.mean.value ?? 0] };
  const axes: readonly Axis[] = ['wage', 'width', 'quantity', 'failure'];
  return { input, candidates, compared, best, flips: axes.flatMap((axis) => findFlips(axis, candidates, best, costAt[axis], ranges[axis])), curves: axes.map((axis) => drawCurve(axis, candidates, costAt[axis], ranges[axis])) };
}

/** The index of the cheapest as it stands. */
function findCheapest(compared: readonly Compared[]): number {
  const totals = compared.map(({ cost }) => (cost.ok ? cost.value.withRisk.value : Infinity));
  return totals.indexOf(Math.min(...totals));
}

/** Between the cheapest as it stands and each other one: the nearest place where that one is cheaper. */
function findFlips(axis: Axis, candidates: readonly Candidate[], best: number, costAt: (candidate: Candidate, at: number) => number | null, [from, to]: readonly [number, number, number]): readonly Flip[] {
  const first = candidates[best];
  return candidates.flatMap((other): Flip[] => {
    if (!first || other === first) return [];
    const at = findFlip((place) => costAt(first, place), (place) => costAt(other, place), from, to);
    if (at === null) return [];
    const step = (to - from) / 1000;
    const later = (costAt(first, Math.min(to, at + step)) ?? 0) < (costAt(other, Math.min(to, at + step)) ?? 0);
    return [{ over: axis, at, beyond: (later ? first : other).vinyl.name }];
  });
}

function drawCurve(axis: Axis, candidates: readonly Candidate[], costAt: (candidate: Candidate, at: number) => number | null, [from, to, now]: readonly [number, number, number]): Curve {
  const points = Array.from({ length: CURVE_POINTS + 1 }, (_, step) => {
    const at = from + ((to - from) * step) / CURVE_POINTS;
    return { at, ...Object.fromEntries(candidates.map((candidate, index) => [`v${index}`, costAt(candidate, at)])) } as Readonly<Record<string, number | null>>;
  });
  return { axis, points, now };
}
