// Suppliers, their offers and their price lists. Types only.

import type { ColumnMatch, LineProblem, ListColumn, PriceBreak, Supplier, UnitPrices } from '../core/buying';
import type { Minor } from '../core/units';
import type { ThingView } from './stock';

export type SupplierView = Supplier & {
  readonly email: string;
  readonly simulated: boolean;
  readonly version: number;
  readonly offers: number;
};

type OfferPartView = {
  /** What of the shelf it is; null until that is said. */
  readonly thing: ThingView | null;
  readonly key: string | null;
  readonly label: string;
  readonly count: number;
  readonly widthMm: number | null;
  readonly lengthMm: number | null;
};

export type OfferView = {
  readonly id: number;
  readonly supplierId: number;
  readonly code: string;
  readonly name: string;
  readonly price: Minor;
  readonly parts: readonly OfferPartView[];
  readonly breaks: readonly PriceBreak[];
  readonly takePay: { readonly take: number; readonly pay: number } | null;
  readonly pricedAtMs: number;
  readonly version: number;
  readonly unit: UnitPrices;
};

/** Some of the offers that were asked for, of how many. */
export type OfferPage = { readonly total: number; readonly offset: number; readonly offers: readonly OfferView[] };

export type OffersView = {
  readonly suppliers: readonly SupplierView[];
  readonly total: number;
  readonly unmatched: number;
  readonly words: string;
  readonly first: OfferPage;
};

export type OfferHistory = { readonly prices: readonly { readonly atMs: number; readonly price: Minor }[] };

export type ListPreview = {
  readonly header: readonly string[];
  readonly sample: readonly (readonly string[])[];
  readonly match: ColumnMatch;
  readonly decimal: ',' | '.';
  readonly missingColumns: readonly ListColumn[];
  readonly fresh: readonly ListChange[];
  readonly changed: readonly ListChange[];
  readonly same: number;
  readonly gone: readonly { readonly code: string; readonly name: string }[];
  readonly unreadable: readonly LineProblem[];
  readonly unmatched: readonly string[];
};

export type ListChange = {
  readonly line: number;
  readonly code: string;
  readonly name: string;
  readonly price: Minor;
  readonly before: Minor | null;
};
