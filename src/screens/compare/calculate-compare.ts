// The same piece in each of the chosen vinyls: costs, where they meet, and the lines to draw.

import { computeLandedPerM2 } from '../../core/buying';
import {
  compareVinyls,
  computeGoodPiece,
  findFlip,
  getCandidateName,
  type Candidate,
  type Compared,
  type CompareInput,
} from '../../core/costing/compare-vinyls';
import {
  getUsualVariant,
  listMadeLayers,
  resolveVariant,
  toItemSpec,
  type ItemMaterials,
  type ItemSpec,
} from '../../core/costing';
import type { ShopFigures } from '../../core/materials';
import type { CompareView } from '../../views/compare';
import type { Flip } from '../../wording/compare';
import { toMaterials } from '../items/item-form';

/** What is set side by side: vinyls for a layer, offers of its vinyl, or blanks. */
export type CompareKind = 'vinyls' | 'offers' | 'blanks';
export type CompareWish = {
  readonly kind: CompareKind;
  readonly layerIndex: number;
  readonly ids: readonly number[];
  readonly widthMm: number;
  readonly quantity: number;
};
export type Axis = Flip['over'];
export type Curve = {
  readonly axis: Axis;
  readonly points: readonly Readonly<Record<string, number | null>>[];
  readonly now: number;
};
export type Comparison = {
  readonly input: CompareInput;
  readonly candidates: readonly Candidate[];
  readonly compared: readonly Compared[];
  /** Index of the cheapest. */ readonly best: number;
  readonly flips: readonly Flip[];
  readonly curves: readonly Curve[];
};

const CURVE_POINTS = 24;

/** The item at the width that is tried: where it has several artworks, all grow alike. */
function toSpec(view: CompareView, widthMm: number): ItemSpec {
  const { item } = view;
  const made = resolveVariant(item, getUsualVariant(item));
  const scale = widthMm / (made.placements[0]?.widthMm ?? widthMm);
  const scaled = {
    ...made,
    placements: made.placements.map((placement) => ({ ...placement, widthMm: placement.widthMm * scale })),
  };
  const blank = view.blanks.find((candidate) => candidate.id === item.blankId)!;
  return toItemSpec({ plan: item, made: scaled, blank, materials: materialsOf(view), evidence: view.own });
}

export const listLayers = (view: CompareView) =>
  listMadeLayers(resolveVariant(view.item, getUsualVariant(view.item)), materialsOf(view));

/** Boxes in rows for all: true shapes are laid out on the item's own roll only, and would favour it over what it is compared with. */
function materialsOf(view: CompareView): ItemMaterials {
  return toMaterials({ ...view, packings: [], shelf: { vinyls: view.vinyls } });
}

/** What may be chosen: its id, and how it is called. */
export function listChoices(
  view: CompareView,
  kind: CompareKind,
  layerIndex: number,
): readonly { readonly id: number; readonly name: string; readonly colourHex?: string }[] {
  switch (kind) {
    case 'vinyls':
      return view.vinyls;
    case 'offers':
      return view.offers
        .filter((offer) => offer.vinylId === listLayers(view)[layerIndex]?.vinyl.id)
        .map((offer) => ({ id: offer.id, name: `${offer.name}, ${offer.supplierName}` }));
    case 'blanks':
      return view.blanks;
    default:
      return kind satisfies never;
  }
}

function toCandidates(view: CompareView, wish: CompareWish, spec: ItemSpec): readonly Candidate[] {
  const own = spec.layers[wish.layerIndex]?.vinyl;
  const evidenceOf = (vinylId: number) =>
    view.evidence.find((counts) => counts.vinylId === vinylId) ?? { made: 0, spoiled: 0 };
  return wish.ids.flatMap((id): Candidate[] => {
    if (wish.kind === 'vinyls') {
      const vinyl = view.vinyls.find((candidate) => candidate.id === id);
      return vinyl ? [{ vinyl, evidence: evidenceOf(id) }] : [];
    }
    if (!own) return [];
    if (wish.kind === 'offers') {
      const entry = view.offers.find((offer) => offer.id === id);
      const price = entry && computeLandedPerM2(entry.offer, entry);
      return price
        ? [{ vinyl: own, evidence: evidenceOf(own.id), name: `${entry.name}, ${entry.supplierName}`, price }]
        : [];
    }
    const blank = view.blanks.find((candidate) => candidate.id === id);
    const size = blank?.sizes.find((candidate) => candidate.name === spec.sizeName) ?? blank?.sizes[0];
    return blank && size
      ? [
          {
            vinyl: own,
            evidence: evidenceOf(own.id),
            name: `${blank.name}, ${size.name}`,
            blank: { blank, sizeName: size.name },
          },
        ]
      : [];
  });
}

