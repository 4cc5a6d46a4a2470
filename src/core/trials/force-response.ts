// What test cuts tell of a vinyl on a machine: from which force it is cut clean, and from which its backing is marked.
// Both are known as a table of how likely each pair is, after every cut that was judged.

import type { TestResult } from '../cutting';

/**
 * How an eye and a machine stray: of the logarithm of force, the scale of a logistic; and of so many answers one says
 * nothing.
 */
const STRAY = 0.018;
const SLIP_SHARE = 0.02;
/** Below the clean window hangs at corners, and above it marks, before it is not through, or through. Share of force. */
const HANGS_OVER = 0.12;
const MARKS_OVER = 0.17;
/** How likely it is that nothing lies between too little and too much, before anything was cut. */
const NO_WINDOW_SHARE = 0.1;
/** Else the window is about this wide, as a logarithm: 1.4 times the force; a third of them narrower or wider by 1.8. */
const USUAL_WIDTH = Math.log(1.4);
const WIDTH_STRAY = Math.log(1.8);

const LOW_STEP = 0.016;
const WIDTHS = [0, ...Array.from({ length: 20 }, (_, step) => 0.02 * 1.2 ** step)];

/** What is known before the first cut: about the middle of the window, grams, and how sure, as a logarithm. */
export type ForceBelief = { readonly grams: number; readonly stray: number };
/** What came out at which force. Grams. */
export type ForceCut = { readonly forceGrams: number; readonly result: TestResult };

/** How likely each pair of a least clean force and a width of the window is; all logarithms of grams. */
export type ForceTable = {
  readonly lows: readonly number[];
  readonly widths: readonly number[];
  /** By low, then by width; they sum to 1. */
  readonly shares: Float64Array;
};

/** Four standard deviations to both sides: beyond there is nothing. */
const REACH = 4;

export function startTable({ grams, stray }: ForceBelief): ForceTable {
  const middle = Math.log(grams);
  const widest = WIDTHS.at(-1)!;
  const from = middle - REACH * stray - widest / 2;
  const count = Math.ceil((2 * REACH * stray + widest / 2) / LOW_STEP) + 1;
  const lows = Array.from({ length: count }, (_, step) => from + step * LOW_STEP);
  const shares = new Float64Array(lows.length * WIDTHS.length);
  lows.forEach((low, row) =>
    WIDTHS.forEach((width, column) => {
      const off = (low + width / 2 - middle) / stray;
      shares[row * WIDTHS.length + column] = Math.exp(-(off * off) / 2) * weighWidth(width, column);
    }),
  );
  return normalise({ lows, widths: WIDTHS, shares });
}

/** Widths stand closer where they are small: each counts for as much as lies about it. */
function weighWidth(width: number, column: number): number {
  if (width === 0) return NO_WINDOW_SHARE;
  return (1 - NO_WINDOW_SHARE) * density(width) * (width - (WIDTHS[column - 1] ?? 0)) * 0.9;
}
const density = (width: number): number => {
  const off = Math.log(width / USUAL_WIDTH) / WIDTH_STRAY;
  return Math.exp(-(off * off) / 2) / (width * WIDTH_STRAY * Math.sqrt(2 * Math.PI));
};

/** After one more cut. */
export function learnCut(table: ForceTable, { forceGrams, result }: ForceCut): ForceTable {
  const at = Math.log(forceGrams);
  const shares = table.shares.slice();
  forEachPair(table, (low, width, index) => {
    shares[index]! *= chanceOf(result, at, low, width);
  });
  return prune(normalise({ ...table, shares }));
}

/** Rows at both ends that hold next to nothing are left out: the table gets smaller as more is known. */
function prune(table: ForceTable): ForceTable {
  const { lows, widths, shares } = table;
  const sums = lows.map((_, row) =>
    shares.subarray(row * widths.length, (row + 1) * widths.length).reduce((sum, share) => sum + share, 0),
  );
  const first = sums.findIndex((sum) => sum > NEGLIGIBLE);
  const last = sums.findLastIndex((sum) => sum > NEGLIGIBLE);
  return normalise({
    widths,
    lows: lows.slice(first, last + 1),
    shares: shares.slice(first * widths.length, (last + 1) * widths.length),
  });
}

/** How likely that result is at that force, were the window known: `at` and `low` are logarithms of grams. */
function chanceOf(result: TestResult, at: number, low: number, width: number): number {
  return SLIP_SHARE / RESULTS + (1 - SLIP_SHARE) * strictChance(result, at, low, low + width);
}
const RESULTS = 5;

