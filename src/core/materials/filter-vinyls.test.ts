import { describe, expect, it } from 'vitest';
import { PLAIN_VINYL, STICKY_VINYL } from '../../../test/worked-example';
import { filterVinyls, isSafeOn, NO_FILTER } from './index';

const COOL = {
  ...PLAIN_VINYL,
  id: 3,
  name: 'Cool',
  kind: 'low-heat' as const,
  colourName: 'marigold',
  supplier: 'Trade',
  press: { ...PLAIN_VINYL.press!, lowC: 118, highC: 132 },
};
const SHELF = [{ ...PLAIN_VINYL, supplier: 'Trade' }, { ...STICKY_VINYL, supplier: 'Craft' }, COOL];
const names = (part: Partial<typeof NO_FILTER>, stocked: readonly number[] = []) =>
  filterVinyls(SHELF, { ...NO_FILTER, ...part }, new Set(stocked)).map((vinyl) => vinyl.name);

describe('vinyls for what stands on the table', () => {
  it('by words in name, colour, kind and supplier', () => {
    expect(names({})).toEqual(['Plain', 'Sticky', 'Cool']);
    expect(names({ words: 'MARIGOLD trade' })).toEqual(['Cool']);
    expect(names({ words: 'craft' })).toEqual(['Sticky']);
    expect(names({ words: 'purple' })).toEqual([]);
  });
  it('by kind and by what is there', () => {
    expect(names({ kind: 'smooth' })).toEqual(['Plain']);
    expect(names({ inStock: true }, [2])).toEqual(['Sticky']);
  });
  it('by what it is good for, and what is better', () => {
    const shelf = (['sell', 'own use', 'stencil', 'no'] as const).map((grade) => ({
      ...PLAIN_VINYL,
      supplier: '',
      name: grade,
      details: { ...PLAIN_VINYL.details, grade },
    }));
    expect(filterVinyls(shelf, { ...NO_FILTER, grade: 'own use' }, new Set()).map((vinyl) => vinyl.name)).toEqual([
      'sell',
      'own use',
    ]);
  });
  it('by the fabric’s ceiling: too hot for polyester, cool enough for softshell, no heat on glass', () => {
    expect(isSafeOn(PLAIN_VINYL, 'cotton')).toBe(true);
    expect(isSafeOn(PLAIN_VINYL, 'softshell')).toBe(false);
    expect(names({ fabric: 'softshell' })).toEqual(['Sticky', 'Cool']);
    expect(names({ fabric: 'glass-tin' })).toEqual(['Sticky']);
  });
});
