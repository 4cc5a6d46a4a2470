// How a shop presses an item where schools of the trade differ: switches, each with its plain choice.

import { FABRICS, type Blank, type Peel } from '../materials';

/** Under a cover sheet: as each vinyl asks, always, as soon as pressed vinyl lies bare, never. */
export const COVER_SCHOOLS = ['as the vinyl asks', 'always', 'when bare', 'never'] as const;
/**
 * How layers are laid on one another: each tacked and all pressed full at the end, each pressed full, or all laid
 * together on one carrier by their registration marks and pressed once; or each ironed onto a clear film, which sticks on
 * hard things as one decal.
 */
export const LAYER_SCHOOLS = ['tack, then full', 'full each', 'on one carrier', 'on a decal film'] as const;
/** When the carrier comes off: as each vinyl asks, or all alike. */
export const PEEL_SCHOOLS = ['as the vinyl asks', 'hot', 'warm', 'cold'] as const;
/** A heat press, or an iron or hand press: smaller, less even. */
export const PRESS_TOOLS = ['press', 'hand press'] as const;

export type CoverSchool = (typeof COVER_SCHOOLS)[number];
export type LayerSchool = (typeof LAYER_SCHOOLS)[number];
export type PeelSchool = (typeof PEEL_SCHOOLS)[number];
export type PressTool = (typeof PRESS_TOOLS)[number];

export type PressRecipe = {
  readonly cover: CoverSchool;
  readonly layers: LayerSchool;
  readonly peel: PeelSchool;
  readonly tool: PressTool;
  /** The shop's own heat, instead of what makers ask for; null where theirs is taken. */
  readonly ownHeat: OwnHeat | null;
};
/** °C and seconds of each full press. */
type OwnHeat = { readonly temperatureC: number; readonly seconds: number };

export const PLAIN_RECIPE: PressRecipe = {
  cover: 'as the vinyl asks',
  layers: 'tack, then full',
  peel: 'as the vinyl asks',
  tool: 'press',
  ownHeat: null,
};
/** What an own setting may be: a shop’s hot and short, or an iron’s cloth setting. */
export const OWN_HEAT_RANGE = { leastC: 90, mostC: 215, leastSeconds: 2, mostSeconds: 120 } as const;

const WARMTH: readonly Peel[] = ['cold', 'warm', 'hot'];
/** Pulled while it is hotter than the maker says: it may lift. */
export const isHotter = (a: Peel, b: Peel): boolean => WARMTH.indexOf(a) > WARMTH.indexOf(b);
/** The one that waits longest. */
export const getCoolest = (peels: readonly Peel[]): Peel =>
  [...peels].sort((a, b) => WARMTH.indexOf(a) - WARMTH.indexOf(b))[0] ?? 'hot';

/** Films are for hard things: fabric takes the layers themselves. */
export const isDecal = ({ layers }: PressRecipe, { heating }: Pick<Blank, 'heating'>): boolean =>
  layers === 'on a decal film' && heating !== 'flat';
/** What is pressed first instead of the blank: flat, with nothing in the way. */
const makeDecalFilm = (blank: Blank): Blank => ({
  ...blank,
  name: FABRICS['decal-film'].label,
  fabric: 'decal-film',
  heating: 'flat',
  areas: [],
});

/** What lies under the press: the blank, or the film of a decal. */
export const getPressedBlank = (blank: Blank, recipe: PressRecipe = PLAIN_RECIPE): Blank =>
  isDecal(recipe, blank) ? makeDecalFilm(blank) : blank;
