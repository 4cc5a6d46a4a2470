// Items: the list, and what an item’s own page calculates with. Types only.

import type { ArtworkPicture } from '../core/artwork';
import type { CostChange, ItemCost, ItemEvidence, ItemPlan, AcceptedCost, StoredPacking } from '../core/costing';
import type { Prices } from '../core/stock';
import type { Figure } from '../core/units';
import type { ShelfView } from './shelf';
import type { ArtworkView } from './artwork';
import type { ChannelView } from './channels';

export type ItemView = ItemPlan & {
  readonly id: number;
  readonly name: string;
  readonly quantity: number;
  readonly version: number;
  readonly archived: boolean;
  readonly acceptedCost: AcceptedCost | null;
};

export type ItemEditorView = {
  readonly channels: readonly ChannelView[];
  readonly item: ItemView | null;
  readonly artworks: readonly ArtworkView[];
  readonly shelf: ShelfView;
  readonly startArtworkId: number | null;
  /** What was paid and is offered, by the key of a thing. */
  readonly prices: readonly (readonly [string, Prices])[];
  readonly packings: readonly StoredPacking[];
  readonly evidence: ItemEvidence;
};

export type ItemRow = {
  readonly change: CostChange | null;
  readonly item: ItemView;
  readonly picture: ArtworkPicture;
  readonly blankName: string;
  readonly cost: ItemCost | null;
  readonly hourEarns: Figure | null;
  readonly problem: string | null;
};

export type ItemListView = { readonly rows: readonly ItemRow[] };
