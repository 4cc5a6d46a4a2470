// What items cost is kept, and is true all the same: each kind of thing that a cost rests on is changed, and the list
// changes with it.

import { eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import { priceAllItems } from '../../../test/price-all';
import { keyOf, type PriceBasis } from '../../core/stock';
import { minor } from '../../core/units';
import { loadArtworks, updateArtwork } from '../../data/artwork-store';
import { loadItemCosts } from '../../data/item-cost-store';
import { findItem, updateItem } from '../../data/item-store';
import { findOffersOf, putOffer, setOfferArchived, setPartKey } from '../../data/offer-store';
import { savePacking } from '../../data/packing-store';
import { blankSizes, itemCosts, supplies } from '../../data/schema';
import { loadBlanks, loadVinyls, updateBlank, updateVinyl } from '../../data/shelf-store';
import { findFitted } from '../../data/supply-store';
import { spoilParts } from '../bench/spoil-parts';
import { undoSteps } from '../bench/undo-steps';
import { finishSession, startSession } from '../bench/work-at-bench';
import { getShop } from '../context';
import { placeOrder } from '../orders/save-order';
import { changeShop } from '../shop/change-shop';
import { receiveLot } from '../stock/save-stock';
import { bookWear } from '../stock/save-supplies';
import { calculateAll, calculateSome } from './item-costs';
import { explainItemFigure, loadItemList } from './load-item-list';
import { loadPriceList } from './load-price-list';
import { acceptItemCost } from './save-item';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

const itemNamed = (name: string) => priceAllItems(shop).find(({ item }) => item.name === name)!.item;
const APRON = 'Bakery apron';

/** As the list shows it. */
const readList = () =>
  loadItemList(shop).rows.map(({ name, cost, hourEarns, change }) => ({
    name,
    cash: cost?.cash.value,
    withRisk: cost?.withRisk.value,
    hour: hourEarns?.value,
    change: change?.was,
  }));
/** Calculated from the beginning. */
const calculateAnew = (): ReturnType<typeof readList> =>
  priceAllItems(shop).map(({ item, cost, hourEarns, change }) => ({
    name: item.name,
    cash: cost?.cash.value,
    withRisk: cost?.withRisk.value,
    hour: hourEarns?.value,
    change: change?.was,
  }));

function setBasis(priceBasis: PriceBasis): void {
  const { id, version, archived: _archived, acceptedCost, ...item } = itemNamed(APRON);
  updateItem(shop.db, id, { ...item, details: { ...item.details, priceBasis } }, version, acceptedCost);
}

const ofApron = () => {
  const { placements, blankId, sizeName, colourName } = itemNamed(APRON);
  const [vinylId] = placements[0]!.vinylIds;
  return {
    artworkId: placements[0]!.artworkId,
    vinyl: loadVinyls(shop.db).find((vinyl) => vinyl.id === vinylId)!,
    vinylKey: keyOf({ kind: 'vinyl', vinylId: vinylId! }),
    blank: loadBlanks(shop.db).find((blank) => blank.id === blankId)!,
    blankKey: keyOf({ kind: 'blank', blankId, sizeName, colourName }),
  };
};

function offerVinyl(price: number): number {
  const { vinyl, vinylKey } = ofApron();
  const [known] = findOffersOf(shop.db, [vinylKey]);
  const part = { key: vinylKey, label: vinyl.name, count: 1, widthMm: 500, lengthMm: 5000 };
  const fields = { supplierId: known?.supplierId ?? 1, code: 'NEW', name: 'New offer', breaks: [], takePay: null };
  return putOffer(shop.db, { ...fields, price: minor(price), parts: [part] }, shop.now());
}

function receive(key: string, form: 'roll' | 'piece', price: number): void {
  const size = form === 'roll' ? { widthMm: 500, quantity: 5000 } : { widthMm: null, quantity: 10 };
  shop.clock.ms += 1000;
  receiveLot(shop, { key, form, lengthMm: null, ...size, price, remark: '' });
}

/** Cuts four aprons, with the clock running. */
function cutAprons(): { readonly partIds: readonly number[]; readonly eventIds: readonly number[] } {
  const line = { itemId: itemNamed(APRON).id, quantity: 4, sizeName: 'one size', colourName: 'charcoal' };
  const head = { customerName: 'Ansel Thrush', contact: '', dueDay: '2026-12-09', agreed: 9000, note: '' };
  const { id: orderId } = placeOrder(shop, { title: 'Aprons', ...head, lines: [line] });
  const partIds = listBenchParts(shop).flatMap((part) => (part.orderId === orderId ? [part.partId] : []));
  const { id } = startSession(shop, { station: 'cut', partIds });
  shop.clock.ms += 55 * 60_000;
  return { partIds, eventIds: finishSession(shop, id, 'done').eventIds };
}

const CHANGES: readonly (readonly [string, () => void])[] = [
  [
    'a figure of the shop',
    () => {
      const { figures, version, ...identity } = getShop(shop);
      changeShop(shop, { ...identity, figures: { ...figures, wagePerHour: figures.wagePerHour + 300 } }, version);
    },
  ],
  [
    'the price of a vinyl',
    () => {
      const { id, version, archived: _archived, ...vinyl } = ofApron().vinyl;
      updateVinyl(shop.db, id, { ...vinyl, rollPrice: minor(vinyl.rollPrice * 3) }, version);
    },
  ],
  [
    'the price of a blank',
    () => {
      const { id, version, archived: _archived, ...blank } = ofApron().blank;
      const sizes = blank.sizes.map((size) => ({ ...size, price: minor(size.price + 111) }));
      updateBlank(shop.db, id, { ...blank, sizes }, version);
    },
  ],
  [
    'the price of a blank, written by hand',
    () =>
      void shop.db
        .update(blankSizes)
        .set({ price: minor(4321) })
        .where(eq(blankSizes.blankId, ofApron().blank.id))
        .run(),
  ],
  [
    'a drawing',
    () => {
      const { artworkId } = ofApron();
      const { id, version, measurement, ...artwork } = loadArtworks(shop.db).find((one) => one.id === artworkId)!;
      const layers = measurement.layers.map((layer) => ({ ...layer, cutLengthMm: layer.cutLengthMm * 9 }));
      updateArtwork(shop.db, id, { ...artwork, measurement: { ...measurement, layers } }, version);
    },
  ],
  [
    'how close a layer lies',
    () => {
      const { artworkId } = ofApron();
      const rows = shop.db.$client.prepare('select * from layer_packings where artwork_id = ?').all(artworkId);
      for (const row of rows as Record<string, number>[])
        savePacking(shop.db, {
          artworkId,
          artworkVersion: row['artwork_version']!,
          layerIndex: row['layer_index']!,
          widthMm: row['width_mm']!,
          usableMm: row['usable_mm']!,
          turnable: row['turnable'] === 1,
          copies: row['copies']!,
          share: row['share']! / 3,
        });
      expect(rows.length).toBeGreaterThan(0);
    },
  ],
  [
    'the item itself',
    () => {
      const { id, version, archived: _archived, acceptedCost, ...item } = itemNamed(APRON);
      updateItem(shop.db, id, { ...item, quantity: item.quantity + 40 }, version, acceptedCost);
    },
  ],
  [
    'its price',
    () => {
      const { id, version, archived: _archived, acceptedCost, ...item } = itemNamed(APRON);
      updateItem(shop.db, id, { ...item, price: minor(item.price + 777) }, version, acceptedCost);
    },
  ],
  ['what its cost was agreed to be', () => acceptItemCost(shop, itemNamed(APRON).id)],
  ['the log of the cutter', () => void cutAprons()],
  [
    'what was spoiled',
    () => {
      const { partIds } = cutAprons();
      loadItemList(shop);
      spoilParts(shop, { partIds: partIds.slice(0, 3), cause: 'weeding', blankLost: false });
    },
  ],
  [
    'a blade that is fitted anew',
    () => {
      const blade = findFitted(shop.db, ['blade']).get('blade')!;
      bookWear(shop, blade, { kind: 'worn', amount: 3, fromStock: false });
      bookWear(shop, blade, { kind: 'fitted', amount: 0, fromStock: false });
    },
  ],
  [
    'what blades are said to hold',
    () => void shop.db.update(supplies).set({ life: 7 }).where(eq(supplies.kind, 'blade')).run(),
  ],
  [
    'what was paid for a blade',
    () => receive(`supply:${findFitted(shop.db, ['blade']).get('blade')!}`, 'piece', 99_000),
  ],
];

describe('what a kept cost rests on', () => {
  it.each(CHANGES)('%s: the list changes with it', (_what, change) => {
    const before = readList();
    expect(before).toEqual(calculateAnew());
    change();
    const after = readList();
    expect(after).not.toEqual(before);
    expect(after).toEqual(calculateAnew());
  });

  const PRICED: readonly (readonly [string, PriceBasis, () => void])[] = [
    ['a roll that comes in', 'latest', () => receive(ofApron().vinylKey, 'roll', 77_000)],
    ['blanks that come in', 'latest', () => receive(ofApron().blankKey, 'piece', 9_990)],
    ['an offer that is new', 'offer', () => void offerVinyl(12)],
    ['an offer that is dearer', 'offer', () => (offerVinyl(12), loadItemList(shop), void offerVinyl(19))],
    ['an offer taken off', 'offer', () => (loadItemList(shop), void setOfferArchived(shop.db, offerVinyl(12), 1))],
    ['an offer of something else', 'offer', () => void setPartKey(shop.db, offerVinyl(12), 0, null)],
  ];
  it.each(PRICED)('%s: an item that goes by it changes', (what, basis, change) => {
    setBasis(basis);
    if (what.endsWith('taken off') || what.endsWith('something else')) offerVinyl(12);
    const before = readList();
    expect(before).toEqual(calculateAnew());
    change();
    expect(readList()).not.toEqual(before);
    expect(readList()).toEqual(calculateAnew());
  });

  it('what is taken back at the bench is taken back in the list', () => {
    const before = readList();
    const { partIds, eventIds } = cutAprons();
    const { eventIds: spoiled } = spoilParts(shop, { partIds: [...partIds], cause: 'weeding', blankLost: false });
    const worse = readList();
    undoSteps(shop, spoiled, partIds);
    undoSteps(shop, eventIds, partIds);
    expect(worse).not.toEqual(before);
    expect(readList()).toEqual(calculateAnew());
  });
});

describe('what is kept', () => {
  const ids = () => priceAllItems(shop).map(({ item }) => item.id);
  const countKept = () => loadItemCosts(shop.db, ids()).size;

  it('is kept as long as nothing changes, and of other items when one changes', () => {
    loadItemList(shop);
    expect(countKept()).toBe(7);
    acceptItemCost(shop, itemNamed(APRON).id);
    expect(countKept()).toBe(6);
  });

  it('of what nobody asks for is calculated little by little, and all of it before a list is sorted by it', () => {
    shop.db.delete(itemCosts).run();
    expect([calculateSome(shop, 3), countKept()]).toEqual([true, 3]);
    calculateAll(shop);
    expect([countKept(), calculateSome(shop, 3)]).toEqual([7, false]);
  });

  it('has no workings: each is calculated when it is asked for, to the same cent', () => {
    const list = loadItemList(shop);
    expect(JSON.stringify(list)).not.toContain('"parts"');
    const [priced] = priceAllItems(shop);
    const ask = (query: string) => explainItemFigure(shop, priced!.item.id, new URLSearchParams(query));
    expect(ask('of=withRisk')).toEqual(priced!.cost!.withRisk);
    expect(ask('of=hourEarns')).toEqual(priced!.hourEarns);
    const prices = loadPriceList(shop);
    const [channel] = prices.channels;
    const asked = ask(`of=ask&channel=${channel!.id}&goal=wage`);
    expect(asked.parts!.length).toBeGreaterThan(0);
    expect(asked.value).toBe(prices.rows.find((row) => row.id === priced!.item.id)!.asks[0]!.value);
    expect(() => ask('of=nonsense')).toThrow(/not here/);
  });

  it('goes with an item that is archived, and comes back with it', () => {
    const { id } = findItem(shop.db, itemNamed(APRON).id)!;
    const all = loadItemList(shop).all;
    shop.db.$client.prepare('update items set archived_at_ms = 1 where id = ?').run(id);
    expect(loadItemList(shop)).toMatchObject({ all: all - 1 });
    shop.db.$client.prepare('update items set archived_at_ms = null where id = ?').run(id);
    expect(readList()).toEqual(calculateAnew());
  });
});
