// The shop's own figures that every estimate and cost rests on: what each means, its unit, its range and its default.

import { figure, MONEY_MOST, type Figure, type Unit } from '../units';

type Spec<U extends Unit = Unit> = {
  readonly label: string;
  readonly unit: U;
  readonly start: number;
  readonly least: number;
  readonly most: number;
};
const spec = <U extends Unit>(label: string, unit: U, start: number, least: number, most: number): Spec<U> => ({
  label,
  unit,
  start,
  least,
  most,
});

export const SHOP_FIGURES = {
  wagePerHour: spec('Your hour', 'money/h', 1500, 0, MONEY_MOST),
  wageGoalPerHour: spec('What an hour should earn', 'money/h', 1800, 0, MONEY_MOST),
  marginGoal: spec('Margin you aim for', 'share', 0.35, 0, 0.95),
  markupGoal: spec('Markup you aim for', 'share', 0.8, 0, 20),
  feeShare: spec('Fee, share of the price', 'share', 0.045, 0, 0.9),
  feeFixed: spec('Fee, fixed for each sale', 'money', 30, 0, MONEY_MOST),
  rushShare: spec('Surcharge for rush', 'share', 0.25, 0, 5),
  setShare: spec('Discount for a set', 'share', 0.1, 0, 0.9),
  spoilageShare: spec('Pieces that go wrong', 'share', 0.04, 0, 0.9),
  packaging: spec('Packaging for each piece', 'money', 35, 0, MONEY_MOST),
  overheadPerHour: spec('Overheads for each hour', 'money/h', 100, 0, MONEY_MOST),
  overheadPerItem: spec('Overheads for each piece', 'money', 0, 0, MONEY_MOST),

  orderSeconds: spec('Messages, proof, post', 's', 360, 0, 86_400),
  piecesPerOrder: spec('Pieces in an order', 'count', 2, 1, 10_000),
  returnShare: spec('Come back, made again', 'share', 0.01, 0, 0.9),

  setupSeconds: spec('Set-up of a batch', 's', 420, 0, 86_400),
  setupPerVinylSeconds: spec('Set-up for each vinyl', 's', 150, 0, 86_400),
  checkSeconds: spec('Check, fold and pack a piece', 's', 75, 0, 86_400),

  cutterSpeed: spec('Cutter speed', 'mm/s', 60, 1, 2000),
  cutterCornerSeconds: spec('Slowing at a sharp corner', 's', 0.12, 0, 10),
  cutterLiftSeconds: spec('Lift and travel for each contour', 's', 0.5, 0, 60),
  cutterLoadSeconds: spec('Load and line up', 's', 90, 0, 86_400),
  cutterWatchSeconds: spec('Watched at the start', 's', 120, 0, 86_400),
  cutHandsLeast: spec('Loading and watching, when it goes well', 'share', 0.8, 0.02, 1),
  cutHandsMost: spec('Loading and watching, when it goes badly', 'share', 1.4, 1, 20),
  cutterRatePerHour: spec('Cutter, machine hour', 'money/h', 140, 0, MONEY_MOST),
  cutterEdgeMm: spec('Edge the rollers need, each side', 'mm', 10, 0, 200),
  leadMm: spec('Lead-in and lead-out without a mat', 'mm', 15, 0, 500),
  matWidthMm: spec('Cutting mat, width', 'mm', 305, 50, 3000),
  matLengthMm: spec('Cutting mat, length', 'mm', 610, 50, 3000),
  matEdgeMm: spec('Edge kept free on a mat', 'mm', 3, 0, 100),
  weedMarginMm: spec('Weed margin, each side', 'mm', 6, 0, 100),

  weedBaseSeconds: spec('Weeding, for each layer', 's', 20, 0, 3600),
  weedPerMetreSeconds: spec('Weeding, for each metre outside', 's', 25, 0, 3600),
  weedPerCavitySeconds: spec('Weeding, for each cavity', 's', 4, 0, 600),
  weedPerSmallCavitySeconds: spec('Weeding, more for a cavity too small to see', 's', 5, 0, 600),
  weedPerFineMetreSeconds: spec('Weeding, for each metre under the detail floor', 's', 45, 0, 3600),
  /** Against what is calculated: nine in ten jobs lie between the two. Of an untaught shop, wide. */
  weedLeast: spec('Weeding, when it goes well', 'share', 0.7, 0.02, 1),
  weedMost: spec('Weeding, when it goes badly', 'share', 1.5, 1, 20),

  pressLayOutSeconds: spec('Lay out a blank', 's', 25, 0, 3600),
  prePressSeconds: spec('Pre-press', 's', 5, 0, 600),
  pressPlaceSeconds: spec('Place a layer', 's', 25, 0, 3600),
  pressTackSeconds: spec('Tack a layer', 's', 4, 0, 120),
  pressPeelSeconds: spec('Peel a carrier', 's', 8, 0, 3600),
  /** Of what hands do there: how long the press is closed is set. */
  pressHandsLeast: spec('Laying out, placing, peeling, when it goes well', 'share', 0.75, 0.02, 1),
  pressHandsMost: spec('Laying out, placing, peeling, when it goes badly', 'share', 1.5, 1, 20),
  rePressSeconds: spec('Re-press, covered', 's', 4, 0, 120),
  platenWidthMm: spec('Platen, width', 'mm', 400, 50, 2000),
  platenLengthMm: spec('Platen, length', 'mm', 500, 50, 2000),
  pressWarmUpSeconds: spec('Press warm-up', 's', 720, 0, 86_400),
  pressWatts: spec('Press power', 'W', 1600, 0, 20_000),
  pressRatePerHour: spec('Press, machine hour', 'money/h', 60, 0, MONEY_MOST),
  energyPerKwh: spec('Electricity', 'money/kWh', 31, 0, MONEY_MOST),
  applySeconds: spec('Clean, tape and burnish', 's', 70, 0, 3600),

  stoneFieldSeconds: spec('Brush in and lift a field of stones', 's', 60, 0, 3600),
  stoneSeconds: spec('Check and turn, for each stone', 's', 0.6, 0, 60),

  tapePerM2: spec('Transfer tape', 'money/m²', 210, 0, MONEY_MOST),
  tapeUses: spec('Uses of a piece of transfer tape', 'count', 2, 1, 100),
  decalFilmPerM2: spec('Clear decal film', 'money/m²', 650, 0, MONEY_MOST),
  bladePrice: spec('Blade', 'money', 900, 0, MONEY_MOST),
  bladeLifeMetres: spec('Metres in a blade', 'count', 2500, 1, 1_000_000),
  matPrice: spec('Cutting mat', 'money', 1100, 0, MONEY_MOST),
  matLifeLoads: spec('Loads on a mat', 'count', 60, 1, 1_000_000),
  coverSheetPrice: spec('Cover sheet', 'money', 320, 0, MONEY_MOST),
  coverSheetPresses: spec('Press cycles of a cover sheet', 'count', 80, 1, 1_000_000),
  pillowPrice: spec('Pressing pillow', 'money', 0, 0, MONEY_MOST),
  pillowPresses: spec('Press cycles of a pillow', 'count', 1500, 1, 1_000_000),
  heatTape: spec('Heat tape for a piece on the wrap press', 'money', 6, 0, MONEY_MOST),

  /** Never typed: it goes with the currency. */
  priceLevel: spec('Level of ordinary prices', 'count', 1, 0.000001, 1_000_000_000),

  dayStartHour: spec('The working day begins at', 'count', 9, 0, 23),
  hoursMonday: spec('Monday', 'count', 6, 0, 24),
  hoursTuesday: spec('Tuesday', 'count', 6, 0, 24),
  hoursWednesday: spec('Wednesday', 'count', 6, 0, 24),
  hoursThursday: spec('Thursday', 'count', 6, 0, 24),
  hoursFriday: spec('Friday', 'count', 6, 0, 24),
  hoursSaturday: spec('Saturday', 'count', 0, 0, 24),
  hoursSunday: spec('Sunday', 'count', 0, 0, 24),
} as const satisfies Record<string, Spec>;