function strictChance(result: TestResult, at: number, low: number, high: number): number {
  switch (result) {
    case 'shallow':
      return 1 - above(at, low - HANGS_OVER);
    case 'hangs':
      return above(at, low - HANGS_OVER) - above(at, low);
    case 'clean':
      return above(at, low) - above(at, high);
    case 'marks':
      return above(at, high) - above(at, high + MARKS_OVER);
    case 'through':
      return above(at, high + MARKS_OVER);
    default:
      return result satisfies never;
  }
}
const above = (at: number, edge: number): number => 1 / (1 + Math.exp(-(at - edge) / STRAY));

/** How likely a result was, by all that is known. */
export function chanceOfResult(table: ForceTable, { forceGrams, result }: ForceCut): number {
  const at = Math.log(forceGrams);
  let sum = 0;
  forEachPair(table, (low, width, index) => {
    sum += table.shares[index]! * chanceOf(result, at, low, width);
  });
  return sum;
}

/** How likely it is that a force stands clean with so much room to both sides. `room`: share of the force, 0.05 for 5 %. */
export function chanceOfRoom(table: ForceTable, forceGrams: number, room: number): number {
  const at = Math.log(forceGrams);
  const side = Math.log(1 + room);
  let sum = 0;
  forEachPair(table, (low, width, index) => {
    if (low + side <= at && at <= low + width - side) sum += table.shares[index]!;
  });
  return sum;
}

/** How likely the window is at least so wide: `ratio` of its most to its least force. */
export function chanceOfWidth(table: ForceTable, ratio: number): number {
  const least = Math.log(ratio);
  let sum = 0;
  forEachPair(table, (_low, width, index) => {
    if (width >= least) sum += table.shares[index]!;
  });
  return sum;
}

/** How likely the least clean force lies above so many grams. */
export function chanceOfMore(table: ForceTable, grams: number): number {
  const edge = Math.log(grams);
  let sum = 0;
  forEachPair(table, (low, _width, index) => {
    if (low > edge) sum += table.shares[index]!;
  });
  return sum;
}

export type ForceRange = { readonly low: number; readonly middle: number; readonly high: number };
/** Where the window begins and ends, grams: the middle, and between what 90 % lie. Windows that are none left out. */
export function describeWindow(table: ForceTable): { readonly from: ForceRange; readonly to: ForceRange } {
  const from: [number, number][] = [];
  const to: [number, number][] = [];
  forEachPair(table, (low, width, index) => {
    if (width === 0) return;
    from.push([low, table.shares[index]!]);
    to.push([low + width, table.shares[index]!]);
  });
  return { from: findRange(from), to: findRange(to) };
}

function findRange(pairs: [number, number][]): ForceRange {
  pairs.sort((a, b) => a[0] - b[0]);
  const all = pairs.reduce((sum, [, share]) => sum + share, 0);
  const at = (wanted: number): number => {
    let sum = 0;
    for (const [value, share] of pairs) {
      sum += share;
      if (sum >= wanted * all) return Math.exp(value);
    }
    return Math.exp(pairs.at(-1)?.[0] ?? 0);
  };
  return { low: at(0.05), middle: at(0.5), high: at(0.95) };
}

/** How much a cut at that force is expected to tell, nats: the mutual information of its result and the window. */
export function tellOf({ lows, widths, shares }: ForceTable, forceGrams: number): number {
  const at = Math.log(forceGrams);
  const all = new Float64Array(RESULTS);
  let own = 0;
  for (let row = 0; row < lows.length; row += 1) {
    const low = lows[row]!;
    const hangs = above(at, low - HANGS_OVER);
    const free = above(at, low);
    for (let column = 0; column < widths.length; column += 1) {
      const share = shares[row * widths.length + column]!;
      if (share < NEGLIGIBLE) continue;
      const high = low + widths[column]!;
      const marked = above(at, high);
      const through = above(at, high + MARKS_OVER);
      own += share * addChances(all, share, [1 - hangs, hangs - free, free - marked, marked - through, through]);
    }
  }
  return all.reduce((told, chance) => told - chance * Math.log(chance), own);
}
const NEGLIGIBLE = 1e-7;

/** Adds what each result is likely to be to `all`; answers with how sure the result is, nats below 0. */
function addChances(all: Float64Array, share: number, strict: readonly number[]): number {
  let sum = 0;
  for (let result = 0; result < RESULTS; result += 1) {
    const chance = SLIP_SHARE / RESULTS + (1 - SLIP_SHARE) * strict[result]!;
    all[result]! += share * chance;
    sum += chance * Math.log(chance);
  }
  return sum;
}

function forEachPair({ lows, widths }: ForceTable, visit: (low: number, width: number, index: number) => void): void {
  for (let row = 0; row < lows.length; row += 1)
    for (let column = 0; column < widths.length; column += 1)
      visit(lows[row]!, widths[column]!, row * widths.length + column);
}

function normalise(table: ForceTable): ForceTable {
  const all = table.shares.reduce((sum, share) => sum + share, 0);
  return { ...table, shares: table.shares.map((share) => share / all) };
}
