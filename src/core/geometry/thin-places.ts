// How thin a shape gets, and how near its edges come to each other across a gap. The thickness at a place is the
// distance between two sides that face each other, as a calliper takes it; corners and tips have none.

import polylabel from 'polylabel';
import type { Point } from './matrix';
import { boundPoints } from './box';
import { EdgeGrid } from './edge-grid';
import { computeLength, type Piece, type Polyline } from './polygon';

export type ThinPlace = { readonly widthMm: number; readonly x: number; readonly y: number };
export type Thinness = {
  /** The thinnest place; null where no two sides face each other (a single bar has a thickness, the air around it no gap). */
  readonly thinnest: ThinPlace | null;
  /** Places thinner than was asked for, thinnest first, at most `PLACES_KEPT`, none within its own width of another. */
  readonly places: readonly ThinPlace[];
};
export const PLACES_KEPT = 200;

/** All edges together are divided into about as many stretches as there are vertices, within these bounds. */
const STRETCHES = { least: 160, most: 4000 } as const;
/** Curves are looked at after every so much turn, stretches of straight edge once, and near both their ends. */
const TURN_STEP = (9 * Math.PI) / 180;
/** A turn of more than this in one vertex is a corner: it is looked at in several directions where it juts out. */
const CORNER_TURN = (25 * Math.PI) / 180;
/** Looks at most; with more, the steps are widened. */
const MOST_SAMPLES = 12_000;
/** Sides that face each other within this angle count as facing before they are followed to where they are nearest. */
const FACING_COSINE = Math.cos((162 * Math.PI) / 180);
/** A ball counts as free when nothing reaches further into it than this share of its radius: flattened curves do. */
const BALL_SLACK = 1e-3;
const SETTLED_SLACK = 0.02;
/** The way along the edge from one side to the other, in widths, below which it is only a corner cut off. */
const LEAST_WAY_ROUND = 1.25;
/** The way round a right angle is one width; any shorter way goes round a blunter corner. */
const CORNER_WAY = 1.02;
const FIRST_CIRCLES = 6;
/** Sides nearer than this touch, and a neck so thin parts two pieces: no knife leaves it standing. */
const TOUCHING_MM = 0.03;

/** Thickness of the material. Coordinates in mm; `underMm` decides which places are listed. Cost about n·log n. */
export function findThinStrokes(pieces: readonly Piece[], underMm = 0): Thinness {
  const rings = pieces.flatMap((piece, index) => {
    const widest = leastExtent(piece.outer);
    return [{ ring: piece.outer, inside: 1, group: index, widest }, ...piece.cavities.map((ring) => ({ ring, inside: -1, group: index, widest }))];
  });
  return new Calliper(rings, underMm).measure((group) => {
    const piece = pieces[group]!;
    return inscribe([piece.outer, ...piece.cavities]);
  });
}

/** Width of the gaps: between pieces, across slots and inside cavities. */
export function findThinGaps(pieces: readonly Piece[], underMm = 0): Thinness {
  let group = 0;
  const rings = pieces.flatMap((piece) => [{ ring: piece.outer, inside: -1, group: -1, widest: Infinity }, ...piece.cavities.map((ring) => ({ ring, inside: 1, group: group++, widest: leastExtent(ring) }))]);
  const cavities = pieces.flatMap((piece) => piece.cavities);
  return new Calliper(rings, underMm).measure((index) => inscribe([cavities[index]!]));
}

/** The largest circle in a ring with holes, to within a hundredth of its size. */
function inscribe(rings: readonly Polyline[]): ThinPlace | null {
  const box = boundPoints(rings.slice(0, 1));
  if (!box || rings[0]!.length < 3) return null;
  const found = polylabel(rings.map((ring) => ring.map((point) => [point.x, point.y])), Math.max(1e-4, Math.min(box.width, box.height) / 200));
  return { widthMm: 2 * (found as unknown as { distance: number }).distance, x: found[0]!, y: found[1]! };
}

type Ring = { readonly ring: Polyline; readonly inside: number; readonly group: number; readonly widest: number };

