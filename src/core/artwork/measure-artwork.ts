// The figures of an artwork at a size: area, knife path, pieces, cavities, boxes. No judgement of them.

import {
  computeLength,
  computeRegionArea,
  computeRegionPerimeter,
  computeRingArea,
  countSharpCorners,
  intersectRegions,
  boxesMeet,
  type ThinPlace,
} from '../geometry';
import { succeed, type Result } from '../units';
import type { Artwork, MeasureProblem } from './artwork';
import { computeChirality } from './chirality';
import { computeSafeWidth, DETAIL_CLASSES, DETAIL_FLOORS, type DetailClass } from './detail-floors';
import { findDoubledContours } from './doubled-contours';
import {
  resolveArtwork,
  type ArtworkSize,
  type ResolvedArtwork,
  type ResolvedLayer,
  type ResolveOptions,
} from './resolve-artwork';
import { MEASUREMENT_EDITION, type LayerMeasurement, type ColourOverlap, type ArtworkMeasurement } from './measurement';
import { FINE_WIDTHS_MM, measureThinness, type ThinnessOptions } from './measure-thinness';

/** A corner turns by more than this; flattened curves turn far less from step to step. */
const SHARP_CORNER_DEGREES = 30;
/** Overlaps smaller than this come from rounding, mm². */
const LEAST_OVERLAP_MM2 = 0.01;

/**
 * The measurement at the given size, all in mm. Files are read at 96 units to the inch; curves are flattened to 0.005
 * mm or finer. Problems as `resolveArtwork`. Costs about n·log n in the segments.
 */
export function measureArtwork(
  artwork: Artwork,
  size: ArtworkSize,
  options: ResolveOptions = {},
): Result<ArtworkMeasurement, MeasureProblem> {
  const resolved = resolveArtwork(artwork, size, options);
  return resolved.ok ? succeed(measureResolved(resolved.value)) : resolved;
}

export function measureResolved(artwork: ResolvedArtwork, options: ThinnessOptions = {}): ArtworkMeasurement {
  const layers = artwork.layers.map((layer) => measureLayer(layer, options));
  const safeWidthOf = (name: DetailClass) =>
    computeSafeWidth({ widthMm: artwork.widthMm, layers }, DETAIL_FLOORS[name]);
  return {
    widthMm: artwork.widthMm,
    heightMm: artwork.heightMm,
    layers,
    segments: artwork.segments,
    strokesApart: artwork.strokesApart,
    overlaps: findOverlaps(artwork.layers),
    chirality: computeChirality(artwork.layers),
    edition: MEASUREMENT_EDITION,
    safeWidthsMm: Object.fromEntries(DETAIL_CLASSES.map((name) => [name, safeWidthOf(name)])) as Record<
      DetailClass,
      number | null
    >,
  };
}

/** Only what is worn lies on one another. */
function findOverlaps(all: readonly ResolvedLayer[]): readonly ColourOverlap[] {
  const layers = all.filter((layer) => layer.role === 'worn');
  return layers.flatMap((lower, index) =>
    layers.slice(index + 1).flatMap((upper): ColourOverlap[] => {
      if (!boxesMeet(lower.box, upper.box)) return [];
      const both = intersectRegions(lower.region, upper.region);
      const areaMm2 = computeRegionArea(both);
      const perimeterMm = computeRegionPerimeter(both);
      return areaMm2 > LEAST_OVERLAP_MM2 ? [{ lower: lower.key, upper: upper.key, areaMm2, perimeterMm }] : [];
    }),
  );
}

