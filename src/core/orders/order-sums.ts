// What the lines of an order come to before it is taken: asked at the shop's prices, and what they cost.

import { getVariantPrice, type CostProblem, type ItemCost, type Made, type VariantRule } from '../costing';
import type { PricedLine } from './terms';
import { figure, type Figure, type Minor, type Result } from '../units';

/** An item as far as an order asks for it; amounts are minor units of one piece. */
export type AskedItem = {
  readonly price: Minor;
  readonly variants: readonly VariantRule[];
  readonly options: readonly { readonly surcharge: Minor }[];
};
export type AskedLine = {
  readonly itemId: number;
  /** Whole pieces; what is not a number yet counts as none. */
  readonly quantity: number;
  readonly sizeName: string;
  readonly colourName: string;
  /** Places in the options of the item, from 0. */
  readonly options?: readonly number[] | undefined;
  /** Asked for one piece, minor units; null or left out follows the shop's price. */
  readonly each?: number | null | undefined;
};

/**
 * What one piece of a line is asked at, minor units: its own price, else (also while it is no number yet) the shop's by
 * size, colour and options.
 */
export const askEach = (line: AskedLine, item: AskedItem): number =>
  typeof line.each === 'number' && Number.isFinite(line.each)
    ? line.each
    : getVariantPrice(item, { ...line, options: line.options ?? [] });

/** What the pieces of lines of one item are asked at together, minor units. */
export const askPieces = (lines: readonly AskedLine[], item: AskedItem): number =>
  lines.reduce((sum, line) => sum + askEach(line, item) * line.quantity, 0);

/** Lines with their prices, as `computeAsk` takes them. Lines of unknown items ask nothing and are left out. */
export const priceLines = (
  lines: readonly AskedLine[],
  itemOf: (id: number) => (AskedItem & { readonly name: string }) | undefined,
): readonly PricedLine[] =>
  lines.flatMap((line) => {
    const item = itemOf(line.itemId);
    if (!item || !Number.isFinite(line.quantity)) return [];
    return [
      {
        label: `${item.name}, ${line.sizeName}, ${line.colourName}`,
        quantity: line.quantity,
        each: askEach(line, item),
      },
    ];
  });

type CostedPieces = {
  readonly quantity: number;
  readonly cost: Result<ItemCost, CostProblem> & { readonly made: Made };
};

/** What all lines cost with their risk, each as it is made; a line that can't be costed makes the sum unknown: null. */
export function sumOrder(lines: readonly CostedPieces[]): { readonly cost: Figure | null } {
  const parts: Figure[] = [];
  for (const { quantity, cost } of lines) {
    if (!cost.ok) return { cost: null };
    const each = cost.value.withRisk;
    parts.push(
      figure(
        `${quantity} × ${cost.made.sizeName}, ${cost.made.colourName}`,
        each.value * quantity,
        'money',
        'computed',
        {
          how: 'pieces × cost of one with its risk',
          parts: [each],
        },
      ),
    );
  }
  const sum = parts.reduce((all, part) => all + part.value, 0);
  return { cost: figure('Cost of the order', sum, 'money', 'computed', { how: 'sum of its lines', parts }) };
}

/** What is looked for: words in any order, in lower case. */
export const splitWords = (words: string): readonly string[] =>
  words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
