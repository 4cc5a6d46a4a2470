// How thin a shape gets, and how near its edges come to each other across a gap. The thickness at a place is the
// distance between two sides that face each other, as a calliper takes it; corners and tips have none.

import { CROSS_NOISE, LENGTH_NOISE_MM } from '../units';
import { boundPoints, leastExtent } from './box';
import { compareRuns, type LaidOut } from './compare-runs';
import { EdgeGrid } from './edge-grid';
import { EdgeRuns, type EdgeRun } from './edge-runs';
import { InscribedCircles } from './inscribed-circles';
import type { Piece } from './polygon';
import { distance } from './polyline';
import { RingEdges, scatter, type Side } from './ring-edges';
import { RingWalk, type Place } from './ring-walk';
import { thinOut, type Bound, type Thinness, type ThinPlace } from './thin-place';

/** A circle that shrinks by no more than this share has settled. */
const SETTLED_SHARE = 1e-6;
/** A width that changes by no more than this share of itself is known well enough. */
const SETTLED_WIDTH_SHARE = 1e-4;
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
/** A circle in lace takes longer to find than the looks that it would shorten. */
const MOST_POINTS_FIRST = 400;
/** A place is looked for between rings only where it may be thinner than the thinnest known by more than this share. */
const NOT_WORTH_FINDING = 0.998;
/** Sides nearer than this touch, and a neck so thin parts two pieces: no knife leaves it standing. */
const TOUCHING_MM = 0.03;
const FINE_LOOKS = 1500;

/** Thickness of the material. Coordinates in mm; `underMm` decides which places are listed. Cost about n·log n. */
export const findThinStrokes = (pieces: readonly Piece[], underMm = 0): Thinness =>
  new Calliper(pieces).measureStrokes(underMm);

/** Width of the gaps: between pieces, across slots and inside cavities. */
export const findThinGaps = (pieces: readonly Piece[], underMm = 0): Thinness =>
  new Calliper(pieces).measureGaps(underMm);

/** Takes thicknesses of pieces and of the air between them; the edges are laid out once for both. */
export class Calliper {
  private readonly edges: RingEdges;
  private readonly grid: EdgeGrid;
  private readonly rings: RingWalk;
  private readonly laid: LaidOut;
  private readonly runs: EdgeRuns;
  private readonly reach: number;
  /** What the rings bound, and its shapes, on either side: pieces of the material; cavities of the air. */
  private readonly bounded: Readonly<
    Record<Side, { readonly bounds: readonly Bound[]; readonly circles: InscribedCircles }>
  >;
  private side: Side = 1;
  /** Whether the two places settled last lie on one ring: only then a copy of the ring has the place too. */
  private onOneRing = false;
  private bounds: readonly Bound[] = [];

  constructor(private readonly pieces: readonly Piece[]) {
    const box = boundPoints(pieces.map((piece) => piece.outer));
    this.reach = box ? Math.hypot(box.width, box.height) : 0;
    const solid = new InscribedCircles(pieces.map((piece) => [piece.outer, ...piece.cavities]));
    const hollow = new InscribedCircles(pieces.flatMap((piece) => piece.cavities.map((ring) => [ring])));
    let cavity = 0;
    this.bounded = {
      1: {
        circles: solid,
        bounds: pieces.flatMap((piece, group) =>
          Array<Bound>(1 + piece.cavities.length).fill({ group, widest: leastExtent(piece.outer) }),
        ),
      },
      [-1]: {
        circles: hollow,
        bounds: pieces.flatMap((piece): Bound[] => [
          { group: -1, widest: this.reach },
          ...piece.cavities.map((ring) => ({ group: cavity++, widest: leastExtent(ring) })),
        ]),
      },
    };
    const passOver = (ring: number): Side[] =>
      ([1, -1] as const).filter((side) => this.bounded[side].circles.isCopy(this.bounded[side].bounds[ring]!.group));
    const rings = pieces.flatMap((piece) => [
      { points: piece.outer, inside: 1 as const },
      ...piece.cavities.map((points) => ({ points, inside: -1 as const })),
    ]);
    this.edges = new RingEdges(rings.map((ring, id) => ({ ...ring, passOver: passOver(id) })));
    const { x1, y1, x2, y2 } = this.edges;
    this.grid = new EdgeGrid(x1, y1, x2, y2);
    this.runs = new EdgeRuns(this.edges);
    this.rings = new RingWalk(this.edges, this.grid);
    this.laid = { edges: this.edges, grid: this.grid, rings: this.rings };
  }

  measureStrokes(underMm = 0): Thinness {
    return this.measure(1, underMm);
  }

