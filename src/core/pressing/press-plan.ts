// The steps that put the layers of one piece on its blank, with temperature, seconds and what is hands and what is
// waiting.

import {
  getCeiling,
  getKindFacts,
  getPressSetting,
  getShopFigure,
  type Blank,
  type ObstacleKind,
  type Peel,
  type Pressure,
  type PressSetting,
  type ShopFigures,
  type Vinyl,
} from '../materials';
import { fail, figure, groupBy, succeed, type Figure, type Result } from '../units';

export type PressStepKind =
  'lay-out' | 'pre-press' | 'place' | 'tack' | 'press' | 'wait' | 'peel' | 're-press' | 'apply';
export type PressStep = {
  readonly kind: PressStepKind;
  readonly seconds: number;
  /** False while the piece cools and the next one can be pressed. */
  readonly attended: boolean;
  readonly vinylName?: string;
  readonly temperatureC?: number;
  readonly pressure?: Pressure;
  readonly peel?: Peel;
  readonly covered?: boolean;
  /** Where on the blank, where there are several. */
  readonly place?: string;
  /** What of the blank must not lie under the platen: it takes the pressure, or prints through. */
  readonly inTheWay?: readonly ObstacleKind[];
};

export type PressPlan = {
  readonly steps: readonly PressStep[];
  /** Null when nothing is pressed with heat. */
  readonly temperatureC: number | null;
  readonly handsSeconds: Figure;
  readonly waitSeconds: number;
  /** Times the press closes: what wears the cover sheet and takes energy. */
  readonly pressCycles: number;
  readonly cautions: readonly PressCaution[];
};

export type PressProblem =
  | {
      readonly kind: 'no-safe-window';
      readonly vinylName: string;
      readonly needsC: number;
      readonly blankName: string;
      readonly ceilingC: number;
    }
  | {
      readonly kind: 'windows-apart';
      readonly vinylNames: readonly [string, string];
      readonly lowC: number;
      readonly highC: number;
    }
  | { readonly kind: 'blank-takes-no-heat'; readonly vinylName: string; readonly blankName: string };
export type PressCaution =
  | { readonly kind: 'nothing-over'; readonly lower: string; readonly upper: string }
  | { readonly kind: 'hot-platen' }
  | { readonly kind: 'drinkware' }
  | { readonly kind: 'temperatures'; readonly fromC: number; readonly toC: number }
  | { readonly kind: 'cure'; readonly hours: number };

/** Cooling before the carrier comes off, seconds: warm is barely warm to the hand, cold is hand-cool. */
const PEEL_WAIT_SECONDS: Readonly<Record<Peel, number>> = { hot: 0, warm: 15, cold: 45 };
const CURE_HOURS = 24;
/** Dwell is set by the machine; laying out and placing by hand differ from shop to shop. */
const PRESS_BAND = { low: 0.85, high: 1.3 } as const;

type PlanLayer = {
  readonly vinyl: Vinyl;
  /** Layers at one place lie on one another. */
  readonly place?: string;
};
type PlanInput = { readonly layers: readonly PlanLayer[]; readonly blank: Blank; readonly shop: ShopFigures };

/**
 * The plan for one piece: place by place, base layer first, every layer tacked but the last of its place. One
 * temperature for all where there is one; else each place has its own. Problems: where no safe temperature exists.
 */
export function planPressing({ layers, blank, shop }: PlanInput): Result<PressPlan, PressProblem> {
  const places = [...groupBy(layers, (layer) => layer.place ?? '')];
  const common = findSafeWindow(layers, blank);
  const steps: PressStep[] = [];
  const cautions: PressCaution[] = [];
  const temperatures: number[] = [];
  for (const [place, own] of places) {
    const plan = planPlace({ layers: own, blank, shop }, common.ok ? common.value : null);
    if (!plan.ok) return plan;
    steps.push(...plan.value.steps.map((step) => (places.length > 1 ? { ...step, place } : step)));
    cautions.push(
      ...findCautions(own, blank, plan.value.temperatureC).filter(
        (caution) => caution.kind === 'nothing-over' || !cautions.some((known) => known.kind === caution.kind),
      ),
    );
    if (plan.value.temperatureC !== null) temperatures.push(plan.value.temperatureC);
  }
  if (new Set(temperatures).size > 1)
    cautions.push({ kind: 'temperatures', fromC: Math.min(...temperatures), toC: Math.max(...temperatures) });
  return succeed(summarise(steps, temperatures[0] ?? null, cautions, shop));
}

