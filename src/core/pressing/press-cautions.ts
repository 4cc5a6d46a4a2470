// What is to be known before the press closes: dangers, and where a recipe leaves what makers say.

import { getKindFacts, type Blank, type Peel, type Vinyl } from '../materials';
import type { LayerHeat } from './heat-load';
import { isHotter, type PressRecipe } from './press-recipe';
import type { PressStep } from './press-step';
import { getSettingAt } from './own-press';
import { STONE_HEAT, type StonesToSet } from './set-stones';
import { getHeat, getLimit } from './safe-window';

export type PressCaution =
  | { readonly kind: 'nothing-over'; readonly lower: string; readonly upper: string }
  | { readonly kind: 'puff-last'; readonly vinylName: string }
  | { readonly kind: 'hot-platen' }
  | { readonly kind: 'drinkware' }
  | { readonly kind: 'no-steam' }
  | { readonly kind: 'temperatures'; readonly fromC: number; readonly toC: number }
  | { readonly kind: 'cure'; readonly hours: number }
  | {
      readonly kind: 'too-much-heat';
      readonly vinylName: string;
      readonly seconds: number;
      readonly limitSeconds: number;
    }
  | { readonly kind: 'peeled-hotter'; readonly vinylName: string; readonly asks: Peel; readonly peel: Peel }
  | {
      readonly kind: 'off-maker';
      readonly vinylName: string;
      readonly lowC: number;
      readonly highC: number;
      readonly ownC: number;
    }
  | { readonly kind: 'off-blank'; readonly blankName: string; readonly ceilingC: number; readonly ownC: number }
  | { readonly kind: 'stack-thick'; readonly layers: number }
  | { readonly kind: 'small-stones' }
  | { readonly kind: 'stones-unset' }
  | { readonly kind: 'stones-off'; readonly ownC: number; readonly lowC: number; readonly highC: number };

/** Those of one step, to be said with it: the others are of the whole piece. */
export const findStepCautions = (
  { stones }: Pick<PressStep, 'stones'>,
  cautions: readonly PressCaution[],
): readonly PressCaution[] => (stones ? cautions.filter(({ kind }) => kind === 'stones-off') : []);

const CURE_HOURS = 24;
/** Thicker stacks on one carrier do not lie flat. */
const MOST_STACKED = 3;

type Place = {
  readonly layers: readonly { readonly vinyl: Vinyl }[];
  readonly blank: Blank;
  readonly recipe: PressRecipe;
  readonly temperatureC: number | null;
  readonly heat: readonly LayerHeat[];
  readonly stones: readonly StonesToSet[];
};

/** Of one place. */
export function findCautions({ layers, blank, recipe, temperatureC, heat, stones }: Place): readonly PressCaution[] {
  return [
    ...(temperatureC === null ? [] : [{ kind: 'hot-platen' } as const]),
    ...(blank.heating === 'wrap' ? [{ kind: 'drinkware' } as const] : []),
    ...(recipe.tool === 'hand press' && temperatureC !== null ? [{ kind: 'no-steam' } as const] : []),
    ...(blank.fabric === 'decal-film' || layers.some(({ vinyl }) => getKindFacts(vinyl.kind).family === 'adhesive')
      ? [{ kind: 'cure', hours: CURE_HOURS } as const]
      : []),
    ...findBadStacks(layers),
    ...(temperatureC === null ? [] : findLeftMakers(layers, { blank, recipe, temperatureC })),
    ...heat.flatMap(({ vinylName, seconds, limitSeconds }) =>
      seconds > limitSeconds ? [{ kind: 'too-much-heat', vinylName, seconds, limitSeconds } as const] : [],
    ),
    ...(recipe.layers === 'on one carrier' && layers.length > MOST_STACKED
      ? [{ kind: 'stack-thick', layers: layers.length } as const]
      : []),
    ...(stones.length > 0 ? cautionStones(layers, temperatureC) : []),
  ];
}

/** Their glue wants heat, and the press closes once more on all that lies there. */
function cautionStones(layers: Place['layers'], ownC: number | null): readonly PressCaution[] {
  const { lowC, highC } = STONE_HEAT;
  const puff = layers.find(({ vinyl }) => vinyl.kind === 'puff');
  return [
    { kind: 'small-stones' },
    ...(ownC === null ? [{ kind: 'stones-unset' } as const] : []),
    ...(ownC !== null && (ownC < lowC || ownC > highC) ? [{ kind: 'stones-off', ownC, lowC, highC } as const] : []),
    ...(puff ? [{ kind: 'puff-last', vinylName: puff.vinyl.name } as const] : []),
  ];
}

function findBadStacks(layers: Place['layers']): readonly PressCaution[] {
  return layers.slice(0, -1).flatMap(({ vinyl }, index): PressCaution[] => {
    if (vinyl.kind === 'puff') return [{ kind: 'puff-last', vinylName: vinyl.name }];
    const upper = layers[index + 1]!.vinyl;
    return vinyl.details.takesLayers && upper.details.liesOnVinyl
      ? []
      : [{ kind: 'nothing-over', lower: vinyl.name, upper: upper.name }];
  });
}

/** Where the shop's own school is not the makers'. */
function findLeftMakers(
  layers: Place['layers'],
  {
    blank,
    recipe,
    temperatureC,
  }: { readonly blank: Blank; readonly recipe: PressRecipe; readonly temperatureC: number },
): readonly PressCaution[] {
  const hot = layers.flatMap(({ vinyl }) => {
    const setting = getHeat(vinyl, blank);
    return setting ? [{ vinyl, setting }] : [];
  });
  const { ownHeat, peel } = recipe;
  const ownC = ownHeat?.temperatureC ?? temperatureC;
  const ceilingC = getLimit(blank);
  return [
    ...(ceilingC !== null && ownC > ceilingC
      ? [{ kind: 'off-blank', blankName: blank.name, ceilingC, ownC } as const]
      : []),
    ...hot.flatMap(({ vinyl, setting: { lowC, highC, peel: asks } }): PressCaution[] => [
      ...(ownC < lowC || ownC > highC
        ? [{ kind: 'off-maker', vinylName: vinyl.name, lowC, highC, ownC } as const]
        : []),
      ...findHotterPeel(vinyl, asks, peel === 'as the vinyl asks' ? getSettingAt(vinyl, blank, ownC)!.peel : peel),
    ]),
  ];
}

const findHotterPeel = ({ name: vinylName }: Vinyl, asks: Peel, peel: Peel): readonly PressCaution[] =>
  isHotter(peel, asks) ? [{ kind: 'peeled-hotter', vinylName, asks, peel }] : [];
