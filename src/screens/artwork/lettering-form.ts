// What lettering is asked for, as it is typed, and as core sets it.

import type { LetterOptions } from '../../core/artwork/lettering/letter';

export type Form = {
  readonly text: string;
  readonly typeface: string;
  readonly capHeightMm: number | null;
  readonly letterCase: NonNullable<LetterOptions['letterCase']>;
  readonly align: NonNullable<LetterOptions['align']>;
  readonly tracking: number;
  readonly lineSpacing: number;
  readonly curve: 'straight' | 'up' | 'down';
  readonly radiusMm: number | null;
  readonly list: boolean;
  readonly widestMm: number | null;
  readonly pair: boolean;
  readonly insetMm: number | null;
};

export const START: Form = {
  text: '',
  typeface: 'alfa-slab-one',
  capHeightMm: 40,
  letterCase: 'as-typed',
  align: 'centre',
  tracking: 0,
  lineSpacing: 1.6,
  curve: 'straight',
  radiusMm: 120,
  list: false,
  widestMm: null,
  pair: false,
  insetMm: 1.5,
};

export const TRACKINGS = [
  [-0.03, 'tight'],
  [0, 'as drawn'],
  [0.05, 'open'],
  [0.12, 'wide'],
  [0.25, 'very wide'],
] as const;

export function toOptions(form: Form): LetterOptions | null {
  if (
    form.capHeightMm === null ||
    form.capHeightMm < 3 ||
    (form.curve !== 'straight' && (form.radiusMm ?? 0) < 3) ||
    (form.pair && !form.insetMm)
  )
    return null;
  return {
    capHeightMm: form.capHeightMm,
    letterCase: form.letterCase,
    align: form.align,
    tracking: form.tracking,
    lineSpacing: form.lineSpacing,
    ...(form.curve === 'straight' ? {} : { arcRadiusMm: form.curve === 'up' ? form.radiusMm! : -form.radiusMm! }),
    ...(form.pair ? { insetMm: form.insetMm! } : {}),
  };
}
