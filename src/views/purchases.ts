// What to buy, and what was ordered from suppliers. Types only.

import type { Basket } from '../core/buying';
import type { Minor } from '../core/units';
import type { ThingView } from './stock';
import type { SupplierView } from './offers';

export type BasketView = {
  readonly needs: readonly {
    /** Names it in the basket. */
    readonly id: string;
    readonly label: string;
    /** mm² of vinyl, or pieces. */
    readonly amount: number;
    readonly unit: 'mm²' | 'count';
    /** What needs it, in words. */
    readonly because: string;
    /** Days until it must be here; null where it is in no hurry. */
    readonly withinDays: number | null;
    /** Why it is not bought again without a word: what the bench says of this vinyl; null where that is nothing bad. */
    readonly distrust: string | null;
    /** Why nothing covers it. */
    readonly problem: string | null;
  }[];
  /** The cheapest that covers all; null where none does. */
  readonly basket: Basket | null;
  /** All from one supplier, where one has everything; the cheapest first. */
  readonly plain: readonly Basket[];
  /** Why there is no basket; null where there is one. */
  readonly problem: string | null;
  /** All that packs are matched to. */
  readonly things: readonly ThingView[];
  /** How long it took, ms. */
  readonly solvedMs: number;
};

export type PurchaseView = {
  readonly id: number;
  readonly supplier: SupplierView;
  /** Epoch ms. */
  readonly placedAtMs: number;
  /** All came, or what is missing is no longer waited for. */
  readonly closed: boolean;
  /** Rises by one with every change; a change of an older one is refused. */
  readonly version: number;
  /** Minor units. */
  readonly shipping: Minor;
  /** Goods and shipping, minor units. */
  readonly total: Minor;
  readonly lines: readonly PurchaseLineView[];
};

type PurchaseLineView = {
  readonly id: number;
  readonly offerName: string;
  /** The supplier’s article number. */
  readonly code: string;
  /** How many were ordered. */
  readonly packs: number;
  /** For all packs of the line, minor units. */
  readonly goods: Minor;
  /** How many came whole so far. */
  readonly receivedPacks: number;
  /** How many came damaged so far. */
  readonly damagedPacks: number;
};

export type PurchasesView = { readonly purchases: readonly PurchaseView[] };
