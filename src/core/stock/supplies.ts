// What is used up besides vinyl and blanks: mats, blades, sheets and tape, and how worn the one in use is.

import { SHOP_FIGURES } from '../materials/shop-figures';
import { figure, type Figure } from '../units';

/** What a life is counted in. */
export type WearUnit = 'uses' | 'presses' | 'loads' | 'metres' | 'layers';

type SupplyFacts = {
  readonly label: string;
  /** What its life is counted in; null for what is simply used up. */
  readonly wears: WearUnit | null;
  /** Ordinary life. */
  readonly life: number | null;
  /** Its life can be brought back a little by cleaning it. */
  readonly cleanable: boolean;
};

/** Lives are ordinary trade figures, those that costs are calculated with until the shop says its own. */
const SUPPLY_KINDS = {
  'transfer tape': { label: 'transfer tape', wears: 'uses', life: SHOP_FIGURES.tapeUses.start, cleanable: false },
  'heat tape': { label: 'heat-resistant tape', wears: null, life: null, cleanable: false },
  'cover sheet': {
    label: 'cover sheet',
    wears: 'presses',
    life: SHOP_FIGURES.coverSheetPresses.start,
    cleanable: false,
  },
  pillow: { label: 'pressing pillow', wears: 'presses', life: SHOP_FIGURES.pillowPresses.start, cleanable: false },
  mat: { label: 'cutting mat', wears: 'loads', life: SHOP_FIGURES.matLifeLoads.start, cleanable: true },
  blade: { label: 'blade', wears: 'metres', life: SHOP_FIGURES.bladeLifeMetres.start, cleanable: false },
  // Not in what a piece costs: a hook is cheap and lasts for years. When a new one came tells the learning of times.
  'weeding tool': { label: 'weeding tool', wears: 'layers', life: 5000, cleanable: false },
  packaging: { label: 'packaging', wears: null, life: null, cleanable: false },
} as const satisfies Record<string, SupplyFacts>;
export type SupplyKind = keyof typeof SUPPLY_KINDS;
export const SUPPLY_KIND_NAMES = Object.keys(SUPPLY_KINDS) as readonly SupplyKind[];
export const getSupplyFacts = (kind: SupplyKind): SupplyFacts => SUPPLY_KINDS[kind];

export const TACKS = ['low', 'medium', 'high'] as const;
export type Tack = (typeof TACKS)[number];
export type Supply = {
  readonly id: number;
  readonly name: string;
  readonly kind: SupplyKind;
  readonly supplier: string;
  /** Of tapes and sheets, mm. */
  readonly widthMm: number | null;
  readonly tack: Tack | null;
  /** Of a blade, degrees. */
  readonly angleDegrees: number | null;
  /** In what its kind wears by; null where it is simply used up. */
  readonly life: number | null;
  readonly note: string;
};

/** A new one is taken into use, wears, or is cleaned: cleaning gives `amount` of its life back. */
export const WEAR_KINDS = ['fitted', 'worn', 'cleaned'] as const;
export type WearKind = (typeof WEAR_KINDS)[number];
/** What the log writes besides: work that was taken back gives back what it wore. */
export type WearLineKind = WearKind | 'given-back';
export type WearLine = { readonly atMs: number; readonly kind: WearLineKind; readonly amount: number };
export type Wear = {
  readonly fittedAtMs: number;
  readonly worn: Figure;
  readonly left: Figure;
  /** Of its life that is spent, 0 and up. */
  readonly share: number;
  readonly due: boolean;
};

/** From this share of its life on the next one should be at hand. */
const DUE_SHARE = 0.9;

/**
 * How worn the one in use is: lines since the last one was fitted. Null while none is, or where nothing wears. Lines by
 * time.
 */
export function computeWear(supply: Pick<Supply, 'kind' | 'life'>, lines: readonly WearLine[]): Wear | null {
  const { wears } = getSupplyFacts(supply.kind);
  const start = lines.map((line) => line.kind).lastIndexOf('fitted');
  const fitted = lines[start];
  if (!fitted || wears === null || supply.life === null) return null;
  const since = lines.slice(start + 1);
  const total = (kind: WearLineKind) => since.reduce((sum, line) => sum + (line.kind === kind ? line.amount : 0), 0);
  // It never gets newer than new.
  const spent = since.reduce((sum, line) => Math.max(0, sum + (line.kind === 'worn' ? line.amount : -line.amount)), 0);
  const cleaned = total('cleaned');
  const worn = figure(`Worn, in ${wears}`, spent, 'count', 'measured', {
    how: 'what was booked since it was taken into use',
    parts: [
      figure('Booked', total('worn') - total('given-back'), 'count', 'measured'),
      ...(cleaned > 0 ? [figure('Brought back by cleaning', cleaned, 'count', 'typed')] : []),
    ],
  });
  const share = spent / supply.life;
  return {
    fittedAtMs: fitted.atMs,
    worn,
    share,
    due: share >= DUE_SHARE,
    left: figure(`Left, in ${wears}`, Math.max(0, supply.life - spent), 'count', 'computed', {
      how: 'life − worn',
      parts: [figure('Life', supply.life, 'count', 'shop'), worn],
    }),
  };
}

/**
 * How long one really lasts: the mean of those that were worn out and replaced; its stated life while none was.
 * @param worn what each that was replaced had worn by then; one replaced at once was fitted by mistake
 */
export function computeRealLife(supply: Pick<Supply, 'kind' | 'life'>, worn: readonly number[]): Figure {
  const { wears } = getSupplyFacts(supply.kind);
  const lives = worn.filter((life) => life > 0);
  if (lives.length === 0) return figure(`Life, in ${wears}`, supply.life ?? 1, 'count', 'shop');
  return figure(`Life, in ${wears}`, lives.reduce((sum, life) => sum + life, 0) / lives.length, 'count', 'learned', {
    how: 'mean of those worn out',
    parts: [figure('Worn out so far', lives.length, 'count', 'measured')],
  });
}
