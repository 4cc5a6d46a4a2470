// When much waits, a carrier that may come off hot need not cool: what that would save.

import { figure, type Figure } from '../units';
import { planPressing, type PlanInput, type PressPlan } from './press-plan';
import { isHotter, PLAIN_RECIPE } from './press-recipe';
import { orderPressRun } from './press-run';
import { getHeat } from './safe-window';

/**
 * The plan with every carrier pulled as hot as its maker allows; null where the recipe does so already, or nothing would
 * be sooner.
 */
export function planHotterPeel(input: PlanInput): PressPlan | null {
  const { layers, blank, recipe = PLAIN_RECIPE } = input;
  const { peel: chosen } = recipe;
  if (chosen === 'as the vinyl asks') return null;
  const asked = layers.flatMap(({ vinyl }) => getHeat(vinyl, blank)?.peel ?? []);
  const isCooler = asked.some((peel) => isHotter(peel, chosen));
  const isBolder = asked.some((peel) => isHotter(chosen, peel));
  if (!isCooler || isBolder) return null;
  const plan = planPressing({ ...input, recipe: { ...recipe, peel: 'as the vinyl asks' } });
  return plan.ok ? plan.value : null;
}

/** Seconds that a run of so many pieces is shorter by, each laid on while others cool; null where it is not. */
export function compareRuns(now: PressPlan, then: PressPlan, pieces: number): Figure | null {
  const [before, after] = [now, then].map(({ steps }) => orderPressRun(steps, pieces).seconds);
  const saved = before! - after!;
  return saved > 0
    ? figure('Shorter by', saved, 's', 'computed', {
        how: `the run of ${pieces} as it is − the run peeled as hot as the makers allow`,
        parts: [figure('As it is', before!, 's', 'computed'), figure('Peeled hotter', after!, 's', 'computed')],
      })
    : null;
}