function measureLayer(layer: ResolvedLayer, options: ThinnessOptions): LayerMeasurement {
  let netMm2 = 0,
    outerLengthMm = 0,
    cavityLengthMm = 0,
    cavities = 0,
    sharpCorners = 0;
  const bitAreasMm2: number[] = [];
  const cavityAreasMm2: number[] = [];
  for (const piece of layer.pieces) {
    let pieceMm2 = computeRingArea(piece.outer);
    outerLengthMm += computeLength(piece.outer, true);
    sharpCorners += countSharpCorners(piece.outer, SHARP_CORNER_DEGREES);
    for (const cavity of piece.cavities) {
      const cavityMm2 = computeRingArea(cavity);
      pieceMm2 -= cavityMm2;
      cavityLengthMm += computeLength(cavity, true);
      sharpCorners += countSharpCorners(cavity, SHARP_CORNER_DEGREES);
      bitAreasMm2.push(round(cavityMm2));
      cavityAreasMm2.push(round(cavityMm2));
    }
    cavities += piece.cavities.length;
    netMm2 += pieceMm2;
    bitAreasMm2.push(round(pieceMm2));
  }
  const thinness = measureThinness(layer.pieces, options);
  return {
    key: layer.key,
    colour: layer.colour,
    role: layer.role,
    netMm2,
    cutLengthMm: layer.drawnLengthMm,
    outlineLengthMm: outerLengthMm + cavityLengthMm,
    outerLengthMm,
    contours: layer.knife.length + layer.extras.length,
    pieces: layer.pieces.length,
    cavities,
    sharpCorners,
    openPaths: layer.openPaths,
    zeroLengthPaths: layer.zeroLengthPaths,
    doubledContours: findDoubledContours(layer.knife).length,
    thinnestStroke: thinness.thinnestStroke,
    thinnestGap: thinness.thinnestGap,
    box: layer.box,
    fineLengths: thinness.fineLengthsMm.map((lengthMm, at) => ({
      underMm: FINE_WIDTHS_MM[at]!,
      lengthMm: round(lengthMm),
    })),
    bitAreasMm2: bitAreasMm2.sort((a, b) => a - b),
    cavityAreasMm2: cavityAreasMm2.sort((a, b) => a - b),
  };
}

const round = (area: number): number => Math.round(area * 1000) / 1000;

/** The same artwork at another width: lengths grow with it, areas with its square, counts stay. */
export function scaleMeasurement(measurement: ArtworkMeasurement, widthMm: number): ArtworkMeasurement {
  const k = widthMm / measurement.widthMm;
  const k2 = k * k;
  const scalePlace = (place: ThinPlace | null) =>
    place && { widthMm: place.widthMm * k, x: place.x * k, y: place.y * k };
  return {
    ...measurement,
    widthMm,
    heightMm: measurement.heightMm * k,
    overlaps: measurement.overlaps.map((overlap) => ({
      ...overlap,
      areaMm2: overlap.areaMm2 * k2,
      perimeterMm: overlap.perimeterMm * k,
    })),
    layers: measurement.layers.map((layer) => ({
      ...layer,
      netMm2: layer.netMm2 * k2,
      cutLengthMm: layer.cutLengthMm * k,
      outlineLengthMm: layer.outlineLengthMm * k,
      outerLengthMm: layer.outerLengthMm * k,
      thinnestStroke: scalePlace(layer.thinnestStroke),
      thinnestGap: scalePlace(layer.thinnestGap),
      box: { x: layer.box.x * k, y: layer.box.y * k, width: layer.box.width * k, height: layer.box.height * k },
      fineLengths: layer.fineLengths.map(({ underMm, lengthMm }) => ({ underMm: underMm * k, lengthMm: lengthMm * k })),
      bitAreasMm2: layer.bitAreasMm2.map((area) => area * k2),
      cavityAreasMm2: layer.cavityAreasMm2.map((area) => area * k2),
    })),
  };
}

/** The layers that an item is made of: the first ones, so that their indices are those of all layers. */
export const getWornLayers = (measurement: ArtworkMeasurement): readonly LayerMeasurement[] =>
  measurement.layers.filter((layer) => layer.role === 'worn');

/** Outline of strokes thinner than `underMm`, mm: between two widths that were measured it grows evenly. */
export function getFineLength(layer: Pick<LayerMeasurement, 'fineLengths'>, underMm: number): number {
  let before = { underMm: 0, lengthMm: 0 };
  for (const step of layer.fineLengths) {
    if (step.underMm >= underMm)
      return (
        before.lengthMm +
        ((step.lengthMm - before.lengthMm) * (underMm - before.underMm)) / (step.underMm - before.underMm)
      );
    before = step;
  }
  return before.lengthMm;
}
