import { describe, expect, it } from 'vitest';
import { measureResolved, prepareLayers, proposeFirstSteps } from '../index';
import { findDots } from './dots';

import { areasOf as areas, BLUE, prepare, read, RED, SIZE, TWO } from './prepare-examples';

describe('size', () => {
  it('by width, by height, or to fit both', () => {
    expect(prepare(TWO, SIZE).heightMm).toBeCloseTo(60, 2);
    expect(prepare(TWO, { kind: 'size', heightMm: 30 }).widthMm).toBeCloseTo(50, 2);
    expect(prepare(TWO, { kind: 'size', widthMm: 80, heightMm: 24, fit: true }).widthMm).toBeCloseTo(40, 2);
    expect(prepare(TWO, { kind: 'size', widthMm: 80, heightMm: 900, fit: true }).widthMm).toBeCloseTo(80, 2);
  });

  it('counts after turning', () => {
    const turned = prepare(TWO, SIZE, { kind: 'rotate', degrees: 90 });
    expect([turned.widthMm, turned.heightMm].map((mm) => Math.round(mm * 10) / 10)).toEqual([100, 166.7]);
  });

  it('refuses what no roll is wide enough for', () => {
    expect(prepareLayers(read(TWO), [{ kind: 'size', widthMm: 9000, on: true }])).toMatchObject({
      ok: false,
      problem: { kind: 'width-out-of-range' },
    });
  });
});

