// Of a layer of many contours those that lie apart from all others: a field of dots, the holes of lace. They can be
// flattened to half as many points, for nothing that touches them could meet them by it.

import type Flatbush from 'flatbush';
import {
  boundEllipse,
  boundPoints,
  boxHolds,
  countCurvePoints,
  flattenRoughly,
  indexBoxes,
  uniteBoxes,
  type Box,
  type Contour,
  type Matrix,
  type Point,
} from '../geometry';
import type { ArtworkLayer } from './artwork';

/** With fewer, nothing is gained that anybody would notice. */
const MANY = 400;
/** Of its extent: how far the rough line of a curve strays, with room for what is flattened otherwise later. */
const ROOM = 0.02;
/** Straight lines stray no further than rounding takes them: of the layer's extent. */
const ROUNDING_ROOM = 1e-4;
/** A slanting edge as long as its contour is looked at in so many parts. */
const LEAST_PARTS = 64;

/**
 * The curves of a layer are flattened to about so many points at most: with more, measuring it takes longer than anyone
 * waits, and a knife would not follow them. Three times as far off it is still within 0.02 mm, and the knife's way within
 * a two-hundredth.
 */
const MOST_POINTS = 200_000;
const MOST_COARSER = 3;

/** `coarser`: how many times as far as usual their lines may stray from their curves. */
export type Apart = { readonly contours: ReadonlySet<Contour>; readonly coarser: number };
export const NONE_APART: Apart = { contours: new Set(), coarser: 1 };

const known = new WeakMap<ArtworkLayer, ReadonlySet<Contour>>();
const knownAt = new WeakMap<ArtworkLayer, Apart & { readonly scale: number }>();

/** None of a layer that has few contours. `matrix` says how large they will be. */
export function findApart(layer: ArtworkLayer, matrix: Matrix): Apart {
  const scale = Math.sqrt(Math.abs(matrix.a * matrix.d - matrix.b * matrix.c));
  const last = knownAt.get(layer);
  if (last?.scale === scale) return last;
  let contours = known.get(layer);
  if (!contours) known.set(layer, (contours = seek(layer.shapes.flatMap((shape) => shape.contours))));
  const apart = { contours, scale, coarser: tellCoarser(contours, scale) };
  knownAt.set(layer, apart);
  return apart;
}

function tellCoarser(contours: ReadonlySet<Contour>, scale: number): number {
  let points = 0;
  for (const contour of contours) points += countCurvePoints(contour, scale);
  return Math.max(1, Math.min(MOST_COARSER, (points / MOST_POINTS) ** 2));
}

/** Boxes along a contour's line that hug it, with room, and an index of them. */
type Edges = { readonly boxes: readonly Box[]; readonly index: Flatbush };
type Placed = {
  readonly contour: Contour;
  readonly box: Box;
  readonly extent: number;
  readonly room: number;
  /** Once something lies within its box. */
  edges: Edges | null;
};

function seek(contours: readonly Contour[]): ReadonlySet<Contour> {
  if (contours.length < MANY) return NONE_APART.contours;
  const placed = placeAll(contours);
  const index = indexBoxes(placed.map(({ box }) => box));
  const near = new Set<Contour>();
  for (const [id, one] of placed.entries())
    for (const at of searchBox(index, one.box)) {
      const other = placed[at]!;
      if (at <= id || (near.has(one.contour) && near.has(other.contour)) || lieApart(one, other)) continue;
      near.add(one.contour).add(other.contour);
    }
  return new Set(contours.filter((contour) => !near.has(contour)));
}

function placeAll(contours: readonly Contour[]): readonly Placed[] {
  const boxes = contours.map((contour) => boundEllipse(contour) ?? boundPoints([flattenRoughly(contour)])!);
  const whole = uniteBoxes(boxes)!;
  const rounding = ROUNDING_ROOM * Math.max(whole.width, whole.height);
  return contours.map((contour, at) => {
    const box = boxes[at]!;
    const extent = Math.max(box.width, box.height);
    const isStraight = contour.segments.every(({ kind }) => kind === 'line');
    const room = isStraight ? Math.min(rounding, ROOM * extent) : ROOM * extent;
    return { contour, box: widen(box, room), extent, room, edges: null };
  });
}

/** Of contours whose boxes meet: neither comes near to an edge of the other. */
function lieApart(one: Placed, other: Placed): boolean {
  const [inner, outer] = boxHolds(one.box, other.box) ? [other, one] : [one, other];
  const { index } = edgesOf(outer);
  return (
    searchBox(index, inner.box).length === 0 ||
    edgesOf(inner).boxes.every((box) => !meet(box, outer.box) || searchBox(index, box).length === 0)
  );
}

const meet = (one: Box, other: Box): boolean =>
  one.x <= other.x + other.width &&
  other.x <= one.x + one.width &&
  one.y <= other.y + other.height &&
  other.y <= one.y + one.height;

function edgesOf(placed: Placed): Edges {
  if (placed.edges) return placed.edges;
  const { contour, extent, room } = placed;
  const line = flattenRoughly(contour);
  const boxes = line.flatMap((from, at) =>
    boundParts(from, line[(at + 1) % line.length]!, extent / LEAST_PARTS).map((part) => widen(part, room)),
  );
  return (placed.edges = { boxes, index: indexBoxes(boxes) });
}

/** The boxes of a line in so many parts that none is wider both ways than `most`: a slanting line's own box is empty. */
function boundParts(from: Point, to: Point, most: number): readonly Box[] {
  const dx = to.x - from.x,
    dy = to.y - from.y;
  const parts = Math.max(1, Math.ceil(Math.min(Math.abs(dx), Math.abs(dy)) / most));
  return Array.from({ length: parts }, (_, part) => ({
    x: from.x + (dx * (dx < 0 ? part + 1 : part)) / parts,
    y: from.y + (dy * (dy < 0 ? part + 1 : part)) / parts,
    width: Math.abs(dx) / parts,
    height: Math.abs(dy) / parts,
  }));
}

const widen = ({ x, y, width, height }: Box, room: number): Box => ({
  x: x - room,
  y: y - room,
  width: width + 2 * room,
  height: height + 2 * room,
});

const searchBox = (index: Flatbush, { x, y, width, height }: Box): readonly number[] =>
  index.search(x, y, x + width, y + height);
