// The box of a drawing, flattened where it matters, against that of all its lines.

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boundPoints, composeMatrices, computeRingArea, rotation, scaling, type Matrix } from '../geometry';
import { readSvg, type Artwork } from './index';
import { flattenLines } from './flat-layers';
import { boundControlPoints, boundPainted } from './painted-box';

function read(body: string): Artwork {
  const artwork = readSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="200mm" viewBox="0 0 200 200">${body}</svg>`,
  );
  if (!artwork.ok) throw new Error(artwork.problem.kind);
  return artwork.value;
}

function boundAll(artwork: Artwork, matrix: Matrix) {
  const lines = flattenLines(artwork, matrix);
  if (!lines.ok) throw new Error('too many');
  const all = lines.value.flatMap(({ shapes }) => shapes.flatMap((shape) => shape.lines.map(({ points }) => points)));
  return boundPoints(all.filter((line) => computeRingArea(line) > 0));
}

const anyCircle = fc
  .tuple(fc.nat(200), fc.nat(200), fc.integer({ min: 1, max: 60 }))
  .map(([x, y, r]) => `<circle cx="${x}" cy="${y}" r="${r}"/>`);
const anyCurve = fc
  .array(fc.tuple(fc.nat(200), fc.nat(200)), { minLength: 4, maxLength: 4 })
  .map(([a, b, c, d]) => `<path d="M${a!.join(' ')}C${b!.join(' ')} ${c!.join(' ')} ${d!.join(' ')}z"/>`);
const anyBar = fc
  .tuple(fc.nat(200), fc.nat(200), fc.nat(180))
  .map(([x, y, turn]) => `<rect x="${x}" y="${y}" width="40" height="2" transform="rotate(${turn} ${x} ${y})"/>`);
const anyDrawing = fc.array(fc.oneof(anyCircle, anyCurve, anyBar), { minLength: 1, maxLength: 30 });

describe('the box of what a drawing paints', () => {
  it('is that of all its lines, turned and scaled as it may be', () => {
    fc.assert(
      fc.property(
        anyDrawing,
        fc.integer({ min: 0, max: 359 }),
        fc.double({ min: 0.1, max: 8, noNaN: true }),
        (...at) => {
          const [shapes, degrees, scale] = at;
          const artwork = read(shapes.join(''));
          const matrix = composeMatrices(scaling(scale), rotation(degrees));
          const [found, all] = [boundPainted(artwork, matrix), boundAll(artwork, matrix)];
          for (const side of ['x', 'y', 'width', 'height'] as const)
            expect(found?.[side] ?? 0).toBeCloseTo(all?.[side] ?? 0, 9);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('holds no line without any area', () => {
    const artwork = read('<rect x="50" y="50" width="20" height="10"/><path d="M0 0H200"/>');
    expect(boundPainted(artwork, scaling(1))).toMatchObject({ width: 20, height: 10 });
    expect(boundPainted(read('<path d="M0 0H200"/>'), scaling(1))).toBeNull();
  });

  it('lies within that of the control points', () => {
    fc.assert(
      fc.property(anyDrawing, (shapes) => {
        const artwork = read(shapes.join(''));
        const [inner, outer] = [boundPainted(artwork, scaling(1)), boundControlPoints(artwork, scaling(1), false)!];
        if (!inner) return;
        expect(outer.x).toBeLessThanOrEqual(inner.x + 1e-9);
        expect(outer.y + outer.height).toBeGreaterThanOrEqual(inner.y + inner.height - 1e-9);
      }),
    );
  });
});
