import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { prepareFile } from './prepare-file';
import { countWeeded, listWeedGroups, planWeeding } from './weeding-path';

const group = (x: number, y: number, cavities: number) => ({ x, y, cavities });

describe('the order of weeding', () => {
  it('begins at the lower left corner and goes to the nearest', () => {
    const row = [group(900, 100, 1), group(100, 900, 1), group(500, 500, 1)];
    expect(planWeeding(row, 1000)).toEqual([1, 2, 0]);
  });

  it('takes what is plain before what is detailed, wherever it lies', () => {
    expect(planWeeding([group(0, 1000, 40), group(900, 0, 1), group(800, 0, 3)], 1000)).toEqual([2, 1, 0]);
  });

  it('names every group once', () => {
    const groups = fc.array(
      fc.record({ x: fc.nat(4000), y: fc.nat(4000), cavities: fc.integer({ min: 1, max: 900 }) }),
      { maxLength: 40 },
    );
    fc.assert(
      fc.property(groups, (list) => {
        expect([...planWeeding(list, 4000)].sort((a, b) => a - b)).toEqual(list.map((_, index) => index));
      }),
    );
  });
});

describe('what is picked out in one go', () => {
  const hole = (x: number, y: number) => `M${x - 5} ${y - 5}l10 0l0 10l-10 0z`;
  const pictureOf = (pieces: readonly (readonly (readonly [number, number])[])[]) => ({
    layers: [
      {
        colour: '#000000',
        path: '',
        cavities: pieces
          .flat()
          .map(([x, y]) => hole(x, y))
          .join(''),
        groups: pieces.map((own) => ({ x: 0, y: 0, cavities: own.length })),
      },
    ],
  });

  it('is the cavities of a piece, where it lies', () => {
    const groups = listWeedGroups(
      pictureOf([
        [[10, 20]],
        [
          [100, 50],
          [140, 70],
        ],
      ]),
      0,
    );
    expect(groups.map(({ x, y, cavities }) => [x, y, cavities])).toEqual([
      [10, 20, 1],
      [120, 60, 2],
    ]);
    expect(groups[1]!.path).toBe(hole(100, 50) + hole(140, 70));
  });

  it('is a row of at most a dozen of a lace, from below upwards', () => {
    const lace = Array.from({ length: 30 }, (_, at) => [(at % 10) * 20, Math.floor(at / 10) * 20] as const);
    const groups = listWeedGroups(pictureOf([lace]), 0);
    expect(groups.map(({ y, cavities }) => [y, cavities])).toEqual([
      [40, 10],
      [20, 10],
      [0, 10],
    ]);
  });

  it('loses none and doubles none, however many there are', () => {
    const piece = fc.array(fc.tuple(fc.nat(4000), fc.nat(4000)), { minLength: 1, maxLength: 200 });
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 4 }), (pieces) => {
        const groups = listWeedGroups(pictureOf(pieces), 0);
        const paths = groups.flatMap(({ path }) => path.split(/(?=M)/));
        expect(paths.sort()).toEqual(
          pieces
            .flat()
            .map(([x, y]) => hole(x, y))
            .sort(),
        );
        expect(Math.max(0, ...groups.map(({ cavities }) => cavities))).toBeLessThanOrEqual(12);
      }),
      { numRuns: 40 },
    );
  });

  it('is told of a drawing as it is measured, also of pieces that its picture does not name', () => {
    const ring = (x: number) => `<path fill-rule="evenodd" d="M${x} 0h8v8h-8zM${x + 2} 2h4v4h-4z"/>`;
    const count = 450;
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${count * 10}mm" height="8mm" viewBox="0 0 ${count * 10} 8">${Array.from({ length: count }, (_, at) => ring(at * 10)).join('')}</svg>`;
    const prepared = prepareFile(svg, [], null);
    if (!prepared.ok) throw new Error('Expected: a drawing');
    const groups = listWeedGroups(prepared.value.facts.picture, 0);
    expect(countWeeded(groups, []).of).toBe(count);
    expect(prepared.value.facts.picture.layers[0]!.groups!.length).toBeLessThan(count);
  });

  it('is nothing where a layer has no cavities', () => {
    expect(listWeedGroups({ layers: [{ colour: '#000000', path: 'M0 0Z' }] }, 0)).toEqual([]);
    expect(listWeedGroups({ layers: [] }, 3)).toEqual([]);
  });
});

describe('what is still in it', () => {
  const groups = [group(0, 0, 2), group(1, 0, 12)];
  it.each([
    [[], 0],
    [[0], 2],
    [[1, 1], 12],
    [[0, 1], 14],
    [[7], 0],
  ])('with %j out, %i of 14 are out', (out, count) => {
    expect(countWeeded(groups, out)).toEqual({ out: count, of: 14 });
  });
});
