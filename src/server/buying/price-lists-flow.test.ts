import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { loadOffers } from '../../data/offer-store';
import { addSupplier, changeSupplier } from './save-supplier';
import { applyList, previewList } from './import-price-list';
import { loadHistory, matchPart } from './save-offers';
import { loadOffersView } from './offer-index';
import { listThings } from '../stock/things';
import { SLATE } from '../stock/stock-flow-examples';
import { loadSuppliers } from '../../data/supplier-store';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

const keyNamed = (name: string) => listThings(shop).find((thing) => thing.name === name)!.key;
const LOOKS = { match: null, decimal: '' as const, lengthUnit: 'mm' as const, dropMissing: false };
describe('price lists', () => {
  const list =
    'code;name;colour;count;width;length;price\nX1;Tarn Smooth slate;Tarn Smooth, slate;1;500;10 m;95,00\nX2;Something else;;1;;;3,00\nX3;Broken;;1;;;dear\n';
  const bytes = (text: string) => new TextEncoder().encode(text);

  it('are looked at first: what is new, changed, the same, unreadable by line, and not matched', () => {
    const { id } = addSupplier(shop, {
      name: 'New one',
      email: '',
      shipping: 0,
      freeFrom: null,
      minimumOrder: null,
      leadDays: 3,
    });
    const first = previewList(shop, id, bytes(list), LOOKS);
    expect(first.fresh.map((change) => change.code)).toEqual(['X1', 'X2']);
    expect(first.unreadable).toMatchObject([{ line: 4, column: 'price', text: 'dear' }]);
    expect(first.unmatched).toEqual(['Something else']);
    expect(loadOffers(shop.db, id)).toEqual([]);
    expect(applyList(shop, id, bytes(list), LOOKS)).toEqual({ fresh: 2, changed: 0, dropped: 0 });
    shop.clock.ms += 86_400_000;
    const dearer = list.replace('95,00', '99,00').replace(/X2.*\n/, '');
    expect(previewList(shop, id, bytes(dearer), LOOKS)).toMatchObject({
      same: 0,
      changed: [{ code: 'X1', before: 9500, price: 9900 }],
      gone: [{ code: 'X2' }],
    });
    expect(applyList(shop, id, bytes(dearer), { ...LOOKS, dropMissing: true })).toEqual({
      fresh: 0,
      changed: 1,
      dropped: 1,
    });
    const [offer] = loadOffers(shop.db, id);
    expect(offer).toMatchObject({
      code: 'X1',
      price: 9900,
      parts: [{ key: keyNamed(SLATE), widthMm: 500, lengthMm: 10_000 }],
    });
    expect(loadHistory(shop, offer!.id).prices.map(({ price }) => price)).toEqual([9500, 9900]);
  });

  it('that can’t be read change nothing, and say why', async () => {
    const { id } = addSupplier(shop, {
      name: 'New one',
      email: '',
      shipping: 0,
      freeFrom: null,
      minimumOrder: null,
      leadDays: 3,
    });
    for (const [text, words] of [
      ['', /empty/],
      ['one\ntwo', /No columns/],
      ['code;name;price\nA;"open;1', /never closed, from line/],
      ['first;second\nA;B', /code and name and price/],
    ] as const)
      expect((await refusalOf(() => applyList(shop, id, bytes(text), LOOKS))).message).toMatch(words);
    expect(loadOffers(shop.db, id)).toEqual([]);
  });

  it('what was matched by hand stays so with the next list', () => {
    const { id } = addSupplier(shop, {
      name: 'New one',
      email: '',
      shipping: 0,
      freeFrom: null,
      minimumOrder: null,
      leadDays: 3,
    });
    applyList(shop, id, bytes(list), LOOKS);
    const other = loadOffers(shop.db, id).find((offer) => offer.code === 'X2')!;
    matchPart(shop, other.id, 0, keyNamed('Seed tin, half litre, bare tin'));
    applyList(shop, id, bytes(list.replace('3,00', '3,40')), LOOKS);
    expect(loadOffers(shop.db, id).find((offer) => offer.code === 'X2')!.parts[0]!.key).toBe(
      keyNamed('Seed tin, half litre, bare tin'),
    );
  });

  it('two windows: the second change of a supplier is told; names are unique', async () => {
    const [supplier] = loadSuppliers(shop.db);
    const input = { name: 'Renamed', email: '', shipping: 100, freeFrom: null, minimumOrder: null, leadDays: 1 };
    changeSupplier(shop, supplier!.id, input, supplier!.version);
    expect(
      (await refusalOf(() => changeSupplier(shop, supplier!.id, { ...input, shipping: 200 }, supplier!.version))).code,
    ).toBe('stale');
    expect((await refusalOf(() => addSupplier(shop, input))).message).toMatch(/called “Renamed” already/);
  });

  it('the demo’s three lists are all read, and priced by the usable square metre', () => {
    const view = loadOffersView(shop);
    expect(view.suppliers.map((supplier) => [supplier.name, supplier.offers])).toEqual([
      ['Barrow Bargains', 12],
      ['Millrace Trade Rolls', 12],
      ['The Paper Otter', 9],
    ]);
    const { offers } = view.first;
    const ten = offers.find((offer) => offer.code === 'M-TS-SL10')!;
    expect(ten.unit.perM2!.value).toBeCloseTo((8900 + 790) / (0.48 * 10), 4);
    expect(ten.breaks).toEqual([{ fromPacks: 3, price: 8450 }]);
    expect(offers.filter((offer) => offer.parts.some((part) => part.key === null)).map((offer) => offer.code)).toEqual([
      'PO-20',
    ]);
  });
});
