// A drawing measures the same however it is written: nested or not, in any unit, in any order of its shapes. And known
// shapes measure what geometry says.

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measureArtwork, readSvg, type ArtworkMeasurement } from './index';

const NS = 'xmlns="http://www.w3.org/2000/svg"';
function measure(text: string, widthMm: number): ArtworkMeasurement {
  const read = readSvg(text);
  if (!read.ok) throw new Error(JSON.stringify(read.problem));
  const measured = measureArtwork(read.value, { widthMm });
  if (!measured.ok) throw new Error(JSON.stringify(measured.problem));
  return measured.value;
}
const summary = (measured: ArtworkMeasurement) =>
  measured.layers
    .map((layer) => ({
      colour: layer.colour,
      net: layer.netMm2,
      cut: layer.cutLengthMm,
      outline: layer.outlineLengthMm,
      pieces: layer.pieces,
      cavities: layer.cavities,
      thin: layer.thinnestStroke?.widthMm ?? 0,
    }))
    .sort((a, b) => (a.colour < b.colour ? -1 : 1));
function expectSame(a: ArtworkMeasurement, b: ArtworkMeasurement): void {
  const [one, other] = [summary(a), summary(b)];
  expect(other.map((layer) => [layer.colour, layer.pieces, layer.cavities])).toEqual(
    one.map((layer) => [layer.colour, layer.pieces, layer.cavities]),
  );
  one.forEach((layer, index) => {
    for (const key of ['net', 'cut', 'outline', 'thin'] as const)
      expect(Math.abs(other[index]![key] - layer[key]), `${layer.colour} ${key}`).toBeLessThan(
        Math.max(0.02, layer[key] * 0.004),
      );
  });
}

const shape = fc.record({
  x: fc.integer({ min: 0, max: 150 }),
  y: fc.integer({ min: 0, max: 150 }),
  a: fc.integer({ min: 6, max: 45 }),
  b: fc.integer({ min: 6, max: 45 }),
  kind: fc.constantFrom('rect', 'ellipse', 'path'),
  fill: fc.constantFrom('#ff0000', '#0000ff'),
});
type Shape = { x: number; y: number; a: number; b: number; kind: string; fill: string };
const draw = ({ x, y, a, b, kind, fill }: Shape): string =>
  kind === 'rect'
    ? `<rect fill="${fill}" x="${x}" y="${y}" width="${a}" height="${b}"/>`
    : kind === 'ellipse'
      ? `<ellipse fill="${fill}" cx="${x}" cy="${y}" rx="${a / 2}" ry="${b / 2}"/>`
      : `<path fill="${fill}" d="M${x} ${y}q${a} ${-b} ${a * 1.5} 0t${a} ${b / 2}l${-a} ${b}z"/>`;
// A frame keeps the outer box the same in every variant.
const FRAME = '<path fill="#000000" fill-rule="evenodd" d="M-60 -60H300V300H-60zM-58 -58V298H298V-58z"/>';
const svg = (body: string) => `<svg ${NS} viewBox="-60 -60 360 360">${FRAME}${body}</svg>`;
const shapes = fc.array(shape, { minLength: 1, maxLength: 7 });
const RUNS = { numRuns: 40 };

describe('the same drawing written otherwise', () => {
  it('nested in groups with transforms that cancel out', () => {
    fc.assert(
      fc.property(
        shapes,
        fc.array(
          fc.record({
            dx: fc.integer({ min: -50, max: 50 }),
            k: fc.constantFrom(0.5, 1, 2, 4),
            turn: fc.constantFrom(0, 90, 180, 37),
          }),
          { minLength: 1, maxLength: 4 },
        ),
        (drawn, groups) => {
          const body = drawn.map(draw).join('');
          const nested = groups.reduce(
            (inner, { dx, k, turn }) =>
              `<g transform="translate(${dx} ${-dx}) scale(${k}) rotate(${turn})"><g transform="rotate(${-turn})"><g transform="matrix(${1 / k} 0 0 ${1 / k} 0 0)"><g transform="translate(${-dx} ${dx})">${inner}</g></g></g></g>`,
            body,
          );
          expectSame(measure(svg(body), 180), measure(svg(nested), 180));
        },
      ),
      RUNS,
    );
  });

  it('with its shapes in another order', () => {
    fc.assert(
      fc.property(shapes, fc.integer({ min: 0, max: 1000 }), (drawn, seed) => {
        const other = drawn
          .map((entry, index) => ({ entry, key: Math.sin(seed + index * 7.3) }))
          .sort((a, b) => a.key - b.key)
          .map(({ entry }) => entry);
        expectSame(measure(svg(drawn.map(draw).join('')), 180), measure(svg(other.map(draw).join('')), 180));
      }),
      RUNS,
    );
  });

  it('in any unit, with or without a stated size', () => {
    fc.assert(
      fc.property(
        shapes,
        fc.constantFrom(
          'width="90mm" height="90mm"',
          'width="9cm"',
          'width="3.5in" height="3.5in"',
          'width="255pt"',
          'width="100%" height="100%"',
          '',
        ),
        (drawn, attributes) => {
          const body = drawn.map(draw).join('');
          expectSame(measure(svg(body), 180), measure(svg(body).replace('viewBox', `${attributes} viewBox`), 180));
        },
      ),
      RUNS,
    );
  });
});

