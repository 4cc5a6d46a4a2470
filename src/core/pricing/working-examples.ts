// The worked example, and how its workings are read, for tests of prices.

import { printWorking } from '../../../test/print-working';
import { PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { computeItemCost, type ItemCost } from '../costing';
import type { ShopFigures } from '../materials';
import type { Figure, Result } from '../units';

export function costIn(shop: ShopFigures): ItemCost {
  const made = computeItemCost(PLAIN_ITEM, 10, shop);
  if (!made.ok) throw new Error(made.problem.kind);
  return made.value;
}
/** 4.61 cash, 5.96 full, 6.16 with risk; 270 s of hands. */
export const cost = costIn(PLAIN_SHOP);

export const stepsOf = (found: Figure | null, depth = 1): string[] =>
  found
    ? printWorking(found, depth)
        .replaceAll(/, (?:computed|shop|typed|default)/g, '')
        .split('\n')
    : [];
/** Of a price that was solved for: its steps without how they came about. */
export function solved(found: Result<Figure, { readonly kind: string }>): string[] {
  if (!found.ok) throw new Error(found.problem.kind);
  return stepsOf(found.value).map((line) => line.replace(/ \(.*\)$/, ''));
}
