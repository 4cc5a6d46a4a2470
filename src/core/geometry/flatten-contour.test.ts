// Curves as polylines: how far they stray, and how much they enclose.

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  boundEllipse,
  boundPoints,
  computeLength,
  computeRingArea,
  flattenContour,
  flattenEvenly,
  FLATTENING_MM,
  transformContour,
  type Contour,
  type Point,
} from './index';
import { circle } from './geometry-examples';

describe('flattening', () => {
  it.each([
    ['by chords', flattenContour, 0.0012],
    ['evenly', flattenEvenly, 0.0024],
  ] as const)('keeps every point of a circle within the stated tolerance, corners and sides, %s', (_, flat, share) => {
    for (const radius of [0.5, 3, 40, 600]) {
      const line = flat(circle(radius));
      const tolerance = Math.min(FLATTENING_MM, radius * share) + 1e-9;
      for (const [at, { x, y }] of line.entries()) {
        const next = line[(at + 1) % line.length]!;
        expect(Math.abs(Math.hypot(x, y) - radius)).toBeLessThan(tolerance);
        expect(Math.abs(Math.hypot((x + next.x) / 2, (y + next.y) / 2) - radius)).toBeLessThan(tolerance);
      }
    }
  });

  it('puts no corner outside a circle where chords are asked for, so that two that touch do not meet', () => {
    for (const radius of [0.5, 3, 40])
      for (const { x, y } of flattenContour(circle(radius))) expect(Math.hypot(x, y)).toBeLessThan(radius + 1e-12);
  });

  it.each([0.05, 0.1, 1.5, 5, 40])('gives a circle of radius %d its area, length and box', (radius) => {
    const line = flattenEvenly(circle(radius));
    expect(computeRingArea(line) / (Math.PI * radius * radius)).toBeCloseTo(1, 9);
    expect(Math.abs(computeLength(line, true) / (2 * Math.PI * radius) - 1)).toBeLessThan(0.0014);
    const box = boundPoints([line])!;
    expect(box.width).toBeCloseTo(2 * radius, 9);
    expect(box.height).toBeCloseTo(2 * radius, 9);
  });

  it('gives what curves enclose to a hundredth of a per cent, by the formula for their area', () => {
    const place = fc.record({
      x: fc.double({ min: -1, max: 1, noNaN: true }),
      y: fc.double({ min: -1, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(fc.record({ reach: fc.double({ min: 0.7, max: 1.3, noNaN: true }), lean: place }), {
          minLength: 3,
          maxLength: 8,
        }),
        fc.double({ min: 0.3, max: 60, noNaN: true }),
        (corners, size) => {
          const contour = drawBlob(corners, size);
          const line = flattenEvenly(contour);
          expect(line.length).toBeLessThanOrEqual(flattenContour(contour).length);
          const share = Math.abs(areaWithin(line) / areaWithinCurves(contour) - 1);
          // Nowhere finer than a fifth of a thousandth of a millimetre.
          expect(share).toBeLessThan(1e-4 + 2e-5 / size);
        },
      ),
    );
  });

  it('takes a circle that is written in several arcs as one, and nothing else', () => {
    const arcs = (turns: readonly number[]): Contour => {
      let at = 0;
      const segments = turns.map((turn) => {
        const from = at * 2 * Math.PI;
        at += turn;
        const until = at * 2 * Math.PI;
        return {
          kind: 'arc' as const,
          // As exact as the root of a rounding error.
          centre: { x: 2e-8, y: -1e-8 },
          u: { x: 3, y: 0 },
          v: { x: 0, y: 3 },
          from,
          until,
          to: { x: 3 * Math.cos(until), y: 3 * Math.sin(until) },
        };
      });
      return { start: { x: 3, y: 0 }, closed: true, segments };
    };
    const whole = flattenContour(arcs([1]));
    for (const turns of [
      [0.5, 0.5],
      [0.25, 0.25, 0.25, 0.25],
      [0.1, 0.9],
    ]) {
      const line = flattenContour(arcs(turns));
      expect(line).toHaveLength(whole.length);
      for (const [at, point] of line.entries())
        expect(Math.hypot(point.x - whole[at]!.x, point.y - whole[at]!.y)).toBeLessThan(1e-6);
    }
    // Three quarters, and there and back again.
    expect(computeRingArea(flattenContour(arcs([0.5, 0.25])))).toBeCloseTo(0.75 * Math.PI * 9 + 4.5, 1);
    expect(flattenContour(arcs([0.75, -0.5, 0.75])).length).toBeGreaterThan(whole.length * 1.5);
  });

  it('has the box of a whole ellipse without its line, and of nothing else', () => {
    const turned = transformContour(circle(20), { a: 2, b: 0.6, c: -0.5, d: 1, e: 7, f: -3 });
    const box = boundEllipse(turned)!;
    const byLine = boundPoints([flattenContour(turned)])!;
    for (const side of ['x', 'y', 'width', 'height'] as const)
      expect(Math.abs(box[side] - byLine[side])).toBeLessThan(2 * FLATTENING_MM);
    expect(box.width).toBeCloseTo(2 * 20 * Math.hypot(2, 0.5), 9);
    const [arc] = turned.segments as [Extract<Contour['segments'][number], { kind: 'arc' }>];
    expect(boundEllipse({ ...turned, segments: [{ ...arc, until: Math.PI }] })).toBeNull();
    expect(boundEllipse({ ...turned, segments: [arc, { kind: 'line', to: { x: 90, y: 0 } }] })).toBeNull();
  });

  it('keeps a cubic within the tolerance of the true curve', () => {
    const cubic: Contour = {
      start: { x: 0, y: 0 },
      closed: false,
      segments: [{ kind: 'cubic', control1: { x: 0, y: 100 }, control2: { x: 100, y: -60 }, to: { x: 100, y: 40 } }],
    };
    const line = flattenContour(cubic);
    for (let t = 0; t <= 1; t += 0.001) {
      const s = 1 - t;
      const at = { x: 3 * s * t * t * 100 + t ** 3 * 100, y: 3 * s * s * t * 100 - 3 * s * t * t * 60 + t ** 3 * 40 };
      const nearest = Math.min(...line.slice(1).map((b, index) => distanceToSegment(at, line[index]!, b)));
      expect(nearest).toBeLessThan(FLATTENING_MM * 1.01);
    }
  });

  it('transforms arcs exactly: a sheared circle keeps its area', () => {
    const line = flattenContour(transformContour(circle(30), { a: 1, b: 0, c: 0.7, d: 2, e: 5, f: 5 }));
    expect(computeRingArea(line) / (Math.PI * 900 * 2)).toBeCloseTo(1, 3);
  });
});

type BlobCorner = { readonly reach: number; readonly lean: Point };

/** A closed curve round the origin, through a corner in each direction, which it passes as it leans. */
function drawBlob(corners: readonly BlobCorner[], size: number): Contour {
  const angleOf = (at: number) => (2 * Math.PI * at) / corners.length;
  const points = corners.map(({ reach }, at) => ({
    x: size * reach * Math.cos(angleOf(at)),
    y: size * reach * Math.sin(angleOf(at)),
  }));
  const handle = size / corners.length;
  const tangents = corners.map(({ lean }, at) => ({
    x: handle * (lean.x - 1.5 * Math.sin(angleOf(at))),
    y: handle * (lean.y + 1.5 * Math.cos(angleOf(at))),
  }));
  const segments = points.map((from, at) => {
    const next = (at + 1) % points.length;
    const to = points[next]!;
    return {
      kind: 'cubic' as const,
      control1: { x: from.x + tangents[at]!.x, y: from.y + tangents[at]!.y },
      control2: { x: to.x - tangents[next]!.x, y: to.y - tangents[next]!.y },
      to,
    };
  });
  return { start: points[0]!, segments, closed: true };
}

const cross = (a: Point, b: Point): number => a.x * b.y - a.y * b.x;
const areaWithin = (line: readonly Point[]): number =>
  line.reduce((sum, point, at) => sum + cross(point, line[(at + 1) % line.length]!), 0) / 2;

/** Green's theorem over the Bernstein polynomials of each cubic. */
function areaWithinCurves({ start, segments }: Contour): number {
  let from = start,
    area = 0;
  for (const segment of segments) {
    if (segment.kind !== 'cubic') throw new Error('only curves');
    const { control1: b, control2: c, to: d } = segment;
    area +=
      (6 * cross(from, b) + 3 * cross(from, c) + cross(from, d) + 3 * cross(b, c) + 3 * cross(b, d) + 6 * cross(c, d)) /
      20;
    from = d;
  }
  return area;
}

function distanceToSegment(p: Point, a: Point, b: Point): number {
  const lengthSquared = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
  const t =
    lengthSquared === 0
      ? 0
      : Math.max(0, Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / lengthSquared));
  return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y));
}