describe('steps', () => {
  it('are skipped when off, or when the layer they name is not there', () => {
    expect(areas(prepare(TWO, SIZE, { kind: 'leave-out', layer: RED, on: false }))).toEqual({
      [RED]: 6000,
      [BLUE]: 800,
    });
    expect(areas(prepare(TWO, SIZE, { kind: 'knock-out', lower: RED, upper: '#123456', overlapMm: 1 }))).toEqual({
      [RED]: 6000,
      [BLUE]: 800,
    });
  });

  it('knock out the upper layer less the overlap', () => {
    expect(areas(prepare(TWO, SIZE, { kind: 'knock-out', lower: RED, upper: BLUE, overlapMm: 0.5 }))[RED]).toBeCloseTo(
      6000 - 39 * 19,
      0,
    );
  });

  it('grow and inset by an offset, as a copy or in place', () => {
    const grown = prepare('<circle fill="red" cx="50" cy="50" r="50"/>', SIZE, {
      kind: 'offset',
      layer: RED,
      byMm: 3,
      copy: true,
    });
    expect(grown.layers.map((layer) => layer.key)).toEqual([`${RED} outline 3`, RED]);
    expect(grown.widthMm).toBeCloseTo(106, 1);
    expect(measureResolved(grown).layers[0]!.netMm2).toBeCloseTo(Math.PI * 53 ** 2, -1);
    expect(areas(prepare(TWO, SIZE, { kind: 'offset', layer: BLUE, byMm: -2, copy: false }))[BLUE]).toBeCloseTo(
      36 * 16,
      1,
    );
  });

  it('make the negative, whose area and the layer’s fill the box', () => {
    const both = areas(
      prepare('<circle fill="red" cx="50" cy="50" r="50"/>', SIZE, { kind: 'negative', layer: RED, marginMm: 5 }),
    );
    expect(both[RED]! + both[`${RED} negative`]!).toBeCloseTo(110 * 110, 0);
  });

  it('take doubled lines away, and the hair’s breadth between two traced edges', () => {
    const twice = '<rect fill="red" width="100" height="60"/><rect fill="red" x="0.05" width="100" height="60"/>';
    const before = measureResolved(prepare(twice, SIZE)).layers[0]!;
    expect(before.doubledContours).toBe(1);
    const after = measureResolved(prepare(twice, SIZE, { kind: 'remove-doubled', withinMm: 0.2 })).layers[0]!;
    expect([after.doubledContours, Math.round(after.cutLengthMm)]).toEqual([0, 320]);
    const hair = '<path fill="red" fill-rule="evenodd" d="M0 0H100V60H0zM0.1 0.1H99.9V59.9H0.1z"/>';
    expect(areas(prepare(hair, SIZE))[RED]).toBeLessThan(40);
    expect(areas(prepare(hair, SIZE, { kind: 'remove-doubled', withinMm: 0.2 }))[RED]).toBeCloseTo(6000, 0);
  });

  it('unite shapes that cross', () => {
    const crossing = '<rect fill="red" width="60" height="20"/><rect fill="red" x="40" width="60" height="20"/>';
    const before = measureResolved(prepare(crossing, SIZE)).layers[0]!,
      after = measureResolved(prepare(crossing, SIZE, { kind: 'unite' })).layers[0]!;
    expect([Math.round(before.cutLengthMm), Math.round(after.cutLengthMm), after.contours]).toEqual([320, 240, 1]);
  });

  it('remove specks and fill pinholes', () => {
    const speckled =
      '<path fill="red" fill-rule="evenodd" d="M0 0H100V60H0zM5 5h.5v.5h-.5z"/><rect fill="red" x="50" y="80" width="0.8" height="0.8"/>';
    const after = measureResolved(prepare(speckled, SIZE, { kind: 'remove-specks', underMm2: 1 })).layers[0]!;
    expect([after.pieces, after.cavities, Math.round(after.netMm2)]).toEqual([1, 0, 6000]);
  });

  it('close open paths, leave them out, or draw them as a band', () => {
    const open = '<path fill="red" d="M0 0H100V60H0z"/><path fill="red" d="M0 100H50V120"/>';
    expect(measureResolved(prepare(open, SIZE)).layers[0]!.openPaths).toBe(1);
    expect(
      measureResolved(prepare(open, SIZE, { kind: 'open-paths', how: 'close', widthMm: 1 })).layers[0],
    ).toMatchObject({ openPaths: 0, pieces: 2 });
    expect(
      measureResolved(prepare(open, SIZE, { kind: 'open-paths', how: 'leave-out', widthMm: 1 })).layers[0]!.pieces,
    ).toBe(1);
    const band = measureResolved(prepare(open, SIZE, { kind: 'open-paths', how: 'stroke', widthMm: 2 })).layers[0]!;
    expect(band.pieces).toBe(2);
    expect(band.netMm2).toBeCloseTo(6000 + 70 * 2 + Math.PI, -1);
  });

  it('merge colours', () => {
    expect(
      areas(
        prepare(
          '<rect fill="red" width="100" height="10"/><rect fill="#fe0000" y="20" width="100" height="10"/>',
          SIZE,
          { kind: 'merge', layer: '#fe0000', into: RED },
        ),
      ),
    ).toEqual({ [RED]: 2000 });
  });

  it('mark every layer alike, outside the design and not in its area', () => {
    const marked = prepare(TWO, SIZE, { kind: 'registration', sizeMm: 4, gapMm: 8 });
    const [red, blue] = marked.layers;
    expect(red!.extras).toEqual(blue!.extras);
    expect(areas(marked)).toEqual({ [RED]: 6000, [BLUE]: 800 });
    for (const point of red!.extras.flat())
      expect(point.x < -7 || point.x > 107 || point.y < -7 || point.y > 67).toBe(true);
  });

  it('box words for weeding by what lies near', () => {
    const words = prepare(
      '<rect fill="red" width="10" height="10"/><rect fill="red" x="12" width="10" height="10"/><rect fill="red" x="60" width="40" height="10"/>',
      SIZE,
      { kind: 'weed-boxes', layer: RED, marginMm: 3, joinMm: 6 },
    );
    expect(words.layers[0]!.extras).toHaveLength(2);
    expect(measureResolved(words).layers[0]!.contours).toBe(5);
  });

  it('count dots by diameter and make a template with play', () => {
    const field = Array.from(
      { length: 12 },
      (_, index) => `<circle fill="red" cx="${index * 9 + 2}" cy="2" r="${index % 3 === 0 ? 2 : 1.5}"/>`,
    ).join('');
    const plain = prepare(field, { kind: 'size', widthMm: 102.5 });
    expect(findDots(plain.layers[0]!.pieces).map((group) => [group.diameterMm, group.count])).toEqual([
      [3, 8],
      [4, 4],
    ]);
    const template = prepare(
      field,
      { kind: 'size', widthMm: 102.5 },
      { kind: 'stone-template', layer: RED, diameterMm: 3, playMm: 0.4, marginMm: 10 },
    );
    const holes = template.layers.find((layer) => layer.key.includes('template'))!.pieces[0]!.cavities;
    expect(holes).toHaveLength(8);
    expect(findDots(holes.map((outer) => ({ outer, cavities: [] })))[0]!.diameterMm).toBeCloseTo(3.4, 2);
  });
});

