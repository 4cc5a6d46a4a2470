// What the demo shop's past is made of: who ordered what and how often, how the bench really was, what was tried.

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PresetUse } from '../../../core/cutting/index';
import type { Fabric } from '../../../core/materials/index';
import type { SpoilageCause } from '../../../core/orders/index';
import type { FineResult, SideAxis, SideSheet } from '../../../core/trials/index';
import { programRoot } from '../../context';

export type PastWish = {
  readonly item: string;
  readonly customer: string;
  readonly contact: string;
  readonly titles: readonly string[];
  readonly sizes: readonly string[];
  readonly colours: readonly string[];
  /** Pieces. */
  readonly least: number;
  readonly most: number;
  /** How often, against the others. */
  readonly weight: number;
};

/** How a vinyl really is: times what is calculated for its weeding, and the share of its parts that go wrong. */
type PastVinyl = {
  readonly weeding: number;
  readonly lost: number;
  readonly olderLot?: { readonly lost: number; readonly remark: string };
};

export type PastLadder = {
  readonly vinyl: string;
  readonly daysAgo: number;
  /** It cuts cleanly from here to there, times the force that is usual. */
  readonly cleanFrom: number;
  readonly cleanTo: number;
  readonly name: string;
  readonly fine: FineResult;
  readonly use: PresetUse;
};

export type PastSide = {
  readonly name: string;
  readonly axis: SideAxis;
  readonly artwork: string;
  readonly widthMm: number;
  readonly pieces: number;
  readonly fabric: Fabric;
  readonly daysAgo: number;
  readonly candidates: readonly { readonly vinyl: string; readonly label: string; readonly sheet: SideSheet }[];
};

export type PastFile = {
  readonly orders: number;
  readonly fromDaysAgo: number;
  readonly untilDaysAgo: number;
  readonly wishes: readonly PastWish[];
  /** Why orders were cancelled. */
  readonly cancelled: readonly string[];
  /** How work at the bench really went, times what is calculated. */
  readonly bench: {
    readonly spread: number;
    readonly firstMonthSlower: number;
    /** The share of clocks that nobody stopped in time. */
    readonly forgottenClock: number;
    readonly loadFactor: number;
    readonly watchFactor: number;
    /** In the order of `WEED_FIGURES`. */
    readonly weedFactors: readonly number[];
    readonly press: number;
    readonly check: number;
  };
  readonly vinyls: Readonly<Record<string, PastVinyl>>;
  readonly filmCauses: readonly SpoilageCause[];
  /** The share of pieces that go wrong at the press, with their blank. */
  readonly pressLost: number;
  readonly pressCauses: readonly SpoilageCause[];
  readonly olderLots: readonly {
    readonly thing: string;
    readonly widthMm: number;
    readonly lengthMm: number;
    readonly price: number;
    readonly daysAgo: number;
  }[];
  readonly dearer: readonly { readonly vinyl: string; readonly daysAgo: number; readonly was: number }[];
  readonly ladders: readonly PastLadder[];
  readonly sides: readonly PastSide[];
  /** The share of orders that are looked at again, and of those looks the share that somebody answered. */
  readonly lookedAt: number;
  readonly answered: number;
  /** The share of washes after which a vinyl lifts; none where it is not named. */
  readonly lifts: Readonly<Record<string, number>>;
};

export const readPastFile = (): PastFile =>
  JSON.parse(readFileSync(join(programRoot(), 'src', 'data', 'demo', 'past.json'), 'utf8')) as PastFile;
