// The temperatures that vinyls and blank allow together, why there are none, and which vinyls would have some.

import { getCeiling, getKindFacts, getPressSetting, type Blank, type PressSetting, type Vinyl } from '../materials';
import { fail, succeed, type Result } from '../units';

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

/** How it is pressed on this blank; null for what sticks without heat. */
export const getHeat = (vinyl: Vinyl, blank: Blank): PressSetting | null =>
  getKindFacts(vinyl.kind).family === 'heat' ? getPressSetting(vinyl, blank.fabric) : null;

/** The hottest that the blank stands; null where nothing is pressed on it. */
export const getLimit = (blank: Blank): number | null => (blank.heating === 'none' ? null : getCeiling(blank));

type Window = { readonly lowC: number; readonly highC: number };

/**
 * The temperature all vinyls and the blank allow: the middle of what they share; null when nothing is heated. `wanted`:
 * kept within where they share something of it.
 */
export function findSafeWindow(
  layers: readonly { readonly vinyl: Vinyl }[],
  blank: Blank,
  wanted: Window | null = null,
): Result<number | null, PressProblem> {
  const ceilingC = getLimit(blank);
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
  return succeed(middleOf(narrow({ lowC, highC }, wanted)));
}

const middleOf = ({ lowC, highC }: Window): number => Math.round((lowC + highC) / 2);
function narrow(window: Window, wanted: Window | null): Window {
  if (!wanted) return window;
  const shared = { lowC: Math.max(window.lowC, wanted.lowC), highC: Math.min(window.highC, wanted.highC) };
  return shared.lowC <= shared.highC ? shared : window;
}

/**
 * Of these vinyls those that would do in place of the ones a problem names: with the rest of the layers there is a
 * temperature for all. Those of the same kind come first, then as they are given. For a blank that takes no heat, those
 * that stick without.
 */
export function listFittingVinyls<T extends Vinyl>(
  problem: PressProblem,
  {
    layers,
    blank,
    vinyls,
  }: { readonly layers: readonly { readonly vinyl: Vinyl }[]; readonly blank: Blank; readonly vinyls: readonly T[] },
): readonly T[] {
  const named = problem.kind === 'windows-apart' ? problem.vinylNames : [problem.vinylName];
  const fits = (vinyl: T, replaced: string): boolean => {
    const family = getKindFacts(vinyl.kind).family;
    if (problem.kind === 'blank-takes-no-heat' ? family === 'heat' : family !== 'heat') return false;
    return findSafeWindow([...layers.filter((layer) => layer.vinyl.name !== replaced), { vinyl }], blank).ok;
  };
  const used = new Set(layers.map(({ vinyl }) => vinyl.id));
  const kinds = new Set(layers.filter(({ vinyl }) => named.includes(vinyl.name)).map(({ vinyl }) => vinyl.kind));
  return vinyls
    .filter((vinyl) => !used.has(vinyl.id) && named.some((name) => fits(vinyl, name)))
    .sort((a, b) => Number(kinds.has(b.kind)) - Number(kinds.has(a.kind)));
}
