import { describe, expect, it } from 'vitest';
import { figure, minor } from '../units';
import { askPieces, priceLines, splitWords, sumOrder } from './index';

const shirt = {
  price: minor(2500),
  options: [{ surcharge: minor(400) }, { surcharge: minor(150) }],
  variants: [{ sizeName: 'XXL', colourName: null, price: minor(2900), swaps: [] }],
};
const line = (part: object = {}) => ({ itemId: 1, quantity: 2, sizeName: 'M', colourName: 'red', ...part });
const price = (...lines: ReturnType<typeof line>[]) =>
  priceLines(lines, (id) => (id === 1 ? { name: 'Shirt', ...shirt } : undefined)).map(({ quantity, each }) => [
    quantity,
    each,
  ]);

describe('what the lines of an order ask', () => {
  it('is by size, with the surcharge of each option, a piece', () => {
    expect(price(line())).toEqual([[2, 2500]]);
    expect(price(line({ sizeName: 'XXL' }))).toEqual([[2, 2900]]);
    expect(price(line({ options: [0, 1] }))).toEqual([[2, 3050]]);
    expect(price(line(), line({ quantity: 3, sizeName: 'XXL', options: [1] }))).toEqual([
      [2, 2500],
      [3, 3050],
    ]);
  });

  it('is what was agreed for one, where that was; nothing for a gift', () => {
    expect(price(line({ each: 2200, options: [0] }))).toEqual([[2, 2200]]);
    expect(price(line({ each: 0 }))).toEqual([[2, 0]]);
    expect(price(line({ each: null }), line({ each: NaN }))).toEqual([
      [2, 2500],
      [2, 2500],
    ]);
  });

  it('names size and colour, and leaves out what is no number yet and items it does not know', () => {
    const [first] = priceLines([line()], () => ({ name: 'Shirt', ...shirt }));
    expect(first!.label).toBe('Shirt, M, red');
    expect(price(line({ quantity: NaN }), line({ itemId: 2 }))).toEqual([]);
  });

  it('adds up to what all pieces of an item are asked at', () => {
    const asked = [line(), line({ quantity: 3, sizeName: 'XXL', options: [1] }), line({ quantity: 1, each: 100 })];
    expect(askPieces(asked, shirt)).toBe(2 * 2500 + 3 * 3050 + 100);
    expect(askPieces([], shirt)).toBe(0);
  });
});

describe('what the lines of an order cost', () => {
  const costing = (quantity: number, withRisk: number): Parameters<typeof sumOrder>[0][number] => ({
    quantity,
    cost: {
      ok: true,
      value: { withRisk: figure('Cost', withRisk, 'money', 'computed') },
      made: { sizeName: 'M', colourName: 'red' },
    } as unknown as Parameters<typeof sumOrder>[0][number]['cost'],
  });

  it('is each line’s pieces at what one costs with its risk, together', () => {
    const { cost } = sumOrder([costing(3, 700), costing(2, 1250)]);
    expect(cost!.value).toBe(2100 + 2500);
    expect(cost!.parts!.map(({ label, value }) => [label, value])).toEqual([
      ['3 × M, red', 2100],
      ['2 × M, red', 2500],
    ]);
    expect(sumOrder([]).cost!.value).toBe(0);
  });

  it('is not known where one line can’t be costed', () => {
    const unknown = { quantity: 1, cost: { ok: false, problem: { kind: 'no-layers' }, made: {} } };
    expect(sumOrder([costing(3, 700), unknown as unknown as ReturnType<typeof costing>]).cost).toBeNull();
  });
});

it('what is looked for is words in lower case, however they are spaced', () => {
  expect(splitWords('  Crew   JACKETS\tOars ')).toEqual(['crew', 'jackets', 'oars']);
  expect(splitWords('   ')).toEqual([]);
});
