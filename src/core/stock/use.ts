// How fast a thing is used, from what was really booked, and for how long what is there lasts.

import { figure, type Figure, COUNT_NOISE } from '../units';
import type { StockCause } from './ledger';

/** What counts as use: a count that was off, or an offcut set aside, is none. */
export const USE_CAUSES = ['cut', 'used', 'spoiled', 'sold'] as const satisfies readonly StockCause[];
/** Looked back over at most so long: a shop of last summer is another shop. */
export const USE_WEEKS = 12;
const WEEK_MS = 7 * 86_400_000;
/** Use of fewer weeks than this is too little to go by. */
const LEAST_WEEKS = 2;

/** What was used since `sinceMs`, when the thing was first there. */
export type Used = { readonly amount: number; readonly sinceMs: number };

/** A week's use; null where the thing is too new. `amount` in usable mm² or pieces. */
export function computeWeeklyUse(used: Used, unit: 'mm²' | 'count', nowMs: number): Figure | null {
  const weeks = Math.min(USE_WEEKS, (nowMs - used.sinceMs) / WEEK_MS);
  if (weeks < LEAST_WEEKS) return null;
  return figure('Used a week', used.amount / weeks, unit, 'learned', {
    how: 'cut, used, spoiled and sold ÷ weeks',
    parts: [figure('Booked', used.amount, unit, 'measured'), figure('Weeks', weeks, 'count', 'measured')],
  });
}

/** For how many weeks what is free lasts at that use; null where nothing is used. */
export function computeCover(free: Figure, weekly: Figure | null): Figure | null {
  if (!weekly || weekly.value <= 0) return null;
  return figure('Lasts, in weeks', Math.max(0, free.value) / weekly.value, 'count', 'computed', {
    how: 'free ÷ used a week',
    parts: [free, weekly],
  });
}

export type Minimum = {
  /** Usable mm² or pieces. */
  readonly amount: number | null;
  readonly coverWeeks: number | null;
};

/**
 * What should always be there: the amount, or so many weeks of use, whichever is more. Null where neither says anything
 * yet.
 */
export function computeMinimum(
  minimum: Minimum | undefined,
  weekly: Figure | null,
  unit: 'mm²' | 'count',
): Figure | null {
  if (!minimum) return null;
  const amount = minimum.amount === null ? null : figure('At least', minimum.amount, unit, 'typed');
  // Pieces are bought whole.
  const weeks = minimum.coverWeeks === null || !weekly ? null : minimum.coverWeeks * weekly.value;
  const cover =
    weeks === null || weeks <= 0
      ? null
      : figure('For the weeks wanted', unit === 'count' ? Math.ceil(weeks - COUNT_NOISE) : weeks, unit, 'computed', {
          how: 'weeks × used a week',
          parts: [figure('Weeks', minimum.coverWeeks!, 'count', 'typed'), weekly!],
        });
  const parts = [amount, cover].flatMap((part) => part ?? []);
  return parts.length === 0
    ? null
    : figure('Always have', Math.max(...parts.map((part) => part.value)), unit, 'computed', {
        how: 'the larger of',
        parts,
      });
}

/** The last day to order a thing that takes `leadDays`, in days from today; below 0 it is too late. */
export const computeOrderWithin = (dueInDays: number, leadDays: number, makeDays: number): number =>
  dueInDays - makeDays - leadDays;
