// What stands round every screen: the shop, the clock, the running timers, what was searched for. Types only.

import type { CutSetting } from '../core/cutting';
import type { ShopFigures, ShopIdentity } from '../core/materials';
import type { Station } from '../core/orders';
import type { WorkProgress } from '../core/scheduling';
import type { MeasureSystem } from '../core/units';

export type ShopView = ShopIdentity & {
  readonly figures: ShopFigures;
  /** It is the demo shop: every number in it is made up. */
  readonly simulated: boolean;
  /** Somebody said that money, numbers and time zone are right. */
  readonly confirmed: boolean;
  /** Rises by one with every save; a save of an older one is refused. */
  readonly version: number;
};

export type RunningSession = {
  readonly id: number;
  readonly station: Station;
  /** Epoch ms. */
  readonly startedAtMs: number;
  /** What is worked on, in words. */
  readonly label: string;
  /** Whose work it is; null where nobody said. */
  readonly personName: string | null;
  readonly partIds: readonly number[];
  /** How far it is, and what counts down for it. */
  readonly progress: WorkProgress;
  /** Of a load at the cutter, its sheets; null for all else. */
  readonly load: readonly { readonly sheet: number; readonly needsTest: boolean }[] | null;
  /** At the cutter without a load: with which setting each vinyl is cut. */
  readonly byHand: readonly { readonly vinylId: number; readonly setting: CutSetting }[];
  /** What it was calculated to take when it was started, seconds. */
  readonly estimateSeconds: number;
};

export type PersonView = { readonly id: number; readonly name: string };

/** What every screen needs: the shop, how measures are shown, the server's clock and the running timers. */
export type FrameView = {
  readonly shop: ShopView;
  /** Who works here, where that is told apart. */
  readonly people: readonly PersonView[];
  readonly system: MeasureSystem;
  /** Epoch ms. */
  readonly nowMs: number;
  /** The same, as the shop writes it. */
  readonly nowText: string;
  readonly running: readonly RunningSession[];
  /** Of the data that the page was made from: another one after every change. */
  readonly stamp: string;
};

export type FoundThing = {
  readonly kind: 'order' | 'customer' | 'item' | 'artwork' | 'vinyl' | 'blank';
  readonly label: string;
  readonly detail: string;
  /** Where it is opened. */
  readonly href: string;
};
