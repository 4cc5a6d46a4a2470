// How thin a shape gets, and how near its edges come to each other across a gap. The thickness at a place is the
// distance between two sides that face each other, as a calliper takes it; corners and tips have none.

import { boundPoints, leastExtent } from './box';
import { compareRuns, type LaidOut } from './compare-runs';
import { EdgeDirections } from './edge-directions';
import { EdgeGrid } from './edge-grid';
import { EdgeRuns, type EdgeRun } from './edge-runs';
import { FacingSides } from './facing-sides';
import { InscribedCircles } from './inscribed-circles';
import { OwnWidths } from './own-widths';
import type { Piece } from './polygon';
import { RingEdges, type Looks, type Side } from './ring-edges';
import { RingWalk } from './ring-walk';
import { scatter } from './scatter';
import type { Bound, Thinness, ThinPlace } from './thin-place';
import { ThinSearch } from './thin-search';

const FIRST_CIRCLES = 6;
/** So many runs of edges are compared with their neighbours first, which are looked for from a nearness on that doubles. */
const FIRST_RUNS = 12;
const FIRST_REACHES = 4096;
/** A circle in lace takes longer to find than the looks that it would shorten. */
const MOST_POINTS_FIRST = 400;
/** A place is looked for between rings only where it may be thinner than the thinnest known by more than this share. */
const NOT_WORTH_FINDING = 0.998;
const FINE_LOOKS = 1500;

/** Thickness of the material. Coordinates in mm; `underMm` decides which places are listed. Cost about n·log n. */
export const findThinStrokes = (pieces: readonly Piece[], underMm = 0): Thinness =>
  new Calliper(pieces).measureStrokes(underMm);

/** Width of the gaps: between pieces, across slots and inside cavities. */
export const findThinGaps = (pieces: readonly Piece[], underMm = 0): Thinness =>
  new Calliper(pieces).measureGaps(underMm);

type Bounded = { readonly bounds: readonly Bound[]; readonly circles: InscribedCircles };

