// Lines from point to point, closed or not: how long they are and what they surround. Nothing here needs the clipping
// library, so that pages that only measure lines do without it.

import type { Point } from './matrix';

export type Polyline = readonly Point[];

/** Area inside a closed ring, mm², never negative. Shoelace formula. */
export function computeRingArea(ring: Polyline): number {
  const origin = ring[0];
  if (!origin) return 0;
  let twice = 0;
  let previous = ring[ring.length - 1] ?? origin;
  for (const point of ring) {
    twice += (previous.x - origin.x) * (point.y - origin.y) - (point.x - origin.x) * (previous.y - origin.y);
    previous = point;
  }
  return Math.abs(twice) / 2;
}

export function computeLength(line: Polyline, closed: boolean): number {
  let length = 0;
  for (let index = 1; index < line.length; index++) length += distance(line[index - 1]!, line[index]!);
  const [first] = line;
  const last = line[line.length - 1];
  return closed && first && last ? length + distance(last, first) : length;
}

/** Corners of a closed ring that turn by more than `degrees`: where the knife has to slow down and swing round. */
export function countSharpCorners(ring: Polyline, degrees: number): number {
  const limit = Math.cos((degrees * Math.PI) / 180);
  let corners = 0;
  for (let index = 0; index < ring.length; index++) {
    const before = ring[(index + ring.length - 1) % ring.length]!;
    const at = ring[index]!;
    const after = ring[(index + 1) % ring.length]!;
    const lengths = distance(before, at) * distance(at, after);
    if (lengths === 0) continue;
    const cosine = ((at.x - before.x) * (after.x - at.x) + (at.y - before.y) * (after.y - at.y)) / lengths;
    if (cosine < limit) corners++;
  }
  return corners;
}

export function distance(a: Point, b: Point): number {
  // Ten times as fast as hypot, which guards against overflows that no drawing reaches.
  return Math.sqrt((b.x - a.x) * (b.x - a.x) + (b.y - a.y) * (b.y - a.y));
}
