// Words for price lists: their columns, and what is wrong with a line.

import type { LineProblem, ListColumn } from '../core/buying';

export const COLUMN_WORDS: Readonly<Record<ListColumn, string>> = {
  code: 'Article number',
  name: 'Name',
  thing: 'What it is',
  count: 'Rolls, sheets, pieces',
  width: 'Width',
  length: 'Length',
  price: 'Price',
  from: 'Price from packs',
};

export function describeLineProblem({ column, kind, text }: LineProblem): string {
  const what = COLUMN_WORDS[column].toLowerCase();
  switch (kind) {
    case 'missing':
      return `No ${what}.`;
    case 'no-number':
      return `The ${what} “${text}” is no number.`;
    case 'negative':
      return `The ${what} “${text}” is below nothing.`;
    case 'no-length':
      return text === ''
        ? `No ${what}, where the other of width and length is there.`
        : `The ${what} “${text}” is no length.`;
    case 'break-without-price':
      return 'A price from so many packs on has to stand below its article, with a price.';
    default:
      return kind satisfies never;
  }
}
