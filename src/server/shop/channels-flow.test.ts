import { expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { readPdfPages } from '../../../test/read-pdf';
import { channelInput } from '../../core/input/index';
import { readChannel } from '../../core/pricing/index';
import { minor } from '../../core/units/index';
import { loadChannels } from '../../data/channel-store';
import { getShop } from '../context';
import { parseInput } from '../errors';
import { addChannel, archiveChannel, changeChannel } from './save-channel';
import { loadItemEditor } from '../items/load-items';
import { printPriceList, writePriceListCsv } from '../paper/price-list';
import { loadPriceList } from '../items/load-price-list';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const FAIR = {
  name: 'Autumn fair',
  kind: 'stall',
  tiers: [{ from: 0, share: 0.1 }],
  fixed: 0,
  listing: 0,
  salesPerListing: 1,
  paymentShare: 0,
  paymentFixed: 0,
  adShare: 0,
  adOdds: 0,
  day: 6000,
  salesPerDay: 40,
  delivery: 0,
  deliveryPaid: 0,
  discount: 0,
  tax: 0,
  ending: '50',
};

it('channels are saved with all their fees, and each item counts with them', () => {
  const { id } = addChannel(shop, parseInput(channelInput, FAIR));
  const { channels } = loadItemEditor(shop, 1, null);
  expect(channels.map((channel) => channel.name)).toEqual([
    'Lakeside market',
    'Heron & Hitch online',
    'Gift market online',
    'Shops that sell it on',
    'Autumn fair',
  ]);
  const fair = channels.find((channel) => channel.id === id)!;
  expect(fair).toMatchObject(FAIR);
  const { cost } = priceAllItems(shop)[0]!;
  expect(readChannel(minor(2000), cost!, fair).fees.value).toBe(200 + 150);
});

it('two windows: the second is told; names are there once, also when one is put back', async () => {
  const { id } = addChannel(shop, parseInput(channelInput, FAIR));
  const version = loadChannels(shop.db).find((channel) => channel.id === id)!.version;
  changeChannel(shop, id, parseInput(channelInput, { ...FAIR, day: 7000 }), version);
  expect((await refusalOf(() => changeChannel(shop, id, parseInput(channelInput, FAIR), version))).code).toBe('stale');
  archiveChannel(shop, id, true);
  addChannel(shop, parseInput(channelInput, FAIR));
  expect((await refusalOf(() => archiveChannel(shop, id, false))).message).toMatch(/called “Autumn fair” already/);
});

it.each([
  [{ tiers: [] }, 'tiers'],
  [{ tiers: [{ from: 100, share: 0.1 }] }, 'tiers'],
  [
    {
      tiers: [
        { from: 0, share: 0.1 },
        { from: 0, share: 0.2 },
      ],
    },
    'tiers',
  ],
  [{ salesPerDay: 0 }, 'salesPerDay'],
  [{ tax: 3 }, 'tax'],
  [{ ending: '33' }, 'ending'],
])('%j is refused at its field', async (part, field) => {
  expect((await refusalOf(() => parseInput(channelInput, { ...FAIR, ...part }))).field).toBe(field);
});

it('the price list holds each item by each channel, and its prices reach the goal there', async () => {
  const { figures, currency } = getShop(shop);
  const list = loadPriceList(shop);
  expect(list.rows).toHaveLength(7);
  const costs = new Map(priceAllItems(shop).map((row) => [row.item.id, row.cost!]));
  for (const row of list.rows) {
    row.asks.forEach((ask, index) => {
      const reading = readChannel(minor(ask!.value), costs.get(row.id)!, list.channels[index]!);
      expect(reading.hourEarns!.value).toBeGreaterThanOrEqual(figures.wageGoalPerHour - 1e-6);
    });
    expect(row.asks[1]!.value % 100).toBe(90);
  }
  const csv = writePriceListCsv(list, currency).split('\r\n');
  expect(csv[0]).toBe(
    'item;blank;size;made at once;cost EUR;price EUR;Lakeside market EUR;Heron & Hitch online EUR;Gift market online EUR;Shops that sell it on EUR',
  );
  expect(csv[1]).toContain((list.rows[0]!.asks[0]!.value / 100).toFixed(2));
  const [page] = await readPdfPages(
    await printPriceList(list, 'Heron & Hitch', shop.now(), {
      locale: 'en-GB',
      currency,
      timeZone: 'UTC',
      system: 'metric',
    }),
  );
  expect(page).toContain('Bakery apron, one size');
  expect(page).toContain((list.rows[0]!.asks[0]!.value / 100).toFixed(2));
  // What it costs is nobody's business.
  expect(page).not.toContain((list.rows[0]!.cost!.value / 100).toFixed(2));
});
