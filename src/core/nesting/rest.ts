// What is left of a sheet after the used end of it is cut off square, and how those on it share what was cut off.

import { computeRegionArea, makeRegion, offsetRegion } from '../geometry';
import type { NestPiece } from './nesting';

/** A rest narrower than this is thrown away, mm. */
const LEAST_REST_MM = 60;

/** The rest behind what is used, across the whole width; null where it is too small to keep. */
export function fitLargestRest(widthMm: number, lengthMm: number, usedLengthMm: number): { readonly widthMm: number; readonly lengthMm: number } | null {
  const left = Math.floor((lengthMm - usedLengthMm) * 10) / 10;
  return left >= LEAST_REST_MM && widthMm >= LEAST_REST_MM ? { widthMm, lengthMm: left } : null;
}

/** What each piece is counted with when a strip is shared: its outline grown by half the gap, mm², by its id. */
export function measureShares(pieces: readonly NestPiece[], gapMm: number): ReadonlyMap<string, number> {
  return new Map(pieces.map(({ id, rings }) => [id, computeRegionArea(offsetRegion(makeRegion(rings), gapMm / 2))]));
}
