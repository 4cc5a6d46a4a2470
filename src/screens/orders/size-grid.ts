// Lines that differ in size and colour alone, as a grid: how many of each.

import type { OrderLineForm } from './line-form';

/** Pieces of one size and colour. */
export type GridCell = { readonly sizeName: string; readonly colourName: string; readonly quantity: number };

/** Of one item with the same options, texts, price and note; lists of names are no part of it. */
const isAlike = (one: OrderLineForm, other: OrderLineForm): boolean => keyOfKind(one) === keyOfKind(other);

const keyOfKind = ({ itemId, options, texts, note, each, roster }: OrderLineForm): string =>
  JSON.stringify([
    Number(itemId),
    [...options].sort((a, b) => a - b),
    Object.entries(texts).filter(([, text]) => text.trim() !== ''),
    note,
    each,
    roster === null,
  ]);

/** All pieces that are of the same kind as those of the line at `index`. */
export const readGrid = (lines: readonly OrderLineForm[], index: number): readonly GridCell[] =>
  lines
    .filter((line) => isAlike(line, lines[index]!))
    .map(({ sizeName, colourName, quantity }) => ({ sizeName, colourName, quantity: Number(quantity) }));

/**
 * The lines with these pieces in place of those of the same kind. A line that was of that size and colour stays what it
 * was; without any piece, the line at `index` stays alone.
 */
export function writeGrid(
  lines: readonly OrderLineForm[],
  index: number,
  cells: readonly GridCell[],
): readonly OrderLineForm[] {
  const kind = lines[index]!;
  const alike = lines.filter((line) => isAlike(line, kind));
  const own = cells
    .filter(({ quantity }) => quantity > 0)
    .map((cell): OrderLineForm => {
      const before = alike.find((line) => line.sizeName === cell.sizeName && line.colourName === cell.colourName);
      return { ...kind, ...cell, lineId: before?.lineId ?? null };
    });
  if (own.length === 0) return lines;
  const first = lines.findIndex((line) => isAlike(line, kind));
  return [...lines.slice(0, first), ...own, ...lines.slice(first).filter((line) => !isAlike(line, kind))];
}
