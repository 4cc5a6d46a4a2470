// The price list: what each item has to cost on each channel, remembered until something changes.

import { describe, expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { priceOnChannel } from '../../core/pricing';
import { minor } from '../../core/units';
import { loadChannels, updateChannel } from '../../data/channel-store';
import { getShop } from '../context';
import { changeShop } from '../shop/change-shop';
import { loadPriceList, readPriceListQuery } from './load-price-list';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

describe('prices by channel', () => {
  /** As the list shows them, and sought anew. */
  const readAsks = () => loadPriceList(shop).rows.map((row) => row.asks.map((ask) => ask?.value ?? null));
  const seekAnew = () => {
    const { figures } = getShop(shop);
    return priceAllItems(shop).map(({ cost }) =>
      loadChannels(shop.db).map((channel) => {
        const asked = priceOnChannel({ kind: 'wage', perHour: figures.wageGoalPerHour }, cost!, channel);
        return asked.ok ? asked.value.value : null;
      }),
    );
  };

  it('follow a channel, a figure of the shop and a cost', () => {
    const before = readAsks();
    expect(before).toEqual(seekAnew());
    const [channel] = loadChannels(shop.db);
    const { id, version, ...fields } = channel!;
    updateChannel(shop.db, id, { ...fields, fixed: minor(channel!.fixed + 150) }, version);
    const dearer = readAsks();
    expect(dearer).not.toEqual(before);
    expect(dearer).toEqual(seekAnew());
    const { figures, version: shopVersion, ...identity } = getShop(shop);
    changeShop(shop, { ...identity, figures: { ...figures, wageGoalPerHour: 3333 } }, shopVersion);
    expect(readAsks()).not.toEqual(dearer);
    expect(readAsks()).toEqual(seekAnew());
  });

  it('hold only what earns less than an hour where that is asked for, on each page', () => {
    const ask = (query: string) => loadPriceList(shop, readPriceListQuery(new URLSearchParams(query)));
    const earned = ask('sort=hour').rows.map((row) => row.hourEarns!.value);
    const { figures, version, ...identity } = getShop(shop);
    const wagePerHour = Math.round(earned[3]! + 1);
    changeShop(shop, { ...identity, figures: { ...figures, wagePerHour } }, version);
    const poor = ask('poor=1&sort=hour&down=1');
    expect(poor.rows.length).toBe(poor.poor);
    expect(poor.rows.length).toBeLessThan(ask('').rows.length);
    const hours = poor.rows.map((row) => row.hourEarns!.value);
    expect(hours.every((hour) => hour < wagePerHour)).toBe(true);
    expect(hours).toEqual([...hours].sort((a, b) => b - a));
    expect(ask('q=apron').rows.map((row) => row.name)).toEqual(['Bakery apron']);
  });
});
