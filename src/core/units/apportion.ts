// The one place where money is rounded: a total is rounded once, and its parts are shared out so that they add up to
// it.

import { assert, minor, type Minor } from './quantity';

/**
 * Whole parts that add up exactly to `total`, each within one minor unit of its exact value.
 * Largest-remainder (Hamilton) method; ties go to the earlier part. The exact parts must add up to `total` within half
 * a unit each way, as they do when `total` is their rounded sum.
 */
export function apportion(exactParts: readonly number[], total: number): readonly Minor[] {
  const floors = exactParts.map((part) => Math.floor(part + ROUNDING_NOISE));
  const missing = total - floors.reduce((sum, part) => sum + part, 0);
  assert(missing >= 0 && missing <= exactParts.length, 'parts that add up to the total', { exactParts, total });
  const byRemainder = exactParts
    .map((part, index) => ({ index, remainder: part - (floors[index] ?? 0) }))
    .sort((a, b) => b.remainder - a.remainder || a.index - b.index);
  const raised = new Set(byRemainder.slice(0, missing).map((entry) => entry.index));
  return floors.map((part, index) => minor(part + (raised.has(index) ? 1 : 0)));
}

/** The amount in whole minor units, halves away from zero; binary noise below a millionth of a cent does not decide. */
export function roundMoney(exact: number): Minor {
  const rounded = Math.round(Math.abs(exact) + ROUNDING_NOISE);
  return minor(rounded === 0 ? 0 : Math.sign(exact) * rounded);
}

/** Binary fractions miss decimal halves by about 1e-12; anything this close counts as the half. */
const ROUNDING_NOISE = 1e-7;
