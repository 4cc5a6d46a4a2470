// What may be entered of a customer's own text at a place of an item.

import * as yup from 'yup';
import { LETTER_CASES, LETTERING_KINDS, TYPEFACES, type Lettering } from '../artwork';
import { numberBetween, oneOf, orNothing, shortText } from './rules';

/** A customer's own text at a place. */
export const letteringInput = yup.object({
  label: shortText('What it is called', 40),
  kind: oneOf<Lettering['kind']>('Takes', LETTERING_KINDS),
  typeface: oneOf<string>(
    'Typeface',
    TYPEFACES.map(({ key }) => key),
  ),
  capHeightMm: numberBetween('Height of capitals', 3, 600, 'In mm: what is smaller can’t be weeded.'),
  widestMm: numberBetween('No wider than', 5, 2000, 'In mm: what is wider is squeezed.'),
  squeezeTo: numberBetween('Squeezed to', 0.5, 1, '1 is never; below a half nobody can read it.'),
  letterCase: oneOf<Lettering['letterCase']>('Capitals', LETTER_CASES),
  tracking: numberBetween('Space between letters', -0.2, 1, 'As a share of the letters’ size.'),
  mostLines: yup.mixed<1 | 2>().oneOf([1, 2], 'Lines: one or two.').required(),
  arcRadiusMm: orNothing(numberBetween('On an arc', -5000, 5000, 'Radius in mm; below 0 on the inside.')),
  insetMm: orNothing(numberBetween('Inner letters', 0.3, 50, 'How far they stand back, in mm.')),
  // Left out by items older than it.
  overlapMm: orNothing(numberBetween('Overlap', 0, 10, 'In mm; 0.5 is usual.'))
    .default(null)
    .optional(),
  gapMm: numberBetween('Below the one above', 0, 500, 'In mm.'),
  sample: shortText('For example', 60),
});
