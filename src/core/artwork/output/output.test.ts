import DxfParser from 'dxf-parser';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  computeTravel,
  makeCutLayer,
  measureArtwork,
  orderContours,
  prepareLayers,
  readSvg,
  writeDxf,
  writeHpgl,
  writeSvg,
  STEPS_PER_MM,
  type CutLayer,
  type ResolvedArtwork,
} from '../index';
import { computeLength, computeRingArea, distance, type Piece, type Point } from '../../geometry';

const svg = (body: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 200">${body}</svg>`;
function prepare(text: string, widthMm = 100): ResolvedArtwork {
  const read = readSvg(text);
  if (!read.ok) throw new Error(read.problem.kind);
  const result = prepareLayers(read.value, [{ kind: 'size', widthMm, on: true }]);
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
}
const LETTERS = svg(
  '<path fill="#3f5e86" fill-rule="evenodd" d="M10 0H60L100 60V80H0zM20 10V70H80L50 10zM30 50a10 10 0 1 0 20 0a10 10 0 1 0 -20 0zM36 50a4 4 0 1 0 8 0a4 4 0 1 0 -8 0z"/>',
);
const cut = (mirrored: boolean): CutLayer => {
  const artwork = prepare(LETTERS);
  return makeCutLayer(artwork, artwork.layers[0]!, { name: 'Füllung <a>', mirrored });
};
const totalLength = (layer: CutLayer) => layer.paths.reduce((sum, path) => sum + computeLength(path.points, true), 0);

describe('files that are given out', () => {
  it.each([[false], [true]])('SVG measures the same when reopened, mirrored: %s', (mirrored) => {
    const reopened = readSvg(writeSvg(cut(mirrored), { colour: '#3f5e86' }));
    if (!reopened.ok) throw new Error(reopened.problem.kind);
    const before = readSvg(LETTERS);
    const [a, b] = [
      before.ok && measureArtwork(before.value, { widthMm: 100 }),
      measureArtwork(reopened.value, { widthMm: 100 }),
    ];
    if (!a || !a.ok || !b.ok) throw new Error('not measured');
    const [was, is] = [a.value.layers[0]!, b.value.layers[0]!];
    expect(is.netMm2 / was.netMm2).toBeCloseTo(1, 4);
    expect(is.cutLengthMm / was.cutLengthMm).toBeCloseTo(1, 4);
    expect([is.pieces, is.cavities, is.colour]).toEqual([was.pieces, was.cavities, was.colour]);
    expect(reopened.value.leftOut).toEqual([
      { kind: 'text', count: 1, names: [`Füllung <a>, ${mirrored ? 'mirrored' : 'not mirrored'}`] },
    ]);
  });

  it('DXF is read back by another program: closed lines of the same length, in mm, its note beside it', () => {
    const layer = cut(true);
    const parsed = new DxfParser().parseSync(writeDxf(layer))!;
    const lines = parsed.entities.filter((entity) => entity.type === 'POLYLINE') as unknown as {
      vertices: Point[];
      shape: boolean;
    }[];
    expect(lines).toHaveLength(layer.paths.length);
    expect(lines.every((line) => line.shape)).toBe(true);
    expect(lines.reduce((sum, line) => sum + computeLength(line.vertices, true), 0)).toBeCloseTo(totalLength(layer), 1);
    const note = parsed.entities.find((entity) => entity.type === 'TEXT') as unknown as {
      text: string;
      startPoint: Point;
    };
    expect(note.text).toBe('Fullung <a>, mirrored');
    expect(note.startPoint.y).toBeLessThan(0);
    expect(parsed.header['$ACADVER']).toBe('AC1009');
  });

  it('HPGL goes round every contour and a little further, in fortieths of a mm', () => {
    const layer = cut(false);
    const text = writeHpgl(layer, { forceGrams: 90, speedMmPerSecond: 120, overcutMm: 0 });
    expect(text).toMatch(/^IN;PA;SP1;\nFS90;\nVS12;/);
    const lines = [...text.matchAll(/PU(\d+),(\d+);\nPD([\d,]+);/g)].map(([, x, y, rest]) => {
      const numbers = [Number(x), Number(y), ...rest!.split(',').map(Number)].map((steps) => steps / STEPS_PER_MM);
      return Array.from({ length: numbers.length / 2 }, (_, index) => ({
        x: numbers[index * 2]!,
        y: numbers[index * 2 + 1]!,
      }));
    });
    expect(lines).toHaveLength(layer.paths.length);
    for (const line of lines) expect(line.at(-1)).toEqual(line[0]);
    expect(lines.reduce((sum, line) => sum + computeLength(line, false), 0) / totalLength(layer)).toBeCloseTo(1, 2);
    expect(writeHpgl(layer, { overcutMm: 2 }).length).toBeGreaterThan(text.length - 12);
  });

  it('keeps all layers of an artwork in register', () => {
    const artwork = prepare(
      svg('<rect fill="red" width="100" height="60"/><circle fill="blue" cx="80" cy="30" r="10"/>'),
    );
    const sheets = artwork.layers.map((layer) => makeCutLayer(artwork, layer, { name: layer.colour, mirrored: true }));
    expect(new Set(sheets.map((sheet) => sheet.widthMm)).size).toBe(1);
    const xs = sheets[1]!.paths[0]!.points.map((point) => point.x);
    expect((Math.min(...xs) + Math.max(...xs)) / 2).toBeCloseTo(20, 2);
  });
});

describe('the order of cutting', () => {
  const surrounds = (outer: readonly Point[], inner: readonly Point[]) => {
    const xs = outer.map((point) => point.x),
      ys = outer.map((point) => point.y);
    return (
      outer !== inner &&
      computeRingArea(outer) > computeRingArea(inner) &&
      inner.every(
        (point) =>
          point.x > Math.min(...xs) &&
          point.x < Math.max(...xs) &&
          point.y > Math.min(...ys) &&
          point.y < Math.max(...ys),
      )
    );
  };

  it('cuts what lies inside before what lies around it', () => {
    const { paths } = cut(false);
    expect(paths).toHaveLength(4);
    paths.forEach((outer, at) =>
      paths.forEach((inner, other) => {
        if (surrounds(outer.points, inner.points)) expect(other).toBeLessThan(at);
      }),
    );
  });

  it('travels no more than 15 % over a 2-opt tour from many starts', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 })), {
          minLength: 4,
          maxLength: 40,
          selector: ([x, y]) => `${x}/${y}`,
        }),
        (spots) => {
          const pieces = spots.map(([x, y]): Piece => ({
            outer: [
              { x: x * 5, y: y * 5 },
              { x: x * 5 + 1, y: y * 5 },
              { x: x * 5 + 1, y: y * 5 + 1 },
            ],
            cavities: [],
          }));
          const paths = orderContours(pieces);
          expect(paths).toHaveLength(pieces.length);
          expect(computeTravel(paths)).toBeLessThan(
            bestTour(spots.map(([x, y]) => ({ x: x * 5 + 0.5, y: y * 5 + 0.5 }))) * 1.15 + 5,
          );
        },
      ),
      { numRuns: 60, seed: 7 },
    );
  });
});

/** The shortest of 2-opt tours begun by nearest neighbours and at random places. */
function bestTour(places: readonly Point[]): number {
  const origin = { x: 0, y: 0 };
  const length = (tour: readonly Point[]) =>
    tour.reduce((sum, place, index) => sum + distance(index === 0 ? origin : tour[index - 1]!, place), 0);
  let best = Infinity;
  for (let attempt = 0; attempt < 8; attempt++) {
    const tour = [...places].sort(
      (a, b) => ((a.x * 7 + a.y * 13 + attempt * 29) % 31) - ((b.x * 7 + b.y * 13 + attempt * 29) % 31),
    );
    for (let improved = true; improved;) {
      improved = false;
      for (let i = 0; i < tour.length - 1; i++)
        for (let j = i + 1; j < tour.length; j++) {
          const turned = [...tour.slice(0, i), ...tour.slice(i, j + 1).reverse(), ...tour.slice(j + 1)];
          if (length(turned) < length(tour) - 1e-9) {
            tour.splice(0, tour.length, ...turned);
            improved = true;
          }
        }
    }
    best = Math.min(best, length(tour));
  }
  return best;
}
