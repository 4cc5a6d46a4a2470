// From outlines as they come to shapes that can be laid out: repaired, grown by half the gap, with no more corners than
// are needed.

import { polygonHull } from 'd3-polygon';
import {
  boundPoints,
  computeRegionArea,
  fillRegion,
  getRings,
  intersectRegions,
  makeRegion,
  offsetRegion,
  simplifyRegion,
  splitPieces,
  subtractRegions,
  uniteRegions,
  type Box,
  type Polyline,
  type Region,
} from '../geometry';
import { fail, succeed, type Result } from '../units';
import type { Inside, NestPiece, NestProblem } from './nesting';
import { TURN_STEPS } from './pose';
import { Shape } from './shape';
import { simplifyOutward, type SimplifyLimit } from './simplify-outward';

/** Outlines with more corners lose some: outward, by at most twice this, never inward. */
const MANY_CORNERS = 80;
const SLACK_MM = 0.05;
/**
 * Far from done, a simpler outline tells as much, in a tenth of the time: outward too, so that what holds for it holds.
 */
const ROUGH_CORNERS = 28;
const ROUGH = { deviationMm: 1.5, areaShare: 0.012 } as const;
const FINE = { deviationMm: SLACK_MM, areaShare: 0.004 } as const;
/** Sharper tips are cut off, never nearer than they have to be. */
const MITER = 2;
const LEAST_MM2 = 0.01;

/** What may stand in nobody's way: its holes filled, or its hull, as others are let into it. */
function close(region: Region, inside: Inside): Region {
  if (inside === 'holes') return region;
  const outlines = splitPieces(region).map((piece) => piece.outer);
  if (inside === 'bays') return makeRegion(outlines);
  const hull = polygonHull(outlines.flatMap((ring) => ring.map((point) => [point.x, point.y] as [number, number])));
  return makeRegion([hull ? hull.map(([x, y]) => ({ x, y })) : outlines[0]!]);
}

/** Self-crossing outlines are filled by their own rule; what has no area is refused. */
export function preparePiece(
  piece: NestPiece,
  gapMm: number,
  inside: Inside,
): Result<
  {
    readonly shape: Shape;
    /** With fewer corners; the same where it has few. */
    readonly rough: Shape;
    readonly areaMm2: number;
  },
  NestProblem
> {
  const filled = makeRegion(piece.rings);
  const areaMm2 = computeRegionArea(filled);
  if (!(areaMm2 > LEAST_MM2)) return fail({ kind: 'no-area', pieceId: piece.id });
  const closed = close(filled, inside);
  const grown = growOutward(closed, gapMm / 2);
  const steps =
    piece.turns === 'free'
      ? null
      : piece.turns.map(
          (degrees) => ((Math.round((degrees * TURN_STEPS) / 360) % TURN_STEPS) + TURN_STEPS) % TURN_STEPS,
        );
  const shape = new Shape(grown, steps);
  return succeed({
    areaMm2,
    shape,
    rough: countCorners(getRings(grown)) > ROUGH_CORNERS ? new Shape(simplifyOuters(grown, ROUGH), steps) : shape,
  });
}

/** Holes stay as they are: they would have to lose area. */
function simplifyOuters(region: Region, limit: SimplifyLimit): Region {
  const pieces = splitPieces(region);
  return uniteRegions(
    pieces.map((piece) =>
      subtractRegions(fillRegion([simplifyOutward(piece.outer, limit)], 'nonzero'), makeRegion(piece.cavities)),
    ),
  );
}

/** The region grown by `byMm`, and where it has many corners by a little more, so that corners can be left out. */
export function growOutward(region: Region, byMm: number): Region {
  const few = countCorners(getRings(region)) <= MANY_CORNERS;
  // Mitred, so that straight sides are grown by no more than that, and corners stay corners.
  if (few) return offsetRegion(region, byMm, 'miter', MITER);
  // Corners first: growing thousands of them takes long, and says nothing more.
  return simplifyOuters(offsetRegion(simplifyRegion(region, SLACK_MM / 2), byMm + SLACK_MM / 2, 'miter', MITER), FINE);
}

const countCorners = (rings: readonly Polyline[]): number => rings.reduce((sum, ring) => sum + ring.length, 0);

/**
 * What of a layer is loose: the outer ring of each island, and which of the rings belong to it, whatever lies in its
 * cavities with it.
 */
export function listIslands(
  rings: readonly Polyline[],
): readonly { readonly outer: Polyline; readonly members: readonly number[] }[] {
  // Each ring filled by itself: what lies in another is swallowed by it.
  const hosts = splitPieces(uniteRegions(rings.map((ring) => makeRegion([ring])))).map((piece) => ({
    outer: piece.outer,
    region: makeRegion([piece.outer]),
    box: boundPoints([piece.outer])!,
    members: [] as number[],
  }));
  rings.forEach((ring, at) => {
    const own = makeRegion([ring]),
      box = boundPoints([ring])!;
    const host = hosts.reduce<{ readonly at: number; readonly area: number }>(
      (best, candidate, index) => {
        // Apart by their boxes already, most of them.
        if (!overlaps(box, candidate.box)) return best;
        const area = computeRegionArea(intersectRegions(own, candidate.region));
        return area > best.area ? { at: index, area } : best;
      },
      { at: -1, area: 0 },
    );
    hosts[host.at]?.members.push(at);
  });
  return hosts.filter((host) => host.members.length > 0).map(({ outer, members }) => ({ outer, members }));
}

const overlaps = (a: Box, b: Box): boolean =>
  a.x <= b.x + b.width && b.x <= a.x + a.width && a.y <= b.y + b.height && b.y <= a.y + a.height;

/** How far apart parts of one piece may lie so that nothing slips in between: tried in turn, mm. */
const CLOSINGS_MM = [2, 5, 10, 20, 40] as const;

/** Smaller holes hold nothing, mm². */
const LEAST_HOLE_MM2 = 400;

/**
 * One outline round a layer that has to stay together, close about it with its bays, whatever number of islands it has.
 */
export const outlineTogether = (rings: readonly Polyline[]): Polyline => closeTogether(rings).outer;

/** The outline, and the holes in it that are large enough for others to lie in. */
export function closeTogether(rings: readonly Polyline[]): {
  readonly outer: Polyline;
  readonly holes: readonly Polyline[];
} {
  const region = makeRegion(rings);
  for (const byMm of CLOSINGS_MM) {
    const pieces = splitPieces(
      offsetRegion(offsetRegion(simplifyRegion(region, SLACK_MM / 2), byMm, 'round'), -byMm, 'round'),
    );
    if (pieces.length === 1)
      return {
        outer: pieces[0]!.outer,
        holes: pieces[0]!.cavities.filter((ring) => computeRegionArea(makeRegion([ring])) >= LEAST_HOLE_MM2),
      };
  }
  const hull = polygonHull(
    getRings(region).flatMap((ring) => ring.map((point) => [point.x, point.y] as [number, number])),
  );
  return { outer: (hull ?? []).map(([x, y]) => ({ x, y })), holes: [] };
}
