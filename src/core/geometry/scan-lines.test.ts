import fc from 'fast-check';
import { expect, it } from 'vitest';
import {
  boundRegion,
  computeRegionArea,
  fillRegion,
  intersectRegions,
  measureScan,
  measureShared,
  mirrorScan,
  scanRegion,
  shiftRegion,
  transformRegion,
  uniteRegions,
  type Point,
} from './index';

const box = (x: number, y: number, width: number, height: number): Point[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];
const whole = (least: number, most: number) => fc.integer({ min: least, max: most });
const triangles = fc.array(
  fc.tuple(whole(0, 60), whole(0, 60), whole(0, 60), whole(0, 60), whole(0, 60), whole(0, 60)),
  { minLength: 1, maxLength: 6 },
);
const LINES = 1024;

it('what two regions share along level lines is what clipping finds, shifted and mirrored', () => {
  fc.assert(
    fc.property(triangles, whole(-20, 20), whole(-200, 200), (list, dx, down) => {
      const region = uniteRegions([
        ...list.map(([a, b, c, d, e, f]) =>
          fillRegion(
            [
              [
                { x: a, y: b },
                { x: c, y: d },
                { x: e, y: f },
              ],
            ],
            'nonzero',
          ),
        ),
        fillRegion([box(0, 0, 3, 60)], 'nonzero'),
      ]);
      const bounds = boundRegion(region)!;
      const scan = scanRegion(region, bounds, LINES);
      const area = computeRegionArea(region);
      expect(Math.abs(measureScan(scan) - area)).toBeLessThan(area * 0.004 + 0.5);
      const mirrored = transformRegion(region, (point) => ({ x: 60 - point.x, y: point.y }));
      const exact = computeRegionArea(
        intersectRegions(region, shiftRegion(mirrored, dx, (down * bounds.height) / LINES)),
      );
      expect(Math.abs(measureShared(scan, mirrorScan(scan, 30), dx, down) - exact)).toBeLessThan(area * 0.004 + 0.5);
    }),
    { numRuns: 80 },
  );
});
