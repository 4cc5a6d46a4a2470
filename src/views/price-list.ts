// Channels, and the price list of items by channels. Types only.

import type { Figure, Minor } from '../core/units';
import type { ChannelView } from './channels';
import type { ItemSort } from './items';
import type { ListPage, ListQuery } from './list';

export type PriceRow = {
  readonly id: number;
  readonly name: string;
  /** How many are made at once. */
  readonly quantity: number;
  /** Minor units. */
  readonly price: Minor;
  readonly sizeName: string;
  readonly blankName: string;
  /** With its risk, without its working; null where it cannot be costed: see the problem. */
  readonly cost: Figure | null;
  /** At the item's own price, with the shop's own fee. */
  readonly hourEarns: Figure | null;
  /** The price needed for the goal, one a channel, in their order; null where the channel takes too much. */
  readonly asks: readonly (Figure | null)[];
  /** Why it cannot be costed; null where it can. */
  readonly problem: string | null;
};

/** A page of the items, each by all channels. */
export type PriceListView = {
  readonly goal: PriceGoal;
  /** Only items on which an hour earns less than the shop's own. */
  readonly poorOnly: boolean;
  readonly channels: readonly ChannelView[];
  readonly rows: readonly PriceRow[];
  readonly query: ListQuery<ItemSort>;
  readonly at: ListPage;
  /** Items on the list, and of how many an hour earns less than the shop's own. */
  readonly all: number;
  readonly poor: number;
};

export type PriceGoal = 'wage' | 'margin' | 'floor';
