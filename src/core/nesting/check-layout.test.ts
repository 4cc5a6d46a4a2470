import { describe, expect, it } from 'vitest';
import { checkLayout, type LayoutFault, type NestPiece, type NestStock, type Placement } from './index';

const square = (side: number) => [
  { x: 0, y: 0 },
  { x: side, y: 0 },
  { x: side, y: side },
  { x: 0, y: side },
];
const piece = (part: Partial<NestPiece> = {}): NestPiece => ({
  id: 'a',
  rings: [square(10)],
  copies: 1,
  turns: [0, 90, 180, 270],
  ...part,
});
const at = (xMm: number, yMm: number, part: Partial<Placement> = {}): Placement => ({
  pieceId: 'a',
  copy: 0,
  sheet: 0,
  xMm,
  yMm,
  rotationDeg: 0,
  ...part,
});
const ROLL: NestStock = { kind: 'roll', id: 'r', widthMm: 100, lengthMm: 300 };
const SHEET: NestStock = { kind: 'sheet', id: 's', widthMm: 100, lengthMm: 80, count: 2 };
/** An L: its upper right quarter is gone. */
const OFFCUT: NestStock = {
  kind: 'offcut',
  id: 'o',
  shape: [
    { x: 0, y: 0 },
    { x: 100, y: 0 },
    { x: 100, y: 50 },
    { x: 50, y: 50 },
    { x: 50, y: 100 },
    { x: 0, y: 100 },
  ],
  spoiledSpots: [square(8).map(({ x, y }) => ({ x: x + 20, y: y + 20 }))],
};
const OPTIONS = { gapMm: 2, margins: { sideMm: 5, endMm: 7 } };
/** Counted as kept where it is missed by a hundredth of a millimetre. */
const HAIR = 0.02;

function faultsOf(
  placements: readonly Placement[],
  stock: NestStock = ROLL,
  pieces: readonly NestPiece[] = [piece({ copies: placements.length })],
): readonly LayoutFault[] {
  return checkLayout(pieces, [stock], { placements, left: [] }, OPTIONS);
}
const kinds = (...input: Parameters<typeof faultsOf>) => faultsOf(...input).map((fault) => fault.kind);

describe('each fault is found just outside, and nothing just inside', () => {
  it.each<[string, NestStock, Placement, Placement, LayoutFault['kind']]>([
    ['the margin at the left', ROLL, at(5, 7), at(5 - HAIR, 7), 'outside'],
    ['the margin at the right', ROLL, at(85, 7), at(85 + HAIR, 7), 'outside'],
    ['the margin at the start', ROLL, at(20, 7), at(20, 7 - HAIR), 'outside'],
    ['the end of a roll', ROLL, at(20, 283), at(20, 283 + HAIR), 'outside'],
    ['the end of a sheet', SHEET, at(20, 63), at(20, 63 + HAIR), 'outside'],
    ['the inner corner of an offcut', OFFCUT, at(35, 60), at(35 + HAIR, 60), 'outside'],
    ['the notch of an offcut', OFFCUT, at(60, 35), at(60, 35 + HAIR), 'outside'],
    ['a spoiled spot', OFFCUT, at(28, 20), at(28 - HAIR, 20), 'spoiled-spot'],
    ['how often a sheet is there', SHEET, at(20, 20, { sheet: 1 }), at(20, 20, { sheet: 2 }), 'outside'],
    ['the turns it may take', ROLL, at(30, 30, { rotationDeg: 90.005 }), at(30, 30, { rotationDeg: 90.02 }), 'turned'],
  ])('%s', (_, stock, inside, outside, kind) => {
    expect(kinds([inside], stock)).toEqual([]);
    expect(kinds([outside], stock)).toEqual([kind]);
  });

  it('the gap between two pieces, side by side and corner to corner', () => {
    const beside = (xMm: number, yMm: number) => [at(20, 20), at(xMm, yMm, { copy: 1 })];
    expect(kinds(beside(32, 20))).toEqual([]);
    expect(faultsOf(beside(32 - HAIR, 20))).toEqual([
      { kind: 'overlap', first: at(20, 20), second: at(32 - HAIR, 20, { copy: 1 }), byMm: expect.closeTo(HAIR, 6) },
    ]);
    const diagonal = 30 + Math.SQRT2;
    expect(kinds(beside(diagonal + HAIR, diagonal + HAIR))).toEqual([]);
    expect(kinds(beside(diagonal - HAIR, diagonal - HAIR))).toEqual(['overlap']);
  });

  it('pieces of different sheets never meet', () => {
    expect(kinds([at(20, 20), at(20, 20, { copy: 1, sheet: 1 })], SHEET)).toEqual([]);
  });

  it('a piece in the hole of another, with its gap all round, and a hair too large', () => {
    const ring = piece({ rings: [square(40), square(14).map(({ x, y }) => ({ x: x + 13, y: y + 13 }))] });
    const inner = (side: number) => piece({ id: 'b', rings: [square(side)] });
    const placements = [at(20, 20), at(35, 35, { pieceId: 'b' })];
    expect(kinds(placements, ROLL, [ring, inner(10)])).toEqual([]);
    expect(kinds(placements, ROLL, [ring, inner(10 + HAIR)])).toEqual(['overlap']);
  });

  it('a piece that is turned freely, and one that may not be turned at all', () => {
    const turned = [at(50, 50, { rotationDeg: 33 })];
    expect(kinds(turned, ROLL, [piece({ turns: 'free' })])).toEqual([]);
    expect(kinds(turned, ROLL, [piece({ turns: [0] })])).toEqual(['turned']);
    expect(kinds([at(50, 50, { rotationDeg: -360 })], ROLL, [piece({ turns: [0] })])).toEqual([]);
  });

  it('a copy that lies nowhere and is not said to be left', () => {
    expect(faultsOf([at(20, 20)], ROLL, [piece({ copies: 2 })])).toEqual([{ kind: 'missing', pieceId: 'a', copy: 1 }]);
    const left = { placements: [at(20, 20)], left: [{ pieceId: 'a', copy: 1 }] };
    expect(checkLayout([piece({ copies: 2 })], [ROLL], left as never, OPTIONS)).toEqual([]);
  });

  it('the margins of a mat hold in place of those of the machine', () => {
    const onMat: NestStock = { ...SHEET, margins: { sideMm: 1, endMm: 1 } };
    expect(kinds([at(1, 1)], onMat)).toEqual([]);
    expect(kinds([at(1 - HAIR, 1)], onMat)).toEqual(['outside']);
  });
});