  measureGaps(underMm = 0): Thinness {
    return this.measure(-1, underMm);
  }

  /** The narrowest gap between two pieces, where it is narrower than `underMm`; those within a piece are passed over. */
  measureGapBetween(underMm: number): ThinPlace | null {
    this.side = -1;
    this.bounds = this.bounded[-1].bounds;
    let best: ThinPlace | null = null;
    const limit = () => Math.min((best as ThinPlace | null)?.widthMm ?? underMm, this.reach);
    this.compareRings(limit, (place) => {
      if (place.widthMm > 0 && place.widthMm < limit()) best = place;
    });
    return best;
  }

  /**
   * How much of the outline belongs to strokes under each of the widths, mm; the widths rising. Looked at in about so
   * many places.
   */
  measureFineLengths(widthsMm: readonly number[], places = FINE_LOOKS): readonly number[] {
    this.side = 1;
    this.bounds = this.bounded[1].bounds;
    const { x1, y1, x2, y2 } = this.grid;
    const limit = widthsMm.at(-1) ?? 0;
    const lengths = widthsMm.map(() => 0);
    const step = this.edges.length.reduce((sum, length) => sum + length, 0) / places;
    let since = 0;
    for (let edge = 0; edge < x1.length; edge++) {
      const dx = x2[edge]! - x1[edge]!,
        dy = y2[edge]! - y1[edge]!,
        length = Math.sqrt(dx * dx + dy * dy);
      since += length;
      if (since < step || length === 0) continue;
      const middle = { edge, x: (x1[edge]! + x2[edge]!) / 2, y: (y1[edge]! + y2[edge]!) / 2 };
      const found = this.look(middle, -dy / length, dx / length, limit);
      if (typeof found === 'object')
        for (let at = 0; at < widthsMm.length; at++) if (found.widthMm < widthsMm[at]!) lengths[at]! += since;
      since = 0;
    }
    return lengths;
  }

  private measure(side: Side, underMm: number): Thinness {
    const { bounds, circles } = this.bounded[side];
    this.side = side;
    this.bounds = bounds;
    const places: ThinPlace[] = [];
    let best: ThinPlace | null = null;
    const thinnestKnown = () => (best as ThinPlace | null)?.widthMm ?? Infinity;
    const take = (place: ThinPlace | null, group: number, copied = true) => {
      if (!place || place.widthMm <= 0) return;
      if (place.widthMm < thinnestKnown()) best = place;
      if (place.widthMm < underMm) places.push(...(copied ? circles.inCopies(group, place) : [place]));
    };
    // No piece is thicker than the largest circle in it: the slightest ones give a bound to begin with.
    const widths = new Map(
      bounds.flatMap(({ group, widest }) => (group >= 0 && !circles.isCopy(group) ? [[group, widest] as const] : [])),
    );
    const slight = [...widths].filter(([group]) => circles.countPoints(group) <= MOST_POINTS_FIRST);
    for (const [group] of slight.sort((a, b) => a[1] - b[1]).slice(0, FIRST_CIRCLES)) {
      const circle = circles.find(group);
      if (circle && circle.widthMm > 0 && circle.widthMm < thinnestKnown()) best = circle;
    }
    // Groups whose every look ended in a corner: round or angular pieces without facing sides.
    const open = new Set(widths.keys());
    const looks = this.edges.looks(side);
    for (const at of scatter(looks.edge.length)) {
      const place = { edge: looks.edge[at]!, x: looks.x[at]!, y: looks.y[at]! };
      const { group } = bounds[this.edges.ringOf[place.edge]!]!;
      const found = this.look(place, looks.nx[at]!, looks.ny[at]!, Math.max(thinnestKnown(), underMm));
      if (found === 'corner') continue;
      open.delete(group);
      // What lies in a cavity need not lie in its copies.
      if (found !== 'wide') take(found, group, side === 1 || this.onOneRing);
    }
    this.compareRings(() => Math.max(Math.min(thinnestKnown(), this.reach), underMm), take);
    for (const group of open) take(circles.find(group), group);
    return { thinnest: best, places: thinOut(places) };
  }

