// Whether a layout holds, told from the outlines alone: none of the search's own shapes, circles or boxes is used here.

import { polygonContains } from 'd3-polygon';
import { LENGTH_NOISE_MM, POINT_NOISE_MM } from '../units';
import {
  makeRegion,
  getRings,
  intersectRegions,
  computeRegionArea,
  transformRegion,
  type Point,
  type Polyline,
  type Region,
} from '../geometry';
import { listSheets } from './bins';
import type { NestLayout, NestPiece, NestStock, Placement, StockMargins } from './nesting';

export type LayoutFault =
  | {
      readonly kind: 'overlap';
      readonly first: Placement;
      readonly second: Placement;
      /** How much nearer than the gap they are, mm. */
      readonly byMm: number;
    }
  | { readonly kind: 'outside'; readonly placement: Placement; readonly byMm: number }
  | { readonly kind: 'spoiled-spot'; readonly placement: Placement }
  /** By an angle that the vinyl's direction does not allow. */
  | { readonly kind: 'turned'; readonly placement: Placement }
  | { readonly kind: 'missing'; readonly pieceId: string; readonly copy: number };
export type CheckOptions = {
  readonly gapMm: number;
  readonly margins: StockMargins;
  /** Counted as kept where it is missed by no more, mm. */
  readonly toleranceMm?: number;
};

/** Every fault of the layout; none where it holds. Compares each two outlines edge by edge. */
export function checkLayout(
  pieces: readonly NestPiece[],
  stock: readonly NestStock[],
  layout: Pick<NestLayout, 'placements' | 'left'>,
  { gapMm, margins, toleranceMm = 0.01 }: CheckOptions,
): readonly LayoutFault[] {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const sheets = listSheets(stock);
  const laid = layout.placements.flatMap((placement) => {
    const piece = byId.get(placement.pieceId);
    return piece ? [{ placement, turns: piece.turns, ...place(piece, placement) }] : [];
  });
  const faults: LayoutFault[] = [];
  laid.forEach((one, at) => {
    const entry = sheets[one.placement.sheet];
    const byMm = entry ? reachOutside(one.rings, entry, entry.margins ?? margins) : Infinity;
    if (byMm > toleranceMm) faults.push({ kind: 'outside', placement: one.placement, byMm });
    if (
      entry?.kind === 'offcut' &&
      entry.spoiledSpots.some(
        (spot) => computeRegionArea(intersectRegions(makeRegion([spot]), one.region)) > toleranceMm * toleranceMm,
      )
    )
      faults.push({ kind: 'spoiled-spot', placement: one.placement });
    if (!isAllowedTurn(one.turns, one.placement.rotationDeg)) faults.push({ kind: 'turned', placement: one.placement });
    for (const other of laid.slice(at + 1)) {
      if (other.placement.sheet !== one.placement.sheet) continue;
      const distance = measureDistance(one, other, gapMm);
      if (distance < gapMm - toleranceMm)
        faults.push({ kind: 'overlap', first: one.placement, second: other.placement, byMm: gapMm - distance });
    }
  });
  const known = new Set([...layout.placements, ...layout.left].map(({ pieceId, copy }) => `${copy} ${pieceId}`));
  for (const piece of pieces)
    for (let copy = 0; copy < piece.copies; copy++)
      if (!known.has(`${copy} ${piece.id}`)) faults.push({ kind: 'missing', pieceId: piece.id, copy });
  return faults;
}

/** Angles this near are one: they are typed and stored with two digits. */
const SAME_ANGLE_DEG = 0.01;

function isAllowedTurn(turns: NestPiece['turns'], degrees: number): boolean {
  if (turns === 'free') return true;
  return turns.some((turn) => {
    const off = Math.abs((((degrees - turn) % 360) + 360) % 360);
    return Math.min(off, 360 - off) <= SAME_ANGLE_DEG;
  });
}

type Laid = {
  readonly rings: readonly Polyline[];
  readonly region: Region;
  readonly box: Bounds;
};

