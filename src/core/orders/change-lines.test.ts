import { describe, expect, it } from 'vitest';
import { planLineChange, type LineNow, type LineWanted } from './index';

const makeup = { itemId: 1, sizeName: 'M', colourName: 'navy', options: [] as number[], texts: [] };
/** Pieces by number; those named are begun. */
const line = (lineId: number, numbers: readonly number[], begun: readonly number[] = [], more = {}): LineNow => ({
  ...makeup,
  lineId,
  pieces: numbers.map((number) => ({ pieceId: number * 10, number, begun: begun.includes(number) })),
  ...more,
});
const want = (lineId: number | null, quantity: number, more: Partial<LineWanted> = {}): LineWanted => ({
  ...makeup,
  lineId,
  quantity,
  ...more,
});
const plan = (lines: readonly LineNow[], wanted: readonly LineWanted[], fate: 'spare' | 'spoiled' | null = null) => {
  const answer = planLineChange(lines, wanted, fate);
  if (!answer.ok) return answer.problem;
  const { gone, more, fresh } = answer.value;
  return { gone: gone.map((piece) => [piece.number, piece.gone]), more, fresh };
};

describe('lines that are changed', () => {
  it('stay as they are where nothing differs, whatever their order of options', () => {
    const nothing = { gone: [], more: [], fresh: [] };
    expect(plan([line(1, [1, 2])], [want(1, 2)])).toEqual(nothing);
    expect(plan([line(1, [1], [1], { options: [1, 0] })], [want(1, 1, { options: [0, 1] })])).toEqual(nothing);
  });

  it('grow by pieces, and shrink from the end by pieces that were not begun', () => {
    expect(plan([line(1, [1, 2])], [want(1, 5)])).toEqual({ gone: [], more: [{ lineId: 1, count: 3 }], fresh: [] });
    expect(plan([line(1, [1, 2, 3, 4], [3, 4])], [want(1, 2)])).toEqual({
      gone: [
        [2, 'dropped'],
        [1, 'dropped'],
      ],
      more: [],
      fresh: [],
    });
  });

  it('ask what becomes of pieces that were begun, and do as is said', () => {
    const lines = [line(1, [1, 2, 3], [1, 2])];
    expect(plan(lines, [want(1, 1)])).toEqual({ kind: 'pieces-begun', numbers: [2] });
    expect(plan(lines, [want(1, 1)], 'spare')).toMatchObject({
      gone: [
        [3, 'dropped'],
        [2, 'spare'],
      ],
    });
    expect(plan(lines, [want(1, 1)], 'spoiled')).toMatchObject({
      gone: [
        [3, 'dropped'],
        [2, 'spoiled'],
      ],
    });
  });

  it.each([
    ['another size', { sizeName: 'L' }],
    ['another colour', { colourName: 'rust' }],
    ['another item', { itemId: 2 }],
    ['an option more', { options: [0] }],
    ['another text', { texts: [{ label: 'Surname', text: 'TARN' }] }],
  ])('are made anew for %s', (_, part) => {
    const wish = want(1, 2, part);
    expect(plan([line(1, [1, 2])], [wish])).toEqual({
      gone: [
        [1, 'dropped'],
        [2, 'dropped'],
      ],
      more: [],
      fresh: [wish],
    });
  });

  it('are made anew for smaller letters of the same text', () => {
    const texts = [{ label: 'Surname', text: 'TARN' }];
    const smaller = [{ ...texts[0]!, smaller: true }];
    expect(plan([line(1, [1], [], { texts })], [want(1, 1, { texts: smaller })])).toMatchObject({ fresh: [{}] });
  });

  it('go whole where they are left out, and come where they are new', () => {
    const fresh = want(null, 4);
    expect(plan([line(1, [1]), line(2, [2])], [want(2, 1), fresh])).toEqual({
      gone: [[1, 'dropped']],
      more: [],
      fresh: [fresh],
    });
  });

  it('named twice is a line and a new one; named wrongly is refused', () => {
    expect(plan([line(1, [1])], [want(1, 1), want(1, 1)])).toMatchObject({ gone: [], fresh: [{ lineId: 1 }] });
    expect(plan([line(1, [1])], [want(7, 1)])).toEqual({ kind: 'no-such-line', lineId: 7 });
  });
});
