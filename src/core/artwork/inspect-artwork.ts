// What stands in the way of cutting an artwork from the materials chosen for it, and the step that mends each.

import { colord, extend } from 'colord';
import labPlugin from 'colord/plugins/lab';
import {
  callipersOf,
  computeLength,
  computeRegionArea,
  computeRegionPerimeter,
  intersectRegions,
  uniteRegions,
  type Region,
  type ThinPlace,
} from '../geometry';
import { DETAIL_FLOORS, judgeDetail, type DetailFloor } from './detail-floors';
import { STEP_DEFAULTS, type StepAction } from './prepare/steps';
import type { ResolvedArtwork } from './resolve-artwork';
import type { ArtworkMeasurement, ColourOverlap } from './measurement';
import { isSeam, isStrip } from './stacking';

extend([labPlugin]);

/** What the material of a layer allows. `usableMm` null: as wide as you like. */
export type LayerMaterial = {
  readonly floor: DetailFloor;
  /** Said of this vinyl itself, by its maker or by trials; else it is what its kind ordinarily holds. */
  readonly hasOwnFloor: boolean;
  readonly takesLayers: boolean;
  readonly usableMm: number | null;
  readonly turnable: boolean;
};
export type LayerMaterials = {
  readonly all?: LayerMaterial;
  readonly byLayer?: Readonly<Record<string, LayerMaterial>>;
};

type Remedy = { readonly remedies: readonly StepAction[] };
export type Finding = Remedy &
  (
    | {
        readonly kind: 'thin-strokes' | 'thin-gaps';
        readonly layer: string;
        readonly thinnestMm: number;
        readonly floorMm: number;
        readonly hasOwnFloor: boolean;
        readonly places: readonly ThinPlace[];
        readonly safeWidthMm: number;
        /** The layer would still fit its material at that width. */
        readonly withinReach: boolean;
      }
    | {
        readonly kind: 'too-wide';
        readonly layer: string;
        readonly needsMm: number;
        readonly usableMm: number;
        readonly fitsTurned: boolean;
        readonly shrinkToMm: number;
      }
    | { readonly kind: 'doubled'; readonly layer: string; readonly count: number }
    | { readonly kind: 'crossing'; readonly layer: string; readonly extraMm: number }
    | { readonly kind: 'specks'; readonly layer: string; readonly count: number; readonly underMm2: number }
    | { readonly kind: 'open-paths'; readonly layer: string; readonly count: number }
    | { readonly kind: 'strokes-apart'; readonly count: number }
    | { readonly kind: 'colour-on-colour'; readonly lower: string; readonly upper: string; readonly areaMm2: number }
    | { readonly kind: 'too-thick'; readonly depth: number; readonly areaMm2: number }
    | { readonly kind: 'like-colours'; readonly layer: string; readonly into: string }
  );

/** Usually no more than so many vinyls lie on one another. */
const MOST_LAYERS_THICK = 3;
/** Colours nearer than this are taken for one that was drawn twice (CIEDE2000 ÷ 100). */
const LIKE_COLOURS = 0.04;
const SPECK_MM2 = STEP_DEFAULTS.speckMm2;
/** A measured length longer than its outline by this share and more has lines inside. */
const CROSSING = { share: 0.005, leastMm: 1 } as const;

const ORDINARY: LayerMaterial = {
  floor: DETAIL_FLOORS.smooth,
  hasOwnFloor: false,
  takesLayers: true,
  usableMm: null,
  turnable: true,
};

/** Findings, those that stop the cut first. `measurement` is that of the same artwork, at the same size. */
export function inspectArtwork(
  artwork: ResolvedArtwork,
  measurement: ArtworkMeasurement,
  materials: LayerMaterials = {},
): readonly Finding[] {
  const materialOf = (key: string): LayerMaterial => materials.byLayer?.[key] ?? materials.all ?? ORDINARY;
  return [
    ...inspectStrokes(artwork),
    ...inspectWidth(measurement, materialOf),
    ...inspectStacking(artwork, measurement, materialOf),
    ...inspectDetail(artwork, measurement, materialOf),
    ...inspectLines(artwork, measurement),
    ...inspectColours(measurement),
  ];
}

