import { describe, expect, it } from 'vitest';
import { groupParts, type PartState } from './index';

const part = (pieceNumber: number, state: PartState, vinyl: string, broken = false) => ({
  pieceNumber,
  state,
  vinyl,
  broken,
  recut: null,
});

describe('parts by what they have in common', () => {
  it('are counted by how far they are, with the pieces they are of', () => {
    const parts = [
      part(2, 'cut', 'white'),
      part(1, 'to-cut', 'white', true),
      part(1, 'cut', 'gold'),
      part(2, 'cut', 'white'),
    ];
    expect(groupParts(parts, ({ vinyl }) => vinyl)).toEqual([
      {
        name: 'gold',
        parts: 1,
        states: { 'to-cut': 0, cut: 1, weeded: 0, pressed: 0, checked: 0 },
        broken: 0,
        pieces: [1],
      },
      {
        name: 'white',
        parts: 3,
        states: { 'to-cut': 1, cut: 2, weeded: 0, pressed: 0, checked: 0 },
        broken: 1,
        pieces: [1, 2],
      },
    ]);
  });

  it('are in the order of their names, numbers by their value', () => {
    const parts = ['160 °C', '95 °C', '130 °C'].map((name) => part(1, 'cut', name));
    expect(groupParts(parts, ({ vinyl }) => vinyl).map(({ name }) => name)).toEqual(['95 °C', '130 °C', '160 °C']);
    expect(groupParts([], () => '')).toEqual([]);
  });
});
