import { expect, it } from 'vitest';
import { STOCK_CAUSES } from '../core/stock';
import { LIST_COLUMNS, type LineProblem } from '../core/buying';
import { COLUMN_WORDS, describeLineProblem } from './price-lists';
import type { PrintArea } from '../core/materials';
import { describeArea, describePlacementFault } from './placement';
import { CAUSE_WORDS } from './stock';

it('every cause of the ledger and every column of a list has words of its own', () => {
  expect(new Set(STOCK_CAUSES.map((cause) => CAUSE_WORDS[cause])).size).toBe(STOCK_CAUSES.length);
  expect(new Set(LIST_COLUMNS.map((column) => COLUMN_WORDS[column])).size).toBe(LIST_COLUMNS.length);
});

it.each<[Omit<LineProblem, 'line'>, string]>([
  [{ column: 'code', kind: 'missing', text: '' }, 'No article number.'],
  [{ column: 'price', kind: 'no-number', text: 'dear' }, 'The price “dear” is no number.'],
  [{ column: 'price', kind: 'negative', text: '-1' }, 'The price “-1” is below nothing.'],
  [{ column: 'width', kind: 'no-length', text: 'wide' }, 'The width “wide” is no length.'],
  [{ column: 'length', kind: 'no-length', text: '' }, 'No length, where the other of width and length is there.'],
  [
    { column: 'from', kind: 'break-without-price', text: '3' },
    'A price from so many packs on has to stand below its article, with a price.',
  ],
])('%o', (problem, words) => {
  expect(describeLineProblem({ line: 1, ...problem })).toBe(words);
});

it('a placement and what is wrong with it are told in the shop’s measure', () => {
  const area: PrintArea = {
    name: 'left breast',
    sizeName: '',
    datum: 'shoulder seam',
    dropMm: 190,
    widthMm: 100,
    heightMm: 110,
    obstacles: [],
    curve: null,
  };
  const metric = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' } as const;
  expect(describeArea(area, metric)).toBe('left breast, 190 mm below the shoulder seam');
  expect(describePlacementFault({ kind: 'too-wide', byMm: 12, atMostMm: 100 }, area, metric)).toBe(
    '12 mm too wide for the left breast: make it 100 mm at most.',
  );
  expect(
    describePlacementFault({ kind: 'too-high', byMm: 25.4, atMostMm: 254 }, area, { ...metric, system: 'inch' }),
  ).toBe('1 in too high for the left breast: 10 in at most.');
  expect(describePlacementFault({ kind: 'obstacle', obstacle: 'zip' }, area, metric)).toContain('lies on the zip');
});