/** `common`: the temperature for all places, where there is one. */
function planPlace(
  input: PlanInput,
  common: number | null,
): Result<{ readonly steps: readonly PressStep[]; readonly temperatureC: number | null }, PressProblem> {
  const { layers, blank, shop } = input;
  const window = findSafeWindow(layers, blank);
  if (!window.ok) return window;
  const temperatureC = window.value && (common ?? window.value);
  const hot = layers.filter(({ vinyl }) => getHeat(vinyl, blank)).length;
  const inTheWay = temperatureC === null ? [] : listObstacles(blank);
  const steps: PressStep[] = [
    { kind: 'lay-out', seconds: shop.pressLayOutSeconds, attended: true, ...(inTheWay.length > 0 ? { inTheWay } : {}) },
  ];
  if (temperatureC !== null)
    steps.push({ kind: 'pre-press', seconds: shop.prePressSeconds, attended: true, temperatureC });
  let heated = 0;
  for (const { vinyl } of layers) {
    const setting = getHeat(vinyl, blank);
    if (temperatureC === null || !setting) {
      steps.push({ kind: 'apply', seconds: shop.applySeconds, attended: true, vinylName: vinyl.name });
      continue;
    }
    heated++;
    steps.push(
      ...pressLayer({
        vinyl,
        setting,
        temperatureC,
        last: heated === hot,
        covered: isCovered(vinyl, heated > 1),
        shop,
      }),
    );
  }
  if (temperatureC !== null)
    steps.push({ kind: 're-press', seconds: shop.rePressSeconds, attended: true, temperatureC, covered: true });
  return succeed({ steps, temperatureC });
}

function pressLayer(input: {
  vinyl: Vinyl;
  setting: PressSetting;
  temperatureC: number;
  last: boolean;
  covered: boolean;
  shop: ShopFigures;
}): PressStep[] {
  const { vinyl, setting, temperatureC, last, covered, shop } = input;
  const named = { vinylName: vinyl.name };
  const wait = PEEL_WAIT_SECONDS[setting.peel];
  return [
    { kind: 'place', seconds: shop.pressPlaceSeconds, attended: true, ...named },
    {
      kind: last ? 'press' : 'tack',
      seconds: last ? setting.seconds : shop.pressTackSeconds,
      attended: true,
      temperatureC,
      pressure: setting.pressure,
      covered,
      ...named,
    },
    ...(wait > 0 ? [{ kind: 'wait', seconds: wait, attended: false, peel: setting.peel, ...named } as const] : []),
    { kind: 'peel', seconds: shop.pressPeelSeconds, attended: true, peel: setting.peel, ...named },
  ];
}

/** Anywhere on it: the platen is larger than the place. */
const listObstacles = ({ areas }: Blank): readonly ObstacleKind[] => [
  ...new Set(areas.flatMap(({ obstacles }) => obstacles.map(({ kind }) => kind))),
];

/** Under a cover sheet: as the vinyl says, or as soon as pressed vinyl lies bare beside its carrier. */
const isCovered = (vinyl: Vinyl, bareBeside: boolean): boolean =>
  vinyl.details.cover === 'always' || (vinyl.details.cover === 'when bare' && bareBeside);

/** How it is pressed on this blank; null for what sticks without heat. */
const getHeat = (vinyl: Vinyl, blank: Blank): PressSetting | null =>
  getKindFacts(vinyl.kind).family === 'heat' ? getPressSetting(vinyl, blank.fabric) : null;

/**
 * The temperature all vinyls and the blank allow: the gentlest that every vinyl sticks at; null when nothing is heated.
 */
