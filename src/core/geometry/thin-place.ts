// A place where something is thin, and what bounds it.

import type { InscribedCircles } from './inscribed-circles';

/** A ring and what it bounds on one side. Rings of one group bound one thing; of group -1 the open air. */
export type Bound = {
  readonly group: number;
  /** No ball wider than this lies in the group, mm. */
  readonly widest: number;
};
/** What rings bound on one side, by the ring, with its shapes; and the rings that bound each thing. */
export type Bounded = {
  readonly bounds: readonly Bound[];
  readonly circles: InscribedCircles;
  readonly rings: ReadonlyMap<number, readonly number[]>;
};
export type ThinPlace = { readonly widthMm: number; readonly x: number; readonly y: number };
export type Thinness = {
  /**
   * The thinnest place; null where no two sides face each other (a single bar has a thickness, the air around it no
   * gap).
   */
  readonly thinnest: ThinPlace | null;
  /** Places thinner than was asked for, thinnest first, at most 200, none within its own width of another. */
  readonly places: readonly ThinPlace[];
};
