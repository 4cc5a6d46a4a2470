// Suppliers, their offers and their price lists. Types only.

import type { ColumnMatch, LineProblem, ListColumn, PriceBreak, Supplier, UnitPrices } from '../core/buying';
import type { Minor } from '../core/units';
import type { ThingView } from './stock';

export type SupplierView = Supplier & {
  readonly email: string;
  /** Made up, of the demo shop. */
  readonly simulated: boolean;
  readonly version: number;
  /** How many offers it has. */
  readonly offers: number;
};

type OfferPartView = {
  /** What of the shelf it is; null until that is said. */
  readonly thing: ThingView | null;
  /** Key of that thing; null until it is said. */
  readonly key: string | null;
  /** As the supplier calls it. */
  readonly label: string;
  /** How many of it are in a pack. */
  readonly count: number;
  /** Of vinyl, mm; null for what is counted. */
  readonly widthMm: number | null;
  /** Of vinyl, mm; null for what is counted. */
  readonly lengthMm: number | null;
};

export type OfferView = {
  readonly id: number;
  readonly supplierId: number;
  /** The supplier’s article number. */
  readonly code: string;
  readonly name: string;
  /** Of one pack, minor units. */
  readonly price: Minor;
  readonly parts: readonly OfferPartView[];
  /** Prices of a pack by the number of packs, the fewest first. */
  readonly breaks: readonly PriceBreak[];
  /** Of so many packs only so many are paid; null: no such offer. */
  readonly takePay: { readonly take: number; readonly pay: number } | null;
  /** When the price was last read or typed, epoch ms. */
  readonly pricedAtMs: number;
  readonly version: number;
  /** What it comes to by area or piece. */
  readonly unit: UnitPrices;
};

/** Some of the offers that were asked for, of how many. */
export type OfferPage = { readonly total: number; readonly offset: number; readonly offers: readonly OfferView[] };

export type OffersView = {
  readonly suppliers: readonly SupplierView[];
  /** All offers of the shop. */
  readonly total: number;
  /** How many have a part that is not matched to the shelf. */
  readonly unmatched: number;
  /** What was searched for. */
  readonly words: string;
  readonly first: OfferPage;
};

/** The oldest first; minor units of one pack, epoch ms. */
export type OfferHistory = { readonly prices: readonly { readonly atMs: number; readonly price: Minor }[] };

export type ListPreview = {
  /** The first line of the list. */
  readonly header: readonly string[];
  /** A few lines below it, as they stand. */
  readonly sample: readonly (readonly string[])[];
  /** Which column means what, as guessed or chosen. */
  readonly match: ColumnMatch;
  /** How its numbers are written. */
  readonly decimal: ',' | '.';
  /** Columns that are needed and not matched. */
  readonly missingColumns: readonly ListColumn[];
  /** Offers that were not there before. */
  readonly fresh: readonly ListChange[];
  /** Offers whose price or name changes. */
  readonly changed: readonly ListChange[];
  /** How many offers stay as they are. */
  readonly same: number;
  /** Offers of the supplier that the list no longer has. */
  readonly gone: readonly { readonly code: string; readonly name: string }[];
  /** Lines that cannot be taken, with the reason. */
  readonly unreadable: readonly LineProblem[];
  /** Names that match nothing on the shelf. */
  readonly unmatched: readonly string[];
};

export type ListChange = {
  /** Line of the list, from 1. */
  readonly line: number;
  readonly code: string;
  readonly name: string;
  /** Of one pack, minor units. */
  readonly price: Minor;
  /** What it was, minor units; null where it is new. */
  readonly before: Minor | null;
};
