// What offers are sorted and found by, put in place anew after a change, is what looking at all of them anew gives.

import { expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { minor } from '../../core/units/index';
import { loadOffers, putOffer, setMinimum } from '../../data/offer-store';
import { loadSuppliers } from '../../data/supplier-store';
import { listThings } from '../stock/things';
import { keepOffers, type Kept } from './kept-offers';
import { archiveOffer, matchPart } from './save-offers';
import { changeSupplier } from './save-supplier';
import { loadGround } from './view-offer';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

const readGround = () => loadGround(shop, loadSuppliers(shop.db));
const tell = ({ sorted, unmatched, bySupplier }: Kept) => ({ sorted, unmatched, bySupplier: [...bySupplier].sort() });

/** What a shop does to its offers and to what they rest on. */
const CHANGES: Readonly<Record<string, () => void>> = {
  'a dearer offer': () => {
    const [offer] = loadOffers(shop.db);
    putOffer(shop.db, { ...offer!, price: minor(offer!.price * 3) }, shop.now() + 1000);
  },
  'a new offer': () => {
    const [offer] = loadOffers(shop.db);
    putOffer(shop.db, { ...offer!, code: 'NEW', name: 'A new one', price: minor(1) }, shop.now() + 2000);
  },
  'a supplier whose shipping went up': () => {
    const { id, version, archived: _archived, ...supplier } = loadSuppliers(shop.db)[0]!;
    changeSupplier(shop, id, { ...supplier, shipping: minor(9900), freeFrom: null }, version);
  },
  'a part that is matched with another thing': () => {
    const offer = loadOffers(shop.db).find(({ parts }) => parts.length === 1)!;
    const other = listThings(shop).find(({ key }) => key !== offer.parts[0]!.key)!;
    matchPart(shop, offer.id, 0, other.key);
  },
  'a part that nobody matched any more': () => matchPart(shop, loadOffers(shop.db)[2]!.id, 0, null),
  'an offer that is put away': () => archiveOffer(shop, loadOffers(shop.db)[1]!.id, true),
  'a thing of another name': () => {
    shop.db.$client.exec("update vinyls set name = 'Renamed ' || name, version = version + 1 where id = 1");
  },
  'one more thing needed': () => {
    const { needed } = readGround();
    const bundle = loadOffers(shop.db).find(
      ({ parts }) => parts.some(({ key }) => needed.has(key!)) && parts.some(({ key }) => key && !needed.has(key)),
    )!;
    const { key } = bundle.parts.find((part) => part.key && !needed.has(part.key))!;
    setMinimum(shop.db, key!, { amount: 1e9, coverWeeks: null });
  },
  'a cutter with a wider edge': () => {
    shop.db.$client.exec("update shop set figures = json_set(figures, '$.value.cutterEdgeMm', 31.5)");
  },
};

it.each(Object.keys(CHANGES))('after %s', (name) => {
  const before = keepOffers(shop.db, readGround(), null);
  expect(before.sorted.name.length).toBeGreaterThan(10);
  CHANGES[name]!();
  const ground = readGround();
  const after = keepOffers(shop.db, ground, before);
  expect(tell(after)).toEqual(tell(keepOffers(shop.db, ground, null)));
  // Each of them changes something.
  expect(tell(after)).not.toEqual(tell(before));
});

it('looks at nothing anew where nothing changed', () => {
  const before = keepOffers(shop.db, readGround(), null);
  const after = keepOffers(shop.db, readGround(), before);
  expect(after.sorted.name.every((entry, at) => entry === before.sorted.name[at])).toBe(true);
});
