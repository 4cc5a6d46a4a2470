// The parts of an order by what they have in common: how far each group is.

import { groupBy } from '../units';
import type { PartNow, PartState } from './part';

type GroupedPart = PartNow & { readonly pieceNumber: number };
export type PartGroup = {
  readonly name: string;
  readonly parts: number;
  readonly states: Readonly<Record<PartState, number>>;
  /** Spoiled and to be cut again. */
  readonly broken: number;
  /** Numbers of the pieces, rising. */
  readonly pieces: readonly number[];
};

/** Groups in the order of their names, numbers in them by their value: 120 before 1000. */
export const groupParts = <Part extends GroupedPart>(
  parts: readonly Part[],
  nameOf: (part: Part) => string,
): readonly PartGroup[] =>
  [...groupBy(parts, nameOf)]
    .map(([name, own]) => ({
      name,
      parts: own.length,
      states: countStates(own),
      broken: own.filter(({ broken }) => broken).length,
      pieces: [...new Set(own.map(({ pieceNumber }) => pieceNumber))].sort((a, b) => a - b),
    }))
    .sort((a, b) => byName.compare(a.name, b.name));

const byName = new Intl.Collator('en', { numeric: true });

function countStates(parts: readonly PartNow[]): PartGroup['states'] {
  const count = (state: PartState) => parts.filter((part) => part.state === state).length;
  return {
    'to-cut': count('to-cut'),
    cut: count('cut'),
    weeded: count('weeded'),
    pressed: count('pressed'),
    checked: count('checked'),
  };
}
