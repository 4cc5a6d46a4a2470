// A quote as it was given: with all that it rested on, so that it stays what it was.

import type { ItemCost } from '../costing';
import { figure, minor, type Figure, type Minor } from '../units';

export type QuoteFacts = {
  readonly itemName: string;
  readonly blankName: string;
  readonly sizeName: string;
  readonly colourName: string;
  readonly vinylNames: readonly string[];
  readonly widthMm: number;
  /** Options that are in it, in words. */
  readonly options: readonly string[];
  /** The same by their place in the item. */
  readonly optionIndexes: readonly number[];
  readonly quantity: number;
  readonly each: Minor;
  readonly total: Minor;
  /** The day it can be ready, as YYYY-MM-DD; null where the hours did not suffice. */
  readonly readyDay: string | null;
  /** What it rested on. */
  readonly costEach: number;
  readonly handsSeconds: number;
  readonly wagePerHour: number;
  readonly lines: readonly { readonly label: string; readonly total: number }[];
  /** What had to be bought for it. */
  readonly toBuy: readonly string[];
};

export const computeQuoteTotal = (each: Minor, quantity: number): Figure =>
  figure('Total', each * quantity, 'money', 'computed', {
    how: 'price × pieces',
    parts: [figure('Price each', each, 'money', 'typed'), figure('Pieces', quantity, 'count', 'typed')],
  });

/** Freezes a quote from its cost now. */
export function freezeFacts(
  input: Pick<
    QuoteFacts,
    | 'itemName'
    | 'blankName'
    | 'sizeName'
    | 'colourName'
    | 'vinylNames'
    | 'widthMm'
    | 'each'
    | 'readyDay'
    | 'wagePerHour'
    | 'toBuy'
    | 'options'
    | 'optionIndexes'
  > & { readonly cost: ItemCost },
): QuoteFacts {
  const { cost, ...facts } = input;
  return {
    ...facts,
    quantity: cost.quantity,
    total: minor(computeQuoteTotal(facts.each, cost.quantity).value),
    costEach: cost.withRisk.value,
    handsSeconds: cost.handsSeconds.value,
    lines: cost.lines.map((line) => ({ label: line.figure.label, total: line.total })),
  };
}

/** How the cost of one has changed since a quote was given, and by which lines most; empty where it has not. */
export type Drift = {
  readonly was: number;
  readonly now: Figure;
  readonly because: readonly { readonly label: string; readonly was: number; readonly now: number }[];
};
export function compareWithFacts(facts: QuoteFacts, cost: ItemCost): Drift | null {
  if (facts.costEach === cost.withRisk.value) return null;
  const before = new Map(facts.lines.map((line) => [line.label, line.total]));
  const after = new Map(cost.lines.map((line) => [line.figure.label, line.total as number]));
  const because = [...new Set([...before.keys(), ...after.keys()])]
    .map((label) => ({ label, was: before.get(label) ?? 0, now: after.get(label) ?? 0 }))
    .filter((line) => line.was !== line.now)
    .sort((a, b) => Math.abs(b.now - b.was) - Math.abs(a.now - a.was));
  return { was: facts.costEach, now: cost.withRisk, because };
}