function leastExtent(ring: Polyline): number {
  const box = boundPoints([ring]);
  return box ? Math.min(box.width, box.height) * 1.001 : 0;
}
type Place = { readonly edge: number; readonly x: number; readonly y: number };
/** A place on an edge and the direction looked in, of length 1. */
type Look = Place & { readonly nx: number; readonly ny: number };

class Calliper {
  // The edges of all rings in one row: from (x1, y1) to (x2, y2), the side looked at on their left.
  private readonly x1: number[] = [];
  private readonly y1: number[] = [];
  private readonly x2: number[] = [];
  private readonly y2: number[] = [];
  private readonly ringOf: number[] = [];
  /** Length along the ring up to the edge's start. */
  private readonly along: number[] = [];
  private readonly first: number[] = [];
  private readonly length: number[] = [];
  private readonly grid: EdgeGrid;
  private readonly looks: Look[] = [];
  /** No ball wider than this can lie in a ring's group, mm. */
  private readonly widest: number[] = [];

  constructor(private readonly rings: readonly Ring[], private readonly underMm: number) {
    const total = rings.reduce((sum, { ring }) => sum + computeLength(ring, true), 0);
    const box = boundPoints(rings.map(({ ring }) => ring));
    const reach = box ? Math.hypot(box.width, box.height) : 0;
    const vertices = rings.reduce((sum, { ring }) => sum + ring.length, 0);
    const coarser = Math.max(1, vertices / 3 / MOST_SAMPLES);
    for (const ring of rings) {
      this.widest.push(Math.min(ring.widest, reach));
      this.addRing(ring, (total / Math.min(STRETCHES.most, Math.max(STRETCHES.least, vertices))) * coarser, TURN_STEP * coarser);
    }
    this.grid = new EdgeGrid(Float64Array.from(this.x1), Float64Array.from(this.y1), Float64Array.from(this.x2), Float64Array.from(this.y2));
  }

  /** Edges run so that the side looked at lies on their left; long ones are divided, so that their boxes hug them. */
  private addRing({ ring, inside }: Ring, spacing: number, turnStep: number): void {
    const id = this.first.length;
    const forward = signedArea(ring) * inside > 0;
    const points = withoutRepeats(forward ? ring : [...ring].reverse());
    this.first.push(this.x1.length);
    this.length.push(computeLength(points, true));
    let travelled = 0, turned = Infinity, since = 0;
    for (let at = 0; at < points.length; at++) {
      const before = points[(at + points.length - 1) % points.length]!, from = points[at]!, to = points[(at + 1) % points.length]!;
      const span = Math.hypot(to.x - from.x, to.y - from.y);
      const ux = (to.x - from.x) / span, uy = (to.y - from.y) / span;
      const first = this.x1.length;
      const parts = Math.max(1, Math.min(64, Math.ceil(span / spacing)));
      for (let part = 0; part < parts; part++) {
        const start = (span * part) / parts, end = (span * (part + 1)) / parts;
        this.x1.push(from.x + ux * start);
        this.y1.push(from.y + uy * start);
        this.x2.push(from.x + ux * end);
        this.y2.push(from.y + uy * end);
        this.ringOf.push(id);
        this.along.push(travelled + start);
      }
      travelled += span;
      const lookAt = (distance: number, nx = -uy, ny = ux) => this.looks.push({ edge: first + Math.min(parts - 1, Math.floor((distance / span) * parts)), x: from.x + ux * distance, y: from.y + uy * distance, nx, ny });
      const turn = turnBetween(before, from, to);
      if (turn < -CORNER_TURN) for (const [nx, ny] of fan(before, from, -turn)) lookAt(0, nx, ny);
      turned += Math.abs(turn);
      since += span;
      if (turned >= turnStep || since >= spacing) {
        lookAt(span / 2);
        if (span > spacing / 4) for (const share of [0.08, 0.92]) lookAt(span * share);
        for (let distance = spacing; distance < span * 0.92 && parts > 1; distance += spacing) lookAt(distance);
        turned = since = 0;
      }
    }
  }

