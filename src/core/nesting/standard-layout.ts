// How much of a roll so many of one layer take when they are laid out as what they are: what an item's cost is built
// on.

import type { Polyline } from '../geometry';
import { nest } from './nest';

import { MOST_STANDARD_COPIES } from './standard-copies';
const ROUNDS = 150;
const SEED = 0.37;

export type StandardWish = {
  readonly outline: Polyline;
  readonly copies: number;
  readonly usableMm: number;
  readonly gapMm: number;
  readonly turnable: boolean;
};

/**
 * The strip's length for `copies` (at most 24 of them), with half a gap at both ends, mm; null where one does not fit.
 * The same wish gives the same strip.
 */
export async function layOutStandard({
  outline,
  copies,
  usableMm,
  gapMm,
  turnable,
}: StandardWish): Promise<number | null> {
  const piece = {
    id: 'piece',
    rings: [outline],
    copies: Math.min(MOST_STANDARD_COPIES, Math.max(1, copies)),
    turns: turnable ? ('free' as const) : [0, 180],
  };
  const found = await nest([piece], [{ kind: 'roll', id: 'roll', widthMm: usableMm, lengthMm: 1e6 }], {
    gapMm,
    margins: { sideMm: 0, endMm: gapMm / 2 },
    inside: 'bays',
    seed: SEED,
    rounds: ROUNDS,
  });
  return found.ok ? found.value.usedLengthMm : null;
}
