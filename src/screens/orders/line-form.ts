// Lines of an order as a form holds them: pieces alike with their texts, or a list of names of which each row is a piece.

import { groupRuns, type LineText } from '../../core/orders';
import type { OrderableItem, OrderLineView } from '../../views/orders';

/** A row of a list of names. `lineId`: of the order's line it is already. */
type RosterFormRow = {
  readonly line: number | null;
  readonly texts: readonly LineText[];
  readonly sizeName: string;
  readonly colourName: string;
  readonly note: string;
  /** As it was agreed for this piece; null follows the shop's price. */
  readonly each: number | null;
  readonly lineId: number | null;
};
/** `source`: as it came, word for word; empty where it was typed here. */
export type RosterForm = { readonly source: string; readonly rows: readonly RosterFormRow[] };

export type OrderLineForm = {
  readonly lineId: number | null;
  readonly itemId: number;
  readonly quantity: number;
  readonly sizeName: string;
  readonly colourName: string;
  readonly options: readonly number[];
  /** By the name of the text; what is empty is not on the piece. */
  readonly texts: Readonly<Record<string, string>>;
  readonly note: string;
  /** Asked for one piece, minor units; null follows the shop's price, in a list that of each row. */
  readonly each: number | null;
  readonly roster: RosterForm | null;
};

/** A line as an item is usually made. */
export const startLine = ({ id, usualSize, usualColour }: OrderableItem): OrderLineForm => ({
  lineId: null,
  itemId: id,
  quantity: 1,
  sizeName: usualSize,
  colourName: usualColour,
  options: [],
  texts: {},
  note: '',
  each: null,
  roster: null,
});

/** The texts that an item asks for with these options. */
export function listTexts(item: OrderableItem | undefined, options: readonly number[]): OrderableItem['letterings'] {
  if (!item) return [];
  const ofOptions = new Map(item.options.map((option, at) => [option.text, at]));
  return item.letterings.filter(({ label }) => {
    const option = ofOptions.get(label);
    return option === undefined || options.includes(option);
  });
}

/** Choices hold their numbers as text. */
const toNumbers = <Line extends OrderLineForm>(line: Line) => ({
  ...line,
  each: toPrice(line.each),
  itemId: Number(line.itemId),
  quantity: Number(line.quantity),
});

/** A price that was emptied follows the shop's again; what can't be read goes as it is, to be refused. */
const toPrice = (typed: unknown): number | null => {
  if (typed === null || typed === '' || typed === undefined) return null;
  return (Number.isNaN(typed) ? UNREADABLE : typed) as number;
};
const UNREADABLE = '?';

/** The lines as the server takes them: each row of a list is a line of its own. */
export function expandLines(lines: readonly OrderLineForm[]) {
  return lines.map(toNumbers).flatMap(({ roster, texts, lineId, ...line }) => {
    if (!roster) return [{ ...line, lineId, texts: toTexts(texts), rosterRow: null as number | null }];
    return roster.rows.map((row) => ({
      ...line,
      lineId: row.lineId,
      quantity: 1,
      sizeName: row.sizeName,
      colourName: row.colourName,
      note: row.note,
      each: line.each ?? row.each,
      texts: row.texts,
      rosterRow: row.line,
    }));
  });
}

/** What was typed here is the customer's own words. */
const toTexts = (texts: Readonly<Record<string, string>>): readonly LineText[] =>
  Object.entries(texts).flatMap(([label, text]) => (text.trim() === '' ? [] : [{ label, text, given: text }]));

/** Lists as they came, one after the other; null where there is none. */
export function joinSources(lines: readonly OrderLineForm[]): string | null {
  const sources = lines.flatMap(({ roster }) => (roster && roster.source !== '' ? [roster.source] : []));
  return sources.length > 0 ? sources.join('\n\n') : null;
}

/** Lines of an order as a form holds them: names of one item become one list again. */
export const toLineForms = (lines: readonly OrderLineView[]): readonly OrderLineForm[] =>
  groupRuns(lines).flatMap((run) => (run.every(isSinglePiece) ? [toListForm(run)] : run.map(toLineForm)));

const isSinglePiece = ({ texts, quantity }: OrderLineView): boolean => texts.length > 0 && quantity === 1;

function toLineForm(line: OrderLineView): OrderLineForm {
  const { itemId, quantity, sizeName, colourName, options, note, each } = line;
  const texts = Object.fromEntries(line.texts.map(({ label, text }) => [label, text]));
  return { lineId: line.id, itemId, quantity, sizeName, colourName, options, note, each, texts, roster: null };
}

/** What each row says is its own; the rest is that of the first. */
function toListForm(run: readonly OrderLineView[]): OrderLineForm {
  const rows = run.map(({ id, texts, sizeName, colourName, note, each }): RosterFormRow => ({
    line: null,
    texts,
    sizeName,
    colourName,
    note,
    each,
    lineId: id,
  }));
  const own = { lineId: null, quantity: rows.length, note: '', each: null, texts: {} };
  return { ...toLineForm(run[0]!), ...own, roster: { source: '', rows } };
}
