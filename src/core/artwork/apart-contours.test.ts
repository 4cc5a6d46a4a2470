import { randomLcg } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { findApart } from './apart-contours';
import { IDENTITY, scaling } from '../geometry';
import { measureArtwork, readSvg, type Artwork } from './index';

const svg = (body: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="1000mm" height="1000mm" viewBox="0 0 1000 1000">${body}</svg>`;
function read(body: string): Artwork {
  const artwork = readSvg(svg(body));
  if (!artwork.ok) throw new Error(artwork.problem.kind);
  return artwork.value;
}
const circle = (x: number, y: number, r: number) => `<circle cx="${x}" cy="${y}" r="${r}"/>`;
const hole = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;
const rows = (count: number, step: number) =>
  Array.from({ length: count }, (_, at) => ({ x: ((at % 25) + 1) * step, y: (Math.floor(at / 25) + 1) * step }));
const countApart = (artwork: Artwork) => artwork.layers.map((layer) => findApart(layer, IDENTITY).contours.size);
function measure(artwork: Artwork, widthMm = 500) {
  const measured = measureArtwork(artwork, { widthMm });
  if (!measured.ok) throw new Error(measured.problem.kind);
  return measured.value.layers[0]!;
}

describe('contours that lie apart', () => {
  it('are all dots of a field, and measured as large as they are', () => {
    const next = randomLcg(0.4);
    const dots = rows(600, 30).map((at) => ({ ...at, r: 4 + 8 * next() }));
    const artwork = read(dots.map(({ x, y, r }) => circle(x, y, r)).join(''));
    expect(countApart(artwork)).toEqual([600]);
    const layer = measure(artwork);
    const scale = 500 / (Math.max(...dots.map(({ x, r }) => x + r)) - Math.min(...dots.map(({ x, r }) => x - r)));
    const area = dots.reduce((sum, { r }) => sum + Math.PI * (r * scale) ** 2, 0);
    expect(layer.netMm2 / area).toBeCloseTo(1, 5);
    expect(layer.pieces).toBe(600);
  });

  it('are the holes of lace, whatever surrounds them; their sheet is not', () => {
    const holes = rows(500, 36).map(({ x, y }) => hole(x, y, 9));
    const sheet = `M0 0H1000V800H0z`;
    const lace = read(`<path fill-rule="evenodd" d="${sheet}${holes.join('')}"/>`);
    expect(countApart(lace)[0]).toBeGreaterThanOrEqual(500);
    const round = read(`<path fill-rule="evenodd" d="${hole(468, 378, 900)}${holes.join('')}"/>`);
    expect(countApart(round)[0]).toBeGreaterThan(450);
    expect(measure(lace)).toMatchObject({ pieces: 1, cavities: 500 });
  });

  it('are the holes of a sheet that lies at a slant', () => {
    const holes = rows(500, 36).map(({ x, y }) => hole(x, y, 9));
    const lace = (degrees: number) =>
      read(`<path transform="rotate(${degrees} 500 400)" fill-rule="evenodd" d="M0 0H1000V800H0z${holes.join('')}"/>`);
    for (const degrees of [12, 45, 100]) expect(countApart(lace(degrees))[0]).toBeGreaterThan(450);
  });

  it('are dots whose rows reach into one another', () => {
    const dots = Array.from({ length: 450 }, (_, at) => {
      const row = Math.floor(at / 25);
      return circle((at % 25) * 20 + (row % 2) * 10 + 10, row * 17.3 + 10, 8.9);
    });
    expect(countApart(read(dots.join('')))).toEqual([450]);
  });

  it('are none that touch in one point: each stays a piece of its own', () => {
    const r = 10;
    const packed = Array.from({ length: 450 }, (_, at) => {
      const row = Math.floor(at / 25);
      return circle(((at % 25) * 2 + (row % 2) + 1) * r, (row * Math.sqrt(3) + 1) * r, r);
    });
    const artwork = read(packed.join(''));
    expect(countApart(artwork)).toEqual([0]);
    // So small that each has a corner at 60 degrees, where it touches the next row.
    expect(measure(artwork, 100)).toMatchObject({ pieces: 450, cavities: 0 });
  });

  it('are none that cross a line, lie on it or beside it', () => {
    const dots = rows(500, 30).map(({ x, y }) => circle(x, y, 6));
    const line = (x: number) => `<path d="M${x} 15h0.5v600h-0.5z"/>`;
    const withLine = (x: number) => countApart(read(dots.join('') + line(x)))[0];
    // A column of twenty, and the line itself.
    expect([withLine(90), withLine(96), withLine(96.1)]).toEqual([480, 480, 480]);
  });

  it('are not looked for where there are few', () => {
    expect(
      countApart(
        read(
          rows(399, 30)
            .map(({ x, y }) => circle(x, y, 5))
            .join(''),
        ),
      ),
    ).toEqual([0]);
  });
});

describe('a layer of very many deep curves', () => {
  /** Five petals, each a curve, from corners near the middle. */
  const flower = (x: number, y: number) =>
    [0, 1, 2, 3, 4]
      .map((petal) => {
        const at = (turn: number, reach: number) => {
          const angle = ((petal + turn) * 2 * Math.PI) / 5;
          return `${(x + reach * Math.cos(angle)).toFixed(3)} ${(y + reach * Math.sin(angle)).toFixed(3)}`;
        };
        return `${petal === 0 ? `M${at(0, 0.8)}` : ''}C${at(0.1, 2.6)} ${at(0.9, 2.6)} ${at(1, 0.8)}`;
      })
      .join('')
      .concat('z');
  /** In rows that are 6 mm apart, on a sheet of its own. */
  const lace = (count: number) => {
    const side = Math.ceil(Math.sqrt(count)) * 6;
    const holes = Array.from({ length: count }, (_, at) =>
      flower((at % (side / 6)) * 6 + 3, Math.floor((at * 6) / side) * 6 + 3),
    );
    const artwork = read(`<path fill-rule="evenodd" d="M0 0H${side}V${side}H0z${holes.join('')}"/>`);
    return { artwork, side };
  };
  const measureLace = (count: number) => {
    const { artwork, side } = lace(count);
    const layer = measure(artwork, side);
    return {
      coarser: findApart(artwork.layers[0]!, IDENTITY).coarser,
      holeMm2: (side * side - layer.netMm2) / count,
      holeMm: (layer.cutLengthMm - 4 * side) / count,
      layer,
    };
  };

  it('is flattened into fewer points: its area stays within a thousandth, the knife’s way within a two-hundredth', () => {
    const few = measureLace(400),
      many = measureLace(4000);
    expect(few.coarser).toBe(1);
    expect(many.coarser).toBeGreaterThan(2);
    expect(many.coarser).toBeLessThanOrEqual(3);
    expect(Math.abs(many.holeMm2 / few.holeMm2 - 1)).toBeLessThan(1e-3);
    expect(Math.abs(many.holeMm / few.holeMm - 1)).toBeLessThan(5e-3);
    for (const what of ['thinnestStroke', 'thinnestGap'] as const)
      expect(Math.abs(many.layer[what]!.widthMm - few.layer[what]!.widthMm)).toBeLessThan(0.03);
  });

  it('at a size where it needs fewer points is flattened as any other', () => {
    const { artwork } = lace(4000);
    expect(findApart(artwork.layers[0]!, scaling(0.005)).coarser).toBe(1);
  });
});
