// What each other school would change of a plan: minutes, closings of the press, and what would have to be watched.

import { planPressing, type PlanInput, type PressPlan } from './press-plan';
import type { PressCaution } from './press-cautions';
import {
  COVER_SCHOOLS,
  isDecal,
  LAYER_SCHOOLS,
  PEEL_SCHOOLS,
  PLAIN_RECIPE,
  PRESS_TOOLS,
  type PressRecipe,
} from './press-recipe';

export type SchoolSwitch = 'cover' | 'layers' | 'peel' | 'tool';
export const SCHOOL_OPTIONS: { readonly [Key in SchoolSwitch]: readonly PressRecipe[Key][] } = {
  cover: COVER_SCHOOLS,
  layers: LAYER_SCHOOLS,
  peel: PEEL_SCHOOLS,
  tool: PRESS_TOOLS,
};

export type SchoolChange = {
  readonly option: string;
  readonly isChosen: boolean;
  /** Against what is chosen, seconds of hands and of waiting; 0 where it changes nothing. */
  readonly handsSeconds: number;
  readonly waitSeconds: number;
  readonly pressCycles: number;
  /** Cautions it would bring that there are not now. */
  readonly brings: readonly PressCaution[];
  /** It would change something at all. */
  readonly matters: boolean;
};

/** By switch, its options in their order; empty where nothing is pressed. */
export function compareSchools(input: PlanInput): Readonly<Record<SchoolSwitch, readonly SchoolChange[]>> {
  const recipe = input.recipe ?? PLAIN_RECIPE;
  const now = planPressing(input);
  const compare = (key: SchoolSwitch): readonly SchoolChange[] =>
    SCHOOL_OPTIONS[key].flatMap((option) => {
      if (option === 'on a decal film' && !isDecal({ ...recipe, layers: option }, input.blank)) return [];
      const plan = planPressing({ ...input, recipe: { ...recipe, [key]: option } });
      return plan.ok && now.ok && now.value.temperatureC !== null
        ? [toChange(option, recipe[key] === option, plan.value, now.value)]
        : [];
    });
  return { cover: compare('cover'), layers: compare('layers'), peel: compare('peel'), tool: compare('tool') };
}

function toChange(option: string, isChosen: boolean, plan: PressPlan, now: PressPlan): SchoolChange {
  const known = new Set(now.cautions.map((caution) => JSON.stringify(caution)));
  return {
    option,
    isChosen,
    handsSeconds: plan.handsSeconds.value - now.handsSeconds.value,
    waitSeconds: plan.waitSeconds - now.waitSeconds,
    pressCycles: plan.pressCycles - now.pressCycles,
    brings: plan.cautions.filter((caution) => !known.has(JSON.stringify(caution))),
    matters: JSON.stringify(plan.steps) !== JSON.stringify(now.steps),
  };
}
