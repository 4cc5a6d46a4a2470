// Supplies: what is used up besides vinyl and blanks. Types only.

import type { Supply, Wear } from '../core/stock';
import type { ThingView } from './stock';

export type SupplyView = Supply & {
  readonly version: number;
  readonly thing: ThingView;
  /** How far the one in use is worn; null where none is in use. */
  readonly wear: Wear | null;
  /** Pieces that are new. */
  readonly onShelf: number;
};

export type SuppliesView = { readonly supplies: readonly SupplyView[] };
