// Regions as stretches along evenly spaced level lines: how much two of them share is then told without clipping.

import type { Box } from './box';
import { GRID_PER_MM, type Region } from './polygon';

export type ScannedRegion = {
  /**
   * Line l holds the stretches from starts[l] up to starts[l + 1]; each is two numbers in `ends`, mm, left to right.
   */
  readonly starts: Uint32Array;
  readonly ends: Float64Array;
  readonly stepMm: number;
};

/** The region on `lines` level lines through the box, each in the middle of its strip. */
export function scanRegion(region: Region, box: Box, lines: number): ScannedRegion {
  const step = box.height / lines;
  const top = box.y;
  const counts = new Uint32Array(lines + 1);
  visitCrossings(region, top, step, lines, (line) => counts[line + 1]!++);
  for (let line = 0; line < lines; line++) counts[line + 1] = counts[line + 1]! + counts[line]!;
  const starts = counts.slice();
  const ends = new Float64Array(counts[lines]!);
  visitCrossings(region, top, step, lines, (line, x) => (ends[counts[line]!++] = x));
  for (let line = 0; line < lines; line++) ends.subarray(starts[line]!, starts[line + 1]!).sort();
  return { starts, ends, stepMm: step };
}

/** A line through the end of an edge counts once of the two edges that meet there. */
function visitCrossings(
  region: Region,
  top: number,
  step: number,
  lines: number,
  visit: (line: number, x: number) => void,
): void {
  for (const ring of region.rings) {
    let before = ring[ring.length - 1]!;
    for (const at of ring) {
      const ay = (before.y / GRID_PER_MM - top) / step - 0.5,
        by = (at.y / GRID_PER_MM - top) / step - 0.5;
      const from = Math.max(0, Math.ceil(Math.min(ay, by))),
        until = Math.min(lines, Math.ceil(Math.max(ay, by)));
      for (let line = from; line < until; line++)
        visit(line, (before.x + ((at.x - before.x) * (line - ay)) / (by - ay)) / GRID_PER_MM);
      before = at;
    }
  }
}

export function mirrorScan({ starts, ends, stepMm }: ScannedRegion, middle: number): ScannedRegion {
  const mirrored = new Float64Array(ends.length);
  for (let line = 0; line + 1 < starts.length; line++) {
    const first = starts[line]!,
      last = starts[line + 1]! - 1;
    for (let at = first; at <= last; at++) mirrored[at] = 2 * middle - ends[first + last - at]!;
  }
  return { starts, ends: mirrored, stepMm };
}

export function measureScan({ starts, ends, stepMm }: ScannedRegion): number {
  let length = 0;
  for (let at = 0; at + 1 < starts[starts.length - 1]!; at += 2) length += ends[at + 1]! - ends[at]!;
  return length * stepMm;
}

/** Area that `one` shares with `other` moved by dx mm and by `down` lines, mm². */
export function measureShared(one: ScannedRegion, other: ScannedRegion, dx: number, down: number): number {
  const lines = one.starts.length - 1;
  let length = 0;
  for (let line = Math.max(0, down); line < Math.min(lines, lines + down); line++) {
    let a = one.starts[line]!,
      b = other.starts[line - down]!;
    const aEnd = one.starts[line + 1]!,
      bEnd = other.starts[line - down + 1]!;
    while (a + 1 < aEnd && b + 1 < bEnd) {
      const a2 = one.ends[a + 1]!,
        b2 = other.ends[b + 1]! + dx;
      const shared = Math.min(a2, b2) - Math.max(one.ends[a]!, other.ends[b]! + dx);
      if (shared > 0) length += shared;
      if (a2 < b2) a += 2;
      else b += 2;
    }
  }
  return length * one.stepMm;
}
