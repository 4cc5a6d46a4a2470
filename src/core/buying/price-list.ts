// A supplier's price list from a CSV file: its columns guessed and matched, every line read or refused by its number,
// and what it would change.

import Papa from 'papaparse';
import { decodeText } from '../artwork/decode-text';
import { fail, fromMajor, succeed, type Minor, type Result } from '../units';
import { LIST_COLUMNS, type ColumnMatch, type ListColumn } from './list-columns';
import type { PriceBreak } from './offer';

export type ListTable = {
  readonly header: readonly string[];
  /** With the line of the file each began on. */
  readonly rows: readonly {
    readonly line: number;
    readonly cells: readonly string[];
  }[];
  readonly delimiter: string;
};
export type TableProblem =
  | { readonly kind: 'empty-list' }
  | { readonly kind: 'no-header' }
  | { readonly kind: 'too-many-lines'; readonly lines: number; readonly limit: number }
  | { readonly kind: 'open-quote'; readonly line: number };
const LIST_LINE_LIMIT = 200_000;

/**
 * The text of a list's bytes: UTF-16 by its mark, UTF-8, and where that is broken, the old Western code page of
 * spreadsheets.
 */
export function decodeList(bytes: Uint8Array): string {
  // Marks of UTF-16, which no other text begins with.
  if ((bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff)) return decodeText(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch (error) {
    if (error instanceof TypeError) return new TextDecoder('windows-1252').decode(bytes);
    throw error;
  }
}

/**
 * The cells of a list, whatever separates them. Problems: nothing in it, one column only, a quotation that never ends.
 */
export function readListTable(text: string): Result<ListTable, TableProblem> {
  if (text.trim() === '') return fail({ kind: 'empty-list' });
  const { data, errors, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: [';', ',', '\t', '|'],
    skipEmptyLines: false,
  });
  const quote = errors.find((error) => error.code === 'MissingQuotes');
  if (quote) return fail({ kind: 'open-quote', line: lineOf(data, quote.row ?? 0) });
  if (data.length > LIST_LINE_LIMIT)
    return fail({ kind: 'too-many-lines', lines: data.length, limit: LIST_LINE_LIMIT });
  // A title may stand above the header: that is the first line with several filled cells.
  const at = data.findIndex((row) => row.filter((cell) => cell.trim() !== '').length >= 2);
  if (at === -1) return fail({ kind: 'no-header' });
  const lines = numberLines(data);
  const rows = data
    .slice(at + 1)
    .map((cells, index) => ({ line: lines[at + 1 + index]!, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
  return succeed({ header: data[at]!.map((cell) => cell.trim()), rows, delimiter: meta.delimiter });
}

/** On which line of the file each row begins, from 1: cells in quotes may hold line breaks. */
export function numberLines(rows: readonly (readonly string[])[]): readonly number[] {
  let line = 1;
  return rows.map((cells) => {
    const own = line;
    line += 1 + cells.reduce((sum, cell) => sum + (cell.match(/\n/g)?.length ?? 0), 0);
    return own;
  });
}

const lineOf = (data: readonly (readonly string[])[], row: number): number =>
  1 +
  data
    .slice(0, row)
    .reduce((sum, cells) => sum + 1 + cells.reduce((all, cell) => all + (cell.match(/\n/g)?.length ?? 0), 0), 0);

/** Words that head each column in lists, in the languages of neighbours, too. */
const HEADINGS: Readonly<Record<ListColumn, RegExp>> = {
  code: /^(code|art(ikel|icle|\.)?[\s.-]*(nr|no|num|code)?\.?|item( code| no)?|sku|ref(erence)?|nummer|number|bestell.*)$/i,
  name: /^(name|description|bezeichnung|product|produkt|titel|title|article name|artikelname)$/i,
  thing: /^(for|thing|vinyl|material|colou?r|farbe|stock name|is our)$/i,
  count: /^(count|pieces|qty|quantity|rolls|sheets|stück|stueck|anzahl|menge|pack( of)?|units)$/i,
  width: /^(width|breite|w)\b/i,
  length: /^(length|länge|laenge|l)\b/i,
  price: /^(price|preis|cost|net|netto|unit price|prix)\b/i,
  from: /^(from|ab|from packs|min(imum)?( qty)?|break|staffel.*)$/i,
};

export function guessColumns(header: readonly string[]): ColumnMatch {
  const taken = new Set<number>();
  const find = (column: ListColumn): number | null => {
    const index = header.findIndex((title, at) => !taken.has(at) && HEADINGS[column].test(title.trim()));
    if (index === -1) return null;
    taken.add(index);
    return index;
  };
  return Object.fromEntries(LIST_COLUMNS.map((column) => [column, find(column)])) as ColumnMatch;
}

type ListPart = {
  /** Name of the thing on the shelf, as the list says it; empty where it says none. */
  readonly thing: string;
  readonly count: number;
  readonly widthMm: number | null;
  readonly lengthMm: number | null;
};
export type ListedOffer = {
  readonly code: string;
  readonly name: string;
  readonly price: Minor;
  readonly parts: readonly ListPart[];
  readonly breaks: readonly PriceBreak[];
  readonly line: number;
};
export type LineProblem = {
  readonly line: number;
  readonly column: ListColumn;
  readonly kind: 'missing' | 'no-number' | 'negative' | 'no-length' | 'break-without-price';
  readonly text: string;
};
export type ReadList = { readonly offers: readonly ListedOffer[]; readonly unreadable: readonly LineProblem[] };

const MM_PER: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: 25.4,
  '"': 25.4,
  inch: 25.4,
  ft: 304.8,
  yd: 914.4,
};

/** A length in mm: with its unit, or in `unit`. Null for what is none. */
export function parseListLength(text: string, unit: 'mm' | 'cm' | 'm' | 'in', decimal: ',' | '.'): number | null {
  const match = /^([\d.,\s']+?)\s*(mm|cm|m|inch|in|"|ft|yd)?\.?$/i.exec(text.trim());
  const value = match ? parseListNumber(match[1]!, decimal) : null;
  return value === null || value <= 0 ? null : value * MM_PER[(match![2] ?? unit).toLowerCase()]!;
}

/**
 * A number with grouping by the other sign, spaces or apostrophes; a currency beside it is passed over. Null for what
 * is none.
 */
export function parseListNumber(text: string, decimal: ',' | '.'): number | null {
  const bare = text
    .replace(/[\s\u00a0\u202f']/g, '')
    .replace(/^(?:[A-Z]{3}|[€$£¥]|Fr\.?)|(?:[A-Z]{3}|[€$£¥]|Fr\.?|,-|\.-)$/gi, '');
  if (!/^[+-]?[\d.,]*\d[\d.,]*$/.test(bare)) return null;
  const other = decimal === ',' ? '.' : ',';
  const [whole = '', fraction, ...more] = bare.split(decimal);
  if (more.length > 0 || (fraction !== undefined && fraction.includes(other))) return null;
  const groups = whole.split(other);
  if (
    groups.length > 1 &&
    (groups[0]!.replace(/[+-]/, '').length > 3 || groups.slice(1).some((group) => group.length !== 3))
  )
    return null;
  const value = Number(`${groups.join('') || '0'}.${fraction ?? ''}`);
  return Number.isFinite(value) ? value : null;
}

/** Which sign parts the cents in these prices: the last one that has one or two digits behind it decides. */
export function guessDecimal(prices: readonly string[]): ',' | '.' {
  let commas = 0,
    points = 0;
  for (const price of prices) {
    const match = /([.,])(\d{1,2})(?!\d)(?!.*[.,]\d)/.exec(price);
    if (match?.[1] === ',') commas++;
    if (match?.[1] === '.') points++;
  }
  return commas > points ? ',' : '.';
}

export type ReadOptions = {
  readonly match: ColumnMatch;
  readonly decimal: ',' | '.';
  readonly lengthUnit: 'mm' | 'cm' | 'm' | 'in';
  /** Of the prices: says how many digits its minor units have. */
  readonly currency: string;
};

type OpenOffer = {
  readonly code: string;
  readonly name: string;
  readonly price: Minor;
  readonly parts: ListPart[];
  readonly breaks: PriceBreak[];
  readonly line: number;
};
type Cell = (column: ListColumn) => string;
type Refusal = Pick<LineProblem, 'column' | 'kind'>;

const LONGEST_QUOTED = 60;
const refuse = (column: ListColumn, kind: LineProblem['kind']): Result<never, Refusal> => fail({ column, kind });

/** Lines of the same code are one offer: further things in the pack (a bundle), or its price from so many packs on. */
export function readPriceList(table: ListTable, options: ReadOptions): ReadList {
  const offers = new Map<string, OpenOffer>();
  const unreadable: LineProblem[] = [];
  for (const { line, cells } of table.rows) {
    const cell: Cell = (column) => {
      const at = options.match[column];
      return at === null ? '' : (cells[at] ?? '');
    };
    const read = readLine(cell, line, offers, options);
    if (!read.ok) unreadable.push({ line, ...read.problem, text: cell(read.problem.column).slice(0, LONGEST_QUOTED) });
  }
  return { offers: [...offers.values()], unreadable };
}

/** Adds the line to its offer, or says which of its cells can't be read. */
function readLine(
  cell: Cell,
  line: number,
  offers: Map<string, OpenOffer>,
  options: ReadOptions,
): Result<null, Refusal> {
  const code = cell('code');
  if (code === '') return refuse('code', 'missing');
  const known = offers.get(code);
  const price = readPrice(cell, options);
  if (!price.ok) return price;
  const from = readCount(cell, 'from', options);
  if (!from.ok) return from;
  if (from.value > 1) {
    if (!known || price.value === null) return refuse('from', 'break-without-price');
    known.breaks.push({ fromPacks: from.value, price: price.value });
    return succeed(null);
  }
  const name = cell('name') || known?.name || '';
  if (name === '') return refuse('name', 'missing');
  const part = readPart(cell, options);
  if (!part.ok) return part;
  if (known) known.parts.push(part.value);
  else if (price.value === null) return refuse('price', 'missing');
  else offers.set(code, { code, name, price: price.value, parts: [part.value], breaks: [], line });
  return succeed(null);
}

/** Null where the cell is empty: a further thing in the pack has no price of its own. */
function readPrice(cell: Cell, { decimal, currency }: ReadOptions): Result<Minor | null, Refusal> {
  if (cell('price') === '') return succeed(null);
  const price = parseListNumber(cell('price'), decimal);
  if (price === null) return refuse('price', 'no-number');
  return price < 0 ? refuse('price', 'negative') : succeed(fromMajor(price, currency));
}

/** A whole number from 1; 1 where the cell is empty. */
function readCount(cell: Cell, column: 'from' | 'count', { decimal }: ReadOptions): Result<number, Refusal> {
  const count = cell(column) === '' ? 1 : parseListNumber(cell(column), decimal);
  return count === null || count < 1 || !Number.isInteger(count) ? refuse(column, 'no-number') : succeed(count);
}

/** What is in the pack. A width and a length stand together, or neither. */
function readPart(cell: Cell, options: ReadOptions): Result<ListPart, Refusal> {
  const { lengthUnit, decimal } = options;
  const count = readCount(cell, 'count', options);
  if (!count.ok) return count;
  const lengthOf = (column: 'width' | 'length') =>
    cell(column) === '' ? null : parseListLength(cell(column), lengthUnit, decimal);
  const widthMm = lengthOf('width');
  const lengthMm = lengthOf('length');
  if ((cell('width') !== '' && widthMm === null) || (widthMm === null && lengthMm !== null))
    return refuse('width', 'no-length');
  if ((cell('length') !== '' && lengthMm === null) || (widthMm !== null && lengthMm === null))
    return refuse('length', 'no-length');
  return succeed({ thing: cell('thing'), count: count.value, widthMm, lengthMm });
}

/** A line of CSV that no spreadsheet runs: what begins like a formula is written as text. */
export function writeCsv(header: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  const safe = (value: string | number): string | number =>
    typeof value === 'string' && /^[\s\u00a0]*[=+\-@\t\r]/.test(value) ? `'${value}` : value;
  return Papa.unparse(
    { fields: [...header], data: rows.map((row) => row.map(safe)) },
    { delimiter: ';', newline: '\r\n' },
  );
}
