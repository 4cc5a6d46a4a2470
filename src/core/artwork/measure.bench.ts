import { readFileSync } from 'node:fs';
import { randomLcg } from 'd3-random';
import { bench, describe } from 'vitest';
import { measureArtwork, orderContours, readSvg } from './index';
import { letter, openFont, settleLettering, writeLettering } from './lettering/letter';

/**
 * Reading and measuring against the plainest thing that reads the same text: the ratio tells, whatever the machine does
 * meanwhile.
 */
const FEW = { iterations: 3, time: 0, warmupIterations: 1, warmupTime: 0 };
const svg = (body: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1000 1000">${body}</svg>`;

/** `paths` wavy closed lines of 50 segments each, side by side. */
function drawWaves(paths: number): string {
  const columns = Math.ceil(Math.sqrt(paths));
  return svg(
    Array.from({ length: paths }, (_, index) => {
      const x = ((index % columns) + 0.5) * (1000 / columns),
        y = (Math.floor(index / columns) + 0.5) * (1000 / columns);
      const points = Array.from({ length: 50 }, (__, k) => {
        const angle = (k / 50) * 2 * Math.PI,
          radius = (400 / columns) * (1 + 0.2 * Math.sin((3 + (index % 4)) * angle));
        return `${(x + radius * Math.cos(angle)).toFixed(2)} ${(y + radius * Math.sin(angle)).toFixed(2)}`;
      });
      return `<path d="M${points.join('L')}z"/>`;
    }).join(''),
  );
}
/** Where `count` things lie in rows, and how far apart. */
function spread(count: number): { readonly step: number; readonly at: (index: number) => { x: number; y: number } } {
  const columns = Math.ceil(Math.sqrt(count));
  const step = 960 / columns;
  return {
    step,
    at: (index) => ({ x: 20 + ((index % columns) + 0.5) * step, y: 20 + (Math.floor(index / columns) + 0.5) * step }),
  };
}

/** Round dots of one size. */
function drawDots(count: number): string {
  const { step, at } = spread(count);
  return svg(
    Array.from({ length: count }, (_, index) => {
      const { x, y } = at(index);
      return `<circle cx="${x}" cy="${y}" r="${step * 0.3}"/>`;
    }).join(''),
  );
}

/** Round dots of many sizes: none is another's copy. */
function drawUnlikeDots(count: number): string {
  const next = randomLcg(0.83);
  const { step, at } = spread(count);
  return svg(
    Array.from({ length: count }, (_, index) => {
      const { x, y } = at(index);
      return `<circle cx="${x}" cy="${y}" r="${(step * (0.2 + next() * 0.2)).toFixed(3)}"/>`;
    }).join(''),
  );
}

/**
 * A sheet with round holes of many sizes, a little off their rows, each drawn as two arcs, all in one path. `most`: the
 * largest radius, of the way from one to the next.
 */
function drawArcLace(holes: number, most = 0.36): string {
  const next = randomLcg(0.37);
  const { step, at } = spread(holes);
  const rings = Array.from({ length: holes }, (_, index) => {
    const { x, y } = at(index);
    const radius = (step * (0.26 + next() * (most - 0.26))).toFixed(3);
    const [left, top] = [x + (next() - 0.5) * step * 0.15, y + (next() - 0.5) * step * 0.15].map((v) => v.toFixed(3));
    const half = (way: number) => `a${radius} ${radius} 0 1 0 ${way * 2 * Number(radius)} 0`;
    return `M${left} ${top}m-${radius} 0${half(1)}${half(-1)}z`;
  });
  return svg(`<path fill-rule="evenodd" d="M0 0H1000V1000H0z${rings.join('')}"/>`);
}

/** A sheet with round holes of many sizes, of few corners, all in one path. */
function drawLace(holes: number): string {
  const next = randomLcg(0.15);
  const { step, at } = spread(holes);
  const rings = Array.from({ length: holes }, (_, index) => {
    const { x, y } = at(index);
    const corners = 12 + (index % 3) * 6;
    const radius = step * (0.25 + next() * 0.15);
    return drawRing(corners, (angle) => [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]);
  });
  return svg(`<path fill-rule="evenodd" d="M0 0H1000V1000H0z${rings.join('')}"/>`);
}

/** About one hole in twenty overlaps another. */
const drawOverlapLace = (holes: number): string => drawArcLace(holes, 0.5);

/** A sheet with holes of forty corners, none like another, all in one path. */
function drawCornerLace(holes: number): string {
  const next = randomLcg(0.62);
  const { step, at } = spread(holes);
  const rings = Array.from({ length: holes }, (_, index) => {
    const { x, y } = at(index);
    return drawRing(40, (angle) => {
      const radius = step * (0.28 + next() * 0.06);
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
    });
  });
  return svg(`<path fill-rule="evenodd" d="M0 0H1000V1000H0z${rings.join('')}"/>`);
}

/** A sheet with flowers of five petals, each one deep curve, of many sizes and turned anyhow, all in one path. */
function drawFlowerLace(holes: number): string {
  const next = randomLcg(0.29);
  const { step, at } = spread(holes);
  const petal = (2 * Math.PI) / 5;
  const rings = Array.from({ length: holes }, (_, index) => {
    const { x, y } = at(index);
    const radius = step * (0.24 + next() * 0.06),
      turned = next() * petal;
    const place = (angle: number, share: number) =>
      [x + radius * share * Math.cos(turned + angle), y + radius * share * Math.sin(turned + angle)]
        .map((value) => value.toFixed(3))
        .join(' ');
    const curves = Array.from({ length: 5 }, (__, at) => {
      const from = at * petal;
      return `C${place(from + 0.1, 1.9)} ${place(from + petal - 0.1, 1.9)} ${place(from + petal, 0.6)}`;
    });
    return `M${place(0, 0.6)}${curves.join('')}z`;
  });
  return svg(`<path fill-rule="evenodd" d="M0 0H1000V1000H0z${rings.join('')}"/>`);
}

/** Of a bar that lies along x, about its middle, where there are a thousand. */
const BAR = [
  [60, -1.5],
  [60, 1.5],
  [-60, 1.5],
  [-60, -1.5],
] as const;

/** Narrow bars that lie across one another wherever they fall; each crosses about nine others, however many there are. */
function drawCrossing(bars: number): string {
  const next = randomLcg(0.51);
  const scale = Math.sqrt(1000 / bars);
  return svg(
    Array.from({ length: bars }, () => {
      const [x, y, turn] = [next() * 1000, next() * 1000, next() * Math.PI];
      const [cosine, sine] = [Math.cos(turn) * scale, Math.sin(turn) * scale];
      const points = BAR.map(
        ([u, v]) => `${(x + cosine * u - sine * v).toFixed(2)} ${(y + sine * u + cosine * v).toFixed(2)}`,
      );
      return `<path d="M${points.join('L')}z"/>`;
    }).join(''),
  );
}

/** Long lines that wind across the sheet, one under the other, of a thousand segments each. */
function drawLongLines(segments: number): string {
  const lines = Math.max(1, Math.round(segments / 1000));
  const step = 960 / lines;
  return svg(
    Array.from({ length: lines }, (_, line) => {
      const y = 20 + (line + 0.5) * step;
      const wave = (x: number) => y + step * 0.3 * Math.sin(x / 7 + line);
      const there = Array.from(
        { length: 500 },
        (__, k) => `${(20 + k * 1.92).toFixed(2)} ${wave(k * 1.92).toFixed(2)}`,
      );
      const back = Array.from({ length: 500 }, (__, k) => {
        const x = (499 - k) * 1.92;
        return `${(20 + x).toFixed(2)} ${(wave(x) + step * 0.2).toFixed(2)}`;
      });
      return `<path d="M${[...there, ...back].join('L')}z"/>`;
    }).join(''),
  );
}

/** A page of set letters: outlines with curves and counters, a line of words over and over. */
function drawText(letters: number): string {
  const font = openFont(readFileSync('node_modules/@fontsource/anton/files/anton-latin-400-normal.woff2'));
  const words = 'the quick brown fox jumps over the lazy dog 0123456789';
  const set = letter(words, font, { capHeightMm: 10 });
  if (!set.ok) throw new Error(set.problem.kind);
  const { svg: one, widthMm } = writeLettering(settleLettering(set.value), 'text');
  const [, width] = /viewBox="[\d.-]+ [\d.-]+ ([\d.]+)/.exec(one)!;
  const paths = one.match(/<path[^>]*>/g)!.join('');
  const copies = Math.ceil(letters / words.replaceAll(' ', '').length);
  const scale = widthMm / Number(width);
  return svg(
    Array.from({ length: copies }, (_, index) => {
      const [column, row] = [index % 5, Math.floor(index / 5)];
      return `<g transform="translate(${column * (widthMm + 10)} ${row * 20}) scale(${scale})">${paths}</g>`;
    }).join(''),
  );
}

function drawRing(corners: number, place: (angle: number) => readonly [number, number]): string {
  const points = Array.from({ length: corners }, (_, corner) =>
    place((corner / corners) * 2 * Math.PI)
      .map((value) => value.toFixed(2))
      .join(' '),
  );
  return `M${points.join('L')}z`;
}

const SIZES = [1000, 5000, 20_000];
/** Twenty thousand would be more segments than are taken. */
const HOLES_OF_MANY = [1000, 5000];
/** Set letters are lines, a hundred and more of them each. */
const LETTERS = [250, 500, 1000];
const KINDS = [
  ['separate dots', drawDots, SIZES],
  ['dots of many sizes', drawUnlikeDots, SIZES],
  ['holes in one path', drawLace, SIZES],
  ['holes of arcs in one path', (holes: number) => drawArcLace(holes), SIZES],
  ['holes of which some overlap', drawOverlapLace, SIZES],
  ['holes of forty corners in one path', drawCornerLace, HOLES_OF_MANY],
  ['flowers of deep curves in one path', drawFlowerLace, HOLES_OF_MANY],
  ['bars that cross', drawCrossing, SIZES],
  ['segments of long lines', drawLongLines, SIZES],
  ['letters set as text', drawText, LETTERS],
] as const;

for (const [name, text] of [
  ['50,000 segments in 1,000 paths', drawWaves(1000)],
  ['200,000 segments in 4,000 paths', drawWaves(4000)],
  ...KINDS.flatMap(([kind, draw, sizes]) =>
    sizes.map((size) => [`${size.toLocaleString('en')} ${kind}`, draw(size)] as const),
  ),
] as const) {
  describe(name, () => {
    bench(
      'baseline: find every number in the text',
      () => {
        let sum = 0;
        for (const match of text.matchAll(/-?\d+(\.\d+)?/g)) sum += Number(match[0]);
        if (Number.isNaN(sum)) throw new Error('no numbers');
      },
      FEW,
    );
    bench('read', () => void readSvg(text), FEW);
    bench(
      'read and measure',
      () => {
        const read = readSvg(text);
        if (read.ok) measureArtwork(read.value, { widthMm: 200 });
      },
      FEW,
    );
  });
}

describe('the order of 1,000 contours', () => {
  const pieces = Array.from({ length: 1000 }, (_, index) => ({
    outer: [
      { x: (index * 37) % 400, y: (index * 91) % 300 },
      { x: ((index * 37) % 400) + 2, y: (index * 91) % 300 },
      { x: (index * 37) % 400, y: ((index * 91) % 300) + 2 },
    ],
    cavities: [],
  }));
  bench(
    'baseline: nearest neighbours, by brute force',
    () => {
      const left = pieces.map((piece) => piece.outer[0]!);
      let at = { x: 0, y: 0 };
      while (left.length > 0) {
        let best = 0;
        for (let index = 1; index < left.length; index++)
          if (
            Math.hypot(left[index]!.x - at.x, left[index]!.y - at.y) <
            Math.hypot(left[best]!.x - at.x, left[best]!.y - at.y)
          )
            best = index;
        at = left.splice(best, 1)[0]!;
      }
    },
    FEW,
  );
  bench('ordered for the knife', () => void orderContours(pieces), FEW);
});
