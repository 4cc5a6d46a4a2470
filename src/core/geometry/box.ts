// Upright rectangles around things, in the unit of what they surround.

import type { Point } from './matrix';

export type Box = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

/** The smallest upright box around all points; null when there is none. */
export function boundPoints(lines: Iterable<readonly Point[]>): Box | null {
  let left = Infinity, top = Infinity, right = -Infinity, bottom = -Infinity;
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
