// What an item is: a blank, artworks at places, options, variants, and what else goes into it; and how one variant of
// it is made.

import { getWornLayers, type ArtworkMeasurement, type Lettering } from '../artwork';
import type { Placing } from '../placing';
import { PLAIN_RECIPE, type PressRecipe, type StonesToSet } from '../pressing';
import { type PriceBasis } from '../stock';
import { minor, type Minor } from '../units';
import type { ExtraCost, StoneField } from './extra-lines';
import type { Negative } from './joint-products';
import type { AreaBasis } from './layer-areas';
export type Placement = {
  readonly artworkId: number;
  /** Where on the blank, in the seller's words. */
  readonly place: string;
  readonly widthMm: number;
  /** For sizes of the blank that take another width, mm. */
  readonly widths: Readonly<Record<string, number>>;
  readonly seenThrough: boolean;
  /** One for each worn layer of the artwork, in its order. */
  readonly vinylIds: readonly number[];
  /** A customer's own text, of which the artwork is a sample; null or left out for a drawing. */
  readonly lettering?: Lettering | null;
  /** Which of the usual places is meant, and the seller’s own measures there; null or left out where the words tell. */
  readonly placing?: Placing | null;
};
/**
 * What a customer may have besides, such as a name: the artwork is a usual example of it, by which it is calculated.
 */
type ItemOption = { readonly label: string; readonly surcharge: Minor; readonly placement: Placement };
/**
 * What is otherwise for a size or a colour of the blank; null stands for any. The first that fits wins, for price and
 * vinyl each.
 */
export type VariantRule = {
  readonly sizeName: string | null;
  readonly colourName: string | null;
  readonly price: Minor | null;
  /** This vinyl, and what takes its place. */
  readonly swaps: readonly {
    readonly vinylId: number;
    readonly byVinylId: number;
  }[];
};
/** Your own seconds for one piece; null where they are estimated or learned. */
export type TypedSeconds = { readonly cut: number | null; readonly weed: number | null; readonly press: number | null };
export const NOTHING_TYPED: TypedSeconds = { cut: null, weed: null, press: null };

/** What an item has beyond a blank with artworks on it. */
export type ItemDetails = {
  readonly options: readonly ItemOption[];
  readonly variants: readonly VariantRule[];
  readonly extras: readonly ExtraCost[];
  readonly stones: readonly StoneField[];
  /** Null: as the shop packs. */
  readonly packaging: Minor | null;
  readonly minutes: TypedSeconds;
  /** What is weeded out, where that sells too. */
  readonly negative: Negative | null;
  readonly priceBasis: PriceBasis;
  /** Offers that are chosen over cheaper ones, where material is calculated by offers. */
  readonly offerIds: readonly number[];
  /** What a shop asks for the like; null where nobody looked. */
  readonly othersAsk: Minor | null;
  readonly recipe: PressRecipe;
};
export const PLAIN_DETAILS: ItemDetails = {
  options: [],
  variants: [],
  extras: [],
  stones: [],
  packaging: null,
  minutes: NOTHING_TYPED,
  negative: null,
  priceBasis: 'shelf',
  offerIds: [],
  othersAsk: null,
  recipe: PLAIN_RECIPE,
};

export type ItemPlan = {
  /** Usually made in one go: its layers are laid out so many at once. */
  readonly quantity: number;
  readonly blankId: number;
  readonly sizeName: string;
  readonly colourName: string;
  readonly price: Minor;
  readonly areaBasis: AreaBasis;
  readonly artworkPrice: Minor;
  readonly artworkRun: number;
  readonly placements: readonly Placement[];
  readonly details: ItemDetails;
};

/**
 * An artwork put on a blank at the width it was kept at, in the vinyls chosen for its layers; where none was, in
 * `vinylIds` by their order. At least one.
 */
export function startPlacement(
  artwork: {
    readonly id: number;
    readonly measurement: ArtworkMeasurement;
    readonly layerVinylIds: readonly (number | null)[];
  },
  vinylIds: readonly number[],
  place: string,
): Placement {
  return {
    artworkId: artwork.id,
    place,
    widthMm: Math.round(artwork.measurement.widthMm * 10) / 10,
    widths: {},
    seenThrough: false,
    vinylIds: getWornLayers(artwork.measurement).map(
      (_, index) => artwork.layerVinylIds[index] ?? vinylIds[index] ?? vinylIds[0]!,
    ),
  };
}

/** Which of an item's variants: a size and colour of its blank, and which of its options, by their index. */
export type Variant = { readonly sizeName: string; readonly colourName: string; readonly options: readonly number[] };
/** `usualWidthMm`: where this size has another width than the item usually has; its layout was made at the usual one. */
type MadePlacement = Omit<Placement, 'widths'> & {
  readonly usualWidthMm?: number;
  /** What a customer's own text says there. */
  readonly text?: string;
};
/** One variant as it is made: what its blank, artworks, widths and vinyls come to. */
export type Made = {
  readonly blankId: number;
  readonly sizeName: string;
  readonly colourName: string;
  readonly placements: readonly MadePlacement[];
  readonly price: Minor;
  /** How it is pressed; left out for the plain way. */
  readonly recipe?: PressRecipe;
  /** Set when its vinyl is pressed; left out for none. */
  readonly stones?: readonly StonesToSet[];
};

