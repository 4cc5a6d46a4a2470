// The figures of an artwork at a size: area, knife path, pieces, cavities, boxes. No judgement of them.

import { computeLength, computeRingArea, countSharpCorners, type Box } from '../geometry';
import { succeed, type Result } from '../units';
import type { Artwork, MeasureProblem } from './artwork';
import { resolveArtwork, type ArtworkSize, type ResolvedArtwork, type ResolvedLayer } from './resolve-artwork';

export type LayerMeasurement = {
  readonly colour: string;
  /** Area that stays on the blank: the union of the layer's shapes, holes out. */
  readonly netMm2: number;
  /** Every line the knife follows, as drawn: shapes that overlap or lie doubled count each. */
  readonly cutLengthMm: number;
  /** The same after the layer's shapes are united: outer rings and cavities. */
  readonly outlineLengthMm: number;
  /** Outer rings only: what is weeded round from outside. */
  readonly outerLengthMm: number;
  /** Contours as drawn: the knife is lifted once for each. */
  readonly contours: number;
  readonly pieces: number;
  readonly cavities: number;
  readonly sharpCorners: number;
  /** Outer box in mm, from the top left corner of the whole artwork. */
  readonly box: Box;
  /** Area of each piece and each cavity, smallest first, mm²: how many are tiny depends on the size it is cut at. */
  readonly bitAreasMm2: readonly number[];
};

export type ArtworkMeasurement = { readonly widthMm: number; readonly heightMm: number; readonly layers: readonly LayerMeasurement[]; readonly segments: number };

/** A corner turns by more than this; flattened curves turn far less from step to step. */
const SHARP_CORNER_DEGREES = 30;

/** The measurement at the given size, all in mm. Problems as `resolveArtwork`. Costs about n·log n in the segments. */
export function measureArtwork(artwork: Artwork, size: ArtworkSize): Result<ArtworkMeasurement, MeasureProblem> {
  const resolved = resolveArtwork(artwork, size);
  return resolved.ok ? succeed(measureResolved(resolved.value)) : resolved;
}

export function measureResolved(artwork: ResolvedArtwork): ArtworkMeasurement {
  return { widthMm: artwork.widthMm, heightMm: artwork.heightMm, layers: artwork.layers.map(measureLayer), segments: artwork.segments };
}

function measureLayer(layer: ResolvedLayer): LayerMeasurement {
  let netMm2 = 0, outerLengthMm = 0, cavityLengthMm = 0, cavities = 0, sharpCorners = 0;
  const bitAreasMm2: number[] = [];
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
    }
    cavities += piece.cavities.length;
    netMm2 += pieceMm2;
    bitAreasMm2.push(round(pieceMm2));
  }
  return {
    colour: layer.colour, netMm2, cutLengthMm: layer.drawnLengthMm, outlineLengthMm: outerLengthMm + cavityLengthMm, outerLengthMm, contours: layer.drawnContours,
    pieces: layer.pieces.length, cavities, sharpCorners, box: layer.box, bitAreasMm2: bitAreasMm2.sort((a, b) => a - b),
  };
}

const round = (area: number): number => Math.round(area * 1000) / 1000;

/** The same artwork at another width: lengths grow with it, areas with its square, counts stay. */
export function scaleMeasurement(measurement: ArtworkMeasurement, widthMm: number): ArtworkMeasurement {
  const k = widthMm / measurement.widthMm;
  const k2 = k * k;
  return {
    widthMm,
    heightMm: measurement.heightMm * k,
    segments: measurement.segments,
    layers: measurement.layers.map((layer) => ({
      ...layer,
      netMm2: layer.netMm2 * k2, cutLengthMm: layer.cutLengthMm * k, outlineLengthMm: layer.outlineLengthMm * k, outerLengthMm: layer.outerLengthMm * k,
      box: { x: layer.box.x * k, y: layer.box.y * k, width: layer.box.width * k, height: layer.box.height * k },
      bitAreasMm2: layer.bitAreasMm2.map((area) => area * k2),
    })),
  };
}

/** Pieces and cavities smaller than `limitMm2`. */
export function countTinyBits(layer: LayerMeasurement, limitMm2: number): number {
  const first = layer.bitAreasMm2.findIndex((area) => area >= limitMm2);
  return first === -1 ? layer.bitAreasMm2.length : first;
}