export type ShopFigureKey = keyof typeof SHOP_FIGURES;
export type ShopFigures = { readonly [Key in ShopFigureKey]: number };
export const SHOP_FIGURE_KEYS = Object.keys(SHOP_FIGURES) as readonly ShopFigureKey[];
export const DEFAULT_SHOP_FIGURES = Object.fromEntries(
  SHOP_FIGURE_KEYS.map((key) => [key, SHOP_FIGURES[key].start]),
) as ShopFigures;

/** What is ordinary of a figure at a level of prices: minor units of the shop for a cent of the euro. */
export function getOrdinaryFigure(key: ShopFigureKey, priceLevel: number): number {
  const { start, unit } = SHOP_FIGURES[key];
  if (key === 'priceLevel') return priceLevel;
  return unit.startsWith('money') ? Math.round(start * priceLevel) : start;
}

/** The same figures at another level of prices: what is still ordinary goes with it, what is the shop's own stays. */
export function moveToPriceLevel(figures: ShopFigures, priceLevel: number): ShopFigures {
  const move = (key: ShopFigureKey) =>
    figures[key] === getOrdinaryFigure(key, figures.priceLevel) ? getOrdinaryFigure(key, priceLevel) : figures[key];
  return Object.fromEntries(SHOP_FIGURE_KEYS.map((key) => [key, move(key)])) as ShopFigures;
}

export type ShopIdentity = {
  readonly name: string;
  readonly currency: string;
  readonly locale: string;
  readonly timeZone: string;
} & Partial<ShopLetterhead>;

/** What papers for customers say of the shop, besides its name; each may have several lines, or none. */
export type ShopLetterhead = {
  readonly address: string;
  /** How it is reached. */
  readonly contact: string;
  /** In the seller's own words: rates and numbers are theirs to know. */
  readonly taxNote: string;
};

/** A figure of the shop; one that still has its first value is shown as a default. */
export function getShopFigure(figures: ShopFigures, key: ShopFigureKey): Figure {
  const { label, unit } = SHOP_FIGURES[key];
  const isOrdinary = figures[key] === getOrdinaryFigure(key, figures.priceLevel);
  return figure(label, figures[key], unit, isOrdinary ? 'default' : 'shop');
}
