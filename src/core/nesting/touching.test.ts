import fc from 'fast-check';
import { randomLcg } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { cutConvex, cutJigsaw } from '../../../test/puzzles';
import { mixRealShapes } from '../../../test/real-shapes';
import { makeRegion, type Polyline } from '../geometry';
import { assemble } from './assemble';
import type { Bin } from './bins';
import { measureOverlap } from './collide';
import type { NestPiece } from './nesting';
import { Pose, TURN_STEPS } from './pose';
import { preparePiece } from './prepare-pieces';
import { Shape } from './shape';
import { looksLikePuzzle, matchTurns, measureFreeAngle, meetsWholly, type Corner } from './touching';

const rect = (width: number, length: number): Polyline => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: length },
  { x: 0, y: length },
];
const ELL: Polyline = [
  { x: 0, y: 0 },
  { x: 60, y: 0 },
  { x: 60, y: 20 },
  { x: 20, y: 20 },
  { x: 20, y: 60 },
  { x: 0, y: 60 },
];
const shapeOf = (ring: Polyline, steps: readonly number[] | null = null) => new Shape(makeRegion([ring]), steps);
const shapesOf = (pieces: readonly NestPiece[], gapMm = 0) =>
  pieces.map((piece) => {
    const prepared = preparePiece(piece, gapMm, 'bays');
    if (!prepared.ok) throw new Error(prepared.problem.kind);
    return prepared.value.shape;
  });
const bin = (width: number, length: number): Bin => ({
  stockId: 's',
  kind: 'roll',
  width,
  length,
  x: 0,
  y: 0,
  obstacles: [],
  wholeWidth: width,
  wholeMm2: width * length,
  endMm: 0,
});
const laid = (shape: Shape, x: number, y: number, step = 0) => ({
  shape,
  pose: new Pose(shape, step),
  placing: { x, y, step },
});

describe('a turned shape', () => {
  it('lies where turning its corners puts it, its normals point outward, its boxes hold its parts', () => {
    const shape = shapeOf(ELL);
    fc.assert(
      fc.property(fc.double({ min: 0, max: TURN_STEPS, maxExcluded: true, noNaN: true }), (step) => {
        const pose = new Pose(shape, step),
          angle = (step * 2 * Math.PI) / TURN_STEPS;
        for (let at = 0; at < shape.corners.length; at++) {
          const x = shape.xs[shape.corners[at]!]!,
            y = shape.ys[shape.corners[at]!]!;
          expect(pose.px[at]).toBeCloseTo(x * Math.cos(angle) - y * Math.sin(angle), 9);
          expect(pose.py[at]).toBeCloseTo(x * Math.sin(angle) + y * Math.cos(angle), 9);
          expect(Math.hypot(pose.nx[at]!, pose.ny[at]!)).toBeCloseTo(1, 9);
        }
        for (let part = 0; part + 1 < shape.starts.length; part++) {
          for (let edge = shape.starts[part]!; edge < shape.starts[part + 1]!; edge++) {
            expect(pose.px[edge]! >= pose.boxes[part * 4]! && pose.px[edge]! <= pose.boxes[part * 4 + 2]!).toBe(true);
            // No corner of its part lies outside the edge.
            for (let other = shape.starts[part]!; other < shape.starts[part + 1]!; other++)
              expect(
                pose.nx[edge]! * (pose.px[other]! - pose.px[edge]!) +
                  pose.ny[edge]! * (pose.py[other]! - pose.py[edge]!),
              ).toBeLessThan(1e-6);
          }
        }
      }),
      { numRuns: 40 },
    );
  });

  it('by a quarter is exact, and the same however many others were asked for between', () => {
    const shape = shapeOf(rect(60, 20)),
      quarter = shape.pose(TURN_STEPS / 4);
    expect([quarter.minX, quarter.maxX, quarter.minY, quarter.maxY]).toEqual([-10, 10, -30, 30]);
    for (let step = 0; step < 40; step++) shape.pose(step);
    const again = shape.pose(TURN_STEPS / 4);
    expect([again.minX, again.maxX, again.minY, again.maxY]).toEqual([-10, 10, -30, 30]);
  });
});

