// Contours that lie on one another: pasted twice, or the two edges a hair apart that tracing leaves. They cut twice.

import Flatbush from 'flatbush';
import { boundPoints, distance, type Polyline } from '../geometry';

/** Contours within this of each other all the way round are one line to a knife, mm. */
export const DOUBLED_WITHIN_MM = 0.2;

/**
 * Indices of the contours that double an earlier one; the first of each stays. Boxes sort out nearly all pairs, cost
 * about n·log n.
 */
export function findDoubledContours(lines: readonly Polyline[], withinMm = DOUBLED_WITHIN_MM): readonly number[] {
  if (lines.length < 2) return [];
  const boxes = lines.map((line) => boundPoints([line])!);
  // Two contours that lie on one another have boxes whose sides are nearly the same: looked up by the box's middle.
  const index = new Flatbush(lines.length);
  for (const box of boxes)
    index.add(box.x + box.width / 2, box.y + box.height / 2, box.x + box.width / 2, box.y + box.height / 2);
  index.finish();
  const doubled = new Set<number>();
  for (let one = 0; one < lines.length; one++) {
    if (doubled.has(one)) continue;
    const box = boxes[one]!;
    const x = box.x + box.width / 2,
      y = box.y + box.height / 2;
    for (const other of index.search(x - withinMm, y - withinMm, x + withinMm, y + withinMm)) {
      if (other <= one || doubled.has(other)) continue;
      const mate = boxes[other]!;
      if (Math.abs(mate.width - box.width) > 2 * withinMm || Math.abs(mate.height - box.height) > 2 * withinMm)
        continue;
      // A contour no larger than the tolerance is not doubled by whatever lies beside it.
      if (Math.max(box.width, box.height) < 2 * withinMm) continue;
      if (liesWithin(lines[one]!, lines[other]!, withinMm) && liesWithin(lines[other]!, lines[one]!, withinMm))
        doubled.add(other);
    }
  }
  return [...doubled].sort((a, b) => a - b);
}

const PLACES_CHECKED = 64;

/** Every place looked at along `line` is within `limit` of the closed line `other`. */
function liesWithin(line: Polyline, other: Polyline, limit: number): boolean {
  const step = Math.max(1, Math.floor(line.length / PLACES_CHECKED));
  for (let at = 0; at < line.length; at += step) {
    const a = line[at]!,
      b = line[(at + 1) % line.length]!;
    for (const point of [a, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }]) {
      if (!isNear(point, other, limit)) return false;
    }
  }
  return true;
}

function isNear(point: { readonly x: number; readonly y: number }, line: Polyline, limit: number): boolean {
  for (let at = 0; at < line.length; at++) {
    const a = line[at]!,
      b = line[(at + 1) % line.length]!;
    const dx = b.x - a.x,
      dy = b.y - a.y;
    const square = dx * dx + dy * dy;
    const t = square === 0 ? 0 : Math.max(0, Math.min(1, ((point.x - a.x) * dx + (point.y - a.y) * dy) / square));
    if (distance(point, { x: a.x + dx * t, y: a.y + dy * t }) <= limit) return true;
  }
  return false;
}
