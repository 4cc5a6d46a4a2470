// Polygon arithmetic in mm: unions, intersections, areas and lengths. With `apart-rings`, `unite-near` and `untangle`
// the only files that know the clipping library.

import {
  Clipper,
  ClipType,
  EndType,
  FillRule,
  JoinType,
  PolyTree64,
  type Path64,
  type Paths64,
  type PolyPath64,
} from 'clipper2-ts';
import { fillApart, findAround, type FillRuleName } from './apart-rings';
import { boundPoints, groupByOverlap, type Box } from './box';
import type { Point } from './matrix';
import { computeLength, type Polyline } from './polyline';
import { uniteNear } from './unite-near';
import { fillRings } from './untangle';

export type { FillRuleName };
/** A region as closed rings: outer ones and holes, none crossing another. */
export type Region = { readonly rings: Paths64 };
/** One connected piece of a region: its outer ring and its cavities. */
export type Piece = { readonly outer: Polyline; readonly cavities: readonly Polyline[] };

/** Steps per mm on the integer grid the library works on: 0.1 µm, so that 200 m of drawing still fit. */
export const GRID_PER_MM = 10_000;

const toGrid = (line: Polyline): Path64 =>
  line.map((point) => ({ x: Math.round(point.x * GRID_PER_MM), y: Math.round(point.y * GRID_PER_MM) }));
const fromGrid = (path: Path64): Polyline =>
  path.map((point) => ({ x: point.x / GRID_PER_MM, y: point.y / GRID_PER_MM }));

/**
 * The area that closed polylines paint under a fill rule; lines of fewer than three points paint nothing. `apart`:
 * those of the lines that are known to meet no other.
 */
export function fillRegion(
  lines: readonly Polyline[],
  rule: FillRuleName,
  apart: ReadonlySet<Polyline> = new Set(),
): Region {
  const paths: Paths64 = [];
  const apartPaths = new Set<Path64>();
  for (const line of lines) {
    const path = toGridOnce(line);
    if (path.length < 3) continue;
    paths.push(path);
    if (apart.has(line)) apartPaths.add(path);
  }
  return { rings: fillRings(paths, rule, apartPaths) };
}

/**
 * A closed line on a grid of so many steps per mm, without points between their neighbours: rounded, a hair’s breadth
 * would lie back on itself. Empty where nothing is left.
 */
export function snapLine(line: Polyline, stepsPerMm: number): Polyline {
  const onGrid = line.map(({ x, y }) => ({ x: Math.round(x * stepsPerMm), y: Math.round(y * stepsPerMm) }));
  return Clipper.trimCollinear(onGrid).map(({ x, y }) => ({ x: x / stepsPerMm, y: y / stepsPerMm }));
}

/** As `toGrid`, without points that lie where the one before them does, the last one before the first. */
function toGridOnce(line: Polyline): Path64 {
  const clean: Path64 = [];
  const last = line[line.length - 1];
  let beforeX = Math.round((last?.x ?? 0) * GRID_PER_MM),
    beforeY = Math.round((last?.y ?? 0) * GRID_PER_MM);
  for (const point of line) {
    const x = Math.round(point.x * GRID_PER_MM),
      y = Math.round(point.y * GRID_PER_MM);
    if (x !== beforeX || y !== beforeY) clean.push({ x, y });
    beforeX = x;
    beforeY = y;
  }
  return clean;
}

export function uniteRegions(regions: readonly Region[]): Region {
  const solid = regions.filter((region) => region.rings.length > 0);
  if (solid.length <= 1) return solid[0] ?? { rings: [] };
  // Only what may touch has to be united: most shapes of a drawing lie apart.
  const groups = groupByOverlap(solid.map((region) => boundPoints(region.rings)!));
  return { rings: groups.flatMap((members) => uniteNear(members.map((index) => solid[index]!.rings))) };
}

export function intersectRegions(region: Region, mask: Region): Region {
  if (region.rings.length === 0 || mask.rings.length === 0) return { rings: [] };
  return { rings: Clipper.intersect(region.rings, mask.rings, FillRule.NonZero) };
}

/** What of `region` lies outside `mask`. */
export function subtractRegions(region: Region, mask: Region): Region {
  if (region.rings.length === 0 || mask.rings.length === 0) return region;
  return { rings: Clipper.difference(region.rings, mask.rings, FillRule.NonZero) };
}

export type Join = 'miter' | 'round' | 'bevel';
export type Cap = 'butt' | 'square' | 'round';
const JOINS = { miter: JoinType.Miter, round: JoinType.Round, bevel: JoinType.Bevel } as const;
const CAPS = { butt: EndType.Butt, square: EndType.Square, round: EndType.Round } as const;
/** How far a round corner of an offset may stray from its circle, mm. */
const ARC_TOLERANCE_MM = 0.003;

/** The region grown by `byMm`, or shrunk where negative. Mitred corners are cut off past `miterLimit` half-widths. */
export function offsetRegion(region: Region, byMm: number, join: Join = 'round', miterLimit = 4): Region {
  if (region.rings.length === 0 || byMm === 0) return region;
  return {
    rings: Clipper.inflatePaths(
      region.rings,
      byMm * GRID_PER_MM,
      JOINS[join],
      EndType.Polygon,
      miterLimit,
      ARC_TOLERANCE_MM * GRID_PER_MM,
    ),
  };
}

export type StrokeStyle = {
  readonly widthMm: number;
  readonly join: Join;
  readonly cap: Cap;
  readonly miterLimit: number;
};

