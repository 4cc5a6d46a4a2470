import { describe, expect, it } from 'vitest';
import { allocate } from './allocate';

const need = (who: string, key: string, amount: number) => ({ who, key, amount });
const short = (needs: readonly ReturnType<typeof need>[], stock: Readonly<Record<string, number>>) =>
  allocate(needs, new Map(Object.entries(stock))).short.map(({ need: { who, key }, short: by }) => [who, key, by]);

describe('stock that does not suffice', () => {
  it('goes to who comes first; who comes later is short of what is missing', () => {
    const needs = [need('Ash', 'white', 60), need('Vale', 'white', 60), need('Mo', 'white', 30)];
    expect(short(needs, { white: 100 })).toEqual([
      ['Vale', 'white', 20],
      ['Mo', 'white', 30],
    ]);
  });

  it('is counted thing by thing, and what nobody has is short whole', () => {
    expect(short([need('Ash', 'white', 10), need('Ash', 'gold', 5)], { white: 10 })).toEqual([['Ash', 'gold', 5]]);
  });

  it('is left where nobody claims it', () => {
    const { left } = allocate([need('Ash', 'white', 30), need('Vale', 'gold', 5)], new Map([['white', 100]]));
    expect([...left]).toEqual([
      ['white', 70],
      ['gold', 0],
    ]);
  });

  it('is no shortage where only rounding is missing', () => {
    expect(short([need('Ash', 'white', 10 + 1e-9)], { white: 10 })).toEqual([]);
  });
});
