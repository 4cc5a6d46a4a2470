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
  /** Names it everywhere: its kind and its id. */
  readonly key: string;
  readonly name: string;
  /** #rrggbb. */
  readonly colourHex: string;
  readonly kind: Thing['kind'];
  /** Vinyl in usable mm², else counted. */
  readonly unit: 'mm²' | 'count';
  /** Usual width of a roll, mm; null for what is counted. */
  readonly rollWidthMm: number | null;
};

export type LotView = StockLot & {
  /** Length of a roll, mm; sheets, offcuts and pieces are counted. */
  readonly left: number;
  /** Of an offcut; null for anything else. */
  readonly shape: OffcutShape | null;
  /** Of an offcut: where it cannot be cut, mm. */
  readonly spoiledSpots: readonly SpoiledSpot[];
  /** What is written on it; null where nothing is. */
  readonly code: string | null;
  readonly remark: string;
  readonly supplier: string;
  /** What is left of it, at what it cost. */
  readonly value: Figure;
  /** Parts cut from it, and those that its film failed; null where none was. */
  readonly tried: { readonly tries: number; readonly failures: number } | null;
};

/** What is there of a thing, what open orders need of it, and what stays free: usable mm² of vinyl, or pieces. */
export type StockRow = {
  readonly thing: ThingView;
  readonly lots: readonly LotView[];
  readonly onShelf: Figure;
  /** What open orders need of it. */
  readonly reserved: Figure;
  /** Below 0 where open orders need more than is there. */
  readonly free: Figure;
  /** At what it cost. */
  readonly value: Figure;
  /** What should always be there, and what was wished for. */
  readonly minimum: Figure | null;
  readonly wished: Minimum | null;
  /** Used a week of late; null before anything was used. */
  readonly weekly: Figure | null;
  /** How many weeks it lasts at that; null where nothing was used. */
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
  /** Epoch ms. */
  readonly atMs: number;
  readonly cause: StockCause;
  /** Put in above 0, taken below: mm of a roll, or pieces. */
  readonly quantity: number;
  readonly form: LotForm;
  readonly note: string;
  readonly thingName: string;
};

export type FullStock = { readonly rows: readonly StockRow[]; readonly value: Figure };

/** Some of the things that were asked for, of how many; and what is told of all of them. */
export type StockPage = {
  readonly rows: readonly StockRow[];
  /** How many were found. */
  readonly total: number;
  /** How many come before these. */
  readonly offset: number;
  /** Nothing at all is kept. */
  readonly empty: boolean;
  /** Names of what open orders are short of. */
  readonly short: readonly string[];
  /** How many offcuts there are. */
  readonly offcuts: number;
  /** Of all, at what it cost. */
  readonly value: Figure;
  /** The latest of the ledger, the newest first. */
  readonly lines: readonly StockLineView[];
};

export type FittingOffcut = {
  readonly lot: LotView;
  readonly thing: ThingView;
  /** How the piece lies on it. */
  readonly fit: Fit;
  /** Share of the offcut the piece takes, 0 to 1. */
  readonly usedShare: number;
};