function inspectStrokes(artwork: ResolvedArtwork): readonly Finding[] {
  return artwork.strokesApart > 0
    ? [{ kind: 'strokes-apart', count: artwork.strokesApart, remedies: [{ kind: 'outline-strokes' }] }]
    : [];
}

function inspectWidth(measurement: ArtworkMeasurement, materialOf: (key: string) => LayerMaterial): readonly Finding[] {
  return measurement.layers
    .filter((layer) => layer.role !== 'guide')
    .flatMap((layer): Finding[] => {
      const { usableMm, turnable, takesLayers } = materialOf(layer.key);
      if (usableMm === null || layer.box.width <= usableMm) return [];
      const fitsTurned = turnable && layer.box.height <= usableMm;
      const shrinkToMm = Math.floor((measurement.widthMm * usableMm) / layer.box.width);
      return [
        {
          kind: 'too-wide',
          layer: layer.key,
          needsMm: layer.box.width,
          usableMm,
          fitsTurned,
          shrinkToMm,
          remedies: [
            ...(fitsTurned ? [{ kind: 'rotate', degrees: 90 } as const] : []),
            { kind: 'size', widthMm: shrinkToMm },
            { kind: 'split', layer: layer.key, mostMm: usableMm, overlapMm: takesLayers ? STEP_DEFAULTS.seamMm : 0 },
          ],
        },
      ];
    });
}

function inspectStacking(
  artwork: ResolvedArtwork,
  measurement: ArtworkMeasurement,
  materialOf: (key: string) => LayerMaterial,
): readonly Finding[] {
  const upperOf = ({ upper }: ColourOverlap) => measurement.layers.find((layer) => layer.key === upper)!;
  const barred = measurement.overlaps.filter(
    (overlap) => !materialOf(overlap.lower).takesLayers && !isSeam(overlap, upperOf(overlap)),
  );
  const findings = barred.map(({ lower, upper, areaMm2 }): Finding => ({
    kind: 'colour-on-colour',
    lower,
    upper,
    areaMm2,
    remedies: [{ kind: 'knock-out', lower, upper, overlapMm: STEP_DEFAULTS.overlapMm }],
  }));
  const { depth, areaMm2, perimeterMm } = measureThickness(artwork);
  const lowest = artwork.layers[0]?.key,
    next = artwork.layers[1]?.key;
  return depth > MOST_LAYERS_THICK && !isStrip({ areaMm2, perimeterMm }) && lowest !== undefined && next !== undefined
    ? [
        ...findings,
        {
          kind: 'too-thick',
          depth,
          areaMm2,
          remedies: [{ kind: 'knock-out', lower: lowest, upper: next, overlapMm: STEP_DEFAULTS.overlapMm }],
        },
      ]
    : findings;
}

/** How many layers lie on one another at the thickest, and over what area more than is usual. */
function measureThickness(artwork: ResolvedArtwork): {
  readonly depth: number;
  readonly areaMm2: number;
  readonly perimeterMm: number;
} {
  const worn = artwork.layers.filter((layer) => layer.role === 'worn');
  if (worn.length <= MOST_LAYERS_THICK) return { depth: worn.length, areaMm2: 0, perimeterMm: 0 };
  // covered[k]: what k + 1 or more layers cover so far.
  const covered: Region[] = [];
  for (const { region } of worn) {
    for (let level = covered.length; level >= 1; level--) {
      const deeper = intersectRegions(covered[level - 1]!, region);
      if (deeper.rings.length > 0)
        covered[level] = uniteRegions([...(covered[level] ? [covered[level]!] : []), deeper]);
    }
    covered[0] = uniteRegions([...(covered[0] ? [covered[0]] : []), region]);
  }
  const beyond = covered[MOST_LAYERS_THICK];
  return {
    depth: covered.length,
    areaMm2: beyond ? computeRegionArea(beyond) : 0,
    perimeterMm: beyond ? computeRegionPerimeter(beyond) : 0,
  };
}

