// Items: the list, and what an item’s own page calculates with. Types only.

import type { CostChange, ItemEvidence, ItemPlan, AcceptedCost, StoredPacking } from '../core/costing';
import type { Prices } from '../core/stock';
import type { Figure, Minor } from '../core/units';
import type { ShelfView, VinylView } from './shelf';
import type { ArtworkView } from './artwork';
import type { ChannelView } from './channels';
import type { ListPage, ListQuery } from './list';

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
  /** What it uses, and what was chosen since. */
  readonly artworks: readonly ArtworkView[];
  /** The first to choose from, and what it uses. */
  readonly artworkNames: readonly { readonly id: number; readonly name: string }[];
  /** All blanks; of the vinyls the first to choose from, and what it uses. */
  readonly shelf: ShelfView;
  /** Of what the prices are here. */
  readonly priced: { readonly vinylIds: readonly number[]; readonly blankIds: readonly number[] };
  /** Whether there are others that are looked for by name. */
  readonly more: { readonly artworks: boolean; readonly vinyls: boolean };
  /** The artwork a new item begins with; null where none was asked for. */
  readonly startArtworkId: number | null;
  /** What was paid and is offered for what it uses, by the key of a thing. */
  readonly prices: readonly (readonly [string, Prices])[];
  /** How its layers lie on their vinyls, worked out at the last save. */
  readonly packings: readonly StoredPacking[];
  /** What the bench saw of it: times, spoilage. */
  readonly evidence: ItemEvidence;
};

/** What a page needs of things that were chosen on it. */
export type ItemMaterialsView = Pick<ItemEditorView, 'artworks' | 'packings' | 'prices'> & {
  readonly vinyls: readonly VinylView[];
  /** Parts cut of each vinyl so far, and how many of them were spoiled. */
  readonly evidence: readonly { readonly vinylId: number; readonly made: number; readonly spoiled: number }[];
};

export type ItemSort = 'name' | 'made' | 'cost' | 'price' | 'hour';

export type ItemRow = {
  readonly id: number;
  readonly name: string;
  /** How many are made at once. */
  readonly quantity: number;
  /** Minor units. */
  readonly price: Minor;
  readonly sizeName: string;
  readonly blankName: string;
  /** Of the drawing at its first place; null where that is gone. */
  readonly pictureHref: string | null;
  /** Without their workings; null where it cannot be costed: see the problem. */
  readonly cost: { readonly cash: Figure; readonly full: Figure; readonly withRisk: Figure } | null;
  /** What moved its cost since it was accepted; null where nothing did. */
  readonly change: CostChange | null;
  /** What an hour on it earns at its price; null without a cost. */
  readonly hourEarns: Figure | null;
  /** Why it cannot be costed; null where it can. */
  readonly problem: string | null;
};

export type ItemListView = {
  readonly rows: readonly ItemRow[];
  readonly query: ListQuery<ItemSort>;
  readonly at: ListPage;
  /** Items on the list, and of how many an hour earns less than the shop's own. */
  readonly all: number;
  readonly poor: number;
};
