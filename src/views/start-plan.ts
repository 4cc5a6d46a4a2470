// Start-up and break-even. Types only.

import type { CostSums } from '../core/costing';
import type { StartPlan } from '../core/planning';
import type { Minor } from '../core/units';

/** What a start costs and when it has come back; version 0: not kept yet. */
export type StartView = {
  /** Whether there are items that are not listed, and are looked for by name. */
  readonly more: boolean;
  readonly plan: StartPlan;
  readonly version: number;
  readonly items: readonly {
    readonly id: number;
    readonly name: string;
    /** Minor units of one. */
    readonly price: Minor;
    /** Of one. */
    readonly cost: CostSums;
    /** What a cutter has to take across for its widest layer, mm. */
    readonly acrossMm: number;
  }[];
};
