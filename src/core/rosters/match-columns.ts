// Which column of a list holds what: guessed from its headings and from what stands in it, to be put right by the seller.

import type { Lettering } from '../artwork';
import { looksLikeSize, type RosterTable } from './read-roster';
import { findSizeName } from '../materials';

/** What a list of names is for: the texts of an item, and the sizes and colours of its blank. */
export type RosterItem = {
  readonly letterings: readonly Lettering[];
  readonly sizes: readonly string[];
  readonly colours: readonly string[];
};
/** The column of each, from 0; null where the list doesn't say. `texts`: by the name of the text. */
export type RosterMatch = {
  readonly texts: Readonly<Record<string, number | null>>;
  readonly size: number | null;
  readonly colour: number | null;
  readonly note: number | null;
};

export const countColumns = ({ header, rows }: RosterTable): number =>
  Math.max(header?.length ?? 0, ...rows.map(({ cells }) => cells.length), 0);

export function matchColumns(table: RosterTable, item: RosterItem): RosterMatch {
  const free = new Set(Array.from({ length: countColumns(table) }, (_, at) => at));
  const take = (fits: (column: number) => boolean): number | null => {
    const column = [...free].find(fits) ?? null;
    if (column !== null) free.delete(column);
    return column;
  };
  const headed = (wanted: RegExp) => (column: number) => wanted.test(table.header?.[column]?.trim() ?? '');
  const holds = (names: readonly string[], isAlike: (cell: string) => boolean = () => false) => {
    const known = new Set(names.map((name) => name.toLowerCase()));
    return (column: number) => mostCells(table, column, (cell) => known.has(cell.toLowerCase()) || isAlike(cell));
  };
  // Letters that look like digits are a slip of whoever wrote the list.
  const isNumbers = (column: number) => mostCells(table, column, (cell) => /^#?(?=.*\d)[\dOoIl|SB]{1,4}$/.test(cell));
  const size =
    take(headed(/^(sizes?|gr[öo](ß|ss)e)$/iu)) ??
    (item.sizes.length > 1 ? take(holds(item.sizes, looksLikeSize)) : null);
  const colour = take(headed(/^(colou?r|farbe)$/iu)) ?? (item.colours.length > 1 ? take(holds(item.colours)) : null);
  const note = take(headed(/^(notes?|remark)$/iu));
  const byName = new Map(item.letterings.map(({ label }) => [label, take(headed(exactly(label)))]));
  // Numbers first: what is left over for names may hold anything.
  const inTurn = [...item.letterings].sort((a, b) => Number(b.kind === 'number') - Number(a.kind === 'number'));
  for (const { label, kind } of inTurn)
    if (byName.get(label) === null) byName.set(label, take(kind === 'number' ? isNumbers : (at) => !isNumbers(at)));
  return { texts: Object.fromEntries(byName), size, colour, note };
}

const exactly = (label: string): RegExp => new RegExp(`^${label.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}$`, 'iu');

/** Most of what is filled in, and something is. */
function mostCells({ rows }: RosterTable, column: number, fits: (cell: string) => boolean): boolean {
  const filled = rows.map(({ cells }) => (cells[column] ?? '').trim()).filter((cell) => cell !== '');
  return filled.length > 0 && filled.filter(fits).length > filled.length * MOST;
}
const MOST = 0.6;

export type RosterRow = {
  /** In its list, from 1. */
  readonly line: number;
  /** By the name of the text: as the customer wrote it. */
  readonly given: Readonly<Record<string, string>>;
  /** By the name of the text: as it will be cut. */
  readonly texts: Readonly<Record<string, string>>;
  readonly sizeName: string;
  readonly colourName: string;
  readonly note: string;
};

/**
 * The rows by their columns. A size is written as the blank has it, where it is the same or another way to write it, a
 * colour where it is the same but for capitals; one that the list leaves out is the usual one.
 */
export function toRosterRows(
  { rows }: RosterTable,
  match: RosterMatch,
  item: RosterItem,
  usual: { readonly sizeName: string; readonly colourName: string },
): readonly RosterRow[] {
  return rows.map(({ line, cells }) => {
    const cell = (column: number | null) => (column === null ? '' : (cells[column] ?? ''));
    const given = Object.fromEntries(item.letterings.map(({ label }) => [label, cell(match.texts[label] ?? null)]));
    return {
      line,
      given,
      texts: given,
      sizeName: findSizeName(cell(match.size), item.sizes) ?? (cell(match.size).trim() || usual.sizeName),
      colourName: findSpelling(cell(match.colour), item.colours) || usual.colourName,
      note: cell(match.note).trim(),
    };
  });
}

function findSpelling(cell: string, names: readonly string[]): string {
  const wanted = cell.trim();
  return names.find((name) => name.toLowerCase() === wanted.toLowerCase()) ?? wanted;
}
