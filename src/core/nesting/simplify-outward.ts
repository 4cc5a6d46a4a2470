// Fewer corners, and never less area: what lies in the simpler outline lies in the first one's too, so a layout that
// holds for the simpler one holds.

import { ANGLE_NOISE, CROSS_NOISE } from '../units';
import { computeRingArea, distance, type Point, type Polyline } from '../geometry';

export type SimplifyLimit = {
  /** No corner comes to lie farther out than this, mm. */
  readonly deviationMm: number;
  /** Of the outline's area, all steps together. */
  readonly areaShare: number;
};

/** One step: the corner or edge that begins at `at` goes, and the area grows by `areaMm2`. */
type Step = { readonly kind: 'corner' } | { readonly kind: 'edge'; readonly x: number; readonly y: number };
type Offer = { readonly step: Step; readonly areaMm2: number };

/**
 * Takes away the corner or edge that adds least, again and again: a dent's corner goes as it is, an edge between two
 * outward corners is replaced by where its neighbours meet. The ring is an outer one of positive area, without
 * self-crossings; what comes out may touch itself where a bay closes. Source: greedy outward simplification as used for
 * packing irregular pieces.
 */
export function simplifyOutward(ring: Polyline, { deviationMm, areaShare }: SimplifyLimit): Polyline {
  const count = ring.length;
  if (count < 5) return ring;
  const points: Point[] = signedArea(ring) < 0 ? [...ring].reverse() : [...ring];
  const next = Int32Array.from({ length: count }, (_, at) => (at + 1) % count),
    before = Int32Array.from({ length: count }, (_, at) => (at + count - 1) % count);
  const gone = new Uint8Array(count),
    offers: (Offer | null)[] = Array.from({ length: count }, () => null);
  const refresh = (at: number) => (offers[at] = offerAt(points, before, next, at, deviationMm));
  for (let at = 0; at < count; at++) refresh(at);
  let budget = computeRingArea(points) * areaShare,
    left = count;
  while (left > 4) {
    let best = -1,
      least = budget;
    for (let at = 0; at < count; at++) {
      const offer = offers[at];
      if (!gone[at] && offer && offer.areaMm2 <= least) [best, least] = [at, offer.areaMm2];
    }
    if (best === -1) break;
    const { step } = offers[best]!,
      after = next[best]!;
    budget -= least;
    // An edge's first corner moves out to where the neighbours meet; its second one goes.
    const removed = step.kind === 'corner' ? best : after;
    if (step.kind === 'edge') points[best] = { x: step.x, y: step.y };
    gone[removed] = 1;
    left--;
    const a = before[removed]!,
      b = next[removed]!;
    next[a] = b;
    before[b] = a;
    for (const at of new Set([before[before[a]!]!, before[a]!, a, b, next[b]!])) refresh(at);
  }
  const kept: Point[] = [];
  for (let at = 0; at < count; at++) if (!gone[at]) kept.push(points[at]!);
  return kept;
}

/** The least that is to be done at a corner, or at the edge that begins there; null where nothing can be. */
function offerAt(
  points: readonly Point[],
  before: Int32Array,
  next: Int32Array,
  at: number,
  deviationMm: number,
): Offer | null {
  const p = points[before[at]!]!,
    a = points[at]!,
    b = points[next[at]!]!,
    q = points[next[next[at]!]!]!;
  const turnA = cross(p, a, b);
  if (turnA <= ANGLE_NOISE) {
    // Inward, or straight on: the corner can go.
    const areaMm2 = -turnA / 2,
      chord = distance(p, b);
    return chord > 0 && (2 * areaMm2) / chord <= deviationMm
      ? { step: { kind: 'corner' }, areaMm2: Math.max(0, areaMm2) }
      : null;
  }
  const turnB = cross(a, b, q);
  if (turnB <= ANGLE_NOISE) return null;
  // The lines p→a and q→b, made longer, meet outside.
  const dx1 = a.x - p.x,
    dy1 = a.y - p.y,
    dx2 = b.x - q.x,
    dy2 = b.y - q.y,
    denominator = dx1 * dy2 - dy1 * dx2;
  if (Math.abs(denominator) < CROSS_NOISE) return null;
  const t = ((q.x - a.x) * dy2 - (q.y - a.y) * dx2) / denominator;
  const x = a.x + t * dx1,
    y = a.y + t * dy1,
    edge = distance(a, b);
  const along = (x - b.x) * dx2 + (y - b.y) * dy2;
  if (t < 0 || along < 0 || edge === 0) return null;
  const areaMm2 = Math.abs((b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x)) / 2;
  return (2 * areaMm2) / edge <= deviationMm ? { step: { kind: 'edge', x, y }, areaMm2 } : null;
}

const cross = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x);

function signedArea(ring: Polyline): number {
  let sum = 0;
  for (let at = 0, last = ring.length - 1; at < ring.length; last = at++)
    sum += ring[last]!.x * ring[at]!.y - ring[at]!.x * ring[last]!.y;
  return sum;
}
