import fc from 'fast-check';
import { expect, it } from 'vitest';
import { mixRealShapes } from '../../../test/real-shapes';
import {
  computeRegionArea,
  computeRingArea,
  fillRegion,
  makeRegion,
  offsetRegion,
  subtractRegions,
  type Polyline,
} from '../geometry';
import { simplifyOutward } from './simplify-outward';

const LIMIT = { deviationMm: 1.5, areaShare: 0.012 };
const missing = (ring: Polyline, simpler: Polyline) =>
  computeRegionArea(subtractRegions(makeRegion([ring]), fillRegion([simpler], 'nonzero')));

it('of any star never loses area, never reaches farther out than it may, and has no more corners', () => {
  const star = fc
    .array(fc.double({ min: 20, max: 60, noNaN: true }), { minLength: 5, maxLength: 60 })
    .map((radii): Polyline =>
      radii.map((radius, at) => ({
        x: radius * Math.cos((2 * Math.PI * at) / radii.length),
        y: radius * Math.sin((2 * Math.PI * at) / radii.length),
      })),
    );
  fc.assert(
    fc.property(star, (ring) => {
      const simpler = simplifyOutward(ring, LIMIT);
      expect(simpler.length).toBeLessThanOrEqual(ring.length);
      expect(missing(ring, simpler)).toBeLessThan(0.01);
      expect(computeRingArea(simpler)).toBeLessThanOrEqual(computeRingArea(ring) * (1 + LIMIT.areaShare) + 1e-6);
    }),
    { numRuns: 60 },
  );
});

it('leaves a third of the corners of real silhouettes and words, or fewer, for a hundredth of area', () => {
  for (const {
    rings: [ring],
  } of mixRealShapes(8, 0.6)) {
    const simpler = simplifyOutward(ring!, LIMIT);
    expect(simpler.length).toBeLessThan(ring!.length / 3);
    expect(missing(ring!, simpler)).toBeLessThan(0.05);
    expect(
      computeRegionArea(
        subtractRegions(
          fillRegion([simpler], 'nonzero'),
          offsetRegion(makeRegion([ring!]), 2 * LIMIT.deviationMm, 'round'),
        ),
      ),
    ).toBeLessThan(1);
  }
});

it('leaves alone what has few corners', () => {
  const box: Polyline = [
    { x: 0, y: 0 },
    { x: 40, y: 0 },
    { x: 40, y: 20 },
    { x: 0, y: 20 },
  ];
  expect(simplifyOutward(box, LIMIT)).toBe(box);
});
