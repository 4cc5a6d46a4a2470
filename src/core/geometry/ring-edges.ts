// The edges of closed rings in one row of numbers, material on their left, and the places along them worth a look.

import { computeLength, type Polyline } from './polygon';

export type DirectedRing = {
  readonly points: Polyline;
  /** 1 for the outer ring of a piece, -1 for a cavity. */
  readonly inside: 1 | -1;
  /** The sides that are not looked at from it: those of a copy, whose model tells all of it. */
  readonly passOver: readonly Side[];
};
/** Which side of the edges is looked at: the material, or the air. */
export type Side = 1 | -1;
const SIDES = [1, -1] as const;
/** A place on an edge and the direction looked in, of length 1. */
export type Look = {
  readonly edge: number;
  readonly x: number;
  readonly y: number;
  readonly nx: number;
  readonly ny: number;
};

/** All edges together are divided into about as many stretches as there are vertices, within these bounds. */
const STRETCHES = { least: 160, most: 4000 } as const;
/** Curves are looked at after every so much turn, stretches of straight edge once, and near both their ends. */
const TURN_STEP = (9 * Math.PI) / 180;
/** A turn of more than this in one vertex is a corner: it is looked at in several directions where it juts out. */
const CORNER_TURN = (25 * Math.PI) / 180;
/** Turns the other way that rounding makes, radians. */
const LEAST_DENT = 1e-3;
const MOST_PARTS = 64;
/** Looks at most; with more, the steps are widened. */
const MOST_LOOKS = 40_000;

export class RingEdges {
  /** Edge e runs from (x1, y1) to (x2, y2); long edges are divided, so that their boxes hug them. */
  readonly x1: Float64Array;
  readonly y1: Float64Array;
  readonly x2: Float64Array;
  readonly y2: Float64Array;
  readonly ringOf: Uint32Array;
  /** Length along the ring up to the edge's start. */
  readonly along: Float64Array;
  /** First edge of each ring, and after the last ring the number of edges. */
  readonly first: Uint32Array;
  readonly length: Float64Array;
  private count = 0;
  private readonly views: Readonly<Record<Side, Look[]>> = { 1: [], [-1]: [] };

  constructor(rings: readonly DirectedRing[]) {
    let vertices = 0,
      total = 0;
    this.length = new Float64Array(rings.length);
    rings.forEach(({ points }, id) => {
      vertices += points.length;
      total += this.length[id] = computeLength(points, true);
    });
    const coarser = Math.max(1, vertices / 3 / MOST_LOOKS);
    const spacing = (total / Math.min(STRETCHES.most, Math.max(STRETCHES.least, vertices))) * coarser;
    const room = vertices + Math.ceil(spacing > 0 ? total / spacing : 0) + rings.length;
    this.x1 = new Float64Array(room);
    this.y1 = new Float64Array(room);
    this.x2 = new Float64Array(room);
    this.y2 = new Float64Array(room);
    this.along = new Float64Array(room);
    this.ringOf = new Uint32Array(room);
    this.first = new Uint32Array(rings.length + 1);
    for (let id = 0; id < rings.length; id++) this.addRing(rings[id]!, id, spacing, TURN_STEP * coarser);
    this.first[rings.length] = this.count;
    for (const name of ['x1', 'y1', 'x2', 'y2', 'along'] as const) this[name] = this[name].subarray(0, this.count);
  }

  looks(side: Side): Iterable<Look> {
    return scattered(this.views[side]);
  }