/** Where it is too thin is looked for only in layers whose thinnest place is. */
function inspectDetail(
  artwork: ResolvedArtwork,
  measurement: ArtworkMeasurement,
  materialOf: (key: string) => LayerMaterial,
): readonly Finding[] {
  return artwork.layers.flatMap((layer): Finding[] => {
    const { floor, hasOwnFloor, usableMm, turnable } = materialOf(layer.key);
    const measured = measurement.layers.find(({ key }) => key === layer.key);
    const judge = (kind: 'thin-strokes' | 'thin-gaps', floorMm: number): Finding[] => {
      const thinnest = (kind === 'thin-strokes' ? measured?.thinnestStroke : measured?.thinnestGap) ?? null;
      const judged = thinnest && judgeDetail(thinnest.widthMm, floorMm, artwork.widthMm);
      if (!thinnest || !judged) return [];
      const { safeWidthMm } = judged;
      const calliper = callipersOf(layer.pieces);
      const { places } = kind === 'thin-strokes' ? calliper.measureStrokes(floorMm) : calliper.measureGaps(floorMm);
      const across = turnable ? Math.min(layer.box.width, layer.box.height) : layer.box.width;
      const withinReach =
        judged.withinReach && (usableMm === null || (across * safeWidthMm) / artwork.widthMm <= usableMm);
      return [
        {
          kind,
          layer: layer.key,
          thinnestMm: thinnest.widthMm,
          floorMm,
          hasOwnFloor,
          places,
          safeWidthMm,
          withinReach,
          remedies: withinReach ? [{ kind: 'size', widthMm: safeWidthMm }] : [],
        },
      ];
    };
    return [...judge('thin-strokes', floor.strokeMm), ...judge('thin-gaps', floor.gapMm)];
  });
}

/** Weed boxes and marks are lines of their own: they cross nothing. */
function measureExtras(artwork: ResolvedArtwork, key: string): number {
  const extras = artwork.layers.find((layer) => layer.key === key)?.extras ?? [];
  return extras.reduce((sum, line) => sum + computeLength(line, true), 0);
}

function inspectLines(artwork: ResolvedArtwork, measurement: ArtworkMeasurement): readonly Finding[] {
  return measurement.layers.flatMap((layer): Finding[] => {
    const extraMm = layer.cutLengthMm - layer.outlineLengthMm - measureExtras(artwork, layer.key);
    const specks = layer.bitAreasMm2.filter((area) => area < SPECK_MM2).length;
    return [
      ...(layer.doubledContours > 0
        ? [
            {
              kind: 'doubled',
              layer: layer.key,
              count: layer.doubledContours,
              remedies: [{ kind: 'remove-doubled', withinMm: STEP_DEFAULTS.doubledMm }],
            } as const,
          ]
        : []),
      ...(layer.doubledContours === 0 && extraMm > layer.outlineLengthMm * CROSSING.share && extraMm > CROSSING.leastMm
        ? [{ kind: 'crossing', layer: layer.key, extraMm, remedies: [{ kind: 'unite' }] } as const]
        : []),
      ...(specks > 0
        ? [
            {
              kind: 'specks',
              layer: layer.key,
              count: specks,
              underMm2: SPECK_MM2,
              remedies: [{ kind: 'remove-specks', underMm2: SPECK_MM2 }],
            } as const,
          ]
        : []),
      ...(layer.openPaths > 0
        ? [
            {
              kind: 'open-paths',
              layer: layer.key,
              count: layer.openPaths,
              remedies: [
                { kind: 'open-paths', how: 'close', widthMm: 1 },
                { kind: 'open-paths', how: 'stroke', widthMm: 1 },
                { kind: 'open-paths', how: 'leave-out', widthMm: 1 },
              ],
            } as const,
          ]
        : []),
    ];
  });
}

function inspectColours(measurement: ArtworkMeasurement): readonly Finding[] {
  const { layers } = measurement;
  return layers.flatMap((layer, index) =>
    layers.slice(index + 1).flatMap((other): Finding[] =>
      layer.colour !== other.colour && colord(layer.colour).delta(other.colour) < LIKE_COLOURS
        ? [
            {
              kind: 'like-colours',
              layer: other.key,
              into: layer.key,
              remedies: [{ kind: 'merge', layer: other.key, into: layer.key }],
            },
          ]
        : [],
    ),
  );
}
