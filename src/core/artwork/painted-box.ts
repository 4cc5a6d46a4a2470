// How large a drawing's filled shapes are once flattened, without flattening what lies within the others: of a field
// of dots the outermost tell it, of lace the sheet.

import {
  boundPoints,
  composeMatrices,
  computeRingArea,
  FLATTENING_MM,
  mapPoint,
  uniteBoxes,
  type Box,
  type Contour,
  type Matrix,
  type Point,
  type Segment,
} from '../geometry';
import { findApart } from './apart-contours';
import type { Artwork } from './artwork';
import { flattenPlaced } from './flat-layers';

/** Around the lines that enclose an area, in the matrix's unit, mm; null where none does. */
export function boundPainted(artwork: Artwork, matrix: Matrix): Box | null {
  let most: Box | null = null;
  for (const layer of artwork.layers) {
    const apart = findApart(layer, matrix);
    for (const contour of layer.shapes.flatMap(({ contours }) => contours)) {
      if (most && liesWithin(contour, matrix, most, apart.coarser)) continue;
      const line = flattenPlaced(contour, matrix, apart);
      const box = computeRingArea(line) > 0 ? boundPoints([line]) : null;
      if (box) most = most ? uniteBoxes([most, box]) : box;
    }
  }
  return most;
}

/** Flattened evenly, corners lie outside the curve by less than it may stray. */
function liesWithin(contour: Contour, matrix: Matrix, { x, y, width, height }: Box, coarser: number): boolean {
  const room = FLATTENING_MM * coarser;
  const right = x + width - room,
    bottom = y + height - room;
  return cornersOf(boundControls(contour)).every((corner) => {
    const at = mapPoint(matrix, corner);
    return at.x >= x + room && at.x <= right && at.y >= y + room && at.y <= bottom;
  });
}

/** A box that holds the whole drawing, control points included; its strokes too where they are asked for. */
export function boundControlPoints(artwork: Artwork, turn: Matrix, strokes: boolean): Box | null {
  const reach = (contours: readonly Contour[], matrix: Matrix) =>
    contours.map((contour) => cornersOf(boundControls(contour)).map((corner) => mapPoint(matrix, corner)));
  return boundPoints([
    ...artwork.layers.flatMap((layer) => layer.shapes).flatMap((shape) => reach(shape.contours, turn)),
    ...(strokes
      ? artwork.strokes.flatMap((stroke) => reach(stroke.contours, composeMatrices(turn, stroke.matrix)))
      : []),
  ]);
}

const cornersOf = ({ x, y, width, height }: Box): readonly Point[] => [
  { x, y },
  { x: x + width, y },
  { x, y: y + height },
  { x: x + width, y: y + height },
];

const known = new WeakMap<Contour, Box>();

/** Holds the contour: its control points, and of arcs the whole ellipse. */
function boundControls(contour: Contour): Box {
  let box = known.get(contour);
  if (!box) known.set(contour, (box = boundPoints([[contour.start], ...contour.segments.map(reachOf)])!));
  return box;
}

/** Points whose box holds the segment. */
function reachOf(segment: Segment): readonly Point[] {
  if (segment.kind === 'cubic') return [segment.control1, segment.control2, segment.to];
  if (segment.kind === 'line') return [segment.to];
  const { centre, u, v, to } = segment;
  const x = Math.hypot(u.x, v.x),
    y = Math.hypot(u.y, v.y);
  return [{ x: centre.x - x, y: centre.y - y }, { x: centre.x + x, y: centre.y + y }, to];
}
