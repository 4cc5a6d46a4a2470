// Short words as lines for a pen or a knife: tags beside the pieces of a load.

import { flattenContour, type Polyline } from '../../geometry';
import { letter, type LetterFont } from './letter';

/** Each text as closed outlines in mm from its own corner; letters that the typeface lacks are left out. */
export function outlineLetters(
  texts: readonly string[],
  font: LetterFont,
  capHeightMm: number,
): readonly (readonly Polyline[])[] {
  const isKnown = (sign: string) => sign === ' ' || font.hasGlyphForCodePoint(sign.codePointAt(0)!);
  return texts.map((text) => {
    const artwork = letter([...text].filter(isKnown).join(''), font, { capHeightMm });
    if (!artwork.ok) return [];
    const shapes = artwork.value.layers.flatMap((layer) => layer.shapes);
    return shapes.flatMap((shape) => shape.contours.map((contour) => [...flattenContour(contour)]));
  });
}
