// Channels, and the price list of all items by all channels. Types only.
import type { Figure } from '../core/units';
import type { ItemView } from './items';
import type { ChannelView } from './channels';

/**
 * All items by all channels: the price needed for the goal, null where the channel takes too much. `hourEarns`: at the
 * item's own price, with the shop's own fee.
 */
export type PriceListView = {
  readonly goal: PriceGoal;
  readonly channels: readonly ChannelView[];
  readonly rows: readonly {
    readonly item: ItemView;
    readonly blankName: string;
    /** Null where it cannot be costed: see the problem. */
    readonly cost: Figure | null;
    readonly hourEarns: Figure | null;
    /** One a channel, in their order. */
    readonly asks: readonly (Figure | null)[];
    /** Why it cannot be costed; null where it can. */
    readonly problem: string | null;
  }[];
};

export type PriceGoal = 'wage' | 'margin' | 'floor';
