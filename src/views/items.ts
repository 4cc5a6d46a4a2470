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
  /** How many are made at once, at least 1. */
  readonly quantity: number;
  /** Rises by one with every save; a save of an older one is refused. */
  readonly version: number;
  readonly archived: boolean;
  /** The cost the price was last set against; null before the first. */
  readonly acceptedCost: AcceptedCost | null;
};

export type ItemEditorView = {
  readonly channels: readonly ChannelView[];
  /** Null: a new one. */
  readonly item: ItemView | null;
  readonly artworks: readonly ArtworkView[];
  readonly shelf: ShelfView;
  /** The artwork a new item begins with; null where none was asked for. */
  readonly startArtworkId: number | null;
  /** What was paid and is offered, by the key of a thing. */
  readonly prices: readonly (readonly [string, Prices])[];
  /** How its layers lie on their vinyls, worked out at the last save. */
  readonly packings: readonly StoredPacking[];
  /** What the bench saw of it: times, spoilage. */
  readonly evidence: ItemEvidence;
};

export type ItemRow = {
  /** What moved its cost since it was accepted; null where nothing did. */
  readonly change: CostChange | null;
  readonly item: ItemView;
  readonly picture: ArtworkPicture;
  readonly blankName: string;
  /** Null where it cannot be costed: see the problem. */
  readonly cost: ItemCost | null;
  /** What an hour on it earns at its price; null without a cost. */
  readonly hourEarns: Figure | null;
  /** Why it cannot be costed; null where it can. */
  readonly problem: string | null;
};

export type ItemListView = { readonly rows: readonly ItemRow[] };
