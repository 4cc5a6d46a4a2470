// What may stand side by side in a comparison: vinyls for a layer, offers of its vinyl, or blanks.

import { computeLandedPerM2, type Offer, type Supplier } from '../buying';
import {
  findMaterials,
  getUsualVariant,
  listMadeLayers,
  resolveVariant,
  toItemSpec,
  type Evidence,
  type ItemEvidence,
  type ItemMaterials,
  type ItemPlan,
  type ItemSpec,
  type MadeLayer,
  type MaterialLists,
} from '../costing';
import { isOtherColour, type Candidate } from '../costing/compare-vinyls';
import type { Blank, Vinyl } from '../materials';

export type CompareKind = 'vinyls' | 'offers' | 'blanks';

/** An offer of one vinyl: what a m² of it comes to, landed, when one pack is bought. */
export type VinylOffer = Pick<Supplier, 'shipping' | 'freeFrom'> & {
  readonly id: number;
  readonly name: string;
  readonly supplierName: string;
  readonly vinylId: number;
  readonly offer: Offer;
};

/** An item, and all that it may be tried in. */
export type CompareBasis = Pick<MaterialLists, 'vinyls' | 'artworks' | 'prices'> & {
  readonly item: ItemPlan;
  readonly blanks: readonly Blank[];
  readonly offers: readonly VinylOffer[];
  /** What the log says of the item. */
  readonly own: ItemEvidence;
  /** Parts cut of each vinyl so far, and how many of them were spoiled. */
  readonly evidence: readonly (Evidence & { readonly vinylId: number })[];
};

export type CompareWish = {
  readonly kind: CompareKind;
  readonly layerIndex: number;
  /** Of vinyls, offers or blanks; two to four of them. */
  readonly ids: readonly number[];
  readonly widthMm: number;
  readonly quantity: number;
};

export type CompareChoice = { readonly id: number; readonly name: string; readonly colourHex?: string };

/**
 * Boxes in rows for all: true shapes are laid out on the item's own roll only, and would favour it over what it is
 * compared with.
 */
const materialsOf = (basis: CompareBasis): ItemMaterials => findMaterials({ ...basis, packings: [] });

export const listCompareLayers = (basis: CompareBasis): readonly MadeLayer[] =>
  listMadeLayers(resolveVariant(basis.item, getUsualVariant(basis.item)), materialsOf(basis), basis.item.quantity);

/** What may be chosen: its id, and how it is called. */
export function listChoices(basis: CompareBasis, kind: CompareKind, layerIndex: number): readonly CompareChoice[] {
  switch (kind) {
    case 'vinyls':
      return basis.vinyls;
    case 'offers': {
      const vinylId = listCompareLayers(basis)[layerIndex]?.vinyl.id;
      return basis.offers
        .filter((offer) => offer.vinylId === vinylId)
        .map((offer) => ({ id: offer.id, name: nameOffer(offer) }));
    }
    case 'blanks':
      return basis.blanks;
    default:
      return kind satisfies never;
  }
}

/** What stands side by side at first: what the item has now, and the nearest others; four at most. */
export function proposeChoices(
  basis: CompareBasis,
  kind: CompareKind,
  layerIndex: number,
  most: number,
): readonly number[] {
  switch (kind) {
    case 'vinyls':
      return proposeVinyls(basis, layerIndex);
    case 'offers':
      return listChoices(basis, kind, layerIndex)
        .slice(0, most - 1)
        .map((choice) => choice.id);
    case 'blanks': {
      const own = basis.item.blankId;
      const other = basis.blanks.find((blank) => blank.id !== own);
      return other ? [own, other.id] : [own];
    }
    default:
      return kind satisfies never;
  }
}

function proposeVinyls(basis: CompareBasis, layerIndex: number): readonly number[] {
  const own = listCompareLayers(basis)[layerIndex]?.vinyl;
  if (!own) return basis.vinyls.slice(0, 2).map((vinyl) => vinyl.id);
  // Another colour of the line it has is no question of cost.
  const isAlike = (vinyl: Vinyl) =>
    vinyl.id !== own.id && (vinyl.press === null) === (own.press === null) && !isOtherColour(own, vinyl);
  const [nearest] = basis.vinyls
    .filter(isAlike)
    .sort((a, b) => Number(b.kind === own.kind) - Number(a.kind === own.kind));
  return nearest ? [own.id, nearest.id] : [own.id];
}

/** The item at the width that is tried: where it has several artworks, all grow alike. */
export function toCompareSpec(basis: CompareBasis, widthMm: number): ItemSpec {
  const { item } = basis;
  const made = resolveVariant(item, getUsualVariant(item));
  const scale = widthMm / (made.placements[0]?.widthMm ?? widthMm);
  const scaled = {
    ...made,
    placements: made.placements.map((placement) => ({ ...placement, widthMm: placement.widthMm * scale })),
  };
  const blank = basis.blanks.find((candidate) => candidate.id === item.blankId)!;
  return toItemSpec({ plan: item, made: scaled, blank, materials: materialsOf(basis), evidence: basis.own });
}

/** The candidates of a wish; what is not there any more, or has no price, is left out. */
export function toCandidates(basis: CompareBasis, wish: CompareWish, spec: ItemSpec): readonly Candidate[] {
  const own = spec.layers[wish.layerIndex]?.vinyl;
  return wish.ids.flatMap((id) => {
    const candidate = toCandidate(basis, wish.kind, id, own, spec.sizeName);
    return candidate ? [candidate] : [];
  });
}

function toCandidate(
  basis: CompareBasis,
  kind: CompareKind,
  id: number,
  own: Vinyl | undefined,
  sizeName: string,
): Candidate | null {
  switch (kind) {
    case 'vinyls': {
      const vinyl = basis.vinyls.find((candidate) => candidate.id === id);
      return vinyl ? { vinyl, evidence: evidenceOf(basis, id) } : null;
    }
    case 'offers': {
      const offer = basis.offers.find((candidate) => candidate.id === id);
      const price = offer && computeLandedPerM2(offer.offer, offer);
      return own && price ? { vinyl: own, evidence: evidenceOf(basis, own.id), name: nameOffer(offer), price } : null;
    }
    case 'blanks': {
      const blank = basis.blanks.find((candidate) => candidate.id === id);
      const size = blank?.sizes.find((candidate) => candidate.name === sizeName) ?? blank?.sizes[0];
      if (!own || !blank || !size) return null;
      const name = `${blank.name}, ${size.name}`;
      return { vinyl: own, evidence: evidenceOf(basis, own.id), name, blank: { blank, sizeName: size.name } };
    }
    default:
      return kind satisfies never;
  }
}

const evidenceOf = ({ evidence }: CompareBasis, vinylId: number): Evidence =>
  evidence.find((counts) => counts.vinylId === vinylId) ?? { made: 0, spoiled: 0 };

const nameOffer = ({ name, supplierName }: VinylOffer): string => `${name}, ${supplierName}`;
