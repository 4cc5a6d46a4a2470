// Puts pieces together as a puzzle is: into the lowest open corner goes the piece that touches what is there along most of its
// outline. A touching-perimeter heuristic (after Lodi, Martello and Vigo 1999), for any polygons.

import { measureOverlap } from './collide';
import type { Bin } from './bins';
import type { Random, Spot } from './field';
import { Pose, TURN_STEPS } from './pose';
import type { Shape } from './shape';

type Laid = { readonly shape: Shape; readonly pose: Pose; readonly spot: Spot };
/** With the directions, in radians, of the outline that comes into it and goes out of it. */
type Corner = { readonly x: number; readonly y: number; readonly into: number; readonly out: number };
type Choice = { readonly member: number; readonly spot: Spot; readonly score: number; readonly touching: number };

/** Open corners looked at for each piece. */
const CORNERS = 40;
/** Outlines nearer than this, mm, touch. */
const TOUCH_MM = 0.08;
/** Edges lie along one another within this many steps of turn. */
const ALONG = 0.4;
const EXACT = 1e-4;
/** Chance of a choice: scores that differ by less may change places. */
const NOISE = 0.12;

/** Pieces that touch along less than this share of their outlines, on the average of the first few, are none of a puzzle. */
const LEAST_TOUCHING = 0.3;
const FIRST_FEW = 5;

/** Shapes with fewer corners, on the average, are tried as a puzzle whatever their edges are. */
const FEW_CORNERS = 12;
/** Edges of one length, to this, mm, may have been one cut. */
const SAME_MM = 2e-4;
const LEAST_MATCHED = 0.5;

/** Whether it is worth trying: few corners, or edges that most come twice, on two unlike shapes, as a cut leaves them. Copies of one shape say nothing. */
export function looksLikePuzzle(shapes: readonly Shape[]): boolean {
  const unlike = [...new Set(shapes)];
  if (unlike.reduce((sum, shape) => sum + shape.next.length, 0) <= FEW_CORNERS * unlike.length) return true;
  const edges = unlike.flatMap((shape, owner) => shape.listEdges().map((length) => ({ owner, length }))).sort((a, b) => a.length - b.length);
  const isMatched = (at: number, way: number) => {
    for (let other = at + way; edges[other] && Math.abs(edges[other]!.length - edges[at]!.length) <= SAME_MM; other += way) if (edges[other]!.owner !== edges[at]!.owner) return true;
    return false;
  };
  const matched = edges.reduce((sum, edge, at) => sum + (isMatched(at, 1) || isMatched(at, -1) ? edge.length : 0), 0);
  return matched >= LEAST_MATCHED * unlike.reduce((sum, shape) => sum + shape.perimeter, 0);
}

/** Where each member stands; null where not all could be laid so, false where they are none of a puzzle. Yields after each open corner. `noise` from 0: how much chance there is in it. */
export function* assemble(bin: Bin, shapes: readonly Shape[], members: readonly number[], random: Random, noise: number, shorterThan: number): Generator<void, ReadonlyMap<number, Spot> | null | false> {
  const laid: Laid[] = bin.obstacles.map(({ shape, x, y }) => ({ shape, pose: new Pose(shape, 0), spot: { x, y, step: 0 } }));
  const placed = new Map<number, Spot>();
  let open: Corner[] = [{ x: 0, y: 0, into: Math.PI, out: Math.PI / 2 }, { x: bin.width, y: 0, into: -Math.PI / 2, out: Math.PI }];
  const waiting = new Set(members);
  // What a held corner is worth is varied too: puzzles differ in it.
  const cornerWorth = CORNER_WORTH * (1 + noise * (2 * random() - 0.8));
  let touched = 0;
  while (waiting.size > 0) {
    open.sort((a, b) => a.y - b.y || a.x - b.x);
    let best: Choice | null = null;
    const used = open.slice(0, CORNERS), fruitless: Corner[] = [];
    for (const corner of used) {
      const found = choose({ bin, shapes, laid, random, noise: noise * NOISE, cornerWorth, shorterThan }, waiting, corner);
      if (!found) fruitless.push(corner);
      else if (!best || found.score > best.score) best = found;
      yield;
    }
    open = open.filter((corner) => !fruitless.includes(corner));
    if (!best) {
      if (open.length === 0) return null;
      continue;
    }
    const shape = shapes[best.member]!, pose = new Pose(shape, best.spot.step);
    laid.push({ shape, pose, spot: best.spot });
    placed.set(best.member, best.spot);
    touched += best.touching;
    if (placed.size === FIRST_FEW && touched < FIRST_FEW * LEAST_TOUCHING) return false;
    waiting.delete(best.member);
    const turn = (best.spot.step * 2 * Math.PI) / TURN_STEPS;
    for (const at of shape.sharp) open.push({ x: best.spot.x + pose.xAt(at), y: best.spot.y + pose.yAt(at), into: shape.directions[shape.before[at]!]! + turn, out: shape.directions[at]! + turn });
  }
  return placed;
}

