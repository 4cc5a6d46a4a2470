// The list of orders: a page at a time, looked through and sorted as its address says.

import { describe, expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { loadOrderList, readOrderQuery } from './load-order-list';
import { moveOrder } from './move-order';
import { moveOrders } from './move-orders';
import { placeOrder } from './save-order';
import { priceAllItems } from '../../../test/price-all';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

const ask = (query: string) => loadOrderList(shop, readOrderQuery(new URLSearchParams(query)));

function takeMany(count: number): readonly number[] {
  const { id: itemId } = priceAllItems(shop).find(({ item }) => item.name === 'Bakery apron')!.item;
  const line = { itemId, quantity: 1, sizeName: 'one size', colourName: 'charcoal' };
  const head = { contact: '', note: '', lines: [line] };
  return Array.from({ length: count }, (_, index) => {
    const number = String(index).padStart(3, '0');
    const dueDay = `2027-01-${String(1 + (index % 28)).padStart(2, '0')}`;
    const title = `Fair ${number}`;
    return placeOrder(shop, { ...head, title, customerName: `Guest ${index % 7}`, dueDay, agreed: 100 * index }).id;
  });
}

describe('the list of orders', () => {
  it('comes a page at a time, and counts all of them', () => {
    const before = ask('').counts;
    takeMany(60);
    const first = ask('sort=due');
    const last = ask('sort=due&page=9');
    expect(first.counts).toMatchObject({ open: before.open + 60, closed: before.closed });
    expect(first.at).toEqual({ total: before.open + 60, page: 1, pages: 2 });
    expect([first.rows.length, last.at.page, last.rows.length]).toEqual([50, 2, before.open + 10]);
    const days = [...first.rows, ...last.rows].map((row) => row.dueDay);
    expect(days).toEqual([...days].sort());
  });

  it('is sorted by its heads, both ways', () => {
    takeMany(12);
    const titles = (query: string) => ask(`q=Fair&${query}`).rows.map((row) => row.title);
    expect(titles('sort=title')).toEqual([...titles('sort=title')].sort());
    expect(titles('sort=title&down=1')[0]).toBe('Fair 011');
    expect(titles('sort=agreed&down=1')[0]).toBe('Fair 011');
    expect(titles('sort=number')[0]).toBe('Fair 000');
    expect(titles('sort=nonsense')).toEqual(titles(''));
  });

  it('tells to the minute what time is left', () => {
    const left = () => ask('').rows.map(({ slack }) => slack?.value ?? null);
    const before = left();
    shop.clock.ms += 59_000;
    expect(left()).toEqual(before);
    shop.clock.ms += 1000;
    const after = left();
    expect(after.some((seconds, at) => seconds !== null && seconds === before[at]! - 60)).toBe(true);
  });

  it('finds by title, customer and number, whatever stands in the address', () => {
    const [first] = takeMany(12);
    expect(ask('q=fair 003').rows.map((row) => row.title)).toEqual(['Fair 003']);
    expect(ask('q=guest 4').rows.map((row) => row.title)).toEqual(['Fair 004', 'Fair 011']);
    expect(ask(`q=${first}`).rows.map((row) => row.id)).toEqual([first]);
    expect(ask('q=%25&page=0').rows).toEqual([]);
  });

  it('has closed ones apart, the latest first, found and sorted likewise', () => {
    const ids = takeMany(3);
    for (const id of ids) {
      shop.clock.ms += 1000;
      moveOrder(shop, id, { move: 'cancel' });
    }
    const closed = ask('show=closed');
    expect(closed.rows.slice(0, 3).map((row) => row.id)).toEqual([...ids].reverse());
    expect(closed.rows.every((row) => row.stage === 'cancelled' || row.stage === 'closed')).toBe(true);
    expect(closed.at.total).toBe(closed.counts.closed);
    expect(ask('show=closed&q=fair&sort=agreed').rows.map((row) => row.id)).toEqual(ids);
    expect(ask('show=closed&q=fair&sort=title&down=1').rows.map((row) => row.id)).toEqual([...ids].reverse());
    expect(ask('q=fair').rows).toEqual([]);
  });

  it('finds by words in any order, by number with a mark, and by a name on a piece', () => {
    const crew = ask('q=seats+fennmere').rows.map((row) => row.id);
    expect(crew).toHaveLength(1);
    expect(ask(`q=%23${crew[0]}`).rows.map((row) => row.id)).toEqual(crew);
    expect(ask('q=quillfeather+junior').rows.map((row) => row.id)).toEqual(crew);
    expect(ask('q=junior+nobody').rows).toEqual([]);
    moveOrder(shop, crew[0]!, { move: 'cancel' });
    expect(ask('show=closed&q=östlund+crew').rows.map((row) => row.id)).toEqual(crew);
    expect(ask('show=closed&q=quillfeatherings').rows).toEqual([]);
  });

  it('begins with what is late or at risk; what has not to be worked on comes last', () => {
    const [held] = takeMany(4);
    moveOrder(shop, held!, { move: 'hold' });
    const slacks = ask('').rows.map((row) => row.slack?.value ?? Infinity);
    expect(slacks).toEqual([...slacks].sort((a, b) => a - b));
    expect(ask('').rows.at(-1)!.slack).toBeNull();
  });

  it('finds with a slip of the finger where nothing is written so, and says that it did', () => {
    const [crew] = ask('q=seats').rows;
    expect(ask('q=seats').isNear).toBe(false);
    expect(ask('q=jumior seats')).toMatchObject({ isNear: true, rows: [{ id: crew!.id }] });
    expect(ask('q=jumior bakery')).toMatchObject({ isNear: false, rows: [] });
    moveOrder(shop, crew!.id, { move: 'cancel' });
    expect(ask('show=closed&q=quilfeather')).toMatchObject({ isNear: true, rows: [{ id: crew!.id }] });
  });

  it('says for each what to answer and which steps make sense', () => {
    const [id] = takeMany(1);
    const row = ask(`q=%23${id}`).rows[0]!;
    expect(row.answer).toMatch(/^“Fair 000” is in our queue and will be ready by /);
    expect(row.moves).toEqual(['hold', 'cancel']);
  });

  it('moves several at once, tells what was refused, and takes back what was done', () => {
    const [one, two] = takeMany(2);
    moveOrder(shop, two!, { move: 'hold' });
    const done = moveOrders(shop, { ids: [one!, two!, one!], move: 'hold' });
    expect(done.moved).toEqual([one]);
    expect(done.refused).toMatchObject([{ id: two, words: expect.stringContaining('on hold') as string }]);
    expect(ask(`q=%23${one}`).rows[0]!.stage).toBe('on-hold');
    moveOrders(shop, { ids: [...done.moved], move: 'undo' });
    expect(ask(`q=%23${one}`).rows[0]!.stage).toBe('approved');
    expect(ask(`q=%23${two}`).rows[0]!.stage).toBe('on-hold');
  });

  it('of the ready ones holds no other', () => {
    const { rows, counts } = ask('show=ready');
    expect(rows.length).toBe(counts.ready);
    expect(rows.every((row) => row.stage === 'ready')).toBe(true);
  });
});
