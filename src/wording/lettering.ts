// What set lettering comes to, in one sentence.

import type { LayerMeasurement } from '../core/artwork';
import { formatLength, type FormatSettings } from '../core/units';
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
