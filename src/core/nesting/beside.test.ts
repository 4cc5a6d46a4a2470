import { expect, it, describe } from 'vitest';
import { mixRealShapes } from '../../../test/real-shapes';
import {
  boundPoints,
  computeRegionArea,
  computeRingArea,
  intersectRegions,
  makeRegion,
  offsetRegion,
  type Polyline,
} from '../geometry';
import {
  attachTag,
  checkLayout,
  chooseStock,
  drawMarks,
  fillSheet,
  findLeftovers,
  listIslands,
  measureLayout,
  nest,
  NO_MARKS,
  orderCutting,
  placePoints,
  type NestOptions,
  type NestPiece,
  type NestStock,
} from './index';
import { closeTogether } from './prepare-pieces';

const box = (x: number, y: number, width: number, height: number): Polyline => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];
const options: NestOptions = { gapMm: 4, margins: { sideMm: 5, endMm: 5 }, inside: 'bays', seed: 0.4, rounds: 0 };
const piece = (id: string, width: number, height: number, copies = 1): NestPiece => ({
  id,
  rings: [box(0, 0, width, height)],
  copies,
  turns: [0, 90],
});
const mustNest = async (pieces: readonly NestPiece[], stock: readonly NestStock[]) => {
  const found = await nest(pieces, stock, options);
  if (!found.ok) throw new Error(found.problem.kind);
  return found.value;
};

describe('what is left', () => {
  const sheet: NestStock = { kind: 'sheet', id: '1', widthMm: 300, lengthMm: 400, count: 1 };
  it('of a sheet with one piece in its corner: a strip, the larger rectangles beside it, or an ell', () => {
    const leftovers = findLeftovers(sheet, [box(5, 5, 100, 150)], 6, 160);
    const of = (kind: string) => leftovers.find((leftover) => leftover.kind === kind)!;
    expect(of('strip').areaMm2).toBe(300 * 240);
    // Behind it 300 × 240, beside it 190 × 160, on a raster of 5 mm.
    expect(of('rectangles').areaMm2).toBeGreaterThan(300 * 235 + 185 * 155);
    expect(of('shape').areaMm2).toBeCloseTo(300 * 400 - 108 * 158, -1);
    expect(leftovers[0]!.kind).toBe('rectangles');
  });
  it('never takes in what was cut, and nothing narrower than 60 mm', () => {
    const placed = [box(20, 10, 120, 90), box(180, 40, 90, 160), box(30, 130, 100, 60)];
    for (const leftover of findLeftovers(sheet, placed, 6, 205))
      for (const ring of leftover.pieces) {
        const bounds = boundPoints([ring])!;
        expect(Math.min(bounds.width, bounds.height)).toBeGreaterThanOrEqual(60);
        for (const cut of placed)
          expect(
            computeRegionArea(intersectRegions(makeRegion([ring]), offsetRegion(makeRegion([cut]), 2.9, 'miter'))),
          ).toBeLessThan(0.5);
        expect(computeRingArea(ring)).toBeGreaterThan(3600);
      }
  });
  it('of a full sheet or a roll is nothing; of an odd offcut keeps to its outline', () => {
    expect(findLeftovers(sheet, [box(0, 0, 300, 400)], 6, 400)).toEqual([]);
    expect(findLeftovers({ kind: 'roll', id: '1', widthMm: 300, lengthMm: 400 }, [box(0, 0, 20, 20)], 6, 30)).toEqual(
      [],
    );
    const ell: Polyline = [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 100, y: 200 },
      { x: 300, y: 200 },
      { x: 300, y: 300 },
      { x: 0, y: 300 },
    ];
    const leftovers = findLeftovers(
      { kind: 'offcut', id: '2', shape: ell, spoiledSpots: [] },
      [box(5, 5, 80, 80)],
      6,
      90,
    );
    expect(leftovers.map((leftover) => leftover.kind).sort()).toEqual(['rectangles', 'shape']);
    for (const leftover of leftovers)
      for (const ring of leftover.pieces)
        expect(computeRegionArea(intersectRegions(makeRegion([ring]), makeRegion([ell])))).toBeCloseTo(
          computeRingArea(ring),
          0,
        );
  });
});

describe('filling what is left', () => {
  it('leaves what lies there where it is, adds what fits, the first of it first, and stays valid', async () => {
    const stock: NestStock[] = [{ kind: 'roll', id: '1', widthMm: 200, lengthMm: 3000 }];
    const pieces = [piece('a', 120, 80, 2)],
      layout = await mustNest(pieces, stock);
    const more = [piece('b', 50, 50, 6), piece('huge', 190, 500)];
    const found = await fillSheet(pieces, layout, more, stock, options);
    const added = found.ok ? found.value : [];
    expect(added.length).toBeGreaterThan(0);
    expect(added.every((placement) => placement.pieceId === 'b')).toBe(true);
    const all = [...layout.placements, ...added],
      measured = measureLayout([...pieces, ...more], stock, all, options.margins);
    expect(measured.usedLengthMm).toBeCloseTo(layout.usedLengthMm, 1);
    expect(
      checkLayout([...pieces, ...more], stock, { placements: all, left: [] }, options).filter(
        (fault) => fault.kind !== 'missing',
      ),
    ).toEqual([]);
  });
  it('puts a piece on one sheet alone where that is asked for', async () => {
    const stock: NestStock[] = [{ kind: 'sheet', id: '1', widthMm: 120, lengthMm: 120, count: 3 }];
    const pieces = [piece('a', 100, 60, 2)],
      layout = await mustNest(pieces, stock);
    expect(layout.sheets.map((use) => use.sheet)).toEqual([0, 1]);
    const found = await fillSheet(pieces, layout, [piece('b', 40, 30)], stock, options, 1);
    expect(found.ok && found.value.map((placement) => placement.sheet)).toEqual([1]);
    const none = await fillSheet(pieces, layout, [piece('b', 100, 60)], stock, options, 1);
    expect(none.ok && none.value).toEqual([]);
  });
});

