// The steps that put the layers of one piece on its blank, with temperature, seconds and what is hands and what is
// waiting: place by place, in the order that needs the fewest changes of temperature.

import { getShopFigure, type Blank, type ShopFigures } from '../materials';
import { figure, groupBy, succeed, type Figure, type Result } from '../units';
import { sumHeat, type LayerHeat } from './heat-load';
import { planPlace, stickDecal, type PlaceInput, type PlacePlan, type PlanLayer } from './plan-place';
import { findCautions, type PressCaution } from './press-cautions';
import { getPressedBlank, PLAIN_RECIPE, type PressRecipe } from './press-recipe';
import { chooseOwnTemperature } from './own-press';
import type { PressStep, PressStepKind } from './press-step';
import { STONE_HEAT, type StonesToSet } from './set-stones';
import { findSafeWindow, getHeat, type PressProblem } from './safe-window';

export type PressPlan = {
  readonly steps: readonly PressStep[];
  /** Null when nothing is pressed with heat. */
  readonly temperatureC: number | null;
  readonly handsSeconds: Figure;
  readonly waitSeconds: number;
  /** Times the press closes: what wears the cover sheet and takes energy. */
  readonly pressCycles: number;
  /** How long each layer is under heat in all. */
  readonly heat: readonly LayerHeat[];
  readonly cautions: readonly PressCaution[];
};

export type PlanInput = {
  readonly layers: readonly PlanLayer[];
  readonly blank: Blank;
  readonly shop: ShopFigures;
  /** Left out: the plain one. */
  readonly recipe?: PressRecipe | undefined;
  /** Set at the first place, after its vinyl; left out for none. */
  readonly stones?: readonly StonesToSet[] | undefined;
};
/** What is pressed of anything that is made, and nothing else of it. */
export const toPressInput = (
  { layers, blank, recipe, stones }: Omit<PlanInput, 'shop'>,
  shop: ShopFigures,
): PlanInput => ({ layers, blank, shop, recipe, stones });

type Planned = PlacePlan & { readonly place: string } & Pick<PlaceInput, 'layers' | 'stones'>;

/**
 * The plan for one piece: base layer first, layers as the recipe says. One temperature for all places where there is
 * one; else each place has its own, and those of one temperature follow one another. Problems: where no safe
 * temperature exists, and the recipe names none of its own.
 */
export function planPressing({
  layers,
  blank: onto,
  shop,
  recipe = PLAIN_RECIPE,
  stones = [],
}: PlanInput): Result<PressPlan, PressProblem> {
  const blank = getPressedBlank(onto, recipe);
  const window = findSafeWindow(layers, blank, stones.length > 0 ? STONE_HEAT : null);
  const common = chooseOwnTemperature(layers, blank) ?? (window.ok ? window.value : null);
  const places: Planned[] = [];
  for (const [place, own] of groupBy(layers, (layer) => layer.place ?? '')) {
    const isFirst = places.length === 0;
    const input = { layers: own, blank, shop, recipe, isLater: !isFirst, stones: isFirst ? stones : [] };
    const plan = planPlace(input, common);
    if (!plan.ok) return plan;
    const decal = blank === onto ? [] : [stickDecal(shop)];
    places.push({ ...plan.value, steps: [...plan.value.steps, ...decal], place, layers: own, stones: input.stones });
  }
  const ordered = orderByTemperature(places);
  const heats = ordered.map(({ steps, layers: own, place }) => sumHeat(steps, listDwells(own, blank), place));
  const cautions = ordered.flatMap(({ layers: own, temperatureC, stones: set }, at) =>
    findCautions({ layers: own, blank, recipe, temperatureC, heat: heats[at]!, stones: set }),
  );
  const steps = ordered.flatMap((planned) =>
    ordered.length > 1 ? planned.steps.map((step) => ({ ...step, place: planned.place })) : planned.steps,
  );
  const temperatures = ordered.flatMap(({ temperatureC }) => temperatureC ?? []);
  return succeed(
    summarise(steps, {
      shop,
      temperatureC: temperatures[0] ?? null,
      heat: heats.flat(),
      cautions: [...dropRepeated(cautions), ...findChanges(temperatures)],
    }),
  );
}

/** Places of one temperature follow one another, in the order they first come. */
function orderByTemperature(places: readonly Planned[]): readonly Planned[] {
  return [...groupBy(places, ({ temperatureC }) => temperatureC).values()].flat().map(
    // Whatever comes first has nothing pressed beneath it.
    (planned, at) => ({ ...planned, steps: planned.steps.map((step) => setBelow(step, at > 0)) }),
  );
}