/**
 * The band that a pen of this width paints along a line. A closed line of one point is a dot where the cap makes one.
 */
export function strokeLine(line: Polyline, closed: boolean, style: StrokeStyle): Region {
  const end = closed && line.length > 2 ? EndType.Joined : CAPS[style.cap];
  if (line.length < 2 && style.cap === 'butt') return { rings: [] };
  const band = Clipper.inflatePaths(
    [toGrid(line)],
    (style.widthMm / 2) * GRID_PER_MM,
    JOINS[style.join],
    end,
    Math.max(1, style.miterLimit),
    ARC_TOLERANCE_MM * GRID_PER_MM,
  );
  return { rings: Clipper.union(band, FillRule.NonZero) };
}

export const transformRegion = (region: Region, map: (point: Point) => Point): Region =>
  orient(region.rings.map((ring) => toGrid(fromGrid(ring).map(map))));

export const shiftRegion = (region: Region, dxMm: number, dyMm: number): Region => ({
  rings: Clipper.translatePaths(region.rings, Math.round(dxMm * GRID_PER_MM), Math.round(dyMm * GRID_PER_MM)),
});

/** A map that mirrors turns every ring round: rings are filled anew so that outer ones and holes keep their sense. */
const orient = (rings: Paths64): Region => ({ rings: Clipper.union(rings, FillRule.EvenOdd) });

/** The region with points left out that lie within `toleranceMm` of the line between their neighbours. */
export function simplifyRegion(region: Region, toleranceMm: number): Region {
  const rings = Clipper.simplifyPaths(region.rings, toleranceMm * GRID_PER_MM);
  return { rings: fillApart(rings, 'nonzero') ?? Clipper.union(rings, FillRule.NonZero) };
}

/** The upright box around a region, mm; null when it is empty. */
export function boundRegion(region: Region): Box | null {
  const box = boundPoints(region.rings);
  return (
    box && {
      x: box.x / GRID_PER_MM,
      y: box.y / GRID_PER_MM,
      width: box.width / GRID_PER_MM,
      height: box.height / GRID_PER_MM,
    }
  );
}

/** Area of a region, mm², holes out. */
export const computeRegionArea = (region: Region): number =>
  Math.abs(region.rings.reduce((sum, ring) => sum + Clipper.area(ring), 0)) / (GRID_PER_MM * GRID_PER_MM);

/** A region of outlines that were united before: outer ones run one way, holes the other, and none meets another. */
export const outlineRegion = (outlines: readonly Polyline[]): Region => ({
  rings: outlines.map(toGridOnce).filter((path) => path.length >= 3),
});

/** A region of the given rings, whichever way they run: inside is what an odd number of them surrounds. */
export const makeRegion = (rings: readonly Polyline[]): Region => fillRegion(rings, 'evenodd');

/** Connected pieces with their cavities; an island inside a cavity is a piece of its own. */
export function splitPieces(region: Region): readonly Piece[] {
  const groups = groupByOverlap(region.rings.map((ring) => boundPoints([ring])!));
  return groups.flatMap((members) =>
    members.length === 1
      ? [{ outer: fromGrid(region.rings[members[0]!]!), cavities: [] }]
      : nestGroup(members.map((index) => region.rings[index]!)),
  );
}

/** Each hole belongs to the smallest outer ring that it lies in. */
function nestGroup(rings: Paths64): readonly Piece[] {
  const areas = rings.map((ring) => Clipper.area(ring));
  const outers = rings.flatMap((_, id) => (areas[id]! > 0 ? [id] : []));
  // Where there is only one of those, as in lace, nothing needs to be looked at.
  const around = outers.length === 1 ? rings.map(() => outers) : findAround(rings);
  if (!around || outers.length === 0) return nestRings(rings);
  const cavities = new Map(outers.map((id) => [id, [] as Polyline[]]));
  for (const [id, ring] of rings.entries()) {
    if (cavities.has(id)) continue;
    const holders = around[id]!.filter((other) => areas[other]! > 0);
    if (holders.length === 0) return nestRings(rings);
    cavities
      .get(holders.reduce((least, other) => (areas[other]! < areas[least]! ? other : least)))!
      .push(fromGrid(ring));
  }
  return outers.map((id) => ({ outer: fromGrid(rings[id]!), cavities: cavities.get(id)! }));
}

/** As the library tells it: for rings that touch in all their points. */
function nestRings(rings: Paths64): readonly Piece[] {
  const tree = new PolyTree64();
  Clipper.booleanOpWithPolyTree(ClipType.Union, rings, null, tree, FillRule.NonZero);
  const pieces: Piece[] = [];
  const waiting: PolyPath64[] = childrenOf(tree);
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    const cavities = childrenOf(node);
    pieces.push({
      outer: fromGrid(node.polygon ?? []),
      cavities: cavities.map((cavity) => fromGrid(cavity.polygon ?? [])),
    });
    for (const cavity of cavities) waiting.push(...childrenOf(cavity));
  }
  return pieces;
}

function childrenOf(node: PolyPath64): PolyPath64[] {
  return Array.from({ length: node.count }, (_, index) => node.child(index));
}

export function getRings(region: Region): readonly Polyline[] {
  return region.rings.map(fromGrid);
}

/** Of all rings of a region, outer ones and holes, mm. */
export const computeRegionPerimeter = ({ rings }: Region): number =>
  rings.reduce((sum, ring) => sum + computeLength(fromGrid(ring), true), 0);
