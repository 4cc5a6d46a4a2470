// Brings an artwork to its real size: its layers as pieces with cavities, united within their colour. Everything that
// is measured or shown comes from here.

import {
  boundPoints,
  composeMatrices,
  boundRegion,
  computeLength,
  rotation,
  scaling,
  shiftRegion,
  splitPieces,
  translation,
  uniteBoxes,
  uniteRegions,
  type Box,
  type Matrix,
  type Piece,
  type Polyline,
  type Region,
} from '../geometry';
import { fail, succeed, type Result, LENGTH_NOISE_MM } from '../units';
import { WIDTH_RANGE_MM, type Artwork, type LayerRole, type MeasureProblem } from './artwork';
import {
  countSegments,
  fillLayers,
  flattenLines,
  getKnifeLines,
  isZeroLength,
  SEGMENT_LIMIT,
  type FlatLayer,
  type FlattenOptions,
} from './flat-layers';
import { boundControlPoints, boundPainted } from './painted-box';

/** One of the two decides; the other follows in proportion. */
export type ArtworkSize =
  | { readonly widthMm: number; readonly heightMm?: undefined }
  | { readonly heightMm: number; readonly widthMm?: undefined };

export type ResolvedLayer = {
  readonly key: string;
  readonly colour: string;
  /** Weed boxes and registration marks, which are cut beside the design. */
  readonly extras: readonly Polyline[];
  readonly loose: boolean;
  readonly role: LayerRole;
  readonly region: Region;
  readonly pieces: readonly Piece[];
  /** Every contour the knife follows as drawn, overlapping ones each, closed. */
  readonly knife: readonly Polyline[];
  /** Length of the knife's contours, weed boxes and marks included, mm. */
  readonly drawnLengthMm: number;
  readonly openPaths: number;
  readonly zeroLengthPaths: number;
  readonly box: Box;
};
/** Coordinates in mm from the top left corner of the artwork's outer box. */
export type ResolvedArtwork = {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly layers: readonly ResolvedLayer[];
  /** Segments of the drawing, a curve counted as one. */
  readonly segments: number;
  /** Strokes that are not turned into outlines. */
  readonly strokesApart: number;
};

export type ResolveOptions = { readonly strokes?: boolean; readonly rotateDegrees?: number };

/** The artwork as polygons at the given size. Problems: width-out-of-range, too-many-segments, nothing-to-cut. */
export function resolveArtwork(
  artwork: Artwork,
  size: ArtworkSize,
  options: ResolveOptions = {},
): Result<ResolvedArtwork, MeasureProblem> {
  const flat = flattenAtSize(artwork, size, options);
  if (!flat.ok) return flat;
  return succeed(
    assembleArtwork(flat.value.map(resolveLayer), {
      segments: countSegments(artwork),
      strokesApart: options.strokes ? 0 : artwork.strokes.length,
    }),
  );
}

/**
 * The layers flattened so that their outer box has the given width or height; its top left corner lies at the origin.
 */
export function flattenAtSize(
  artwork: Artwork,
  size: ArtworkSize,
  options: ResolveOptions = {},
): Result<readonly FlatLayer[], MeasureProblem> {
  const wanted = size.widthMm ?? size.heightMm;
  if (!(wanted >= WIDTH_RANGE_MM.least && wanted <= WIDTH_RANGE_MM.most))
    return fail({ kind: 'width-out-of-range', leastMm: WIDTH_RANGE_MM.least, mostMm: WIDTH_RANGE_MM.most });
  const segments = countSegments(artwork);
  if (segments > SEGMENT_LIMIT) return fail({ kind: 'too-many-segments', segments, limit: SEGMENT_LIMIT });
  const turn = rotation(options.rotateDegrees ?? 0);
  const rough = boundControlPoints(artwork, turn, options.strokes ?? false);
  if (!rough) return fail({ kind: 'nothing-to-cut', leftOut: artwork.leftOut });
  const extent = (box: Box) => (size.widthMm !== undefined ? box.width : box.height);
  let matrix = composeMatrices(placeAt(rough, Math.min(1e6, wanted / Math.max(extent(rough), LENGTH_NOISE_MM))), turn);
  const strokes = options.strokes ?? false;
  // What is painted is as large as its lines otherwise, unless lines run back on themselves.
  let filled = isLargerFilled(artwork, strokes);
  // Control points reach further than curves do: a second go brings the true box to the size.
  for (let attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
    const placed = (box: Box) =>
      Math.abs(wanted / extent(box) - 1) < NEAR_ENOUGH && Math.abs(box.x) < CORNER_MM && Math.abs(box.y) < CORNER_MM;
    let box = filled ? null : boundPainted(artwork, matrix);
    if (!box || extent(box) <= 0 || placed(box)) {
      const lines = flattenLines(artwork, matrix);
      if (!lines.ok) return lines;
      const flat = fillLayers(lines.value, artwork, { matrix, strokes });
      if (!flat.ok) return flat;
      box = boundFlat(flat.value);
      if (!box || extent(box) <= 0) return fail({ kind: 'nothing-to-cut', leftOut: artwork.leftOut });
      if (placed(box)) return flat;
      filled = true;
    }
    matrix = composeMatrices(placeAt(box, wanted / extent(box)), matrix);
  }
  return fail({ kind: 'nothing-to-cut', leftOut: artwork.leftOut });
}

