// Whether a layout holds, told from the outlines alone: none of the search's own shapes, circles or boxes is used here.

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
  readonly box: { readonly minX: number; readonly minY: number; readonly maxX: number; readonly maxY: number };
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
  const rings = getRings(region),
    all = rings.flat();
  return {
    rings,
    region,
    box: {
      minX: Math.min(...all.map((p) => p.x)),
      minY: Math.min(...all.map((p) => p.y)),
      maxX: Math.max(...all.map((p) => p.x)),
      maxY: Math.max(...all.map((p) => p.y)),
    },
  };
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
  return Math.max(
    ...points.map((point) => {
      const nearest = Math.min(...edge.map(([a, b]) => distanceToEdge(point, a, b)));
      return sideMm - (isInside(entry.shape, point) ? nearest : -nearest);
    }),
  );
}

/** The distance between two laid outlines, up to `upTo`; below 0 where they overlap, by about how deep. */
function measureDistance(a: Laid, b: Laid, upTo: number): number {
  if (
    a.box.minX - b.box.maxX > upTo ||
    b.box.minX - a.box.maxX > upTo ||
    a.box.minY - b.box.maxY > upTo ||
    b.box.minY - a.box.maxY > upTo
  )
    return Infinity;
  const shared = computeRegionArea(intersectRegions(a.region, b.region));
  if (shared > LENGTH_NOISE_MM) {
    // About how deep: the shared area over the longest side of the box it lies in.
    const points = getRings(intersectRegions(a.region, b.region)).flat();
    const length = Math.max(...points.map((p) => p.x)) - Math.min(...points.map((p) => p.x)),
      height = Math.max(...points.map((p) => p.y)) - Math.min(...points.map((p) => p.y));
    return -shared / Math.max(POINT_NOISE_MM, length, height);
  }
  let nearest = Infinity;
  const others = edgesOf(b.rings);
  for (const [p, q] of edgesOf(a.rings)) {
    for (const [r, s] of others) {
      if (
        Math.min(p.x, q.x) - Math.max(r.x, s.x) > nearest ||
        Math.min(r.x, s.x) - Math.max(p.x, q.x) > nearest ||
        Math.min(p.y, q.y) - Math.max(r.y, s.y) > nearest ||
        Math.min(r.y, s.y) - Math.max(p.y, q.y) > nearest
      )
        continue;
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

function distanceToEdge(point: Point, a: Point, b: Point): number {
  const dx = b.x - a.x,
    dy = b.y - a.y,
    square = dx * dx + dy * dy;
  const along = square > 0 ? Math.min(1, Math.max(0, ((point.x - a.x) * dx + (point.y - a.y) * dy) / square)) : 0;
  return Math.hypot(point.x - a.x - along * dx, point.y - a.y - along * dy);
}

function isInside(ring: Polyline, point: Point): boolean {
  let inside = false;
  for (const [a, b] of edgesOf([ring]))
    if (a.y > point.y !== b.y > point.y && point.x < ((b.x - a.x) * (point.y - a.y)) / (b.y - a.y) + a.x)
      inside = !inside;
  return inside;
}
