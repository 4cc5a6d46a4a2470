// The room of vinyls and blanks. Types only.

import type { Blank, Vinyl } from '../core/materials';
import type { Figure } from '../core/units';

export type VinylView = Vinyl & { readonly supplier: string; readonly version: number; readonly archived: boolean };

export type BlankView = Blank & { readonly supplier: string; readonly version: number; readonly archived: boolean };

/**
 * Some of the vinyls that were asked for, of how many; and what is told of all. `open`: one that was asked for by its
 * id.
 */
export type ShelfPage = {
  readonly vinyls: readonly VinylView[];
  /** How many were found. */
  readonly total: number;
  /** How many come before these. */
  readonly offset: number;
  /** How many vinyls there are at all. */
  readonly vinylCount: number;
  /** Of all vinyls, by usable area; null where there is none. */
  readonly cheapest: Figure | null;
  /** Of all vinyls, by usable area; null where there is none. */
  readonly dearest: Figure | null;
  readonly blanks: readonly BlankView[];
  readonly open: VinylView | null;
};

export type ShelfView = { readonly vinyls: readonly VinylView[]; readonly blanks: readonly BlankView[] };
