// An item as it stands in its form, and as core reckons with it.

import type { Placing } from '../../core/placing';
import type { PressRecipe } from '../../core/pressing';
import {
  chooseVinyls,
  findMaterials,
  PLAIN_DETAILS,
  startPlacement,
  type AreaBasis,
  type ItemMaterials,
  type ItemPlan,
  type Placement,
  type TypedSeconds,
} from '../../core/costing';
import type { Lettering } from '../../core/artwork';
import type { PriceBasis } from '../../core/stock';
import { minor } from '../../core/units';
import type { ArtworkView } from '../../views/artwork';
import type { ItemEditorView } from '../../views/items';

export type PlacementForm = {
  artworkId: number;
  place: string;
  widthMm: number;
  /** By size; empty where it is as wide as any. */ widths: Record<string, number | null>;
  seenThrough: boolean;
  vinylIds: number[];
  /** A customer's own text, of which the artwork is a sample; none for a drawing. */
  lettering?: Lettering | null;
  /** The seller’s own measures there; none where the words tell. */
  placing?: Placing | null;
};
/** How it is pressed; `ownHeat` null for what makers ask for. */
type RecipeForm = Omit<PressRecipe, 'ownHeat'> & { ownHeat: { temperatureC: number; seconds: number } | null };
type VariantForm = {
  sizeName: string | null;
  colourName: string | null;
  price: number | null;
  swaps: { vinylId: number; byVinylId: number }[];
};
export type ItemForm = {
  name: string;
  blankId: number;
  sizeName: string;
  colourName: string;
  areaBasis: AreaBasis;
  quantity: number;
  price: number;
  artworkPrice: number;
  artworkRun: number;
  placements: PlacementForm[];
  details: {
    options: { label: string; surcharge: number; placement: PlacementForm }[];
    variants: VariantForm[];
    extras: { label: string; price: number }[];
    stones: {
      label: string;
      diameterMm: number;
      count: number;
      grossPrice: number;
      templatePrice: number;
      templateUses: number;
      tapePrice: number;
    }[];
    packaging: number | null;
    othersAsk: number | null;
    negative: { name: string; layer: number; price: number; ownCost: number } | null;
    minutes: { -readonly [Station in keyof TypedSeconds]: number | null };
    priceBasis: PriceBasis;
    offerIds: number[];
    recipe: RecipeForm;
  };
};

/** A new placement as a form holds it, in the vinyls nearest to its colours: with one vinyl on the shelf at least. */
export const startForm = (
  artwork: ArtworkView,
  { vinyls, blanks }: ItemEditorView['shelf'],
  blankId: number,
  place: string,
): PlacementForm => {
  const blank = blanks.find((candidate) => candidate.id === Number(blankId));
  return structuredClone(
    startPlacement(artwork, chooseVinyls(artwork, vinyls, blank), place),
  ) as unknown as PlacementForm;
};

export function startValues(view: ItemEditorView): ItemForm {
  const { item, artworks, shelf } = view;
  if (item) {
    const { id: _id, version: _version, archived: _archived, acceptedCost: _acceptedCost, ...fields } = item;
    // A form writes into what it is given.
    return structuredClone(fields) as unknown as ItemForm;
  }
  const artwork = artworks.find((candidate) => candidate.id === view.startArtworkId) ?? artworks[0]!;
  const blank = shelf.blanks[0]!;
  return {
    name: artwork.name,
    blankId: blank.id,
    sizeName: blank.sizes[0]?.name ?? '',
    colourName: blank.colours[0]?.name ?? '',
    areaBasis: 'used',
    quantity: 1,
    price: 0,
    artworkPrice: 0,
    artworkRun: 1,
    placements: [startForm(artwork, shelf, blank.id, 'front, centred')],
    details: structuredClone(PLAIN_DETAILS) as unknown as ItemForm['details'],
  };
}

/** What is no number yet counts for nothing. */
const toMoney = (value: unknown) => minor(Number.isSafeInteger(value) && (value as number) > 0 ? (value as number) : 0);
const toCount = (value: unknown) => (Number.isInteger(Number(value)) && Number(value) >= 1 ? Number(value) : 1);
/** Null for a field that is empty, or holds what is no amount. */
const toAmount = (value: unknown) => (typeof value === 'number' && Number.isFinite(value) && value >= 0 ? value : null);

const toPlacement = ({ widths, ...placement }: PlacementForm): Placement => ({
  ...placement,
  artworkId: Number(placement.artworkId),
  widthMm: Number(placement.widthMm),
  vinylIds: placement.vinylIds.map(Number),
  widths: Object.fromEntries(
    Object.entries(widths).flatMap(([size, width]) => (toAmount(width) ? [[size, Number(width)]] : [])),
  ),
});

/** An own heat that is not typed whole counts for nothing yet. */
const toRecipe = ({ ownHeat, ...recipe }: RecipeForm): PressRecipe => ({
  ...recipe,
  ownHeat:
    ownHeat && toAmount(ownHeat.temperatureC) && toAmount(ownHeat.seconds)
      ? { temperatureC: Number(ownHeat.temperatureC), seconds: Number(ownHeat.seconds) }
      : null,
});

export function toPlan({ placements, details, ...values }: ItemForm): ItemPlan {
  return {
    ...values,
    blankId: Number(values.blankId),
    price: toMoney(values.price),
    artworkPrice: toMoney(values.artworkPrice),
    artworkRun: toCount(values.artworkRun),
    quantity: toCount(values.quantity),
    placements: placements.map(toPlacement),
    details: {
      options: details.options.map((option) => ({
        label: option.label,
        surcharge: toMoney(option.surcharge),
        placement: toPlacement(option.placement),
      })),
      variants: details.variants.map((rule) => ({
        sizeName: rule.sizeName || null,
        colourName: rule.colourName || null,
        price: toAmount(rule.price) === null ? null : toMoney(rule.price),
        swaps: rule.swaps.map((swap) => ({ vinylId: Number(swap.vinylId), byVinylId: Number(swap.byVinylId) })),
      })),
      extras: details.extras.map((extra) => ({ label: extra.label || 'Besides', price: toMoney(extra.price) })),
      stones: details.stones.map((field) => ({
        label: field.label || 'stones',
        diameterMm: Number(field.diameterMm),
        count: toCount(field.count),
        grossPrice: toMoney(field.grossPrice),
        templatePrice: toMoney(field.templatePrice),
        templateUses: toCount(field.templateUses),
        tapePrice: toMoney(field.tapePrice),
      })),
      packaging: toAmount(details.packaging) === null ? null : toMoney(details.packaging),
      othersAsk: toAmount(details.othersAsk) === null ? null : toMoney(details.othersAsk),
      negative: details.negative && {
        name: details.negative.name || 'The negative',
        layer: Number(details.negative.layer),
        price: toMoney(details.negative.price),
        ownCost: toMoney(details.negative.ownCost),
      },
      minutes: {
        cut: toAmount(details.minutes.cut),
        weed: toAmount(details.minutes.weed),
        press: toAmount(details.minutes.press),
      },
      priceBasis: details.priceBasis,
      offerIds: details.offerIds.map(Number),
      recipe: toRecipe(details.recipe),
    },
  };
}

/** Where core looks up what an item names. */
export const toMaterials = ({
  shelf,
  ...lists
}: Pick<ItemEditorView, 'artworks' | 'prices' | 'packings'> & {
  readonly shelf: Pick<ItemEditorView['shelf'], 'vinyls'>;
}): ItemMaterials => findMaterials({ ...lists, vinyls: shelf.vinyls });
