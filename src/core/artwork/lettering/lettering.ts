// A customer's own text as a place of an item: in which letters, how large, and how far it may be squeezed to fit. Types
// and what needs no font.

export const LETTER_CASES = ['as-typed', 'upper', 'lower'] as const;
export const LETTERING_KINDS = ['name', 'number', 'text'] as const;

export type Lettering = {
  /** What it is called: "Surname", "Seat". */
  readonly label: string;
  /** Which column of a list of names it takes. */
  readonly kind: (typeof LETTERING_KINDS)[number];
  /** A key of `TYPEFACES`. */
  readonly typeface: string;
  /** The same for all that wear it, mm. */
  readonly capHeightMm: number;
  /** What is wider is squeezed, mm. */
  readonly widestMm: number;
  /** The least share of its own width that it may be squeezed to, 0.5 to 1; 1 for never. */
  readonly squeezeTo: number;
  readonly letterCase: (typeof LETTER_CASES)[number];
  /** Extra space between letters, share of the em. */
  readonly tracking: number;
  /** Broken into so many lines where it is too wide. */
  readonly mostLines: 1 | 2;
  /** Radius of the baseline, mm; null for straight. */
  readonly arcRadiusMm: number | null;
  /** Of a pair in two vinyls: how far the inner letters stand back, mm; null for letters in one vinyl. */
  readonly insetMm: number | null;
  /**
   * Of a pair: the outer letters are hollow, and the inner ones lie so far over their edge, mm: one vinyl thick on the
   * blank. Null or left out: the inner letters lie on whole outer ones.
   */
  readonly overlapMm?: number | null;
  /** From what lies above it at the same place, mm. */
  readonly gapMm: number;
  /** A usual text, by which the item is calculated. */
  readonly sample: string;
};

export const PLAIN_LETTERING: Lettering = {
  label: 'Name',
  kind: 'name',
  typeface: 'oswald',
  capHeightMm: 40,
  widestMm: 280,
  squeezeTo: 0.75,
  letterCase: 'upper',
  tracking: 0.02,
  mostLines: 1,
  arcRadiusMm: null,
  insetMm: null,
  gapMm: 15,
  sample: 'SAMPLE',
};

/** How a text came to fit. */
export type LetteringFit = {
  readonly widthMm: number;
  readonly heightMm: number;
  /** Share of its own width; 1 where it fits as it is. */
  readonly squeezed: number;
  readonly capHeightMm: number;
  readonly lines: number;
};

/** Texts with the same key look the same. `smaller`: in smaller letters, where it is too long for its place. */
export function keyOfLettering(text: string, lettering: Lettering, smaller: boolean): string {
  const { label: _label, kind: _kind, sample: _sample, gapMm: _gap, ...look } = lettering;
  const said = Object.entries(look).filter(([what, value]) => what !== 'overlapMm' || typeof value === 'number');
  return JSON.stringify([text, smaller, ...said.sort(([a], [b]) => (a < b ? -1 : 1))]);
}
