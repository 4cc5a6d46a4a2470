// Going along a ring from edge to edge.

import { CROSS_NOISE, POINT_NOISE_MM } from '../units';
import type { EdgeGrid } from './edge-grid';
import type { RingEdges, Side } from './ring-edges';

/** A point on an edge, mm. */
export type Place = { readonly edge: number; readonly x: number; readonly y: number };

/** So many widths an edge that leads away is followed, for the one after it to lead nearer. */
const MOST_WAY = 2;

export class RingWalk {
  constructor(
    private readonly edges: RingEdges,
    private readonly grid: EdgeGrid,
  ) {}

  /** From the edge at `from`, `to` lies on the side looked at. */
  facesInward(side: Side, from: Place, to: Place): boolean {
    return this.leadsInward(side, from.edge, to.x - from.x, to.y - from.y);
  }

  /**
   * Of a corner, the start of `edge`, and the place that was found last on `other`: the edge, that one or the one before
   * it, from which the place lies on the side looked at, as the corner does from there; -1 where they don't face each
   * other.
   */
  findFacing(side: Side, edge: number, other: number): number {
    const { x1, y1, nearX, nearY } = this.grid;
    const dx = nearX - x1[edge]!,
      dy = nearY - y1[edge]!;
    if (!this.leadsInward(side, other, -dx, -dy)) return -1;
    if (this.leadsInward(side, edge, dx, dy)) return edge;
    const before = this.edges.before[edge]!;
    return this.leadsInward(side, before, dx, dy) ? before : -1;
  }

  /** The way (toX, toY) from an edge leads to the side looked at. */
  private leadsInward(side: Side, edge: number, toX: number, toY: number): boolean {
    const { x1, y1, x2, y2 } = this.grid;
    return side * ((x2[edge]! - x1[edge]!) * toY - (y2[edge]! - y1[edge]!) * toX) > -POINT_NOISE_MM;
  }

  /** The place near `from` on the same ring that is closest to (x, y): goes on while it comes nearer. */
  walk(from: Place, x: number, y: number): Place {
    const { grid } = this;
    let bestEdge = from.edge,
      best = grid.approach(from.edge, x, y),
      bestX = grid.nearX,
      bestY = grid.nearY;
    for (const next of [this.edges.after, this.edges.before]) {
      let edge = from.edge;
      for (let steps = 0, lag = 0; steps < 40 && lag < 2; steps++) {
        edge = next[edge]!;
        const square = grid.approach(edge, x, y);
        if (square < best - CROSS_NOISE && (lag === 0 || this.isShortWay(edge, bestEdge, bestX, bestY, best))) {
          best = square;
          bestEdge = edge;
          bestX = grid.nearX;
          bestY = grid.nearY;
          lag = 0;
        } else lag++;
      }
    }
    return { edge: bestEdge, x: bestX, y: bestY };
  }

  /** The end of a slot is not walked round to its other side, nor that of a bar. */
  private isShortWay(edge: number, from: number, x: number, y: number, square: number): boolean {
    const way = this.wayRound({ edge: from, x, y }, { edge, x: this.grid.nearX, y: this.grid.nearY });
    return way * way < square * MOST_WAY * MOST_WAY;
  }

  wayRound(a: Place, b: Place): number {
    const { along, x1, y1, length, ringOf } = this.edges;
    const at = (place: Place) =>
      along[place.edge]! + Math.sqrt((place.x - x1[place.edge]!) ** 2 + (place.y - y1[place.edge]!) ** 2);
    const way = Math.abs(at(a) - at(b));
    return Math.min(way, length[ringOf[a.edge]!]! - way);
  }
}
