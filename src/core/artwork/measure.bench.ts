import { bench, describe } from 'vitest';
import { measureArtwork, orderContours, readSvg } from './index';

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
const drawDots = (count: number): string =>
  svg(
    Array.from(
      { length: count },
      (_, index) => `<circle cx="${5 + (index % 71) * 14}" cy="${5 + Math.floor(index / 71) * 14}" r="4"/>`,
    ).join(''),
  );

for (const [name, text] of [
  ['1,000 segments', drawWaves(20)],
  ['10,000 segments', drawWaves(200)],
  ['50,000 segments', drawWaves(1000)],
  ['100,000 segments', drawWaves(2000)],
  ['200,000 segments', drawWaves(4000)],
  ['5,000 dots', drawDots(5000)],
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
