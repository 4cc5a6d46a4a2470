// Short runs of edges along their rings with the boxes around them, to find what lies near what.

import Flatbush from 'flatbush';
import { against, type EdgeDirections } from './edge-directions';
import type { RingEdges } from './ring-edges';

/** Edges from `first` up to `end`, not included, all of one ring. */
export type EdgeRun = {
  readonly ring: number;
  readonly first: number;
  readonly end: number;
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  /** The directions its edges have and turn through, a bit for each sector. */
  readonly directions: number;
};

const MOST_EDGES = 16;
/** A run is no longer than this many of usual length: one round the corner of a sheet would lie near all that is on it. */
const MOST_USUAL_EDGES = 64;

export class EdgeRuns {
  /** Ring by ring, and along each. */
  readonly list: readonly EdgeRun[];
  /** Of each ring, its first run; and after the last ring the number of runs. */
  readonly firstOf: readonly number[];
  private readonly index: Flatbush | null;

  constructor(edges: RingEdges, directions: EdgeDirections) {
    const list: EdgeRun[] = [];
    const total = edges.length.reduce((sum, length) => sum + length, 0);
    const firstOf: number[] = [];
    const longestMm = (total / Math.max(1, edges.x1.length)) * MOST_USUAL_EDGES;
    for (let ring = 0; ring + 1 < edges.first.length; ring++) {
      const end = edges.first[ring + 1]!;
      firstOf.push(list.length);
      for (let first = edges.first[ring]!; first < end;) {
        const run = boundRun(edges, directions, ring, first, findRunEnd(edges, first, end, longestMm));
        list.push(run);
        first = run.end;
      }
    }
    this.list = list;
    this.firstOf = [...firstOf, list.length];
    this.index = list.length > 0 ? new Flatbush(list.length) : null;
    for (const run of list) this.index?.add(run.left, run.top, run.right, run.bottom);
    this.index?.finish();
  }

  /** Of the same ring, from itself on: those nearer than `reach` whose edges may face its own. */
  visitFacing(index: number, reach: number, visit: (mate: EdgeRun) => void): void {
    const run = this.list[index]!;
    const facing = against(run.directions);
    for (let at = index, end = this.firstOf[run.ring + 1]!; at < end; at++) {
      const mate = this.list[at]!;
      if ((facing & mate.directions) !== 0 && lieWithin(run, mate, reach)) visit(mate);
    }
  }

  /** Indices of the runs whose boxes come nearer than `reach` to that of `run`, along x and along y. */
  findWithin(run: EdgeRun, reach: number): readonly number[] {
    return this.index?.search(run.left - reach, run.top - reach, run.right + reach, run.bottom + reach) ?? [];
  }
}

/** Where a run that starts with the edge `first` ends; one edge it has, however long. */
function findRunEnd({ along, x1, y1, x2, y2 }: RingEdges, first: number, end: number, longestMm: number): number {
  let next = first + 1;
  while (next < end && next - first < MOST_EDGES) {
    const dx = x2[next]! - x1[next]!,
      dy = y2[next]! - y1[next]!;
    const reached = along[next]! - along[first]! + Math.sqrt(dx * dx + dy * dy);
    if (reached > longestMm) break;
    next++;
  }
  return next;
}

/** Whether a point is as far from the run's box as the root of `square`, or further. */
export function liesBeyond(run: EdgeRun, x: number, y: number, square: number): boolean {
  const aside = Math.max(run.left - x, x - run.right, 0),
    down = Math.max(run.top - y, y - run.bottom, 0);
  return aside * aside + down * down >= square;
}

/** Whether the boxes are nearer to one another than `reach`. */
function lieWithin(one: EdgeRun, other: EdgeRun, reach: number): boolean {
  const aside = Math.max(other.left - one.right, one.left - other.right, 0),
    down = Math.max(other.top - one.bottom, one.top - other.bottom, 0);
  return aside * aside + down * down < reach * reach;
}

function boundRun(
  { x1, y1, x2, y2 }: RingEdges,
  of: EdgeDirections,
  ring: number,
  first: number,
  end: number,
): EdgeRun {
  let left = Infinity,
    top = Infinity,
    right = -Infinity,
    bottom = -Infinity,
    directions = 0;
  for (let edge = first; edge < end; edge++) {
    directions |= of.ofEdge(edge);
    left = Math.min(left, x1[edge]!, x2[edge]!);
    right = Math.max(right, x1[edge]!, x2[edge]!);
    top = Math.min(top, y1[edge]!, y2[edge]!);
    bottom = Math.max(bottom, y1[edge]!, y2[edge]!);
  }
  return { ring, first, end, left, top, right, bottom, directions };
}
