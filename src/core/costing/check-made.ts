// What stands in the way of making an item well, with its own vinyls at its own widths on its own blank: what the desk
// finds in a drawing, found where it is sold, ordered and made.

import {
  getWornLayers,
  isSeam,
  judgeDetail,
  scaleMeasurement,
  type ArtworkMeasurement,
  type LayerMeasurement,
} from '../artwork';
import {
  checkPlacement,
  findNamedArea,
  getDetailFloor,
  getKindFacts,
  type Blank,
  type OwnPlace,
  type PlacementFault,
  type PrintArea,
  type ShopFigures,
  type Vinyl,
} from '../materials';
import { getAcross } from './layer-areas';
import type { ItemMaterials } from './made-layers';
import type { Made } from './item-plan';

/** `layer` is its name; lengths in mm. */
export type MadeFinding =
  | { readonly kind: 'strokes-apart'; readonly artwork: string; readonly count: number }
  | {
      readonly kind: 'wider-than-vinyl';
      readonly layer: string;
      readonly vinyl: string;
      readonly needsMm: number;
      readonly usableMm: number;
    }
  | {
      readonly kind: 'stacking';
      readonly lower: string;
      readonly upper: string;
      readonly lowerVinyl: string;
      readonly upperVinyl: string;
      /** Which of the two does not allow it. */
      readonly barred: 'lower' | 'upper';
      readonly areaMm2: number;
    }
  | { readonly kind: 'puff-early'; readonly layer: string; readonly vinyl: string; readonly after: string }
  | { readonly kind: 'off-the-area'; readonly area: PrintArea; readonly fault: PlacementFault }
  | {
      readonly kind: 'too-fine';
      readonly part: 'stroke' | 'gap';
      readonly layer: string;
      readonly vinyl: string;
      readonly thinnestMm: number;
      readonly floorMm: number;
      /** Of the whole artwork, from which on it holds. */
      readonly safeWidthMm: number;
      /** That width is still the same design: not more than three times as wide. */
      readonly withinReach: boolean;
    };

/** The strongest first: what spoils a piece for sure before what may. */
const STRENGTH: readonly MadeFinding['kind'][] = [
  'strokes-apart',
  'wider-than-vinyl',
  'stacking',
  'puff-early',
  'off-the-area',
  'too-fine',
];

/** At which station a finding is in the way. */
export const FINDING_STATIONS: Readonly<Record<MadeFinding['kind'], 'cut' | 'weed' | 'press'>> = {
  'strokes-apart': 'cut',
  'wider-than-vinyl': 'cut',
  stacking: 'press',
  'puff-early': 'press',
  'off-the-area': 'press',
  'too-fine': 'weed',
};

type CheckInput = {
  readonly made: Pick<Made, 'placements' | 'sizeName'>;
  readonly materials: Pick<ItemMaterials, 'artwork' | 'vinyl'>;
  readonly blank: Pick<Blank, 'areas'>;
  readonly shop: Pick<ShopFigures, 'cutterEdgeMm' | 'weedMarginMm'>;
};

/** A layer where it goes, with what it is cut from. */
type PlacedLayer = { readonly measurement: LayerMeasurement; readonly name: string; readonly vinyl: Vinyl };

/** Findings of a made item, the strongest first. What it names and is nowhere is left out. */
export function checkMade({ made, materials, blank, shop }: CheckInput): readonly MadeFinding[] {
  const placed = made.placements.flatMap((placement) => {
    const artwork = materials.artwork(placement.artworkId);
    if (!artwork) return [];
    const measurement = scaleMeasurement(artwork.measurement, placement.widthMm);
    const layers = getWornLayers(measurement).flatMap((layer, index): PlacedLayer[] => {
      const vinyl = materials.vinyl(placement.vinylIds[index] ?? -1);
      return vinyl ? [{ measurement: layer, name: artwork.layerNames[index] ?? layer.colour, vinyl }] : [];
    });
    return [{ placement, artwork, measurement, layers }];
  });
  const findings = placed.flatMap(({ placement, artwork, measurement, layers }): readonly MadeFinding[] => [
    ...(measurement.strokesApart > 0
      ? [{ kind: 'strokes-apart', artwork: artwork.name, count: measurement.strokesApart } as const]
      : []),
    ...layers.flatMap((layer) => checkWidth(layer, shop)),
    ...checkStacking(measurement, layers),
    ...checkArea(measurement, findNamedArea(blank.areas, made.sizeName, placement.place), placement.placing),
    ...layers.flatMap((layer) => checkDetail(layer, measurement.widthMm)),
  ]);
  const puff = checkPuff(placed.map(({ placement, layers }) => ({ place: placement.place, layers })));
  return [...findings, ...puff].sort((a, b) => STRENGTH.indexOf(a.kind) - STRENGTH.indexOf(b.kind));
}

