// What is remembered is never older than the file.

import { beforeEach, describe, expect, it } from 'vitest';
import { eq } from 'drizzle-orm';
import { customers } from '../data/schema';
import { openShop, type ShopContext } from './context';
import { rememberUntilChange } from './remember';

let shop: ShopContext;
beforeEach(() => {
  shop = openShop(':memory:');
});

describe('remembering', () => {
  const ask = () => rememberUntilChange(shop, 'customers', () => shop.db.select().from(customers).all().length);
  const add = (name: string) => void shop.db.insert(customers).values({ name, contact: '' }).run();

  it('reads once for as long as nothing changes, and anew after each change', () => {
    let reads = 0;
    const read = () => rememberUntilChange(shop, 'reads', () => ++reads);
    expect([read(), read()]).toEqual([1, 1]);
    add('Ansel');
    expect([read(), read()]).toEqual([2, 2]);
    shop.db.update(customers).set({ name: 'Anselm' }).where(eq(customers.name, 'Ansel')).run();
    expect(read()).toBe(3);
  });

  it('remembers nothing of what is taken back', () => {
    expect(ask()).toBe(0);
    expect(() =>
      shop.db.transaction(() => {
        add('Ansel');
        expect(ask()).toBe(1);
        throw new Error('taken back');
      }),
    ).toThrow('taken back');
    expect(ask()).toBe(0);
  });

  it('keeps what is read under different names apart', () => {
    expect(rememberUntilChange(shop, 'a', () => 1)).toBe(1);
    expect(rememberUntilChange(shop, 'b', () => 2)).toBe(2);
    expect(rememberUntilChange(shop, 'a', () => 3)).toBe(1);
  });
});
