// Recipes: how vinyls are pressed on fabrics and cut, by maker and shop, and what was seen of it since. Types only.

import type { CutSetting, PresetUse } from '../core/cutting';
import type { Fabric, OwnPress, PressSetting } from '../core/materials';
import type { LookKind, LooksSum } from '../core/pressing';

type LookRow = {
  readonly id: number;
  readonly kind: LookKind;
  readonly pieces: number;
  readonly washes: number;
  /** ISO day. */
  readonly day: string;
  readonly note: string;
};
export type RecipeRow = {
  readonly vinylId: number;
  readonly vinylName: string;
  readonly colourHex: string;
  /** Of the vinyl, which the recipe is kept with. */
  readonly version: number;
  readonly fabric: Fabric;
  /** As its maker says; null for what is not pressed. */
  readonly maker: PressSetting | null;
  /** As the shop does it; null where it does as the maker says. */
  readonly own: OwnPress | null;
  readonly sum: LooksSum;
  /** The latest first. */
  readonly looks: readonly LookRow[];
};
export type PresetRow = {
  readonly id: number;
  readonly vinylId: number;
  readonly vinylName: string;
  readonly colourHex: string;
  readonly name: string;
  readonly use: PresetUse;
  readonly setting: CutSetting;
  /** What the blade had cut when it was kept, m. */
  readonly bladeMetres: number;
  readonly savedAtMs: number;
  /** The blade has cut so much since that it is to be tried again. */
  readonly isWornPast: boolean;
};
export type ChosenVinyl = { readonly id: number; readonly name: string; readonly version: number };
export type RecipesView = {
  readonly rows: readonly RecipeRow[];
  readonly presets: readonly PresetRow[];
  /** The first of the shelf, to choose from. */
  readonly vinyls: readonly ChosenVinyl[];
  /** Whether there are others, that are looked for by name. */
  readonly more: boolean;
  /** ISO day in the shop's time zone. */
  readonly today: string;
};
