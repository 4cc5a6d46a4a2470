// What set lettering comes to, in one sentence.

import type { FitProblem, LayerMeasurement, LetteringFit } from '../core/artwork';
import { formatLength, formatShare, type FormatSettings } from '../core/units';
import { plural } from './plural';

/** Its size in mm, what is cut and weeded of it, and its thinnest stroke; such as "160 mm × 13.9 mm: 1 piece, …". */
export function describeLettering(
  size: { readonly widthMm: number; readonly heightMm: number },
  layer: Pick<LayerMeasurement, 'pieces' | 'cavities' | 'thinnestStroke'>,
  settings: FormatSettings,
): string {
  const across = `${formatLength(size.widthMm, settings)} × ${formatLength(size.heightMm, settings)}`;
  const weeded = layer.cavities === 0 ? 'no cavity to weed' : `${plural(layer.cavities, 'cavity')} to weed`;
  const facts = [plural(layer.pieces, 'piece'), weeded];
  if (layer.thinnestStroke) facts.push(`strokes from ${formatLength(layer.thinnestStroke.widthMm, settings, 1)}`);
  return `${across}: ${facts.join(', ')}.`;
}

/** Why a text can't be set, and what to do. */
export function describeFitProblem(problem: FitProblem): string {
  switch (problem.kind) {
    case 'no-text':
      return 'nothing in it can be cut. Write letters or digits.';
    case 'no-glyphs':
      return `the typeface has no ${[...problem.characters].map((letter) => `“${letter}”`).join(', ')}. Write it another way, or choose another typeface for the item.`;
    case 'inset-too-large':
      return `the inner letters would vanish at an inset of ${problem.insetMm} mm. Choose a smaller inset for the item.`;
    case 'too-wide':
      return `${Math.round(problem.widthMm)} mm wide, too wide for its place even squeezed. Set it with capitals of ${problem.capHeightMm} mm, or make it shorter.`;
    default:
      return problem satisfies never;
  }
}

/** Texts that an item asks for, and that nobody wrote. */
export const describeUnwritten = (labels: readonly string[]): { readonly what: string; readonly todo: string } => ({
  what: `nothing is written for ${labels.join(' and ')}`,
  todo: 'Write it, paste a list of names, or leave it off: these pieces come without.',
});

/** Squeezed to less than that is told. */
const SQUEEZE_TOLD = 0.995;

/** How a text came to fit: "232 mm wide, squeezed to 92 %". */
export function describeFit({ widthMm, squeezed, lines }: LetteringFit, settings: FormatSettings): string {
  return [
    `${formatLength(widthMm, settings)} wide`,
    ...(squeezed < SQUEEZE_TOLD ? [`squeezed to ${formatShare(squeezed, settings, 0)}`] : []),
    ...(lines > 1 ? [`in ${lines} lines`] : []),
  ].join(', ');
}