  /**
   * Where rings come nearest to one another: every two runs of edges whose boxes are nearer than the limit are
   * compared.
   */
  private compareRings(limit: () => number, take: (place: ThinPlace, group: number) => void): void {
    const group = (run: EdgeRun) => this.bounds[run.ring]!.group;
    for (let one = 0; one < this.runs.list.length; one++) {
      const run = this.runs.list[one]!;
      if (!this.hasNeighbours(group(run))) continue;
      for (const other of this.runs.findWithin(run, limit() * NOT_WORTH_FINDING)) {
        const mate = this.runs.list[other]!;
        if (mate.ring === run.ring || !this.boundOneThing(group(run), group(mate))) continue;
        // Two that both look round are met twice.
        if (other <= one && this.hasNeighbours(group(mate))) continue;
        const nearest = compareRuns(this.laid, this.side, [run, mate], limit() * NOT_WORTH_FINDING);
        const place = nearest && this.settle(...nearest);
        // Between rings of the air the place is its own: no copy has the same neighbours.
        if (place && place !== 'corner') take(place, this.side === 1 ? group(run) : -1);
      }
    }
  }

  /** Rings of its group, or of the open air, may lie beside a ring: material without cavities has one ring only. */
  private hasNeighbours(group: number): boolean {
    if (this.side === -1) return group === -1;
    return this.pieces[group]!.cavities.length > 0 && !this.bounded[1].circles.isCopy(group);
  }

  /** Rings of another piece, or of the air in another cavity: what lies between them is of the other side. */
  private boundOneThing(one: number, other: number): boolean {
    return this.side === 1 ? one === other : one === -1 || other === -1;
  }

  /**
   * The largest ball that touches the edge at the place and nothing else, up to a width of `limit`, and what it faces.
   * It is looked for in the direction (nx, ny), of length 1.
   */
  private look(sample: Place, nx: number, ny: number, limit: number): ThinPlace | 'wide' | 'corner' {
    const widest = Math.min(this.bounds[this.edges.ringOf[sample.edge]!]!.widest, this.reach);
    let radius = Math.min(limit, widest) / 2;
    let touched = -1,
      qx = 0,
      qy = 0;
    for (let round = 0; round < 24; round++) {
      const near = this.grid.findNearest(sample.x + nx * radius, sample.y + ny * radius, radius * (1 - BALL_SLACK));
      if (near === -1) break;
      const dx = this.grid.nearX - sample.x,
        dy = this.grid.nearY - sample.y;
      const height = dx * nx + dy * ny;
      if (height <= CROSS_NOISE) return 'corner';
      const next = (dx * dx + dy * dy) / (2 * height);
      if (next >= radius * (1 - SETTLED_SHARE)) break;
      radius = next;
      touched = near;
      qx = this.grid.nearX;
      qy = this.grid.nearY;
      // Touched just round a corner: smaller balls there touch the same corner, and say nothing of a thickness.
      if (
        this.edges.ringOf[near] === this.edges.ringOf[sample.edge] &&
        this.rings.wayRound(sample, { edge: near, x: qx, y: qy }) < 2 * radius * CORNER_WAY
      )
        return 'corner';
    }
    if (touched === -1) return limit >= widest ? 'corner' : 'wide';
    const cx = sample.x + nx * radius,
      cy = sample.y + ny * radius;
    const cosine = ((qx - cx) * (sample.x - cx) + (qy - cy) * (sample.y - cy)) / (radius * radius);
    return cosine > FACING_COSINE ? 'corner' : this.settle(sample, { edge: touched, x: qx, y: qy });
  }

  /** From two facing places to where their sides are nearest, each walking along its own edge in turn. */
  private settle(a: Place, b: Place): ThinPlace | 'corner' {
    let width = Infinity,
      settled = false;
    for (let round = 0; round < 40 && !settled; round++) {
      a = this.rings.walk(a, b.x, b.y);
      b = this.rings.walk(b, a.x, a.y);
      const now = distance(a, b);
      settled = width - now < width * SETTLED_WIDTH_SHARE || now < LENGTH_NOISE_MM;
      width = now;
    }
    // Still sliding together: down a spike, which has no thickness.
    if (!settled) return 'corner';
    const sameRing = this.edges.ringOf[a.edge] === this.edges.ringOf[b.edge];
    this.onOneRing = sameRing;
    // Followed into a tip, the two sides meet: that is a corner, whatever its angle.
    if (width < TOUCHING_MM || (sameRing && this.rings.wayRound(a, b) < width * LEAST_WAY_ROUND)) return 'corner';
    if (!this.rings.facesInward(this.side, a, b) || !this.rings.facesInward(this.side, b, a)) return 'corner';
    const x = (a.x + b.x) / 2,
      y = (a.y + b.y) / 2;
    // Walked past something that lies between them, or out of sight of each other round a corner.
    return this.grid.findNearest(x, y, (width / 2) * (1 - SETTLED_SLACK)) === -1 ? { widthMm: width, x, y } : 'corner';
  }
}
