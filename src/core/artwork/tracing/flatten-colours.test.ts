import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY, findGround, flattenColours, removeSpeckles, type FlatPicture, type Pixels } from './flatten-colours';

function paint(
  rows: readonly string[],
  colours: Readonly<Record<string, readonly [number, number, number, number]>>,
): Pixels {
  const width = rows[0]!.length;
  return {
    width,
    height: rows.length,
    data: Uint8ClampedArray.from(rows.flatMap((row) => [...row].flatMap((sign) => [...colours[sign]!]))),
  };
}
const COLOURS = {
  r: [200, 20, 30, 255],
  R: [206, 24, 36, 255],
  b: [20, 40, 190, 255],
  w: [255, 255, 255, 255],
  '.': [0, 0, 0, 0],
  '-': [200, 20, 30, 90],
} as const;
const flat = (rows: readonly string[]): FlatPicture => ({
  width: rows[0]!.length,
  height: rows.length,
  labels: Uint8Array.from(rows.join(''), Number),
  colours: ['#000000', '#ffffff', '#ff0000'],
});
const show = ({ width, labels }: FlatPicture): string[] =>
  Array.from({ length: labels.length / width }, (_, row) => [...labels.slice(row * width, (row + 1) * width)].join(''));

describe('few colours', () => {
  it('are the picture’s own where there are no more than asked for', () => {
    const result = flattenColours(paint(['rrbb', 'rwbb'], COLOURS), 4);
    expect(new Set(result.colours)).toEqual(new Set(['#c8141e', '#1428be', '#ffffff']));
    expect(result.labels[0]).not.toBe(result.labels[2]);
  });

  it('gather shades of one colour', () => {
    const result = flattenColours(paint(['rRrRbb', 'RrRrbb'], COLOURS), 2);
    expect(new Set(result.labels).size).toBe(2);
    expect(new Set([...result.labels].filter((_, index) => index % 6 < 4)).size).toBe(1);
  });

  it('leave what is more than half transparent empty', () => {
    expect([...flattenColours(paint(['r.-r'], COLOURS), 1).labels].map((label) => label === EMPTY)).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });

  it('stay within black and white, also those that median cut makes up for no pixel', () => {
    const pixels = [
      [248, 96, 0],
      [248, 96, 0],
      [0, 184, 0],
      [0, 0, 0],
      [0, 0, 1],
      [144, 0, 0],
    ];
    const { colours } = flattenColours(
      { width: 6, height: 1, data: Uint8ClampedArray.from(pixels.flatMap((pixel) => [...pixel, 255])) },
      4,
    );
    for (const colour of colours) expect(colour).toMatch(/^#[0-9a-f]{6}$/);
  });

  it('are never more than asked for, whatever the pixels', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 8 }),
        fc.array(fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255)), { minLength: 1, maxLength: 200 }),
        (count, pixels) => {
          const { colours, labels } = flattenColours(
            {
              width: pixels.length,
              height: 1,
              data: Uint8ClampedArray.from(pixels.flatMap((pixel) => [...pixel, 255])),
            },
            count,
          );
          expect(colours.length).toBeLessThanOrEqual(count);
          for (const colour of colours) expect(colour).toMatch(/^#[0-9a-f]{6}$/);
          for (const label of labels) expect(label).toBeLessThan(colours.length);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('dirt', () => {
  it('takes the colour that surrounds it most, and only where it is small', () => {
    const dirty = flat(['000000', '010110', '000110', '000000']);
    expect(show(removeSpeckles(dirty, 2))).toEqual(['000000', '000110', '000110', '000000']);
    expect(show(removeSpeckles(dirty, 5))).toEqual(['000000', '000000', '000000', '000000']);
    expect(removeSpeckles(dirty, 0)).toBe(dirty);
  });

  it('joins by sides, not by corners', () => {
    expect(show(removeSpeckles(flat(['1000', '0100', '0010', '0001']), 2))).toEqual(['0000', '0000', '0000', '0000']);
  });
});

it('the ground is what most of the rim has', () => {
  expect(findGround(flat(['0000', '0220', '0120', '1111']))).toBe(0);
  expect(findGround({ width: 2, height: 2, labels: new Uint8Array(4).fill(EMPTY), colours: [] })).toBe(EMPTY);
});
