// What is left of a sheet or an offcut when the pieces are out of it, and how those on it share what was cut off.

import { LENGTH_NOISE_MM } from '../units';
import {
  boundPoints,
  computeRegionArea,
  computeRingArea,
  getRings,
  intersectRegions,
  makeRegion,
  offsetRegion,
  simplifyRegion,
  splitPieces,
  subtractRegions,
  uniteRegions,
  type Box,
  type Point,
  type Polyline,
  type Region,
} from '../geometry';
import type { NestPiece, NestStock } from './nesting';

/** A leftover narrower than this is thrown away, mm. */
const LEAST_LEFTOVER_MM = 60;
/** Rectangles that are looked for, the largest first. */
const MOST_RECTANGLES = 3;
/** Rectangles begin and end on this raster, mm. */
const RASTER_MM = 5;
const RASTER_CELLS = 40_000;

export type LeftoverKind = 'strip' | 'rectangles' | 'shape';
/** One way to keep what is left: pieces of it as outlines in the coordinates of the stock. */
export type Leftover = { readonly kind: LeftoverKind; readonly pieces: readonly Polyline[]; readonly areaMm2: number };

const round = (value: number) => Math.floor(value * 10) / 10;
const toRing = ({ x, y, width, height }: Box): Polyline => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];
const makeLeftover = (kind: LeftoverKind, pieces: readonly Polyline[]): readonly Leftover[] =>
  pieces.length === 0 ? [] : [{ kind, pieces, areaMm2: pieces.reduce((sum, ring) => sum + computeRingArea(ring), 0) }];

/** The leftover behind what is used, across the whole width; null where it is too small to keep. */
export function fitLargestLeftover(
  widthMm: number,
  lengthMm: number,
  usedLengthMm: number,
): { readonly widthMm: number; readonly lengthMm: number } | null {
  const left = round(lengthMm - usedLengthMm);
  return left >= LEAST_LEFTOVER_MM && widthMm >= LEAST_LEFTOVER_MM ? { widthMm, lengthMm: left } : null;
}

/**
 * The ways to keep what is left of a sheet or an offcut, the one that is worth most first: cut off square behind the
 * last piece, as rectangles from between and beside them, or as what it is once the used corner is cut away. `placed`
 * are outlines where they lie; half the gap about them is gone too. A roll has none: it stays a roll. Nothing smaller
 * than 60 mm either way is kept.
 */
export function findLeftovers(
  stock: NestStock,
  placed: readonly Polyline[],
  gapMm: number,
  usedLengthMm: number,
): readonly Leftover[] {
  if (stock.kind === 'roll') return [];
  const whole = makeRegion(
    stock.kind === 'offcut' ? [stock.shape] : [toRing({ x: 0, y: 0, width: stock.widthMm, height: stock.lengthMm })],
  );
  const sound =
    stock.kind === 'offcut' && stock.spoiledSpots.length > 0
      ? subtractRegions(whole, uniteRegions(stock.spoiledSpots.map((spot) => makeRegion([spot]))))
      : whole;
  const used = uniteRegions(placed.map((ring) => offsetRegion(makeRegion([ring]), gapMm / 2, 'miter', 2)));
  const free = subtractRegions(sound, used);
  const strip = stock.kind === 'sheet' ? fitLargestLeftover(stock.widthMm, stock.lengthMm, usedLengthMm) : null;
  return [
    ...makeLeftover(
      'strip',
      strip
        ? [
            toRing({
              x: 0,
              y: round(stock.kind === 'sheet' ? stock.lengthMm - strip.lengthMm : 0),
              width: strip.widthMm,
              height: strip.lengthMm,
            }),
          ]
        : [],
    ),
    ...makeLeftover('rectangles', findRectangles(free)),
    ...makeLeftover('shape', findTrueShape(sound, used)),
  ].sort((a, b) => worth(b) - worth(a));
}

/** A square piece is worth more than an odd one of its size: anything is laid out on it more easily. */
const worth = ({ kind, areaMm2, pieces }: Leftover): number =>
  areaMm2 * (kind === 'shape' ? 0.8 : 1) * (1 - 0.05 * (pieces.length - 1));

/**
 * What is left in one piece when everything between the start and what was cut is cut away too, without narrow tails.
 */
function findTrueShape(sound: Region, used: Region): readonly Polyline[] {
  const shadow = uniteRegions([
    used,
    ...getRings(used).flatMap((ring) =>
      ring.map((a, at): Region => {
        const b = ring[(at + 1) % ring.length]!;
        return makeRegion([[a, b, { x: b.x, y: -1 }, { x: a.x, y: -1 }]]);
      }),
    ),
  ]);
  const left = subtractRegions(sound, shadow);
  const opened = intersectRegions(
    offsetRegion(offsetRegion(left, -LEAST_LEFTOVER_MM / 2, 'miter', 2), LEAST_LEFTOVER_MM / 2, 'miter', 2),
    left,
  );
  const [largest] = splitPieces(simplifyRegion(opened, 0.5))
    .map((piece) => piece.outer)
    .sort((a, b) => computeRingArea(b) - computeRingArea(a));
  return largest && isKept(largest) ? [roundInward(largest, left)] : [];
}

