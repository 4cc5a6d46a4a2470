import { describe, expect, it } from 'vitest';
import type { OrderLineView } from '../../views/orders';
import { expandLines, joinSources, startLine, toLineForms } from './line-form';

const view = (id: number, part: Partial<OrderLineView> = {}): OrderLineView => ({
  id,
  itemId: 7,
  itemName: 'Jacket',
  quantity: 1,
  sizeName: 'M',
  colourName: 'navy',
  options: [0],
  texts: [],
  note: '',
  each: 5900,
  readBackAtMs: null,
  comb: [],
  eachWithRisk: 3500,
  ...part,
});
const named = (id: number, text: string, part: Partial<OrderLineView> = {}) =>
  view(id, { texts: [{ label: 'Surname', text, given: text }], ...part });

describe('lines of an order in a form', () => {
  const lines = [
    view(1, { itemId: 9, quantity: 3, options: [], each: 2000, note: 'folded' }),
    named(2, 'Ash', { note: 'left' }),
    named(3, ' Vale ', { sizeName: 'XL', each: 6200 }),
  ];

  it('hold names of one item as one list, and everything else line by line', () => {
    const forms = toLineForms(lines);
    expect(forms.map(({ itemId, quantity, roster }) => [itemId, quantity, roster?.rows.length ?? null])).toEqual([
      [9, 3, null],
      [7, 2, 2],
    ]);
  });

  it('go back as they came: ids, sizes, notes, prices and every space of a text', () => {
    const back = expandLines(toLineForms(lines));
    expect(back.map(({ lineId, quantity, sizeName, note, each }) => [lineId, quantity, sizeName, note, each])).toEqual([
      [1, 3, 'M', 'folded', 2000],
      [2, 1, 'M', 'left', 5900],
      [3, 1, 'XL', '', 6200],
    ]);
    expect(back[2]!.texts).toEqual([{ label: 'Surname', text: ' Vale ', given: ' Vale ' }]);
  });

  it('take one price for a whole list where one is written', () => {
    const [, list] = toLineForms(lines);
    expect(expandLines([{ ...list!, each: 5000 }]).map(({ each }) => each)).toEqual([5000, 5000]);
  });

  it('follow the shop’s price where it is emptied, and send on what can’t be read to be refused', () => {
    const [plain] = toLineForms(lines);
    const priceOf = (each: unknown) => expandLines([{ ...plain!, each: each as number }])[0]!.each;
    expect([priceOf(''), priceOf(null), priceOf(1500)]).toEqual([null, null, 1500]);
    expect(priceOf(NaN)).toBe('?');
  });

  it('leave out texts that say nothing, and numbers typed as text are numbers', () => {
    const item = { id: 4, usualSize: 'S', usualColour: 'red' } as Parameters<typeof startLine>[0];
    const line = { ...startLine(item), itemId: '4' as unknown as number, texts: { Surname: '  ', Seat: '7' } };
    expect(expandLines([line])).toMatchObject([{ itemId: 4, texts: [{ label: 'Seat', text: '7', given: '7' }] }]);
  });

  it('keep the lists as they came, one after the other', () => {
    const [, list] = toLineForms(lines);
    expect(joinSources([list!])).toBeNull();
    expect(joinSources([{ ...list!, roster: { source: 'a\nb', rows: [] } }])).toBe('a\nb');
  });
});
