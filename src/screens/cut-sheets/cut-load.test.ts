import { describe, expect, it } from 'vitest';
import type { NestLayout } from '../../core/nesting';
import type { StockChoice, WaitingPart } from '../../views/views';
import type { CutShape } from '../../workers/nest-client';
import { getShapeKey, makeLoad, orderStock, partOf, toCutLoad, toStock } from './cut-load';
import { writeLoad } from './write-load';

const part = (partId: number, more: Partial<WaitingPart> = {}): WaitingPart => ({ partId, orderId: 1, orderTitle: 'Coats', unitNumber: partId, itemName: 'Coat', dueDay: '2026-12-01', layerName: 'wheel', broken: false, artworkId: 5, layerIndex: 0, widthMm: 90, mirrored: true, ...more });
const box = [{ x: 0, y: 0 }, { x: 40, y: 0 }, { x: 40, y: 20 }, { x: 0, y: 20 }];
const shape: CutShape = { paths: [{ points: box, inner: false }], outline: box };
const parts = [part(1), part(2, { dueDay: '2026-11-28' }), part(3, { widthMm: 60 })];
const shapes = new Map(parts.map((one) => [getShapeKey(one), shape]));
const lot = (lotId: number, form: StockChoice['form'], more: Partial<StockChoice> = {}): StockChoice => ({ lotId, form, widthMm: 300, lengthMm: form === 'roll' ? null : 400, left: form === 'roll' ? 5000 : 2, shape: null, code: null, ...more });

describe('a load from what waits', () => {
  it('takes parts that are cut alike as copies of one piece, the first due first; what can’t be read is left', () => {
    const load = makeLoad(parts, shapes, false);
    expect(load.pieces.map((piece) => [piece.copies, piece.turns])).toEqual([[2, [0, 180]], [1, [0, 180]]]);
    expect(partOf(load, { pieceId: getShapeKey(parts[0]!), copy: 0 })!.partId).toBe(2);
    expect(makeLoad(parts, new Map(), true).pieces).toEqual([]);
  });

  it('takes offcuts first, the smallest of them first, then sheets, then rolls', () => {
    expect(orderStock([lot(1, 'roll'), lot(2, 'sheet'), lot(3, 'offcut'), lot(4, 'offcut', { widthMm: 100 })]).map((choice) => choice.lotId)).toEqual([4, 3, 2, 1]);
    expect([lot(1, 'roll'), lot(2, 'sheet'), lot(3, 'offcut'), lot(4, 'piece')].map((choice) => toStock(choice)?.kind ?? null)).toEqual(['roll', 'sheet', 'offcut', null]);
  });
});

it('a load that is cut shares its strip by outlines grown by half the gap, and keeps the rest of a sheet only', () => {
  const load = makeLoad(parts, shapes, true), [wide, small] = load.pieces;
  const laid = (sheet: number, pieceId: string, copy: number) => ({ pieceId, copy, sheet, xMm: 10, yMm: 5, rotationDeg: 0 });
  const use = (sheet: number, stockId: string) => ({ sheet, stockId, usedLengthMm: 100, usedMm2: 1, piecesMm2: 1, density: 1 });
  const layout: NestLayout = { placements: [laid(0, wide!.id, 0), laid(1, wide!.id, 1), laid(2, small!.id, 0)], sheets: [use(0, '3'), use(1, '2'), use(2, '1')], usedLengthMm: 300, density: 1, left: [] };
  const { sheets } = toCutLoad(layout, load, [lot(3, 'offcut'), lot(2, 'sheet'), lot(1, 'roll')], 6);
  expect(sheets.map((sheet) => [sheet.lotId, sheet.rest, sheet.parts.map((own) => own.partId)])).toEqual([[3, null, [2]], [2, { widthMm: 300, lengthMm: 300 }, [1]], [1, null, [3]]]);
  // 40 × 20 grown by 3 on all sides, its corners round: 40 · 20 + 2 · 3 · 60 + 9 π.
  expect(sheets[0]!.parts[0]!.areaMm2).toBeCloseTo(800 + 360 + 9 * Math.PI, 1);
});

it('the file has every part where it lies', async () => {
  const placement = { pieceId: getShapeKey(parts[0]!), copy: 0, sheet: 0, xMm: 100, yMm: 50, rotationDeg: 90 };
  const svg = await writeLoad([placement], shapes, { name: 'Slate, sheet 1', widthMm: 300, lengthMm: 200, mirrored: true, colour: '#3f5e86' }, 'svg').text();
  const numbers = /d="([^"]+)"/.exec(svg)![1]!.match(/-?\d+(\.\d+)?/g)!.map(Number), xs = numbers.filter((_, at) => at % 2 === 0), ys = numbers.filter((_, at) => at % 2 === 1);
  expect([Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]).toEqual([80, 100, 50, 90]);
  expect(svg).toContain('Slate, sheet 1, mirrored');
});
