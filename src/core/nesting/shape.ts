// A piece as the search sees it: a polygon about its own middle, in convex parts, that can be turned.

import { boundPoints, computeRingArea, splitPieces, type Piece, type Point, type Region } from '../geometry';
import { splitConvex } from './convex-parts';
import { findPoles, type Poles } from './poles';
import { Pose } from './pose';

/** So many poses of a shape are at hand at a time. */
const AT_HAND = 8;

export class Shape {
  /** The corner after each along its ring; the inside lies on the left. */
  readonly next: Uint32Array;
  readonly before: Uint32Array;
  /** Of the edge that begins at each corner, radians, at rest. */
  readonly directions: Float64Array;
  /** Of the edge that begins at each corner, mm. */
  readonly lengths: Float64Array;
  /** Corners where the outline turns sharply. */
  readonly sharp: Uint32Array;
  readonly perimeter: number;
  /** Corners of all parts, one after another; part p has those from starts[p] up to starts[p + 1]. */
  readonly corners: Uint32Array;
  readonly starts: Uint32Array;
  /** Square root of the area of each part's box: how much its depth weighs. */
  readonly partSizes: Float64Array;
  readonly areaMm2: number;
  /** Square root of the area of its box at rest. */
  readonly size: number;
  readonly middleX: number;
  readonly middleY: number;
  private poles: Poles | null = null;
  /** Corners along the outlines, about the middle. */
  readonly xs: Float64Array;
  readonly ys: Float64Array;
  /** Outward normals of the edge of each part that begins at the same place of `corners`. */
  readonly normalX: Float64Array;
  readonly normalY: Float64Array;
  private readonly atHand: Pose[] = [];
  private oldest = 0;

  /** `steps`: the turns allowed, as steps of `TURN_STEPS`; null for any. The region is not empty. */
  constructor(
    region: Region,
    readonly steps: readonly number[] | null,
  ) {
    const pieces = splitPieces(region);
    const box = boundPoints(pieces.map((piece) => piece.outer))!;
    this.middleX = box.x + box.width / 2;
    this.middleY = box.y + box.height / 2;
    const { points, parts, next } = collectParts(pieces, this.middleX, this.middleY);
    this.next = Uint32Array.from(next);
    this.before = new Uint32Array(next.length);
    next.forEach((after, at) => (this.before[after] = at));
    this.directions = Float64Array.from(points, (point, at) =>
      Math.atan2(points[next[at]!]!.y - point.y, points[next[at]!]!.x - point.x),
    );
    this.lengths = Float64Array.from(points, (point, at) =>
      Math.hypot(points[next[at]!]!.x - point.x, points[next[at]!]!.y - point.y),
    );
    this.perimeter = this.lengths.reduce((sum, length) => sum + length, 0);
    this.sharp = Uint32Array.from(findSharp(points, next));
    this.xs = Float64Array.from(points, (point) => point.x);
    this.ys = Float64Array.from(points, (point) => point.y);
    this.corners = Uint32Array.from(parts.flat());
    this.starts = new Uint32Array(parts.length + 1);
    parts.forEach((part, at) => (this.starts[at + 1] = this.starts[at]! + part.length));
    const edges = parts.flatMap((part) =>
      part.map((corner, at) => {
        const from = points[corner]!,
          to = points[part[(at + 1) % part.length]!]!,
          length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
        return { x: (to.y - from.y) / length, y: (from.x - to.x) / length };
      }),
    );
    this.normalX = Float64Array.from(edges, (normal) => normal.x);
    this.normalY = Float64Array.from(edges, (normal) => normal.y);
    this.partSizes = Float64Array.from(parts, (part) =>
      Math.sqrt(
        Math.abs(
          part.reduce((sum, corner, at) => {
            const next = part[(at + 1) % part.length]!;
            return sum + (points[corner]!.x * points[next]!.y - points[next]!.x * points[corner]!.y) / 2;
          }, 0),
        ),
      ),
    );
    this.areaMm2 = pieces.reduce(
      (sum, piece) =>
        sum + computeRingArea(piece.outer) - piece.cavities.reduce((holes, ring) => holes + computeRingArea(ring), 0),
      0,
    );
    this.size = Math.sqrt(box.width * box.height);
  }

  /** Turned so; good until so many others of this shape have been asked for, so it is not to be kept. */
  pose(step: number): Pose {
    const { atHand } = this;
    for (let at = 0; at < atHand.length; at++) if (atHand[at]!.step === step) return atHand[at]!;
    if (atHand.length < AT_HAND) {
      const made = new Pose(this, step);
      atHand.push(made);
      return made;
    }
    this.oldest = (this.oldest + 1) % AT_HAND;
    return atHand[this.oldest]!.turn(step);
  }

  /**
   * The circles in it, largest first; found when they are asked for, since a shape that is only tried for its size
   * needs none.
   */
  getPoles(): Poles {
    return (this.poles ??= findPoles(this.xs, this.ys, this.next));
  }
}

function collectParts(pieces: readonly Piece[], middleX: number, middleY: number) {
  const points: Point[] = [],
    parts: (readonly number[])[] = [],
    next: number[] = [];
  for (const piece of pieces) {
    const rings = [piece.outer, ...piece.cavities].map((ring) =>
      ring.map((point) => ({ x: point.x - middleX, y: point.y - middleY })),
    );
    parts.push(...splitConvex(rings, points.length));
    for (const ring of rings) {
      const first = points.length;
      points.push(...ring);
      for (let at = 0; at < ring.length; at++) next.push(first + ((at + 1) % ring.length));
    }
  }
  return { points, parts, next };
}

/** A curve turns by little from corner to corner. */
const SHARP = (20 * Math.PI) / 180;
/** Of few corners each counts that is one. */
const SLIGHT = (2 * Math.PI) / 180;
/** Of a shape with more corners the sharpest say where it belongs. */
const MOST_SHARP = 12;

function findSharp(points: readonly Point[], next: readonly number[]): readonly number[] {
  return points
    .flatMap((point, before) => {
      const at = next[before]!,
        corner = points[at]!,
        after = points[next[at]!]!;
      const turn =
        Math.atan2(after.y - corner.y, after.x - corner.x) - Math.atan2(corner.y - point.y, corner.x - point.x);
      const bend = Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn)));
      return bend > SHARP || (points.length <= MOST_SHARP && bend > SLIGHT) ? [{ at, bend }] : [];
    })
    .sort((a, b) => b.bend - a.bend)
    .slice(0, MOST_SHARP)
    .map(({ at }) => at);
}
