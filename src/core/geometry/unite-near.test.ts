// Regions that may meet, united, against the clipping library's union of all their rings at once.

import { Clipper, FillRule, type Path64, type Paths64 } from 'clipper2-ts';
import { randomLcg } from 'd3-random';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uniteNear } from './unite-near';

const oblong = (x: number, y: number, width: number, height: number): Path64 => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];
/** With a hole as far from its edge as `wall` says, where there is room for one. */
const frame = (x: number, y: number, width: number, height: number, wall: number): Paths64 =>
  width > 2 * wall && height > 2 * wall
    ? [oblong(x, y, width, height), oblong(x + wall, y + wall, width - 2 * wall, height - 2 * wall).reverse()]
    : [oblong(x, y, width, height)];

const areaOf = (rings: Paths64) => rings.reduce((sum, ring) => sum + Clipper.area(ring), 0);
const signsOf = (rings: Paths64) => rings.map((ring) => Math.sign(Clipper.area(ring))).sort();
const uniteAll = (regions: readonly Paths64[]) => Clipper.union(regions.flat(), FillRule.NonZero);

const anyFrame = fc
  .tuple(
    fc.nat(60),
    fc.nat(60),
    fc.integer({ min: 2, max: 40 }),
    fc.integer({ min: 2, max: 40 }),
    fc.integer({ min: 1, max: 9 }),
  )
  .map(([x, y, width, height, wall]) => frame(x, y, width, height, wall));

describe('regions that may meet', () => {
  it('are united as by the library, wherever they lie in, on and beside one another', () => {
    fc.assert(
      fc.property(fc.array(anyFrame, { minLength: 1, maxLength: 6 }), (regions) => {
        const union = uniteAll(regions);
        const united = uniteNear(regions);
        expect(areaOf(united)).toBe(areaOf(union));
        // Nothing overlaps: filled by the other rule it is the same.
        expect(areaOf(Clipper.union(united, FillRule.EvenOdd))).toBe(areaOf(union));
      }),
      { numRuns: 3000 },
    );
  });

  it('keep the sense of their rings, in a row as in a column', () => {
    const row = [frame(0, 0, 30, 20, 4), frame(28, 0, 30, 20, 4), frame(56, 0, 30, 20, 4)];
    const column = row.map((rings) => rings.map((ring) => ring.map(({ x, y }) => ({ x: y, y: x })).reverse()));
    for (const regions of [row, column]) {
      const united = uniteNear(regions);
      expect(signsOf(united)).toEqual([-1, -1, -1, 1]);
      expect(areaOf(united)).toBe(areaOf(uniteAll(regions)));
    }
  });

  it('fill a hole that another one covers, and leave one that none reaches', () => {
    const [left, right] = [frame(0, 0, 30, 20, 4), [oblong(20, 5, 40, 10)]];
    expect(areaOf(uniteNear([left, right]))).toBe(areaOf(uniteAll([left, right])));
    const clear = [...frame(0, 0, 30, 20, 4), oblong(100, 0, 5, 5)];
    const touching = [oblong(30, 5, 80, 10)];
    expect(areaOf(uniteNear([clear, touching]))).toBe(areaOf(uniteAll([clear, touching])));
  });

  it('are dropped where they lie within the material of another, and stay in its hole', () => {
    const around = frame(0, 0, 100, 100, 30);
    expect(uniteNear([around, [oblong(5, 5, 10, 10)]])).toHaveLength(2);
    expect(uniteNear([around, [oblong(45, 45, 10, 10)]])).toHaveLength(3);
  });

  it('are left to the library where many lie across one another', () => {
    const bars = Array.from({ length: 60 }, (_, at) => [
      [oblong(at * 10, 0, 6, 600)],
      [oblong(0, at * 10, 600, 6)],
    ]).flat();
    const grille = uniteNear(bars);
    expect(areaOf(grille)).toBe(areaOf(uniteAll(bars)));
    expect(signsOf(grille).filter((sign) => sign > 0)).toHaveLength(1);
  });

  it('are united where nothing is left of one half: slivers that fold back on themselves', () => {
    const sliver = (at: number): Paths64 => [
      [
        { x: at, y: 0 },
        { x: at + 600, y: 0 },
        { x: at + 300, y: 0 },
      ],
    ];
    const bar = (at: number): Paths64 => [oblong(5000 + at, at % 7, 600, 40)];
    const numbers = Array.from({ length: 400 }, (_, at) => at);
    const regions = [...numbers.map(sliver), ...numbers.map(bar)];
    expect(areaOf(uniteNear(regions))).toBe(areaOf(uniteAll(regions)));
  });

  it('are united half by half where thousands of edges are entangled, as if all at once', () => {
    const next = randomLcg(0.3);
    const anyBar = (): Paths64 => {
      const [x, y, turn] = [next() * 1e6, next() * 1e6, next() * Math.PI];
      const corner = (along: number, aside: number) => ({
        x: Math.round(x + along * Math.cos(turn) - aside * Math.sin(turn)),
        y: Math.round(y + along * Math.sin(turn) + aside * Math.cos(turn)),
      });
      return [[corner(-6e4, -2e3), corner(6e4, -2e3), corner(6e4, 2e3), corner(-6e4, 2e3)]];
    };
    // Frames among them, so that there are holes from the start, and dots that nothing reaches.
    const regions = [
      ...Array.from({ length: 900 }, anyBar),
      ...Array.from({ length: 200 }, (_, at) => frame((at % 20) * 5e4, Math.floor(at / 20) * 1e5, 9e4, 9e4, 1e3)),
      ...Array.from({ length: 50 }, (_, at) => [oblong(2e6, at * 2e4, 100, 100)]),
    ];
    const [united, union] = [uniteNear(regions), uniteAll(regions)];
    // Each half is rounded to the grid, a ten-thousandth of a millimetre.
    expect(areaOf(united) / areaOf(union)).toBeCloseTo(1, 6);
    const lost = Clipper.difference(union, united, FillRule.NonZero),
      won = Clipper.difference(united, union, FillRule.NonZero);
    expect(areaOf(lost) / areaOf(union)).toBeLessThan(1e-6);
    expect(areaOf(won) / areaOf(union)).toBeLessThan(1e-6);
    expect(areaOf(Clipper.union(united, FillRule.EvenOdd)) / areaOf(union)).toBeCloseTo(1, 6);
    const large = (rings: Paths64) => signsOf(rings.filter((ring) => Math.abs(Clipper.area(ring)) > 1e4));
    expect(large(united)).toEqual(large(union));
  });
});
