// A first layout: bins in their order, each filled with what still waits, around what is fixed.

import type { Bin } from './bins';
import { Field, type Placing, type Random } from './field';
import type { Placement, NestOptions } from './nesting';
import { type Copy, keyOf, fitsBin } from './prepare-copies';
import { packRectangles } from './rectangles';
import { fillBin } from './first-layout';
import { copyPlacings } from './separate';
import type { Shape } from './shape';
import { TURN_STEPS } from './pose';

/** A bin with what lies in it: indices of copies by the field's free pieces, and what is locked there. */
export type FilledBin = {
  readonly bin: Bin;
  readonly sheet: number;
  field: Field;
  /** Where the free pieces lie in the best layout known; the field itself may be in the middle of an attempt. */
  placings: readonly Placing[];
  inside: readonly number[];
  readonly locked: readonly Placement[];
};

/** One bin after another; what does not fit goes on to the next. */
export function fillAll(
  copies: readonly Copy[],
  bins: readonly Bin[],
  options: NestOptions,
  random: Random,
  fixed: ReadonlySet<string>,
): FilledBin[] {
  const shapes = copies.map((copy) => copy.shape);
  const index = new Map(copies.map((copy, at) => [keyOf(copy), at]));
  let waiting = copies.flatMap((copy, at) => (fixed.has(keyOf(copy)) ? [] : [at]));
  const started = new Map((options.start ?? []).map((placement) => [keyOf(placement), placement]));
  const filledBins: FilledBin[] = [];
  for (const [sheet, bin] of bins.entries()) {
    const locked = (options.locked ?? []).filter(
      (placement) => placement.sheet === sheet && index.has(keyOf(placement)),
    );
    if (waiting.length === 0 && locked.length === 0) continue;
    const anchored = locked.map((placement) => ({
      shape: shapes[index.get(keyOf(placement))!]!,
      placing: toPlacing(placement, shapes[index.get(keyOf(placement))!]!, bin),
    }));
    const kept = waiting.filter((at) => started.get(keyOf(copies[at]!))?.sheet === sheet);
    const before = kept.length > 0 ? startFrom(bin, copies, kept, anchored, started) : null;
    const straight = options.start || anchored.length > 0 ? null : packRectangles(bin, shapes, waiting, random);
    const filled =
      before ??
      fillBin(
        bin,
        shapes,
        waiting.filter((at) => fitsBin(shapes[at]!, bin)),
        anchored,
        random,
      );
    const chosen = straight && isRoomier(straight, filled) ? straight : filled;
    filledBins.push({
      bin,
      sheet,
      field: chosen.field,
      placings: copyPlacings(chosen.field),
      inside: chosen.inside,
      locked,
    });
    const inside = new Set(chosen.inside);
    waiting = waiting.filter((at) => !inside.has(at));
  }
  return filledBins;
}

const isRoomier = (
  a: { readonly field: Field; readonly inside: readonly number[] },
  b: { readonly field: Field; readonly inside: readonly number[] },
): boolean =>
  a.inside.length > b.inside.length || (a.inside.length === b.inside.length && a.field.reach() < b.field.reach());

/** A layout that was there before, where it holds: pieces that overlap in it go on to be laid out anew. */
function startFrom(
  bin: Bin,
  copies: readonly Copy[],
  kept: readonly number[],
  anchored: readonly { readonly shape: Shape; readonly placing: Placing }[],
  started: ReadonlyMap<string, Placement>,
): { readonly field: Field; readonly inside: readonly number[] } | null {
  const fixed = [...anchored, ...bin.obstacles.map(({ shape, x, y }) => ({ shape, placing: { x, y, step: 0 } }))];
  const build = (members: readonly number[]) =>
    new Field(
      [...members.map((at) => copies[at]!.shape), ...fixed.map((entry) => entry.shape)],
      [
        ...members.map((at) => toPlacing(started.get(keyOf(copies[at]!))!, copies[at]!.shape, bin)),
        ...fixed.map((entry) => entry.placing),
      ],
      members.length,
      bin.width,
      bin.length,
    );
  const inside = [...kept];
  let field = build(inside);
  while (field.total() > 0 && inside.length > 0) {
    const worst = inside
      .map((_, at) => field.overlapOf(at))
      .reduce((best, overlap, at, all) => (overlap > all[best]! ? at : best), 0);
    inside.splice(worst, 1);
    field = build(inside);
  }
  return inside.length > 0 ? { field, inside } : null;
}

export function toPlacing(placement: Placement, shape: Shape, bin: Bin): Placing {
  const step = ((((placement.rotationDeg * TURN_STEPS) / 360) % TURN_STEPS) + TURN_STEPS) % TURN_STEPS;
  const { x, y } = turnMiddle(shape, step);
  return { x: placement.xMm + x - bin.x, y: placement.yMm + y - bin.y, step };
}

/** Where the middle of a shape comes to when it is turned about its own origin. */
export function turnMiddle(shape: Shape, step: number): { readonly x: number; readonly y: number } {
  const angle = (step * 2 * Math.PI) / TURN_STEPS,
    cos = Math.cos(angle),
    sin = Math.sin(angle);
  return { x: shape.middleX * cos - shape.middleY * sin, y: shape.middleX * sin + shape.middleY * cos };
}
