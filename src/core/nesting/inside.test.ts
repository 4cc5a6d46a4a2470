import 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeRegionArea, intersectRegions, makeRegion, type Polyline } from '../geometry';
import {
  fitCount,
  fitLargestLeftover,
  outlineTogether,
  type NestOptions,
  type NestPiece,
  type NestStock,
} from './index';
import { box, TRIANGLE, piece, roll, OPTIONS, lay } from './nesting-examples';

describe('what others may lie in', () => {
  const ring: NestPiece = {
    id: 'ring',
    rings: [box(200, 200), box(200, 200).map(({ x, y }) => ({ x: 30 + x * 0.7, y: 30 + y * 0.7 }))],
    copies: 1,
    turns: [0],
  };
  const small = piece('small', box(60, 60), 1, [0]);
  it('a hole only where that is said, a bay unless it is forbidden', async () => {
    const inHole = async (inside: NestOptions['inside']) =>
      (await lay([ring, small], [roll(230)], { inside, rounds: 60 })).usedLengthMm;
    expect(await inHole('holes')).toBeLessThan(215);
    expect(await inHole('bays')).toBeGreaterThan(260);
    const cup: Polyline = [
      { x: 0, y: 0 },
      { x: 200, y: 0 },
      { x: 200, y: 150 },
      { x: 170, y: 150 },
      { x: 170, y: 30 },
      { x: 30, y: 30 },
      { x: 30, y: 150 },
      { x: 0, y: 150 },
    ];
    const inBay = async (inside: NestOptions['inside']) =>
      (await lay([piece('cup', cup, 1, [0]), small], [roll(230)], { inside, rounds: 60 })).usedLengthMm;
    expect(await inBay('bays')).toBeLessThan(170);
    expect(await inBay('nothing')).toBeGreaterThan(210);
  });

  it('a layer that stays together has one outline round it, with its bays', () => {
    const outline = outlineTogether([
      box(20, 20),
      box(20, 20).map(({ x, y }) => ({ x: x + 24, y })),
      box(20, 20).map(({ x, y }) => ({ x, y: y + 24 })),
    ]);
    const region = makeRegion([outline]);
    expect(computeRegionArea(intersectRegions(region, makeRegion([box(20, 20)])))).toBeCloseTo(400, 0);
    expect(
      computeRegionArea(
        intersectRegions(region, makeRegion([box(12, 12).map(({ x, y }) => ({ x: x + 32, y: y + 32 }))])),
      ),
    ).toBeLessThan(10);
  });
});

describe('how many fit', () => {
  it('as many as a ruler says of squares, and more triangles than boxes round them', async () => {
    const count = async (one: NestPiece, stock: NestStock, part: Partial<NestOptions> = {}) => {
      const found = await fitCount(one, stock, { ...OPTIONS, ...part });
      if (!found.ok) throw new Error(found.problem.kind);
      return found.value.count;
    };
    expect(
      await count(piece('box', box(44, 44), 1, [0]), { kind: 'sheet', id: 's', widthMm: 214, lengthMm: 154, count: 3 }),
    ).toBe(12);
    expect(
      await count(
        piece('triangle', TRIANGLE, 1, [0, 180]),
        { kind: 'sheet', id: 's', widthMm: 214, lengthMm: 154, count: 1 },
        { rounds: 400 },
      ),
    ).toBeGreaterThan(9);
  });

  it('the rest of a sheet is kept where it is worth it', () => {
    expect(fitLargestLeftover(300, 400, 250.04)).toEqual({ widthMm: 300, lengthMm: 149.9 });
    expect(fitLargestLeftover(300, 400, 360)).toBeNull();
  });
});
