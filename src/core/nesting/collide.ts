// Whether two posed shapes overlap, and how deep. Touching is no overlap.

import type { Pose } from './pose';
import type { Shape } from './shape';

/** Parts that reach into one another by less than this, mm, touch: rounding puts neighbours of a puzzle so near. */
const TOUCH_MM = 4e-3;

/**
 * How deep b, its middle (dx, dy) from that of a, lies in a: 0 where they do not overlap. The depth of convex part into
 * convex part (separating axes), each weighed by the size of the smaller one, summed: the overlap measure of strip
 * packing by overlap minimisation (Umetani et al. 2009), for parts. Ends early, with Infinity, where it passes `limit`.
 */
export function measureOverlap(
  a: Shape,
  poseA: Pose,
  b: Shape,
  poseB: Pose,
  dx: number,
  dy: number,
  limit: number,
): number {
  if (
    dx + poseB.minX >= poseA.maxX - TOUCH_MM ||
    dx + poseB.maxX <= poseA.minX + TOUCH_MM ||
    dy + poseB.minY >= poseA.maxY - TOUCH_MM ||
    dy + poseB.maxY <= poseA.minY + TOUCH_MM
  )
    return 0;
  if (limit < Infinity && isHopeless(a, poseA, b, poseB, dx, dy, limit)) return Infinity;
  const boxesA = poseA.boxes,
    boxesB = poseB.boxes,
    sizesA = a.partSizes,
    sizesB = b.partSizes;
  const left = dx + poseB.minX,
    top = dy + poseB.minY,
    right = dx + poseB.maxX,
    bottom = dy + poseB.maxY;
  const near = listPartsIn(boxesB, poseA.minX - dx, poseA.minY - dy, poseA.maxX - dx, poseA.maxY - dy);
  let sum = 0;
  for (let p = 0, i = 0; p < sizesA.length; p++, i += 4) {
    const l = boxesA[i]!,
      t = boxesA[i + 1]!,
      r = boxesA[i + 2]!,
      u = boxesA[i + 3]!;
    if (l >= right || r <= left || t >= bottom || u <= top) continue;
    for (let k = 0; k < near; k++) {
      const q = NEAR[k]!,
        j = q * 4;
      if (boxesB[j]! + dx >= r || boxesB[j + 2]! + dx <= l || boxesB[j + 1]! + dy >= u || boxesB[j + 3]! + dy <= t)
        continue;
      const depth = measureDepth(a, poseA, p, b, poseB, q, dx, dy);
      if (depth === 0) continue;
      const sizeA = sizesA[p]!,
        sizeB = sizesB[q]!;
      sum += depth * (sizeA < sizeB ? sizeA : sizeB);
      if (sum > limit) return Infinity;
    }
  }
  return sum;
}

/** Filled anew each time: parts of the second shape that reach into the box of the first. */
let NEAR = new Uint32Array(256);
function listPartsIn(boxes: Float64Array, left: number, top: number, right: number, bottom: number): number {
  const parts = boxes.length / 4;
  if (NEAR.length < parts) NEAR = new Uint32Array(parts * 2);
  let count = 0;
  for (let part = 0, at = 0; part < parts; part++, at += 4)
    if (boxes[at]! < right && boxes[at + 2]! > left && boxes[at + 1]! < bottom && boxes[at + 3]! > top)
      NEAR[count++] = part;
  return count;
}

/** Circles in both that already overlap by more than the limit: most places tried at random are such. */
function isHopeless(a: Shape, poseA: Pose, b: Shape, poseB: Pose, dx: number, dy: number, limit: number): boolean {
  const rA = a.getPoles().r,
    rB = b.getPoles().r,
    { x: ax, y: ay } = poseA.turnPoles(),
    { x: bx, y: by } = poseB.turnPoles();
  let sum = 0;
  for (let i = 0; i < rA.length; i++) {
    const x = ax[i]! - dx,
      y = ay[i]! - dy,
      r = rA[i]!;
    for (let j = 0; j < rB.length; j++) {
      const ex = bx[j]! - x,
        ey = by[j]! - y,
        s = rB[j]!,
        reach = r + s,
        square = ex * ex + ey * ey;
      if (square >= reach * reach) continue;
      sum += (reach - Math.sqrt(square)) * (r < s ? r : s);
      if (sum > limit) return true;
    }
  }
  return false;
}

/** The least way along any edge's normal that draws two convex parts apart; 0 where one keeps them apart already. */
function measureDepth(
  a: Shape,
  poseA: Pose,
  p: number,
  b: Shape,
  poseB: Pose,
  q: number,
  dx: number,
  dy: number,
): number {
  const first = tryNormals(a, poseA, p, b, poseB, q, dx, dy, Infinity);
  return first === 0 ? 0 : tryNormals(b, poseB, q, a, poseA, p, -dx, -dy, first);
}

function tryNormals(
  a: Shape,
  { px, py, nx, ny }: Pose,
  p: number,
  b: Shape,
  poseB: Pose,
  q: number,
  dx: number,
  dy: number,
  known: number,
): number {
  const { starts } = a,
    bx = poseB.px,
    by = poseB.py,
    from = b.starts[q]!,
    until = b.starts[q + 1]!;
  let least = known;
  for (let at = starts[p]!, end = starts[p + 1]!; at < end; at++) {
    const normalX = nx[at]!,
      normalY = ny[at]!;
    const edge = normalX * (px[at]! - dx) + normalY * (py[at]! - dy) - TOUCH_MM;
    let deepest = 0;
    for (let k = from; k < until; k++) {
      const depth = edge - normalX * bx[k]! - normalY * by[k]!;
      if (depth > deepest) deepest = depth;
      // Deeper than what is known already: no need to know how deep.
      if (deepest >= least) break;
    }
    if (deepest === 0) return 0;
    if (deepest < least) least = deepest;
  }
  return least;
}
