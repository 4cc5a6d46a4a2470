// What to begin with: the kit that does what is needed under a cap, and what it leaves for blanks and vinyl.

import { figure, minor, type Figure, type Minor } from '../units';

/** What a workshop needs to begin; the wrap press only for cups. */
export const KIT_NEEDS = ['cutter', 'press', 'wrap press', 'tools', 'mats and tape'] as const;
export type KitNeed = (typeof KIT_NEEDS)[number];
/** How far a machine goes: for a try, for a small shop, for every day. */
export const KIT_CLASSES = [1, 2, 3] as const;
export type KitOption = {
  readonly name: string;
  readonly price: Minor;
  readonly used: boolean;
  readonly grade: (typeof KIT_CLASSES)[number];
  /** What it brings: several for a bundle. */
  readonly covers: readonly KitNeed[];
  /** Of a cutter, how wide it cuts, mm; null or left out where it is not known. */
  readonly widthMm?: number | null;
};

/** Prices are examples to be typed over. */
const option = (
  name: string,
  price: number,
  covers: readonly KitNeed[],
  grade: 1 | 2 | 3,
  used = false,
  widthMm: number | null = null,
): KitOption => ({ name, price: minor(price), used, grade, covers, widthMm });
export const KIT_EXAMPLES: readonly KitOption[] = [
  option('Small cutter, 114 mm wide', 15_900, ['cutter'], 1, false, 114),
  option('Desk cutter, 305 mm wide', 28_900, ['cutter'], 2, false, 305),
  option('Desk cutter, 305 mm wide', 17_500, ['cutter'], 2, true, 305),
  option('Stand cutter, 600 mm wide', 64_000, ['cutter'], 3, false, 600),
  option('Stand cutter, 600 mm wide', 39_000, ['cutter'], 3, true, 600),
  option('Desk cutter with tools, mats and first tape', 33_900, ['cutter', 'tools', 'mats and tape'], 2, false, 305),
  option('Hand press, 23 × 23 cm', 7_900, ['press'], 1),
  option('Flat press, 38 × 38 cm', 19_900, ['press'], 2),
  option('Flat press, 38 × 38 cm', 11_500, ['press'], 2, true),
  option('Swing press, 40 × 50 cm', 36_000, ['press'], 3),
  option('Flat press with wrap press and plates', 29_900, ['press', 'wrap press'], 2),
  option('Wrap press', 10_900, ['wrap press'], 2),
  option('Hook, tweezers, scraper, blades', 2_600, ['tools'], 2),
  option('Two mats, transfer tape, cover sheets', 3_400, ['mats and tape'], 2),
];

export type Kit = {
  readonly chosen: readonly number[];
  readonly total: Figure;
  /** What the cap leaves for blanks and vinyl. */
  readonly left: Figure;
};
export type KitWish = {
  readonly options: readonly KitOption[];
  readonly needs: readonly KitNeed[];
  readonly cap: Minor;
  /** At least so much is to be left. */
  readonly reserve: Minor;
  /** What the cutter has to take across, mm, for the widest of the drawings; 0 or left out where none is known. */
  readonly leastWidthMm?: number;
};

/** A cutter that is known to be narrower than the drawings need. */
export const isTooNarrow = ({ covers, widthMm }: KitOption, leastWidthMm: number): boolean =>
  covers.includes('cutter') && typeof widthMm === 'number' && widthMm < leastWidthMm;

export function addUpKit(options: readonly KitOption[], chosen: readonly number[], cap: Minor): Kit {
  const own = chosen.flatMap((at) => options[at] ?? []);
  const total = figure(
    'Kit',
    own.reduce((sum, entry) => sum + entry.price, 0),
    'money',
    'computed',
    {
      how: 'sum of what is chosen',
      parts: own.map((entry) => figure(`${entry.name}${entry.used ? ', used' : ''}`, entry.price, 'money', 'typed')),
    },
  );
  return {
    chosen,
    total,
    left: figure('Left for blanks and vinyl', cap - total.value, 'money', 'computed', {
      how: 'budget − kit',
      parts: [figure('Budget', cap, 'money', 'typed'), total],
    }),
  };
}

export const listUncovered = (
  { options, needs }: Pick<KitWish, 'options' | 'needs'>,
  chosen: readonly number[],
): readonly KitNeed[] => needs.filter((need) => !chosen.some((at) => options[at]?.covers.includes(need)));

/**
 * The kit of the highest grade, summed over what is needed, that stays under the cap less the reserve; of those alike,
 * the cheapest; or by `by: 'price'` simply the cheapest. Null where none does. Every way is tried that could still be
 * better: a need is covered once, by one option or a bundle. A cutter too narrow for the drawings is none.
 */
export function chooseKit(
  { options, needs, cap, reserve, leastWidthMm = 0 }: KitWish,
  by: 'grade' | 'price',
): Kit | null {
  const most = cap - reserve;
  let best: { readonly chosen: readonly number[]; readonly price: number; readonly grade: number } | null = null;
  const better = (price: number, grade: number) =>
    !best ||
    (by === 'price'
      ? price < best.price || (price === best.price && grade > best.grade)
      : grade > best.grade || (grade === best.grade && price < best.price));
  const search = (open: readonly KitNeed[], chosen: readonly number[], price: number, grade: number): void => {
    if (price > most || (by === 'price' && best && price > best.price)) return;
    const [need] = open;
    if (!need) {
      if (better(price, grade)) best = { chosen, price, grade };
      return;
    }
    options.forEach((entry, at) => {
      if (!entry.covers.includes(need) || isTooNarrow(entry, leastWidthMm)) return;
      const covered = open.filter((other) => entry.covers.includes(other));
      search(
        open.filter((other) => !covered.includes(other)),
        [...chosen, at],
        price + entry.price,
        grade + entry.grade * covered.length,
      );
    });
  };
  search(needs, [], 0, 0);
  return best && addUpKit(options, (best as { readonly chosen: readonly number[] }).chosen, cap);
}

/** A plan to begin, as it is kept. */
export type StartPlan = {
  readonly options: readonly KitOption[];
  readonly needs: readonly KitNeed[];
  readonly cap: Minor;
  readonly reserve: Minor;
  /** By their place in `options`; null: the best under the cap. */
  readonly chosen: readonly number[] | null;
  readonly hoursPerWeek: number;
  readonly mix: readonly { readonly itemId: number; readonly perWeek: number }[];
};
export const START_PLAN: StartPlan = {
  options: KIT_EXAMPLES,
  needs: ['cutter', 'press', 'tools', 'mats and tape'],
  cap: minor(70_000),
  reserve: minor(12_000),
  chosen: null,
  hoursPerWeek: 10,
  mix: [],
};
