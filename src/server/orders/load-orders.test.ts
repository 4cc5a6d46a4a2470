// The comb of an order: a column a piece, and of very many pieces no more columns than can be seen.

import { describe, expect, it } from 'vitest';
import type { PartState } from '../../core/orders';
import { toComb } from './load-orders';
import type { WaitingPart } from './read-orders';

const piece = (number: number, ...states: readonly PartState[]): readonly WaitingPart[] =>
  states.map((state, at) => ({
    id: number * 10 + at,
    pieceId: number,
    pieceNumber: number,
    lineId: 1,
    layerIndex: at,
    vinylId: 1,
    state,
    broken: false,
    recut: null,
    gone: null,
    estimates: { cut: 0, weed: 0, press: 0, check: 0 },
  }));
const combOf = (...pieces: readonly (readonly WaitingPart[])[]) => toComb(pieces.flat(), new Map([[1, '#203040']]));
const many = (count: number) => Array.from({ length: count }, (_, at) => piece(at + 1, 'weeded', 'cut'));

describe('the comb of an order', () => {
  it('has a column for each piece and a tooth for each part', () => {
    const comb = combOf(piece(1, 'cut', 'to-cut'), piece(2, 'pressed'));
    expect(comb.map(({ number, pieces, teeth }) => [number, pieces, teeth.map(({ state }) => state)])).toEqual([
      [1, 1, ['cut', 'to-cut']],
      [2, 1, ['pressed']],
    ]);
  });

  it('is empty where there is nothing', () => expect(combOf()).toEqual([]));

  it('puts many pieces together, each tooth as far as the slowest of them, and none is left out', () => {
    expect(combOf(...many(60))).toHaveLength(60);
    const comb = combOf(...many(130), piece(131, 'to-cut', 'checked'));
    expect(comb).toHaveLength(44);
    expect(comb.reduce((sum, column) => sum + column.pieces, 0)).toBe(131);
    expect(comb[0]!.teeth.map(({ state }) => state)).toEqual(['weeded', 'cut']);
    expect(comb.at(-1)!.teeth.map(({ state }) => state)).toEqual(['to-cut', 'cut']);
  });
});
