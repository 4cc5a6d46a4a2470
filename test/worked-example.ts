// A worked example that the tests of several parts share: round figures, so that a person can follow them on paper.

import type { LayerMeasurement } from '../src/core/artwork';
import {
  DEFAULT_SHOP_FIGURES,
  getOrdinaryDetails,
  type Blank,
  type ShopFigures,
  type Vinyl,
} from '../src/core/materials';
import { minor } from '../src/core/units';
import type { ItemSpec } from '../src/core/costing';
import type { Channel } from '../src/core/pricing';

/**
 * Hour 18.00, cutter 50 mm/s without lifts or corners, no wear, no energy: every other figure is nought unless named.
 */
export const PLAIN_SHOP: ShopFigures = {
  ...DEFAULT_SHOP_FIGURES,
  wagePerHour: 1800,
  wageGoalPerHour: 2400,
  marginGoal: 0.35,
  feeShare: 0.05,
  feeFixed: 30,
  spoilageShare: 0.04,
  packaging: 50,
  setupSeconds: 600,
  setupPerVinylSeconds: 0,
  checkSeconds: 60,
  cutterSpeed: 50,
  cutterCornerSeconds: 0,
  cutterLiftSeconds: 0,
  cutterLoadSeconds: 100,
  cutterWatchSeconds: 0,
  cutterRatePerHour: 0,
  cutterEdgeMm: 0,
  weedMarginMm: 5,
  weedBaseSeconds: 30,
  weedPerMetreSeconds: 0,
  weedPerCavitySeconds: 10,
  weedPerSmallCavitySeconds: 0,
  weedPerFineMetreSeconds: 0,
  pressLayOutSeconds: 20,
  prePressSeconds: 5,
  pressPlaceSeconds: 30,
  pressPeelSeconds: 10,
  rePressSeconds: 3,
  pressTackSeconds: 4,
  pressWarmUpSeconds: 0,
  energyPerKwh: 0,
  bladePrice: 0,
  matPrice: 0,
  coverSheetPrice: 0,
  tapePerM2: 400,
  tapeUses: 2,
  applySeconds: 60,
  overheadPerHour: 0,
  orderSeconds: 0,
  returnShare: 0,
  pressRatePerHour: 0,
  heatTape: 0,
};

/** 100 × 60 mm outside, 4000 mm² net, 500 mm path, 3 cavities. */
export const PLAIN_LAYER: LayerMeasurement = {
  key: '#3f5e86',
  colour: '#3f5e86',
  role: 'worn',
  netMm2: 4000,
  cutLengthMm: 500,
  outlineLengthMm: 500,
  outerLengthMm: 320,
  contours: 4,
  pieces: 1,
  cavities: 3,
  sharpCorners: 8,
  openPaths: 0,
  zeroLengthPaths: 0,
  doubledContours: 0,
  thinnestStroke: null,
  thinnestGap: null,
  fineLengths: [],
  box: { x: 0, y: 0, width: 100, height: 60 },
  bitAreasMm2: [100, 100, 100, 4000],
  cavityAreasMm2: [100, 100, 100],
};

/** 500 mm × 10 m for 50.00: exactly 10.00 a square metre. */
export const PLAIN_VINYL: Vinyl = {
  id: 1,
  name: 'Plain',
  kind: 'smooth',
  colourName: 'blue',
  colourHex: '#3f5e86',
  rollWidthMm: 500,
  rollLengthMm: 10_000,
  rollPrice: minor(5000),
  weedingFactor: 1,
  press: { lowC: 150, highC: 160, seconds: 12, pressure: 'medium', peel: 'hot' },
  details: getOrdinaryDetails('smooth'),
};
export const STICKY_VINYL: Vinyl = {
  ...PLAIN_VINYL,
  id: 2,
  name: 'Sticky',
  kind: 'permanent',
  press: null,
  details: getOrdinaryDetails('permanent'),
};

export const PLAIN_BLANK: Blank = {
  id: 1,
  name: 'Tea towel',
  fabric: 'cotton',
  heating: 'flat',
  sizes: [{ name: 'one size', price: minor(400) }],
  colours: [{ name: 'white', hex: '#ffffff' }],
  areas: [],
};
export const PLAIN_ITEM: ItemSpec = {
  blank: PLAIN_BLANK,
  sizeName: 'one size',
  layers: [{ measurement: PLAIN_LAYER, vinyl: PLAIN_VINYL }],
  areaBasis: 'used',
};

/** Takes nothing. */
export const PLAIN_CHANNEL: Channel = {
  id: 1,
  name: 'At the door',
  kind: 'stall',
  tiers: [{ from: minor(0), share: 0 }],
  fixed: minor(0),
  listing: minor(0),
  salesPerListing: 1,
  paymentShare: 0,
  paymentFixed: minor(0),
  adShare: 0,
  adOdds: 0,
  day: minor(0),
  dayHours: 0,
  salesPerDay: 1,
  piecesPerSale: 1,
  saleSeconds: null,
  returnShare: null,
  feesOnDelivery: false,
  delivery: minor(0),
  deliveryPaid: minor(0),
  discount: 0,
  tax: 0,
  ending: 'any',
};

/** The second example: no figure of the cost is nought, so that none can be forgotten or taken twice. */
export const FULL_SHOP: ShopFigures = {
  ...PLAIN_SHOP,
  setupPerVinylSeconds: 120,
  cutterCornerSeconds: 0.5,
  cutterLiftSeconds: 1,
  cutterWatchSeconds: 40,
  cutterRatePerHour: 360,
  cutterEdgeMm: 10,
  weedPerMetreSeconds: 25,
  weedPerSmallCavitySeconds: 6,
  weedPerFineMetreSeconds: 50,
  pressWarmUpSeconds: 600,
  pressWatts: 1600,
  energyPerKwh: 30,
  bladePrice: 900,
  bladeLifeMetres: 100,
  matPrice: 1200,
  matLifeLoads: 50,
  coverSheetPrice: 400,
  coverSheetPresses: 80,
  pillowPrice: 500,
  pillowPresses: 1500,
  pressRatePerHour: 90,
  orderSeconds: 400,
  piecesPerOrder: 4,
  returnShare: 0.02,
  overheadPerHour: 300,
  overheadPerItem: 25,
};
/** Two cavities of 4 mm² and one of 12; 200 mm of outline in strokes up to 5 mm wide. A vinyl that weeds half as slowly again. */
export const FULL_ITEM: ItemSpec = {
  ...PLAIN_ITEM,
  layers: [
    {
      measurement: {
        ...PLAIN_LAYER,
        fineLengths: [{ underMm: 5, lengthMm: 200 }],
        cavityAreasMm2: [4, 4, 12],
      },
      vinyl: { ...PLAIN_VINYL, weedingFactor: 1.5 },
    },
  ],
};