/** Shape in a 100-unit square, width in mm it is measured at, and what a formula says of it. */
const star = Array.from(
  { length: 10 },
  (_, k) =>
    [
      50 + (k % 2 ? 20 : 50) * Math.sin((k * Math.PI) / 5),
      50 - (k % 2 ? 20 : 50) * Math.cos((k * Math.PI) / 5),
    ] as const,
);
const starSide = Math.hypot(star[0]![0] - star[1]![0], star[0]![1] - star[1]![1]);
const starArea =
  Math.abs(star.reduce((sum, [x, y], k) => sum + x * star[(k + 1) % 10]![1] - star[(k + 1) % 10]![0] * y, 0)) / 2;
const starWidth = Math.max(...star.map(([x]) => x)) - Math.min(...star.map(([x]) => x));
const CLOSED_FORMS: readonly {
  name: string;
  body: string;
  widthMm: number;
  area: number;
  length: number;
  pieces: number;
  cavities: number;
  thinnest: number | null;
}[] = [
  {
    name: 'circle, 80 mm',
    body: '<circle cx="50" cy="50" r="40"/>',
    widthMm: 80,
    area: Math.PI * 1600,
    length: Math.PI * 80,
    pieces: 1,
    cavities: 0,
    thinnest: 80,
  },
  {
    name: 'circle of four cubics, 80 mm',
    body: '<path d="M90 50C90 72.0914 72.0914 90 50 90S10 72.0914 10 50S27.9086 10 50 10S90 27.9086 90 50z"/>',
    widthMm: 80,
    area: Math.PI * 1600,
    length: Math.PI * 80,
    pieces: 1,
    cavities: 0,
    thinnest: 80,
  },
  {
    name: 'dot, 1.5 mm',
    body: '<circle cx="50" cy="50" r="40"/>',
    widthMm: 1.5 * 2,
    area: Math.PI * 2.25,
    length: Math.PI * 3,
    pieces: 1,
    cavities: 0,
    thinnest: 3,
  },
  {
    name: 'ring of 2 mm',
    body: '<path fill-rule="evenodd" d="M10 50a40 40 0 1 0 80 0a40 40 0 1 0 -80 0zM12 50a38 38 0 1 0 76 0a38 38 0 1 0 -76 0z"/>',
    widthMm: 80,
    area: Math.PI * (1600 - 1444),
    length: Math.PI * 156,
    pieces: 1,
    cavities: 1,
    thinnest: 2,
  },
  {
    name: 'rounded rectangle 90 × 40, r 8',
    body: '<rect x="5" y="30" width="90" height="40" rx="8"/>',
    widthMm: 90,
    area: 3600 - (4 - Math.PI) * 64,
    length: 260 - (8 - 2 * Math.PI) * 8,
    pieces: 1,
    cavities: 0,
    thinnest: 40,
  },
  {
    name: 'star of five points',
    body: `<polygon points="${star.map((point) => point.join(',')).join(' ')}"/>`,
    widthMm: starWidth,
    area: starArea,
    length: 10 * starSide,
    pieces: 1,
    cavities: 0,
    thinnest: null,
  },
  {
    name: 'ellipse 90 × 30',
    body: '<ellipse cx="50" cy="50" rx="45" ry="15"/>',
    widthMm: 90,
    area: Math.PI * 675,
    /* Ramanujan 1914, right to eight digits here */ length: 200.4732,
    pieces: 1,
    cavities: 0,
    thinnest: 30,
  },
  {
    name: 'square with round window',
    body: '<path fill-rule="evenodd" d="M0 0H100V100H0zM70 50a20 20 0 1 0 -40 0a20 20 0 1 0 40 0z"/>',
    widthMm: 100,
    area: 10_000 - Math.PI * 400,
    length: 400 + Math.PI * 40,
    pieces: 1,
    cavities: 1,
    thinnest: 30,
  },
  {
    name: 'two squares that touch in a point',
    body: '<path d="M0 0H50V50H0zM50 50H100V100H50z"/>',
    widthMm: 100,
    area: 5000,
    length: 400,
    pieces: 2,
    cavities: 0,
    thinnest: 50,
  },
];

it.each(CLOSED_FORMS)('closed form: $name', ({ body, widthMm, area, length, pieces, cavities, thinnest }) => {
  const [layer] = measure(`<svg ${NS} viewBox="0 0 100 100">${body}</svg>`, widthMm).layers;
  expect(Math.abs(layer!.netMm2 / area - 1)).toBeLessThan(0.001);
  expect(Math.abs(layer!.cutLengthMm / length - 1)).toBeLessThan(0.001);
  expect([layer!.pieces, layer!.cavities]).toEqual([pieces, cavities]);
  if (thinnest !== null)
    expect(Math.abs(layer!.thinnestStroke!.widthMm - thinnest)).toBeLessThan(Math.max(0.05, thinnest * 0.02));
});

it('tells for each class of material the width from which it holds, the same at whatever size it was measured', () => {
  const lattice = `<svg ${NS} viewBox="0 0 100 100"><path fill-rule="evenodd" d="M0 0H100V50H0zM5 5V45H48V5zM50 5V45H95V5z"/></svg>`; // bars of 5 and 2, windows of 43 and 45
  const widths = measure(lattice, 100).safeWidthsMm;
  expect(
    [widths.smooth, widths.textured, widths.puff, widths['premium-adhesive'], widths['budget-adhesive']].map((width) =>
      Math.round(width!),
    ),
  ).toEqual([50, 110, 150, 40, 100]);
  expect(measure(lattice, 30).safeWidthsMm.textured).toBeCloseTo(110, 0);
});
