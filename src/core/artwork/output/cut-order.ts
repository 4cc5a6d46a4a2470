// In which order, and from where, the knife follows the contours of a layer: inner ones before outer ones, since a
// piece that is cut free may move; and with little travel while the knife is up.

import { POINT_NOISE_MM } from '../../units';
import { boundPoints, computeRingArea, distance, type Piece, type Point, type Polyline } from '../../geometry';

/**
 * Each contour is closed, but where it is `open`, and begins where the knife comes down; the first point is not
 * repeated at the end.
 */
export type CutPath = { readonly points: Polyline; readonly inner: boolean; readonly open?: boolean };

/** Contours of the pieces, cavities before the outline around them, islands inside before both. `extras` come last. */
export function orderContours(
  pieces: readonly Piece[],
  extras: readonly Polyline[] = [],
  start: Point = { x: 0, y: 0 },
): readonly CutPath[] {
  const groups = nestPieces(pieces).map(flattenGroup);
  const ordered = orderGroups(groups, start);
  const paths: CutPath[] = [];
  let at = start;
  const cut = (points: Polyline, inner: boolean) => {
    const rotated = beginNearest(points, at);
    paths.push({ points: rotated, inner });
    at = rotated[0]!;
  };
  for (const group of ordered) {
    for (const level of group.levels) for (const contour of orderNearest(level, at)) cut(contour.points, contour.inner);
  }
  for (const contour of orderNearest(
    extras.map((points) => ({ points, inner: false })),
    at,
  ))
    cut(contour.points, false);
  return paths;
}

/** Knife-up travel of paths in this order from a start, mm: closed contours end where they began. */
export function computeTravel(paths: readonly CutPath[], start: Point = { x: 0, y: 0 }): number {
  return paths.reduce(
    (sum, path, index) => sum + distance(index === 0 ? start : paths[index - 1]!.points[0]!, path.points[0]!),
    0,
  );
}

type Nest = { readonly piece: Piece; readonly inside: Nest[] };
type Group = { readonly levels: readonly (readonly CutPath[])[]; readonly centre: Point };

/** Pieces that lie in a cavity of another belong to it. */
function nestPieces(pieces: readonly Piece[]): readonly Nest[] {
  const nests = pieces.map((piece): Nest & { box: NonNullable<ReturnType<typeof boundPoints>>; area: number } => ({
    piece,
    inside: [],
    box: boundPoints([piece.outer])!,
    area: computeRingArea(piece.outer),
  }));
  const hosts = nests.filter((nest) => nest.piece.cavities.length > 0).sort((a, b) => a.area - b.area);
  return nests.filter((nest) => {
    const host = hosts.find(
      (candidate) =>
        candidate.area > nest.area &&
        candidate.box.x <= nest.box.x &&
        candidate.box.y <= nest.box.y &&
        candidate.box.x + candidate.box.width >= nest.box.x + nest.box.width &&
        candidate.box.y + candidate.box.height >= nest.box.y + nest.box.height &&
        candidate.piece.cavities.some((cavity) => surrounds(cavity, nest.piece.outer[0]!)),
    );
    host?.inside.push(nest);
    return !host;
  });
}

/** Even-odd rule along a ray to the right. */
function surrounds(ring: Polyline, point: Point): boolean {
  let inside = false;
  for (let index = 0, before = ring.length - 1; index < ring.length; before = index++) {
    const a = ring[index]!,
      b = ring[before]!;
    if (a.y > point.y !== b.y > point.y && point.x < ((b.x - a.x) * (point.y - a.y)) / (b.y - a.y) + a.x)
      inside = !inside;
  }
  return inside;
}

function flattenGroup(nest: Nest): Group {
  const levels: CutPath[][] = [];
  const visit = (entry: Nest, depth: number) => {
    (levels[2 * depth] ??= []).push({ points: entry.piece.outer, inner: depth > 0 });
    if (entry.piece.cavities.length > 0)
      (levels[2 * depth + 1] ??= []).push(...entry.piece.cavities.map((points) => ({ points, inner: true })));
    for (const inside of entry.inside) visit(inside, depth + 1);
  };
  visit(nest, 0);
  const box = boundPoints([nest.piece.outer])!;
  return { levels: levels.filter(Boolean).reverse(), centre: { x: box.x + box.width / 2, y: box.y + box.height / 2 } };
}

/** Groups by nearest neighbour, then mended by 2-opt and by moving single groups while that shortens the way. */
function orderGroups(groups: readonly Group[], start: Point): readonly Group[] {
  return improveTour(
    orderByNearest(groups, (group) => group.centre, start),
    (group) => group.centre,
    start,
  );
}

function orderNearest(contours: readonly CutPath[], start: Point): readonly CutPath[] {
  const centreOf = (contour: CutPath): Point => {
    const box = boundPoints([contour.points])!;
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  const centred = contours.map((contour) => ({ contour, centre: centreOf(contour) }));
  return improveTour(
    orderByNearest(centred, (entry) => entry.centre, start),
    (entry) => entry.centre,
    start,
  ).map((entry) => entry.contour);
}

function orderByNearest<T>(things: readonly T[], placeOf: (thing: T) => Point, start: Point): readonly T[] {
  const left = things.map((thing) => ({ thing, place: placeOf(thing) }));
  const ordered: T[] = [];
  let at = start;
  while (left.length > 0) {
    let best = 0,
      bestDistance = Infinity;
    for (let index = 0; index < left.length; index++) {
      const gap = distance(at, left[index]!.place);
      if (gap < bestDistance) [best, bestDistance] = [index, gap];
    }
    const next = left[best]!;
    left[best] = left[left.length - 1]!;
    left.pop();
    ordered.push(next.thing);
    at = next.place;
  }
  return ordered;
}

/** Comparisons at most: a field of ten thousand dots is left as nearest neighbours put it. */
const MOST_COMPARISONS = 12_000_000;

/** 2-opt on an open tour from `start` (Croes 1958): stretches are turned round while that shortens it. */
function improveTour<T>(tour: readonly T[], placeOf: (thing: T) => Point, start: Point): readonly T[] {
  const order = [...tour];
  const places = [start, ...order.map(placeOf)];
  let left = MOST_COMPARISONS;
  for (let improved = true; improved && left > 0;) {
    improved = false;
    for (let i = 0; i < places.length - 2 && left > 0; i++) {
      for (let j = i + 2; j < places.length; j++, left--) {
        const a = places[i]!,
          b = places[i + 1]!,
          c = places[j]!,
          d = places[j + 1];
        const gain = distance(a, b) + (d ? distance(c, d) : 0) - distance(a, c) - (d ? distance(b, d) : 0);
        if (gain <= POINT_NOISE_MM) continue;
        for (let low = i + 1, high = j; low < high; low++, high--) {
          [places[low], places[high]] = [places[high]!, places[low]!];
          [order[low - 1], order[high - 1]] = [order[high - 1]!, order[low - 1]!];
        }
        improved = true;
      }
    }
  }
  return order;
}

function beginNearest(points: Polyline, at: Point): Polyline {
  let best = 0,
    bestDistance = Infinity;
  for (let index = 0; index < points.length; index++) {
    const gap = distance(points[index]!, at);
    if (gap < bestDistance) [best, bestDistance] = [index, gap];
  }
  return [...points.slice(best), ...points.slice(0, best)];
}
