import { describe, expect, it } from 'vitest';
import type { OrderLineForm } from './line-form';
import { readGrid, writeGrid } from './size-grid';

const line = (sizeName: string, quantity: number, more: Partial<OrderLineForm> = {}): OrderLineForm => ({
  lineId: null,
  itemId: 7,
  quantity,
  sizeName,
  colourName: 'navy',
  options: [],
  texts: {},
  note: '',
  each: null,
  roster: null,
  ...more,
});
const say = (lines: readonly OrderLineForm[]) =>
  lines.map(({ lineId, itemId, sizeName, colourName, quantity }) => [lineId, itemId, sizeName, colourName, quantity]);

describe('a grid of sizes and colours', () => {
  const lines = [
    line('S', 2, { lineId: 1 }),
    line('M', 4, { itemId: 9, lineId: 2 }),
    line('M', 3, { lineId: 3 }),
    line('M', 1, { lineId: 4, texts: { Name: 'Ash' } }),
    line('L', 1, { lineId: 5, roster: { source: '', rows: [] } }),
  ];

  it('holds what differs in size and colour alone', () => {
    expect(readGrid(lines, 2)).toEqual([
      { sizeName: 'S', colourName: 'navy', quantity: 2 },
      { sizeName: 'M', colourName: 'navy', quantity: 3 },
    ]);
  });

  it('keeps the lines that stay, adds those that are new, leaves the others where they are', () => {
    const written = writeGrid(lines, 2, [
      { sizeName: 'S', colourName: 'navy', quantity: 0 },
      { sizeName: 'M', colourName: 'navy', quantity: 5 },
      { sizeName: 'M', colourName: 'grey', quantity: 2 },
    ]);
    expect(say(written)).toEqual([
      [3, 7, 'M', 'navy', 5],
      [null, 7, 'M', 'grey', 2],
      [2, 9, 'M', 'navy', 4],
      [4, 7, 'M', 'navy', 1],
      [5, 7, 'L', 'navy', 1],
    ]);
  });

  it('never leaves an order without a line', () => {
    expect(writeGrid([line('S', 2)], 0, [{ sizeName: 'S', colourName: 'navy', quantity: 0 }])).toEqual([line('S', 2)]);
  });
});
