// Examples that several tests share.

import { PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import { minor } from '../units';
import { MEASUREMENT_EDITION, type ArtworkMeasurement } from '../artwork';
import { computeItemCost, type ItemSpec } from './index';

export const measurement = {
  widthMm: 100,
  heightMm: 60,
  layers: [PLAIN_LAYER],
  segments: 4,
  strokesApart: 0,
  overlaps: [],
  chirality: { score: 1, chiral: false },
  safeWidthsMm: {},
  edition: MEASUREMENT_EDITION,
} as unknown as ArtworkMeasurement;

export const OTHER = { ...PLAIN_VINYL, id: 2, name: 'Other', rollPrice: minor(10_000) };

export const front = {
  artworkId: 1,
  place: 'front',
  widthMm: 100,
  widths: { XL: 130 },
  seenThrough: false,
  vinylIds: [1],
};

export const name = { ...front, place: 'shoulders', widthMm: 50, widths: {} };

export const costOf = (spec: ItemSpec, quantity = 10) => {
  const cost = computeItemCost(spec, quantity, PLAIN_SHOP);
  if (!cost.ok) throw new Error(cost.problem.kind);
  return cost.value;
};
