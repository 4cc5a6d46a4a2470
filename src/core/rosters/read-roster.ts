// A customer's list of names as a table: a CSV file, cells pasted from a table, or lines of a message. Every cell stays
// just as it was written.

import Papa from 'papaparse';
import { numberLines } from '../buying/price-list';
import { fail, succeed, type Result } from '../units';

export type RosterTable = {
  /** Null where the list begins with its first name. */
  readonly header: readonly string[] | null;
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
};
export type RosterProblem =
  | { readonly kind: 'empty-list' }
  | { readonly kind: 'open-quote'; readonly line: number }
  | { readonly kind: 'too-many-rows'; readonly rows: number; readonly limit: number };

export const ROSTER_ROW_LIMIT = 5000;
/** So many one order holds: a longer list is taken as two. */
export const ORDER_ROW_LIMIT = 1000;
const DELIMITERS = ['\t', ';', ',', '|'];

/**
 * The rows of a list that say anything, with the line each began on, from 1. `sizes`: of the blank, by which lines such
 * as "Marlowe 7 XL" are told apart. Problems: nothing in it, a quotation that never ends, more than
 * `ROSTER_ROW_LIMIT` rows.
 */
export function readRoster(source: string, sizes: readonly string[]): Result<RosterTable, RosterProblem> {
  const text = source.replace(/^\uFEFF/, '');
  if (text.trim() === '') return fail({ kind: 'empty-list' });
  const lines = readCells(text, sizes);
  if (!lines.ok) return lines;
  const filled = lines.value.filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  const [first, ...others] = filled;
  const hasHeader = first !== undefined && others.length > 0 && isHeader(first.cells);
  const rows = hasHeader ? others : filled;
  if (rows.length > ROSTER_ROW_LIMIT)
    return fail({ kind: 'too-many-rows', rows: rows.length, limit: ROSTER_ROW_LIMIT });
  return succeed({ header: hasHeader ? first.cells : null, rows });
}

type Line = RosterTable['rows'][number];

function readCells(text: string, sizes: readonly string[]): Result<readonly Line[], RosterProblem> {
  const delimiter = findDelimiter(text);
  if (delimiter === null)
    return succeed(text.split(/\r\n|\r|\n/).map((cell, at) => ({ line: at + 1, cells: splitMessage(cell, sizes) })));
  const { data, errors } = Papa.parse<string[]>(text, { delimiter });
  const quote = errors.find((error) => error.code === 'MissingQuotes');
  if (quote) return fail({ kind: 'open-quote', line: (quote.row ?? 0) + 1 });
  const lines = numberLines(data);
  return succeed(data.map((cells, at) => ({ line: lines[at]!, cells })));
}

/** What stands in most lines; null for a plain list of lines. A comma in one name of many makes no table. */
function findDelimiter(text: string): string | null {
  const lines = text.split(/\r\n|\r|\n/).filter((line) => line.trim() !== '');
  const share = (delimiter: string) => lines.filter((line) => line.includes(delimiter)).length / lines.length;
  return DELIMITERS.find((delimiter) => share(delimiter) > MOST_LINES) ?? null;
}
const MOST_LINES = 0.6;

/** "3. Marlowe 7 XL" as a name, a number and a size; what stands before the name is a number of the list. */
function splitMessage(line: string, sizes: readonly string[]): readonly string[] {
  const plain = line.replace(/^\s*\d{1,4}[.)]\s+/, '');
  const known = new Set(sizes.map((size) => size.toLowerCase()));
  const cells: string[] = [];
  let rest = plain;
  for (;;) {
    const last = /^(.*\S)\s+(\S+)\s*$/u.exec(rest);
    if (!last) break;
    const [, before, word] = last;
    if (!known.has(word!.toLowerCase()) && !NUMBER_WORDS.test(word!) && !looksLikeSize(word!)) break;
    cells.unshift(word!.replace(/^#/, ''));
    rest = before!.replace(/\s+[-–—:,]$/u, '');
  }
  return [rest, ...cells];
}

/** Numbers, also where a letter that looks like a digit slipped in. */
const NUMBER_WORDS = /^#?(?=.*\d)[\dOoIl|S]{1,3}$/;
/** Sizes as they are written everywhere, though this blank may not come in them. */
const SIZE_WORDS = /^(x{1,5}[sl]|\d{1,2}x[sl]|[sml])$/i;
export const looksLikeSize = (word: string): boolean => SIZE_WORDS.test(word);

/** What lists are headed with, here and among neighbours. */
const HEADING_WORDS = [
  '((sur|last|first|full|family|nick)[\\s-]*)?names?',
  'vorname|nachname',
  'player|rider|member',
  'numbers?|no|nr|nummer|num|#|seat',
  'sizes?|gr[öo](ß|ss)e',
  'colou?r|farbe',
  'notes?|remark|text',
  'qty|quantity|count',
];
const HEADINGS = new RegExp(`^(${HEADING_WORDS.join('|')})[.:]*$`, 'iu');

/** Half of what is filled in reads like headings, and nothing is a number. */
function isHeader(cells: readonly string[]): boolean {
  const filled = cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
  return (
    filled.every((cell) => !/^#?\d/.test(cell)) &&
    filled.filter((cell) => HEADINGS.test(cell)).length * 2 >= filled.length
  );
}