/** With its margins, as a cutter has to take it. */
function checkWidth(layer: PlacedLayer, shop: CheckInput['shop']): readonly MadeFinding[] {
  const { name, vinyl } = layer;
  const usableMm = vinyl.rollWidthMm - 2 * shop.cutterEdgeMm;
  const needsMm = getAcross(layer, shop.weedMarginMm);
  return needsMm > usableMm ? [{ kind: 'wider-than-vinyl', layer: name, vinyl: vinyl.name, needsMm, usableMm }] : [];
}

function checkStacking(measurement: ArtworkMeasurement, layers: readonly PlacedLayer[]): readonly MadeFinding[] {
  const layerOf = (key: string) => layers.find((layer) => layer.measurement.key === key);
  return measurement.overlaps.flatMap((overlap): MadeFinding[] => {
    const [lower, upper] = [layerOf(overlap.lower), layerOf(overlap.upper)];
    if (!lower || !upper || isSeam(overlap, upper.measurement)) return [];
    const barred = !lower.vinyl.details.takesLayers ? 'lower' : !upper.vinyl.details.liesOnVinyl ? 'upper' : null;
    if (barred === null) return [];
    return [
      {
        kind: 'stacking',
        lower: lower.name,
        upper: upper.name,
        lowerVinyl: lower.vinyl.name,
        upperVinyl: upper.vinyl.name,
        barred,
        areaMm2: overlap.areaMm2,
      },
    ];
  });
}

/** Puff is pressed last at its place, and never again. */
function checkPuff(
  placed: readonly { readonly place: string; readonly layers: readonly PlacedLayer[] }[],
): readonly MadeFinding[] {
  return placed.flatMap(({ place }, at): MadeFinding[] => {
    if (placed.findIndex((one) => one.place === place) !== at) return [];
    const hot = placed
      .filter((one) => one.place === place)
      .flatMap(({ layers }) => layers)
      .filter(({ vinyl }) => getKindFacts(vinyl.kind).family === 'heat');
    return hot.flatMap(({ vinyl, name }, index): MadeFinding[] => {
      const after = hot.slice(index + 1).find((later) => later.vinyl.kind !== 'puff');
      return vinyl.kind === 'puff' && after
        ? [{ kind: 'puff-early', layer: name, vinyl: vinyl.name, after: after.name }]
        : [];
    });
  });
}

const checkArea = (
  measurement: ArtworkMeasurement,
  area: PrintArea | null,
  own?: OwnPlace | null,
): readonly MadeFinding[] =>
  area
    ? checkPlacement(area, measurement.widthMm, measurement.heightMm, own ?? undefined).map((fault) => ({
        kind: 'off-the-area',
        area,
        fault,
      }))
    : [];

function checkDetail({ measurement, name, vinyl }: PlacedLayer, widthMm: number): readonly MadeFinding[] {
  const floor = getDetailFloor(vinyl);
  const judge = (part: 'stroke' | 'gap', thinnestMm: number | undefined, floorMm: number): readonly MadeFinding[] => {
    const judged = thinnestMm === undefined ? null : judgeDetail(thinnestMm, floorMm, widthMm);
    return thinnestMm === undefined || !judged
      ? []
      : [{ kind: 'too-fine', part, layer: name, vinyl: vinyl.name, thinnestMm, floorMm, ...judged }];
  };
  return [
    ...judge('stroke', measurement.thinnestStroke?.widthMm, floor.strokeMm),
    ...judge('gap', measurement.thinnestGap?.widthMm, floor.gapMm),
  ];
}
