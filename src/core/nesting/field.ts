// Pieces in a box, some of them fixed, with the overlaps of each two: what the search moves and weighs.

import { POINT_NOISE_MM } from '../units';
import { measureOverlap } from './collide';
import { Pose } from './pose';
import type { Shape } from './shape';

export type Placing = { x: number; y: number; step: number };
export type Random = () => number;

export class Field {
  readonly placings: Placing[];
  /** Overlap of i and j at i × count + j. */
  private readonly overlaps: Float64Array;
  readonly weights: Float64Array;
  /** Each its own: what a shape has at hand is turned again. */
  private readonly poses: readonly Pose[];
  /** Where each lies: left, top, right, bottom. */
  private readonly boxes: Float64Array;

  /** Fixed shapes come after the free ones and never move. */
  constructor(
    readonly shapes: readonly Shape[],
    placings: readonly Placing[],
    readonly free: number,
    public width: number,
    public length: number,
  ) {
    this.placings = placings.map((placing) => ({ ...placing }));
    this.poses = shapes.map((shape, at) => new Pose(shape, this.placings[at]!.step));
    this.boxes = new Float64Array(shapes.length * 4);
    for (let at = 0; at < shapes.length; at++) this.rebox(at);
    this.overlaps = new Float64Array(shapes.length * shapes.length);
    this.weights = new Float64Array(shapes.length * shapes.length).fill(1);
    for (let at = 0; at < free; at++) this.clampInside(at);
    for (let at = 0; at < free; at++) this.refresh(at);
  }

  /** What is left of the overlap when `at` stood there: weighed, up to `limit`. */
  weigh(at: number, x: number, y: number, step: number, limit: number): number {
    const { shapes, placings, poses, weights } = this;
    const shape = shapes[at]!,
      pose = shape.pose(step),
      row = at * shapes.length;
    const left = x + pose.minX,
      right = x + pose.maxX,
      top = y + pose.minY,
      bottom = y + pose.maxY;
    const { boxes } = this;
    let sum = 0;
    for (let other = 0, box = 0; other < shapes.length; other++, box += 4) {
      if (
        boxes[box]! >= right ||
        boxes[box + 2]! <= left ||
        boxes[box + 1]! >= bottom ||
        boxes[box + 3]! <= top ||
        other === at
      )
        continue;
      const weight = weights[row + other]!,
        placing = placings[other]!;
      sum +=
        weight *
        measureOverlap(
          shape,
          pose,
          shapes[other]!,
          poses[other]!,
          placing.x - x,
          placing.y - y,
          (limit - sum) / weight,
        );
      if (sum >= limit) return Infinity;
    }
    return sum;
  }

  private rebox(at: number): void {
    const { x, y } = this.placings[at]!,
      pose = this.poses[at]!,
      box = at * 4;
    this.boxes[box] = x + pose.minX;
    this.boxes[box + 1] = y + pose.minY;
    this.boxes[box + 2] = x + pose.maxX;
    this.boxes[box + 3] = y + pose.maxY;
  }

  move(at: number, x: number, y: number, step: number): void {
    const placing = this.placings[at]!;
    placing.x = x;
    placing.y = y;
    placing.step = step;
    this.poses[at]!.turn(step);
    this.rebox(at);
    this.refresh(at);
  }

  private refresh(at: number): void {
    const { shapes, placings, poses, overlaps, boxes } = this,
      count = shapes.length,
      placing = placings[at]!,
      own = at * 4;
    for (let other = 0, box = 0; other < count; other++, box += 4) {
      if (other === at) continue;
      if (
        boxes[box]! >= boxes[own + 2]! ||
        boxes[box + 2]! <= boxes[own]! ||
        boxes[box + 1]! >= boxes[own + 3]! ||
        boxes[box + 3]! <= boxes[own + 1]!
      ) {
        overlaps[at * count + other] = overlaps[other * count + at] = 0;
        continue;
      }
      const there = placings[other]!;
      overlaps[at * count + other] = overlaps[other * count + at] = measureOverlap(
        shapes[at]!,
        poses[at]!,
        shapes[other]!,
        poses[other]!,
        there.x - placing.x,
        there.y - placing.y,
        Infinity,
      );
    }
  }

  getPose(at: number): Pose {
    return this.poses[at]!;
  }

  /** Whether it can stand in the box at all with this turn. */
  fits(at: number, step: number): boolean {
    const pose = this.shapes[at]!.pose(step);
    return (
      pose.maxX - pose.minX <= this.width + POINT_NOISE_MM && pose.maxY - pose.minY <= this.length + POINT_NOISE_MM
    );
  }

  /** The place in the box nearest to where it stands. Overlaps are not refreshed. */
  clampInside(at: number): void {
    const placing = this.placings[at]!,
      pose = this.poses[at]!;
    placing.x = Math.max(-pose.minX, Math.min(this.width - pose.maxX, placing.x));
    placing.y = Math.max(-pose.minY, Math.min(this.length - pose.maxY, placing.y));
    this.rebox(at);
  }

  /** All free pieces where they are told, and all overlaps anew; what is fixed stays, whatever is told of it. */
  place(placings: readonly Placing[]): void {
    for (let at = 0; at < this.free; at++) {
      Object.assign(this.placings[at]!, placings[at]);
      this.poses[at]!.turn(this.placings[at]!.step);
      this.clampInside(at);
    }
    for (let at = 0; at < this.free; at++) this.refresh(at);
  }

  overlapOf(at: number): number {
    const { overlaps } = this,
      count = this.shapes.length;
    let sum = 0;
    for (let other = 0; other < count; other++) sum += overlaps[at * count + other]!;
    return sum;
  }

  /** Of all pairs, each once; of fixed ones with free ones too. */
  total(): number {
    const { overlaps } = this,
      count = this.shapes.length;
    let sum = 0;
    for (let at = 0; at < this.free; at++)
      for (let other = at + 1; other < count; other++) sum += overlaps[at * count + other]!;
    return sum;
  }

  /**
   * Pairs that overlap weigh more the deeper they do, the rest slowly less again: what is always in the way gets
   * costly.
   */
  reweigh(): void {
    const { overlaps, weights } = this,
      count = this.shapes.length;
    let most = 0;
    for (let at = 0; at < this.free; at++)
      for (let other = at + 1; other < count; other++) most = Math.max(most, overlaps[at * count + other]!);
    if (most === 0) return;
    for (let at = 0; at < this.free; at++) {
      for (let other = at + 1; other < count; other++) {
        const overlap = overlaps[at * count + other]!,
          key = at * count + other;
        weights[key] =
          overlap > 0
            ? weights[key]! * (HEAVIER.least + (HEAVIER.most - HEAVIER.least) * (overlap / most))
            : Math.max(1, weights[key]! * LIGHTER);
        weights[other * count + at] = weights[key]!;
      }
    }
  }

  /** How far along the box the free pieces reach. */
  reach(): number {
    let reach = 0;
    for (let at = 0; at < this.free; at++) reach = Math.max(reach, this.placings[at]!.y + this.poses[at]!.maxY);
    return reach;
  }
}

const HEAVIER = { least: 1.2, most: 2 } as const;
const LIGHTER = 0.95;
