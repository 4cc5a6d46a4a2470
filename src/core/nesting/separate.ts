// Takes overlaps out of a field by moving one piece after another to where it overlaps least; guided local search: what
// stays in the way weighs more and more, so that no piece rests in a place that is only better than its surroundings.

import type { Field, Random, Placing } from './field';
import { seek, type Effort } from './seek';

export type Patience = {
  /** Passes without getting better before it is given up. */
  readonly passes: number;
  readonly effort: Effort;
};

/**
 * True when nothing overlaps any more; false when it was given up: the field is then as it was at its best. Yields
 * after each pass.
 */
export function* separate(field: Field, random: Random, { passes, effort }: Patience): Generator<void, boolean> {
  field.weights.fill(1);
  let least = field.total(),
    kept = copyPlacings(field),
    fruitless = 0;
  while (least > 0 && fruitless < passes) {
    const order = shuffle(
      Array.from({ length: field.free }, (_, at) => at).filter((at) => field.overlapOf(at) > 0),
      random,
    );
    for (const at of order) {
      if (field.overlapOf(at) === 0) continue;
      const found = seek(field, at, effort, random);
      if (found) field.move(at, found.x, found.y, found.step);
    }
    const total = field.total();
    if (total < least * 0.98) fruitless = 0;
    else fruitless++;
    if (total < least) {
      least = total;
      kept = copyPlacings(field);
    }
    field.reweigh();
    yield;
  }
  if (least > 0) field.place(kept);
  return least === 0;
}

export const copyPlacings = (field: Field): readonly Placing[] => field.placings.map((placing) => ({ ...placing }));

function shuffle<T>(list: T[], random: Random): T[] {
  for (let at = list.length - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1));
    [list[at], list[other]] = [list[other]!, list[at]!];
  }
  return list;
}