type Table = { readonly bin: Bin; readonly shapes: readonly Shape[]; readonly laid: readonly Laid[]; readonly random: Random; readonly noise: number; readonly cornerWorth: number; readonly shorterThan: number };

function choose({ bin, shapes, laid, random, noise, cornerWorth, shorterThan }: Table, waiting: ReadonlySet<number>, corner: Corner): Choice | null {
  let best: Choice | null = null;
  const tried = new Set<Shape>();
  for (const member of waiting) {
    const shape = shapes[member]!;
    if (tried.has(shape)) continue;
    tried.add(shape);
    for (const at of shape.sharp) {
      for (const step of matchTurns(shape, at, corner)) {
        const pose = shape.pose(step);
        const x = corner.x - pose.xAt(at), y = corner.y - pose.yAt(at);
        if (x + pose.minX < -1e-6 || x + pose.maxX > bin.width + 1e-6 || y + pose.minY < -1e-6 || y + pose.maxY > Math.min(bin.length, shorterThan) + 1e-6) continue;
        if (laid.some((other) => measureOverlap(shape, pose, other.shape, other.pose, other.spot.x - x, other.spot.y - y, Infinity) > 0)) continue;
        const { touching, held } = measureTouch(bin, shape, pose, x, y, laid);
        const score = touching + cornerWorth * held + noise * random() - (0.05 * (y + pose.maxY)) / bin.width;
        if (!best || score > best.score) best = { member, spot: { x, y, step }, score, touching };
      }
    }
  }
  return best;
}

/** The turns with which an edge at the piece's corner lies along one at the open corner, the other way round. */
function matchTurns(shape: Shape, at: number, corner: Corner): readonly number[] {
  const own = { into: shape.directions[shape.before[at]!]!, out: shape.directions[at]! };
  const steps = [corner.into + Math.PI - own.out, corner.out + Math.PI - own.into].map((turn) => (((turn / (2 * Math.PI)) * TURN_STEPS) % TURN_STEPS + TURN_STEPS) % TURN_STEPS);
  const found = new Set<number>();
  for (const step of steps) {
    const whole = Math.round(step) % TURN_STEPS;
    if (!shape.steps) found.add(Math.abs(step - Math.round(step)) < EXACT ? whole : step);
    else if (Math.abs(step - Math.round(step)) < ALONG && shape.steps.includes(whole)) found.add(whole);
  }
  return [...found];
}

/** How much of its outline lies on the box or on others, as a share, and how many of its sharp corners are held on both sides: nothing but a neighbour does that. */
function measureTouch(bin: Bin, shape: Shape, own: Pose, x: number, y: number, laid: readonly Laid[]): { readonly touching: number; /** Share of its sharp corners. */ readonly held: number } {
  let sum = 0;
  const { minX, maxX, minY, maxY } = own, { xs, ys } = own.turnOutline();
  const held = new Float64Array(xs.length);
  const near = laid.filter(({ pose, spot }) => spot.x + pose.minX < x + maxX + TOUCH_MM && spot.x + pose.maxX > x + minX - TOUCH_MM && spot.y + pose.minY < y + maxY + TOUCH_MM && spot.y + pose.maxY > y + minY - TOUCH_MM);
  for (let at = 0; at < xs.length; at++) {
    const n = shape.next[at]!;
    const x1 = xs[at]! + x, y1 = ys[at]! + y, x2 = xs[n]! + x, y2 = ys[n]! + y, dx = x2 - x1, dy = y2 - y1, length = Math.sqrt(dx * dx + dy * dy);
    if (length < 1e-9) continue;
    if ((x1 < TOUCH_MM && x2 < TOUCH_MM) || (x1 > bin.width - TOUCH_MM && x2 > bin.width - TOUCH_MM) || (y1 < TOUCH_MM && y2 < TOUCH_MM)) {
      sum += length;
      held[at] = 1;
      continue;
    }
    const ux = dx / length, uy = dy / length;
    for (const other of near) {
      const { xs: ox, ys: oy } = other.pose.turnOutline(), { next } = other.shape, sx = other.spot.x, sy = other.spot.y;
      for (let k = 0; k < ox.length; k++) {
        const m = next[k]!;
        const ax = ox[k]! + sx - x1, ay = oy[k]! + sy - y1;
        if (Math.abs(ax * uy - ay * ux) > TOUCH_MM) continue;
        const bx = ox[m]! + sx - x1, by = oy[m]! + sy - y1;
        if (Math.abs(bx * uy - by * ux) > TOUCH_MM) continue;
        const from = bx * ux + by * uy, to = ax * ux + ay * uy;
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

/** An edge is held where more than this share of it is touched. */
const HELD = 0.12;
const CORNER_WORTH = 0.6;
