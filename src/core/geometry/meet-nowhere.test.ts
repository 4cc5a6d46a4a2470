import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meetNowhere } from './meet-nowhere';
import { computeRegionArea, fillRegion, type Point } from './index';

const whole = (least: number, most: number) => fc.integer({ min: least, max: most });
const ring = fc.array(fc.record({ x: whole(0, 12), y: whole(0, 12) }), { minLength: 3, maxLength: 12 });

const isSimpleRing = (ring: readonly Point[]) => meetNowhere([ring]);

/** Whether closed segments share a point, by exact whole numbers and no boxes. */
function touch(a: Point, b: Point, c: Point, d: Point): boolean {
  const side = (p: Point, q: Point, r: Point) => Math.sign((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x));
  const onto = (p: Point, q: Point, r: Point) =>
    side(p, q, r) === 0 &&
    Math.min(p.x, q.x) <= r.x &&
    r.x <= Math.max(p.x, q.x) &&
    Math.min(p.y, q.y) <= r.y &&
    r.y <= Math.max(p.y, q.y);
  return (
    (side(a, b, c) !== side(a, b, d) && side(c, d, a) !== side(c, d, b)) ||
    onto(a, b, c) ||
    onto(a, b, d) ||
    onto(c, d, a) ||
    onto(c, d, b)
  );
}

/** By looking at every pair of edges; neighbours may share their common end only. */
function isSimpleByBruteForce(points: readonly Point[]): boolean {
  const count = points.length,
    at = (index: number) => points[(index + count) % count]!;
  for (let one = 0; one < count; one++) {
    if (at(one).x === at(one + 1).x && at(one).y === at(one + 1).y) return false;
    for (let other = one + 1; other < count; other++) {
      const next = other === one + 1,
        last = one === 0 && other === count - 1;
      if (!next && !last) {
        if (touch(at(one), at(one + 1), at(other), at(other + 1))) return false;
        continue;
      }
      // Neighbours: the far end of either must not lie on the other.
      const [p, shared, q] = next ? [at(one), at(one + 1), at(one + 2)] : [at(other), at(0), at(1)];
      if (count > 2 && (touch(p, shared, q, q) || touch(shared, q, p, p))) return false;
    }
  }
  return true;
}

describe('a ring that does not meet itself', () => {
  it('is told as comparing every pair of edges tells it', () => {
    fc.assert(
      fc.property(ring, (points) => {
        // Three points in a row with a straight middle are simple too; the quick test may leave those to the library.
        if (isSimpleRing(points)) expect(isSimpleByBruteForce(points)).toBe(true);
      }),
      { numRuns: 4000 },
    );
  });

  it('is told alike of few edges and of many: with points along them the ring stays the same', () => {
    const parts = 40;
    const along = (points: readonly Point[]) =>
      points.flatMap((from, at) => {
        const to = points[(at + 1) % points.length]!;
        return Array.from({ length: parts }, (_, part) => ({
          x: from.x * (parts - part) + to.x * part,
          y: from.y * (parts - part) + to.y * part,
        }));
      });
    fc.assert(
      fc.property(ring, (points) => {
        expect(isSimpleRing(along(points))).toBe(isSimpleRing(points));
      }),
      { numRuns: 2000 },
    );
  });

  it('is found where it is one: stars, spirals and combs', () => {
    const star = Array.from({ length: 40 }, (_, at) => ({
      x: Math.round(1000 * (at % 2 ? 1 : 0.4) * Math.cos((at * Math.PI) / 20)),
      y: Math.round(1000 * (at % 2 ? 1 : 0.4) * Math.sin((at * Math.PI) / 20)),
    }));
    expect(isSimpleRing(star)).toBe(true);
    expect(isSimpleRing([...star].reverse())).toBe(true);
    const comb = [
      ...Array.from({ length: 60 }, (_, at) => ({ x: at * 10, y: at % 2 ? 500 : 20 })),
      { x: 600, y: 0 },
      { x: 0, y: 0 },
    ];
    expect(isSimpleRing(comb)).toBe(true);
    expect(
      isSimpleRing([
        { x: 0, y: 0 },
        { x: 10, y: 10 },
        { x: 10, y: 0 },
        { x: 0, y: 10 },
      ]),
    ).toBe(false);
    expect(
      isSimpleRing([
        { x: 0, y: 0 },
        { x: 10, y: 0 },
        { x: 5, y: 0 },
        { x: 5, y: 8 },
      ]),
    ).toBe(false);
    // Twice round a pentagram: every turn goes one way, and yet it crosses itself.
    expect(
      isSimpleRing(
        [0, 2, 4, 1, 3].map((at) => ({
          x: Math.round(100 * Math.cos((at * 2 * Math.PI) / 5)),
          y: Math.round(100 * Math.sin((at * 2 * Math.PI) / 5)),
        })),
      ),
    ).toBe(false);
  });

  it('fills the same area as the clipping library finds', () => {
    fc.assert(
      fc.property(ring, (points) => {
        // With a second line that is far away, the library is asked in any case.
        const far = [
          { x: 500, y: 500 },
          { x: 501, y: 500 },
          { x: 501, y: 501 },
        ];
        for (const rule of ['evenodd', 'nonzero'] as const)
          expect(computeRegionArea(fillRegion([points], rule))).toBeCloseTo(
            computeRegionArea(fillRegion([points, far], rule)) - 0.5,
            6,
          );
      }),
      { numRuns: 500 },
    );
  });
});

