// Where one layer lies on another: on purpose along a seam, or with all of itself.

import type { ColourOverlap, LayerMeasurement } from './measurement';

/** A knock-out leaves a seam of 0.3 to 0.5 mm, so that no blank shows; up to this it is one, mm. */
const WIDEST_SEAM_MM = 1;
/** Of a layer that is thin itself, so much of it lies on the other where it is not along a seam. */
const LYING_SHARE = 0.5;

type Patch = Pick<ColourOverlap, 'areaMm2' | 'perimeterMm'>;

/** As thin as a seam all along: a strip of the width w has the perimeter 2 × area ÷ w. */
export const isStrip = ({ areaMm2, perimeterMm }: Patch): boolean => 2 * areaMm2 <= perimeterMm * WIDEST_SEAM_MM;

/**
 * Whether the layers only meet along the seam that a knock-out leaves, so that nothing stands in the way of a vinyl that
 * takes no other.
 */
export const isSeam = (overlap: Patch, upper: Pick<LayerMeasurement, 'netMm2'>): boolean =>
  isStrip(overlap) && overlap.areaMm2 < upper.netMm2 * LYING_SHARE;