  measure(inscribe: (group: number) => ThinPlace | null): Thinness {
    // No piece is thicker than the largest circle in it: the slightest ones give a bound to begin with.
    const slight = this.rings.map((_, id) => id).filter((id) => this.rings[id]!.group >= 0).sort((a, b) => this.widest[a]! - this.widest[b]!).slice(0, FIRST_CIRCLES);
    const places: ThinPlace[] = [];
    let best = slight.flatMap((id) => inscribe(this.rings[id]!.group) ?? []).reduce<ThinPlace | null>((least, circle) => (circle.widthMm > 0 && (!least || circle.widthMm < least.widthMm) ? circle : least), null);
    // Groups whose every look ended in a corner: round or angular pieces without facing sides.
    const open = new Set(this.rings.map(({ group }) => group).filter((group) => group >= 0));
    for (const sample of shuffled(this.looks)) {
      const limit = Math.max(best?.widthMm ?? Infinity, this.underMm);
      const { group } = this.rings[this.ringOf[sample.edge]!]!;
      const found = this.look(sample, limit);
      if (found === 'corner') continue;
      open.delete(group);
      if (found === 'wide') continue;
      if (!best || found.widthMm < best.widthMm) best = found;
      if (found.widthMm < this.underMm) places.push(found);
    }
    for (const group of open) {
      const circle = inscribe(group);
      if (!circle || circle.widthMm <= 0) continue;
      if (!best || circle.widthMm < best.widthMm) best = circle;
      if (circle.widthMm < this.underMm) places.push(circle);
    }
    return { thinnest: best, places: thinOut(places) };
  }

  /** The largest ball that touches the edge at the place and nothing else, up to a width of `limit`, and what it faces. */
  private look(sample: Look, limit: number): ThinPlace | 'wide' | 'corner' {
    const { nx, ny } = sample;
    const widest = this.widest[this.ringOf[sample.edge]!]!;
    let radius = Math.min(limit, widest) / 2;
    let touched = -1;
    let qx = 0, qy = 0;
    for (let round = 0; round < 24; round++) {
      const near = this.grid.findNearest(sample.x + nx * radius, sample.y + ny * radius, radius * (1 - BALL_SLACK));
      if (near === -1) break;
      const dx = this.grid.nearX - sample.x, dy = this.grid.nearY - sample.y;
      const height = dx * nx + dy * ny;
      if (height <= 1e-12) return 'corner';
      const next = (dx * dx + dy * dy) / (2 * height);
      if (next >= radius * (1 - 1e-6)) break;
      radius = next;
      touched = near;
      qx = this.grid.nearX;
      qy = this.grid.nearY;
      // Touched just round a corner: smaller balls there touch the same corner, and say nothing of a thickness.
      if (this.ringOf[near] === this.ringOf[sample.edge] && this.wayRound(sample, { edge: near, x: qx, y: qy }) < 2 * radius * CORNER_WAY) return 'corner';
    }
    if (touched === -1) return limit >= widest ? 'corner' : 'wide';
    const cx = sample.x + nx * radius, cy = sample.y + ny * radius;
    const cosine = ((qx - cx) * (sample.x - cx) + (qy - cy) * (sample.y - cy)) / (radius * radius);
    return cosine > FACING_COSINE ? 'corner' : this.settle(sample, { edge: touched, x: qx, y: qy });
  }

  /** From two facing places to where their sides are nearest, each walking along its own edge in turn. */
  private settle(a: Place, b: Place): ThinPlace | 'corner' {
    let width = Infinity, settled = false;
    for (let round = 0; round < 40 && !settled; round++) {
      a = this.walk(a, b.x, b.y);
      b = this.walk(b, a.x, a.y);
      const now = Math.hypot(a.x - b.x, a.y - b.y);
      settled = width - now < width * 1e-4 || now < 1e-6;
      width = now;
    }
    // Still sliding together: down a spike, which has no thickness.
    if (!settled) return 'corner';
    const sameRing = this.ringOf[a.edge] === this.ringOf[b.edge];
    // Followed into a tip, the two sides meet: that is a corner, whatever its angle.
    if (width < TOUCHING_MM || (sameRing && this.wayRound(a, b) < width * LEAST_WAY_ROUND)) return 'corner';
    if (!this.facesInward(a, b) || !this.facesInward(b, a)) return 'corner';
    const x = (a.x + b.x) / 2, y = (a.y + b.y) / 2;
    // Walked past something that lies between them, or out of sight of each other round a corner.
    return this.grid.findNearest(x, y, (width / 2) * (1 - SETTLED_SLACK)) === -1 ? { widthMm: width, x, y } : 'corner';
  }