function findSafeWindow(layers: readonly PlanLayer[], blank: Blank): Result<number | null, PressProblem> {
  const ceilingC = blank.heating === 'none' ? null : getCeiling(blank);
  let lowC = -Infinity,
    highC = ceilingC ?? Infinity;
  let lowest: Vinyl | null = null,
    highest: Vinyl | null = null;
  for (const { vinyl } of layers) {
    const press = getHeat(vinyl, blank);
    if (!press) continue;
    if (ceilingC === null) return fail({ kind: 'blank-takes-no-heat', vinylName: vinyl.name, blankName: blank.name });
    if (press.lowC > ceilingC)
      return fail({
        kind: 'no-safe-window',
        vinylName: vinyl.name,
        needsC: press.lowC,
        blankName: blank.name,
        ceilingC,
      });
    if (press.lowC > lowC) [lowC, highest] = [press.lowC, vinyl];
    if (press.highC < highC) [highC, lowest] = [press.highC, vinyl];
  }
  if (!highest) return succeed(null);
  // The blank alone would have been told above.
  if (lowest && lowC > highC)
    return fail({ kind: 'windows-apart', vinylNames: [lowest.name, highest.name], lowC, highC });
  return succeed(Math.round((lowC + highC) / 2));
}

function findCautions(layers: readonly PlanLayer[], blank: Blank, temperatureC: number | null): PressCaution[] {
  const cautions: PressCaution[] = [];
  if (temperatureC !== null) cautions.push({ kind: 'hot-platen' });
  if (blank.heating === 'wrap') cautions.push({ kind: 'drinkware' });
  if (layers.some(({ vinyl }) => getKindFacts(vinyl.kind).family === 'adhesive'))
    cautions.push({ kind: 'cure', hours: CURE_HOURS });
  layers.slice(0, -1).forEach(({ vinyl }, index) => {
    const upper = layers[index + 1]!.vinyl;
    if (!vinyl.details.takesLayers || !upper.details.liesOnVinyl)
      cautions.push({ kind: 'nothing-over', lower: vinyl.name, upper: upper.name });
  });
  return cautions;
}

function summarise(
  steps: readonly PressStep[],
  temperatureC: number | null,
  cautions: readonly PressCaution[],
  shop: ShopFigures,
): PressPlan {
  const hands = steps.filter((step) => step.attended);
  const handsSeconds = hands.reduce((sum, step) => sum + step.seconds, 0);
  return {
    steps,
    temperatureC,
    cautions,
    waitSeconds: steps.filter((step) => !step.attended).reduce((sum, step) => sum + step.seconds, 0),
    pressCycles: steps.filter((step) => step.kind === 'press' || step.kind === 'tack' || step.kind === 're-press')
      .length,
    handsSeconds: figure(temperatureC === null ? 'Tape and place' : 'Press', handsSeconds, 's', 'computed', {
      how: 'sum of the steps; while a piece cools you press the next',
      low: handsSeconds * PRESS_BAND.low,
      high: handsSeconds * PRESS_BAND.high,
      parts: hands.map((step) =>
        figure(
          `${STEP_LABELS[step.kind]}${step.vinylName ? `: ${step.vinylName}` : step.place ? `: ${step.place}` : ''}`,
          step.seconds,
          's',
          sourceOf(step, shop),
        ),
      ),
    }),
  };
}

export const STEP_LABELS: Readonly<Record<PressStepKind, string>> = {
  'lay-out': 'Lay out',
  'pre-press': 'Pre-press',
  place: 'Place',
  tack: 'Tack',
  press: 'Press',
  wait: 'Let it cool',
  peel: 'Peel',
  're-press': 'Re-press, covered',
  apply: 'Clean, tape, burnish',
};

/** Which figure of the shop a step takes; pressing itself takes as long as the vinyl's maker says. */
const STEP_FIGURES = {
  'lay-out': 'pressLayOutSeconds',
  'pre-press': 'prePressSeconds',
  place: 'pressPlaceSeconds',
  tack: 'pressTackSeconds',
  peel: 'pressPeelSeconds',
  're-press': 'rePressSeconds',
  apply: 'applySeconds',
} as const;

function sourceOf({ kind }: PressStep, shop: ShopFigures): Figure['source'] {
  if (kind === 'press' || kind === 'wait') return 'maker';
  return getShopFigure(shop, STEP_FIGURES[kind]).source;
}
