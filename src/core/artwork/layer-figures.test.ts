import { expect, it } from 'vitest';
import { describeLayerFigures, measureArtwork, readSvg } from './index';

it('a layer’s figures are what was measured, and their parts add up', () => {
  const read = readSvg(
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><path fill="red" fill-rule="evenodd" d="M0 0H60V40H0zM10 10H20V20H10z"/><rect fill="red" x="50" y="30" width="50" height="50"/></svg>',
  );
  const measured = read.ok && measureArtwork(read.value, { widthMm: 100 });
  if (!measured || !measured.ok) throw new Error('not measured');
  const layer = measured.value.layers[0]!;
  const { net, path, thinnest, gap } = describeLayerFigures(layer);
  expect(net.value).toBeCloseTo(60 * 40 - 100 + 50 * 50 - 10 * 10, 1);
  expect(net.parts![0]!.value).toBeCloseTo(100 * 80, 1);
  expect(path.value).toBeCloseTo(200 + 40 + 200, 1);
  expect(path.parts!.slice(0, 3).reduce((sum, part) => sum + part.value, 0)).toBeCloseTo(path.value, 6);
  expect(thinnest!.value).toBeCloseTo(10, 1);
  expect(gap!.value).toBeCloseTo(10, 1);
});