  /** From the edge at `from`, `to` lies on the side looked at. */
  private facesInward(from: Place, to: Place): boolean {
    const { x1, y1, x2, y2 } = this.grid;
    const dx = x2[from.edge]! - x1[from.edge]!, dy = y2[from.edge]! - y1[from.edge]!;
    return dx * (to.y - from.y) - dy * (to.x - from.x) > -1e-9;
  }

  /** The place near `from` on the same ring that is closest to (x, y): goes on while it comes nearer. */
  private walk(from: Place, x: number, y: number): Place {
    const { grid } = this;
    let bestEdge = from.edge, best = grid.approach(from.edge, x, y), bestX = grid.nearX, bestY = grid.nearY;
    for (const direction of [1, -1]) {
      let edge = from.edge;
      for (let steps = 0, lag = 0; steps < 40 && lag < 2; steps++) {
        edge = this.neighbour(edge, direction);
        const square = grid.approach(edge, x, y);
        if (square < best - 1e-12) {
          best = square;
          bestEdge = edge;
          bestX = grid.nearX;
          bestY = grid.nearY;
          lag = 0;
        } else lag++;
      }
    }
    return { edge: bestEdge, x: bestX, y: bestY };
  }

  private neighbour(edge: number, direction: number): number {
    const ring = this.ringOf[edge]!;
    const first = this.first[ring]!;
    const count = (this.first[ring + 1] ?? this.x1.length) - first;
    return first + ((((edge - first + direction) % count) + count) % count);
  }

  private wayRound(a: Place, b: Place): number {
    const at = (place: Place) => this.along[place.edge]! + Math.hypot(place.x - this.x1[place.edge]!, place.y - this.y1[place.edge]!);
    const way = Math.abs(at(a) - at(b));
    return Math.min(way, this.length[this.ringOf[a.edge]!]! - way);
  }
}

function withoutRepeats(ring: Polyline): Polyline {
  return ring.filter((point, index) => {
    const next = ring[(index + 1) % ring.length]!;
    return point.x !== next.x || point.y !== next.y;
  });
}

/** The turn at `at`, radians; positive towards the left. */
function turnBetween(before: Point, at: Point, after: Point): number {
  const ax = at.x - before.x, ay = at.y - before.y, bx = after.x - at.x, by = after.y - at.y;
  return Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
}

/** Directions between the normals of two edges that meet in a jutting corner, both included, every 15 degrees or closer. */
function fan(before: Point, at: Point, turn: number): readonly (readonly [number, number])[] {
  const start = Math.atan2(at.y - before.y, at.x - before.x) + Math.PI / 2;
  const steps = Math.max(1, Math.ceil(turn / (Math.PI / 12)));
  return Array.from({ length: steps + 1 }, (_, index) => [Math.cos(start - (turn * index) / steps), Math.sin(start - (turn * index) / steps)] as const);
}

function signedArea(ring: Polyline): number {
  let twice = 0;
  for (let index = 0; index < ring.length; index++) {
    const a = ring[index]!, b = ring[(index + 1) % ring.length]!;
    twice += a.x * b.y - b.x * a.y;
  }
  return twice / 2;
}

/** In a fixed scattered order: thin places are met early, whichever way the edges run. */
function* shuffled<T>(things: readonly T[]): Generator<T> {
  const { length } = things;
  if (length === 0) return;
  let stride = Math.max(1, Math.floor(length * 0.618)) | 1;
  while (greatestCommonDivisor(stride, length) !== 1) stride += 2;
  for (let count = 0, at = 0; count < length; count++, at = (at + stride) % length) yield things[at]!;
}

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b));

function thinOut(places: readonly ThinPlace[]): readonly ThinPlace[] {
  const kept: ThinPlace[] = [];
  for (const place of [...places].sort((a, b) => a.widthMm - b.widthMm)) {
    if (kept.length === PLACES_KEPT) break;
    if (kept.every((other) => Math.hypot(other.x - place.x, other.y - place.y) > Math.max(place.widthMm, other.widthMm) * 1.5)) kept.push(place);
  }
  return kept;
}
