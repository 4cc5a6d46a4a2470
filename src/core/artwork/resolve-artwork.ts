// Brings an artwork to its real size as plain polygons: flattened, each shape filled by its own rule, clipped, and
// united within its colour. Everything that is measured or shown comes from here.

import { boundPoints, composeMatrices, computeLength, computeRingArea, fillRegion, flattenContour, getRings, intersectRegions, scaling, splitPieces, transformContour, translation, uniteBoxes, uniteRegions, type Box, type Matrix, type Piece, type Point, type Polyline, type Region, type Segment } from '../geometry';
import { fail, succeed, type Result } from '../units';
import { WIDTH_RANGE_MM, type Artwork, type ArtworkLayer, type MeasureProblem, type Shape } from './artwork';

/** One of the two decides; the other follows in proportion. */
export type ArtworkSize = { readonly widthMm: number; readonly heightMm?: undefined } | { readonly heightMm: number; readonly widthMm?: undefined };

export type ResolvedLayer = {
  readonly colour: string;
  readonly pieces: readonly Piece[];
  /** Length of every contour as drawn, overlapping ones each counted, mm. */
  readonly drawnLengthMm: number;
  readonly drawnContours: number;
  readonly box: Box;
};
/** Coordinates in mm from the top left corner of the artwork's outer box. */
export type ResolvedArtwork = { readonly widthMm: number; readonly heightMm: number; readonly layers: readonly ResolvedLayer[]; readonly segments: number };

export const SEGMENT_LIMIT = 400_000;

/** The artwork as polygons at the given size. Problems: width-out-of-range, too-many-segments, nothing-to-cut. */
export function resolveArtwork(artwork: Artwork, size: ArtworkSize): Result<ResolvedArtwork, MeasureProblem> {
  const wanted = size.widthMm ?? size.heightMm;
  if (!(wanted >= WIDTH_RANGE_MM.least && wanted <= WIDTH_RANGE_MM.most)) return fail({ kind: 'width-out-of-range', leastMm: WIDTH_RANGE_MM.least, mostMm: WIDTH_RANGE_MM.most });
  const rough = boundControlPoints(artwork);
  if (!rough) return fail({ kind: 'nothing-to-cut', leftOut: artwork.leftOut });
  const extent = (box: Box) => (size.widthMm !== undefined ? box.width : box.height);
  let matrix = placeAt(rough, Math.min(1e6, wanted / Math.max(extent(rough), 1e-6)));
  // Control points reach further than curves do, and clips cut away: a second go brings the true box to the size.
  for (let attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
    const flat = flattenLayers(artwork.layers, matrix);
    if (!flat.ok) return flat;
    const layers = flat.value.layers.filter((layer) => layer.pieces.length > 0);
    const box = uniteBoxes(layers.map((layer) => layer.box));
    if (!box || extent(box) <= 0) return fail({ kind: 'nothing-to-cut', leftOut: artwork.leftOut });
    const correction = wanted / extent(box);
    if (Math.abs(correction - 1) < NEAR_ENOUGH) {
      return succeed({ widthMm: box.width, heightMm: box.height, segments: flat.value.segments, layers: layers.map((layer) => moveLayer(layer, -box.x, -box.y)) });
    }
    matrix = composeMatrices(placeAt(box, correction), matrix);
  }
  return fail({ kind: 'nothing-to-cut', leftOut: artwork.leftOut });
}

const MOST_ATTEMPTS = 5;
/** One part in 20 000: 0.01 mm on 200 mm, finer than any cutter's step. */
const NEAR_ENOUGH = 5e-5;

const placeAt = (box: Box, scale: number): Matrix => composeMatrices(scaling(scale), translation(-box.x, -box.y));

function boundControlPoints(artwork: Artwork): Box | null {
  return boundPoints(
    artwork.layers.flatMap((layer) => layer.shapes).flatMap((shape) => shape.contours).map((contour) => [
      contour.start,
      ...contour.segments.flatMap(reachOf),
    ]),
  );
}

/** Points whose box holds the segment: control points, or the corners of the whole ellipse that an arc is part of. */
function reachOf(segment: Segment): readonly Point[] {
  if (segment.kind === 'cubic') return [segment.control1, segment.control2, segment.to];
  if (segment.kind === 'line') return [segment.to];
  const x = Math.hypot(segment.u.x, segment.v.x);
  const y = Math.hypot(segment.u.y, segment.v.y);
  return [{ x: segment.centre.x - x, y: segment.centre.y - y }, { x: segment.centre.x + x, y: segment.centre.y + y }, segment.to];
}

type Flat = { readonly layers: readonly ResolvedLayer[]; readonly segments: number };

function flattenLayers(layers: readonly ArtworkLayer[], matrix: Matrix): Result<Flat, MeasureProblem> {
  let segments = 0;
  const flattenShape = (shape: Shape): readonly Polyline[] =>
    shape.contours.map((contour) => {
      const line = flattenContour(transformContour(contour, matrix));
      segments += line.length;
      return line;
    });
  const regionOf = (shape: Shape, lines: readonly Polyline[]): Region =>
    shape.clips.reduce((region, clip) => intersectRegions(region, uniteRegions(clip.map((part) => regionOf(part, flattenShape(part))))), fillRegion(lines, shape.rule));
  const resolved: ResolvedLayer[] = [];
  for (const layer of layers) {
    const regions: Region[] = [];
    let drawnLengthMm = 0;
    let drawnContours = 0;
    for (const shape of layer.shapes) {
      const lines = flattenShape(shape);
      if (segments > SEGMENT_LIMIT) return fail({ kind: 'too-many-segments', segments: countSegments(layers, matrix), limit: SEGMENT_LIMIT });
      const region = regionOf(shape, lines);
      if (region.rings.length === 0) continue;
      regions.push(region);
      // What a clip has cut off is not drawn any more: then the edge of what is left is what the knife follows.
      const knife = shape.clips.length > 0 ? getRings(region) : lines.filter((line) => computeRingArea(line) > 0);
      for (const line of knife) drawnLengthMm += computeLength(line, true);
      drawnContours += knife.length;
    }
    const pieces = splitPieces(uniteRegions(regions));
    const box = boundPoints(pieces.map((piece) => piece.outer));
    if (box) resolved.push({ colour: layer.colour, pieces, drawnLengthMm, drawnContours, box });
  }
  return succeed({ layers: resolved, segments });
}

function countSegments(layers: readonly ArtworkLayer[], matrix: Matrix): number {
  let count = 0;
  for (const layer of layers) for (const shape of layer.shapes) for (const contour of shape.contours) count += flattenContour(transformContour(contour, matrix)).length;
  return count;
}

function moveLayer(layer: ResolvedLayer, dx: number, dy: number): ResolvedLayer {
  const move = (line: Polyline): Polyline => line.map((point) => ({ x: point.x + dx, y: point.y + dy }));
  return {
    ...layer,
    box: { ...layer.box, x: layer.box.x + dx, y: layer.box.y + dy },
    pieces: layer.pieces.map((piece) => ({ outer: move(piece.outer), cavities: piece.cavities.map(move) })),
  };
}
