// The edges of closed rings in one row of numbers, material on their left, and the places along them worth a look.

import type { Point } from './matrix';
import { computeLength, type Polyline } from './polyline';

export type DirectedRing = {
  readonly points: Polyline;
  /** 1 for the outer ring of a piece, -1 for a cavity. */
  readonly inside: 1 | -1;
  /** The sides that are not looked at from it: those of a copy, whose model tells all of it. */
  readonly passOver: readonly Side[];
};
/** Which side of the edges is looked at: the material, or the air. */
export type Side = 1 | -1;
/** Places on edges and the directions looked in, of length 1: the look at index `at` is of `edge[at]`, and so on. */
export type Looks = {
  readonly edge: number[];
  readonly x: number[];
  readonly y: number[];
  readonly nx: number[];
  readonly ny: number[];
};

/** All edges together are divided into about so many stretches for each vertex, within these bounds. */
const STRETCHES = { aVertex: 2, least: 160, most: 4000 } as const;
/** Curves are looked at after every so much turn, stretches of straight edge once, and near both their ends. */
const TURN_STEP = (15 * Math.PI) / 180;
/** A turn of more than this in one vertex is a corner: it is looked at in several directions where it juts out. */
const CORNER_TURN = (25 * Math.PI) / 180;
/** However many corners there are, a right one is looked at along both its normals and halfway between. */
const WIDEST_FAN_STEP = Math.PI / 4;
/** A ring of no more edges is compared with itself edge by edge. */
const FEW_EDGES = 768;
/** Turns the other way that rounding makes, radians. */
const LEAST_DENT = 1e-3;
const MOST_PARTS = 64;
/** Looks at most; with more, the steps are widened. */
const MOST_LOOKS = 15_000;

export class RingEdges {
  /** Edge e runs from (x1, y1) to (x2, y2); long edges are divided, so that their boxes hug them. */
  readonly x1: Float64Array;
  readonly y1: Float64Array;
  readonly x2: Float64Array;
  readonly y2: Float64Array;
  readonly ringOf: Uint32Array;
  /** Of each edge the next one of its ring, and the one before it. */
  readonly after: Uint32Array;
  readonly before: Uint32Array;
  /** Length along the ring up to the edge's start. */
  readonly along: Float64Array;
  /** First edge of each ring, and after the last ring the number of edges. */
  readonly first: Uint32Array;
  readonly length: Float64Array;
  private count = 0;
  private readonly spacing: number;
  private readonly turnStep: number;
  /** There are so many edges that looks are widened. */
  private readonly coarse: boolean;
  private readonly fanStep: number;
  private readonly cornerTurn: number;
  private readonly rings: readonly Polyline[];
  private readonly bulging: (boolean | undefined)[];
  private readonly views: Partial<Record<Side, Looks>> = {};

  constructor(private readonly directed: readonly DirectedRing[]) {
    let vertices = 0,
      total = 0;
    this.length = new Float64Array(directed.length);
    directed.forEach(({ points }, id) => {
      vertices += points.length;
      total += this.length[id] = computeLength(points, true);
    });
    const wanted = vertices * STRETCHES.aVertex;
    const coarser = Math.max(1, wanted / 3 / MOST_LOOKS);
    this.turnStep = TURN_STEP * coarser;
    this.coarse = coarser > 1;
    this.fanStep = Math.min(WIDEST_FAN_STEP, TURN_STEP * coarser);
    this.cornerTurn = Math.min(WIDEST_FAN_STEP, CORNER_TURN * coarser);
    this.spacing = (total / Math.min(STRETCHES.most, Math.max(STRETCHES.least, wanted))) * coarser;
    const room = vertices + Math.ceil(this.spacing > 0 ? total / this.spacing : 0) + directed.length;
    this.x1 = new Float64Array(room);
    this.y1 = new Float64Array(room);
    this.x2 = new Float64Array(room);
    this.y2 = new Float64Array(room);
    this.along = new Float64Array(room);
    this.ringOf = new Uint32Array(room);
    this.after = new Uint32Array(room);
    this.before = new Uint32Array(room);
    this.first = new Uint32Array(directed.length + 1);
    this.rings = directed.map(({ points, inside }) => turnRing(points, inside));
    this.bulging = directed.map(() => undefined);
    for (let id = 0; id < directed.length; id++) this.addRing(this.rings[id]!, id);
    this.first[directed.length] = this.count;
    for (const name of ['x1', 'y1', 'x2', 'y2', 'along'] as const) this[name] = this[name].subarray(0, this.count);
  }

  /**
   * Worked out when they are asked for. Of very many edges only those of long rings: what short ones face is found
   * otherwise, and quicker.
   */
  looks(side: Side): Looks {
    return (this.views[side] ??= this.lookFrom(
      this.rings.flatMap((_, id) => (this.isPassedBy(id) ? [] : [id])),
      side,
    ));
  }

  /** Those from a ring that is not among all the others for being short. */
  looksApart(ring: number, side: Side): Looks {
    return this.lookFrom(this.isPassedBy(ring) ? [ring] : [], side);
  }

  private isPassedBy(ring: number): boolean {
    return this.coarse && this.isShort(ring);
  }

