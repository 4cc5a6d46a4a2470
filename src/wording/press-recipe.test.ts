import { describe, expect, it } from 'vitest';
import { PLAIN_RECIPE, type SchoolChange } from '../core/pressing';
import { describeOption, describePressing, describeRisks } from './press-recipe';
import { describeRecipe } from './recipe-names';

const METRIC = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' } as const;
const change = (more: Partial<SchoolChange> = {}): SchoolChange => ({
  option: 'full each',
  isChosen: false,
  handsSeconds: 0,
  waitSeconds: 0,
  pressCycles: 0,
  brings: [],
  matters: true,
  ...more,
});

describe('a recipe in words', () => {
  it('names only what is not plain of it', () => {
    expect(describeRecipe(PLAIN_RECIPE)).toBe('as the makers say');
    expect(describeRecipe({ ...PLAIN_RECIPE, cover: 'always', peel: 'cold' })).toBe('cover sheet: always, peel: cold');
    expect(describeRecipe({ ...PLAIN_RECIPE, ownHeat: { temperatureC: 185, seconds: 8 } })).toBe('own heat');
  });

  it('tells what another choice takes more or less', () => {
    expect(describeOption(change({ isChosen: true }), METRIC)).toBe('full each');
    expect(describeOption(change({ matters: false }), METRIC)).toBe('full each (the same here)');
    expect(describeOption(change(), METRIC)).toBe('full each (no longer)');
    expect(describeOption(change({ handsSeconds: 16 }), METRIC)).toBe('full each (+16 s of hands)');
    expect(describeOption(change({ handsSeconds: -8, waitSeconds: 45 }), METRIC)).toBe(
      'full each (−8 s of hands, +45 s of waiting)',
    );
  });

  it('tells the risks of what is not chosen, and none of what is', () => {
    const brings = [{ kind: 'puff-last', vinylName: 'Puff' }] as const;
    expect(describeRisks([change({ brings }), change({ isChosen: true, brings }), change()], METRIC)).toEqual([
      { option: 'full each', risks: ['Puff rises: press it last, and nothing on top of it.'] },
    ]);
  });

  it('says how hot, and how often the press closes', () => {
    expect(describePressing({ temperatureC: null, pressCycles: 0 }, METRIC)).toMatch(/^Nothing/);
    expect(describePressing({ temperatureC: 155, pressCycles: 1 }, METRIC)).toBe(
      '155 °C, the press closes 1 time and for pre-pressing.',
    );
  });
});
