// The referee of layouts where pieces lie turned, over one another, or on stock with slanted edges.

import { describe, expect, it } from 'vitest';
import { place } from './check-layout';
import { checkLayout, type LayoutFault, type NestPiece, type NestStock, type Placement } from './index';

const rectangle = (width: number, height: number) => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: height },
  { x: 0, y: height },
];
const at = (xMm: number, yMm: number, rotationDeg = 0, copy = 0): Placement => ({
  pieceId: 'a',
  copy,
  sheet: 0,
  xMm,
  yMm,
  rotationDeg,
});
const SQUARE: NestPiece = { id: 'a', rings: [rectangle(10, 10)], copies: 1, turns: 'free' };
/** 20 mm wide, 10 mm high. */
const BAR: NestPiece = { ...SQUARE, rings: [rectangle(20, 10)] };
const ROLL: NestStock = { kind: 'roll', id: 'r', widthMm: 100, lengthMm: 300 };
const OPTIONS = { gapMm: 2, margins: { sideMm: 5, endMm: 7 } };
const HAIR = 0.02;

const faultsOf = (
  piece: NestPiece,
  placements: readonly Placement[],
  stock: NestStock = ROLL,
): readonly LayoutFault[] =>
  checkLayout([{ ...piece, copies: placements.length }], [stock], { placements, left: [] }, OPTIONS);
const kinds = (...input: Parameters<typeof faultsOf>) => faultsOf(...input).map((fault) => fault.kind);

describe('a piece that is turned', () => {
  it('lies where its corners come to lie', () => {
    const corners = (rotationDeg: number) =>
      place(BAR, at(30, 40, rotationDeg))
        .rings.flat()
        .map(({ x, y }) => `${Math.round(x * 1000) / 1000},${Math.round(y * 1000) / 1000}`)
        .sort();
    expect(corners(90)).toEqual(['20,40', '20,60', '30,40', '30,60']);
    expect(corners(180)).toEqual(['10,30', '10,40', '30,30', '30,40']);
    // 20 cos 30° = 17.321, 20 sin 30° = 10; 10 sin 30° = 5, 10 cos 30° = 8.66.
    expect(corners(30)).toEqual(['25,48.66', '30,40', '42.321,58.66', '47.321,50']);
  });

  it('has its box about it', () => {
    const { box } = place(BAR, at(30, 40, 30));
    expect(box.minX).toBeCloseTo(25, 3);
    expect(box.maxX).toBeCloseTo(47.321, 3);
    expect(box.minY).toBeCloseTo(40, 3);
    expect(box.maxY).toBeCloseTo(58.66, 3);
  });

  it.each([
    ['a quarter, at the left', at(15, 20, 90), at(15 - HAIR, 20, 90)],
    ['a quarter, at the right', at(95, 20, 90), at(95 + HAIR, 20, 90)],
    ['by 30°, at the left', at(10, 20, 30), at(10 - HAIR, 20, 30)],
    ['by 30°, at the right', at(95 - 17.3205, 20, 30), at(95 - 17.3205 + HAIR, 20, 30)],
    ['by 30°, at the end', at(40, 293 - 18.6603, 30), at(40, 293 - 18.6603 + HAIR, 30)],
    ['by 210°, at the start', at(60, 7 + 18.6603, 210), at(60, 7 + 18.6603 - HAIR, 210)],
  ])('%s: just inside, just outside', (_, inside, outside) => {
    expect(kinds(BAR, [inside])).toEqual([]);
    expect(kinds(BAR, [outside])).toEqual(['outside']);
  });

  it('keeps its gap to another', () => {
    // Upright from x 20 to 30; the other begins at 32.
    expect(kinds(BAR, [at(30, 30, 90), at(32, 30, 0, 1)])).toEqual([]);
    expect(kinds(BAR, [at(30, 30, 90), at(32 - HAIR, 30, 0, 1)])).toEqual(['overlap']);
  });

  it.each([
    [
      [0, 180],
      [0, 180, 360, -180, 540, 359.995, 0.005, 180.005],
      [90, 359.98, 0.02, 179.98, -90],
    ],
    [[90], [90, -270, 450], [0, 180, 270, -90]],
    [[350], [350, -10, 349.995], [10, 340]],
  ] as const)('where it may lie at %j: at %j, not at %j', (turns, allowed, refused) => {
    const isTurned = (degrees: number) => kinds({ ...SQUARE, turns }, [at(50, 50, degrees)]).includes('turned');
    expect(allowed.filter(isTurned)).toEqual([]);
    expect(refused.filter((degrees) => !isTurned(degrees))).toEqual([]);
  });
});

