// The comparison of vinyls, offers and blanks for one item. Types only.

import type { CompareBasis, VinylOffer } from '../core/planning';
import type { ArtworkView } from './artwork';
import type { ItemView } from './items';
import type { BlankView, VinylView } from './shelf';

/** An item to be tried in other vinyls, with what was cut and spoiled of each so far. */
export type CompareView = Omit<CompareBasis, 'item' | 'artworks' | 'blanks' | 'vinyls' | 'offers'> & {
  readonly item: ItemView;
  readonly artworks: readonly ArtworkView[];
  readonly blanks: readonly BlankView[];
  readonly vinyls: readonly VinylView[];
  /** Of the vinyls of the item. */
  readonly offers: readonly CompareOffer[];
  /** Whether the shelf has other vinyls than these. */
  readonly moreVinyls: boolean;
};

/** Long enough to be a roll, or short enough to be a sheet. */
export type CompareOffer = VinylOffer & { readonly form: 'roll' | 'sheet' };
