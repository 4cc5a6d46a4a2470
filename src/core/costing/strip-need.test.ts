import { expect, it } from 'vitest';
import { PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import { computeStripNeed } from './index';

it('what ten take off the roll: three rows of four, its whole width, and the width the roll has to have', () => {
  expect(computeStripNeed(PLAIN_LAYER, PLAIN_VINYL, 10, PLAIN_SHOP)).toEqual({
    stripLengthMm: 210,
    usableMm2: 210 * 500,
    leastWidthMm: 110,
  });
});

it('edges that no cutter reaches count for nothing, and ask for a wider roll', () => {
  expect(computeStripNeed(PLAIN_LAYER, PLAIN_VINYL, 4, { ...PLAIN_SHOP, cutterEdgeMm: 20 })).toEqual({
    stripLengthMm: 70,
    usableMm2: 70 * 460,
    leastWidthMm: 150,
  });
});

it('a layer that is turned needs its height across', () => {
  const tall = { ...PLAIN_LAYER, box: { x: 0, y: 0, width: 60, height: 100 } };
  expect(computeStripNeed(tall, PLAIN_VINYL, 4, PLAIN_SHOP)).toMatchObject({ stripLengthMm: 70, leastWidthMm: 110 });
});

it('is none where it is wider than the roll either way', () => {
  expect(
    computeStripNeed({ ...PLAIN_LAYER, box: { x: 0, y: 0, width: 600, height: 700 } }, PLAIN_VINYL, 1, PLAIN_SHOP),
  ).toBeNull();
});