function isKept(ring: Polyline): boolean {
  const box = boundPoints([ring]);
  return box !== null && Math.min(box.width, box.height) >= LEAST_LEFTOVER_MM;
}

/** Corners at tenths of a mm, and never more than there is. */
function roundInward(ring: Polyline, left: Region): Polyline {
  const rounded = ring.map(({ x, y }): Point => ({ x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 }));
  const [kept] = [...splitPieces(intersectRegions(makeRegion([rounded]), left))].sort(
    (a, b) => computeRingArea(b.outer) - computeRingArea(a.outer),
  );
  return kept?.outer ?? ring;
}

/**
 * The largest rectangle of free cells, then the largest beside it, and so on: the largest rectangle under a histogram,
 * row by row.
 */
function findRectangles(free: Region): readonly Polyline[] {
  const box = boundPoints(getRings(free));
  if (!box) return [];
  const step = Math.max(RASTER_MM, Math.sqrt((box.width * box.height) / RASTER_CELLS));
  const columns = Math.floor(box.width / step + LENGTH_NOISE_MM),
    rows = Math.floor(box.height / step + LENGTH_NOISE_MM);
  const cells = rasterise(free, box, step, columns, rows);
  const found: Polyline[] = [];
  while (found.length < MOST_RECTANGLES) {
    const best = findLargest(cells, columns, rows, Math.ceil(LEAST_LEFTOVER_MM / step - LENGTH_NOISE_MM));
    if (!best) break;
    for (let row = best.y; row < best.y + best.height; row++)
      cells.fill(0, row * columns + best.x, row * columns + best.x + best.width);
    found.push(
      toRing({
        x: round(box.x + best.x * step),
        y: round(box.y + best.y * step),
        width: round(best.width * step),
        height: round(best.height * step),
      }),
    );
  }
  return found;
}

/** 1 for each cell that lies wholly in the region: no edge runs through it, and its middle is inside. */
function rasterise(free: Region, box: Box, step: number, columns: number, rows: number): Uint8Array {
  const touched = new Uint8Array(columns * rows),
    crossings: number[][] = Array.from({ length: rows }, () => []);
  for (const ring of getRings(free)) {
    for (let at = 0; at < ring.length; at++) {
      const a = ring[at]!,
        b = ring[(at + 1) % ring.length]!;
      const [low, high] = a.y < b.y ? [a, b] : [b, a];
      for (
        let row = Math.max(0, Math.floor((low.y - box.y) / step + LENGTH_NOISE_MM));
        row < Math.min(rows, Math.ceil((high.y - box.y) / step - LENGTH_NOISE_MM));
        row++
      ) {
        const top = box.y + row * step,
          bottom = top + step,
          xs = [at0(low, high, Math.max(low.y, top)), at0(low, high, Math.min(high.y, bottom))];
        const from = Math.floor((Math.min(...xs) - box.x) / step + LENGTH_NOISE_MM),
          to = Math.ceil((Math.max(...xs) - box.x) / step - LENGTH_NOISE_MM);
        for (let column = Math.max(0, from); column < Math.min(columns, to); column++)
          touched[row * columns + column] = 1;
        const middle = top + step / 2;
        if (low.y <= middle && high.y > middle) crossings[row]!.push(at0(low, high, middle));
      }
    }
  }
  const cells = new Uint8Array(columns * rows);
  for (let row = 0; row < rows; row++) {
    const xs = crossings[row]!.sort((p, q) => p - q);
    for (let column = 0; column < columns; column++) {
      const middle = box.x + (column + 0.5) * step;
      cells[row * columns + column] =
        touched[row * columns + column] === 0 && xs.filter((x) => x < middle).length % 2 === 1 ? 1 : 0;
    }
  }
  return cells;
}

const at0 = (low: Point, high: Point, y: number): number =>
  high.y === low.y ? low.x : low.x + ((high.x - low.x) * (y - low.y)) / (high.y - low.y);

function findLargest(cells: Uint8Array, columns: number, rows: number, least: number): Box | null {
  const heights = new Int32Array(columns + 1);
  let best: Box | null = null;
  for (let row = 0; row < rows; row++) {
    const stack: number[] = [];
    for (let column = 0; column <= columns; column++) {
      heights[column] = column < columns && cells[row * columns + column] ? heights[column]! + 1 : 0;
      while (stack.length > 0 && heights[stack.at(-1)!]! >= heights[column]!) {
        const height = heights[stack.pop()!]!,
          from = stack.length > 0 ? stack.at(-1)! + 1 : 0,
          width = column - from;
        if (height >= least && width >= least && width * height > (best ? best.width * best.height : 0))
          best = { x: from, y: row - height + 1, width, height };
      }
      stack.push(column);
    }
  }
  return best;
}

/** What each piece is counted with when a strip is shared: its outline grown by half the gap, mm², by its id. */
export function measureShares(pieces: readonly NestPiece[], gapMm: number): ReadonlyMap<string, number> {
  return new Map(pieces.map(({ id, rings }) => [id, computeRegionArea(offsetRegion(makeRegion(rings), gapMm / 2))]));
}
