// What a basket is asked for and what it answers.

import type { Figure } from '../units';
import type { Margins, Offer, Supplier } from './offer';

export type Need = {
  readonly id: string;
  readonly label: string;
  /** Any of these things will do. */
  readonly accepts: readonly string[];
  /** Vinyl in usable mm²; pieces counted. Above 0. */
  readonly amount: number;
  /** Vinyl narrower than this does not do, mm, margins included; 0 for pieces. */
  readonly leastWidthMm: number;
  /** Days from now until it has to be here; null: whenever. */
  readonly withinDays: number | null;
};

export type BasketInput = {
  readonly needs: readonly Need[];
  readonly offers: readonly Offer[];
  readonly suppliers: readonly Supplier[];
  readonly margins: Margins;
};
export type BasketLine = {
  readonly offer: Offer;
  readonly packs: number;
  readonly goods: number;
  /** Needs it covers, and how much of each. */
  readonly covers: readonly { readonly need: Need; readonly amount: number }[];
};
export type BasketOrder = {
  readonly supplier: Supplier;
  readonly lines: readonly BasketLine[];
  readonly goods: number;
  readonly shipping: number;
};
type Leftover = { readonly key: string; readonly amount: number };
export type Basket = {
  readonly orders: readonly BasketOrder[];
  readonly total: Figure;
  readonly days: number;
  readonly leftovers: readonly Leftover[];
  /** How much cheaper another basket could be at most; null where this one is proven cheapest. */
  readonly doubt: Figure | null;
};
export type BasketProblem =
  /** No offer covers the need, not in time or not wide enough: the closest reason. */
  | { readonly kind: 'not-offered'; readonly needId: string; readonly because: 'no-offer' | 'too-narrow' | 'too-late' }
  | { readonly kind: 'no-basket' }
  | { readonly kind: 'too-many'; readonly most: number }
  | { readonly kind: 'not-solved'; readonly status: string };

/** What a solver of programmes in CPLEX LP format answers. */
export type SolverAnswer = {
  readonly status: string;
  /** What no answer costs less than, in units of SOLVER_SCALE; absent where the answer is proven. */
  readonly bound?: number;
  readonly values: Readonly<Record<string, number>>;
};
export type Solver = (programme: string) => SolverAnswer | Promise<SolverAnswer>;

/** Minor units that make one of the programme: a solver likes numbers that are neither very large nor very small. */
export const SOLVER_SCALE = 100;
