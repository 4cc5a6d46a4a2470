// What stands round every screen: the shop, the clock, the running timers, what was searched for. Types only.

import type { ShopFigures, ShopIdentity } from '../core/materials';
import type { Station } from '../core/orders';
import type { MeasureSystem } from '../core/units';

export type ShopView = ShopIdentity & {
  readonly figures: ShopFigures;
  readonly simulated: boolean;
  readonly version: number;
};

export type RunningSession = {
  readonly id: number;
  readonly station: Station;
  readonly startedAtMs: number;
  readonly label: string;
  readonly partIds: readonly number[];
};

/** What every screen needs: the shop, how measures are shown, the server's clock and the running timers. */
export type FrameView = {
  readonly shop: ShopView;
  readonly system: MeasureSystem;
  readonly nowMs: number;
  readonly running: readonly RunningSession[];
};

export type FoundThing = {
  readonly kind: 'order' | 'item' | 'artwork' | 'vinyl' | 'blank';
  readonly label: string;
  readonly detail: string;
  readonly href: string;
};
