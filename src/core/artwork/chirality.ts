// Whether it matters that an artwork is mirrored: whether any shift lays its mirror image on itself.

import {
  measureScan,
  measureShared,
  mirrorScan,
  scanRegion,
  uniteBoxes,
  type Box,
  type ScannedRegion,
} from '../geometry';
import type { ResolvedLayer } from './resolve-artwork';

export type Chirality = {
  /** Overlap of the artwork and its best-shifted mirror image: intersection over union, layer by layer, 0 to 1. */
  readonly score: number;
  /** True where mirrored and unmirrored can be told apart. */
  readonly chiral: boolean;
};

/** Below this, the eye sees that it is mirrored (trade experience; a traced, nearly even drawing stays above). */
const CHIRAL_BELOW = 0.985;
/** Level lines the artwork is compared along: the score is right within a thousandth. */
const LINES = 1024;
/** With so few it is right within a hundredth: enough where nobody has to look twice. */
const FEW_LINES = 160;
const PLAINLY_CHIRAL_BELOW = 0.88;

/**
 * Mirrored left to right; shifts are tried from aligned boxes and aligned centres on, and refined while the score
 * grows.
 */
export function computeChirality(layers: readonly ResolvedLayer[]): Chirality {
  const box = uniteBoxes(layers.map((layer) => layer.box));
  if (!box || box.height === 0) return { score: 1, chiral: false };
  const roughly = scoreMirrored(layers, box, FEW_LINES);
  const score = roughly < PLAINLY_CHIRAL_BELOW ? roughly : scoreMirrored(layers, box, LINES);
  return { score, chiral: score < CHIRAL_BELOW };
}

function scoreMirrored(layers: readonly ResolvedLayer[], box: Box, count: number): number {
  const size = Math.max(box.width, box.height);
  const middle = box.x + box.width / 2;
  const scans = layers.map((layer) => scanRegion(layer.region, box, count));
  const mirrored = scans.map((scan) => mirrorScan(scan, middle));
  const areas = scans.reduce((sum, scan) => sum + measureScan(scan), 0);
  const scoreAt = (dx: number, down: number) => {
    const shared = scans.reduce((sum, scan, index) => sum + measureShared(scan, mirrored[index]!, dx, down), 0);
    return areas === 0 ? 1 : shared / (2 * areas - shared);
  };
  let best = { dx: 0, down: 0, score: scoreAt(0, 0) };
  const consider = (dx: number, down: number) => {
    const score = scoreAt(dx, down);
    if (score > best.score) best = { dx, down, score };
  };
  // The mirror image's centre of area lies as far left of the middle as the artwork's lies right of it.
  if (best.score < CHIRAL_BELOW) consider(2 * (centreOf(scans, box) - middle), 0);
  // Only a near miss can still be brought over the line by a small shift.
  const lineMm = box.height / count;
  for (let step = size / 100; step > size / 450 && best.score > 0.9 && best.score < CHIRAL_BELOW; step /= 2) {
    const { dx, down } = best;
    const lines = Math.max(1, Math.round(step / lineMm));
    for (const [x, y] of [
      [step, 0],
      [-step, 0],
      [0, lines],
      [0, -lines],
    ] as const)
      consider(dx + x, down + y);
  }
  return Math.min(1, best.score);
}

/** How far right the centre of area lies, mm. */
function centreOf(scans: readonly ScannedRegion[], box: Box): number {
  let moment = 0,
    length = 0;
  for (const { ends } of scans) {
    for (let at = 0; at + 1 < ends.length; at += 2) {
      moment += (ends[at + 1]! ** 2 - ends[at]! ** 2) / 2;
      length += ends[at + 1]! - ends[at]!;
    }
  }
  return length > 0 ? moment / length : box.x + box.width / 2;
}