type Priced = {
  readonly price: Minor;
  readonly options: readonly { readonly surcharge: Minor }[];
  readonly variants: readonly VariantRule[];
};
const findRules = (
  variants: readonly VariantRule[],
  { sizeName, colourName }: Omit<Variant, 'options'>,
): readonly VariantRule[] =>
  variants.filter((rule) => (rule.sizeName ?? sizeName) === sizeName && (rule.colourName ?? colourName) === colourName);

/** What a variant is priced at: by its own rule or as the item, with the surcharge of each option. */
export function getVariantPrice({ price, options, variants }: Priced, variant: Variant): Minor {
  const own = findRules(variants, variant).find((rule) => rule.price !== null)?.price ?? price;
  return minor(variant.options.reduce<number>((sum, at) => sum + (options[at]?.surcharge ?? 0), own));
}

/** How a variant is made. An option that the item has no more is left out. */
export function resolveVariant(
  plan: Pick<ItemPlan, 'blankId' | 'price' | 'placements' | 'details'>,
  { sizeName, colourName, options }: Variant,
): Made {
  const rules = findRules(plan.details.variants, { sizeName, colourName });
  const chosen = options.flatMap((index) => plan.details.options[index] ?? []);
  const swap = (vinylId: number) =>
    rules.flatMap((rule) => rule.swaps).find((entry) => entry.vinylId === vinylId)?.byVinylId ?? vinylId;
  const make = ({ widths, ...placement }: Placement): MadePlacement => {
    const widthMm = widths[sizeName] ?? placement.widthMm;
    return {
      ...placement,
      widthMm,
      ...(widthMm === placement.widthMm ? {} : { usualWidthMm: placement.widthMm }),
      vinylIds: placement.vinylIds.map(swap),
    };
  };
  return {
    blankId: plan.blankId,
    sizeName,
    colourName,
    placements: [...plan.placements, ...chosen.map((option) => option.placement)].map(make),
    price: getVariantPrice({ price: plan.price, ...plan.details }, { sizeName, colourName, options }),
    recipe: plan.details.recipe,
    // Frozen with orders: what they cost is in the quote.
    ...(plan.details.stones.length > 0
      ? { stones: plan.details.stones.map(({ label, count, diameterMm }) => ({ label, count, diameterMm })) }
      : {}),
  };
}

/** The item as it is usually made. */
export const getUsualVariant = (plan: Pick<ItemPlan, 'sizeName' | 'colourName'>): Variant => ({
  sizeName: plan.sizeName,
  colourName: plan.colourName,
  options: [],
});

/** A text that was set, as the artwork it became. */
export type SetText = { readonly artworkId: number; readonly widthMm: number };

/** The texts that pieces of such an item bear, by their order on it; one that stands at two places is named once. */
export const listLetterings = ({
  placements,
}: {
  readonly placements: readonly Pick<Placement, 'lettering'>[];
}): readonly Lettering[] => [
  ...new Map(
    placements.flatMap(({ lettering }) => (lettering ? [[lettering.label, lettering] as const] : [])),
  ).values(),
];

/** Those that are always there first, then those of its options, in their order. */
export const listAllPlacements = ({
  placements,
  details,
}: Pick<ItemPlan, 'placements' | 'details'>): readonly Placement[] => [
  ...placements,
  ...details.options.map((option) => option.placement),
];

/** All texts that pieces of an item may bear, with any of its options. */
export const listAllLetterings = ({ placements, details }: Pick<ItemPlan, 'placements' | 'details'>) =>
  listLetterings({ placements: listAllPlacements({ placements, details }) });

/**
 * With a customer's own texts in the places of the samples. `find`: the artwork that a text became, by the place it is
 * for; null leaves the place out, as it is where nothing is to be said.
 */
export function placeTexts(
  made: Made,
  find: (lettering: Lettering) => (SetText & { readonly text: string }) | null,
): Made {
  return {
    ...made,
    placements: made.placements.flatMap(({ usualWidthMm, ...placement }): MadePlacement[] => {
      if (!placement.lettering) return [{ ...placement, ...(usualWidthMm === undefined ? {} : { usualWidthMm }) }];
      const set = find(placement.lettering);
      return set ? [{ ...placement, artworkId: set.artworkId, widthMm: set.widthMm, text: set.text }] : [];
    }),
  };
}

/** The place that a layer of a piece is at, by its number through all places; undefined where it has not so many. */
export function findPlacementOfLayer(made: Made, layerIndex: number): Made['placements'][number] | undefined {
  let first = 0;
  return made.placements.find(({ vinylIds }) => {
    first += vinylIds.length;
    return layerIndex < first;
  });
}

/** All vinyls that any variant may be made of. */
export function listVinylIds({ placements, details }: Pick<ItemPlan, 'placements' | 'details'>): readonly number[] {
  return [
    ...new Set(
      listAllPlacements({ placements, details })
        .flatMap((placement) => placement.vinylIds)
        .concat(details.variants.flatMap((rule) => rule.swaps.map((swap) => swap.byVinylId))),
    ),
  ];
}
export const listArtworkIds = ({
  placements,
  details,
}: Pick<ItemPlan, 'placements' | 'details'>): readonly number[] => [
  ...new Set(listAllPlacements({ placements, details }).map((placement) => placement.artworkId)),
];
