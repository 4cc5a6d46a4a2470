// Offcuts: what is left of a roll or sheet, as a shape to scale, with a short code to write on it.

import { LENGTH_NOISE_MM } from '../units';
import {
  boundPoints,
  computeRegionArea,
  intersectRegions,
  makeRegion,
  subtractRegions,
  uniteRegions,
  type Box,
  type Polyline,
  type Region,
} from '../geometry';

/** An outline in mm, straight edges, y downwards; the top left of its box is the origin. */
export type OffcutShape = Polyline;

export const rectangle = (widthMm: number, lengthMm: number): OffcutShape => [
  { x: 0, y: 0 },
  { x: widthMm, y: 0 },
  { x: widthMm, y: lengthMm },
  { x: 0, y: lengthMm },
];

/** A rectangle with a corner cut out at the bottom right, `cutWidthMm` × `cutLengthMm`. */
export const cornered = (widthMm: number, lengthMm: number, cutWidthMm: number, cutLengthMm: number): OffcutShape => [
  { x: 0, y: 0 },
  { x: widthMm, y: 0 },
  { x: widthMm, y: lengthMm - cutLengthMm },
  { x: widthMm - cutWidthMm, y: lengthMm - cutLengthMm },
  { x: widthMm - cutWidthMm, y: lengthMm },
  { x: 0, y: lengthMm },
];

/** A spoiled spot: an upright box in the coordinates of the offcut's outline, mm. */
export type SpoiledSpot = Box;

export const spoiledSpotRing = ({ x, y, width, height }: SpoiledSpot): Polyline =>
  rectangle(width, height).map((point) => ({ x: point.x + x, y: point.y + y }));

const soundRegion = (shape: OffcutShape, spots: readonly SpoiledSpot[]): Region =>
  spots.length === 0
    ? makeRegion([shape])
    : subtractRegions(makeRegion([shape]), uniteRegions(spots.map((spot) => makeRegion([spoiledSpotRing(spot)]))));

/** What of it can be used, mm²: without its spoiled spots. */
export const computeOffcutArea = (shape: OffcutShape, spots: readonly SpoiledSpot[] = []): number =>
  computeRegionArea(soundRegion(shape, spots));

/**
 * The spots that a piece takes along, cut out of an offcut along `piece` (in the offcut's coordinates), in coordinates
 * of its own.
 */
export function listSpoiledSpotsOn(piece: Polyline, spots: readonly SpoiledSpot[]): readonly SpoiledSpot[] {
  const box = boundPoints([piece]),
    own = makeRegion([piece]);
  if (!box) return [];
  return spots.flatMap((spot): readonly SpoiledSpot[] => {
    if (computeRegionArea(intersectRegions(own, makeRegion([spoiledSpotRing(spot)]))) < SLACK_MM2) return [];
    const x = Math.max(spot.x, box.x),
      y = Math.max(spot.y, box.y);
    return [
      {
        x: x - box.x,
        y: y - box.y,
        width: Math.min(spot.x + spot.width, box.x + box.width) - x,
        height: Math.min(spot.y + spot.height, box.y + box.height) - y,
      },
    ];
  });
}

/** Letters and digits that nobody mistakes for one another on a strip of tape. */
const CODE_LETTERS = 'ACDEFHJKLMNPRTUVWXY34679';
/** A code of three signs for the n-th offcut; the same again only after 13 824. */
export function makeOffcutCode(number: number): string {
  // Scattered, so that two offcuts of one day differ in their first sign.
  const base = CODE_LETTERS.length,
    all = base ** 3;
  let rest = (Math.abs(Math.trunc(number)) * 5_741) % all;
  let code = '';
  for (let sign = 0; sign < 3; sign++) {
    code = CODE_LETTERS[rest % base]! + code;
    rest = Math.floor(rest / base);
  }
  return code;
}

export type Fit = { readonly x: number; readonly y: number; readonly turned: boolean };
/** Area outside the shape that is put down to rounding, mm². */
const SLACK_MM2 = 0.01;

/**
 * Where an upright rectangle lies inside the shape, turned by a quarter only where `turnable`; null when nowhere. An
 * upright rectangle that fits can be pushed left and up until it touches, so that positions at the corners' coordinates
 * are enough for shapes of upright edges; for slanted ones a place may be missed. Clear of spoiled spots.
 */
export function fitRectangle(
  shape: OffcutShape,
  widthMm: number,
  heightMm: number,
  turnable: boolean,
  spots: readonly SpoiledSpot[] = [],
): Fit | null {
  const box = boundPoints([shape]);
  if (!box) return null;
  const region = soundRegion(shape, spots),
    corners = [...shape, ...spots.flatMap(spoiledSpotRing)];
  for (const turned of turnable && widthMm !== heightMm ? [false, true] : [false]) {
    const width = turned ? heightMm : widthMm,
      height = turned ? widthMm : heightMm;
    if (width > box.width + LENGTH_NOISE_MM || height > box.height + LENGTH_NOISE_MM) continue;
    const xs = edgesOf(
        corners.map((point) => point.x),
        width,
      ),
      ys = edgesOf(
        corners.map((point) => point.y),
        height,
      );
    for (const y of ys) {
      for (const x of xs) {
        if (
          x < box.x - LENGTH_NOISE_MM ||
          y < box.y - LENGTH_NOISE_MM ||
          x + width > box.x + box.width + LENGTH_NOISE_MM ||
          y + height > box.y + box.height + LENGTH_NOISE_MM
        )
          continue;
        const outside = subtractRegions(
          makeRegion([rectangle(width, height).map((point) => ({ x: point.x + x, y: point.y + y }))]),
          region,
        );
        if (computeRegionArea(outside) < SLACK_MM2) return { x, y, turned };
      }
    }
  }
  return null;
}

/** Where a stretch of this length begins or ends at one of the coordinates. */
const edgesOf = (coordinates: readonly number[], length: number): readonly number[] =>
  [...new Set(coordinates.flatMap((at) => [at, at - length]))].sort((a, b) => a - b);

/** The shapes that hold the rectangle, smallest first: the offcut that loses least is tried first. */
export function findFittingOffcuts<
  T extends { readonly shape: OffcutShape; readonly spoiledSpots: readonly SpoiledSpot[] },
>(
  offcuts: readonly T[],
  widthMm: number,
  heightMm: number,
  turnable: boolean,
): readonly { readonly offcut: T; readonly fit: Fit; readonly usedShare: number }[] {
  return offcuts
    .flatMap((offcut) => {
      const fit = fitRectangle(offcut.shape, widthMm, heightMm, turnable, offcut.spoiledSpots);
      return fit
        ? [{ offcut, fit, usedShare: (widthMm * heightMm) / computeOffcutArea(offcut.shape, offcut.spoiledSpots) }]
        : [];
    })
    .sort((a, b) => b.usedShare - a.usedShare);
}
