import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  boundPoints,
  boxesMeet,
  composeMatrices,
  computeLength,
  computeRingArea,
  countSharpCorners,
  fillRegion,
  flattenContour,
  getRings,
  IDENTITY,
  intersectRegions,
  mapPoint,
  rotation,
  scaling,
  splitPieces,
  translation,
  uniteBoxes,
  uniteRegions,
  type Point,
} from './index';
import { circle } from './geometry-examples';

const square = (x: number, y: number, side: number): Point[] => [
  { x, y },
  { x: x + side, y },
  { x: x + side, y: y + side },
  { x, y: y + side },
];

describe('matrices', () => {
  it('composes the inner map first', () => {
    const map = composeMatrices(translation(10, 0), rotation(90));
    expect(mapPoint(map, { x: 1, y: 0 })).toEqual({ x: expect.closeTo(10), y: expect.closeTo(1) });
    expect(composeMatrices(IDENTITY, scaling(2, 3))).toEqual(scaling(2, 3));
  });

  it('scales area by the determinant', () => {
    fc.assert(
      fc.property(
        fc.record({
          a: fc.integer({ min: -5, max: 5 }),
          b: fc.integer({ min: -5, max: 5 }),
          c: fc.integer({ min: -5, max: 5 }),
          d: fc.integer({ min: -5, max: 5 }),
        }),
        ({ a, b, c, d }) => {
          const image = square(0, 0, 1).map((point) => mapPoint({ a, b, c, d, e: 7, f: -3 }, point));
          expect(computeRingArea(image)).toBeCloseTo(Math.abs(a * d - b * c), 9);
        },
      ),
    );
  });
});

describe('regions', () => {
  it('fills by rule: evenodd leaves a hole where nonzero fills', () => {
    const rings = [square(0, 0, 10), square(2, 2, 4)];
    expect(splitPieces(fillRegion(rings, 'evenodd'))[0]!.cavities).toHaveLength(1);
    expect(splitPieces(fillRegion(rings, 'nonzero'))[0]!.cavities).toHaveLength(0);
  });

  it('unites and intersects', () => {
    const a = fillRegion([square(0, 0, 10)], 'nonzero'),
      b = fillRegion([square(5, 5, 10)], 'nonzero');
    const area = (region: ReturnType<typeof fillRegion>) =>
      getRings(region).reduce((sum, ring) => sum + computeRingArea(ring), 0);
    expect(area(uniteRegions([a, b]))).toBeCloseTo(175, 6);
    expect(area(intersectRegions(a, b))).toBeCloseTo(25, 6);
    expect(getRings(uniteRegions([]))).toEqual([]);
    expect(getRings(intersectRegions(a, { rings: [] }))).toEqual([]);
  });

  it('paints nothing from lines of fewer than three points', () => {
    expect(
      getRings(
        fillRegion(
          [
            [
              { x: 0, y: 0 },
              { x: 9, y: 9 },
            ],
            [],
          ],
          'nonzero',
        ),
      ),
    ).toEqual([]);
  });
});

it('measures rings and boxes', () => {
  expect(computeLength(square(0, 0, 10), true)).toBe(40);
  expect(computeLength(square(0, 0, 10), false)).toBe(30);
  expect(countSharpCorners(square(0, 0, 10), 30)).toBe(4);
  expect(countSharpCorners(flattenContour(circle(20)), 30)).toBe(0);
  expect(boundPoints([])).toBeNull();
  expect(
    uniteBoxes([
      { x: 0, y: 0, width: 1, height: 1 },
      { x: 5, y: -2, width: 2, height: 1 },
    ]),
  ).toEqual({ x: 0, y: -2, width: 7, height: 3 });
});

describe('boxes that meet', () => {
  const box = { x: 10, y: 20, width: 30, height: 40 };

  it.each([
    ['the same', box, true],
    ['one within', { x: 15, y: 25, width: 1, height: 1 }, true],
    ['over its left edge', { x: 5, y: 25, width: 6, height: 1 }, true],
    ['beside its left edge', { x: 5, y: 25, width: 5, height: 1 }, false],
    ['over its right edge', { x: 39, y: 25, width: 6, height: 1 }, true],
    ['beside its right edge', { x: 40, y: 25, width: 6, height: 1 }, false],
    ['over its upper edge', { x: 15, y: 15, width: 1, height: 6 }, true],
    ['above its upper edge', { x: 15, y: 15, width: 1, height: 5 }, false],
    ['over its lower edge', { x: 15, y: 59, width: 1, height: 6 }, true],
    ['below its lower edge', { x: 15, y: 60, width: 1, height: 6 }, false],
  ])('%s', (_, other, meet) => {
    expect(boxesMeet(box, other)).toBe(meet);
    expect(boxesMeet(other, box)).toBe(meet);
  });
});
