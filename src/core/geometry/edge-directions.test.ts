// Which edges may face each other, told by their directions alone.

import fc from 'fast-check';
import { expect, it } from 'vitest';
import { against, EdgeDirections } from './edge-directions';
import { RingEdges } from './ring-edges';
import type { Point } from './matrix';

const lay = (points: readonly Point[]) => {
  const edges = new RingEdges([{ points, inside: 1, passOver: [] }]);
  return { edges, directions: new EdgeDirections(edges) };
};

it('a corner so sharp that the edge all but turns back juts out as any other', () => {
  const { edges, directions } = lay([
    { x: 0, y: 0 },
    { x: 100, y: 0.2 },
    { x: 0, y: 0.4 },
  ]);
  const tip = edges.x1.findIndex((x) => x === 100);
  expect(directions.juts(-1, tip)).toBe(true);
  expect(directions.juts(1, tip)).toBe(false);
});

it('never rules out two edges that run against each other', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }), fc.integer({ min: 2, max: 20 }), (turn, half) => {
      // Of a ring with an even number of equal sides each has one across from it.
      const { edges, directions } = lay(
        Array.from({ length: 2 * half }, (_, at) => {
          const angle = turn + (at * Math.PI) / half;
          return { x: 50 * Math.cos(angle), y: 50 * Math.sin(angle) };
        }),
      );
      const middles = [...edges.x1].map((x, at) => ({
        x: (x + edges.x2[at]!) / 2,
        y: (edges.y1[at]! + edges.y2[at]!) / 2,
      }));
      for (const [edge, { x, y }] of middles.entries()) {
        const apart = middles.map((other) => Math.hypot(other.x + x, other.y + y));
        const across = apart.indexOf(Math.min(...apart));
        expect(against(directions.cones[edge]!) & directions.ofEdge(across)).not.toBe(0);
      }
    }),
  );
});
