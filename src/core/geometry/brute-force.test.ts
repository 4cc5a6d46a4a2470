// What is fast, against the plainest way to find the same.

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EdgeGrid } from './edge-grid';
import {
  computeRegionArea,
  computeRingArea,
  fillRegion,
  findThinStrokes,
  getRings,
  groupByOverlap,
  makeRegion,
  offsetRegion,
  shiftRegion,
  simplifyRegion,
  splitPieces,
  strokeLine,
  subtractRegions,
  transformRegion,
  uniteRegions,
  type Box,
  type Point,
} from './index';

const box = (x: number, y: number, width: number, height: number): Point[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];
const whole = (least: number, most: number) => fc.integer({ min: least, max: most });

describe('the nearest edge', () => {
  it('is the one that looking at all of them finds', () => {
    const edge = fc
      .tuple(whole(0, 100), whole(0, 100), whole(-8, 8), whole(-8, 8))
      .filter(([, , dx, dy]) => dx !== 0 || dy !== 0);
    fc.assert(
      fc.property(
        fc.array(edge, { minLength: 1, maxLength: 60 }),
        fc.array(fc.tuple(whole(-30, 130), whole(-30, 130), whole(1, 150)), { minLength: 1, maxLength: 20 }),
        (edges, questions) => {
          const grid = new EdgeGrid(
            Float64Array.from(edges.map(([x]) => x)),
            Float64Array.from(edges.map(([, y]) => y)),
            Float64Array.from(edges.map(([x, , dx]) => x + dx)),
            Float64Array.from(edges.map(([, y, , dy]) => y + dy)),
          );
          for (const [x, y, radius] of questions) {
            const distances = edges.map((_, index) => Math.sqrt(grid.approach(index, x, y)));
            const least = Math.min(...distances);
            const found = grid.findNearest(x, y, radius);
            if (least >= radius) expect(found).toBe(-1);
            else {
              expect(distances[found]).toBeCloseTo(least, 9);
              expect(Math.hypot(grid.nearX - x, grid.nearY - y)).toBeCloseTo(least, 9);
            }
          }
        },
      ),
    );
  });
});

describe('boxes that touch', () => {
  it('are together exactly when a chain of touching boxes leads from one to the other', () => {
    const someBox = fc.record({ x: whole(0, 60), y: whole(0, 60), width: whole(1, 14), height: whole(1, 14) });
    fc.assert(
      fc.property(fc.array(someBox, { maxLength: 25 }), (boxes) => {
        const touch = (a: Box, b: Box) =>
          a.x <= b.x + b.width && b.x <= a.x + a.width && a.y <= b.y + b.height && b.y <= a.y + a.height;
        const label = boxes.map((_, index) => index);
        for (let round = 0; round < boxes.length; round++)
          boxes.forEach((a, i) =>
            boxes.forEach((b, j) => touch(a, b) && (label[i] = label[j] = Math.min(label[i]!, label[j]!))),
          );
        const groups = groupByOverlap(boxes);
        expect(groups.flat().sort((a, b) => a - b)).toEqual(boxes.map((_, index) => index));
        groups.forEach((group) => expect(new Set(group.map((index) => label[index])).size).toBe(1));
        expect(groups.length).toBe(new Set(label).size);
      }),
    );
  });
});

describe('regions', () => {
  const boxes = fc.array(fc.tuple(whole(0, 40), whole(0, 40), whole(1, 20), whole(1, 20)), {
    minLength: 1,
    maxLength: 8,
  });
  /** Area by counting unit squares. */
  const count = (inside: (x: number, y: number) => boolean) => {
    let squares = 0;
    for (let x = 0; x < 60; x++) for (let y = 0; y < 60; y++) if (inside(x + 0.5, y + 0.5)) squares++;
    return squares;
  };
  const within = (list: readonly (readonly [number, number, number, number])[], x: number, y: number) =>
    list.some(([left, top, width, height]) => x > left && x < left + width && y > top && y < top + height);
  const regionOf = (list: readonly (readonly [number, number, number, number])[]) =>
    uniteRegions(list.map((entry) => fillRegion([box(...entry)], 'nonzero')));

  it('united and subtracted have the area that counting squares finds', () => {
    fc.assert(
      fc.property(boxes, boxes, (a, b) => {
        expect(computeRegionArea(regionOf(a))).toBeCloseTo(
          count((x, y) => within(a, x, y)),
          6,
        );
        expect(computeRegionArea(subtractRegions(regionOf(a), regionOf(b)))).toBeCloseTo(
          count((x, y) => within(a, x, y) && !within(b, x, y)),
          6,
        );
        const pieces = splitPieces(regionOf(a));
        expect(
          pieces.reduce(
            (sum, piece) =>
              sum +
              computeRingArea(piece.outer) -
              piece.cavities.reduce((holes, ring) => holes + computeRingArea(ring), 0),
            0,
          ),
        ).toBeCloseTo(computeRegionArea(regionOf(a)), 6);
      }),
      { numRuns: 60 },
    );
  });

  it('keep their area when shifted, mirrored or simplified', () => {
    fc.assert(
      fc.property(boxes, whole(-30, 30), (list, by) => {
        const region = regionOf(list),
          area = computeRegionArea(region);
        expect(computeRegionArea(shiftRegion(region, by, -by))).toBeCloseTo(area, 6);
        expect(computeRegionArea(transformRegion(region, (point) => ({ x: -point.x, y: point.y })))).toBeCloseTo(
          area,
          6,
        );
        expect(computeRegionArea(simplifyRegion(region, 0.01))).toBeCloseTo(area, 1);
      }),
      { numRuns: 40 },
    );
  });

  it('grow and shrink by an offset as the formula of Steiner says: A + P·d + π·d²', () => {
    const rectangle = makeRegion([box(0, 0, 30, 20)]);
    for (const d of [0.5, 2, 7])
      expect(computeRegionArea(offsetRegion(rectangle, d))).toBeCloseTo(600 + 100 * d + Math.PI * d * d, 0);
    expect(computeRegionArea(offsetRegion(rectangle, 3, 'miter'))).toBeCloseTo(36 * 26, 4);
    expect(computeRegionArea(offsetRegion(rectangle, -4))).toBeCloseTo(22 * 12, 4);
    expect(getRings(offsetRegion(rectangle, -11))).toEqual([]);
    expect(offsetRegion(rectangle, 0)).toBe(rectangle);
  });

  it('a stroke is as wide as its pen everywhere', () => {
    // Far enough apart that no two stretches of the line come near each other.
    fc.assert(
      fc.property(
        fc.array(whole(0, 30), { minLength: 2, maxLength: 6 }),
        fc.integer({ min: 2, max: 6 }),
        (heights, widthMm) => {
          const band = strokeLine(
            heights.map((y, index) => ({ x: index * 40, y })),
            false,
            { widthMm, join: 'round', cap: 'round', miterLimit: 4 },
          );
          expect(Math.abs(findThinStrokes(splitPieces(band)).thinnest!.widthMm - widthMm)).toBeLessThan(0.06);
        },
      ),
      { numRuns: 80 },
    );
  });
});
