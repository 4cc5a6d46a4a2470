import { eq } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { loadArtworks } from '../../data/artwork-store';
import { findItem, loadItems } from '../../data/item-store';
import { layerPackings } from '../../data/schema';
import { loadPackings } from '../../data/packing-store';
import { getShop } from '../context';
import { pack } from '../heavy/pack-thread';
import { loadCompare, loadItemEditor } from './load-items';
import { acceptItemCost } from './save-item';
import { loadMaterials } from './materials';
import { packItem, packItemsUsing } from './pack-items';
import { priceItem } from './price-item';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const itemOf = (name: string) => loadItems(shop.db).find((item) => item.name === name)!;
/** As the bandana is costed now, nothing logged. */
function areasOf(name: string) {
  const item = itemOf(name),
    cost = priceItem({
      item,
      quantity: item.quantity,
      materials: loadMaterials(shop, { plans: [item] }),
      figures: getShop(shop).figures,
    });
  if (!cost.ok) throw new Error(cost.problem.kind);
  return cost.value.layers[0]!.areas;
}
const rowOf = (name: string) => priceAllItems(shop).find((row) => row.item.name === name)!;

it('lays an item’s layers out once, and what the demo shop brings along is what comes out', async () => {
  const item = itemOf('Dog bandana, paw'),
    paw = loadArtworks(shop.db).find((artwork) => artwork.name === 'Paw')!;
  const [brought] = loadPackings(shop.db, [paw.id]);
  expect(await packItem(shop, item.id, pack)).toBe(0);
  shop.db.delete(layerPackings).run();
  expect(await packItem(shop, item.id, pack)).toBe(1);
  const [own] = loadPackings(shop.db, [paw.id]);
  expect({ ...own, share: 0 }).toEqual({ ...brought, share: 0 });
  expect(own!.share).toBeCloseTo(brought!.share, 2);
  expect(await packItem(shop, item.id, pack)).toBe(0);
});

it('items that share a drawing and a width, made in other numbers, do not move each other’s cost', async () => {
  const sharing = loadItems(shop.db).filter((item) =>
    item.placements.some(({ artworkId, widthMm }) => {
      const oars = loadArtworks(shop.db).find((artwork) => artwork.name === 'Crossed oars')!;
      return artworkId === oars.id && widthMm === 240;
    }),
  );
  expect(sharing.map((item) => item.quantity).sort((a, b) => a - b)).toEqual([8, 12]);
  const costs = () => sharing.map((item) => rowOf(item.name).cost!.withRisk.value);
  const before = costs();
  // The demo shows no change of an item that nobody changed.
  expect(sharing.map((item) => rowOf(item.name).change ?? null)).toEqual([null, null]);
  for (const item of sharing) {
    shop.db.delete(layerPackings).where(eq(layerPackings.copies, item.quantity)).run();
    expect(await packItem(shop, item.id, pack)).toBeGreaterThan(0);
    costs().forEach((cost, at) => expect(cost).toBe(before[at]));
  }
});

it('what an item is made of has it laid out anew when it is saved; looking at it does not', () => {
  const item = itemOf('Dog bandana, paw');
  const [placement] = item.placements;
  const asked = (material: Parameters<typeof packItemsUsing>[1]) => {
    const ids: number[] = [];
    packItemsUsing(shop, material, (_, id) => ids.push(id));
    return ids;
  };
  expect(asked({ artworkId: placement!.artworkId })).toContain(item.id);
  expect(asked({ vinylId: placement!.vinylIds[0]! })).toContain(item.id);
  expect(asked({ artworkId: 9999 })).toEqual([]);
  expect(asked('cutter')).toHaveLength(loadItems(shop.db).length);
  shop.db.delete(layerPackings).run();
  loadItemEditor(shop, item.id, null);
  priceAllItems(shop);
  expect(loadPackings(shop.db, [placement!.artworkId])).toEqual([]);
});

it('makes the used share smaller than boxes in rows, says so in its working, and tells nobody that the item is cheaper now', async () => {
  shop.db.delete(layerPackings).run();
  const item = itemOf('Dog bandana, paw');
  acceptItemCost(shop, item.id);
  const before = areasOf('Dog bandana, paw');
  await packItem(shop, item.id, pack);
  const row = rowOf('Dog bandana, paw'),
    after = areasOf('Dog bandana, paw');
  const share = after.used.parts!.find((part) => part.label.startsWith('Laid out as true shapes'))!;
  expect([share.unit, share.source]).toEqual(['share', 'measured']);
  expect(after.used.value).toBeCloseTo(before.used.value * share.value, 3);
  expect(share.value).toBeLessThan(0.9);
  expect([after.net.value, after.box.value]).toEqual([before.net.value, before.box.value]);
  expect([row.change, findItem(shop.db, item.id)!.acceptedCost!.withRisk]).toEqual([null, row.cost!.withRisk.value]);
  expect(loadItemEditor(shop, item.id, null).packings.some((packing) => packing.share < 0.9)).toBe(true);
  // Set side by side with vinyls of other rolls, nobody is favoured by it.
  expect(loadCompare(shop, item.id)).not.toHaveProperty('packings');
});
