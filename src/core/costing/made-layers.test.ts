// What an item is made of, looked up from plain lists.

import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_LAYER, PLAIN_VINYL } from '../../../test/worked-example';
import { keyOf } from '../stock';
import { figure } from '../units';
import { findMaterials, type MaterialLists } from './find-materials';
import { front, measurement, OTHER } from './item-plan-examples';
import type { ItemPlan, Made } from './item-plan';
import { listMadeLayers, toItemSpec, type ItemEvidence } from './made-layers';

const packing = (copies: number, widthMm = 100, artworkVersion = 3) => ({
  artworkId: 1,
  artworkVersion,
  layerIndex: 0,
  widthMm,
  copies,
  share: 0.9,
});
const two = { ...measurement, layers: [PLAIN_LAYER, { ...PLAIN_LAYER, key: '#aa0000', colour: '#aa0000' }] };
const LISTS = {
  vinyls: [PLAIN_VINYL, OTHER],
  artworks: [{ id: 1, version: 3, name: 'Boat', measurement: two, layerNames: ['hull'] }],
  prices: [['vinyl:2', { basis: 'paid' }]],
  packings: [packing(8), packing(12), packing(8, 100, 2)],
} as unknown as MaterialLists;
const layersOf = (made: object, lists: MaterialLists = LISTS, copies?: number) =>
  listMadeLayers({ placements: [{ ...front, ...made }] } as unknown as Made, findMaterials(lists), copies);

describe('layers of an item', () => {
  it('take their vinyls, names, prices and places', () => {
    const layers = layersOf({ vinylIds: [1, 2] });
    expect(
      layers.map(({ vinyl, name, layerIndex, place, artworkName, placement }) => [
        vinyl.id,
        name,
        layerIndex,
        place,
        artworkName,
        placement,
      ]),
    ).toEqual([
      [1, 'hull', 0, 'front', 'Boat', 0],
      // Without a name of its own it is called by its colour.
      [2, '#aa0000', 1, 'front', 'Boat', 0],
    ]);
    expect('prices' in layers[0]!).toBe(false);
    expect(layers[1]!.prices).toEqual({ basis: 'paid' });
  });

  it('are left out where nothing is chosen for them, or what is chosen is not there', () => {
    expect(layersOf({ vinylIds: [2] }).map(({ vinyl }) => vinyl.id)).toEqual([2]);
    expect(layersOf({ vinylIds: [77, 1] }).map(({ layerIndex }) => layerIndex)).toEqual([1]);
    expect(layersOf({ artworkId: 5, vinylIds: [1, 2] })).toEqual([]);
    const minusOne = { ...LISTS, vinyls: [{ ...PLAIN_VINYL, id: 1 }] };
    expect(layersOf({ vinylIds: [] }, minusOne)).toEqual([]);
  });

  it('have the layout of their number, of this version of the drawing, else the likeliest', () => {
    const copiesOf = (copies: number) =>
      layersOf({ vinylIds: [1] }, LISTS, copies)[0]!.packings?.map((one) => one.copies);
    expect(copiesOf(8)).toEqual([8]);
    expect(copiesOf(12)).toEqual([12]);
    // Made nine at once: nearer to eight than to twelve.
    expect(copiesOf(9)).toEqual([8, 12]);
    expect('packings' in layersOf({ vinylIds: [1] }, { ...LISTS, packings: [] })[0]!).toBe(false);
  });
});

describe('what an item is costed by', () => {
  const plan = {
    quantity: 8,
    areaBasis: 'used',
    artworkPrice: 0,
    artworkRun: 1,
    details: {
      extras: [],
      stones: null,
      packaging: null,
      priceBasis: 'shelf',
      offerIds: [],
      minutes: { cut: null, weed: null, press: null },
    },
  } as unknown as ItemPlan;
  const made = { placements: [{ ...front }], sizeName: 'one size', colourName: 'white' } as unknown as Made;
  const specOf = (minutes: object = {}, evidence: ItemEvidence = {}, lists: MaterialLists = LISTS) =>
    toItemSpec({
      plan: { ...plan, details: { ...plan.details, minutes: { ...plan.details.minutes, ...minutes } } },
      made,
      blank: PLAIN_BLANK,
      materials: findMaterials(lists),
      evidence,
    });
  const learned = figure('Weed, learned', 50, 's', 'learned');

  it('takes minutes that are typed before those that are learned, with these as their ground', () => {
    const { minutes } = specOf({ weed: 70, cut: 20 }, { minutes: { weed: learned, press: learned } });
    expect(minutes?.weed).toMatchObject({ label: 'Weed, as typed', value: 70, source: 'typed', parts: [learned] });
    expect(minutes?.cut).toMatchObject({ label: 'Cut, your hands, as typed', value: 20 });
    expect(minutes?.cut?.parts).toBeUndefined();
    expect(minutes?.press).toBe(learned);
    expect(minutes && 'cutting' in minutes).toBe(false);
  });

  it('has none where none is known', () => expect(specOf().minutes).toEqual({}));

  it('takes what is learned of cutting, of what goes wrong and of wear along', () => {
    const cutting = { loading: learned, watching: learned, low: 1, high: 1 };
    const wear = { bladeMetre: learned };
    const spec = specOf({}, { minutes: { cutting }, spoilage: learned, wear });
    expect(spec).toMatchObject({ minutes: { cutting }, spoilage: learned, wear });
    expect('spoilage' in specOf() || 'wear' in specOf() || 'blankPrices' in specOf()).toBe(false);
  });

  it('takes what the blank of that size and colour was bought for', () => {
    const key = keyOf({ kind: 'blank', blankId: 1, sizeName: 'one size', colourName: 'white' });
    const prices = [[key, { basis: 'paid' }]] as unknown as MaterialLists['prices'];
    expect(specOf({}, {}, { ...LISTS, prices }).blankPrices).toEqual({ basis: 'paid' });
  });
});
