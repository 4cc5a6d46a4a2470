import { describe, expect, it } from 'vitest';
import { minor } from '../units';
import { sumAsked } from './index';

const shirt = {
  price: minor(2500),
  options: [{ surcharge: minor(400) }, { surcharge: minor(150) }],
  variants: [{ sizeName: 'XXL', colourName: null, price: minor(2900), swaps: [] }],
};
const line = (part: object = {}) => ({ itemId: 1, quantity: 2, sizeName: 'M', colourName: 'red', ...part });
const sum = (...lines: ReturnType<typeof line>[]) => sumAsked(lines, (id) => (id === 1 ? shirt : undefined));

describe('what an order asks', () => {
  it('counts sizes with their own price and the surcharge of each option, a piece', () => {
    expect(sum(line())).toEqual({ pieces: 2, asked: 5000 });
    expect(sum(line({ sizeName: 'XXL' }))).toEqual({ pieces: 2, asked: 5800 });
    expect(sum(line({ options: [0, 1] }))).toEqual({ pieces: 2, asked: 6100 });
    expect(sum(line(), line({ quantity: 3, sizeName: 'XXL', options: [1] }))).toEqual({
      pieces: 5,
      asked: 5000 + 3 * 3050,
    });
  });

  it('leaves out what is no number yet, and items it does not know', () => {
    expect(sum(line({ quantity: NaN }), line({ itemId: 2 }))).toEqual({ pieces: 0, asked: 0 });
  });
});
