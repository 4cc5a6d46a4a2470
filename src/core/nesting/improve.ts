// Makes a layout better: a strip shorter, or more pieces on a sheet. Each is a row of attempts; what fails is
// forgotten.

import { POINT_NOISE_MM } from '../units';
import type { Bin } from './bins';
import { Field, type Random, type Placing } from './field';
import type { Shape } from './shape';
import { assemble, type AssembleEffort } from './assemble';
import { packRectangles, SHORT_WORK } from './rectangles';
import { seek } from './seek';
import { copyPlacings, separate, type Patience } from './separate';
import { looksLikePuzzle } from './touching';

/** By how much shorter a strip is tried, at first and at least. */
export const SHORTER = { first: 0.025, after: 0.006, usual: 0.01, least: 0.002 } as const;
/** Disturbed and tried again so often at a length. */
const AGAIN = 3;

/**
 * Pieces of few corners, and few of them, are each looked at longer: their layouts are lost and won by single places,
 * corner on corner. With many corners quick passes win: each piece is looked at again soon, when its neighbours have
 * moved.
 */
const patienceFor = (shapes: readonly Shape[]): Patience =>
  shapes.length <= 45 && looksLikePuzzle(shapes)
    ? { passes: 40, effort: { anywhere: 20, nearby: 12, aligned: 24, followed: 3 } }
    : { passes: 80, effort: { anywhere: 8, nearby: 6, aligned: 2, followed: 1 } };

/** The best that is known of a strip, whichever way it was found. */
export type Best = { placings: readonly Placing[]; reach: number };

/**
 * Draws the far end of the strip nearer. What can't be separated at a length is disturbed and tried again from where it
 * came to, several times, before a longer strip is tried: the way between two good layouts leads through bad ones.
 * Yields after each pass; `onShorter` is told when `best` is. `firstBy`: the share by which it is tried shorter at
 * first. Never ends by itself but for a full strip.
 */
export function* shortenStrip(
  field: Field,
  best: Best,
  random: Random,
  leastLength: number,
  firstBy: number,
  onShorter: () => void,
): Generator<void, void> {
  const patience = patienceFor(field.shapes.slice(0, field.free));
  let by = firstBy;
  while (best.reach > leastLength * FULL && field.free > 0) {
    // Also where nothing had to be separated: others have to have their turn.
    yield;
    const target = Math.max(leastLength, best.reach * (1 - by));
    field.length = target;
    field.place(closeGap(best.placings, best.reach, best.reach - target, random));
    let done = yield* separate(field, random, patience);
    for (let again = 0; !done && again < AGAIN && best.reach > target; again++) {
      field.place(swapTwo(field, copyPlacings(field), random));
      done = yield* separate(field, random, patience);
    }
    if (done && field.reach() < best.reach) {
      best.placings = copyPlacings(field);
      best.reach = field.reach();
      onShorter();
    }
    by = done ? by : by <= SHORTER.least ? SHORTER.usual : by * 0.5;
  }
}

/**
 * Puts the strip together anew as a puzzle, again and again, and rectangles by a skyline too. Yields now and then; ends
 * with a full strip, or where the pieces are none of a puzzle.
 */
export function* assembleAnew(
  field: Field,
  bin: Bin,
  best: Best,
  random: Random,
  leastLength: number,
  onShorter: () => void,
): Generator<void, void> {
  const members = Array.from({ length: field.free }, (_, at) => at),
    shapes = field.shapes.slice(0, field.free);
  for (let round = 0; best.reach > leastLength * FULL; round++) {
    // Also where it comes to its end at once: others have to have their turn.
    yield;
    const straight = round > 0 ? packRectangles(bin, shapes, members, random, SHORT_WORK) : null;
    if (straight && straight.field.reach() < best.reach) {
      best.placings = copyPlacings(straight.field);
      best.reach = straight.field.reach();
      onShorter();
    }
    const placings = yield* assemble(bin, shapes, members, random, effortOf(round), best.reach);
    if (placings === false) {
      if (straight) continue;
      return;
    }
    if (!placings) continue;
    const all = best.placings.map((placing, at) => placings.get(at) ?? placing);
    const reach = Math.max(...members.map((at) => all[at]!.y + shapes[at]!.pose(all[at]!.step).maxY));
    if (reach >= best.reach) continue;
    best.placings = all;
    best.reach = reach;
    onShorter();
  }
}

