import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { NO_FILTER } from '../../core/materials/index';
import { addOffer, archiveOffer, changeOffer, loadHistory, matchPart } from '../buying/save-offers';
import { findOfferPage } from '../buying/offer-index';
import { getShop } from '../context';
import { addVinyl } from './save-shelf';
import { changeShop } from '../shop/change-shop';
import { listThings } from './things';
import { loadStock, loadStockPage } from './load-stock';
import { loadShelfPage } from './load-shelf';
import { loadSuppliers } from '../../data/supplier-store';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const SLATE = 'Tarn Smooth, slate';
const keyNamed = (name: string) => listThings(shop).find((thing) => thing.name === name)!.key;

describe('offers a page at a time, and by hand', () => {
  const query = { words: '', supplierId: 0, sort: 'unit' as const, offset: 0 };
  const byHand = (part: object = {}) => ({
    supplierId: loadSuppliers(shop.db)[0]!.id,
    code: 'HAND-1',
    name: 'Felt pens',
    price: 900,
    breaks: [
      { fromPacks: 5, price: 800 },
      { fromPacks: 3, price: 850 },
    ],
    takePay: { take: 3, pay: 2 },
    parts: [{ key: keyNamed(SLATE), label: '', count: 2, widthMm: 300, lengthMm: 400 }],
    ...part,
  });

  it('finds by every word, by supplier, in each order, and says how many there are', () => {
    const all = findOfferPage(shop, query);
    expect(all.total).toBe(33);
    const vinyl = all.offers.filter((offer) => offer.unit.perM2 !== null);
    expect(vinyl.map((offer) => offer.unit.perM2!.value)).toEqual(
      vinyl.map((offer) => offer.unit.perM2!.value).sort((a, b) => a - b),
    );
    expect(all.offers.slice(vinyl.length).every((offer) => offer.unit.perM2 === null)).toBe(true);
    const slate = findOfferPage(shop, { ...query, words: 'SLATE tarn' });
    expect(
      slate.offers.every((offer) =>
        `${offer.name} ${offer.parts.map((part) => part.thing?.name).join(' ')}`.toLowerCase().includes('slate'),
      ),
    ).toBe(true);
    expect(slate.total).toBeLessThan(all.total);
    expect(findOfferPage(shop, { ...query, offset: 30 }).offers.map(({ id }) => id)).toEqual(
      all.offers.slice(30).map(({ id }) => id),
    );
    expect(findOfferPage(shop, { ...query, sort: 'name' }).offers.map(({ id }) => id)).not.toEqual(
      all.offers.map(({ id }) => id),
    );
    expect(findOfferPage(shop, { ...query, supplierId: loadSuppliers(shop.db)[2]!.id }).total).toBe(9);
  });

  it('is never older than what it rests on: an offer, a name, a margin, an order', () => {
    const find = (words: string) => findOfferPage(shop, { ...query, words }).offers;
    expect(find('felt pens')).toEqual([]);
    const { id } = addOffer(shop, byHand());
    const [offer] = find('felt pens');
    expect(offer).toMatchObject({
      id,
      takePay: { take: 3, pay: 2 },
      breaks: [
        { fromPacks: 3, price: 850 },
        { fromPacks: 5, price: 800 },
      ],
    });
    changeOffer(shop, id, byHand({ price: 700 }), offer!.version);
    expect(find('felt pens')[0]).toMatchObject({ price: 700 });
    expect(loadHistory(shop, id).prices.map((entry) => entry.price)).toContain(700);
    matchPart(shop, id, 0, null);
    expect(find('felt pens')[0]!.parts[0]!.thing).toBeNull();
    const before = find('M-TS-SL10')[0]!.unit.perM2!.value;
    const { figures, ...identity } = getShop(shop);
    changeShop(shop, { ...identity, figures: { ...figures, cutterEdgeMm: 40 } }, identity.version);
    expect(find('M-TS-SL10')[0]!.unit.perM2!.value).toBeGreaterThan(before);
    archiveOffer(shop, id, true);
    expect(find('felt pens')).toEqual([]);
  });

  it('by hand: one article once, whole packs, and the second window is told', async () => {
    const { id } = addOffer(shop, byHand());
    expect((await refusalOf(() => addOffer(shop, byHand({ name: 'Other' })))).field).toBe('code');
    const [offer] = findOfferPage(shop, { ...query, words: 'felt pens' }).offers;
    changeOffer(shop, id, byHand({ price: 950 }), offer!.version);
    expect((await refusalOf(() => changeOffer(shop, id, byHand({ price: 990 }), offer!.version))).code).toBe('stale');
    expect(
      (
        await refusalOf(() =>
          addOffer(
            shop,
            byHand({ code: 'HAND-2', parts: [{ key: 'vinyl:999', label: '', count: 1, widthMm: 1, lengthMm: 1 }] }),
          ),
        )
      ).field,
    ).toBe('key');
  });
});

it('the stock a page at a time: by words, with what is told of all of it', () => {
  const all = loadStock(shop),
    first = loadStockPage(shop, { words: '', offset: 0 });
  expect(first.rows).toEqual(all.rows.slice(0, 100));
  expect(first).toMatchObject({ total: all.rows.length, empty: false, value: all.value });
  expect(first.short).toEqual(all.rows.filter((row) => row.free.value < 0).map((row) => row.thing.name));
  const tarn = loadStockPage(shop, { words: 'SLATE tarn', offset: 0 });
  expect(tarn.rows.map((row) => row.thing.name)).toEqual([SLATE]);
  expect(tarn.short).toEqual(first.short);
  expect(loadStockPage(shop, { words: '', offset: all.rows.length - 1 }).rows).toEqual(all.rows.slice(-1));
});

it('the shelf a page at a time: filtered where it lies, with the range of all of it', () => {
  const all = loadShelfPage(shop);
  expect([all.total, all.vinylCount, all.blanks.length]).toEqual([8, 8, 7]);
  // 48.00 for 610 mm × 10 m, and 29.15 for 305 mm × 1.5 m since it went up.
  expect(all.cheapest!.value).toBeCloseTo(4800 / (0.61 * 10), 6);
  expect(all.dearest!.value).toBeCloseTo(2915 / (0.305 * 1.5), 6);
  const cool = loadShelfPage(shop, { ...NO_FILTER, fabric: 'softshell', words: 'tarn', offset: 0 });
  expect(cool.vinyls.map((vinyl) => vinyl.name)).toEqual(['Tarn Cool, marigold', 'Tarn Cool, white']);
  expect(cool.vinylCount).toBe(8);
  // Of Tarn Cool, marigold nothing lies there.
  expect(
    loadShelfPage(shop, { ...NO_FILTER, words: 'tarn cool', inStock: true, offset: 0 }).vinyls.map(
      (vinyl) => vinyl.name,
    ),
  ).toEqual(['Tarn Cool, white']);
  addVinyl(shop, { ...all.vinyls[0]!, name: 'Aspen, new' });
  expect(loadShelfPage(shop).vinyls[0]!.name).toBe('Aspen, new');
  expect(loadShelfPage(shop, undefined, all.vinyls[3]!.id).open!.name).toBe(all.vinyls[3]!.name);
});
