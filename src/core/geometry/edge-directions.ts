// Which way edges run, as sets of directions: 32 bits, one for each of as many equal sectors of the whole turn.

import type { RingEdges, Side } from './ring-edges';

const SECTORS = 32;
const HALF = SECTORS / 2;
/** Squared sine of a turn that curves take in one step: 5°. */
const SMOOTH_TURN_SQUARE = Math.sin((5 * Math.PI) / 180) ** 2;

export class EdgeDirections {
  /** Of each edge: all that the ring turns through from the edge before it to this one, both included. */
  readonly cones: Int32Array;
  /** Of each edge the way the ring turns before it: 1 to the left, -1 to the right, 0 straight on or as curves do. */
  private readonly turns: Int8Array;
  private readonly after: Uint32Array;

  constructor({ x1, y1, x2, y2, before, after }: RingEdges) {
    const sectors = new Uint8Array(x1.length);
    for (let edge = 0; edge < sectors.length; edge++)
      sectors[edge] = tellSector(x2[edge]! - x1[edge]!, y2[edge]! - y1[edge]!);
    this.cones = new Int32Array(x1.length);
    this.turns = new Int8Array(x1.length);
    for (let edge = 0; edge < sectors.length; edge++) {
      const last = before[edge]!;
      this.cones[edge] = sweep(sectors[last]!, sectors[edge]!);
      const ax = x2[last]! - x1[last]!,
        ay = y2[last]! - y1[last]!,
        bx = x2[edge]! - x1[edge]!,
        by = y2[edge]! - y1[edge]!;
      const cross = ax * by - ay * bx;
      const isCorner =
        ax * bx + ay * by < 0 || cross * cross > SMOOTH_TURN_SQUARE * (ax * ax + ay * ay) * (bx * bx + by * by);
      if (isCorner) this.turns[edge] = Math.sign(cross);
    }
    this.after = after;
  }

  /** Whether the start of the edge is a corner into what lies on that side, or none to speak of. */
  juts(side: Side, edge: number): boolean {
    return this.turns[edge] !== side;
  }

  /** Of an edge with both its ends. */
  ofEdge(edge: number): number {
    return this.cones[edge]! | this.cones[this.after[edge]!]!;
  }
}

/** All directions that run against one of the set, or nearly. */
export function against(set: number): number {
  const back = turn(set, HALF);
  return back | turn(back, 1) | turn(back, SECTORS - 1);
}

const tellSector = (dx: number, dy: number): number =>
  Math.floor((Math.atan2(dy, dx) / Math.PI + 1) * HALF) & (SECTORS - 1);

/** All sectors from one to another, the shorter way round; all there are where it is half a turn. */
function sweep(from: number, to: number): number {
  let swept = 1 << from;
  if (from === to) return swept;
  const way = ((to - from + SECTORS + HALF) & (SECTORS - 1)) - HALF;
  if (Math.abs(way) >= HALF - 1) return -1;
  for (let at = from; at !== to; swept |= 1 << at) at = (at + Math.sign(way)) & (SECTORS - 1);
  return swept;
}

const turn = (set: number, by: number): number => (set << by) | (set >>> (SECTORS - by));
