// What rings fill that cross nowhere, against the clipping library's union of the same rings.

import { Clipper, FillRule, type Paths64 } from 'clipper2-ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fillApart, findAround } from './apart-rings';
import { computeRegionArea, fillRegion, splitPieces } from './polygon';

const RULES = { nonzero: FillRule.NonZero, evenodd: FillRule.EvenOdd } as const;

const square = (x: number, y: number, size: number, clockwise = false) => {
  const ring = [
    { x, y },
    { x: x + size, y },
    { x: x + size, y: y + size },
    { x, y: y + size },
  ];
  return clockwise ? ring.reverse() : ring;
};
const areaOf = (rings: Paths64) => rings.reduce((sum, ring) => sum + Clipper.area(ring), 0);
const signsOf = (rings: Paths64) => rings.map((ring) => Math.sign(Clipper.area(ring))).sort();

const anyRing = fc
  .tuple(fc.nat(30), fc.nat(30), fc.integer({ min: 1, max: 20 }), fc.boolean())
  .map(([x, y, size, clockwise]) => square(x, y, size, clockwise));

describe('rings that meet nowhere', () => {
  it('fill what their union fills, whichever way they run and lie in one another', () => {
    let told = 0;
    fc.assert(
      fc.property(
        fc.array(anyRing, { minLength: 1, maxLength: 6 }),
        fc.constantFrom('nonzero' as const, 'evenodd' as const),
        (rings, rule) => {
          const filled = fillApart(rings, rule);
          if (!filled) return;
          told++;
          const union = Clipper.union(rings, RULES[rule]);
          expect(areaOf(filled)).toBe(areaOf(union));
          expect(signsOf(filled)).toEqual(signsOf(union));
        },
      ),
      { numRuns: 4000 },
    );
    expect(told).toBeGreaterThan(1000);
  });

  it('are left to the library where they cross, touch or run back on themselves', () => {
    expect(fillApart([square(0, 0, 10), square(5, 5, 10)], 'nonzero')).toBeNull();
    expect(fillApart([square(0, 0, 10), square(10, 0, 10)], 'nonzero')).toBeNull();
    expect(fillApart([square(0, 0, 10), square(0, 0, 10)], 'evenodd')).toBeNull();
    const spike = [...square(0, 0, 10), { x: 0, y: 20 }, { x: 0, y: 10 }];
    expect(fillApart([spike], 'nonzero')).toBeNull();
  });

  it('lie in those that go round them, also where they touch', () => {
    const rings = [square(0, 0, 100), square(10, 10, 50), square(20, 20, 5), square(70, 70, 10), square(200, 0, 5)];
    expect(findAround(rings)!.map((around) => [...around].sort())).toEqual([[], [0], [0, 1], [0], []]);
    // A hole that touches the edge with one corner.
    const touching = [{ x: 0, y: 50 }, ...square(20, 40, 20).slice(1, 3)];
    expect(findAround([square(0, 0, 100), touching])).toEqual([[], [0]]);
    expect(findAround([square(0, 0, 100), square(0, 0, 100)])).toBeNull();
  });
});

describe('a drawing’s lines', () => {
  it('paint the same with dots, strokes and repeated points among them, which paint nothing', () => {
    const dot = [
      { x: 5, y: 5 },
      { x: 5, y: 5 },
      { x: 5, y: 5 },
    ];
    const stroke = [
      { x: 1, y: 1 },
      { x: 9, y: 1 },
      { x: 1, y: 1 },
    ];
    const repeated = square(2, 2, 4).flatMap((point) => [point, point]);
    for (const rule of ['nonzero', 'evenodd'] as const) {
      expect(computeRegionArea(fillRegion([square(0, 0, 10), dot, repeated], 'evenodd'))).toBe(84);
      expect(computeRegionArea(fillRegion([square(0, 0, 10), stroke, square(20, 0, 5)], rule))).toBe(125);
    }
  });
});

describe('pieces of a region', () => {
  it('have the cavities that lie in them, and islands in those are pieces of their own', () => {
    const scale = (ring: Paths64[number]) => ring.map(({ x, y }) => ({ x: x * 10_000, y: y * 10_000 }));
    const rings = [
      square(0, 0, 100),
      square(10, 10, 50, true),
      square(20, 20, 30),
      square(25, 25, 5, true),
      square(70, 70, 10, true),
      square(200, 0, 5),
    ].map(scale);
    const pieces = splitPieces({ rings });
    const tell = pieces.map(({ outer, cavities }) => [outer[0]!.x, cavities.map((ring) => ring.length).length]);
    expect(tell).toEqual([
      [0, 2],
      [20, 1],
      [200, 0],
    ]);
  });
});
