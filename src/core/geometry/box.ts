// Upright rectangles around things, in the unit of what they surround.

import Flatbush from 'flatbush';
import type { Point } from './matrix';

export type Box = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

/** The smallest upright box around all points; null when there is none. */
export function boundPoints(lines: Iterable<readonly Point[]>): Box | null {
  let left = Infinity,
    top = Infinity,
    right = -Infinity,
    bottom = -Infinity;
  for (const line of lines) {
    for (const { x, y } of line) {
      if (x < left) left = x;
      if (x > right) right = x;
      if (y < top) top = y;
      if (y > bottom) bottom = y;
    }
  }
  return left <= right ? { x: left, y: top, width: right - left, height: bottom - top } : null;
}

export function uniteBoxes(boxes: readonly Box[]): Box | null {
  return boundPoints(boxes.map((box) => [box, { x: box.x + box.width, y: box.y + box.height }]));
}

/** Sharing some area, not only an edge. */
export const boxesMeet = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

export const boxHolds = (outer: Box, inner: Box): boolean =>
  outer.x <= inner.x &&
  outer.y <= inner.y &&
  outer.x + outer.width >= inner.x + inner.width &&
  outer.y + outer.height >= inner.y + inner.height;

/** To find boxes by where they lie, each by its place in the list; of one at least. */
export function indexBoxes(boxes: readonly Box[]): Flatbush {
  const index = new Flatbush(boxes.length);
  for (const { x, y, width, height } of boxes) index.add(x, y, x + width, y + height);
  index.finish();
  return index;
}

/**
 * Indices of boxes gathered so that boxes that touch, directly or through others, are together; in order of the first
 * of each.
 */
export function groupByOverlap(boxes: readonly Box[]): readonly (readonly number[])[] {
  if (boxes.length === 0) return [];
  const index = indexBoxes(boxes);
  const groups: number[][] = [];
  const seen = new Uint8Array(boxes.length);
  for (let start = 0; start < boxes.length; start++) {
    if (seen[start]) continue;
    seen[start] = 1;
    const group = [start];
    for (let at = 0; at < group.length; at++) {
      const box = boxes[group[at]!]!;
      index.search(box.x, box.y, box.x + box.width, box.y + box.height, (other) => {
        if (!seen[other]) {
          seen[other] = 1;
          group.push(other);
        }
        return false;
      });
    }
    groups.push(group.sort((a, b) => a - b));
  }
  return groups;
}

/** The shorter side of its box, and a hair: nothing in the ring is wider. */
export function leastExtent(ring: readonly Point[]): number {
  const box = boundPoints([ring]);
  return box ? Math.min(box.width, box.height) * 1.001 : 0;
}