/** Wider and wider, then with more and more chance in it. */
const MOST_BEAM = 24;
const effortOf = (round: number): AssembleEffort =>
  round === 0
    ? { beam: 1, branches: 1, noise: 0 }
    : { beam: Math.min(MOST_BEAM, 4 * 2 ** round), branches: 6, noise: Math.min(1, (round - 1) / 10) };

/** A strip so near the area of its pieces has nothing left to win. */
const FULL = 1.0005;

/** Everything beyond a place along the strip is drawn nearer by `gap`. */
function closeGap(placings: readonly Placing[], reach: number, gap: number, random: Random): readonly Placing[] {
  const cut = random() * reach;
  return placings.map((placing) => (placing.y > cut ? { ...placing, y: placing.y - gap } : placing));
}

/** Two large pieces of unlike shape change places. */
function swapTwo(field: Field, placings: readonly Placing[], random: Random): readonly Placing[] {
  const large = Array.from({ length: field.free }, (_, at) => at)
    .sort((a, b) => field.shapes[b]!.areaMm2 - field.shapes[a]!.areaMm2)
    .slice(0, Math.max(2, Math.ceil(field.free * 0.6)));
  const first = large[Math.floor(random() * large.length)]!,
    others = large.filter((at) => field.shapes[at] !== field.shapes[first]);
  const second = others[Math.floor(random() * others.length)];
  if (second === undefined) return placings;
  return placings.map((placing, at) =>
    at === first
      ? { ...placing, x: placings[second]!.x, y: placings[second]!.y }
      : at === second
        ? { ...placing, x: placings[first]!.x, y: placings[first]!.y }
        : placing,
  );
}

/**
 * One more piece pressed into a full box: the field with it, or null where no way was found. Yields after each pass.
 */
export function* pressIn(field: Field, shape: Field['shapes'][number], random: Random): Generator<void, Field | null> {
  const fixed = field.shapes.length - field.free;
  const shapes = [...field.shapes.slice(0, field.free), shape, ...field.shapes.slice(field.free)];
  const start: Placing = { x: field.width / 2, y: field.length / 2, step: shape.steps?.[0] ?? 0 };
  const wider = new Field(
    shapes,
    [...field.placings.slice(0, field.free), start, ...field.placings.slice(field.free)],
    shapes.length - fixed,
    field.width,
    field.length,
  );
  if (!fitsSomehow(wider, field.free)) return null;
  const found = seek(wider, field.free, { anywhere: 200, nearby: 0, aligned: 60, followed: 4 }, random);
  if (!found) return null;
  wider.move(field.free, found.x, found.y, found.step);
  return (yield* separate(wider, random, patienceFor(shapes.slice(0, wider.free)))) ? wider : null;
}

/** Whether any allowed turn of it fits the box at all. */
export function fitsSomehow(field: Field, at: number): boolean {
  const { steps } = field.shapes[at]!;
  return (steps ?? QUARTER_STEPS).some((step) => field.fits(at, step));
}
/** No strip is shorter than its longest piece in its best turn. */
export function findLongest(field: Field): number {
  let longest = 0;
  for (const shape of new Set(field.shapes.slice(0, field.free))) {
    let least = Infinity;
    for (const step of shape.steps ?? QUARTER_STEPS) {
      const pose = shape.pose(step);
      if (pose.maxX - pose.minX <= field.width + POINT_NOISE_MM) least = Math.min(least, pose.maxY - pose.minY);
    }
    if (least < Infinity) longest = Math.max(longest, least);
  }
  return longest;
}

const QUARTER_STEPS = Array.from({ length: 90 }, (_, at) => at * 4);
