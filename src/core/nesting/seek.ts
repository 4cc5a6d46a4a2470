// Where one piece stands best: places tried at random all over and about where it is, the best of them then followed
// downhill.

import { LENGTH_NOISE_MM, POINT_NOISE_MM } from '../units';
import type { Field, Random, Placing } from './field';
import { TURN_STEPS } from './pose';
import type { Shape } from './shape';

export type Effort = {
  readonly anywhere: number;
  readonly nearby: number;
  /** Corner on corner with another piece, or an edge of the box. */
  readonly aligned: number;
  readonly followed: number;
};
type Found = Placing & { cost: number };

/**
 * Turns tried at random are so many steps apart: few enough that what is known of each is kept; following finds those
 * between.
 */
const STRIDE = 10;
const randomStep = (shape: Shape, random: Random): number =>
  shape.steps
    ? shape.steps[Math.floor(random() * shape.steps.length)]!
    : STRIDE * Math.floor((random() * TURN_STEPS) / STRIDE);
/** What a place costs beside its overlap. */
export type Cost = (x: number, y: number, step: number) => number;

const FREE: Cost = () => 0;

/**
 * The best place found for the piece, with what is left of its weighed overlap; `cost` adds to that, such as how far
 * along it reaches.
 */
export function seek(field: Field, at: number, effort: Effort, random: Random, cost: Cost = FREE): Found | null {
  const shape = field.shapes[at]!,
    { width, length } = field;
  const best: Found[] = [];
  const worst = () => (best.length < effort.followed ? Infinity : best[best.length - 1]!.cost);
  const tryAt = (x: number, y: number, step: number) => {
    const limit = worst();
    const extra = cost(x, y, step);
    if (extra >= limit) return;
    const found = field.weigh(at, x, y, step, limit - extra) + extra;
    if (found >= limit) return;
    if (best.length >= effort.followed) best.pop();
    let place = best.length;
    while (place > 0 && best[place - 1]!.cost > found) place--;
    best.splice(place, 0, { x, y, step, cost: found });
  };
  const now = field.placings[at]!;
  if (field.fits(at, now.step) && now.x > -1e8) tryAt(now.x, now.y, now.step);
  for (let round = 0; round < effort.anywhere; round++) {
    const step = randomStep(shape, random),
      pose = shape.pose(step);
    const room = width - (pose.maxX - pose.minX),
      along = length - (pose.maxY - pose.minY);
    if (room < -POINT_NOISE_MM || along < -POINT_NOISE_MM) continue;
    // Edges of the box are where much fits best.
    const x = random() < 0.25 ? (random() < 0.5 ? 0 : room) : random() * room,
      y = random() < 0.1 ? 0 : random() * along;
    tryAt(Math.max(0, x) - pose.minX, Math.max(0, y) - pose.minY, step);
  }
  for (let round = 0; round < effort.nearby; round++) {
    const turned =
      random() < 0.3
        ? shape.steps
          ? randomStep(shape, random)
          : (now.step + Math.round((random() - 0.5) * 40) + TURN_STEPS) % TURN_STEPS
        : now.step;
    const pose = shape.pose(turned),
      reach = 0.6 * (0.1 + random());
    const x = now.x + (random() - 0.5) * reach * (pose.maxX - pose.minX),
      y = now.y + (random() - 0.5) * reach * (pose.maxY - pose.minY);
    if (!field.fits(at, turned)) continue;
    tryAt(clamp(x, -pose.minX, width - pose.maxX), clamp(y, -pose.minY, length - pose.maxY), turned);
  }
  for (let round = 0; round < effort.aligned; round++) align(field, at, random, tryAt);
  let winner: Found | null = null;
  for (const candidate of best) {
    const settled = follow(field, at, candidate, random, cost, winner?.cost ?? Infinity);
    if (!winner || settled.cost < winner.cost) winner = settled;
  }
  return winner;
}

