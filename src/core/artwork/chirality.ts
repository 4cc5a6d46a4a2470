// Whether it matters that an artwork is mirrored: whether any shift lays its mirror image on itself.

import { boundRegion, computeRegionArea, intersectRegions, shiftRegion, simplifyRegion, transformRegion, uniteBoxes, type Box, type Region } from '../geometry';
import type { ResolvedLayer } from './resolve-artwork';

export type Chirality = {
  /** Overlap of the artwork and its best-shifted mirror image: intersection over union, layer by layer, 0 to 1. */
  readonly score: number;
  /** True where mirrored and unmirrored can be told apart. */
  readonly chiral: boolean;
};

/** Below this, the eye sees that it is mirrored (trade experience; a traced, nearly even drawing stays above). */
export const CHIRAL_BELOW = 0.985;
/** Contours are simplified by this share of the artwork's size first: far below what the score is read to. */
const SIMPLIFIED_SHARE = 1 / 4000;
const REFINED_POINTS = 15_000;

/** Mirrored left to right; shifts are tried from aligned boxes and aligned centres on, and refined while the score grows. */
export function computeChirality(layers: readonly ResolvedLayer[]): Chirality {
  const box = uniteBoxes(layers.map((layer) => layer.box));
  if (!box) return { score: 1, chiral: false };
  const size = Math.max(box.width, box.height);
  const regions = layers.map((layer) => simplifyRegion(layer.region, size * SIMPLIFIED_SHARE));
  const middle = box.x + box.width / 2;
  const mirrored = regions.map((region) => transformRegion(region, (point) => ({ x: 2 * middle - point.x, y: point.y })));
  const own = centreOf(regions, box), other = centreOf(mirrored, box);
  const scoreAt = (dx: number, dy: number) => scoreOverlap(regions, mirrored, dx, dy);
  let best = { dx: 0, dy: 0, score: scoreAt(0, 0) };
  const consider = (dx: number, dy: number) => {
    const score = scoreAt(dx, dy);
    if (score > best.score) best = { dx, dy, score };
    return score;
  };
  if (best.score < CHIRAL_BELOW) consider(own.x - other.x, own.y - other.y);
  // Only a near miss can still be brought over the line by a small shift; on very full drawings that is not looked for.
  const light = regions.reduce((sum, region) => sum + region.rings.reduce((all, ring) => all + ring.length, 0), 0) < REFINED_POINTS;
  for (let step = size / 100; light && step > size / 450 && best.score > 0.9 && best.score < CHIRAL_BELOW; step /= 2) {
    const { dx, dy } = best;
    for (const [x, y] of [[step, 0], [-step, 0], [0, step], [0, -step]] as const) consider(dx + x, dy + y);
  }
  const score = Math.min(1, best.score);
  return { score, chiral: score < CHIRAL_BELOW };
}

function scoreOverlap(regions: readonly Region[], mirrored: readonly Region[], dx: number, dy: number): number {
  let shared = 0, areas = 0;
  regions.forEach((region, index) => {
    const moved = shiftRegion(mirrored[index]!, dx, dy);
    shared += computeRegionArea(intersectRegions(region, moved));
    areas += computeRegionArea(region) + computeRegionArea(moved);
  });
  return areas === shared ? 1 : shared / (areas - shared);
}

function centreOf(regions: readonly Region[], fallback: Box): { x: number; y: number } {
  // The middle of the layers' boxes, weighted by area: enough of a centre to start from.
  let weight = 0, x = 0, y = 0;
  for (const region of regions) {
    const box = boundRegion(region);
    if (!box) continue;
    const area = computeRegionArea(region);
    weight += area;
    x += area * (box.x + box.width / 2);
    y += area * (box.y + box.height / 2);
  }
  return weight > 0 ? { x: x / weight, y: y / weight } : { x: fallback.x + fallback.width / 2, y: fallback.y + fallback.height / 2 };
}