describe('how pieces of a puzzle touch', () => {
  it('the free angle about a place is what walls and pieces leave', () => {
    const square = shapeOf(rect(10, 10)),
      box = bin(100, 100),
      corner = (x: number, y: number): Corner => ({ x, y, into: 0, out: 0, intoMm: null, outMm: null });
    const degrees = (x: number, y: number, pieces: Parameters<typeof measureFreeAngle>[1]) =>
      (measureFreeAngle(box, pieces, corner(x, y)) * 180) / Math.PI;
    const first = laid(square, 5, 5);
    expect([
      degrees(0, 0, []),
      degrees(0, 0, [first]),
      degrees(10, 0, [first]),
      degrees(10, 10, [first]),
      degrees(10, 5, [first]),
      degrees(50, 50, [first]),
    ]).toEqual([90, 0, 90, 270, 180, 360].map((angle) => expect.closeTo(angle, 6)));
    expect(degrees(10, 10, [first, laid(square, 15, 15)])).toBeCloseTo(180, 6);
  });

  it('a piece is turned so that an edge of it lies along one at the corner, and no farther than it may be', () => {
    const tall = shapeOf(rect(20, 50)),
      corner: Corner = { x: 0, y: 0, into: Math.PI, out: Math.PI / 2, intoMm: null, outMm: null };
    const all = (shape: Shape) =>
      [...new Set(Array.from(shape.sharp, (at) => [...matchTurns(shape, at, corner, false)]).flat())].sort(
        (a, b) => a - b,
      );
    expect(all(tall)).toEqual([0, 180, 360, 540]);
    expect(all(shapeOf(rect(20, 50), [0, 360]))).toEqual([0, 360]);
    // Where neighbours meet along whole edges, one of another length is none.
    expect(matchTurns(tall, tall.sharp[0]!, { ...corner, intoMm: 33, outMm: 33 }, true)).toEqual([]);
  });

  it('jigsaws meet along whole edges, straight cuts not always; real silhouettes and copies of one are no puzzle', () => {
    const jigsaw = shapesOf(cutJigsaw(4, 5, 0.1).pieces),
      convex = shapesOf(cutConvex(24, 0.15).pieces),
      real = shapesOf(mixRealShapes(9, 0.2), 6);
    expect([looksLikePuzzle(jigsaw), meetsWholly(jigsaw)]).toEqual([true, true]);
    expect(looksLikePuzzle(convex)).toBe(true);
    expect(looksLikePuzzle(real)).toBe(false);
    expect(looksLikePuzzle([real[0]!, real[0]!, real[0]!])).toBe(false);
  });
});

describe('a puzzle put together', () => {
  const run = (shapes: readonly Shape[], beam: number, shorterThan = 5000) => {
    const work = assemble(
      bin(300, 5000),
      shapes,
      shapes.map((_, at) => at),
      randomLcg(0.3),
      { beam, branches: 6, noise: 0 },
      shorterThan,
    );
    for (;;) {
      const { done, value } = work.next();
      if (done) return value;
    }
  };
  it('has every piece once, none on another, and is as long as it was before it was cut', () => {
    const shapes = shapesOf(cutConvex(20, 0.1).pieces),
      placings = run(shapes, 8);
    if (!placings) throw new Error('not assembled');
    expect([...placings.keys()].sort((a, b) => a - b)).toEqual(shapes.map((_, at) => at));
    const pieces = shapes.map((shape, at) =>
      laid(shape, placings.get(at)!.x, placings.get(at)!.y, placings.get(at)!.step),
    );
    pieces.forEach((a, at) =>
      pieces
        .slice(at + 1)
        .forEach((b) =>
          expect(
            measureOverlap(
              a.shape,
              a.pose,
              b.shape,
              b.pose,
              b.placing.x - a.placing.x,
              b.placing.y - a.placing.y,
              Infinity,
            ),
          ).toBe(0),
        ),
    );
    expect(Math.max(...pieces.map(({ pose, placing }) => placing.y + pose.maxY))).toBeCloseTo(400, 2);
  });

  it('is given up where it can’t be shorter than is known, and is none where no edge lies along the walls', () => {
    expect(run(shapesOf(cutConvex(20, 0.1).pieces), 8, 390)).toBeNull();
    expect(
      run(
        Array.from({ length: 6 }, () =>
          shapeOf(
            [
              { x: 0, y: 0 },
              { x: 50, y: 9 },
              { x: 17, y: 43 },
            ],
            [0],
          ),
        ),
        8,
      ),
    ).toBe(false);
  });
});