/** A piece where it lies: rotated about its own origin, then moved. */
export function place(
  piece: Pick<NestPiece, 'rings'>,
  placement: Pick<Placement, 'xMm' | 'yMm' | 'rotationDeg'>,
): Laid {
  const angle = (placement.rotationDeg * Math.PI) / 180,
    cos = Math.cos(angle),
    sin = Math.sin(angle);
  const region = transformRegion(makeRegion(piece.rings), ({ x, y }) => ({
    x: x * cos - y * sin + placement.xMm,
    y: x * sin + y * cos + placement.yMm,
  }));
  const rings = getRings(region);
  return { rings, region, box: boundsOf(rings.flat()) };
}

/** How far out of what the machine reaches it lies, mm; 0 and less within. */
function reachOutside(rings: readonly Polyline[], entry: NestStock, { sideMm, endMm }: StockMargins): number {
  const points = rings.flat();
  if (entry.kind !== 'offcut')
    return Math.max(
      ...points.map((point) =>
        Math.max(
          sideMm - point.x,
          point.x - (entry.widthMm - sideMm),
          endMm - point.y,
          point.y - (entry.lengthMm - endMm),
        ),
      ),
    );
  const edge = edgesOf([entry.shape]);
  const outline = entry.shape.map(({ x, y }): [number, number] => [x, y]);
  return Math.max(
    ...points.map((point) => {
      const nearest = Math.min(...edge.map(([a, b]) => distanceToEdge(point, a, b)));
      return sideMm - (polygonContains(outline, [point.x, point.y]) ? nearest : -nearest);
    }),
  );
}

/** The distance between two laid outlines, up to `upTo`; below 0 where they overlap, by about how deep. */
function measureDistance(a: Laid, b: Laid, upTo: number): number {
  if (measureGap(a.box, b.box) > upTo) return Infinity;
  const shared = computeRegionArea(intersectRegions(a.region, b.region));
  if (shared > LENGTH_NOISE_MM) {
    // About how deep: the shared area over the longest side of the box it lies in.
    const points = getRings(intersectRegions(a.region, b.region)).flat();
    const length = Math.max(...points.map((p) => p.x)) - Math.min(...points.map((p) => p.x)),
      height = Math.max(...points.map((p) => p.y)) - Math.min(...points.map((p) => p.y));
    return -shared / Math.max(POINT_NOISE_MM, length, height);
  }
  let nearest = Infinity;
  const others = edgesOf(b.rings).map((edge) => ({ edge, bounds: boundsOf(edge) }));
  for (const edge of edgesOf(a.rings)) {
    const bounds = boundsOf(edge);
    const [p, q] = edge;
    for (const other of others) {
      if (measureGap(bounds, other.bounds) > nearest) continue;
      const [r, s] = other.edge;
      nearest = Math.min(
        nearest,
        distanceToEdge(p, r, s),
        distanceToEdge(q, r, s),
        distanceToEdge(r, p, q),
        distanceToEdge(s, p, q),
      );
    }
  }
  return nearest;
}

const edgesOf = (rings: readonly Polyline[]): readonly (readonly [Point, Point])[] =>
  rings.flatMap((ring) => ring.map((point, at) => [point, ring[(at + 1) % ring.length]!] as const));

type Bounds = { readonly minX: number; readonly maxX: number; readonly minY: number; readonly maxY: number };

const boundsOf = (points: readonly Point[]): Bounds => ({
  minX: Math.min(...points.map((point) => point.x)),
  maxX: Math.max(...points.map((point) => point.x)),
  minY: Math.min(...points.map((point) => point.y)),
  maxY: Math.max(...points.map((point) => point.y)),
});

/** What lies in two bounds is at least so far apart; below 0 where they overlap. */
const measureGap = (a: Bounds, b: Bounds): number =>
  Math.max(a.minX - b.maxX, b.minX - a.maxX, a.minY - b.maxY, b.minY - a.maxY);

function distanceToEdge(point: Point, a: Point, b: Point): number {
  const dx = b.x - a.x,
    dy = b.y - a.y,
    square = dx * dx + dy * dy;
  const along = square > 0 ? Math.min(1, Math.max(0, ((point.x - a.x) * dx + (point.y - a.y) * dy) / square)) : 0;
  return Math.hypot(point.x - a.x - along * dx, point.y - a.y - along * dy);
}
