// What is drawn beside the pieces of a load: lines to weed by, corners to line it up again, the line it is cut off at,
// and a tag of each piece's own.

import {
  boundPoints,
  computeRegionArea,
  getRings,
  makeRegion,
  offsetRegion,
  shiftRegion,
  splitPieces,
  subtractRegions,
  uniteRegions,
  type Box,
  type Point,
  type Polyline,
} from '../geometry';

/** A line round each piece, or one box round all of them. */
export type WeedLines = 'none' | 'each' | 'all';
export type Marks = {
  readonly weed: WeedLines;
  readonly corners: boolean;
  readonly trim: boolean;
  readonly tags: boolean;
  /** What corners and tags are drawn with. */
  readonly tool: 'knife' | 'pen';
};
export const NO_MARKS: Marks = { weed: 'none', corners: false, trim: false, tags: false, tool: 'pen' };
export type DrawnMarks = {
  /** Closed, cut after the pieces. */
  readonly weed: readonly Polyline[];
  /** Open: across the whole width, cut last of all. */
  readonly trim: Polyline | null;
  /** Open: two legs each. */
  readonly corners: readonly Polyline[];
};

/** Of the gap's half: two lines of neighbours at the least gap never meet. */
const NEARLY_HALF = 0.48;
const CORNER_LEG_MM = 8;

/** `placed` are outlines where they lie. `trim` only stands where a roll is cut off. */
export function drawMarks(
  marks: Marks,
  placed: readonly Polyline[],
  gapMm: number,
  stock: { readonly widthMm: number; readonly usedLengthMm: number; readonly isRoll: boolean },
): DrawnMarks {
  const box = boundPoints(placed);
  if (!box) return { weed: [], trim: null, corners: [] };
  const half = gapMm / 2;
  const around: Box = {
    x: Math.max(0, box.x - half),
    y: Math.max(0, box.y - half),
    width: Math.min(stock.widthMm, box.x + box.width + half) - Math.max(0, box.x - half),
    height: box.y + box.height + half - Math.max(0, box.y - half),
  };
  const weed =
    marks.weed === 'each'
      ? placed.flatMap((ring) =>
          splitPieces(offsetRegion(makeRegion([ring]), gapMm * NEARLY_HALF, 'round')).map((piece) => piece.outer),
        )
      : marks.weed === 'all'
        ? [corners(around)]
        : [];
  const trim =
    marks.trim && stock.isRoll
      ? [
          { x: 0, y: stock.usedLengthMm },
          { x: stock.widthMm, y: stock.usedLengthMm },
        ]
      : null;
  return { weed, trim, corners: marks.corners ? corners(around).map((corner) => drawCorner(corner, around)) : [] };
}

const corners = ({ x, y, width, height }: Box): Polyline => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

function drawCorner(corner: Point, box: Box): Polyline {
  const inX = corner.x > box.x ? -1 : 1,
    inY = corner.y > box.y ? -1 : 1;
  const leg = Math.min(CORNER_LEG_MM, box.width / 3, box.height / 3);
  return [{ x: corner.x + inX * leg, y: corner.y }, corner, { x: corner.x, y: corner.y + inY * leg }];
}

export type TagSize = { readonly widthMm: number; readonly heightMm: number };
/** A tag's corner, in the piece's own coordinates. */
export type TagSpot = {
  readonly at: Point;
  /** The piece with its tag: what is laid out. */
  readonly rings: readonly Polyline[];
};

/** From a piece to its tag: near enough to belong to it, far enough not to be weeded with it. */
const TAG_GAP_MM = 1.5;
const TRIES = 24;

/**
 * Room for a tag beside a piece: in a bay of it where there is one, else along the side where it makes the whole least
 * larger.
 */
export function attachTag(outline: Polyline, size: TagSize): TagSpot {
  const piece = makeRegion([outline]),
    box = boundPoints([outline])!;
  const taken = offsetRegion(piece, TAG_GAP_MM, 'round');
  const label = makeRegion([corners({ x: 0, y: 0, width: size.widthMm, height: size.heightMm })]);
  const tries: Point[] = [];
  for (let at = 0; at <= TRIES; at++) {
    for (let down = 0; down <= TRIES; down++)
      tries.push({
        x: box.x + ((box.width - size.widthMm) * at) / TRIES,
        y: box.y + ((box.height - size.heightMm) * down) / TRIES,
      });
  }
  for (let at = 0; at <= 4; at++) {
    const x = box.x + (Math.max(0, box.width - size.widthMm) * at) / 4;
    tries.push({ x, y: box.y + box.height + TAG_GAP_MM }, { x, y: box.y - size.heightMm - TAG_GAP_MM });
  }
  const grows = (at: Point) => {
    const width = Math.max(box.x + box.width, at.x + size.widthMm) - Math.min(box.x, at.x),
      height = Math.max(box.y + box.height, at.y + size.heightMm) - Math.min(box.y, at.y);
    return width * height - box.width * box.height;
  };
  const isFree = (at: Point) =>
    Math.abs(computeRegionArea(subtractRegions(shiftRegion(label, at.x, at.y), taken)) - size.widthMm * size.heightMm) <
    0.01;
  const at = tries.sort((a, b) => grows(a) - grows(b)).find(isFree) ?? { x: box.x, y: box.y + box.height + TAG_GAP_MM };
  // Joined to the piece, so that nothing is laid between the two.
  const joined = offsetRegion(
    offsetRegion(uniteRegions([piece, shiftRegion(label, at.x, at.y)]), TAG_GAP_MM, 'miter', 2),
    -TAG_GAP_MM,
    'miter',
    2,
  );
  return { at, rings: getRings(joined) };
}
