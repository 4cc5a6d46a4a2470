// What to buy, and what was ordered from suppliers. Types only.

import type { Basket } from '../core/buying';
import type { Minor } from '../core/units';
import type { ThingView } from './stock';
import type { SupplierView } from './offers';

export type BasketView = {
  readonly needs: readonly {
    readonly id: string;
    readonly label: string;
    readonly amount: number;
    readonly unit: 'mm²' | 'count';
    readonly because: string;
    readonly withinDays: number | null;
    /** Why nothing covers it. */
    readonly problem: string | null;
  }[];
  readonly basket: Basket | null;
  readonly plain: readonly Basket[];
  readonly problem: string | null;
  readonly things: readonly ThingView[];
  readonly solvedMs: number;
};

export type PurchaseView = {
  readonly id: number;
  readonly supplier: SupplierView;
  readonly placedAtMs: number;
  readonly closed: boolean;
  readonly version: number;
  readonly shipping: Minor;
  readonly total: Minor;
  readonly lines: readonly PurchaseLineView[];
};

type PurchaseLineView = {
  readonly id: number;
  readonly offerName: string;
  readonly code: string;
  readonly packs: number;
  readonly goods: Minor;
  readonly receivedPacks: number;
  readonly damagedPacks: number;
};

export type PurchasesView = { readonly purchases: readonly PurchaseView[] };
