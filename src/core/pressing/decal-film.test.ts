// Heat vinyl on hard things, by way of a clear film.

import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK } from '../../../test/worked-example';
import { A, B, cup, kinds, lines, planned, planOf, pressed } from './press-examples';

describe('a decal on clear film', () => {
  const tin = { ...PLAIN_BLANK, name: 'Tin', fabric: 'glass-tin' as const, heating: 'none' as const };

  it('takes heat vinyl to what takes no heat: ironed onto the film, stuck on as one, and left to cure', () => {
    expect(planOf({ side: [A, B] }, {}, { blank: tin }).ok).toBe(false);
    const plan = planned({ side: [A, B] }, { layers: 'on a decal film' }, { blank: tin });
    expect(lines(plan)).toEqual([
      'lay-out 20',
      'pre-press 5',
      'place A 30',
      'tack A 4 bare',
      'peel A 10',
      'place B 30',
      'press B 12 covered',
      'peel B 10',
      're-press 3 covered',
      'apply the decal 60',
    ]);
    expect(kinds(plan)).toEqual(['hot-platen', 'cure']);
  });

  it('is pressed no hotter than the film stands, whatever the cup would', () => {
    const hot = pressed('Hot', { lowC: 155, highC: 190 });
    expect(planned({ side: [hot] }, { layers: 'on a decal film' }, { blank: cup }).temperatureC).toBe(158);
    const hotter = pressed('Hotter', { lowC: 170, highC: 190 });
    expect(planOf({ side: [hotter] }, { layers: 'on a decal film' }, { blank: cup }).ok).toBe(false);
  });

  it('is nothing for fabric: there the layers are tacked as ever', () => {
    expect(lines(planned({ front: [A, B] }, { layers: 'on a decal film' }))).toEqual(lines(planned({ front: [A, B] })));
  });
});
