// Quick quotes. Types only.

import type { Drift, QuoteFacts } from '../core/orders';
import type { Figure } from '../core/units';
import type { ShelfView } from './shelf';
import type { OrderableItem, SaidFinding } from './orders';

/** What a quick quote answers; `each` is the item's price where none was typed. */
export type QuoteAnswer = {
  /** Of one, with its risk. */
  readonly cost: Figure;
  readonly each: Figure;
  /** For all pieces. */
  readonly total: Figure;
  /** Null where no time is needed. */
  readonly hourEarns: Figure | null;
  /** The least price of one at which nothing is lost; null where the fees take too much. */
  readonly floor: Figure | null;
  /** The price of one for the margin that is wished; null where the fees take too much. */
  readonly forMargin: Figure | null;
  /** The price of one for the wage that is wished; null where the fees take too much. */
  readonly forWage: Figure | null;
  /** The strongest first. */
  readonly findings: readonly SaidFinding[];
  /** The first day it can be done by; null where no day is found. */
  readonly ready: { readonly day: string; readonly working: Figure } | null;
  /** What is short for it; days until anybody delivers it, null where nobody offers it. */
  readonly toBuy: readonly { readonly name: string; readonly days: number | null }[];
};

export type QuoteView = {
  readonly id: number;
  readonly customerName: string;
  readonly itemId: number;
  /** When it was saved, epoch ms. */
  readonly atMs: number;
  /** What it was calculated from, as it was then. */
  readonly facts: QuoteFacts;
  /** What it would cost now, where that differs. */
  readonly drift: Drift | null;
};

export type QuoteStart = ShelfView & {
  readonly items: readonly OrderableItem[];
  /** The latest first. */
  readonly quotes: readonly QuoteView[];
};
