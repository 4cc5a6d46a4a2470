// Puts pieces together as a puzzle is. Every way to lay a piece into an open corner, edge on edge, is rated by how much
// of its outline then touches; of all ways to go on the best are followed side by side (a beam search, Lowerre 1976).

import type { Bin } from './bins';
import { measureOverlap } from './collide';
import type { Random, Placing } from './field';
import { Pose, TURN_STEPS } from './pose';
import type { Shape } from './shape';
import { matchTurns, measureFreeAngle, measureTouch, meetsWholly, TOUCH_MM, type Corner, type Laid } from './touching';

/** What a held corner is worth beside an outline that touches all round. */
const CORNER_WORTH = 0.6;
/** Chance of a choice: scores that differ by less may change places. */
const NOISE = 0.12;
/**
 * Pieces that touch along less than this share of their outlines, on the average of the first few, are none of a
 * puzzle.
 */
const LEAST_TOUCHING = 0.3;
const FIRST_FEW = 5;
/** Outlines that came turned are rounded: so little beyond a wall is none. */
const WALL_MM = 4e-3;
/** A corner that nothing goes into any more, with room in it all the same, stays a hole. */
const isPocket = (angle: number): boolean => angle > 0.1 && angle < Math.PI - 0.1;
const LOST_POCKET = 1;

type Table = {
  readonly bin: Bin;
  readonly random: Random;
  readonly noise: number;
  readonly cornerWorth: number;
  /** Neighbours meet along whole edges. */
  readonly whole: boolean;
  readonly shorterThan: number;
};
/** A way to lay one more piece. */
type Option = {
  readonly shape: Shape;
  readonly placing: Placing;
  readonly corner: Corner;
  readonly minX: number;
  readonly maxX: number;
  readonly minY: number;
  readonly maxY: number;
  readonly touching: number;
  readonly score: number;
};
/** A part of the puzzle, laid. */
type State = {
  readonly laid: readonly Laid[];
  readonly placed: ReadonlyMap<number, Placing>;
  readonly waiting: ReadonlyMap<Shape, readonly number[]>;
  /** All ways to go on. */
  readonly options: readonly Option[];
  /** Scores of its pieces together. */
  readonly value: number;
  readonly touched: number;
  /** The same for the same pieces in the same places, in whatever order. */
  readonly mark: number;
};
/**
 * `beam`: so many parts of the puzzle are followed side by side, each in so many `branches`. `noise` from 0: how much
 * chance there is in it.
 */
export type AssembleEffort = { readonly beam: number; readonly branches: number; readonly noise: number };

/**
 * Where each member stands; null where not all could be laid so, false where they are none of a puzzle. Of all ways to
 * lay the next piece the best are followed (a beam search). Yields after each way that was followed.
 */
export function* assemble(
  bin: Bin,
  shapes: readonly Shape[],
  members: readonly number[],
  random: Random,
  { beam, branches, noise }: AssembleEffort,
  shorterThan: number,
): Generator<void, ReadonlyMap<number, Placing> | null | false> {
  // What a held corner is worth is varied too: puzzles differ in it.
  const table: Table = {
    bin,
    random,
    noise: noise * NOISE,
    whole: meetsWholly(members.map((member) => shapes[member]!)),
    cornerWorth: CORNER_WORTH * (1 + noise * (2 * random() - 0.8)),
    shorterThan,
  };
  const laid: Laid[] = bin.obstacles.map(({ shape, x, y }) => ({
    shape,
    pose: new Pose(shape, 0),
    placing: { x, y, step: 0 },
  }));
  const waiting = new Map<Shape, readonly number[]>();
  for (const member of members) waiting.set(shapes[member]!, [...(waiting.get(shapes[member]!) ?? []), member]);
  const start: readonly Corner[] = [
    { x: 0, y: 0, into: Math.PI, out: Math.PI / 2, intoMm: null, outMm: null },
    { x: bin.width, y: 0, into: -Math.PI / 2, out: Math.PI, intoMm: null, outMm: null },
  ];
  let states: readonly State[] = [
    {
      laid,
      placed: new Map(),
      waiting,
      options: start.flatMap((corner) =>
        listOptions({ ...table, noise: noise > 0 ? 1 : 0 }, laid, [...waiting.keys()], corner),
      ),
      value: 0,
      touched: 0,
      mark: 0,
    },
  ];
  for (let count = 1; count <= members.length; count++) {
    const next = listNext(states, shapes, branches);
    const grown: State[] = [];
    for (const [mark, { state, option, value }] of [...next].sort(([, a], [, b]) => b.value - a.value).slice(0, beam)) {
      grown.push(lay(table, state, option, value, mark));
      yield;
    }
    states = grown;
    // Where not even a first piece goes into a corner, edge on edge, none ever will.
    if (states.length === 0) return count === 1 ? false : null;
    if (count === FIRST_FEW && Math.max(...states.map((state) => state.touched)) < FIRST_FEW * LEAST_TOUCHING)
      return false;
  }
  const reachOf = ({ laid: all }: State) => Math.max(...all.map(({ pose, placing }) => placing.y + pose.maxY));
  return states.reduce((best, state) => (reachOf(state) < reachOf(best) ? state : best)).placed;
}

/** The ways to go on from the states, each layout once, by its mark. */
function listNext(states: readonly State[], shapes: readonly Shape[], branches: number) {
  const next = new Map<number, { readonly state: State; readonly option: Option; readonly value: number }>();
  for (const state of states) {
    const own = new Map<number, Option>();
    for (const option of [...state.options].sort((a, b) => b.score - a.score)) {
      own.set(state.mark + markOf(shapes.indexOf(option.shape), option.placing), option);
      if (own.size >= branches) break;
    }
    for (const [mark, option] of own) {
      const value = state.value + option.score,
        known = next.get(mark);
      if (!known || known.value < value) next.set(mark, { state, option, value });
    }
  }
  return next;
}

