// Where test figures are cut: in corners and edges that the load leaves free, else the load begins beside them.

import {
  boundPoints,
  boxesMeet,
  computeRegionArea,
  intersectRegions,
  makeRegion,
  subtractRegions,
  type Box,
  type Polyline,
} from '../geometry';

/** Side of the figure, mm: small, and large enough to weed. */
export const TEST_FIGURE_MM = 25;
/** Of areas that only touch. */
const AREA_NOISE_MM2 = 0.01;
/** More are not cut by themselves: then it is no longer the setting. */
const MOST_TESTS = 6;

export type TestRoom = {
  /** What the cutter reaches of the stock in its coordinates, mm. */
  readonly reach: Box;
  /** Of an offcut: its outline; null where the reach is a rectangle. */
  readonly shape: Polyline | null;
  /** What is laid out and what is spoiled, where it lies. */
  readonly taken: readonly Polyline[];
  readonly gapMm: number;
  /** A load on a roll may begin further on. */
  readonly isRoll: boolean;
};
export type TestSpots = {
  /** Lower left corners of the figures, in the order they are used. */
  readonly spots: readonly { readonly x: number; readonly y: number }[];
  /** The load begins so much further along the roll, mm. */
  readonly shiftMm: number;
};

/**
 * Free squares, the corners first, at most `MOST_TESTS`; where fewer than two are free on a roll, a row of them before
 * the load. None where a sheet is full. Tries places half a figure apart: cost of the number of places times outlines.
 */
export function placeTests(room: TestRoom): TestSpots {
  const spots = listFree(room);
  if (spots.length >= 2 || !room.isRoll) return { spots, shiftMm: 0 };
  const { reach, gapMm } = room;
  const step = TEST_FIGURE_MM + gapMm;
  const count = Math.min(MOST_TESTS, Math.floor((reach.width + gapMm) / step));
  return {
    spots: Array.from({ length: count }, (_, at) => ({ x: reach.x + at * step, y: reach.y })),
    shiftMm: count > 0 ? step : 0,
  };
}

function listFree({ reach, shape, taken, gapMm }: TestRoom): TestSpots['spots'] {
  const boxes = taken.flatMap((ring) => {
    const box = boundPoints([ring]);
    return box ? [{ box, region: makeRegion([ring]) }] : [];
  });
  const whole = shape && makeRegion([shape]);
  const free: { x: number; y: number }[] = [];
  for (const spot of listPlaces(reach)) {
    if (free.length === MOST_TESTS) break;
    const square = toSquare(spot);
    const apart = grow(square, gapMm);
    if (free.some((other) => boxesMeet(apart, toSquare(other)))) continue;
    if (whole && computeRegionArea(subtractRegions(toRegion(square), whole)) > AREA_NOISE_MM2) continue;
    const isTaken = boxes.some(
      ({ box, region }) =>
        boxesMeet(apart, box) && computeRegionArea(intersectRegions(toRegion(apart), region)) > AREA_NOISE_MM2,
    );
    if (!isTaken) free.push(spot);
  }
  return free;
}

/** Half a figure apart, those at corners first, then along edges, then within; ends always lie at the edge. */
function listPlaces({ x, y, width, height }: Box): TestSpots['spots'] {
  const along = (from: number, length: number) => {
    const room = length - TEST_FIGURE_MM;
    if (room < 0) return [];
    const steps = Math.max(1, Math.ceil(room / (TEST_FIGURE_MM / 2)));
    return Array.from({ length: steps + 1 }, (_, at) => from + (room * at) / steps);
  };
  const xs = along(x, width);
  const ys = along(y, height);
  const atEdge = (at: number, list: readonly number[]) => (at === 0 || at === list.length - 1 ? 0 : 1);
  return ys
    .flatMap((top, down) =>
      xs.map((left, across) => ({ x: left, y: top, inner: atEdge(across, xs) + atEdge(down, ys) })),
    )
    .sort((a, b) => a.inner - b.inner || a.y - b.y || a.x - b.x)
    .map(({ x: left, y: top }) => ({ x: left, y: top }));
}

const grow = ({ x, y, width, height }: Box, by: number): Box => ({
  x: x - by,
  y: y - by,
  width: width + 2 * by,
  height: height + 2 * by,
});
const toSquare = ({ x, y }: { readonly x: number; readonly y: number }): Box => ({
  x,
  y,
  width: TEST_FIGURE_MM,
  height: TEST_FIGURE_MM,
});
const toRegion = ({ x, y, width, height }: Box) =>
  makeRegion([
    [
      { x, y },
      { x: x + width, y },
      { x: x + width, y: y + height },
      { x, y: y + height },
    ],
  ]);
