// Quick quotes. Types only.

import type { Drift, QuoteFacts } from '../core/orders';
import type { Figure } from '../core/units';
import type { ShelfView } from './shelf';
import type { OrderableItem } from './orders';

/** What a quick quote answers; `each` is the item's price where none was typed. */
export type QuoteAnswer = {
  readonly cost: Figure;
  readonly each: Figure;
  readonly total: Figure;
  readonly hourEarns: Figure | null;
  readonly floor: Figure | null;
  readonly forMargin: Figure | null;
  readonly forWage: Figure | null;
  readonly ready: { readonly day: string; readonly working: Figure } | null;
  readonly toBuy: readonly { readonly name: string; readonly days: number | null }[];
};

export type QuoteView = {
  readonly id: number;
  readonly customerName: string;
  readonly itemId: number;
  readonly atMs: number;
  readonly facts: QuoteFacts;
  /** What it would cost now, where that differs. */
  readonly drift: Drift | null;
};

export type QuoteStart = ShelfView & {
  readonly items: readonly OrderableItem[];
  readonly quotes: readonly QuoteView[];
};
