// Whether a closed ring crosses or touches itself nowhere: then it bounds a region as it stands.

import type { Point } from './matrix';

/** Pairs of edges looked at for each edge of the ring before it is left to the clipping library. */
const PAIRS_PER_EDGE = 60;

/**
 * True only for a ring of three or more points, none repeated, whose edges meet nowhere but at their common ends. Says
 * false also where it would take long to tell. Coordinates are whole numbers below 2^25, so that every product is
 * exact.
 */
export function isSimpleRing(ring: readonly Point[]): boolean {
  const count = ring.length;
  if (count < 3) return false;
  if (isConvex(ring)) return true;
  const left = new Float64Array(count),
    right = new Float64Array(count),
    top = new Float64Array(count),
    bottom = new Float64Array(count);
  for (let edge = 0; edge < count; edge++) {
    const a = ring[edge]!,
      b = ring[edge + 1 === count ? 0 : edge + 1]!,
      c = ring[edge + 2 >= count ? edge + 2 - count : edge + 2]!;
    if (a.x === b.x && a.y === b.y) return false;
    // Two edges that lie back on each other meet along a stretch.
    if (turn(a, b, c) === 0 && (b.x - a.x) * (c.x - b.x) + (b.y - a.y) * (c.y - b.y) < 0) return false;
    left[edge] = Math.min(a.x, b.x);
    right[edge] = Math.max(a.x, b.x);
    top[edge] = Math.min(a.y, b.y);
    bottom[edge] = Math.max(a.y, b.y);
  }
  const order = Uint32Array.from(left.keys()).sort((a, b) => left[a]! - left[b]!);
  let pairs = 0;
  for (let at = 0; at < count; at++) {
    const one = order[at]!;
    const reach = right[one]!,
      oneTop = top[one]!,
      oneBottom = bottom[one]!;
    for (let next = at + 1; next < count; next++) {
      const other = order[next]!;
      if (left[other]! > reach) break;
      if (++pairs > count * PAIRS_PER_EDGE) return false;
      if (top[other]! > oneBottom || bottom[other]! < oneTop) continue;
      const apart = Math.abs(one - other);
      if (apart === 1 || apart === count - 1) continue;
      if (meet(ring[one]!, ring[(one + 1) % count]!, ring[other]!, ring[(other + 1) % count]!)) return false;
    }
  }
  return true;
}

const turn = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x);

/** All turns one way, and once round in all: the direction passes from right to left only twice. */
function isConvex(ring: readonly Point[]): boolean {
  const count = ring.length;
  let way = 0,
    reversals = 0;
  for (let at = 0; at < count; at++) {
    const a = ring[at]!,
      b = ring[at + 1 === count ? 0 : at + 1]!,
      c = ring[at + 2 >= count ? at + 2 - count : at + 2]!;
    const now = turn(a, b, c);
    if (now === 0) return false;
    if (way === 0) way = Math.sign(now);
    if (now * way < 0) return false;
    const before = b.x - a.x || b.y - a.y,
      after = c.x - b.x || c.y - b.y;
    if (before * after < 0) reversals++;
  }
  return reversals <= 2;
}

/** Boxes are known to meet. Whether the segments ab and cd share a point. */
function meet(a: Point, b: Point, c: Point, d: Point): boolean {
  const c1 = turn(a, b, c),
    d1 = turn(a, b, d);
  if ((c1 > 0 && d1 > 0) || (c1 < 0 && d1 < 0)) return false;
  const a1 = turn(c, d, a),
    b1 = turn(c, d, b);
  return !((a1 > 0 && b1 > 0) || (a1 < 0 && b1 < 0));
}
