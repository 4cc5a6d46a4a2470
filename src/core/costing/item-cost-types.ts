// What a made item is costed by, and what that gives.

import type { LayerMeasurement } from '../artwork';
import type { Blank, Vinyl } from '../materials';
import type { PressPlan, PressProblem, PressRecipe } from '../pressing';
import type { PriceBasis, Prices } from '../stock';
import { toBareFigure, type Figure, type Minor } from '../units';
import type { ExactLine } from './cost-lines';
import type { ExtraCost, StoneField } from './extra-lines';
import type { AreaBasis, LayerAreas, TooWideProblem } from './layer-areas';
import type { ArtworkCost } from './material-lines';
import type { OwnMinutes } from './own-minutes';
import type { Packing } from './packing';
import type { WearPrices } from './wear-line';

export type CostLayer = {
  readonly measurement: LayerMeasurement;
  readonly vinyl: Vinyl;
  /** Where on the blank: layers at one place lie on one another, and each place is laid out and pressed by itself. */
  readonly place?: string;
  /** How close true shapes of it lie, by roll. */
  readonly packings?: readonly Packing[];
  /** What was paid and is asked for it, where vinyl is not calculated at the shelf's price. */
  readonly prices?: Prices;
  /** What a m² of it is calculated at, whatever the shelf says: to try an offer. */
  readonly price?: Figure;
};
export type ItemSpec = {
  readonly blank: Blank;
  readonly sizeName: string;
  readonly layers: readonly CostLayer[];
  readonly areaBasis: AreaBasis;
  readonly artwork?: ArtworkCost;
  /** At which price material is calculated; the shelf's own where nothing is said, or nothing is known. */
  readonly priceBasis?: PriceBasis;
  /** Offers that are chosen over cheaper ones. */
  readonly offerIds?: readonly number[];
  readonly blankPrices?: Prices;
  readonly extras?: readonly ExtraCost[];
  readonly stones?: readonly StoneField[];
  /** Instead of what the shop packs a piece in. */
  readonly packaging?: Minor | null;
  /** Of this item, for one piece; wins over the estimate. */
  readonly minutes?: OwnMinutes;
  /** How often it goes wrong, where the shop has logged that. */
  readonly spoilage?: Figure;
  readonly wear?: WearPrices;
  /** How it is pressed; left out for the plain way. */
  readonly recipe?: PressRecipe;
  /** Pieces of the order that it is one of, whatever items; as many as usual where none is known. */
  readonly orderPieces?: number;
};

export type CostStage = ExactLine['stage'];
export type CostLine = {
  readonly id: string;
  readonly stage: CostStage;
  /** Whole minor units; the lines add up to the totals exactly. Its parts are the working. */
  readonly figure: Figure;
  readonly cash: Minor;
  readonly time: Minor;
  readonly risk: Minor;
  readonly total: Minor;
  readonly handsSeconds: number;
  readonly waitSeconds: number;
};

export type LayerEstimate = {
  readonly areas: LayerAreas;
  readonly vinylId: number;
  readonly cutMachineSeconds: Figure;
  readonly cutHandsSeconds: number;
  /** How many copies lie on the mat at once; 0 where it is cut without one. */
  readonly onMat: number;
  readonly weedSeconds: Figure;
  readonly vinylCost: number;
};

export type ItemCost = {
  readonly quantity: number;
  /** What an hour of yours costs, and what the shop adds to it; minor units. */
  readonly hour: { readonly wage: number; readonly overhead: number };
  readonly lines: readonly CostLine[];
  /** What leaves the purse. */
  readonly cash: Figure;
  /** With the seller's hours. */
  readonly full: Figure;
  /** With what goes wrong. */
  readonly withRisk: Figure;
  readonly handsSeconds: Figure;
  readonly layers: readonly LayerEstimate[];
  readonly press: PressPlan;
};

/** What one costs, without how its layers are made and pressed: all that prices are calculated from. */
export type CostSums = Omit<ItemCost, 'layers' | 'press'>;

/** Without the workings of its figures. */
export const toBareCost = ({ layers: _layers, press: _press, ...cost }: ItemCost): CostSums => ({
  ...cost,
  lines: cost.lines.map((line) => ({ ...line, figure: toBareFigure(line.figure) })),
  cash: toBareFigure(cost.cash),
  full: toBareFigure(cost.full),
  withRisk: toBareFigure(cost.withRisk),
  handsSeconds: toBareFigure(cost.handsSeconds),
});

export type CostProblem =
  | TooWideProblem
  | PressProblem
  | { readonly kind: 'unknown-size'; readonly sizeName: string; readonly blankName: string }
  | { readonly kind: 'no-layers' };
