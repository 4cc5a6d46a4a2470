import { MEASUREMENT_EDITION } from '../../core/artwork';
import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import type { ArtworkView } from '../../views/artwork';
import type { BlankView, VinylView } from '../../views/shelf';
import type { Settings } from '../shared/settings';
import { PLAIN_DETAILS, startPlacement } from '../../core/costing';
import { toMaterials, toPlan, type ItemForm } from './item-form';
import { calculateItem } from './calculate-item';

const settings = {
  locale: 'en-GB',
  currency: 'EUR',
  timeZone: 'UTC',
  system: 'metric',
  shop: {
    name: '',
    currency: 'EUR',
    locale: 'en-GB',
    timeZone: 'UTC',
    figures: PLAIN_SHOP,
    simulated: false,
    version: 1,
  },
} as Settings;
const kept = { supplier: '', version: 1, archived: false };
const blank: BlankView = { ...PLAIN_BLANK, ...kept };
const vinyl: VinylView = { ...PLAIN_VINYL, ...kept };
const artwork = {
  id: 1,
  name: 'Plain',
  measurement: {
    widthMm: 100,
    heightMm: 60,
    layers: [PLAIN_LAYER],
    segments: 4,
    strokesApart: 0,
    overlaps: [],
    chirality: { score: 1, chiral: false },
    safeWidthsMm: { smooth: null, textured: null, puff: null, 'premium-adhesive': null, 'budget-adhesive': null },
    edition: MEASUREMENT_EDITION,
  },
  layerNames: ['all'],
} as unknown as ArtworkView;
const placement = { artworkId: 1, place: 'front', widthMm: 100, widths: {}, seenThrough: false, vinylIds: [1] };
const form: ItemForm = {
  name: 'Towel',
  blankId: 1,
  sizeName: 'one size',
  colourName: 'white',
  areaBasis: 'used',
  quantity: 10,
  price: 1077,
  artworkPrice: 0,
  artworkRun: 1,
  placements: [placement],
  details: structuredClone(PLAIN_DETAILS) as unknown as ItemForm['details'],
};
const materials = toMaterials({ artworks: [artwork], prices: [], packings: [], shelf: { vinyls: [vinyl] } });
const details = (part: Partial<ItemForm['details']>): Partial<ItemForm> => ({ details: { ...form.details, ...part } });
const calculate = (values: Partial<ItemForm> = {}, part: Partial<Parameters<typeof calculateItem>[0]> = {}) => {
  const whole = { ...form, ...values };
  return calculateItem({
    plan: toPlan(whole),
    variant: { sizeName: whole.sizeName, colourName: whole.colourName, options: [] },
    quantity: Number(whole.quantity),
    blank,
    materials,
    evidence: {},
    figures: PLAIN_SHOP,
    settings,
    ...part,
  });
};