export function calculateComparison(view: CompareView, wish: CompareWish, shop: ShopFigures): Comparison {
  const { layerIndex, widthMm, quantity } = wish;
  const spec = toSpec(view, widthMm);
  const input: CompareInput = { spec, layerIndex, widthMm: spec.layers[layerIndex] ? widthMm : 0, quantity, shop };
  const candidates = toCandidates(view, wish, spec);
  const compared = compareVinyls(input, candidates);
  const best = findCheapest(compared);
  const costAt: Readonly<Record<Axis, (candidate: Candidate, at: number) => number | null>> = {
    wage: (candidate, at) => computeGoodPiece({ ...input, shop: { ...shop, wagePerHour: at } }, candidate),
    width: (candidate, at) => computeGoodPiece({ ...input, widthMm: at, spec: toSpec(view, at) }, candidate),
    quantity: (candidate, at) => computeGoodPiece({ ...input, quantity: Math.max(1, Math.round(at)) }, candidate),
    failure: (candidate, at) => computeGoodPiece(input, candidate, candidate === candidates[best] ? at : undefined),
  };
  const ranges: Readonly<Record<Axis, readonly [from: number, to: number, now: number]>> = {
    wage: [0, Math.max(4000, shop.wagePerHour * 2), shop.wagePerHour],
    width: [Math.max(10, widthMm * 0.4), widthMm * 2, widthMm],
    quantity: [1, Math.max(60, quantity * 3), quantity],
    failure: [0, 0.5, compared[best]?.belief.mean.value ?? 0],
  };
  const axes: readonly Axis[] = ['wage', 'width', 'quantity', 'failure'];
  return {
    input,
    candidates,
    compared,
    best,
    flips: axes.flatMap((axis) => findFlips(axis, candidates, best, costAt[axis], ranges[axis])),
    curves: axes
      .filter((axis) => axis !== 'failure' || new Set(candidates.map((candidate) => candidate.vinyl.id)).size > 1)
      .map((axis) => drawCurve(axis, candidates, costAt[axis], ranges[axis])),
  };
}

/** The index of the cheapest as it stands. */
function findCheapest(compared: readonly Compared[]): number {
  const totals = compared.map(({ cost }) => (cost.ok ? cost.value.withRisk.value : Infinity));
  return totals.indexOf(Math.min(...totals));
}

/** Between the cheapest as it stands and each other one: the nearest place where that one is cheaper. */
function findFlips(
  axis: Axis,
  candidates: readonly Candidate[],
  best: number,
  costAt: (candidate: Candidate, at: number) => number | null,
  [from, to]: readonly [number, number, number],
): readonly Flip[] {
  const first = candidates[best];
  return candidates.flatMap((other): Flip[] => {
    // One vinyl fails as often, whoever sold it and whatever it lies on.
    if (!first || other === first || (axis === 'failure' && other.vinyl.id === first.vinyl.id)) return [];
    const at = findFlip(
      (place) => costAt(first, place),
      (place) => costAt(other, place),
      from,
      to,
    );
    if (at === null) return [];
    const step = (to - from) / 1000;
    const later = (costAt(first, Math.min(to, at + step)) ?? 0) < (costAt(other, Math.min(to, at + step)) ?? 0);
    return [{ over: axis, at, beyond: getCandidateName(later ? first : other) }];
  });
}

function drawCurve(
  axis: Axis,
  candidates: readonly Candidate[],
  costAt: (candidate: Candidate, at: number) => number | null,
  [from, to, now]: readonly [number, number, number],
): Curve {
  const points = Array.from({ length: CURVE_POINTS + 1 }, (_, step) => {
    const at = from + ((to - from) * step) / CURVE_POINTS;
    return {
      at,
      ...Object.fromEntries(candidates.map((candidate, index) => [`v${index}`, costAt(candidate, at)])),
    } as Readonly<Record<string, number | null>>;
  });
  return { axis, points, now };
}
