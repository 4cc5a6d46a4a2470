import fc from 'fast-check';
import { expect, it } from 'vitest';
import { PLAIN_LAYER as layer, PLAIN_SHOP, PLAIN_VINYL as vinyl } from '../../../test/worked-example';
import { computeLayerAreas, getPackingShare, listPackings, measurePacking, type Packing } from './index';

const usableMm = vinyl.rollWidthMm - 2 * PLAIN_SHOP.cutterEdgeMm;
const PACKED = { artworkId: 3, artworkVersion: 2, layerIndex: 0, widthMm: 100, copies: 11 };
const packing: Packing = { share: 0.8, copies: 11, usableMm, turnable: true };

it('gains evenly from one, which lies alone, to as many as were laid out, and no more after', () => {
  expect([1, 6, 11, 500].map((quantity) => getPackingShare(packing, quantity))).toEqual([
    1,
    expect.closeTo(0.9, 9),
    expect.closeTo(0.8, 9),
    expect.closeTo(0.8, 9),
  ]);
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 300 }),
      fc.integer({ min: 1, max: 300 }),
      (a, b) => getPackingShare(packing, Math.max(a, b)) <= getPackingShare(packing, Math.min(a, b)),
    ),
  );
});

it('holds for its own width of roll and freedom to turn, its drawing as it was, and about its size', () => {
  const used = (packings: readonly Packing[]) => {
    const areas = computeLayerAreas({ layer, vinyl, quantity: 11, shop: PLAIN_SHOP, packings });
    return areas.ok ? areas.value.used.value : null;
  };
  const plain = used([])!;
  expect(used([packing])).toBeCloseTo(plain * 0.8, 6);
  expect([used([{ ...packing, usableMm: usableMm + 100 }]), used([{ ...packing, turnable: false }])]).toEqual([
    plain,
    plain,
  ]);
  const stored = { ...packing, artworkId: 3, artworkVersion: 2, layerIndex: 0, widthMm: 100 };
  const find = (more: object) => listPackings([stored], { ...PACKED, ...more }).length;
  expect([
    find({}),
    // A size of the item that is a little wider, and one that is much wider.
    find({ widthMm: 115, usualWidthMm: 100 }),
    find({ widthMm: 160, usualWidthMm: 100 }),
    find({ artworkVersion: 3 }),
    find({ layerIndex: 1 }),
  ]).toEqual([1, 1, 0, 0, 0]);
});

it('belongs to the width and number of its item: another item with the same drawing moves nothing', () => {
  const twelve = { ...packing, artworkId: 3, artworkVersion: 2, layerIndex: 0, widthMm: 100, copies: 12, share: 0.7 };
  const eight = { ...twelve, copies: 8, share: 0.8 };
  const wider = { ...twelve, widthMm: 110, share: 0.6 };
  const all = [eight, wider, twelve];
  const sharesOf = (more: object, likely = false) =>
    listPackings(all, { ...PACKED, ...more }, likely).map((one) => one.share);
  expect(sharesOf({ copies: 12 })).toEqual([0.7]);
  expect(sharesOf({ copies: 8 })).toEqual([0.8]);
  expect(sharesOf({ copies: 12, widthMm: 110 })).toEqual([0.6]);
  expect(sharesOf({ copies: 9 })).toEqual([]);
  // While it is typed, the likeliest stands in, the nearest first.
  expect(sharesOf({ copies: 9 }, true)[0]).toBe(0.8);
  expect(sharesOf({ copies: 12, widthMm: 108 }, true)[0]).toBe(0.6);
});

it('of triangles is what two to a box save; of a shape wider than the roll is none', async () => {
  const { width, height } = layer.box,
    outline = [
      { x: 0, y: 0 },
      { x: width, y: 0 },
      { x: 0, y: height },
    ];
  const found = await measurePacking({ outline, layer, vinyl, quantity: 12, shop: PLAIN_SHOP });
  expect(found!.share).toBeLessThan(0.8);
  expect(found!.share).toBeGreaterThan(0.35);
  expect(
    await measurePacking({
      outline,
      layer: { ...layer, box: { ...layer.box, width: 5000, height: 5000 } },
      vinyl,
      quantity: 12,
      shop: PLAIN_SHOP,
    }),
  ).toBeNull();
});
