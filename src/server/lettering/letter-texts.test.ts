// Texts that were set: kept while something rests on them, let go where they were only tried.

import { describe, expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { findClub, makeNamed, setNames, takeOrderOf } from '../../../test/named-orders';
import { findPicture } from '../../data/artwork-store';
import { findLetterings } from '../../data/lettering-store';
import { findOrder } from '../../data/order-store';
import { keyOfWish, letterTexts } from './letter-texts';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const DAY_MS = 24 * 3600 * 1000;
const keyOf = (text: string) =>
  keyOfWish({ text, lettering: findClub(shop).details.options[0]!.placement.lettering!, smaller: false });
const isKept = (text: string) => findLetterings(shop.db, [keyOf(text)]).size === 1;

describe('texts that were set', () => {
  it('are let go after a week where they were only tried, with their drawing', async () => {
    await setNames(shop, ['TRIED']);
    const { artworkId } = findLetterings(shop.db, [keyOf('TRIED')]).get(keyOf('TRIED'))!;
    shop.clock.ms += 6 * DAY_MS;
    await setNames(shop, ['OTHER']);
    expect(isKept('TRIED')).toBe(true);
    shop.clock.ms += 2 * DAY_MS;
    await setNames(shop, ['ANOTHER']);
    expect([isKept('TRIED'), isKept('OTHER'), findPicture(shop.db, artworkId)]).toEqual([false, true, null]);
  });

  it('stay with the orders and items that rest on them', async () => {
    await setNames(shop, ['TARN']);
    const id = takeOrderOf(shop, { lines: [makeNamed(shop, 'TARN')] });
    shop.clock.ms += 400 * DAY_MS;
    await setNames(shop, ['LATER']);
    expect(isKept('TARN')).toBe(true);
    const ofOrder = findOrder(shop.db, id)!.lines[0]!.made!.placements.map(({ artworkId }) => artworkId);
    const ofItem = findClub(shop).details.options.map(({ placement }) => placement.artworkId);
    expect([...ofOrder, ...ofItem].map((artworkId) => findPicture(shop.db, artworkId) !== null)).not.toContain(false);
  });

  it('are each set once in a lot, however many wish for them', async () => {
    const lettering = findClub(shop).details.options[0]!.placement.lettering!;
    const lots: number[] = [];
    const names = Array.from({ length: 45 }, (_, at) => `NAME ${at % 43}`);
    const set = await letterTexts(
      shop,
      names.map((text) => ({ text, lettering, smaller: false })),
      {
        letterLot: (wishes) => {
          lots.push(wishes.length);
          return Promise.resolve(wishes.map(() => ({ ok: false, problem: { kind: 'no-text' } }) as const));
        },
      },
    );
    expect(set.size).toBe(43);
    expect(lots.reduce((sum, lot) => sum + lot, 0)).toBe(43);
    expect(Math.max(...lots)).toBeLessThanOrEqual(20);
  });
});