describe('which stock', () => {
  const roll: NestStock = { kind: 'roll', id: 'roll', widthMm: 500, lengthMm: 5000 };
  const offcut = (id: string, width: number, length: number): NestStock => ({
    kind: 'offcut',
    id,
    shape: box(0, 0, width, length),
    spoiledSpots: [],
  });
  const choose = async (pieces: readonly NestPiece[], stock: readonly NestStock[]) => {
    const found = await chooseStock(pieces, stock, options);
    return found.ok ? found.value.stock.map((kind) => kind.id) : found.problem.kind;
  };
  it('is the one that takes all of it with least waste: a fitting offcut before the roll, not a far larger one', async () => {
    expect(
      await choose(
        [piece('a', 80, 60, 2)],
        [offcut('large', 480, 480), offcut('fits', 100, 150), offcut('small', 90, 90), roll],
      ),
    ).toEqual(['fits']);
    expect(await choose([piece('a', 80, 60, 30)], [offcut('large', 300, 300), roll])).toEqual(['roll']);
  });
  it('is several where none takes all of it, and none for what fits nowhere', async () => {
    expect(await choose([piece('a', 80, 60, 3)], [offcut('one', 100, 75), offcut('two', 100, 150)])).toEqual([
      'one',
      'two',
    ]);
    expect(await choose([piece('a', 800, 600)], [offcut('one', 100, 75)])).toBe('too-large');
  });
});

describe('beside the pieces', () => {
  it('weed lines keep apart from one another and from what they are round', async () => {
    const pieces = mixRealShapes(8, 0.3),
      stock: NestStock[] = [{ kind: 'roll', id: '1', widthMm: 305, lengthMm: 5000 }],
      layout = await mustNest(pieces, stock);
    const placed = layout.placements.flatMap((placement) =>
      pieces
        .find((one) => one.id === placement.pieceId)!
        .rings.slice(0, 1)
        .map((ring) => placePoints(ring, placement)),
    );
    const drawn = drawMarks({ ...NO_MARKS, weed: 'each', trim: true, corners: true }, placed, 4, {
      widthMm: 305,
      usedLengthMm: layout.usedLengthMm,
      isRoll: true,
    });
    expect(drawn.weed).toHaveLength(placed.length);
    for (const [at, ring] of drawn.weed.entries())
      for (const other of drawn.weed.slice(at + 1))
        expect(computeRegionArea(intersectRegions(makeRegion([ring]), makeRegion([other])))).toBeLessThan(0.01);
    expect(drawn.trim).toEqual([
      { x: 0, y: layout.usedLengthMm },
      { x: 305, y: layout.usedLengthMm },
    ]);
    expect(drawn.corners).toHaveLength(4);
    expect(
      drawMarks({ ...NO_MARKS, trim: true }, placed, 4, { widthMm: 305, usedLengthMm: 99, isRoll: false }),
    ).toEqual({ weed: [], trim: null, corners: [] });
  });
  it('a tag lies in a bay where there is one, and never on the piece', () => {
    const bay: Polyline = [
      { x: 0, y: 0 },
      { x: 80, y: 0 },
      { x: 80, y: 60 },
      { x: 60, y: 60 },
      { x: 60, y: 20 },
      { x: 20, y: 20 },
      { x: 20, y: 60 },
      { x: 0, y: 60 },
    ];
    const { at, rings } = attachTag(bay, { widthMm: 15, heightMm: 5 });
    expect(computeRegionArea(intersectRegions(makeRegion([bay]), makeRegion([box(at.x, at.y, 15, 5)])))).toBe(0);
    expect(boundPoints(rings)).toMatchObject({
      width: expect.closeTo(80, 3) as number,
      height: expect.closeTo(60, 3) as number,
    });
  });
  it('is cut band by band, never far to and fro along a roll', () => {
    const placed = [
      box(200, 300, 20, 20),
      box(10, 10, 20, 20),
      box(150, 20, 20, 20),
      box(10, 310, 20, 20),
      box(80, 30, 20, 20),
    ];
    expect(orderCutting(placed)).toEqual([1, 4, 2, 0, 3]);
  });
  it('islands keep what lies in their cavities', () => {
    const rings = [box(0, 0, 50, 50), box(10, 10, 30, 30), box(20, 20, 5, 5), box(70, 0, 10, 10)];
    expect(
      listIslands(rings)
        .map((island) => island.members)
        .sort((a, b) => a[0]! - b[0]!),
    ).toEqual([[0, 1, 2], [3]]);
  });
  it('a ring has a hole that another may lie in, a mesh has none', () => {
    const ring = [box(0, 0, 120, 120), box(10, 10, 100, 100)];
    const { outer, holes } = closeTogether(ring);
    expect([computeRingArea(outer), holes.map((hole) => computeRingArea(hole))]).toEqual([
      expect.closeTo(14_400, 0) as number,
      [expect.closeTo(10_000, -1) as number],
    ]);
    // Its corners a little rounder, never wider than it is.
    expect(computeRingArea(holes[0]!)).toBeLessThanOrEqual(10_000);
    const mesh = [box(0, 0, 50, 50), ...[2, 18, 34].flatMap((x) => [2, 18, 34].map((y) => box(x, y, 14, 14)))];
    expect(closeTogether(mesh).holes).toEqual([]);
  });
});