/** Added up over pieces it tells one layout from another. */
const markOf = (kind: number, placing: Placing): number =>
  Math.round(
    Math.sin(
      (kind + 1) * 12.9898 +
        Math.round(placing.x * 10) * 78.233 +
        Math.round(placing.y * 10) * 37.719 +
        Math.round(placing.step * 4) * 4.581,
    ) * 1e12,
  );

/**
 * The state with one more piece: ways to go on that it stands in are gone, those beside it touch more, and its corners
 * open new ones.
 */
function lay(table: Table, state: State, { shape, placing, touching }: Option, value: number, mark: number): State {
  const pose = new Pose(shape, placing.step),
    laid = [...state.laid, { shape, pose, placing }];
  const [member, ...copies] = state.waiting.get(shape)!,
    waiting = new Map(state.waiting);
  if (copies.length > 0) waiting.set(shape, copies);
  else waiting.delete(shape);
  const options = keepOptions(table, state, { laid, waiting, shape, pose, placing });
  const turn = (placing.step * 2 * Math.PI) / TURN_STEPS,
    kinds = [...waiting.keys()];
  const corners = new Set(state.options.map((option) => option.corner));
  for (const at of shape.sharp) {
    const before = shape.before[at]!,
      corner: Corner = {
        x: placing.x + pose.xAt(at),
        y: placing.y + pose.yAt(at),
        into: shape.directions[before]! + turn,
        out: shape.directions[at]! + turn,
        intoMm: shape.lengths[before]!,
        outMm: shape.lengths[at]!,
      };
    corners.add(corner);
    options.push(...listOptions(table, laid, kinds, corner));
  }
  for (const { corner } of options) corners.delete(corner);
  const lost =
    kinds.length === 0
      ? 0
      : [...corners].filter((corner) => isPocket(measureFreeAngle(table.bin, laid, corner))).length;
  return {
    laid,
    placed: new Map([...state.placed, [member!, placing]]),
    waiting,
    options,
    value: value - LOST_POCKET * lost,
    touched: state.touched + touching,
    mark,
  };
}

type Next = {
  readonly laid: readonly Laid[];
  readonly waiting: ReadonlyMap<Shape, readonly number[]>;
  readonly shape: Shape;
  readonly pose: Pose;
  readonly placing: Placing;
};

/** The ways to go on that the new piece leaves open; those beside it are rated anew, for they touch more. */
function keepOptions(table: Table, state: State, { laid, waiting, shape, pose, placing }: Next): Option[] {
  const left = placing.x + pose.minX - TOUCH_MM,
    right = placing.x + pose.maxX + TOUCH_MM,
    top = placing.y + pose.minY - TOUCH_MM,
    bottom = placing.y + pose.maxY + TOUCH_MM;
  const options: Option[] = [];
  for (const option of state.options) {
    if (!waiting.has(option.shape)) continue;
    if (option.minX >= right || option.maxX <= left || option.minY >= bottom || option.maxY <= top)
      options.push(option);
    else {
      const own = option.shape.pose(option.placing.step);
      if (
        measureOverlap(
          option.shape,
          own,
          shape,
          pose,
          placing.x - option.placing.x,
          placing.y - option.placing.y,
          Infinity,
        ) === 0
      )
        options.push(rate(table, laid, option.shape, own, option.placing, option.corner));
    }
  }
  return options;
}

/** All ways to lay a waiting piece into the corner. */
function listOptions(
  table: Table,
  laid: readonly Laid[],
  waiting: readonly Shape[],
  corner: Corner,
): readonly Option[] {
  const { bin, shorterThan } = table,
    found: Option[] = [];
  for (const shape of waiting) {
    for (const at of shape.sharp) {
      for (const step of matchTurns(shape, at, corner, table.whole)) {
        const pose = shape.pose(step);
        const atX = corner.x - pose.xAt(at),
          atY = corner.y - pose.yAt(at);
        if (
          atX + pose.minX < -WALL_MM ||
          atX + pose.maxX > bin.width + WALL_MM ||
          atY + pose.minY < -WALL_MM ||
          atY + pose.maxY > Math.min(bin.length, shorterThan)
        )
          continue;
        const x = Math.max(-pose.minX, Math.min(bin.width - pose.maxX, atX)),
          y = Math.max(-pose.minY, atY);
        if (
          laid.some(
            (other) =>
              measureOverlap(shape, pose, other.shape, other.pose, other.placing.x - x, other.placing.y - y, Infinity) >
              0,
          )
        )
          continue;
        found.push(rate(table, laid, shape, pose, { x, y, step }, corner));
      }
    }
  }
  return found;
}

function rate(
  { bin, random, noise, cornerWorth }: Table,
  laid: readonly Laid[],
  shape: Shape,
  pose: Pose,
  placing: Placing,
  corner: Corner,
): Option {
  const { x, y } = placing,
    { touching, held } = measureTouch(bin, shape, pose, x, y, laid);
  return {
    shape,
    placing,
    corner,
    minX: x + pose.minX,
    maxX: x + pose.maxX,
    minY: y + pose.minY,
    maxY: y + pose.maxY,
    touching,
    score: touching + cornerWorth * held + noise * random() - (0.05 * (y + pose.maxY)) / bin.width,
  };
}
