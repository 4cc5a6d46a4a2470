// What speaks against a vinyl in a layer, what its own minutes become, and where two costs meet.

import { describe, expect, it } from 'vitest';
import { PLAIN_ITEM, PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import type { Vinyl } from '../materials';
import { figure } from '../units';
import { compareVinyls, findFlip, isOtherColour, withCandidate, type Unfit } from './compare-vinyls';
import type { ItemSpec } from './item-cost';

const none = { made: 0, spoiled: 0 };
const vinyl = (change: Partial<Vinyl>, details: Partial<Vinyl['details']> = {}): Vinyl => ({
  ...PLAIN_VINYL,
  ...change,
  details: { ...PLAIN_VINYL.details, ...details },
});
const layer = (own: Vinyl, place = 'front') => ({ measurement: PLAIN_LAYER, vinyl: own, place });

/** Against a vinyl in one of these layers. */
function against(
  candidate: Vinyl,
  {
    layers = [layer(PLAIN_VINYL)],
    layerIndex = 0,
    widthMm = 100,
  }: Partial<{ layers: ReturnType<typeof layer>[]; layerIndex: number; widthMm: number }> = {},
): readonly Unfit[] {
  const spec: ItemSpec = { ...PLAIN_ITEM, layers };
  const [compared] = compareVinyls({ spec, layerIndex, widthMm, quantity: 10, shop: PLAIN_SHOP }, [
    { vinyl: candidate, evidence: none },
  ]);
  return compared!.unfit;
}
const kindsOf = (unfit: readonly Unfit[]) => unfit.map(({ kind }) => kind);

describe('against a vinyl', () => {
  const flat = vinyl({ id: 8, name: 'Flat' });
  const takesNothing = vinyl({ id: 9, name: 'Rough' }, { takesLayers: false });
  const liesOnNothing = vinyl({ id: 10, name: 'Stiff' }, { liesOnVinyl: false });

  it('nothing speaks where it is like the one there is', () => expect(against(flat)).toEqual([]));

  it('that takes nothing on it: something over it at the same place', () => {
    const at = (place: string) => [layer(PLAIN_VINYL), layer(PLAIN_VINYL, place)];
    expect(kindsOf(against(takesNothing, { layers: at('front') }))).toEqual(['under-others']);
    expect(against(takesNothing, { layers: at('back') })).toEqual([]);
    expect(against(takesNothing, { layers: at('front'), layerIndex: 1 })).toEqual([]);
    expect(against(flat, { layers: at('front') })).toEqual([]);
  });

  it('that lies on nothing: something under it at the same place', () => {
    const at = (place: string) => [layer(PLAIN_VINYL, place), layer(PLAIN_VINYL), layer(PLAIN_VINYL, 'back')];
    expect(kindsOf(against(liesOnNothing, { layers: at('front'), layerIndex: 1 }))).toEqual(['over-others']);
    expect(against(liesOnNothing, { layers: at('back'), layerIndex: 1 })).toEqual([]);
    expect(against(liesOnNothing, { layers: at('front'), layerIndex: 0 })).toEqual([]);
    expect(against(flat, { layers: at('front'), layerIndex: 1 })).toEqual([]);
  });

  it('that rises: being pressed once more by another that does not', () => {
    const puff = vinyl({ id: 11, name: 'Rise', kind: 'puff' }, { takesLayers: true });
    const other = vinyl({ id: 12, name: 'Rise too', kind: 'puff' });
    const sticky = vinyl({ id: 13, name: 'Sticky', kind: 'permanent', press: null });
    const over = (upper: Vinyl, place = 'front') =>
      against(puff, { layers: [layer(PLAIN_VINYL), layer(upper, place)] });
    expect(over(flat)).toContainEqual({ kind: 'pressed-again', by: 'Flat' });
    for (const fine of [over(other), over(sticky), over(flat, 'back')])
      expect(kindsOf(fine)).not.toContain('pressed-again');
    expect(kindsOf(against(flat, { layers: [layer(PLAIN_VINYL), layer(flat)] }))).not.toContain('pressed-again');
  });

  it('detail finer than it holds, from half a millimetre more than the width there is', () => {
    const fine = { ...PLAIN_LAYER, thinnestStroke: { widthMm: 1, x: 0, y: 0 } };
    const coarse = (strokeMm: number) => vinyl({ id: 14 }, { strokeMm, gapMm: 0.01 } as Partial<Vinyl['details']>);
    const layers = [{ ...layer(PLAIN_VINYL), measurement: fine }];
    expect(against(coarse(1.0051), { layers }).filter(({ kind }) => kind === 'too-fine')).toHaveLength(1);
    expect(against(coarse(1.0049), { layers }).filter(({ kind }) => kind === 'too-fine')).toHaveLength(0);
    expect(against(coarse(0.9), { layers })).toEqual([]);
    expect(against(coarse(50))).toEqual([]);
  });

  it('degrees that its neighbours do not share, and a grade that is not for sale', () => {
    const low = vinyl({ id: 15, name: 'Low', press: { ...PLAIN_VINYL.press!, lowC: 115, highC: 135 } });
    expect(against(low, { layers: [layer(PLAIN_VINYL), layer(PLAIN_VINYL)] })).toContainEqual({
      kind: 'windows-apart',
      names: ['Low', 'Plain'],
    });
    expect(against(vinyl({ id: 16 }, { grade: 'own use' }))).toEqual([{ kind: 'grade', grade: 'own use', note: '' }]);
  });
});

describe('two colours of one line', () => {
  const slate = vinyl({ id: 20, name: 'Tarn Smooth, slate', colourName: 'slate', colourHex: '#555555' });
  const fern = vinyl({ id: 21, name: 'Tarn Smooth – Fern', colourName: 'fern', colourHex: '#3e7650' });

  it.each([
    ['are no choice of cost', fern, true],
    ['of another kind are', { ...fern, kind: 'flock' } as Vinyl, false],
    ['of another line are', { ...fern, name: 'Penny Flex, fern' }, false],
    ['that weed otherwise are', { ...fern, weedingFactor: 1.5 }, false],
    ['of one colour are', { ...fern, colourHex: slate.colourHex }, false],
    ['the same vinyl is', { ...fern, id: slate.id }, false],
  ])('%s', (_, other, alike) => expect(isOtherColour(slate, other)).toBe(alike));

  it('keep what stands between in the name', () => {
    const near = (name: string, colourName: string, id: number) =>
      vinyl({ id, name, colourName, colourHex: `#0000${id}` });
    expect(isOtherColour(near('Tarn - Smooth red', 'red', 30), near('Tarn Smooth blue', 'blue', 31))).toBe(false);
  });
});

describe('a candidate in its place', () => {
  const prices = { basis: 'paid' } as never;
  const offered = figure('Offered', 2000, 'money/m²', 'shop');
  const spec = (own: object): ItemSpec => ({
    ...PLAIN_ITEM,
    layers: [{ measurement: PLAIN_LAYER, vinyl: PLAIN_VINYL, ...own }],
  });
  const layerOf = (own: object, candidate: object) =>
    withCandidate(
      { spec: spec(own), layerIndex: 0, shop: PLAIN_SHOP },
      { vinyl: PLAIN_VINYL, evidence: none, ...candidate },
    ).layers[0]!;

  it('keeps what was paid for the same vinyl, and only for that', () => {
    expect(layerOf({ prices }, {}).prices).toBe(prices);
    expect('prices' in layerOf({ prices }, { vinyl: vinyl({ id: 40 }) })).toBe(false);
    expect('prices' in layerOf({}, {})).toBe(false);
  });

  it('goes by a price of its own where it has one', () => {
    expect(layerOf({ prices }, { price: offered })).toMatchObject({ price: offered });
    expect('prices' in layerOf({ prices }, { price: offered })).toBe(false);
    expect('price' in layerOf({ price: offered }, {})).toBe(false);
  });

  it('takes the shop’s own weeding minutes longer where the estimate does, band and all', () => {
    const weed = { ...figure('Yours', 100, 's', 'learned'), low: 80, high: 150 };
    // 30 s and three cavities at 10 s are 60 s; twice as stubborn, twice as long.
    const stubborn = vinyl({ id: 41, weedingFactor: 2 });
    const bent = withCandidate(
      { spec: { ...PLAIN_ITEM, minutes: { weed } }, layerIndex: 0, shop: PLAIN_SHOP },
      { vinyl: stubborn, evidence: none },
    ).minutes!.weed!;
    const k = bent.parts![1]!.value;
    expect(k).toBeGreaterThan(1.2);
    expect([bent.value, bent.low, bent.high]).toEqual([100 * k, 80 * k, 150 * k]);
    const plain = withCandidate(
      {
        spec: { ...PLAIN_ITEM, minutes: { weed: figure('Yours', 100, 's', 'learned') } },
        layerIndex: 0,
        shop: PLAIN_SHOP,
      },
      { vinyl: stubborn, evidence: none },
    ).minutes!.weed!;
    expect('low' in plain || 'high' in plain).toBe(false);
  });

  it('leaves the minutes as they are for a vinyl that weeds alike, and other minutes in any case', () => {
    const weed = figure('Yours', 100, 's', 'learned');
    const cut = figure('Yours', 10, 's', 'learned');
    const minutes = (own: object, candidate: Vinyl) =>
      withCandidate(
        { spec: { ...PLAIN_ITEM, minutes: own }, layerIndex: 0, shop: PLAIN_SHOP },
        { vinyl: candidate, evidence: none },
      ).minutes;
    expect(minutes({ weed, cut }, vinyl({ id: 42 }))).toEqual({ weed, cut });
    expect(minutes({ weed }, vinyl({ id: 42 }))!.weed).toBe(weed);
    expect(minutes({ cut }, vinyl({ id: 42, weedingFactor: 2 }))).toEqual({ cut });
  });
});

describe('where two costs meet', () => {
  const range = { from: 0, to: 10, near: 5 };
  const level = (value: number) => () => value;

  it('is found to a fine point', () => {
    expect(findFlip((at) => at, level(3.3), range)).toBeCloseTo(3.3, 6);
    expect(
      findFlip(
        (at) => 2 * at,
        (at) => 8 + at,
        range,
      ),
    ).toBeCloseTo(8, 6);
  });

  it('at the very end counts; at the very beginning there is nothing before it', () => {
    expect(findFlip((at) => at, level(9.99), range)).toBeCloseTo(9.99, 6);
    expect(findFlip((at) => at, level(0), range)).toBeNull();
  });

  it('is none where they never meet, or one can not be told', () => {
    expect(findFlip((at) => at, level(11), range)).toBeNull();
    expect(
      findFlip(
        (at) => at,
        () => null,
        range,
      ),
    ).toBeNull();
    expect(findFlip(() => null, level(3), range)).toBeNull();
    // Known on either side of a gap, but not where they change places.
    expect(findFlip((at) => (at > 2 && at < 4 ? null : at), level(3), range)).toBeNull();
  });

  it('is the nearest of several, the first of two as near', () => {
    const waves = (at: number) => (at - 1) * (at - 4) * (at - 8);
    expect(findFlip(waves, level(0), range)).toBeCloseTo(4, 6);
    expect(findFlip(waves, level(0), { ...range, near: 9 })).toBeCloseTo(8, 6);
    expect(findFlip(waves, level(0), { ...range, near: 0 })).toBeCloseTo(1, 6);
  });
});