  private addRing({ points, inside, passOver }: DirectedRing, id: number, spacing: number, turnStep: number): void {
    this.first[id] = this.count;
    const ring = directed(points, inside);
    const last = ring.length - 1;
    if (last < 1) return;
    // Looked at from outside, a ring that bulges everywhere faces itself nowhere.
    const sides = SIDES.filter((side) => !passOver.includes(side) && !(side !== inside && isBulging(ring, inside)));
    let travelled = 0,
      turned = Infinity,
      since = 0;
    let { x: beforeX, y: beforeY } = ring[last]!;
    for (let at = 0; at <= last; at++) {
      const from = ring[at]!,
        to = ring[at === last ? 0 : at + 1]!;
      const dx = to.x - from.x,
        dy = to.y - from.y;
      const span = Math.sqrt(dx * dx + dy * dy);
      const ux = dx / span,
        uy = dy / span;
      const first = this.count;
      const parts = Math.max(1, Math.min(MOST_PARTS, Math.ceil(span / spacing)));
      for (let part = 0; part < parts; part++) {
        const start = (span * part) / parts,
          end = (span * (part + 1)) / parts,
          edge = this.count++;
        this.x1[edge] = from.x + ux * start;
        this.y1[edge] = from.y + uy * start;
        this.x2[edge] = from.x + ux * end;
        this.y2[edge] = from.y + uy * end;
        this.ringOf[edge] = id;
        this.along[edge] = travelled + start;
      }
      travelled += span;
      const ax = from.x - beforeX,
        ay = from.y - beforeY;
      const turn = Math.atan2(ax * dy - ay * dx, ax * dx + ay * dy);
      if (Math.abs(turn) > CORNER_TURN) {
        const normal = Math.atan2(ay, ax) + (turn < 0 ? 1 : -1) * (Math.PI / 2);
        const side = turn < 0 ? 1 : -1;
        if (sides.includes(side))
          for (const angle of fan(normal, turn))
            this.views[side].push({ edge: first, x: from.x, y: from.y, nx: Math.cos(angle), ny: Math.sin(angle) });
      }
      turned += Math.abs(turn);
      since += span;
      if (turned >= turnStep || since >= spacing) {
        const lookAt = (distance: number) => {
          for (const side of sides)
            this.views[side].push({
              edge: first + Math.min(parts - 1, Math.floor((distance / span) * parts)),
              x: from.x + ux * distance,
              y: from.y + uy * distance,
              nx: -uy * side,
              ny: ux * side,
            });
        };
        lookAt(span / 2);
        if (span > spacing / 4) for (const share of [0.08, 0.92]) lookAt(span * share);
        for (let distance = spacing; distance < span * 0.92 && parts > 1; distance += spacing) lookAt(distance);
        turned = since = 0;
      }
      beforeX = from.x;
      beforeY = from.y;
    }
  }
}

/** The ring without repeated points, turned so that its material lies on the left. */
function directed(points: Polyline, inside: 1 | -1): Polyline {
  let twice = 0,
    repeats = false;
  for (let index = 0; index < points.length; index++) {
    const a = points[index]!,
      b = points[index + 1 === points.length ? 0 : index + 1]!;
    twice += a.x * b.y - b.x * a.y;
    if (a.x === b.x && a.y === b.y) repeats = true;
  }
  const clean = repeats
    ? points.filter(
        (point, index) =>
          point.x !== points[(index + 1) % points.length]!.x || point.y !== points[(index + 1) % points.length]!.y,
      )
    : points;
  return twice * inside > 0 ? clean : [...clean].reverse();
}

/**
 * Every turn goes the way round the inside. The material lies on the left, so that outer rings turn left and cavities
 * right.
 */
function isBulging(ring: Polyline, inside: 1 | -1): boolean {
  let before = ring[ring.length - 2] ?? ring[0]!,
    at = ring[ring.length - 1]!;
  return ring.every((next) => {
    const ax = at.x - before.x,
      ay = at.y - before.y,
      bx = next.x - at.x,
      by = next.y - at.y;
    before = at;
    at = next;
    return (ax * by - ay * bx) * inside > -LEAST_DENT * (ax * bx + ay * by);
  });
}

/**
 * Directions from the normal of the edge before a corner to that of the edge after it, both included, every 15 degrees
 * or closer.
 */
function fan(start: number, turn: number): readonly number[] {
  const steps = Math.max(1, Math.ceil(Math.abs(turn) / (Math.PI / 12)));
  return Array.from({ length: steps + 1 }, (_, index) => start + (turn * index) / steps);
}

/** In a fixed scattered order: thin places are met early, whichever way the edges run. */
function* scattered<T>(things: readonly T[]): Generator<T> {
  const { length } = things;
  if (length === 0) return;
  let stride = Math.max(1, Math.floor(length * 0.618)) | 1;
  while (greatestCommonDivisor(stride, length) !== 1) stride += 2;
  for (let count = 0, at = 0; count < length; count++, at = (at + stride) % length) yield things[at]!;
}

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b));