/** Takes thicknesses of pieces and of the air between them; the edges are laid out once for both. */
export class Calliper {
  private readonly edges: RingEdges;
  private readonly grid: EdgeGrid;
  private readonly laid: LaidOut;
  private readonly runs: EdgeRuns;
  private readonly own: OwnWidths;
  private readonly reach: number;
  /** What the rings bound, and its shapes, on either side: pieces of the material; cavities of the air. */
  private readonly bounded: Readonly<Record<Side, Bounded>>;
  private readonly facing: Readonly<Record<Side, FacingSides>>;
  /** As it was found before: it bounds what is looked for from the beginning. */
  private readonly thinnest: Partial<Record<Side, ThinPlace | null>> = {};
  private readonly ringsOf: Partial<Record<Side, ReadonlyMap<number, readonly number[]>>> = {};

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
    const ringsOf = pieces.flatMap((piece) => [
      { points: piece.outer, inside: 1 as const },
      ...piece.cavities.map((points) => ({ points, inside: -1 as const })),
    ]);
    this.edges = new RingEdges(ringsOf.map((ring, id) => ({ ...ring, passOver: passOver(id) })));
    const { x1, y1, x2, y2 } = this.edges;
    this.grid = new EdgeGrid(x1, y1, x2, y2);
    const directions = new EdgeDirections(this.edges);
    this.runs = new EdgeRuns(this.edges, directions);
    const rings = new RingWalk(this.edges, this.grid);
    this.laid = { edges: this.edges, grid: this.grid, rings };
    this.own = new OwnWidths(this.edges, this.grid, rings, directions);
    const faceAcross = (side: Side) =>
      new FacingSides(this.laid, side, (ring) => Math.min(this.bounded[side].bounds[ring]!.widest, this.reach));
    this.facing = { 1: faceAcross(1), [-1]: faceAcross(-1) };
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
    this.compareRings(-1, limit, (place) => {
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
    if (!search.thinnest) {
      search.thinnest = this.findSlightest(side);
      this.compareFirst(side, search.take);
    }
    // Groups whose every look ended in a corner: round or angular pieces without facing sides.
    const open = new Set(bounds.flatMap(({ group }) => (group >= 0 && !circles.isCopy(group) ? [group] : [])));
    this.lookAlong(side, this.edges.looks(side), search, (group) => void open.delete(group));
    this.compareWithin(side, search);
    this.compareRings(side, search.limit, search.take);
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
    const ringsOf = (this.ringsOf[side] ??= listRings(this.bounded[side].bounds));
    let faces = false;
    for (const ring of ringsOf.get(group) ?? []) {
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

  /**
   * Where two stretches of one ring come nearest to each other: at a waist, between two corners. Of long rings looks tell
   * it.
   */
  private compareWithin(side: Side, { limit, take }: ThinSearch): void {
    const { bounds, circles } = this.bounded[side];
    const { firstOf, list } = this.runs;
    const reach = () => limit() * NOT_WORTH_FINDING;
    for (const ring of scatter(bounds.length)) {
      const { group } = bounds[ring]!;
      if (!this.edges.isLookedAt(ring, side) || !this.edges.isShort(ring)) continue;
      // What bulges everywhere is nowhere narrower than the circles in it are.
      if (group >= 0 && this.edges.isBulging(ring) && circles.hasRoom(group, reach())) continue;
      for (let one = firstOf[ring]!; one < firstOf[ring + 1]!; one++)
        this.runs.visitFacing(one, reach(), (mate) => {
          const nearest = this.own.compare(side, list[one]!, mate, reach());
          const place = nearest && this.facing[side].settle(...nearest);
          if (place && place !== 'corner') take(place, group);
        });
    }
  }

  /**
   * Where rings come nearest to one another: every two runs of edges whose boxes are nearer than the limit are
   * compared.
   */
  private compareRings(side: Side, limit: () => number, take: (place: ThinPlace, group: number) => void): void {
    for (let one = 0; one < this.runs.list.length; one++) this.compareToOthers(side, one, limit, take, one);
  }

  /** A few runs, and what lies nearest to one of them: with a first bound all that follows looks less far. */
  private compareFirst(side: Side, take: (place: ThinPlace, group: number) => void): void {
    if (this.edges.length.length < 2) return;
    const some = scatter(this.runs.list.length).subarray(0, FIRST_RUNS);
    let found = false;
    const takeFirst = (place: ThinPlace, group: number) => {
      found = true;
      take(place, group);
    };
    for (let reach = this.reach / FIRST_REACHES; reach < this.reach && !found; reach *= 2)
      for (const one of some) this.compareToOthers(side, one, () => reach, takeFirst);
  }

  /** Of the runs up to `met` only those that don't look round themselves: two that both do would meet twice. */
  private compareToOthers(
    side: Side,
    one: number,
    limit: () => number,
    take: (place: ThinPlace, group: number) => void,
    met = -1,
  ): void {
    const group = (run: EdgeRun) => this.bounded[side].bounds[run.ring]!.group;
    const run = this.runs.list[one]!;
    if (!this.hasNeighbours(side, group(run))) return;
    for (const other of this.runs.findWithin(run, limit() * NOT_WORTH_FINDING)) {
      const mate = this.runs.list[other]!;
      if (mate.ring === run.ring || !boundOneThing(side, group(run), group(mate))) continue;
      if (other <= met && this.hasNeighbours(side, group(mate))) continue;
      const nearest = compareRuns(this.laid, side, [run, mate], limit() * NOT_WORTH_FINDING);
      const place = nearest && this.facing[side].settle(...nearest);
      // Between rings of the air the place is its own: no copy has the same neighbours.
      if (place && place !== 'corner') take(place, side === 1 ? group(run) : -1);
    }
  }

  /**
   * Rings of its group, or of the open air, may lie beside a ring: material without cavities has one ring only, and so
   * has the air round a single piece.
   */
  private hasNeighbours(side: Side, group: number): boolean {
    if (side === -1) return group === -1 && this.pieces.length > 1;
    return this.pieces[group]!.cavities.length > 0 && !this.bounded[1].circles.isCopy(group);
  }
}

/** Rings of another piece, or of the air in another cavity: what lies between them is of the other side. */
const boundOneThing = (side: Side, one: number, other: number): boolean =>
  side === 1 ? one === other : one === -1 || other === -1;

function listRings(bounds: readonly Bound[]): ReadonlyMap<number, readonly number[]> {
  const rings = new Map<number, number[]>();
  bounds.forEach(({ group }, ring) => {
    const known = rings.get(group);
    if (known) known.push(ring);
    else rings.set(group, [ring]);
  });
  return rings;
}

const known = new WeakMap<readonly Piece[], Calliper>();

/** Laid out once for as long as the pieces are kept. */
export function callipersOf(pieces: readonly Piece[]): Calliper {
  let calliper = known.get(pieces);
  if (!calliper) known.set(pieces, (calliper = new Calliper(pieces)));
  return calliper;
}
