// How pieces of a puzzle touch: how much of an outline lies on others, which turns lay edge on edge, and where a hole
// would stay. After the touching perimeter of Lodi, Martello and Vigo (1999), for any polygons.

import { POINT_NOISE_MM } from '../units';
import type { Bin } from './bins';
import type { Placing } from './field';
import { TURN_STEPS, type Pose } from './pose';
import type { Shape } from './shape';

export type Laid = { readonly shape: Shape; readonly pose: Pose; readonly placing: Placing };
/**
 * With the directions, in radians, and the lengths of the edges that come into it and go out of it; null for a wall's.
 */
export type Corner = {
  readonly x: number;
  readonly y: number;
  readonly into: number;
  readonly out: number;
  readonly intoMm: number | null;
  readonly outMm: number | null;
};

/** Outlines nearer than this, mm, touch. */
export const TOUCH_MM = 0.08;
/** Edges lie along one another within this many steps of turn. */
const ALONG = 0.4;
const EXACT = 1e-4;
/** A shorter edge, of the size of its shape, says too little of the turn. */
const LEAST_ALIGNED = 0.08;
/** Shapes with fewer corners, on the average, are tried as a puzzle whatever their edges are. */
const FEW_CORNERS = 12;
/** Edges of one length, to this, mm, may have been one cut. */
const SAME_MM = 4e-4;
const LEAST_MATCHED = 0.5;
const MATCHED_WHOLLY = 0.7;

/**
 * Whether it is worth trying: few corners, or edges that most come twice, on two unlike shapes, as a cut leaves them.
 * Copies of one shape say nothing.
 */
export function looksLikePuzzle(shapes: readonly Shape[]): boolean {
  const unlike = [...new Set(shapes)];
  return (
    unlike.reduce((sum, shape) => sum + shape.next.length, 0) <= FEW_CORNERS * unlike.length ||
    measureMatched(unlike) >= LEAST_MATCHED
  );
}

/** Whether neighbours meet along whole edges. */
export const meetsWholly = (shapes: readonly Shape[]): boolean =>
  measureMatched([...new Set(shapes)]) >= MATCHED_WHOLLY;

/** The share of all edges, by length, that have one as long on another shape. */
function measureMatched(unlike: readonly Shape[]): number {
  const edges = unlike
    .flatMap((shape, owner) => Array.from(shape.lengths, (length) => ({ owner, length })))
    .sort((a, b) => a.length - b.length);
  const isMatched = (at: number, way: number) => {
    for (
      let other = at + way;
      edges[other] && Math.abs(edges[other]!.length - edges[at]!.length) <= SAME_MM;
      other += way
    )
      if (edges[other]!.owner !== edges[at]!.owner) return true;
    return false;
  };
  const matched = edges.reduce((sum, edge, at) => sum + (isMatched(at, 1) || isMatched(at, -1) ? edge.length : 0), 0);
  return matched / unlike.reduce((sum, shape) => sum + shape.perimeter, 0);
}

/** The turns with which an edge at the piece's corner lies along one at the open corner, the other way round. */
export function matchTurns(shape: Shape, at: number, corner: Corner, whole: boolean): readonly number[] {
  const before = shape.before[at]!,
    least = shape.size * LEAST_ALIGNED;
  const goes = (edge: number, along: number | null) =>
    shape.lengths[edge]! >= least && (!whole || along === null || Math.abs(along - shape.lengths[edge]!) <= SAME_MM);
  const turns = [
    goes(at, corner.intoMm) ? corner.into + Math.PI - shape.directions[at]! : null,
    goes(before, corner.outMm) ? corner.out + Math.PI - shape.directions[before]! : null,
  ];
  const steps = turns
    .flatMap((turn) => turn ?? [])
    .map((turn) => ((((turn / (2 * Math.PI)) * TURN_STEPS) % TURN_STEPS) + TURN_STEPS) % TURN_STEPS);
  const found = new Set<number>();
  for (const step of steps) {
    const near = Math.round(step) % TURN_STEPS;
    if (!shape.steps) found.add(Math.abs(step - Math.round(step)) < EXACT ? near : step);
    else if (Math.abs(step - Math.round(step)) < ALONG && shape.steps.includes(near)) found.add(near);
  }
  return [...found];
}

/**
 * How much of its outline lies on the box or on others, as a share, and how many of its sharp corners are held on both
 * sides: nothing but a neighbour does that.
 */
