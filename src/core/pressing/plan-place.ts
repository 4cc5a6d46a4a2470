// The steps at one place of a blank: laid out, pre-pressed, layer on layer, pressed once more.

import type { Blank, ObstacleKind, PressSetting, ShopFigures, Vinyl } from '../materials';
import { succeed, type Result } from '../units';
import { closeFor, heat, peelOff, type Way } from './press-moves';
import { getCoolest, type PressRecipe } from './press-recipe';
import { setStones, STONE_HEAT, type StonesToSet } from './set-stones';
import { countSections, type PressStep } from './press-step';
import { chooseOwnTemperature, getSettingAt, suitsAll } from './own-press';
import { findSafeWindow, getHeat, getLimit, type PressProblem } from './safe-window';

export type PlanLayer = {
  readonly vinyl: Vinyl;
  /** Layers at one place lie on one another. */
  readonly place?: string;
  /** How large it is; without it, it is taken to lie under the platen whole. */
  readonly measurement?: { readonly box: { readonly width: number; readonly height: number } };
};
export type PlaceInput = {
  readonly layers: readonly PlanLayer[];
  readonly blank: Blank;
  readonly shop: ShopFigures;
  readonly recipe: PressRecipe;
  /** Something else of the piece is pressed already. */
  readonly isLater: boolean;
  /** Set on this place, after its vinyl. */
  readonly stones: readonly StonesToSet[];
};
export type PlacePlan = { readonly steps: readonly PressStep[]; readonly temperatureC: number | null };

type HotLayer = { readonly vinyl: Vinyl; readonly setting: PressSetting };

/** `common`: the temperature for all places, where there is one. */
export function planPlace(input: PlaceInput, common: number | null): Result<PlacePlan, PressProblem> {
  const { layers, blank, shop, recipe, isLater, stones } = input;
  const temperature = findTemperature(input, common);
  if (!temperature.ok) return temperature;
  const temperatureC = temperature.value;
  const hot = layers.flatMap(({ vinyl }): HotLayer[] => {
    const setting = temperatureC === null ? null : getSettingAt(vinyl, blank, temperatureC);
    return setting ? [{ vinyl, setting: setSchool(setting, recipe) }] : [];
  });
  const isHot = ({ vinyl }: PlanLayer) => hot.some((one) => one.vinyl === vinyl);
  const applied = layers.filter((layer) => !isHot(layer));
  const layOut: PressStep = {
    kind: 'lay-out',
    seconds: shop.pressLayOutSeconds,
    attended: true,
    ...(temperatureC === null ? {} : describeBed(blank, isLater)),
  };
  if (temperatureC === null) return succeed({ steps: [layOut, ...applied.map(stick(shop))], temperatureC });
  const sections = blank.heating === 'wrap' ? 1 : countSections(boundLayers(layers), recipe.tool, shop);
  const way: Way = { blank, shop, recipe, temperatureC, sections };
  return succeed({
    temperatureC,
    steps: [
      layOut,
      heat(way, { kind: 'pre-press', seconds: shop.prePressSeconds }),
      ...(recipe.layers === 'on one carrier' && hot.length > 1 ? pressStack(hot, way) : pressLayers(layers, hot, way)),
      ...setStones(stones, way),
      ...(isPressedAgain(hot) ? [rePress(hot, way)] : []),
      ...(recipe.layers === 'on one carrier' && hot.length > 1 ? applied.map(stick(shop)) : []),
    ],
  });
}

/**
 * The shop's own heat is taken as it is, with a caution: the item's before its vinyls'. Where nothing is heated there is
 * none.
 */
function findTemperature(
  { layers, blank, recipe, stones }: PlaceInput,
  common: number | null,
): Result<number | null, PressProblem> {
  const window = findSafeWindow(layers, blank, stones.length > 0 ? STONE_HEAT : null);
  const isHeated = layers.some(({ vinyl }) => getHeat(vinyl, blank));
  if (recipe.ownHeat && isHeated && getLimit(blank) !== null) return succeed(recipe.ownHeat.temperatureC);
  const own = chooseOwnTemperature(layers, blank);
  if (own !== null) return succeed(common !== null && suitsAll(layers, blank, common) ? common : own);
  if (!window.ok) return window;
  return succeed(window.value && (common ?? window.value));
}

function setSchool(setting: PressSetting, { peel, ownHeat, tool }: PressRecipe): PressSetting {
  const seconds = ownHeat?.seconds ?? setting.seconds;
  return {
    ...setting,
    peel: peel === 'as the vinyl asks' ? setting.peel : peel,
    seconds: closeFor(seconds, { tool }),
  };
}