describe('an item calculated as it is typed', () => {
  it('costs what the worked example costs, and says so in a sentence', () => {
    const result = calculate();
    if (!result.ok) throw new Error(result.problem);
    expect([result.cost.cash.value, result.cost.full.value, result.cost.withRisk.value]).toEqual([461, 596, 616]);
    expect(result.verdict).toMatch(
      /^One of 10 costs you 6\.16 with your hours and what goes wrong\. At 10\.77 you keep 35 %, and an hour earns/,
    );
  });

  it('without a price asks for one; below the floor says what you pay to make it', () => {
    expect(calculate({ price: 0 })).toMatchObject({ ok: true, verdict: expect.stringMatching(/Drag the price/) });
    expect(calculate({ price: 500 })).toMatchObject({
      ok: true,
      verdict: expect.stringMatching(/At 5\.00 you pay 1\.71 to make it/),
    });
  });

  it('takes typed text for numbers as a form gives it', () => {
    expect(
      calculate({ quantity: '10' as never, placements: [{ ...placement, widthMm: '100' as never }] }),
    ).toMatchObject({
      ok: true,
    });
  });

  it.each([
    ['no artwork', { placements: [{ ...placement, artworkId: 9 }] }, {}, /Choose an artwork/],
    ['no blank', {}, { blank: undefined }, /Choose a blank/],
    ['no vinyl', { placements: [{ ...placement, vinylIds: [9] }] }, {}, /vinyl for each layer/],
    ['no width', { placements: [{ ...placement, widthMm: Number.NaN }] }, {}, /from 3 to 3000 mm/],
    [
      'no width of the second',
      { placements: [placement, { ...placement, place: 'back', widthMm: 1 }] },
      {},
      /for back: from 3/,
    ],
    ['half a piece', { quantity: 1.5 }, {}, /whole number from 1/],
    ['no piece', { quantity: 0 }, {}, /whole number from 1/],
    ['a size that the blank has not', { sizeName: 'XXL' }, {}, /XXL/],
    ['a width beyond the roll', { placements: [{ ...placement, widthMm: 2000 }] }, {}, /wide/],
  ])('%s is told and nothing is made up', (_, values, part, words) => {
    const result = calculate(values, part as never);
    expect(result.ok).toBe(false);
    expect(!result.ok && result.problem).toMatch(words);
  });

  it('grows with the width as area does', () => {
    const vinylAt = (widthMm: number) => {
      const result = calculate({ placements: [{ ...placement, widthMm }], areaBasis: 'net' });
      if (!result.ok) throw new Error(result.problem);
      return result.cost.layers[0]!.areas.net.value;
    };
    expect(vinylAt(200) / vinylAt(100)).toBeCloseTo(4, 9);
  });

  it('a second artwork adds its vinyl, cutting, weeding and a pressing of its own place', () => {
    const one = calculate(),
      two = calculate({ placements: [placement, { ...placement, place: 'back' }] });
    if (!one.ok || !two.ok) throw new Error('not calculated');
    // By hand: a tenth of 100 s of loading, 60 s of weeding, and 80 s at the press.
    expect(two.cost.lines.filter((line) => line.stage === 'vinyl')).toHaveLength(2);
    expect(two.cost.press.steps.filter((step) => step.kind === 'lay-out').map((step) => step.place)).toEqual([
      'front',
      'back',
    ]);
    expect(two.cost.handsSeconds.value - one.cost.handsSeconds.value).toBeCloseTo(10 + 60 + 80, 6);
  });

  it('things besides, own packaging and typed minutes are lines and figures of their own', () => {
    const plain = calculate(),
      more = calculate(
        details({
          extras: [{ label: 'Ribbon', price: 15 }],
          packaging: 80,
          minutes: { cut: null, weed: 120, press: null },
        }),
      );
    if (!plain.ok || !more.ok) throw new Error('not calculated');
    expect(more.cost.lines.find((line) => line.figure.label === 'Ribbon')!.total).toBe(15);
    expect(more.cost.lines.find((line) => line.stage === 'pack')!.total).toBe(80);
    expect(more.cost.lines.find((line) => line.stage === 'weed')).toMatchObject({
      handsSeconds: 120,
      total: 60,
      figure: { source: 'typed' },
    });
    // Empty fields count for nothing: the estimate stands.
    const emptied = calculate(
      details({ packaging: '' as never, minutes: { cut: '' as never, weed: '' as never, press: '' as never } }),
    );
    expect(emptied.ok && emptied.cost.withRisk.value).toBe(plain.cost.withRisk.value);
  });

  it('a new item takes the vinyls of its drawing, and what was never drawn stays empty', () => {
    expect(startPlacement({ ...artwork, layerVinylIds: [null] } as never, [7], 'front')).toEqual({
      ...placement,
      vinylIds: [7],
    });
    expect(startPlacement({ ...artwork, layerVinylIds: [3] } as never, [7], 'front').vinylIds).toEqual([3]);
  });
});
