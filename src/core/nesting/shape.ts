// A piece as the search sees it: a polygon about its own middle, in convex parts, that can be turned.

import { boundPoints, computeRingArea, splitPieces, type Piece, type Point, type Region } from '../geometry';
import { splitConvex } from './convex-parts';
import { findPoles, type Poles } from './poles';

/** Turned by one angle; coordinates about the middle. */
export type Posed = {
  readonly xs: Float64Array; readonly ys: Float64Array;
  /** The same in the order of `corners`, part by part. */
  readonly px: Float64Array; readonly py: Float64Array;
  /** Outward normals of the edge of each part that begins at the same place of `corners`. */
  readonly nx: Float64Array; readonly ny: Float64Array;
  readonly cos: number; readonly sin: number;
  /** Middles of the circles in it, once they are asked for. */
  poleX: Float64Array | null; poleY: Float64Array | null;
  /** The box of each part: left, top, right, bottom. */
  readonly boxes: Float64Array;
  readonly minX: number; readonly minY: number; readonly maxX: number; readonly maxY: number;
};

/** Turns are tried in steps of this many to a full one; a turn may also lie between two. */
export const TURN_STEPS = 720;

const MOST_POSES = 1500;

export class Shape {
  /** The corner after each along its ring; the inside lies on the left. */
  readonly next: Uint32Array;
  readonly before: Uint32Array;
  /** Of the edge that begins at each corner, radians, at rest. */
  readonly directions: Float64Array;
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
  private readonly xs: Float64Array;
  private readonly ys: Float64Array;
  /** By step of turn. */
  private readonly posed = new Map<number, Posed>();

  /** `steps`: the turns allowed, as steps of `TURN_STEPS`; null for any. The region is not empty. */
  constructor(region: Region, readonly steps: readonly number[] | null) {
    const pieces = splitPieces(region);
    const box = boundPoints(pieces.map((piece) => piece.outer))!;
    this.middleX = box.x + box.width / 2;
    this.middleY = box.y + box.height / 2;
    const { points, parts, next } = collectParts(pieces, this.middleX, this.middleY);
    this.next = Uint32Array.from(next);
    this.before = new Uint32Array(next.length);
    next.forEach((after, at) => (this.before[after] = at));
    this.directions = Float64Array.from(points, (point, at) => Math.atan2(points[next[at]!]!.y - point.y, points[next[at]!]!.x - point.x));
    this.perimeter = points.reduce((sum, point, at) => sum + Math.hypot(points[next[at]!]!.x - point.x, points[next[at]!]!.y - point.y), 0);
    this.sharp = Uint32Array.from(findSharp(points, next));
    this.xs = Float64Array.from(points, (point) => point.x);
    this.ys = Float64Array.from(points, (point) => point.y);
    this.corners = Uint32Array.from(parts.flat());
    this.starts = new Uint32Array(parts.length + 1);
    parts.forEach((part, at) => (this.starts[at + 1] = this.starts[at]! + part.length));
    this.partSizes = Float64Array.from(parts, (part) => Math.sqrt(Math.abs(part.reduce((sum, corner, at) => {
      const next = part[(at + 1) % part.length]!;
      return sum + (points[corner]!.x * points[next]!.y - points[next]!.x * points[corner]!.y) / 2;
    }, 0))));
    this.areaMm2 = pieces.reduce((sum, piece) => sum + computeRingArea(piece.outer) - piece.cavities.reduce((holes, ring) => holes + computeRingArea(ring), 0), 0);
    this.size = Math.sqrt(box.width * box.height);
  }

  /** Lengths of the edges that begin at each corner. */
  listEdges(): readonly number[] {
    return Array.from(this.next, (to, at) => Math.hypot(this.xs[to]! - this.xs[at]!, this.ys[to]! - this.ys[at]!));
  }

