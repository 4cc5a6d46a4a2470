// Dots of a dot field, grouped by diameter: each is cut as vinyl, or takes a hot-fix stone of that size.

import { computeLength, computeRingArea, type Piece, type Polyline } from '../../geometry';
import { groupBy } from '../../units';

export type DotGroup = { readonly diameterMm: number; readonly count: number; readonly rings: readonly Polyline[] };

/** A ring is a dot when it is this round: 4π·area ÷ length², 1 for a circle (isoperimetric quotient). */
const ROUND = 0.985;
/** Diameters are told apart to this, mm: stones are sold in steps far coarser. */
const STEP_MM = 0.05;

/** Round pieces without cavities, by diameter, the commonest first. */
export function findDots(pieces: readonly Piece[]): readonly DotGroup[] {
  const dots = pieces.flatMap((piece) => {
    const area = computeRingArea(piece.outer);
    const length = computeLength(piece.outer, true);
    return piece.cavities.length === 0 && (4 * Math.PI * area) / (length * length) > ROUND
      ? [{ ring: piece.outer, diameterMm: Math.round((2 * Math.sqrt(area / Math.PI)) / STEP_MM) * STEP_MM }]
      : [];
  });
  return [...groupBy(dots, (dot) => dot.diameterMm.toFixed(2))]
    .map(([diameter, members]) => ({
      diameterMm: Number(diameter),
      count: members.length,
      rings: members.map((dot) => dot.ring),
    }))
    .sort((a, b) => b.count - a.count || a.diameterMm - b.diameterMm);
}