function describeBed(blank: Blank, isLater: boolean): Partial<PressStep> {
  const inTheWay = listObstacles(blank);
  return {
    ...(inTheWay.length > 0 ? { inTheWay } : {}),
    ...(isLater && blank.heating === 'flat' ? { pressedBelow: true } : {}),
  };
}

/** Anywhere on it: the platen is larger than the place. */
const listObstacles = ({ areas }: Blank): readonly ObstacleKind[] => [
  ...new Set(areas.flatMap(({ obstacles }) => obstacles.map(({ kind }) => kind))),
];

/** Null where a layer's size is not known. */
function boundLayers(layers: readonly PlanLayer[]): { readonly width: number; readonly height: number } | null {
  const boxes = layers.flatMap(({ measurement }) => measurement?.box ?? []);
  if (boxes.length < layers.length) return null;
  return { width: Math.max(...boxes.map((box) => box.width)), height: Math.max(...boxes.map((box) => box.height)) };
}

/** The film with all that was ironed onto it, as one. */
export const stickDecal = ({ applySeconds, tapeUses }: StickFigures): PressStep => ({
  kind: 'apply',
  seconds: applySeconds,
  attended: true,
  vinylName: 'the decal',
  tapeUses,
});
type StickFigures = Pick<ShopFigures, 'applySeconds' | 'tapeUses'>;

const stick =
  ({ applySeconds, tapeUses }: StickFigures) =>
  ({ vinyl }: PlanLayer): PressStep => ({
    kind: 'apply',
    seconds: applySeconds,
    attended: true,
    vinylName: vinyl.name,
    tapeUses,
    ...(vinyl.kind === 'stencil' ? { isStencil: true } : {}),
  });

/** Base first; each by itself, with what sticks without heat in its place among them. */
function pressLayers(layers: readonly PlanLayer[], hot: readonly HotLayer[], way: Way): readonly PressStep[] {
  // Two layers may be of one vinyl: which of the hot ones it is goes by their order.
  let at = -1;
  return layers.flatMap((layer): readonly PressStep[] => {
    if (!hot.some(({ vinyl }) => vinyl === layer.vinyl)) return [stick(way.shop)(layer)];
    at += 1;
    const { vinyl, setting } = hot[at]!;
    const { shop, recipe, blank } = way;
    const named = { vinylName: vinyl.name };
    const isFull = at === hot.length - 1 || recipe.layers === 'full each';
    return [
      {
        kind: 'place',
        seconds: shop.pressPlaceSeconds,
        attended: true,
        ...named,
        ...(blank.heating === 'wrap' ? { isWrapped: true } : {}),
      },
      heat(way, {
        kind: isFull ? 'press' : 'tack',
        seconds: isFull ? setting.seconds : shop.pressTackSeconds,
        pressure: setting.pressure,
        covered: isCovered(vinyl, at > 0, recipe),
        ...named,
      }),
      ...peelOff(setting.peel, vinyl.name, shop),
    ];
  });
}

/** All laid on one carrier first, then pressed as the one that needs longest, and peeled as the one that waits longest. */
function pressStack(hot: readonly HotLayer[], way: Way): readonly PressStep[] {
  const { shop, recipe } = way;
  const last = hot.at(-1)!;
  const longest = Math.max(...hot.map(({ setting }) => setting.seconds));
  const peel = getCoolest(hot.map(({ setting }) => setting.peel));
  return [
    ...hot.map(({ vinyl }): PressStep => ({
      kind: 'stack',
      seconds: shop.pressPlaceSeconds,
      attended: true,
      vinylName: vinyl.name,
    })),
    { kind: 'place', seconds: shop.pressPlaceSeconds, attended: true },
    heat(way, {
      kind: 'press',
      seconds: longest,
      pressure: last.setting.pressure,
      covered: isCovered(last.vinyl, false, recipe),
      vinylName: last.vinyl.name,
    }),
    ...peelOff(peel, last.vinyl.name, shop),
  ];
}

/** Puff is never pressed again: it would go flat. */
const isPressedAgain = (hot: readonly HotLayer[]): boolean => !hot.some(({ vinyl }) => vinyl.kind === 'puff');

function rePress(hot: readonly HotLayer[], way: Way): PressStep {
  return heat(way, {
    kind: 're-press',
    seconds: way.shop.rePressSeconds,
    covered: way.recipe.cover !== 'never',
    ...(hot.some(({ vinyl }) => vinyl.kind === 'stretch') ? { stretchFirst: true } : {}),
  });
}

/** Under a cover sheet: as the vinyl or the recipe says, or as soon as pressed vinyl lies bare beside its carrier. */
function isCovered({ details }: Vinyl, bareBeside: boolean, { cover }: PressRecipe): boolean {
  const school = cover === 'as the vinyl asks' ? details.cover : cover;
  return school === 'always' || (school === 'when bare' && bareBeside);
}
