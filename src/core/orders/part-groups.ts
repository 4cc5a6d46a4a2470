// The parts of an order by what they have in common: how far each group is.

import { groupBy } from '../units';
import { PART_STATES, type PartNow, type PartState } from './part';

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

const countStates = (parts: readonly PartNow[]): PartGroup['states'] =>
  Object.fromEntries(
    PART_STATES.map((state) => [state, parts.filter((part) => part.state === state).length]),
  ) as PartGroup['states'];
