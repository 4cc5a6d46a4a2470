import { expect, it } from 'vitest';
import { describeLettering } from './lettering';

const METRIC = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' } as const;
const size = { widthMm: 160, heightMm: 13.9 };
const place = { x: 0, y: 0, widthMm: 4.4 };

it.each([
  [{ pieces: 1, cavities: 1, thinnestStroke: null }, '160 mm × 13.9 mm: 1 piece, 1 cavity to weed.'],
  [{ pieces: 1, cavities: 0, thinnestStroke: null }, '160 mm × 13.9 mm: 1 piece, no cavity to weed.'],
  [
    { pieces: 19, cavities: 7, thinnestStroke: place },
    '160 mm × 13.9 mm: 19 pieces, 7 cavities to weed, strokes from 4.4 mm.',
  ],
])('says what lettering comes to, one or many: %o', (layer, said) => {
  expect(describeLettering(size, layer, METRIC)).toBe(said);
});