describe('a field of many rings', () => {
  /** Twelve corners each, in rows: more edges than are looked through in one go. */
  const COLUMNS = 25;
  const STEP = 1000;
  const field = (radii: readonly number[], shifts: readonly number[]) =>
    radii.map((radius, at) => {
      const x = ((at % COLUMNS) + 0.5) * STEP + shifts[at]!,
        y = (Math.floor(at / COLUMNS) + 0.5) * STEP - shifts[at]!;
      return Array.from({ length: 12 }, (_, corner) => ({
        x: Math.round(x + radius * Math.cos((corner * Math.PI) / 6)),
        y: Math.round(y + radius * Math.sin((corner * Math.PI) / 6)),
      }));
    });
  const edgesOf = (ring: readonly Point[]) => ring.map((from, at) => [from, ring[(at + 1) % ring.length]!] as const);
  /** By looking at every pair of rings that may reach each other, and at all their edges. */
  const meetByBruteForce = (rings: readonly (readonly Point[])[]) =>
    rings.some((ring, at) =>
      rings.some(
        (other, next) =>
          next > at &&
          Math.abs(ring[0]!.x - other[0]!.x) + Math.abs(ring[0]!.y - other[0]!.y) < 4 * STEP &&
          edgesOf(ring).some(([a, b]) => edgesOf(other).some(([c, d]) => touch(a, b, c, d))),
      ),
    );

  it('meets where comparing every pair of rings says so', () => {
    const seen = new Set<boolean>();
    fc.assert(
      fc.property(
        fc.array(whole(100, 400), { minLength: 400, maxLength: 400 }),
        fc.array(whole(-40, 40), { minLength: 400, maxLength: 400 }),
        fc.option(fc.record({ at: whole(0, 399), radius: whole(400, 900) }), { freq: 2 }),
        (radii, shifts, wide) => {
          const rings = field(
            radii.map((radius, at) => (at === wide?.at ? wide.radius : radius)),
            shifts,
          );
          const isApart = !meetByBruteForce(rings);
          seen.add(isApart);
          expect(meetNowhere(rings)).toBe(isApart);
        },
      ),
      { numRuns: 12, seed: 15 },
    );
    expect([...seen].sort()).toEqual([false, true]);
  });

  it('is told apart though a line goes from top to bottom of it', () => {
    const rings = field(
      Array.from({ length: 400 }, () => 300),
      Array.from({ length: 400 }, () => 0),
    );
    const [right, bottom] = [COLUMNS * STEP, 16 * STEP];
    const frame = [
      { x: 0, y: 0 },
      { x: right, y: 0 },
      { x: right, y: bottom },
      { x: 0, y: bottom },
    ];
    expect(meetNowhere([frame, ...rings])).toBe(true);
    expect(meetNowhere([frame.map(({ x, y }) => ({ x: x / 2 + 300, y })), ...rings])).toBe(false);
  });
});
