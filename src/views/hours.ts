// The hours worked and what was spoiled. Types only.

import type { HoursWorked, SpoilageByCause } from '../core/orders';

/** So far back the books look, months, the running one included. */
export const HOURS_SPANS = [1, 3, 12] as const;
export type HoursSpan = (typeof HOURS_SPANS)[number];

/** Figures without their workings, but for the hours of each station: those say how many stretches they are of. */
export type HoursView = {
  readonly span: HoursSpan;
  /** The latest first; months in which nothing was worked or checked are left out. */
  readonly months: readonly (HoursWorked & { readonly month: string })[];
  readonly whole: HoursWorked;
  readonly spoilage: SpoilageByCause;
};
