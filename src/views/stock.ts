// Stock: lots, the ledger and what open orders need. Types only.

import type {
  Fit,
  Lot as StockLot,
  LotForm,
  Minimum,
  SpoiledSpot,
  OffcutShape,
  StockCause,
  Thing,
} from '../core/stock';
import type { Figure } from '../core/units';

/** A thing of the shelf by its key, as it is called and counted. */
export type ThingView = {
  readonly key: string;
  readonly name: string;
  readonly colourHex: string;
  readonly kind: Thing['kind'];
  /** Vinyl in usable mm², else counted. */
  readonly unit: 'mm²' | 'count';
  readonly rollWidthMm: number | null;
};

export type LotView = StockLot & {
  readonly left: number;
  readonly shape: OffcutShape | null;
  readonly spoiledSpots: readonly SpoiledSpot[];
  readonly code: string | null;
  readonly remark: string;
  readonly supplier: string;
  /** What is left of it, at what it cost. */
  readonly value: Figure;
};

/** What is there of a thing, what open orders need of it, and what stays free: usable mm² of vinyl, or pieces. */
export type StockRow = {
  readonly thing: ThingView;
  readonly lots: readonly LotView[];
  readonly onShelf: Figure;
  readonly reserved: Figure;
  readonly free: Figure;
  readonly value: Figure;
  /** What should always be there, and what was wished for. */
  readonly minimum: Figure | null;
  readonly wished: Minimum | null;
  readonly weekly: Figure | null;
  readonly cover: Figure | null;
  /**
   * For what open orders are short of: the last day to order it, in days from today, and how soon anybody delivers it.
   * Null where nothing is short, or nobody offers it.
   */
  readonly orderWithin: { readonly days: number; readonly leadDays: number } | null;
};

export type StockLineView = {
  readonly id: number;
  readonly lotId: number;
  readonly atMs: number;
  readonly cause: StockCause;
  readonly quantity: number;
  readonly form: LotForm;
  readonly note: string;
  readonly thingName: string;
};

export type FullStock = { readonly rows: readonly StockRow[]; readonly value: Figure };

/** Some of the things that were asked for, of how many; and what is told of all of them. */
export type StockPage = {
  readonly rows: readonly StockRow[];
  readonly total: number;
  readonly offset: number;
  /** Nothing at all is kept. */
  readonly empty: boolean;
  readonly short: readonly string[];
  readonly offcuts: number;
  readonly value: Figure;
  readonly lines: readonly StockLineView[];
};

export type FittingOffcut = {
  readonly lot: LotView;
  readonly thing: ThingView;
  readonly fit: Fit;
  readonly usedShare: number;
};