/**
 * A corner of the piece on a corner of another, as neighbours of a puzzle lie; turned, where it may be, so that their
 * edges lie on one another.
 */
function align(field: Field, at: number, random: Random, tryAt: (x: number, y: number, step: number) => void): void {
  const shape = field.shapes[at]!;
  const other = Math.floor(random() * field.shapes.length);
  if (other === at || field.placings[other]!.x < -1e8) return;
  const there = field.getPose(other),
    placing = field.placings[other]!,
    theirs = field.shapes[other]!;
  const k = Math.floor(random() * theirs.corners.length),
    corner = theirs.corners[k]!;
  let step = shape.steps ? randomStep(shape, random) : field.placings[at]!.step;
  const j = Math.floor(random() * shape.corners.length),
    own = shape.corners[j]!;
  if (!shape.steps && random() < 0.5) {
    // Their normals against one another.
    const now = shape.pose(step),
      turn = Math.atan2(-there.ny[k]!, -there.nx[k]!) - Math.atan2(now.ny[j]!, now.nx[j]!);
    step = (((step + Math.round((turn * TURN_STEPS) / (2 * Math.PI))) % TURN_STEPS) + TURN_STEPS) % TURN_STEPS;
  }
  const pose = shape.pose(step);
  const x = placing.x + there.xAt(corner) - pose.xAt(own),
    y = placing.y + there.yAt(corner) - pose.yAt(own);
  if (
    x + pose.minX < -LENGTH_NOISE_MM ||
    x + pose.maxX > field.width + LENGTH_NOISE_MM ||
    y + pose.minY < -LENGTH_NOISE_MM ||
    y + pose.maxY > field.length + LENGTH_NOISE_MM
  )
    return;
  tryAt(clamp(x, -pose.minX, field.width - pose.maxX), clamp(y, -pose.minY, field.length - pose.maxY), step);
}

const clamp = (value: number, low: number, high: number): number => (value < low ? low : value > high ? high : value);

/**
 * Coordinate descent: along an axis, a diagonal or a turn, in steps that grow while it gets better and are halved while
 * it does not.
 */
function follow(field: Field, at: number, from: Found, random: Random, cost: Cost, known: number): Found {
  const shape = field.shapes[at]!,
    { width, length } = field;
  const placing = { ...from };
  let reach = shape.size * 0.12,
    turn = 12,
    failures = 0;
  const smallest = Math.max(0.003, shape.size * 0.0004);
  while (reach > smallest && placing.cost > 0 && failures < 24) {
    const kind = Math.floor(random() * (shape.steps ? 4 : 5));
    const sign = random() < 0.5 ? 1 : -1;
    let better = false;
    for (const direction of [sign, -sign]) {
      const step =
        kind === 4
          ? (placing.step + direction * Math.max(1, Math.round(turn)) + TURN_STEPS) % TURN_STEPS
          : placing.step;
      if (kind === 4 && !field.fits(at, step)) continue;
      const pose = shape.pose(step);
      const x = clamp(
        placing.x + (kind === 0 || kind === 2 || kind === 3 ? direction * reach : 0),
        -pose.minX,
        width - pose.maxX,
      );
      const y = clamp(
        placing.y + (kind === 1 || kind === 2 ? direction * reach : kind === 3 ? -direction * reach : 0),
        -pose.minY,
        length - pose.maxY,
      );
      const extra = cost(x, y, step);
      const found = field.weigh(at, x, y, step, placing.cost - extra) + extra;
      if (found < placing.cost) {
        placing.x = x;
        placing.y = y;
        placing.step = step;
        placing.cost = found;
        better = true;
        break;
      }
    }
    if (better) {
      failures = 0;
      if (kind === 4) turn *= 1.1;
      else reach *= 1.15;
    } else {
      failures++;
      if (kind === 4) turn *= 0.6;
      else reach *= 0.62;
    }
    // Far from as good as what is known already: not worth the way down.
    if (placing.cost > known * 6 && reach < shape.size * 0.01) break;
  }
  return placing;
}