export function measureTouch(
  bin: Bin,
  shape: Shape,
  own: Pose,
  x: number,
  y: number,
  laid: readonly Laid[],
): { readonly touching: number; /** Share of its sharp corners. */ readonly held: number } {
  let sum = 0;
  const { xs, ys } = own.turnOutline();
  const held = new Float64Array(xs.length);
  const near = listNear(own, x, y, laid);
  for (let at = 0; at < xs.length; at++) {
    const n = shape.next[at]!;
    const x1 = xs[at]! + x,
      y1 = ys[at]! + y,
      x2 = xs[n]! + x,
      y2 = ys[n]! + y,
      dx = x2 - x1,
      dy = y2 - y1,
      length = Math.sqrt(dx * dx + dy * dy);
    if (length < POINT_NOISE_MM) continue;
    if (
      (x1 < TOUCH_MM && x2 < TOUCH_MM) ||
      (x1 > bin.width - TOUCH_MM && x2 > bin.width - TOUCH_MM) ||
      (y1 < TOUCH_MM && y2 < TOUCH_MM)
    ) {
      sum += length;
      held[at] = 1;
      continue;
    }
    const ux = dx / length,
      uy = dy / length;
    for (const other of near) {
      const { xs: ox, ys: oy } = other.pose.turnOutline(),
        { next } = other.shape,
        sx = other.placing.x,
        sy = other.placing.y;
      for (let k = 0; k < ox.length; k++) {
        const m = next[k]!;
        const ax = ox[k]! + sx - x1,
          ay = oy[k]! + sy - y1;
        if (Math.abs(ax * uy - ay * ux) > TOUCH_MM) continue;
        const bx = ox[m]! + sx - x1,
          by = oy[m]! + sy - y1;
        if (Math.abs(bx * uy - by * ux) > TOUCH_MM) continue;
        const from = bx * ux + by * uy,
          to = ax * ux + ay * uy;
        // The other way round: its inside lies on the other side.
        const touched = to > from ? Math.max(0, Math.min(length, to) - Math.max(0, from)) : 0;
        sum += touched;
        held[at]! += touched / length;
      }
    }
  }
  let corners = 0;
  for (const at of shape.sharp) if (held[at]! > HELD && held[shape.before[at]!]! > HELD) corners++;
  return { touching: sum / shape.perimeter, held: corners / Math.max(1, Math.min(4, shape.sharp.length)) };
}

/** Those whose boxes touch its own. */
const listNear = ({ minX, maxX, minY, maxY }: Pose, x: number, y: number, laid: readonly Laid[]) =>
  laid.filter(
    ({ pose, placing }) =>
      placing.x + pose.minX < x + maxX + TOUCH_MM &&
      placing.x + pose.maxX > x + minX - TOUCH_MM &&
      placing.y + pose.minY < y + maxY + TOUCH_MM &&
      placing.y + pose.maxY > y + minY - TOUCH_MM,
  );

/** An edge is held where more than this share of it is touched. */
const HELD = 0.12;

/** How much of the full turn about a place lies free, radians. */
export function measureFreeAngle({ width }: Bin, laid: readonly Laid[], { x, y }: Corner): number {
  const walls = [x < TOUCH_MM || x > width - TOUCH_MM, y < TOUCH_MM].filter(Boolean).length;
  let free = walls === 2 ? Math.PI / 2 : walls === 1 ? Math.PI : 2 * Math.PI;
  for (const { shape, pose, placing } of laid) {
    const dx = x - placing.x,
      dy = y - placing.y;
    if (
      dx < pose.minX - TOUCH_MM ||
      dx > pose.maxX + TOUCH_MM ||
      dy < pose.minY - TOUCH_MM ||
      dy > pose.maxY + TOUCH_MM
    )
      continue;
    const { xs, ys } = pose.turnOutline();
    for (let at = 0; at < xs.length; at++) {
      const to = shape.next[at]!,
        ex = xs[to]! - xs[at]!,
        ey = ys[to]! - ys[at]!,
        length = Math.hypot(ex, ey);
      if (Math.hypot(dx - xs[at]!, dy - ys[at]!) < TOUCH_MM) {
        const bend = shape.directions[at]! - shape.directions[shape.before[at]!]!;
        free -= Math.PI - Math.atan2(Math.sin(bend), Math.cos(bend));
      } else if (length > 0) {
        const along = ((dx - xs[at]!) * ex + (dy - ys[at]!) * ey) / length,
          off = Math.abs((dx - xs[at]!) * ey - (dy - ys[at]!) * ex) / length;
        if (off < TOUCH_MM && along > TOUCH_MM && along < length - TOUCH_MM) free -= Math.PI;
      }
    }
  }
  return free;
}
