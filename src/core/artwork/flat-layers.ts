// The layers of an artwork as plain polygons in mm at real size: flattened, each shape filled by its own rule and
// clipped. Strokes become the band they paint where that is asked for.

import {
  computeLength,
  computeRingArea,
  distance,
  fillRegion,
  flattenCoarsely,
  flattenContour,
  flattenEvenly,
  getRings,
  intersectRegions,
  mapPoint,
  composeMatrices,
  strokeLine,
  transformContour,
  transformRegion,
  uniteRegions,
  type Contour,
  type Matrix,
  type Polyline,
  type Region,
  type FillRuleName,
} from '../geometry';
import { fail, succeed, type Result } from '../units';
import { findApart, NONE_APART, type Apart } from './apart-contours';
import type { Artwork, LayerRole, MeasureProblem, Shape, StrokeShape } from './artwork';

/**
 * A contour as drawn. `open`: its ends lie apart, so that the knife would have to close it. `apart`: it is known to meet
 * no other of its layer.
 */
export type FlatLine = { readonly points: Polyline; readonly open: boolean; readonly apart?: boolean };
export type FlatShape = { readonly lines: readonly FlatLine[]; readonly rule: FillRuleName; readonly region: Region };
/** `key` names the layer in steps: its colour, or for a layer that a step made, that and what it is. */
export type FlatLayer = {
  readonly key: string;
  readonly colour: string;
  readonly shapes: readonly FlatShape[];
  /** Lines that are cut beside the design: weed boxes and registration marks. */
  readonly extras: readonly Polyline[];
  /** Its islands may be moved apart and turned to save material. */
  readonly loose: boolean;
  readonly role: LayerRole;
};

/** Segments of a drawing that are taken, curves counted as one each; and points they may be flattened to. */
export const SEGMENT_LIMIT = 400_000;
const POINT_LIMIT = 2_000_000;
/** Ends of a contour nearer than this are one point to any knife, mm. */
const SAME_POINT_MM = 0.01;

export function countSegments(artwork: Artwork): number {
  const count = (contours: Shape['contours']) => contours.reduce((sum, contour) => sum + contour.segments.length, 0);
  return (
    artwork.layers.reduce(
      (sum, layer) => sum + layer.shapes.reduce((all, shape) => all + count(shape.contours), 0),
      0,
    ) + artwork.strokes.reduce((sum, stroke) => sum + count(stroke.contours), 0)
  );
}

export type FlattenOptions = { readonly matrix: Matrix; readonly strokes: boolean };
/** The lines of a layer's shapes before they are filled. */
export type LayerLines = {
  readonly colour: string;
  readonly shapes: readonly { readonly shape: Shape; readonly lines: readonly FlatLine[] }[];
};

const tooManyPoints = (points: number) =>
  fail({ kind: 'too-many-segments', segments: points, limit: POINT_LIMIT } as const);

/** The contours of all fills as lines, not yet filled or clipped. Problem: too-many-segments. */
export function flattenLines(artwork: Artwork, matrix: Matrix): Result<readonly LayerLines[], MeasureProblem> {
  let points = 0;
  const layers: LayerLines[] = [];
  for (const layer of artwork.layers) {
    const shapes: LayerLines['shapes'][number][] = [];
    const apart = findApart(layer, matrix);
    for (const shape of layer.shapes) {
      const lines = flattenContours(shape, matrix, apart);
      for (const line of lines) points += line.points.length;
      if (points > POINT_LIMIT) return tooManyPoints(points);
      shapes.push({ shape, lines });
    }
    layers.push({ colour: layer.colour, shapes });
  }
  return succeed(layers);
}

/**
 * Layers in drawing order, filled and clipped; strokes, where wanted, go into the layer of their colour. Problem:
 * too-many-segments.
 */
export function fillLayers(
  drawn: readonly LayerLines[],
  artwork: Artwork,
  { matrix, strokes }: FlattenOptions,
): Result<readonly FlatLayer[], MeasureProblem> {
  const byColour = new Map<string, FlatShape[]>();
  const add = (colour: string, shape: FlatShape) => {
    const known = byColour.get(colour);
    if (known) known.push(shape);
    else byColour.set(colour, [shape]);
  };
  for (const { colour, shapes } of drawn)
    for (const { shape, lines } of shapes) add(colour, fillShape(shape, lines, matrix));
  let points = 0;
  for (const stroke of strokes ? artwork.strokes : []) {
    const band = outlineStroke(stroke, matrix);
    for (const line of band.lines) points += line.points.length;
    if (points > POINT_LIMIT) return tooManyPoints(points);
    add(stroke.colour, band);
  }
  return succeed(
    [...byColour]
      .map(([colour, shapes]): FlatLayer => ({
        key: colour,
        colour,
        extras: [],
        loose: false,
        role: 'worn',
        shapes: shapes.filter((shape) => shape.region.rings.length > 0),
      }))
      .filter((layer) => layer.shapes.length > 0),
  );
}

