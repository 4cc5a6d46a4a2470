// Where two stretches of one ring come nearest to each other: at a waist, at the mouth between two corners.

import { against, type EdgeDirections } from './edge-directions';
import type { EdgeGrid } from './edge-grid';
import { liesBeyond, type EdgeRun } from './edge-runs';
import type { RingEdges, Side } from './ring-edges';
import type { Place, RingWalk } from './ring-walk';

/** The way along the edge from one side to the other, in widths, below which it is only a corner cut off. */
export const LEAST_WAY_ROUND = 1.25;
/** Sides nearer than this touch, and a neck so thin parts two pieces: no knife leaves it standing. */
export const TOUCHING_MM = 0.03;
/** Going on along the edge may lead nearer by no more than this, of a step; curves are made of steps. */
const NEARER_SHARE = Math.sin((2 * Math.PI) / 180);

export class OwnWidths {
  constructor(
    private readonly edges: RingEdges,
    private readonly grid: EdgeGrid,
    private readonly rings: RingWalk,
    private readonly directions: EdgeDirections,
  ) {}

  /**
   * A corner of one run and the place across from it on the other, through what lies on `side` of their ring; null where
   * there are none nearer than `limit`, mm.
   */
  compare(side: Side, run: EdgeRun, mate: EdgeRun, limit: number): readonly [Place, Place] | null {
    const found = this.compareOneWay(side, run, mate, limit);
    const nearer = found ? Math.hypot(found[0].x - found[1].x, found[0].y - found[1].y) : limit;
    return (run === mate ? null : this.compareOneWay(side, mate, run, nearer)) ?? found;
  }

  /** From the corners of `run` to the edges of `mate`. */
  private compareOneWay(side: Side, run: EdgeRun, mate: EdgeRun, limit: number): readonly [Place, Place] | null {
    const { grid, directions } = this;
    let least = limit * limit,
      found: readonly [Place, Place] | null = null;
    for (let edge = run.first; edge < run.end; edge++) {
      const x = grid.x1[edge]!,
        y = grid.y1[edge]!;
      if (liesBeyond(mate, x, y, least) || !directions.juts(side, edge)) continue;
      const facing = against(directions.cones[edge]!);
      if ((facing & mate.directions) === 0) continue;
      for (let other = mate.first; other < mate.end; other++) {
        if ((facing & directions.ofEdge(other)) === 0) continue;
        const square = grid.approach(other, x, y);
        if (square >= least || square < TOUCHING_MM * TOUCHING_MM) continue;
        const facingEdge = this.rings.findFacing(side, edge, other);
        if (facingEdge === -1) continue;
        const corner = { edge, x, y },
          place = { edge: other, x: grid.nearX, y: grid.nearY };
        if (!this.isAcross(corner, place, Math.sqrt(square))) continue;
        least = square;
        found = [{ ...corner, edge: facingEdge }, place];
      }
    }
    return found;
  }

  /** Not beside each other along the edge, and no nearer to each other a step further along it. */
  private isAcross(corner: Place, place: Place, width: number): boolean {
    if (this.rings.wayRound(corner, place) < width * LEAST_WAY_ROUND) return false;
    const { x1, y1, x2, y2 } = this.grid;
    const nearer = (edge: number) => {
      const dx = x2[edge]! - x1[edge]!,
        dy = y2[edge]! - y1[edge]!;
      return (dx * (place.x - corner.x) + dy * (place.y - corner.y)) / (width * Math.hypot(dx, dy));
    };
    return nearer(corner.edge) < NEARER_SHARE && nearer(this.edges.before[corner.edge]!) > -NEARER_SHARE;
  }
}
