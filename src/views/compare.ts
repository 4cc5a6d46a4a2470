// The comparison of vinyls, offers and blanks for one item. Types only.

import type { Offer } from '../core/buying';
import type { ItemEvidence } from '../core/costing';
import type { Prices } from '../core/stock';
import type { Minor } from '../core/units';
import type { VinylView, BlankView } from './shelf';
import type { ArtworkView } from './artwork';
import type { ItemView } from './items';

/** An item to be tried in other vinyls, with what was cut and spoiled of each so far. */
export type CompareView = {
  readonly item: ItemView;
  readonly artworks: readonly ArtworkView[];
  readonly blanks: readonly BlankView[];
  readonly vinyls: readonly VinylView[];
  readonly prices: readonly (readonly [string, Prices])[];
  readonly own: ItemEvidence;
  readonly offers: readonly CompareOffer[];
  readonly evidence: readonly { readonly vinylId: number; readonly made: number; readonly spoiled: number }[];
};

/** An offer of a vinyl: what a m² of it comes to, landed, when so many packs are bought. */
export type CompareOffer = {
  readonly id: number;
  readonly name: string;
  readonly supplierName: string;
  readonly vinylId: number;
  readonly form: 'roll' | 'sheet';
  readonly offer: Offer;
  readonly shipping: Minor;
  readonly freeFrom: Minor | null;
};
