// The layers an item is made of, with their measures and materials, and what the cost is calculated from.

import type { CostLayer, ItemSpec } from './item-cost';
import { type ArtworkMeasurement, getWornLayers, scaleMeasurement } from '../artwork';
import type { Vinyl, Blank } from '../materials';
import { type Prices, keyOf } from '../stock';
import { getPackedCopies, type Packing, type PackedLayer } from './packing';
import type { Made, ItemPlan, TypedSeconds } from './item-plan';
import type { OwnMinutes } from './own-minutes';
import { type Figure, figure } from '../units';
import type { WearPrices } from './wear-line';

/** One layer of one placement; a piece's layers are numbered through all its placements. */
export type MadeLayer = CostLayer & {
  readonly name: string;
  readonly artworkId: number;
  readonly artworkName: string;
  readonly placement: number;
  readonly layerIndex: number;
  readonly widthMm: number;
  readonly seenThrough: boolean;
  readonly place: string;
};

export type ArtworkFacts = {
  readonly name: string;
  readonly measurement: ArtworkMeasurement;
  readonly layerNames: readonly string[];
};

/** Where the things that an item names are looked up. */
export type ItemMaterials = {
  readonly vinyl: (id: number) => Vinyl | undefined;
  readonly artwork: (id: number) => ArtworkFacts | undefined;
  /** What was paid and is offered, by the key of a thing. */
  readonly prices?: (key: string) => Prices | undefined;
  /** How close true shapes of a layer lie. */
  readonly packings?: (layer: Omit<PackedLayer, 'artworkVersion'>) => readonly Packing[];
};

/**
 * The layers of a made item in cutting order, with their layouts for as many as are made in one go; a layer whose artwork or
 * vinyl is nowhere is left out.
 */
export function listMadeLayers(
  { placements }: Pick<Made, 'placements'>,
  materials: ItemMaterials,
  madeAtOnce = 1,
): readonly MadeLayer[] {
  const copies = getPackedCopies(madeAtOnce);
  return placements.flatMap((placement, at): readonly MadeLayer[] => {
    const artwork = materials.artwork(placement.artworkId);
    if (!artwork) return [];
    return getWornLayers(scaleMeasurement(artwork.measurement, placement.widthMm)).flatMap(
      (measurement, layerIndex): readonly MadeLayer[] => {
        const vinyl = materials.vinyl(placement.vinylIds[layerIndex] ?? -1);
        const { artworkId, widthMm, usualWidthMm } = placement;
        const packings = materials.packings?.({ artworkId, layerIndex, widthMm, usualWidthMm, copies }) ?? [];
        const prices = vinyl && materials.prices?.(keyOf({ kind: 'vinyl', vinylId: vinyl.id }));
        return vinyl
          ? [
              {
                measurement,
                vinyl,
                name: nameLayer(placement, artwork.layerNames[layerIndex] ?? measurement.colour, layerIndex),
                artworkId: placement.artworkId,
                artworkName: artwork.name,
                placement: at,
                layerIndex,
                widthMm: placement.widthMm,
                seenThrough: placement.seenThrough,
                place: placement.place,
                ...(prices ? { prices } : {}),
                ...(packings.length > 0 ? { packings } : {}),
              },
            ]
          : [];
      },
    );
  });
}

/** As its drawing names it; of a customer's own text what it says. */
function nameLayer({ lettering, text }: Made['placements'][number], name: string, layerIndex: number): string {
  if (!lettering || text === undefined) return name;
  const said = `${lettering.label} “${text}”`;
  return layerIndex === 0 ? said : `${said}, ${name}`;
}

/**
 * What the shop has logged of an item: its minutes, how often it went wrong, and what blades and mats have really cost.
 */
export type ItemEvidence = { readonly minutes?: OwnMinutes; readonly spoilage?: Figure; readonly wear?: WearPrices };

/** What a made item is costed by. */
export function toItemSpec(input: {
  readonly plan: ItemPlan;
  readonly made: Made;
  readonly blank: Blank;
  readonly materials: ItemMaterials;
  readonly evidence?: ItemEvidence;
}): ItemSpec {
  const { plan, made, blank, materials, evidence = {} } = input;
  const { extras, stones, packaging, priceBasis, offerIds, minutes } = plan.details;
  const blankPrices = materials.prices?.(
    keyOf({ kind: 'blank', blankId: blank.id, sizeName: made.sizeName, colourName: made.colourName }),
  );
  return {
    blank,
    sizeName: made.sizeName,
    layers: listMadeLayers(made, materials, plan.quantity),
    areaBasis: plan.areaBasis,
    artwork: { price: plan.artworkPrice, run: plan.artworkRun },
    priceBasis,
    offerIds,
    extras,
    stones,
    packaging,
    ...(made.recipe ? { recipe: made.recipe } : {}),
    ...(blankPrices ? { blankPrices } : {}),
    minutes: mergeMinutes(minutes, evidence.minutes ?? {}),
    ...(evidence.spoilage ? { spoilage: evidence.spoilage } : {}),
    ...(evidence.wear ? { wear: evidence.wear } : {}),
  };
}

/** What is typed wins over what is learned. */
function mergeMinutes(typed: TypedSeconds, learned: OwnMinutes): OwnMinutes {
  const own = (label: string, seconds: number | null, known: Figure | undefined): Figure | undefined =>
    seconds === null ? known : figure(label, seconds, 's', 'typed', known ? { parts: [known] } : {});
  const cut = own('Cut, your hands, as typed', typed.cut, learned.cut),
    weed = own('Weed, as typed', typed.weed, learned.weed),
    press = own('Press, as typed', typed.press, learned.press);
  return {
    ...(cut ? { cut } : {}),
    ...(weed ? { weed } : {}),
    ...(press ? { press } : {}),
    ...(learned.cutting ? { cutting: learned.cutting } : {}),
  };
}
