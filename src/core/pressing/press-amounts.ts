// What pressing one piece is calculated from: how often each thing is done by hand, and the seconds that no hand changes.

import type { ShopFigures } from '../materials';
import { succeed, type Result } from '../units';
import { planPressing, type PlanInput } from './press-plan';
import type { PressProblem } from './safe-window';

/** What hands do at the press, in the order of the amounts. */
export const PRESS_FIGURES = [
  'pressLayOutSeconds',
  'pressPlaceSeconds',
  'pressPeelSeconds',
  'applySeconds',
] as const satisfies readonly (keyof ShopFigures)[];

export type PressAmounts = {
  /** Blanks laid out, layers placed, carriers peeled, decals stuck: of one piece. */
  readonly amounts: readonly number[];
  /** Under the closed press, whoever works it. */
  readonly fixedSeconds: number;
};

/**
 * The plan takes so many times each figure, and the rest: measured by what a second more of each adds to it, so that it
 * holds however the plan is made.
 */
export function listPressAmounts(input: PlanInput): Result<PressAmounts, PressProblem> {
  const plan = planPressing(input);
  if (!plan.ok) return plan;
  const hands = plan.value.handsSeconds.value;
  const amounts = PRESS_FIGURES.map((key) => {
    const slower = planPressing({ ...input, shop: { ...input.shop, [key]: input.shop[key] + 1 } });
    return slower.ok ? slower.value.handsSeconds.value - hands : 0;
  });
  const byHand = amounts.reduce((sum, amount, at) => sum + amount * input.shop[PRESS_FIGURES[at]!], 0);
  return succeed({ amounts, fixedSeconds: Math.max(0, hands - byHand) });
}
