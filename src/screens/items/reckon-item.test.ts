import { MEASUREMENT_EDITION } from '../../core/artwork';
import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import type { ArtworkView, BlankView, VinylView } from '../../views/views';
import type { Settings } from '../shared/settings';
import type { ItemForm } from './ItemFields';
import { reckonItem } from './reckon-item';

const settings = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric', shop: { name: '', currency: 'EUR', locale: 'en-GB', timeZone: 'UTC', figures: PLAIN_SHOP, simulated: false, version: 1 } } as Settings;
const kept = { supplier: '', version: 1, archived: false };
const blank: BlankView = { ...PLAIN_BLANK, ...kept };
const vinyl: VinylView = { ...PLAIN_VINYL, ...kept };
const artwork = { id: 1, name: 'Plain', measurement: { widthMm: 100, heightMm: 60, layers: [PLAIN_LAYER], segments: 4, strokesApart: 0, overlaps: [], chirality: { score: 1, chiral: false }, safeWidthsMm: { smooth: null, textured: null, puff: null, 'premium-adhesive': null, 'budget-adhesive': null }, edition: MEASUREMENT_EDITION }, layerNames: ['all'] } as unknown as ArtworkView;
const form: ItemForm = { name: 'Towel', blankId: 1, sizeName: 'one size', colourName: 'white', artworkId: 1, placement: 'front', widthMm: 100, seenThrough: false, areaBasis: 'used', quantity: 10, price: 1077, artworkPrice: 0, artworkRun: 1, vinylIds: [1] };
const reckon = (values: Partial<ItemForm> = {}, part: Partial<Parameters<typeof reckonItem>[0]> = {}) => reckonItem({ values: { ...form, ...values }, artwork, blank, vinyls: [vinyl], figures: PLAIN_SHOP, settings, ...part });

describe('an item reckoned as it is typed', () => {
  it('costs what the worked example costs, and says so in a sentence', () => {
    const result = reckon();
    if (!result.ok) throw new Error(result.problem);
    expect([result.cost.cash.value, result.cost.full.value, result.cost.withRisk.value]).toEqual([461, 596, 616]);
    expect(result.verdict).toMatch(/^One of 10 costs you 6\.16 with your hours and what goes wrong\. At 10\.77 you keep 35 %, and an hour earns/);
  });

  it('without a price asks for one; below the floor says what you pay to make it', () => {
    expect(reckon({ price: 0 })).toMatchObject({ ok: true, verdict: expect.stringMatching(/Drag the price/) });
    expect(reckon({ price: 500 })).toMatchObject({ ok: true, verdict: expect.stringMatching(/At 5\.00 you pay 1\.71 to make it/) });
  });

  it('takes typed text for numbers as a form gives it', () => {
    expect(reckon({ quantity: '10' as never, widthMm: '100' as never })).toMatchObject({ ok: true });
  });

  it.each([
    ['no artwork', {}, { artwork: undefined }, /blank and an artwork/], ['no blank', {}, { blank: undefined }, /blank and an artwork/], ['no vinyl', {}, { vinyls: [undefined] }, /vinyl for each layer/],
    ['no width', { widthMm: Number.NaN }, {}, /from 3 to 3000 mm/], ['half a piece', { quantity: 1.5 }, {}, /whole number from 1/], ['no piece', { quantity: 0 }, {}, /whole number from 1/],
    ['a size that the blank has not', { sizeName: 'XXL' }, {}, /XXL/], ['a width beyond the roll', { widthMm: 2000 }, {}, /wide/],
  ])('%s is told and nothing is made up', (_, values, part, words) => {
    const result = reckon(values, part as never);
    expect(result.ok).toBe(false);
    expect(!result.ok && result.problem).toMatch(words);
  });

  it('grows with the width as area does', () => {
    const vinylAt = (widthMm: number) => {
      const result = reckon({ widthMm, areaBasis: 'net' });
      if (!result.ok) throw new Error(result.problem);
      return result.cost.layers[0]!.areas.net.value;
    };
    expect(vinylAt(200) / vinylAt(100)).toBeCloseTo(4, 9);
  });
});