function setBelow(step: PressStep, isLater: boolean): PressStep {
  if (isLater || !step.pressedBelow) return step;
  const { pressedBelow: _, ...first } = step;
  return first;
}

const listDwells = (layers: readonly PlanLayer[], blank: Blank): ReadonlyMap<string, number> =>
  new Map(
    layers.flatMap(({ vinyl }) => {
      const setting = getHeat(vinyl, blank);
      return setting ? [[vinyl.name, setting.seconds] as const] : [];
    }),
  );

/** Of a kind and about one thing, once. */
function dropRepeated(cautions: readonly PressCaution[]): readonly PressCaution[] {
  return [...new Map(cautions.map((caution) => [JSON.stringify(caution), caution])).values()];
}

function findChanges(temperatures: readonly number[]): readonly PressCaution[] {
  return new Set(temperatures).size > 1
    ? [{ kind: 'temperatures', fromC: Math.min(...temperatures), toC: Math.max(...temperatures) }]
    : [];
}

type Summary = Pick<PressPlan, 'temperatureC' | 'heat' | 'cautions'> & { readonly shop: ShopFigures };

function summarise(steps: readonly PressStep[], { shop, temperatureC, heat, cautions }: Summary): PressPlan {
  const hands = steps.filter((step) => step.attended);
  const handsSeconds = sumSeconds(hands);
  const byHand = sumSeconds(hands.filter(({ kind }) => BY_HAND.has(kind)));
  return {
    steps,
    temperatureC,
    heat,
    cautions,
    waitSeconds: sumSeconds(steps.filter((step) => !step.attended)),
    pressCycles: steps
      .filter((step) => step.kind === 'press' || step.kind === 'tack' || step.kind === 're-press')
      .reduce((sum, step) => sum + (step.sections ?? 1), 0),
    handsSeconds: figure(temperatureC === null ? 'Tape and place' : 'Press', handsSeconds, 's', 'computed', {
      how: 'sum of the steps; while a piece cools you press the next',
      low: handsSeconds - byHand * (1 - shop.pressHandsLeast),
      high: handsSeconds + byHand * (shop.pressHandsMost - 1),
      parts: hands.map((step) =>
        figure(`${labelStep(step)}${sayAbout(step)}`, step.seconds, 's', sourceOf(step, shop)),
      ),
    }),
  };
}

const sumSeconds = (steps: readonly PressStep[]): number => steps.reduce((sum, step) => sum + step.seconds, 0);
/** These take as long as the hands do; how long the press is closed is set. */
const BY_HAND: ReadonlySet<PressStepKind> = new Set(['lay-out', 'place', 'stack', 'peel', 'apply', 'stones']);

const sayAbout = ({ vinylName, place, sections }: PressStep): string =>
  `${vinylName ? `: ${vinylName}` : place ? `: ${place}` : ''}${sections ? `, in ${sections} sections` : ''}`;

const STEP_LABELS: Readonly<Record<PressStepKind, string>> = {
  'lay-out': 'Lay out',
  'pre-press': 'Pre-press',
  place: 'Place',
  stack: 'Lay on the carrier',
  tack: 'Tack',
  press: 'Press',
  wait: 'Let it cool',
  peel: 'Peel',
  're-press': 'Re-press',
  apply: 'Clean, tape, burnish',
  stones: 'Lay on',
};
/** What is done, in a word or two. */
export const labelStep = ({ kind, covered }: Pick<PressStep, 'kind' | 'covered'>): string =>
  kind === 're-press' && covered ? `${STEP_LABELS[kind]}, covered` : STEP_LABELS[kind];

/** Which figure of the shop a step takes; pressing itself takes as long as the vinyl's maker says. */
const STEP_FIGURES = {
  'lay-out': 'pressLayOutSeconds',
  'pre-press': 'prePressSeconds',
  place: 'pressPlaceSeconds',
  stack: 'pressPlaceSeconds',
  tack: 'pressTackSeconds',
  peel: 'pressPeelSeconds',
  're-press': 'rePressSeconds',
  apply: 'applySeconds',
  stones: 'pressPlaceSeconds',
} as const;

function sourceOf({ kind }: PressStep, shop: ShopFigures): Figure['source'] {
  if (kind === 'press' || kind === 'wait') return 'maker';
  return getShopFigure(shop, STEP_FIGURES[kind]).source;
}
