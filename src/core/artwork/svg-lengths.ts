// Lengths, number lists and transforms as SVG attributes write them.

import { composeMatrices, scaling, translation, type Matrix } from '../geometry';
import { MM_PER_INCH } from '../units';

/** CSS pixels an inch, by definition (CSS Values 4, 6.2). */
export const PX_PER_INCH = 96;
export const MM_PER_PX = MM_PER_INCH / PX_PER_INCH;

const PX_PER_UNIT: Readonly<Record<string, number>> = {
  '': 1,
  px: 1,
  mm: PX_PER_INCH / MM_PER_INCH,
  cm: (10 * PX_PER_INCH) / MM_PER_INCH,
  q: PX_PER_INCH / MM_PER_INCH / 4,
  in: PX_PER_INCH,
  pt: PX_PER_INCH / 72,
  pc: PX_PER_INCH / 6,
  // Relative to type, which a drawing has none of here: the initial font size of 16 px.
  em: 16,
  rem: 16,
  ex: 8,
};

/** Written in a unit of length, not in pixels or shares of something. */
export const isRealLength = (text: string | undefined): boolean =>
  /\d\s*(mm|cm|q|in|pt|pc)\s*$/i.test(text ?? '') && parseSvgLength(text, 0) !== null;

/** The length in user units (px); a percentage of `whole`; null when it can't be read. */
export function parseSvgLength(text: string | undefined, whole: number): number | null {
  const match = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*(%|[a-z]*)\s*$/i.exec(text ?? '');
  if (!match) return null;
  const value = Number(match[1]);
  const unit = (match[2] ?? '').toLowerCase();
  if (unit === '%') return (value / 100) * whole;
  const factor = PX_PER_UNIT[unit];
  return factor === undefined ? null : value * factor;
}

export function parseNumbers(text: string): readonly number[] {
  return [...text.matchAll(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi)].map((match) => Number(match[0]));
}

/** The map from a viewBox to the viewport it is shown in (SVG 2, 8.2). */
export function fitViewBox(
  viewBox: readonly number[],
  viewport: { readonly width: number; readonly height: number },
  aspect: string | undefined,
): Matrix {
  const [x = 0, y = 0, width = 1, height = 1] = viewBox;
  const [align = 'xMidYMid', how = 'meet'] = (aspect ?? '')
    .trim()
    .replace(/^defer\s+/, '')
    .split(/\s+/)
    .filter(Boolean);
  let across = viewport.width / width;
  let down = viewport.height / height;
  if (align === 'none') return composeMatrices(scaling(across, down), translation(-x, -y));
  across = down = how === 'slice' ? Math.max(across, down) : Math.min(across, down);
  const share = (part: string) => (part === 'Min' ? 0 : part === 'Max' ? 1 : 0.5);
  const left = (viewport.width - width * across) * share(align.slice(1, 4));
  const top = (viewport.height - height * down) * share(align.slice(5, 8));
  return composeMatrices(translation(left, top), composeMatrices(scaling(across, down), translation(-x, -y)));
}
