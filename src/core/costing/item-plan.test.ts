import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_ITEM, PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import { minor } from '../units';
import {
  believeFailure,
  computeItemCost,
  getUsualVariant,
  getVariantPrice,
  listMadeLayers,
  listVinylIds,
  PLAIN_DETAILS,
  resolveVariant,
  startPlacement,
  toItemSpec,
  type ItemMaterials,
  type ItemPlan,
} from './index';
import { measurement, OTHER, front, name, costOf } from './item-plan-examples';

const SIZED = {
  ...PLAIN_BLANK,
  sizes: [
    { name: 'S', price: minor(400) },
    { name: 'XL', price: minor(500) },
  ],
  colours: [
    { name: 'white', hex: '#ffffff' },
    { name: 'navy', hex: '#26324a' },
  ],
};
const plan: ItemPlan = {
  quantity: 1,
  blankId: 1,
  sizeName: 'S',
  colourName: 'white',
  price: minor(2000),
  areaBasis: 'used',
  artworkPrice: minor(0),
  artworkRun: 1,
  placements: [front, { ...front, place: 'back', widths: {} }],
  details: {
    ...PLAIN_DETAILS,
    options: [{ label: 'Name', surcharge: minor(300), placement: name }],
    variants: [
      { sizeName: 'XL', colourName: null, price: minor(2400), swaps: [] },
      { sizeName: null, colourName: 'navy', price: null, swaps: [{ vinylId: 1, byVinylId: 2 }] },
    ],
  },
};
const materials: ItemMaterials = {
  vinyl: (id) => ({ 1: PLAIN_VINYL, 2: OTHER })[id],
  artwork: (id) => (id === 1 ? { name: 'Plain', measurement, layerNames: ['all'] } : undefined),
};
const specOf = (variant = getUsualVariant(plan), own: Partial<ItemPlan['details']> = {}) =>
  toItemSpec({
    plan: { ...plan, details: { ...plan.details, ...own } },
    made: resolveVariant(plan, variant),
    blank: SIZED,
    materials,
  });

