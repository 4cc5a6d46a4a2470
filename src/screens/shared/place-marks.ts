// Where the words of the marks on a scale stand, so that none covers another or is cut off at an end.

export type Placed<Mark> = {
  readonly mark: Mark;
  /** Where its line stands, px from the left. */
  readonly x: number;
  /** From 0, the top one. */
  readonly row: number;
  /** Its words lie between these, px from the left. */
  readonly from: number;
  readonly to: number;
};

/** Between a line and its words, px. */
const ASIDE = 5;

/**
 * Marks from left to right, each in the row where its words and its line cross the fewest others. Words stand right of
 * their line, left of it near the right end, and within the scale where it is too narrow for either. There are as many
 * rows as marks at most, so words never lie over words.
 */
export function placeMarks<Mark>(
  marks: readonly { readonly mark: Mark; readonly x: number; readonly length: number }[],
  width: number,
): { readonly placed: readonly Placed<Mark>[]; readonly rows: number } {
  const placed: Placed<Mark>[] = [];
  for (const { mark, x, length } of [...marks].sort((a, b) => a.x - b.x)) {
    const ways = marks.flatMap((_, row) =>
      listStarts(x, length, width).map((from) => ({ mark, x, row, from, to: from + length })),
    );
    const costs = ways.map(
      (way) => way.row * ROW_COST + placed.reduce((cost, other) => cost + countCrossings(way, other), 0),
    );
    placed.push(ways[costs.indexOf(Math.min(...costs))]!);
  }
  return { placed, rows: Math.max(0, ...placed.map((one) => one.row)) + 1 };
}

/** A row more is better than a crossing. */
const ROW_COST = 0.01;

function listStarts(x: number, length: number, width: number): readonly number[] {
  const right = x + ASIDE;
  const left = x - ASIDE - length;
  const within = [...(right + length <= width ? [right] : []), ...(left >= 0 ? [left] : [])];
  return within.length > 0 ? within : [Math.max(0, Math.min(right, width - length))];
}

/**
 * Words over words are worst; a line runs from its row down to the axis and may pass through the words of lower rows.
 */
function countCrossings<Mark>(a: Placed<Mark>, b: Placed<Mark>): number {
  const words = a.row === b.row && a.from < b.to && b.from < a.to ? 100 : 0;
  const through = (line: Placed<Mark>, text: Placed<Mark>) =>
    line.row < text.row && line.x > text.from && line.x < text.to ? 1 : 0;
  return words + through(a, b) + through(b, a);
}
