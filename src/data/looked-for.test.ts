// The tables of three letters say what is said in the orders and of the customers, whatever was changed.

import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../test/demo-shop';
import { findCustomers } from './find-named';
import { findOrdersLike } from './order-search';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

const sortedWords = (said: string) => said.split('\n').filter(Boolean).sort();
const readOrders = () =>
  shop.db
    .all<{ id: number; said: string }>(sql`select rowid as id, said from order_words order by rowid`)
    .map(({ id, said }) => ({ id, said: sortedWords(said) }));
const recountOrders = () =>
  shop.db
    .all<{ id: number; said: string }>(
      sql`select id, title || char(10) || coalesce((select group_concat(words, char(10)) from order_lines where order_id = orders.id), '') as said from orders order by id`,
    )
    .map(({ id, said }) => ({ id, said: sortedWords(said) }));
const readCustomers = () => shop.db.all(sql`select rowid as id, name, contact from customer_words order by rowid`);
const recountCustomers = () => shop.db.all(sql`select id, name, contact from customers order by id`);

function expectTrue(): void {
  expect(readOrders()).toEqual(recountOrders());
  expect(readCustomers()).toEqual(recountCustomers());
}
const found = (words: string) => findOrdersLike(shop.db, words, 50).map(({ title }) => title);

describe('what is looked for', () => {
  it('is what is said, as the demo shop has it', () => {
    expectTrue();
    expect(readOrders().length).toBeGreaterThan(3);
    expect(readOrders().some(({ said }) => said.length > 1)).toBe(true);
  });

  it.each([
    ['a title', sql`update orders set title = 'Regatta bunting' where id = 1`],
    [
      'the words of a line',
      sql`update order_lines set words = 'Thorvald 9' where id = (select max(id) from order_lines)`,
    ],
    ['no words', sql`update order_lines set words = ''`],
    ['a line less', sql`delete from order_lines where id = (select max(id) from order_lines where words <> '')`],
    ['a customer’s name and contact', sql`update customers set name = 'Ödegård', contact = 'by the quay' where id = 1`],
    ['a customer more', sql`insert into customers (name, contact) values ('Zephyrine', 'zeph@example.org')`],
  ])('stays so with %s', (_name, change) => {
    shop.db.run(change);
    expectTrue();
  });

  it('stays so without an order and its lines', () => {
    const [{ id }] = shop.db.all<{ id: number }>(
      sql`select order_id as id from order_lines where words <> '' limit 1`,
    ) as [{ id: number }];
    shop.db.run(sql`pragma foreign_keys = off`);
    shop.db.run(sql`delete from order_lines where order_id = ${id}`);
    shop.db.run(sql`delete from orders where id = ${id}`);
    expectTrue();
    expect(readOrders().map((order) => order.id)).not.toContain(id);
  });

  it('is found by a part of a word, by capitals and without accents, and by its customer’s new name', () => {
    shop.db.run(sql`update orders set title = 'Straße, Ærø and Łódź' where id = 1`);
    for (const words of ['straß', 'STRA', 'aße', 'ærø', 'łódź', 'straß ærø'])
      expect(found(words)).toContain('Straße, Ærø and Łódź');
    for (const words of ['strasse ærø', 'xyz', 'stra"ße', 'said : stra', 'stra*']) expect(found(words)).toEqual([]);
    shop.db.run(
      sql`update customers set name = 'Ödegård & Sœurs' where id = (select customer_id from orders where id = 1)`,
    );
    expect(found('odegard')).toContain('Straße, Ærø and Łódź');
    expect(found('ærø ÖDEG')).toEqual(['Straße, Ærø and Łódź']);
    expect(findCustomers(shop.db, 'sœurs öde', 5).map(({ name }) => name)).toEqual(['Ödegård & Sœurs']);
  });

  it('is found by one or two letters as well', () => {
    shop.db.run(sql`update orders set title = 'Qx' where id = 1`);
    expect(found('qx')).toEqual(['Qx']);
    shop.db.run(sql`update customers set name = 'Jörg Vy' where id = (select customer_id from orders where id = 1)`);
    expect(found('vy')).toContain('Qx');
    expect(findCustomers(shop.db, 'vy jörg', 5).map(({ name }) => name)).toEqual(['Jörg Vy']);
  });
});