describe('variants, without copying', () => {
  it('a size takes its own width and price, a colour its own vinyl, an option its placement and surcharge', () => {
    const small = resolveVariant(plan, { sizeName: 'S', colourName: 'white', options: [] });
    expect([
      small.price,
      small.placements.map((placement) => placement.widthMm),
      small.placements.map((placement) => placement.vinylIds),
    ]).toEqual([2000, [100, 100], [[1], [1]]]);
    const large = resolveVariant(plan, { sizeName: 'XL', colourName: 'navy', options: [0] });
    expect([
      large.price,
      large.placements.map((placement) => placement.widthMm),
      large.placements.map((placement) => placement.vinylIds),
    ]).toEqual([2700, [130, 100, 50], [[2], [2], [2]]]);
    expect(
      getVariantPrice({ price: plan.price, ...plan.details }, { sizeName: 'XL', colourName: 'navy', options: [0] }),
    ).toBe(2700);
  });

  it('of another width than usual it is told which is usual; stones are made with it, without their prices', () => {
    const made = (sizeName: string, own: Partial<ItemPlan['details']> = {}) =>
      resolveVariant({ ...plan, details: { ...plan.details, ...own } }, { sizeName, colourName: 'white', options: [] });
    expect(made('XL').placements.map(({ usualWidthMm }) => usualWidthMm)).toEqual([100, undefined]);
    expect(made('S').placements.map(({ usualWidthMm }) => usualWidthMm)).toEqual([undefined, undefined]);
    expect(made('S').stones).toBeUndefined();
    const prices = { grossPrice: minor(180), templatePrice: minor(2400), templateUses: 40, tapePrice: minor(25) };
    const stones = [{ label: 'clear', count: 48, diameterMm: 3, ...prices }];
    expect(made('S', { stones }).stones).toEqual([{ label: 'clear', count: 48, diameterMm: 3 }]);
  });

  it('each vinyl that a colour swaps is swapped for its own; a rule without a price leaves it to the next', () => {
    const variants = [
      { sizeName: null, colourName: 'navy', price: null, swaps: [{ vinylId: 7, byVinylId: 9 }] },
      {
        ...{ sizeName: null, colourName: 'navy', price: minor(2600) },
        swaps: [{ vinylId: 1, byVinylId: 2 }],
      },
    ];
    const own = { ...plan, details: { ...plan.details, variants } };
    const made = resolveVariant(own, { sizeName: 'S', colourName: 'navy', options: [] });
    expect(made.placements[0]!.vinylIds).toEqual([2]);
    expect(made.price).toBe(2600);
  });

  it('an option that is there no more is left out, and all vinyls of any variant are known', () => {
    expect(resolveVariant(plan, { sizeName: 'S', colourName: 'white', options: [7] }).placements).toHaveLength(2);
    expect([...listVinylIds(plan)].sort()).toEqual([1, 2]);
  });

  it('layers are numbered through the placements; what is nowhere is left out', () => {
    const layers = listMadeLayers(
      resolveVariant(plan, { sizeName: 'XL', colourName: 'white', options: [0] }),
      materials,
    );
    expect(layers.map((layer) => [layer.placement, layer.place, layer.measurement.box.width])).toEqual([
      [0, 'front', 130],
      [1, 'back', 100],
      [2, 'shoulders', 50],
    ]);
    expect(
      listMadeLayers(
        {
          placements: [
            { ...front, artworkId: 9 },
            { ...front, vinylIds: [9] },
          ],
        },
        materials,
      ),
    ).toEqual([]);
  });

  it('a start is the artwork as it was kept, in its own vinyls where they are chosen', () => {
    expect(startPlacement({ id: 4, measurement, layerVinylIds: [null] }, [7, 8], 'front')).toMatchObject({
      artworkId: 4,
      widthMm: 100,
      vinylIds: [7],
    });
  });
});

describe('places', () => {
  it('each is laid out and pressed by itself, its lines are named after it', () => {
    const cost = costOf(specOf());
    expect(cost.press.steps.filter((step) => step.kind === 'lay-out').map((step) => step.place)).toEqual([
      'front',
      'back',
    ]);
    expect(cost.lines.filter((line) => line.stage === 'weed').map((line) => line.figure.label)).toEqual([
      'Weed: Plain, front',
      'Weed: Plain, back',
    ]);
    expect(new Set(cost.lines.map((line) => line.figure.label)).size).toBe(cost.lines.length);
  });

  it('with vinyls of two temperatures that never lie on one another are pressed each at its own, with a caution', () => {
    const cool = { ...PLAIN_VINYL, id: 3, name: 'Cool', press: { ...PLAIN_VINYL.press!, lowC: 115, highC: 130 } };
    const apart = {
      ...PLAIN_ITEM,
      layers: [
        { measurement: PLAIN_LAYER, vinyl: PLAIN_VINYL, place: 'front' },
        { measurement: PLAIN_LAYER, vinyl: cool, place: 'back' },
      ],
    };
    expect(costOf(apart).press.cautions).toContainEqual({ kind: 'temperatures', fromC: 123, toC: 155 });
    expect(
      computeItemCost(
        { ...apart, layers: apart.layers.map((layer) => ({ ...layer, place: 'front' })) },
        10,
        PLAIN_SHOP,
      ),
    ).toMatchObject({ ok: false, problem: { kind: 'windows-apart' } });
  });
});
it('more waste never lowers the cost', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 400 }), (first, second) => {
      const at = (spoiled: number) =>
        costOf({ ...PLAIN_ITEM, spoilage: believeFailure({ made: 500, spoiled }, PLAIN_SHOP).mean }).withRisk.value;
      expect(at(Math.max(first, second))).toBeGreaterThanOrEqual(at(Math.min(first, second)));
    }),
  );
});
