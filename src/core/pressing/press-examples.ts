// Vinyls, blanks and plans that several tests of pressing share.

import { PLAIN_BLANK, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import { getOrdinaryDetails, VINYL_KINDS, type Blank, type Vinyl, type VinylKind } from '../materials';
import { planPressing, type PressPlan } from './press-plan';
import { PLAIN_RECIPE, type PressRecipe } from './press-recipe';
import type { StonesToSet } from './set-stones';

export const vinyl = (name: string, more: Partial<Vinyl> = {}): Vinyl => ({ ...PLAIN_VINYL, name, ...more });
export const pressed = (name: string, press: Partial<NonNullable<Vinyl['press']>>, more: Partial<Vinyl> = {}): Vinyl =>
  vinyl(name, { press: { ...PLAIN_VINYL.press!, ...press }, ...more });
export const kindOf = (name: string, kind: VinylKind, id = 20): Vinyl => ({
  ...PLAIN_VINYL,
  id,
  name,
  kind,
  press: VINYL_KINDS[kind].press,
  details: getOrdinaryDetails(kind),
});
export const [A, B, C] = ['A', 'B', 'C'].map((name, at) => vinyl(name, { id: 30 + at })) as [Vinyl, Vinyl, Vinyl];
export const cup: Blank = { ...PLAIN_BLANK, name: 'Cup', fabric: 'enamel', heating: 'wrap' };
export const hoodie: Blank = {
  ...PLAIN_BLANK,
  name: 'Hoodie',
  fabric: 'cotton-poly',
  areas: [
    {
      name: 'front',
      sizeName: '',
      datum: 'neckline',
      dropMm: 75,
      widthMm: 300,
      heightMm: 300,
      curve: null,
      obstacles: [
        { kind: 'pocket', xMm: 0, yMm: 200, widthMm: 300, heightMm: 100 },
        { kind: 'zip', xMm: 140, yMm: 0, widthMm: 20, heightMm: 300 },
      ],
    },
  ],
};

export type Places = Readonly<Record<string, readonly Vinyl[]>>;
const boxed = (size: { width: number; height: number } | null) => (size ? { measurement: { box: size } } : {});
type Also = {
  blank?: Blank;
  size?: { width: number; height: number } | null;
  stones?: readonly StonesToSet[];
};
export function planOf(
  places: Places,
  recipe: Partial<PressRecipe> = {},
  { blank = PLAIN_BLANK, size = null, stones }: Also = {},
) {
  const layers = Object.entries(places).flatMap(([place, own]) =>
    own.map((one) => ({ vinyl: one, place, ...boxed(size) })),
  );
  return planPressing({ layers, blank, shop: PLAIN_SHOP, recipe: { ...PLAIN_RECIPE, ...recipe }, stones });
}
export function planned(...input: Parameters<typeof planOf>): PressPlan {
  const plan = planOf(...input);
  if (!plan.ok) throw new Error(plan.problem.kind);
  return plan.value;
}
/** Kind, vinyl, seconds, and whether it is covered: a line a step. */
export const lines = ({ steps }: PressPlan) =>
  steps.map(({ kind, vinylName, seconds, covered }) =>
    [kind, vinylName, seconds, covered === undefined ? null : covered ? 'covered' : 'bare']
      .filter((part) => part !== null && part !== undefined)
      .join(' '),
  );
export const kinds = ({ cautions }: PressPlan) => cautions.map(({ kind }) => kind);
