// A first layout, quickly: the largest pieces first, each put where it reaches least far along without overlapping.

import { Field, type Random, type Placing } from './field';
import { seek, type Effort } from './seek';
import type { Bin } from './bins';
import type { Shape } from './shape';

/** Where what is not laid out yet waits: out of everything's way. */
const AWAY = -1e9;

/** Overlap counts so much more than reaching far that none is left where any place is free. */
const OVERLAP_WEIGHT = 1e4;

export type Filled = {
  readonly field: Field;
  /** Indices into `shapes` in the order of the field's free pieces. */
  readonly inside: readonly number[];
  readonly left: readonly number[];
};

/** Pieces that found no free place are left. `anchored` are there already and stay. */
export function fillBin(
  bin: Bin,
  shapes: readonly Shape[],
  members: readonly number[],
  anchored: readonly { readonly shape: Shape; readonly placing: Placing }[],
  random: Random,
): Filled {
  const order = [...members].sort((a, b) => shapes[b]!.size - shapes[a]!.size);
  const fixed = [
    ...anchored.map(({ shape, placing }) => ({ shape, placing })),
    ...bin.obstacles.map(({ shape, x, y }) => ({ shape, placing: { x, y, step: 0 } })),
  ];
  const all = [...order.map((at) => shapes[at]!), ...fixed.map((entry) => entry.shape)];
  // Nothing is clamped into the box before it is laid out.
  const field = new Field(
    all,
    [...order.map(() => ({ x: AWAY, y: AWAY, step: 0 })), ...fixed.map((entry) => entry.placing)],
    0,
    bin.width,
    bin.length,
  );
  field.weights.fill(OVERLAP_WEIGHT);
  const effort: Effort = effortFor(order.length);
  const inside: number[] = [],
    placings: Placing[] = [],
    left: number[] = [];
  // Only as far along as it has to: the box grows with what is in it.
  let reach = 0;
  for (const [at, member] of order.entries()) {
    const lowest = layNext(field, at, all[at]!, { bin, effort, random, reach });
    field.length = bin.length;
    if (lowest === null) left.push(member);
    else {
      reach = Math.max(reach, lowest);
      inside.push(member);
      placings.push({ ...field.placings[at]! });
    }
  }
  const kept = inside.map((member) => shapes[member]!);
  return {
    field: new Field(
      [...kept, ...fixed.map((entry) => entry.shape)],
      [...placings, ...fixed.map((entry) => entry.placing)],
      kept.length,
      bin.width,
      bin.length,
    ),
    inside,
    left,
  };
}

type Filling = {
  readonly bin: Bin;
  readonly effort: Effort;
  readonly random: Random;
  /** As far along as anything reaches yet, mm. */
  readonly reach: number;
};

/** Lays the next piece where it reaches least far, and answers how far; null where no free place was found. */
function layNext(field: Field, at: number, shape: Shape, { bin, effort, random, reach }: Filling): number | null {
  field.placings[at]!.step = shape.steps?.[0] ?? 0;
  for (const stretch of [1, 2.2, Infinity]) {
    const room = Math.min(bin.length, reach + stretch * shape.size * 1.5 + 1);
    field.length = room;
    const found = seek(field, at, effort, random, (x, y, step) => {
      const pose = shape.pose(step);
      return y + pose.maxY + 0.02 * (x + pose.maxX);
    });
    if (found && isFree(field, at, found)) {
      field.move(at, found.x, found.y, found.step);
      return found.y + shape.pose(found.step).maxY;
    }
    if (room >= bin.length) break;
  }
  return null;
}

const isFree = (field: Field, at: number, { x, y, step }: Placing): boolean =>
  field.weigh(at, x, y, step, Infinity) === 0;

/** With many pieces each is given less. */
const effortFor = (count: number): Effort =>
  count <= 80
    ? { anywhere: 120, nearby: 0, aligned: 120, followed: 4 }
    : { anywhere: 40, nearby: 0, aligned: 40, followed: 2 };
