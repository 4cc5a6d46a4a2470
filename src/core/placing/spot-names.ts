// The usual places by name, apart from what is known of each: a form needs no more.

export const SPOTS = [
  'front',
  'left breast',
  'right breast',
  'back',
  'neck label',
  'left sleeve',
  'right sleeve',
  'left leg',
  'right leg',
  'pocket',
  'bib',
  'hat front',
  'below the handles',
  'bandana',
  'middle',
  'seen right-handed',
  'seen left-handed',
  'opposite the handle',
  'opposite the seam',
] as const;
export type Spot = (typeof SPOTS)[number];
