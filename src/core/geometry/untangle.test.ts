// What rings fill of which some cross: at points all over it, by counting how often the rings as drawn go round them.

import { Clipper, FillRule, type Path64, type Paths64 } from 'clipper2-ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeLength, fillRegion, splitPieces, type Point } from './index';
import { fillRings } from './untangle';

const RULES = { nonzero: FillRule.NonZero, evenodd: FillRule.EvenOdd } as const;
const STEP = 1000;

const square = (x: number, y: number, size: number, clockwise = false): Path64 => {
  const ring = [
    { x, y },
    { x: x + size, y },
    { x: x + size, y: y + size },
    { x, y: y + size },
  ].map((point) => ({ x: point.x * STEP, y: point.y * STEP }));
  return clockwise ? ring.reverse() : ring;
};

/** How often rings go round a point, by the angles that it sees their edges under. */
const countTurns = (rings: Paths64, at: Point) =>
  // Without the sign of nought.
  0 +
  Math.round(
    rings
      .flatMap((ring) => ring.map((from, index) => [from, ring[(index + 1) % ring.length]!] as const))
      .reduce((sum, [from, to]) => {
        const [ax, ay, bx, by] = [from.x - at.x, from.y - at.y, to.x - at.x, to.y - at.y];
        return sum + Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
      }, 0) /
      (2 * Math.PI),
  );

/** Within what rounding moves. */
const isNearEdge = (rings: Paths64, at: Point) =>
  rings.some((ring) =>
    ring.some((from, index) => {
      const to = ring[(index + 1) % ring.length]!;
      const [dx, dy] = [to.x - from.x, to.y - from.y];
      const along = Math.max(0, Math.min(1, ((at.x - from.x) * dx + (at.y - from.y) * dy) / (dx * dx + dy * dy || 1)));
      return Math.hypot(from.x + dx * along - at.x, from.y + dy * along - at.y) < 5;
    }),
  );

const whole = (least: number, most: number) => fc.integer({ min: least * STEP, max: most * STEP });
const scribble = fc.array(fc.record({ x: whole(0, 60), y: whole(0, 60) }), { minLength: 3, maxLength: 6 });
const tile = fc
  .tuple(fc.nat(50), fc.nat(50), fc.integer({ min: 1, max: 30 }), fc.boolean())
  .map(([x, y, size, clockwise]) => square(x, y, size, clockwise));
/** Enough that lie apart from what crosses for it to be taken by itself. */
const corner = Array.from({ length: 10 }, (_, at) => square(100 + at * 10, 100, 5));

