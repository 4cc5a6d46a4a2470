import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  drawPicture,
  drawRough,
  measureArtwork,
  readSvg,
  resolveArtwork,
  scaleMeasurement,
  type Artwork,
} from './index';

const read = (body: string): Artwork => {
  const result = readSvg(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 200">${body}</svg>`);
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
};
const measure = (body: string, widthMm: number) => {
  const result = measureArtwork(read(body), { widthMm });
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
};

const rectangle = fc.record({
  x: fc.integer({ min: 0, max: 150 }),
  y: fc.integer({ min: 0, max: 150 }),
  w: fc.integer({ min: 5, max: 50 }),
  h: fc.integer({ min: 5, max: 50 }),
});
const draw = (shapes: readonly { x: number; y: number; w: number; h: number }[]) =>
  shapes.map((s) => `<rect x="${s.x}" y="${s.y}" width="${s.w}" height="${s.h}"/>`).join('');

/**
 * Area and piece count of axis-parallel rectangles by counting unit cells: nothing in common with the clipping library.
 */
function countCells(shapes: readonly { x: number; y: number; w: number; h: number }[]): number {
  const cells = new Set<number>();
  for (const s of shapes)
    for (let x = s.x; x < s.x + s.w; x++) for (let y = s.y; y < s.y + s.h; y++) cells.add(x * 1000 + y);
  return cells.size;
}

describe('measureArtwork', () => {
  it('counts corners where the knife swings round: of 45° they are, of 24° they are not', () => {
    const polygon = (corners: number) => {
      const at = (index: number) => {
        const angle = (2 * Math.PI * index) / corners;
        return `${(100 + 50 * Math.cos(angle)).toFixed(3)} ${(100 + 50 * Math.sin(angle)).toFixed(3)}`;
      };
      return `<path d="M${Array.from({ length: corners }, (_, index) => at(index)).join('L')}z"/>`;
    };
    expect(measure(polygon(8), 100).layers[0]!.sharpCorners).toBe(8);
    expect(measure(polygon(15), 100).layers[0]!.sharpCorners).toBe(0);
  });

  it('sees a small overlap of colours too, with what goes round it', () => {
    const two = '<rect fill="#f00" width="100" height="50"/><rect fill="#00f" x="98" y="10" width="40" height="2"/>';
    const [overlap, ...others] = measure(two, 138).overlaps;
    expect(others).toEqual([]);
    expect(overlap!.areaMm2).toBeCloseTo(4, 6);
    expect(overlap!.perimeterMm).toBeCloseTo(8, 6);
  });

  it('agrees with counting cells, whatever the order and nesting of shapes', () => {
    fc.assert(
      fc.property(fc.array(rectangle, { minLength: 1, maxLength: 8 }), (shapes) => {
        const widthMm = Math.max(...shapes.map((s) => s.x + s.w)) - Math.min(...shapes.map((s) => s.x));
        const plain = measure(draw(shapes), widthMm).layers[0]!;
        const nested = measure(`<g><g transform="translate(3 4)">${draw([...shapes].reverse())}</g></g>`, widthMm)
          .layers[0]!;
        expect(plain.netMm2).toBeCloseTo(countCells(shapes), 1);
        expect(plain.cutLengthMm).toBeCloseTo(
          shapes.reduce((sum, s) => sum + 2 * (s.w + s.h), 0),
          1,
        );
        expect(nested.netMm2).toBeCloseTo(plain.netMm2, 1);
        expect([nested.pieces, nested.cavities]).toEqual([plain.pieces, plain.cavities]);
      }),
      { numRuns: 60 },
    );
  });

  it('is the same when measured at a width as when scaled to it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 900 }), (widthMm) => {
        const body = '<circle cx="60" cy="60" r="50"/><path d="M100 100Q150 20 180 120T100 100z"/>';
        const direct = measure(body, widthMm).layers[0]!;
        const scaled = scaleMeasurement(measure(body, 150), widthMm).layers[0]!;
        expect(scaled.netMm2 / direct.netMm2).toBeCloseTo(1, 3);
        expect(scaled.cutLengthMm / direct.cutLengthMm).toBeCloseTo(1, 3);
        expect(scaled.box.width / direct.box.width).toBeCloseTo(1, 3);
      }),
      { numRuns: 20 },
    );
  });

  it('counts islands inside cavities as pieces, and tiny bits by size', () => {
    const body = '<path fill-rule="evenodd" d="M0 0H100V100H0z M10 10H90V90H10z M49 49H51V51H49z"/>';
    const layer = measure(body, 100).layers[0]!;
    expect([layer.pieces, layer.cavities]).toEqual([2, 1]);
    const wider = scaleMeasurement(measure(body, 100), 200).layers[0]!;
    expect(wider.bitAreasMm2.map((area) => area / 4)).toEqual(layer.bitAreasMm2);
    expect(wider.cavityAreasMm2.map((area) => area / 4)).toEqual(layer.cavityAreasMm2);
  });

  it('gives boxes from the artwork’s own corner', () => {
    const measured = measure(
      '<rect x="50" y="60" width="100" height="20"/><rect fill="red" x="100" y="90" width="10" height="30"/>',
      100,
    );
    expect(measured.layers[1]!.box).toMatchObject({
      x: expect.closeTo(50, 2),
      y: expect.closeTo(30, 2),
      width: expect.closeTo(10, 2),
      height: expect.closeTo(30, 2),
    });
    expect(measured.heightMm).toBeCloseTo(60, 2);
  });

  it('draws a picture that stays on its grid', () => {
    const resolved = resolveArtwork(read('<circle cx="60" cy="60" r="50"/>'), { widthMm: 80 });
    if (!resolved.ok) throw new Error();
    const picture = drawPicture(resolved.value);
    expect([picture.width, picture.height]).toEqual([4000, 4000]);
    expect(picture.layers[0]!.path).toMatch(/^M\d+ \d+(l-?\d+ -?\d+)+z$/);
  });
});

it('a first look shows every fill as drawn, before anything is united', () => {
  const read = readSvg(
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 50"><rect x="10" width="80" height="40" fill="red"/><circle cx="50" cy="20" r="10" fill="blue"/><path fill="none" stroke="red" d="M0 0H5"/></svg>',
  );
  const rough = read.ok ? drawRough(read.value) : null;
  expect(rough).toMatchObject({
    width: 4000,
    height: 2000,
    layers: [{ colour: '#ff0000', path: 'M0 0l4000 0l0 2000l-4000 0z' }, { colour: '#0000ff' }],
  });
  const strokes = readSvg(
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><path fill="none" stroke="red" d="M0 0H5"/></svg>',
  );
  expect(strokes.ok && drawRough(strokes.value)).toBeNull();
});
