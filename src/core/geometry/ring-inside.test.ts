// Where a point lies, against the clipping library's own answer.

import { Clipper, PointInPolygonResult, type Path64 } from 'clipper2-ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RingInside } from './ring-inside';

const BY_LIBRARY = {
  [PointInPolygonResult.IsInside]: 'inside',
  [PointInPolygonResult.IsOutside]: 'outside',
  [PointInPolygonResult.IsOn]: 'on',
};

/** Round the origin, in steps between which it jumps in and out; on a grid so coarse that edges lie level. */
const anyRing = fc
  .array(fc.integer({ min: 3, max: 40 }), { minLength: 64, maxLength: 120 })
  .map((radii): Path64 =>
    radii.map((radius, at) => {
      const angle = (at / radii.length) * 2 * Math.PI;
      return { x: Math.round(radius * Math.cos(angle)), y: Math.round(radius * Math.sin(angle)) };
    }),
  )
  .map((ring) =>
    ring.filter((point, at) => {
      const before = ring.at(at - 1)!;
      return point.x !== before.x || point.y !== before.y;
    }),
  );
const everywhere = Array.from({ length: 81 * 81 }, (_, at) => ({ x: (at % 81) - 40, y: Math.floor(at / 81) - 40 }));

describe('a ring that is asked about many points', () => {
  it('says of each what the library says, on corners and level edges too', () => {
    let onEdge = 0;
    fc.assert(
      fc.property(anyRing, (ring) => {
        const inside = new RingInside(ring);
        for (const point of everywhere) {
          const expected = BY_LIBRARY[Clipper.pointInPolygon(point, ring)];
          if (expected === 'on') onEdge++;
          expect(inside.tell(point)).toBe(expected);
        }
      }),
      { numRuns: 25 },
    );
    expect(onEdge).toBeGreaterThan(500);
  });

  it('says the same whichever way it runs', () => {
    const [ring] = fc.sample(anyRing, { numRuns: 1, seed: 7 });
    const [one, other] = [new RingInside(ring!), new RingInside([...ring!].reverse())];
    for (const point of everywhere) expect(other.tell(point)).toBe(one.tell(point));
  });
});