describe('rings of which some cross', () => {
  it('fill what they go round, whatever lies in and around them', () => {
    fc.assert(
      fc.property(
        fc.array(fc.oneof(scribble, tile), { minLength: 1, maxLength: 5 }),
        fc.option(fc.boolean()),
        fc.constantFrom('nonzero' as const, 'evenodd' as const),
        fc.array(fc.record({ x: whole(-4, 64), y: whole(-4, 64) }), { minLength: 30, maxLength: 30 }),
        (some, sheet, rule, places) => {
          const rings = [...some, ...corner, ...(sheet === null ? [] : [square(-3, -3, 300, sheet)])];
          const filled = fillRings(rings, rule);
          for (const at of places.filter((place) => !isNearEdge(rings, place))) {
            const turns = countTurns(rings, at);
            expect(countTurns(filled, at)).toBe((rule === 'nonzero' ? turns !== 0 : turns % 2 !== 0) ? 1 : 0);
          }
        },
      ),
      { numRuns: 1500 },
    );
  });

  it('are as many outlines and holes as the library makes of all of them', () => {
    const star = (x: number, y: number) =>
      [0, 2, 4, 1, 3].map((at) => ({
        x: Math.round(STEP * (x + 4 * Math.cos((at * 2 * Math.PI) / 5))),
        y: Math.round(STEP * (y + 4 * Math.sin((at * 2 * Math.PI) / 5))),
      }));
    const holes = Array.from({ length: 40 }, (_, at) => square(5 + (at % 8) * 12, 5 + Math.floor(at / 8) * 20, 6));
    const rings = [square(0, 0, 110), ...holes, square(9, 9, 6), star(50, 18), star(70, 18).reverse()];
    for (const rule of ['nonzero', 'evenodd'] as const) {
      const [filled, union] = [fillRings(rings, rule), Clipper.union(rings, RULES[rule])];
      const tell = (all: Paths64) => all.map((ring) => Math.sign(Clipper.area(ring))).sort();
      expect(tell(filled)).toEqual(tell(union));
      const areaOf = (all: Paths64) => all.reduce((sum, ring) => sum + Clipper.area(ring), 0);
      expect(areaOf(filled) / areaOf(union)).toBeCloseTo(1, 8);
    }
  });

  it('lie in what others fill, however often those go round', () => {
    const crossing = [square(20, 20, 20, true), square(30, 30, 20, true)];
    const around = (times: number) => Array.from({ length: times }, (_, at) => square(-at, -at, 90 + 2 * at));
    const count = (times: number) => fillRings([...around(times), ...crossing, ...corner], 'nonzero').length;
    // Once round: back to nought but for what both cross; twice: to nought there; three times: nowhere.
    expect([1, 2, 3].map((times) => count(times) - corner.length)).toEqual([3, 2, 1]);
  });

  it('leave the others as they are', () => {
    const [sheet, apart] = [square(0, 0, 100), square(60, 60, 9, true)];
    const filled = fillRings([sheet, apart, square(10, 10, 10), square(15, 15, 10)], 'evenodd');
    expect(filled).toContain(sheet);
    expect(filled).toContain(apart);
  });

  it('leave no sliver narrower than a step of the grid where two circles touch', () => {
    // As drawn with coordinates of two digits: they have a corner in common, and lie a hair over each other beside it.
    const left = [
      [900_400, 633_788],
      [900_339, 635_652],
      [800_000, 640_000],
      [800_000, 620_000],
      [900_339, 631_924],
    ];
    const right = [
      [900_400, 633_788],
      [900_351, 635_273],
      [960_000, 650_000],
      [960_000, 610_000],
      [900_373, 630_818],
      [900_351, 632_303],
    ];
    const rings = [left, right].map((ring) => ring.map(([x, y]) => ({ x: x!, y: y! })));
    const filled = fillRings([square(700, 500, 400), ...rings, ...corner], 'evenodd');
    const widths = filled.map((ring) => (2 * Math.abs(Clipper.area(ring))) / computeLength(ring, true));
    expect(Math.min(...widths)).toBeGreaterThan(1);
  });

  it('fill the same where some are known to lie apart from all others', () => {
    const [apart, rings] = [square(40, 40, 10), [square(0, 0, 100), square(20, 20, 9), square(25, 25, 9)]];
    for (const rule of ['nonzero', 'evenodd'] as const)
      expect(fillRings([...rings, apart], rule, new Set([apart]))).toEqual(fillRings([...rings, apart], rule));
    expect(fillRings([apart], 'nonzero', new Set([apart]))).toEqual([apart]);
  });

  it('are taken by themselves too where they were known to lie apart from all others', () => {
    const eight = [
      { x: 20, y: 20 },
      { x: 40, y: 40 },
      { x: 40, y: 20 },
      { x: 20, y: 40 },
    ].map(({ x, y }) => ({ x: x * STEP, y: y * STEP }));
    const rings = [square(0, 0, 60), square(50, 50, 5), eight];
    const areas = fillRings(rings, 'evenodd', new Set([eight])).map((ring) => Clipper.area(ring) / STEP / STEP);
    expect(areas.filter((area) => area > 0)).toEqual([3600]);
    expect(areas.reduce((sum, area) => sum + area, 0)).toBe(3600 - 25 - 200);
  });
});

it('lace with two holes that overlap has one cavity fewer, and a piece where they cover each other', () => {
  const round = (x: number, y: number, radius: number) =>
    Array.from({ length: 24 }, (_, at) => ({
      x: x + radius * Math.cos((at * Math.PI) / 12),
      y: y + radius * Math.sin((at * Math.PI) / 12),
    })).reverse();
  const sheet = [
    { x: 0, y: 0 },
    { x: 200, y: 0 },
    { x: 200, y: 200 },
    { x: 0, y: 200 },
  ];
  const holes = Array.from({ length: 100 }, (_, at) =>
    round(10 + (at % 10) * 20, 10 + Math.floor(at / 10) * 20, at === 44 || at === 45 ? 12 : 6),
  );
  const count = (rule: 'nonzero' | 'evenodd') =>
    splitPieces(fillRegion([sheet, ...holes], rule)).map(({ cavities }) => cavities.length);
  // Against the sheet's way: gone round once by it, back by either hole, and once the other way by both.
  expect(count('nonzero')).toEqual([99, 0]);
  expect(count('evenodd')).toEqual([99, 0]);
});
