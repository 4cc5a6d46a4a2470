// Orders from a channel's file: one line an article, lines of the same order number together.

import { readListTable, type TableProblem } from '../buying/price-list';
import { fail, fromMajor, readNumber, succeed, type Minor, type Result } from '../units';

export type FeedLine = {
  /** As the channel calls it. */
  readonly article: string;
  readonly quantity: number;
  /** Empty where the file says none. */
  readonly sizeName: string;
  readonly colourName: string;
  /** Asked for one; null where the file says none. */
  readonly each: Minor | null;
  /** What is to be written on it, by the heading of its column. */
  readonly texts: readonly { readonly label: string; readonly text: string }[];
};
export type FeedOrder = {
  /** The channel's own number: the same order always has the same. */
  readonly reference: string;
  readonly isCancelled: boolean;
  readonly customerName: string;
  readonly contact: string;
  /** ISO day; empty where the file says none. */
  readonly dueDay: string;
  readonly note: string;
  /** None where all that is said of it is that it is cancelled. */
  readonly lines: readonly FeedLine[];
};
export type FeedProblem =
  | TableProblem
  | { readonly kind: 'no-column'; readonly column: 'order' | 'item' }
  | { readonly kind: 'bad-cell'; readonly line: number; readonly column: FeedColumn; readonly cell: string };

/** Headings of the columns that are known; every other one is the name of a text. */
const HEADINGS = {
  order: /^(order|order (no|number|id)|reference|bestellung|bestellnummer)$/i,
  state: /^(state|status|zustand)$/i,
  customer: /^(customer|buyer|kunde)$/i,
  contact: /^(contact|e-?mail|mail|phone|telefon)$/i,
  due: /^(due|due day|ship by|fällig)$/i,
  item: /^(item|article|product|artikel)$/i,
  quantity: /^(quantity|qty|pieces|count|menge|anzahl|stück)$/i,
  size: /^(size|größe|groesse)$/i,
  colour: /^(colou?r|farbe)$/i,
  price: /^(price|price each|each|preis)$/i,
  note: /^(note|message|notiz)$/i,
} as const;
export type FeedColumn = keyof typeof HEADINGS;
export const FEED_COLUMNS = Object.keys(HEADINGS) as readonly FeedColumn[];
/** The column of each, from 0; null where the file has none. */
export type FeedColumns = Readonly<Record<FeedColumn, number | null>>;
type Shop = { readonly locale: string; readonly currency: string };

const CANCELLED = /^(cancell?ed|storniert|annulliert)$/i;
const MOST_PIECES = 2000;

/**
 * The orders of a file, in the order they stand in it. `shop`: how its amounts are read; `findColumns`: what is known of
 * a file that begins so. Problems: no table, no column for order or item, a cell that can't be read, with its line.
 * Nothing is taken of a file with a problem.
 */
export function readFeed(
  text: string,
  shop: Shop,
  findColumns: (header: readonly string[]) => FeedColumns = guessFeedColumns,
): Result<readonly FeedOrder[], FeedProblem> {
  const table = readListTable(text);
  if (!table.ok) return table;
  const { header, rows } = table.value;
  const columns = findColumns(header);
  for (const column of NEEDED_COLUMNS) if (columns[column] === null) return fail({ kind: 'no-column', column });
  const known = new Set(Object.values(columns));
  const orders = new Map<string, FeedOrder>();
  for (const { line, cells } of rows) {
    const read = readRow((column) => cells[columns[column] ?? NO_COLUMN] ?? '', shop);
    if (!read.ok) return fail({ kind: 'bad-cell', line, ...read.problem });
    const texts = header.flatMap((label, at) =>
      known.has(at) || label === '' || !cells[at] ? [] : [{ label, text: cells[at] }],
    );
    const { article, ...head } = read.value;
    const own = article === null ? [] : [{ ...article, texts }];
    const before = orders.get(head.reference);
    orders.set(head.reference, before ? joinRows(before, head, own) : { ...head, lines: own });
  }
  return succeed([...orders.values()]);
}

/** What stands in one line of an order holds for it, also where the others leave it out. */
const joinRows = (before: FeedOrder, head: Omit<FeedOrder, 'lines'>, lines: readonly FeedLine[]): FeedOrder => ({
  reference: before.reference,
  isCancelled: before.isCancelled || head.isCancelled,
  customerName: before.customerName || head.customerName,
  contact: before.contact || head.contact,
  dueDay: before.dueDay || head.dueDay,
  note: before.note || head.note,
  lines: [...before.lines, ...lines],
});

const NEEDED_COLUMNS = ['order', 'item'] as const;
const NO_COLUMN = -1;

/** The first line of a file, and how its second begins; a problem where it is no table. */
export function readFeedHeader(
  text: string,
): Result<{ readonly header: readonly string[]; readonly first: readonly string[] }, TableProblem> {
  const table = readListTable(text);
  return table.ok ? succeed({ header: table.value.header, first: table.value.rows[0]?.cells ?? [] }) : table;
}

/** Files with the same first line have the same columns. */
export const keyOfHeader = (header: readonly string[]): string =>
  header.map((title) => title.trim().toLowerCase()).join('\n');

/** By their headings. */
export function guessFeedColumns(header: readonly string[]): FeedColumns {
  const find = (known: RegExp): number | null => {
    const at = header.findIndex((title) => known.test(title.trim()));
    return at === -1 ? null : at;
  };
  return Object.fromEntries(
    Object.entries(HEADINGS).map(([column, known]) => [column, find(known)]),
  ) as unknown as FeedColumns;
}

type ReadRow = Omit<FeedOrder, 'lines'> & { readonly article: Omit<FeedLine, 'texts'> | null };
type BadCell = { readonly column: FeedColumn; readonly cell: string };

function readRow(cell: (column: FeedColumn) => string, shop: Shop): Result<ReadRow, BadCell> {
  const bad = (column: FeedColumn) => fail({ column, cell: cell(column) });
  const isCancelled = CANCELLED.test(cell('state'));
  const head = {
    reference: cell('order'),
    isCancelled,
    customerName: cell('customer'),
    contact: cell('contact'),
    dueDay: cell('due'),
    note: cell('note'),
  };
  if (head.reference === '') return bad('order');
  if (head.dueDay !== '' && !isDay(head.dueDay)) return bad('due');
  if (cell('item') === '') return isCancelled ? succeed({ ...head, article: null }) : bad('item');
  const quantity = cell('quantity') === '' ? 1 : Number(cell('quantity'));
  if (!Number.isInteger(quantity) || quantity < 1 || quantity > MOST_PIECES) return bad('quantity');
  const price = readNumber(cell('price'), { locale: shop.locale });
  if (price.kind !== 'empty' && (price.kind !== 'number' || price.value < 0)) return bad('price');
  return succeed({
    ...head,
    article: {
      article: cell('item'),
      quantity,
      sizeName: cell('size'),
      colourName: cell('colour'),
      each: price.kind === 'number' ? fromMajor(price.value, shop.currency) : null,
    },
  });
}

/** YYYY-MM-DD, of the calendar. */
const isDay = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) && new Date(`${text}T00:00:00Z`).toString() !== 'Invalid Date'
    ? new Date(`${text}T00:00:00Z`).toISOString().startsWith(text)
    : false;
