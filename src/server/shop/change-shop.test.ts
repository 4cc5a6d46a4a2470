import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { loadVinyls } from '../../data/shelf-store';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { getShopFigure } from '../../core/materials';
import { PLAIN_TERMS } from '../../core/orders';
import { minor } from '../../core/units';
import { takeOrderOf } from '../../../test/named-orders';
import { MONEY_COLUMNS } from '../../data/money-store';
import { openShop, getShop } from '../context';

import { loadOrderView } from '../orders/load-order-view';
import { loadOrderList } from '../orders/load-order-list';
import { changeShop } from './change-shop';

const TOWEL = { quantity: 2, sizeName: 'one size', colourName: 'natural', options: [], each: 2500 };
let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

function switchTo(currency: string, rate: number | null): void {
  const { version, figures, name, locale, timeZone } = getShop(shop);
  changeShop(shop, { name, locale, timeZone, figures, currency }, version, { rate });
}
const costs = () => priceAllItems(shop).map((row) => row.cost!.withRisk.value);

describe('another currency', () => {
  it('asks what becomes of the prices, and changes nothing before that', async () => {
    const before = costs();
    const refusal = await refusalOf(() => switchTo('USD', null));
    expect(refusal).toMatchObject({ code: 'conflict', field: 'currency' });
    expect(refusal.message).toMatch(/All prices in the book are in EUR.*USD/);
    expect(getShop(shop).currency).toBe('EUR');
    expect(costs()).toEqual(before);
  });

  it('the numbers stay, in minor units of the new', () => {
    const before = costs();
    const { rollPrice } = loadVinyls(shop.db)[0]!;
    switchTo('USD', 1);
    expect(costs()).toEqual(before);
    switchTo('JPY', 1);
    expect(loadVinyls(shop.db)[0]!.rollPrice).toBe(Math.round(rollPrice / 100));
    expect(getShop(shop).figures.wagePerHour).toBe(16);
  });

  it('or everything is converted: costs, prices, orders, and what was really spent', () => {
    const before = costs();
    const order = loadOrderList(shop).rows[0]!;
    const spent = loadOrderView(shop, order.id).against;
    switchTo('CZK', 25);
    for (const [index, cost] of costs().entries())
      expect(Math.abs(cost / (before[index]! * 25) - 1)).toBeLessThan(0.003);
    expect(loadOrderList(shop).rows.find((row) => row.id === order.id)!.agreed).toBe(order.agreed * 25);
    const now = loadOrderView(shop, order.id).against;
    expect(now.cash.quoted.value).toBe(spent.cash.quoted.value * 25);
    expect(Math.abs(now.cash.real.value - spent.cash.real.value * 25)).toBeLessThan(25 * 4);
  });

  it('takes along what was agreed for each line, off as a set and for delivery', () => {
    const lines = [
      { ...TOWEL, itemId: priceAllItems(shop).find(({ item }) => item.name === 'Honeycomb tea towel')!.item.id },
    ];
    const terms = { ...PLAIN_TERMS, setOff: minor(300), goes: 'sent', deliveryCharge: minor(690) } as const;
    const id = takeOrderOf(shop, { lines, terms });
    switchTo('CZK', 25);
    const { lines: own, terms: now, money } = loadOrderView(shop, id);
    expect(own[0]!.each).toBe(2500 * 25);
    expect(now).toEqual({ ...terms, setOff: 300 * 25, deliveryCharge: 690 * 25 });
    expect(money.asked!.value).toBe((2 * 2500 - 300 + 690) * 25);
  });

  it('is not asked where nothing has a price yet', () => {
    const fresh = openShop(':memory:');
    const { version, figures, name, locale, timeZone } = getShop(fresh);
    changeShop(fresh, { name, locale, timeZone, figures, currency: 'JPY' }, version);
    expect(getShop(fresh)).toMatchObject({ currency: 'JPY', confirmed: true });
  });

  it('begins with ordinary figures of its size; what was typed stays as it is', () => {
    const fresh = openShop(':memory:');
    const move = (currency: string, wagePerHour?: number) => {
      const { version, figures, name, locale, timeZone } = getShop(fresh);
      const own = wagePerHour === undefined ? figures : { ...figures, wagePerHour };
      changeShop(fresh, { name, locale, timeZone, figures: own, currency }, version);
      return getShop(fresh).figures;
    };
    // A blade of 9.00 € is one of 900 ¥, of 4.500 KD, of 4,500 Ft, of 180,000 Rp.
    expect(move('JPY')).toMatchObject({ bladePrice: 900, wagePerHour: 1500, leadMm: 15 });
    expect(move('KWD')).toMatchObject({ bladePrice: 4500, wagePerHour: 7500, setupSeconds: 420 });
    expect(move('HUF')).toMatchObject({ bladePrice: 4500, wagePerHour: 7500, priceLevel: 5 });
    expect(move('IDR', 5_000_000)).toMatchObject({ bladePrice: 180_000, wagePerHour: 5_000_000 });
    const { figures } = getShop(fresh);
    expect(getShopFigure(figures, 'bladePrice').source).toBe('default');
    expect(getShopFigure(figures, 'wagePerHour').source).toBe('shop');
    expect(move('EUR')).toMatchObject({ bladePrice: 900, wagePerHour: 5_000_000, priceLevel: 1 });
  });

  it('what was ordinary still is after everything was converted', () => {
    const { bladePrice } = getShop(shop).figures;
    switchTo('CZK', 25);
    const { figures } = getShop(shop);
    expect(figures).toMatchObject({ bladePrice: bladePrice * 25, priceLevel: 25 });
    expect(getShopFigure(figures, 'bladePrice').source).toBe('default');
  });

  it('forgets no column of money', () => {
    const folder = new URL('../../data/schema/', import.meta.url);
    const named = readdirSync(folder).flatMap((file) =>
      [...readFileSync(new URL(file, folder), 'utf8').matchAll(/money\('(\w+)'\)/g)].map(([, column]) => column!),
    );
    expect(named.sort()).toEqual(MONEY_COLUMNS.map(([, column]) => column as string).sort());
  });
});