describe('pieces over one another', () => {
  const overlapOf = (xMm: number, yMm: number) => faultsOf(SQUARE, [at(20, 20), at(xMm, yMm, 0, 1)]);
  it.each([
    // Shared 7 × 10: about 7 deep, and 2 of the gap.
    [23, 20, 9],
    [20, 27, 5],
    // Shared 4 × 5, the longest side 5: 4 deep.
    [26, 25, 6],
    [20, 20, 12],
  ])('at %d, %d: nearer than the gap by %d', (xMm, yMm, byMm) => {
    expect(overlapOf(xMm, yMm)).toEqual([
      { kind: 'overlap', first: at(20, 20), second: at(xMm, yMm, 0, 1), byMm: expect.closeTo(byMm, 3) as number },
    ]);
  });

  it('that touch are as near as the gap is wide; one in the hole of another keeps its gap all round', () => {
    expect(overlapOf(30, 20)).toMatchObject([{ byMm: expect.closeTo(2, 6) as number }]);
    const frame: NestPiece = {
      ...SQUARE,
      id: 'f',
      rings: [rectangle(40, 40), rectangle(20, 20).map(({ x, y }) => ({ x: x + 10, y: y + 10 }))],
    };
    const inFrame = (xMm: number, yMm: number) =>
      checkLayout(
        [frame, SQUARE],
        [ROLL],
        { placements: [{ ...at(20, 20), pieceId: 'f' }, at(xMm, yMm)], left: [] },
        OPTIONS,
      ).map(({ kind }) => kind);
    // The hole lies from 30 to 50: a square of 10 has 3 mm of play each way.
    expect([inFrame(32, 32), inFrame(38, 38), inFrame(32, 38)]).toEqual([[], [], []]);
    expect(inFrame(32 - HAIR, 35)).toEqual(['overlap']);
    expect(inFrame(35, 38 + HAIR)).toEqual(['overlap']);
  });
});

describe('stock with slanted edges', () => {
  const spot = (x: number, y: number) => rectangle(4, 4).map((point) => ({ x: point.x + x, y: point.y + y }));
  const triangle = (spoiledSpots: readonly ReturnType<typeof spot>[] = []): NestStock => ({
    kind: 'offcut',
    id: 'o',
    shape: [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 0, y: 100 },
    ],
    spoiledSpots,
  });

  it('the margin is kept square to the edge', () => {
    // The far corner (c, c) is (100 − 2c) ÷ √2 from the edge: 5 mm at c = 46.4645.
    const corner = 46.4645 - 10;
    expect(kinds(SQUARE, [at(corner - HAIR, corner - HAIR)], triangle())).toEqual([]);
    expect(kinds(SQUARE, [at(corner + HAIR, corner + HAIR)], triangle())).toEqual(['outside']);
    // 15 + 77.9 = 92.9, where 100 − 5 √2 = 92.93 is the most.
    expect(kinds(SQUARE, [at(5, 67.9)], triangle())).toEqual([]);
    expect(kinds(SQUARE, [at(5, 68)], triangle())).toEqual(['outside']);
    expect(kinds(SQUARE, [at(67.9, 5)], triangle())).toEqual([]);
  });

  it('how far outside is told from the corner that lies furthest out', () => {
    // (70, 70) lies 40 ÷ √2 = 28.28 beyond the edge, and 5 of the margin.
    expect(faultsOf(SQUARE, [at(60, 60)], triangle())).toMatchObject([
      { kind: 'outside', byMm: expect.closeTo(33.284, 3) as number },
    ]);
    expect(faultsOf(SQUARE, [at(-20, 30)], triangle())).toMatchObject([
      { kind: 'outside', byMm: expect.closeTo(25, 6) as number },
    ]);
  });

  it('one spoiled spot of several is enough', () => {
    const two = triangle([spot(12, 12), spot(60, 10)]);
    expect(kinds(SQUARE, [at(10, 10)], two)).toEqual(['spoiled-spot']);
    expect(kinds(SQUARE, [at(30, 10)], two)).toEqual([]);
    expect(kinds(SQUARE, [at(57, 8)], two)).toEqual(['spoiled-spot']);
  });
});
