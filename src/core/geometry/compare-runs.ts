// Where two runs of edges of different rings come nearest to each other.

import type { EdgeGrid } from './edge-grid';
import { liesBeyond, type EdgeRun } from './edge-runs';
import type { RingEdges, Side } from './ring-edges';
import type { Place, RingWalk } from './ring-walk';

export type LaidOut = { readonly edges: RingEdges; readonly grid: EdgeGrid; readonly rings: RingWalk };

/**
 * A corner of one and the place on the other, across what lies on `side` of both; null where they come no nearer than
 * `limit`, mm.
 */
export function compareRuns(
  { grid, rings }: LaidOut,
  side: Side,
  [run, mate]: readonly [EdgeRun, EdgeRun],
  limit: number,
): readonly [Place, Place] | null {
  let least = limit * limit,
    found: readonly [Place, Place] | null = null;
  for (const [from, to] of [
    [run, mate],
    [mate, run],
  ] as const) {
    for (let edge = from.first; edge < from.end; edge++) {
      const x = grid.x1[edge]!,
        y = grid.y1[edge]!;
      if (liesBeyond(to, x, y, least)) continue;
      for (let other = to.first; other < to.end; other++) {
        const square = grid.approach(other, x, y);
        if (square >= least) continue;
        const facing = rings.findFacing(side, edge, other);
        if (facing === -1) continue;
        least = square;
        found = [
          { edge: facing, x, y },
          { edge: other, x: grid.nearX, y: grid.nearY },
        ];
      }
    }
  }
  return found;
}
