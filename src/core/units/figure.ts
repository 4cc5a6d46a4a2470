// A number with its working: what it is, where it came from, and what it was made of. Screens show it, never recompute
// it.

export type Unit =
  | 'money' // whole or exact minor units
  | 'money/h'
  | 'money/m²'
  | 'money/m'
  | 'money/kWh'
  | 'W'
  | 'mm'
  | 'mm/s'
  | 'mm²'
  | 's'
  | '°C'
  | 'count'
  | 'share' // 0..1, shown in per cent
  | 'factor';

export type Source = 'measured' | 'maker' | 'shop' | 'trial' | 'learned' | 'typed' | 'default' | 'computed';

export type Figure = {
  readonly label: string;
  readonly value: number;
  readonly unit: Unit;
  readonly source: Source;
  readonly parts?: readonly Figure[];
  /** The sum in words, e.g. "blank + vinyl + tape". */
  readonly how?: string;
  readonly low?: number;
  readonly high?: number;
};

/** The figure without what it was made of: for lists, where the working is asked for when somebody wants it. */
export const toBareFigure = ({ parts: _parts, how: _how, ...bare }: Figure): Figure => bare;

export function figure(
  label: string,
  value: number,
  unit: Unit,
  source: Source,
  working: Omit<Figure, 'label' | 'value' | 'unit' | 'source'> = {},
): Figure {
  return { label, value, unit, source, ...working };
}