function flattenContours(shape: Shape, matrix: Matrix, apart: Apart = NONE_APART): readonly FlatLine[] {
  return shape.contours.map((contour): FlatLine => {
    const points = flattenPlaced(contour, matrix, apart);
    const first = points[0]!,
      last = points[points.length - 1]!;
    return {
      points,
      open: !contour.closed && distance(first, last) > SAME_POINT_MM,
      ...(apart.contours.has(contour) ? { apart: true } : {}),
    };
  });
}

/** Of a layer, those that lie `apart` from all others to half as many points, or fewer. */
export function flattenPlaced(contour: Contour, matrix: Matrix, { contours, coarser }: Apart): Polyline {
  const placed = transformContour(contour, matrix);
  if (!contours.has(contour)) return flattenContour(placed);
  return coarser > 1 ? flattenCoarsely(placed, coarser) : flattenEvenly(placed);
}

function fillShape(shape: Shape, lines: readonly FlatLine[], matrix: Matrix): FlatShape {
  const whole = fillRegion(
    lines.map((line) => line.points),
    shape.rule,
    new Set(lines.flatMap((line) => (line.apart ? [line.points] : []))),
  );
  if (shape.clips.length === 0) return { lines, rule: shape.rule, region: whole };
  return makeFlatShape(clipRegion(whole, shape.clips, matrix));
}

function clipRegion(region: Region, clips: Shape['clips'], matrix: Matrix): Region {
  return clips.reduce(
    (left, clip) =>
      intersectRegions(
        left,
        uniteRegions(clip.map((part) => fillShape(part, flattenContours(part, matrix), matrix).region)),
      ),
    region,
  );
}

/**
 * A shape whose knife lines are the edges of a region: what was clipped or calculated is not drawn any more as it was.
 */
export function makeFlatShape(region: Region): FlatShape {
  return { lines: getRings(region).map((points) => ({ points, open: false })), rule: 'nonzero', region };
}

/** The band that a stroke paints, mm. It is drawn in the stroke's own plane, so that a sheared pen stays sheared. */
function outlineStroke(stroke: StrokeShape, matrix: Matrix): FlatShape {
  const whole = composeMatrices(matrix, stroke.matrix);
  const determinant = whole.a * whole.d - whole.b * whole.c;
  const scale = Math.sqrt(Math.abs(determinant));
  // The plane of the pen at about real size: flattened there in mm, and back by what is left of the matrix.
  const toPen = (point: { x: number; y: number }) => {
    const x = point.x - whole.e,
      y = point.y - whole.f;
    return {
      x: ((whole.d * x - whole.c * y) / determinant) * scale,
      y: ((whole.a * y - whole.b * x) / determinant) * scale,
    };
  };
  const fromPen: Matrix = {
    a: whole.a / scale,
    b: whole.b / scale,
    c: whole.c / scale,
    d: whole.d / scale,
    e: whole.e,
    f: whole.f,
  };
  const style = { widthMm: stroke.width * scale, join: stroke.join, cap: stroke.cap, miterLimit: stroke.miterLimit };
  const bands = stroke.contours.map((contour) => {
    const line = flattenContour(transformContour(contour, whole)).map(toPen);
    return strokeLine(line, contour.closed, style);
  });
  const region = transformRegion(uniteRegions(bands), (point) => mapPoint(fromPen, point));
  return makeFlatShape(stroke.clips.length > 0 ? clipRegion(region, stroke.clips, matrix) : region);
}

/** What the knife follows of a shape: its lines, those of no area left out. */
export const getKnifeLines = (shape: FlatShape): readonly Polyline[] =>
  shape.lines.map((line) => line.points).filter((points) => computeRingArea(points) > 0);

export const isZeroLength = (line: FlatLine): boolean => computeLength(line.points, false) < SAME_POINT_MM;
