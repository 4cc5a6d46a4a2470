// What the maker's sheet and the shop's own trials say of a vinyl, beyond its kind.

import type { Fabric } from './blank';
import { getKindFacts, type Peel, type PressSetting, type Pressure, type VinylKind } from './vinyl-kinds';

export const FINISHES = [
  'matt',
  'satin',
  'gloss',
  'metallic',
  'glittering',
  'velvety',
  'raised',
  'glowing',
  'clear',
] as const;
type Finish = (typeof FINISHES)[number];
/** Which way pattern, pile or brushing runs on the roll. */
export const DIRECTIONS = ['none', 'along', 'across'] as const;
type Direction = (typeof DIRECTIONS)[number];
/** Which side the carrier or liner lies on: on the face it is cut from the back, mirrored. */
export const CARRIERS = ['face', 'back'] as const;
type Carrier = (typeof CARRIERS)[number];
/** Under a cover sheet while it is pressed: once pressed vinyl lies bare, always, or never. */
export const COVERS = ['when bare', 'always', 'never'] as const;
type Cover = (typeof COVERS)[number];
/** What it is good for, best first. */
export const GRADES = ['sell', 'own use', 'stencil', 'no'] as const;
export type Grade = (typeof GRADES)[number];

/** Who says so: tried here, told by who sells it, by another of the trade, or as it was always done. */
export const RECIPE_SOURCES = ['own trial', 'supplier', 'colleague', 'habit'] as const;
type RecipeSource = (typeof RECIPE_SOURCES)[number];
/** How the shop itself presses a vinyl on a fabric, whatever its maker says. */
export type OwnPress = {
  readonly temperatureC: number;
  readonly seconds: number;
  readonly pressure: Pressure;
  readonly peel: Peel;
  readonly source: RecipeSource;
  /** Since when, ISO day. */
  readonly day: string;
  readonly note: string;
};

export type VinylDetails = {
  /** In micrometres; null where nobody said. */
  readonly thicknessUm: number | null;
  readonly finish: Finish;
  readonly direction: Direction;
  readonly carrier: Carrier;
  /** Another vinyl may lie on top of it. */
  readonly takesLayers: boolean;
  /** It may lie on top of another. */
  readonly liesOnVinyl: boolean;
  /** Thinnest stroke and narrowest gap that it holds, mm; null: as its kind ordinarily does. */
  readonly strokeMm: number | null;
  readonly gapMm: number | null;
  readonly cover: Cover;
  /** Where a fabric asks for other heat than `press`. */
  readonly pressOn: Partial<Readonly<Record<Fabric, PressSetting>>>;
  /** The shop's own, by fabric. */
  readonly ownPress: Partial<Readonly<Record<Fabric, OwnPress>>>;
  /** It lets go better when it was warmed for a moment before weeding. */
  readonly warmToWeed: boolean;
  readonly washNote: string;
  readonly grade: Grade;
  /** Why the seller says so; empty where nothing was written. */
  readonly gradeNote: string;
  readonly sheetText: string;
  readonly sheetLink: string;
};

const FINISH_OF: Partial<Readonly<Record<VinylKind, Finish>>> = {
  glitter: 'glittering',
  holographic: 'metallic',
  flock: 'velvety',
  puff: 'raised',
  reflective: 'glowing',
  permanent: 'gloss',
};

/** What is taken of a kind until somebody says otherwise. */
export function getOrdinaryDetails(kind: VinylKind): VinylDetails {
  const { cutFromBack, takesLayers, hasDirection, family } = getKindFacts(kind);
  return {
    thicknessUm: null,
    finish: FINISH_OF[kind] ?? 'matt',
    direction: hasDirection ? 'along' : 'none',
    carrier: cutFromBack ? 'face' : 'back',
    takesLayers,
    liesOnVinyl: kind !== 'stencil',
    strokeMm: null,
    gapMm: null,
    cover: 'when bare',
    pressOn: {},
    ownPress: {},
    warmToWeed: false,
    washNote: family === 'heat' ? 'Rest it a day, then wash it inside out, cool.' : '',
    grade: kind === 'stencil' ? 'stencil' : 'sell',
    gradeNote: '',
    sheetText: '',
    sheetLink: '',
  };
}
