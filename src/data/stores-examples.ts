// Examples that several tests share.

import { MEASUREMENT_EDITION } from '../core/artwork';
import type { LineQuote } from '../core/orders';

export const QUOTE: LineQuote = {
  quantity: 2,
  cash: 100,
  full: 200,
  withRisk: 210,
  wagePerHour: 1800,
  cutterRatePerHour: 0,
  blankPrice: 50,
  otherCash: 5,
  setupSeconds: 60,
  layers: [],
  pressSeconds: 30,
  checkSeconds: 20,
};

export const MEASURED = {
  measurement: {
    widthMm: 100,
    heightMm: 50,
    layers: [],
    segments: 4,
    strokesApart: 0,
    overlaps: [],
    chirality: { score: 1, chiral: false },
    safeWidthsMm: { smooth: null, textured: null, puff: null, 'premium-adhesive': null, 'budget-adhesive': null },
    edition: MEASUREMENT_EDITION,
  },
  picture: { width: 10, height: 5, layers: [] },
  leftOut: [{ kind: 'text' as const, count: 1, names: ['Hallo “Wörld”'] }],
  gradients: 0,
  sizeStated: true,
};