describe('strokes become outlines', () => {
  const bandArea = (attributes: string, shape: string) =>
    measureResolved(
      prepare(
        `<g fill="none" stroke="red" ${attributes}>${shape}</g><rect fill="blue" y="150" width="200" height="10"/>`,
        { kind: 'size', widthMm: 200 },
        { kind: 'outline-strokes' },
      ),
    ).layers.find((layer) => layer.key === RED)!;

  it.each([
    ['butt', 'stroke-width="4"', '<path d="M20 50H120"/>', 400],
    ['square caps', 'stroke-width="4" stroke-linecap="square"', '<path d="M20 50H120"/>', 416],
    ['round caps', 'stroke-width="4" stroke-linecap="round"', '<path d="M20 50H120"/>', 400 + Math.PI * 4],
    ['a ring', 'stroke-width="4"', '<circle cx="60" cy="60" r="30"/>', Math.PI * (32 ** 2 - 28 ** 2)],
    ['a mitred frame', 'stroke-width="4"', '<rect x="20" y="20" width="50" height="30"/>', 54 * 34 - 46 * 26],
    [
      'a frame with round joins',
      'stroke-width="4" stroke-linejoin="round"',
      '<rect x="20" y="20" width="50" height="30"/>',
      54 * 34 - 46 * 26 - (4 - Math.PI) * 4,
    ],
    ['a scaled pen', 'stroke-width="2" transform="scale(2)"', '<path d="M10 25H60"/>', 400],
    ['a pen wider than high', 'stroke-width="4" transform="scale(1 2)"', '<path d="M20 25H120"/>', 800],
  ])('%s', (_, attributes, shape, expected) => {
    expect(bandArea(attributes, shape).netMm2 / expected).toBeCloseTo(1, 2);
  });

  it('are proposed at once for a drawing that has nothing else', () => {
    expect(proposeFirstSteps(read('<path fill="none" stroke="red" d="M0 0H9"/>'))).toEqual([
      { kind: 'outline-strokes', on: true },
    ]);
    expect(proposeFirstSteps(read(TWO))).toEqual([]);
  });
});

it('a drawing is chiral when no shift lays its mirror image on it', () => {
  const chirality = (body: string) => measureResolved(prepare(body, SIZE)).chirality;
  expect(chirality('<circle fill="red" cx="50" cy="50" r="40"/>')).toMatchObject({ chiral: false });
  expect(chirality('<path fill="red" d="M50 0L90 100H10z"/>').chiral).toBe(false);
  expect(chirality('<path fill="red" d="M0 0h60v20h-20v60h-20v-60h-20z"/>').chiral).toBe(false);
  expect(chirality('<path fill="red" d="M0 0h20v60h30v20h-50z"/>')).toMatchObject({ chiral: true });
  expect(chirality('<path fill="red" d="M0 0h60v20l-40 40h40v20h-60v-20l40 -40h-40z"/>').chiral).toBe(true);
  expect(
    chirality('<rect fill="red" width="40" height="40"/><rect fill="blue" x="60" width="40" height="40"/>').chiral,
  ).toBe(true);
});
