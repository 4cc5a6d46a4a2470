// Which flat colour a CSS colour is, or that it paints nothing.

import { colord, extend } from 'colord';
import namesPlugin from 'colord/plugins/names';

extend([namesPlugin]);

/** '#rrggbb' without its alpha; 'nothing' when fully transparent; null when it is not a colour. */
export function parseColour(text: string): string | 'nothing' | null {
  const value = text.trim();
  if (value === '' || value === 'none' || value === 'transparent') return 'nothing';
  // Units of an angle may be left out in CSS Color 3; the library wants the number alone as well.
  const parsed = colord(value);
  if (!parsed.isValid()) return null;
  return parsed.alpha() === 0 ? 'nothing' : parsed.alpha(1).toHex().toLowerCase();
}
