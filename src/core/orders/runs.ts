// Which lines of an order are made in one go: a line by itself, and all names of an item together.

import { groupBy } from '../units';

type RunLine = {
  readonly id: number;
  readonly itemId: number;
  /** Places in the options of the item. */
  readonly options: readonly number[];
  readonly texts: readonly unknown[];
};

/** The same for lines of one order that are made in one go. */
export const keyOfRun = ({ id, itemId, options, texts }: RunLine): string =>
  texts.length > 0 ? `names-${itemId}-${[...options].sort((a, b) => a - b).join('+')}` : `line-${id}`;

/** Lines by their runs, in the order of their first lines. */
export const groupRuns = <Line extends RunLine>(lines: readonly Line[]): readonly (readonly Line[])[] => [
  ...groupBy(lines, keyOfRun).values(),
];