  private lookFrom(rings: readonly number[], side: Side): Looks {
    const looks: Looks = { edge: [], x: [], y: [], nx: [], ny: [] };
    for (const id of rings) this.placeLooks(id, side, looks);
    return looks;
  }

  /** Looked at from outside, a ring that bulges everywhere faces itself nowhere; of a copy the model tells all. */
  isLookedAt(ring: number, side: Side): boolean {
    const { inside, passOver } = this.directed[ring]!;
    return !passOver.includes(side) && (side === inside || !this.isBulging(ring));
  }

  /** So few edges that each can be compared with each. */
  isShort(ring: number): boolean {
    return this.first[ring + 1]! - this.first[ring]! <= FEW_EDGES;
  }

  /** Every turn goes the way round the inside. */
  isBulging(ring: number): boolean {
    return (this.bulging[ring] ??= isBulging(this.rings[ring]!, this.directed[ring]!.inside));
  }

  private addRing(ring: Polyline, id: number): void {
    this.first[id] = this.count;
    const last = ring.length - 1;
    if (last < 1) return;
    let travelled = 0;
    for (let at = 0; at <= last; at++) {
      const from = ring[at]!,
        to = ring[at === last ? 0 : at + 1]!;
      const dx = to.x - from.x,
        dy = to.y - from.y;
      const span = Math.sqrt(dx * dx + dy * dy);
      const ux = dx / span,
        uy = dy / span;
      const parts = this.countParts(span);
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
        this.after[edge] = edge + 1;
        this.before[edge] = edge - 1;
      }
      travelled += span;
    }
    this.after[this.count - 1] = this.first[id]!;
    this.before[this.first[id]!] = this.count - 1;
  }

  private countParts(span: number): number {
    return Math.max(1, Math.min(MOST_PARTS, Math.ceil(span / this.spacing)));
  }

  private placeLooks(id: number, side: Side, looks: Looks): void {
    const ring = this.rings[id]!;
    const last = ring.length - 1;
    if (last < 1 || !this.isLookedAt(id, side)) return;
    // What the corners of a short ring face is found otherwise, and quicker where there are many.
    const looksRound = !this.isPassedBy(id);
    let edge = this.first[id]!,
      turned = Infinity,
      since = 0;
    let { x: beforeX, y: beforeY } = ring[last]!;
    for (let at = 0; at <= last; at++) {
      const from = ring[at]!,
        to = ring[at === last ? 0 : at + 1]!;
      const dx = to.x - from.x,
        dy = to.y - from.y,
        ax = from.x - beforeX,
        ay = from.y - beforeY;
      const span = Math.sqrt(dx * dx + dy * dy);
      const turn = Math.atan2(ax * dy - ay * dx, ax * dx + ay * dy);
      if (looksRound && Math.abs(turn) > this.cornerTurn && turn < 0 === (side === 1))
        addRound(looks, { edge, from, ax, ay, turn }, this.fanStep);
      turned += Math.abs(turn);
      since += span;
      const parts = this.countParts(span);
      if (turned >= this.turnStep || since >= this.spacing * 3) {
        const ux = dx / span,
          uy = dy / span;
        for (const distance of this.divide(span, parts)) {
          looks.edge.push(edge + Math.min(parts - 1, Math.floor((distance / span) * parts)));
          looks.x.push(from.x + ux * distance);
          looks.y.push(from.y + uy * distance);
          looks.nx.push(-uy * side);
          looks.ny.push(ux * side);
        }
        turned = since = 0;
      }
      edge += parts;
      beforeX = from.x;
      beforeY = from.y;
    }
  }

  /** How far along a straight stretch it is looked from: its middle, and of a long one both ends and between. */
  private divide(span: number, parts: number): readonly number[] {
    const { spacing } = this;
    const at = [span / 2];
    if (span > spacing * 2) at.push(span * 0.08, span * 0.92);
    if (parts > 1) for (let distance = spacing; distance < span * 0.92; distance += spacing) at.push(distance);
    return at;
  }
}

type Corner = {
  readonly edge: number;
  readonly from: Point;
  /** Along the edge before it. */
  readonly ax: number;
  readonly ay: number;
  readonly turn: number;
};

/** From a corner, in directions from the normal of the edge before it to that of the edge after it. */
function addRound(looks: Looks, { edge, from, ax, ay, turn }: Corner, step: number): void {
  const normal = Math.atan2(ay, ax) + (turn < 0 ? 1 : -1) * (Math.PI / 2);
  for (const angle of fan(normal, turn, step)) {
    looks.edge.push(edge);
    looks.x.push(from.x);
    looks.y.push(from.y);
    looks.nx.push(Math.cos(angle));
    looks.ny.push(Math.sin(angle));
  }
}

/** The ring without repeated points, turned so that its material lies on the left. */
function turnRing(points: Polyline, inside: 1 | -1): Polyline {
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
 * Directions from the normal of the edge before a corner to that of the edge after it, both included, no further apart
 * than `step`.
 */
function fan(start: number, turn: number, step: number): readonly number[] {
  const steps = Math.max(1, Math.ceil(Math.abs(turn) / step));
  const directions: number[] = [];
  for (let index = 0; index <= steps; index++) directions.push(start + (turn * index) / steps);
  return directions;
}
