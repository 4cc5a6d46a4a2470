// Care of a decorated piece, in words for whoever wears or uses it.

import type { CareRule } from '../core/materials/care';

const RULES: Readonly<Record<CareRule, string>> = {
  'rest-a-day': 'Leave it a day before the first wash.',
  'wash-inside-out-30': 'Wash inside out at 30 °C, with nothing rough.',
  'no-tumble': 'Dry it on a line, not in a tumble dryer.',
  'no-iron-on-print': 'Never iron over the print: iron from the inside, or through a cloth.',
  'no-dry-cleaning': 'No bleach, no dry cleaning.',
  'wipe-only': 'Wipe it with a damp cloth; do not soak it.',
  'hand-wash': 'Wash by hand, without scouring.',
  'no-dishwasher': 'Keep it out of the dishwasher and the microwave.',
  'off-the-lip': 'The print is for the outside, clear of the lip and of food.',
};

export const describeCare = (rules: readonly CareRule[]): readonly string[] => rules.map((rule) => RULES[rule]);