/**
 * How wide what is painted is as the file states it, mm; null where it states no size, or one that no piece can have.
 * Artworks are read in mm at their stated size, so it is the width of their box as it is.
 */
export function measureOwnWidth(artwork: Artwork, options: ResolveOptions = {}): number | null {
  if (artwork.size !== 'stated' || countSegments(artwork) > SEGMENT_LIMIT) return null;
  const matrix = rotation(options.rotateDegrees ?? 0);
  const strokes = options.strokes ?? false;
  const box = isLargerFilled(artwork, strokes)
    ? boundFilled(artwork, { matrix, strokes })
    : boundPainted(artwork, matrix);
  return box && readOwnWidth(box);
}

/** As a file would state the width of that box, mm; null where no piece can be so wide. */
export function readOwnWidth(box: Box): number | null {
  const width = Math.round(box.width * PER_HUNDREDTH) / PER_HUNDREDTH;
  return width >= WIDTH_RANGE_MM.least && width <= WIDTH_RANGE_MM.most ? width : null;
}

/** Widths are shown to the hundredth of a millimetre. */
const PER_HUNDREDTH = 100;

/** Clips cut away from what the lines enclose, strokes widen it: it is filled before its size is known. */
const isLargerFilled = (artwork: Artwork, strokes: boolean): boolean =>
  strokes || artwork.layers.some((layer) => layer.shapes.some((shape) => shape.clips.length > 0));

function boundFilled(artwork: Artwork, options: FlattenOptions): Box | null {
  const lines = flattenLines(artwork, options.matrix);
  const flat = lines.ok ? fillLayers(lines.value, artwork, options) : lines;
  return flat.ok ? boundFlat(flat.value) : null;
}
const boundFlat = (layers: readonly FlatLayer[]): Box | null =>
  uniteBoxes(layers.flatMap((layer) => layer.shapes.flatMap((shape) => boundRegion(shape.region) ?? [])));

const MOST_ATTEMPTS = 6;
/** One part in 20 000: 0.01 mm on 200 mm, finer than any cutter's step. */
const NEAR_ENOUGH = 5e-5;
/** How far from the origin the top left corner may lie, mm. */
const CORNER_MM = 0.001;

const placeAt = (box: Box, scale: number): Matrix => composeMatrices(scaling(scale), translation(-box.x, -box.y));

/** Null when nothing of it is left to cut. */
export function resolveLayer(layer: FlatLayer): ResolvedLayer | null {
  const region = uniteRegions(layer.shapes.map((shape) => shape.region));
  const pieces = splitPieces(region);
  const box = boundPoints(pieces.map((piece) => piece.outer));
  if (!box) return null;
  const knife = layer.shapes.flatMap(getKnifeLines);
  const lines = layer.shapes.flatMap((shape) => shape.lines);
  return {
    key: layer.key,
    colour: layer.colour,
    extras: layer.extras,
    loose: layer.loose,
    role: layer.role,
    region,
    pieces,
    knife,
    box,
    drawnLengthMm: [...knife, ...layer.extras].reduce((sum, line) => sum + computeLength(line, true), 0),
    openPaths: lines.filter((line) => line.open).length,
    zeroLengthPaths: lines.filter(isZeroLength).length,
  };
}

/**
 * Layers together, with the whole's size; those that are worn come first. The box may lie anywhere; sizes are taken
 * from it.
 */
export function assembleArtwork(
  layers: readonly (ResolvedLayer | null)[],
  facts: Pick<ResolvedArtwork, 'segments' | 'strokesApart'>,
): ResolvedArtwork {
  const known = layers.filter((layer): layer is ResolvedLayer => layer !== null);
  const solid = [...known.filter((layer) => layer.role === 'worn'), ...known.filter((layer) => layer.role !== 'worn')];
  const box = uniteBoxes(solid.map((layer) => layer.box));
  return { widthMm: box?.width ?? 0, heightMm: box?.height ?? 0, layers: solid, ...facts };
}

export function shiftArtwork(artwork: ResolvedArtwork, dx: number, dy: number): ResolvedArtwork {
  const move = (line: Polyline): Polyline => line.map((point) => ({ x: point.x + dx, y: point.y + dy }));
  return {
    ...artwork,
    layers: artwork.layers.map((layer) => ({
      ...layer,
      region: shiftRegion(layer.region, dx, dy),
      box: { ...layer.box, x: layer.box.x + dx, y: layer.box.y + dy },
      knife: layer.knife.map(move),
      extras: layer.extras.map(move),
      pieces: layer.pieces.map((piece) => ({ outer: move(piece.outer), cavities: piece.cavities.map(move) })),
    })),
  };
}
