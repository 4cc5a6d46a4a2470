// How thin a shape gets, and how near its edges come to each other across a gap. The thickness at a place is the
// distance between two sides that face each other, as a calliper takes it; corners and tips have none.

import { boundPoints, leastExtent } from './box';
import { EdgeDirections } from './edge-directions';
import { EdgeGrid } from './edge-grid';
import { EdgeRuns } from './edge-runs';
import { FacingSides } from './facing-sides';
import { InscribedCircles } from './inscribed-circles';
import { NearestSides } from './nearest-sides';
import { OwnWidths } from './own-widths';
import type { Piece } from './polygon';
import { RingEdges, type Looks, type Side } from './ring-edges';
import { RingWalk } from './ring-walk';
import { scatter } from './scatter';
import type { Bound, Bounded, Thinness, ThinPlace } from './thin-place';
import { ThinSearch } from './thin-search';

const FIRST_CIRCLES = 6;
/** A circle in lace takes longer to find than the looks that it would shorten. */
const MOST_POINTS_FIRST = 400;
const FINE_LOOKS = 1500;
/** Neighbours are looked for within this part of the whole first: of islands that touch what goes round them there are none. */
const NEAR_BY = 32;

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
  private readonly reach: number;
  /** What the rings bound, and its shapes, on either side: pieces of the material; cavities of the air. */
  private readonly bounded: Readonly<Record<Side, Bounded>>;
  private readonly facing: Readonly<Record<Side, FacingSides>>;
  private readonly nearest: Readonly<Record<Side, NearestSides>>;
  /** As it was found before: it bounds what is looked for from the beginning. */
  private readonly thinnest: Partial<Record<Side, ThinPlace | null>> = {};

  constructor(pieces: readonly Piece[]) {
    const box = boundPoints(pieces.map((piece) => piece.outer));
    this.reach = box ? Math.hypot(box.width, box.height) : 0;
    const solid = new InscribedCircles(pieces.map((piece) => [piece.outer, ...piece.cavities]));
    const hollow = new InscribedCircles(pieces.flatMap((piece) => piece.cavities.map((ring) => [ring])));
    let cavity = 0;
    this.bounded = {
      1: gather(
        solid,
        pieces.flatMap((piece, group) =>
          Array<Bound>(1 + piece.cavities.length).fill({ group, widest: leastExtent(piece.outer) }),
        ),
      ),
      [-1]: gather(
        hollow,
        pieces.flatMap((piece): Bound[] => [
          { group: -1, widest: this.reach },
          ...piece.cavities.map((ring) => ({ group: cavity++, widest: leastExtent(ring) })),
        ]),
      ),
    };
    const passOver = (ring: number): Side[] =>
      ([1, -1] as const).filter((side) => this.bounded[side].circles.isCopy(this.bounded[side].bounds[ring]!.group));
    const ringsOf = pieces.flatMap((piece) => [
      { points: piece.outer, inside: 1 as const },
      ...piece.cavities.map((points) => ({ points, inside: -1 as const })),
    ]);
    this.edges = new RingEdges(ringsOf.map((ring, id) => ({ ...ring, passOver: passOver(id) })));
    const { x1, y1, x2, y2 } = this.edges;
    this.grid = new EdgeGrid(x1, y1, x2, y2);
    const directions = new EdgeDirections(this.edges);
    const runs = new EdgeRuns(this.edges, directions);
    const rings = new RingWalk(this.edges, this.grid);
    const laid = { edges: this.edges, grid: this.grid, rings };
    const own = new OwnWidths(this.edges, this.grid, rings, directions);
    const faceAcross = (side: Side) =>
      new FacingSides(laid, side, (ring) => Math.min(this.bounded[side].bounds[ring]!.widest, this.reach));
    this.facing = { 1: faceAcross(1), [-1]: faceAcross(-1) };
    const findNearest = (side: Side) =>
      new NearestSides(side, this.bounded[side], { laid, runs, own, facing: this.facing[side] });
    this.nearest = { 1: findNearest(1), [-1]: findNearest(-1) };
  }

  measureStrokes(underMm = 0): Thinness {
    return this.measure(1, underMm);
  }

  measureGaps(underMm = 0): Thinness {
    return this.measure(-1, underMm);
  }

  /** The narrowest gap between two pieces, where it is narrower than `underMm`; those within a piece are passed over. */
  measureGapBetween(underMm: number): ThinPlace | null {
    let best: ThinPlace | null = null;
    const limit = () => Math.min((best as ThinPlace | null)?.widthMm ?? underMm, this.reach);
    this.nearest[-1].compareRings(limit, (place) => {
      if (place.widthMm > 0 && place.widthMm < limit()) best = place;
    });
    return best;
  }

  /**
   * How much of the outline belongs to strokes under each of the widths, mm; the widths rising. Looked at in about so
   * many places.
   */
  measureFineLengths(widthsMm: readonly number[], places = FINE_LOOKS): readonly number[] {
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
      const found = this.facing[1].look(middle, -dy / length, dx / length, limit);
      if (typeof found === 'object')
        for (let at = 0; at < widthsMm.length; at++) if (found.widthMm < widthsMm[at]!) lengths[at]! += since;
      since = 0;
    }
    return lengths;
  }

  private measure(side: Side, underMm: number): Thinness {
    const { bounds, circles } = this.bounded[side];
    const search = new ThinSearch(circles, { thinnest: this.thinnest[side] ?? null, underMm, mostMm: this.reach });
    const nearest = this.nearest[side];
    // From what is quick to what takes long without a bound: what is found first shortens all that follows.
    search.thinnest ??= this.findSlightest(side);
    const hasNeighbour = nearest.compareFirst(search, this.reach / NEAR_BY);
    nearest.compareWithin(search);
    if (!hasNeighbour) nearest.compareFirst(search, this.reach);
    // Groups whose every look ended in a corner: round or angular pieces without facing sides.
    const open = new Set(bounds.flatMap(({ group }) => (group >= 0 && !circles.isCopy(group) ? [group] : [])));
    this.lookAlong(side, this.edges.looks(side), search, (group) => void open.delete(group));
    nearest.compareRings(search.limit, search.take);
    for (const group of open)
      if (!circles.hasRoom(group, search.limit()) && !this.facesItself(side, group, search))
        search.take(circles.find(group), group);
    this.thinnest[side] = search.thinnest;
    return search.conclude();
  }

  /** `notCorner` is told the groups of looks that found something across, or nothing near. */
  private lookAlong(side: Side, looks: Looks, search: ThinSearch, notCorner: (group: number) => void): void {
    const { bounds } = this.bounded[side];
    const facing = this.facing[side];
    for (const at of scatter(looks.edge.length)) {
      const place = { edge: looks.edge[at]!, x: looks.x[at]!, y: looks.y[at]! };
      const { group } = bounds[this.edges.ringOf[place.edge]!]!;
      const found = facing.look(place, looks.nx[at]!, looks.ny[at]!, search.limit());
      if (found === 'corner') continue;
      notCorner(group);
      // What lies in a cavity need not lie in its copies.
      if (found !== 'wide') search.take(found, group, side === 1 || facing.onOneRing);
    }
  }

  /** Of a group that was not looked at: whether any look from its rings ends otherwise than in a corner. */
  private facesItself(side: Side, group: number, search: ThinSearch): boolean {
    let faces = false;
    for (const ring of this.bounded[side].rings.get(group) ?? []) {
      this.lookAlong(side, this.edges.looksApart(ring, side), search, () => (faces = true));
      if (faces) break;
    }
    return faces;
  }

  /** No piece is thicker than the largest circle in it: the slightest ones give a bound to begin with. */
  private findSlightest(side: Side): ThinPlace | null {
    const { bounds, circles } = this.bounded[side];
    const widths = new Map(
      bounds.flatMap(({ group, widest }) => (group >= 0 && !circles.isCopy(group) ? [[group, widest] as const] : [])),
    );
    const slight = [...widths].filter(([group]) => circles.countPoints(group) <= MOST_POINTS_FIRST);
    let least: ThinPlace | null = null;
    for (const [group] of slight.sort((a, b) => a[1] - b[1]).slice(0, FIRST_CIRCLES)) {
      const circle = circles.find(group);
      if (circle && circle.widthMm > 0 && circle.widthMm < (least?.widthMm ?? Infinity)) least = circle;
    }
    return least;
  }
}

function gather(circles: InscribedCircles, bounds: readonly Bound[]): Bounded {
  const rings = new Map<number, number[]>();
  bounds.forEach(({ group }, ring) => {
    const known = rings.get(group);
    if (known) known.push(ring);
    else rings.set(group, [ring]);
  });
  return { bounds, circles, rings };
}

const known = new WeakMap<readonly Piece[], Calliper>();

/** Laid out once for as long as the pieces are kept. */
export function callipersOf(pieces: readonly Piece[]): Calliper {
  let calliper = known.get(pieces);
  if (!calliper) known.set(pieces, (calliper = new Calliper(pieces)));
  return calliper;
}
