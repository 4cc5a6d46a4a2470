import { bench, describe } from 'vitest';
import { measureArtwork, readSvg } from './index';

/** Measuring against the plainest thing that reads the same text: the ratio tells, whatever the machine does meanwhile. */
function draw(paths: number): string {
  const shapes = Array.from({ length: paths }, (_, i) => `<path fill="#3f5e86" d="M${(i % 40) * 12} ${Math.floor(i / 40) * 12}c4 -6 8 -6 10 0s-2 9 -5 9s-7 -4 -5 -9z"/>`).join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 480 480">${shapes}</svg>`;
}

for (const paths of [100, 1000]) {
  const text = draw(paths);
  describe(`${paths} paths`, () => {
    bench('read and measure', () => {
      const read = readSvg(text);
      if (read.ok) measureArtwork(read.value, { widthMm: 480 });
    });
    bench('baseline: find every number in the text', () => {
      let sum = 0;
      for (const match of text.matchAll(/-?\d+(\.\d+)?/g)) sum += Number(match[0]);
      if (Number.isNaN(sum)) throw new Error('no numbers');
    });
  });
}
