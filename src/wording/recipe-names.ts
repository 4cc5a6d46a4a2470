// How an item is pressed, in a few words: apart from what other schools would change, which few pages need.

import { PLAIN_RECIPE, type PressRecipe, type SchoolSwitch } from '../core/pressing';

export const SWITCH_NAMES: Readonly<Record<SchoolSwitch, string>> = {
  cover: 'Cover sheet',
  layers: 'Layers',
  peel: 'Peel',
  tool: 'Pressed with',
};

/** What is not plain of it. */
export function describeRecipe({ ownHeat, ...recipe }: PressRecipe): string {
  const keys = ['cover', 'layers', 'peel', 'tool'] as const;
  const other = keys.filter((key) => recipe[key] !== PLAIN_RECIPE[key]);
  const words = other.map((key) => `${SWITCH_NAMES[key].toLowerCase()}: ${recipe[key]}`);
  return [...words, ...(ownHeat ? ['own heat'] : [])].join(', ') || 'as the makers say';
}