  pose(step: number): Posed {
    const known = this.posed.get(step);
    if (known) return known;
    const angle = (step * 2 * Math.PI) / TURN_STEPS;
    // Quarters are exact: rectangles stay upright.
    const quarter = step % (TURN_STEPS / 4) === 0 ? (step / (TURN_STEPS / 4)) % 4 : -1;
    const cos = quarter < 0 ? Math.cos(angle) : [1, 0, -1, 0][quarter]!, sin = quarter < 0 ? Math.sin(angle) : [0, 1, 0, -1][quarter]!;
    const xs = this.xs.map((x, at) => x * cos - this.ys[at]! * sin), ys = this.xs.map((x, at) => x * sin + this.ys[at]! * cos);
    const posed = { ...this.describe(xs, ys), cos, sin, poleX: null, poleY: null };
    // Turns between the steps come from edges laid on edges: there is no end of them.
    if (this.posed.size >= MOST_POSES) this.posed.clear();
    this.posed.set(step, posed);
    return posed;
  }

  /** The circles in it, largest first; found when they are asked for, since a shape that is only tried for its size needs none. */
  getPoles(): Poles {
    return (this.poles ??= findPoles(this.xs, this.ys, this.next));
  }

  /** The same with the circles' middles turned as it is. */
  turnPoles(posed: Posed): { readonly x: Float64Array; readonly y: Float64Array } {
    if (posed.poleX && posed.poleY) return { x: posed.poleX, y: posed.poleY };
    const { x, y } = this.getPoles();
    posed.poleX = x.map((own, at) => own * posed.cos - y[at]! * posed.sin);
    posed.poleY = x.map((own, at) => own * posed.sin + y[at]! * posed.cos);
    return { x: posed.poleX, y: posed.poleY };
  }

  private describe(xs: Float64Array, ys: Float64Array): Omit<Posed, 'poleX' | 'poleY' | 'cos' | 'sin'> {
    const { corners, starts } = this, count = starts.length - 1;
    const nx = new Float64Array(corners.length), ny = new Float64Array(corners.length), px = new Float64Array(corners.length), py = new Float64Array(corners.length), boxes = new Float64Array(count * 4);
    let minX = Infinity, minY = Infinity, maxX = -Infinity, maxY = -Infinity;
    for (let part = 0; part < count; part++) {
      const begin = starts[part]!, end = starts[part + 1]!;
      let left = Infinity, top = Infinity, right = -Infinity, bottom = -Infinity;
      for (let at = begin; at < end; at++) {
        const from = corners[at]!, to = corners[at + 1 < end ? at + 1 : begin]!;
        const x = xs[from]!, y = ys[from]!, dx = xs[to]! - x, dy = ys[to]! - y, length = Math.sqrt(dx * dx + dy * dy) || 1;
        nx[at] = dy / length;
        ny[at] = -dx / length;
        px[at] = x;
        py[at] = y;
        if (x < left) left = x;
        if (x > right) right = x;
        if (y < top) top = y;
        if (y > bottom) bottom = y;
      }
      boxes.set([left, top, right, bottom], part * 4);
      minX = Math.min(minX, left);
      minY = Math.min(minY, top);
      maxX = Math.max(maxX, right);
      maxY = Math.max(maxY, bottom);
    }
    return { xs, ys, px, py, nx, ny, boxes, minX, minY, maxX, maxY };
  }
}

function collectParts(pieces: readonly Piece[], middleX: number, middleY: number) {
  const points: Point[] = [], parts: (readonly number[])[] = [], next: number[] = [];
  for (const piece of pieces) {
    const rings = [piece.outer, ...piece.cavities].map((ring) => ring.map((point) => ({ x: point.x - middleX, y: point.y - middleY })));
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

function findSharp(points: readonly Point[], next: readonly number[]): readonly number[] {
  return points.flatMap((point, before) => {
    const at = next[before]!, corner = points[at]!, after = points[next[at]!]!;
    const turn = Math.atan2(after.y - corner.y, after.x - corner.x) - Math.atan2(corner.y - point.y, corner.x - point.x);
    return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn))) > SHARP ? [at] : [];
  });
}
