import { describe, expect, it } from 'vitest';
import { pairLines, readFeed } from './index';

const SHOP = { locale: 'de-AT', currency: 'EUR' };
const read = (text: string, shop = SHOP) => {
  const result = readFeed(text, shop);
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value;
};
const problemOf = (text: string) => {
  const result = readFeed(text, SHOP);
  return result.ok ? null : result.problem;
};
const HEAD = 'Order;State;Customer;E-mail;Due;Item;Qty;Size;Colour;Price;Surname;Note\n';

describe('a channel’s file', () => {
  it('holds one order for all lines of a number, in any order of columns', () => {
    const orders = read(
      `${HEAD}A-1;;Jörg Müller;j@x.example;2027-03-01;Jacket;2;M;navy;59,90;Åsa;"soon; please"\nA-1;;;;;Cup;;;;12,00;;\nA-2;;Mo;;;Jacket;1;L;;;O'Dell;\n`,
    );
    expect(orders.map(({ reference, lines }) => [reference, lines.length])).toEqual([
      ['A-1', 2],
      ['A-2', 1],
    ]);
    expect(orders[0]).toMatchObject({ customerName: 'Jörg Müller', dueDay: '2027-03-01', note: 'soon; please' });
    expect(orders[0]!.lines[0]).toEqual({
      article: 'Jacket',
      quantity: 2,
      sizeName: 'M',
      colourName: 'navy',
      each: 5990,
      texts: [{ label: 'Surname', text: 'Åsa' }],
    });
    expect(orders[0]!.lines[1]).toMatchObject({ article: 'Cup', quantity: 1, each: 1200, texts: [] });
    expect(orders[1]!.lines[0]).toMatchObject({ each: null, texts: [{ label: 'Surname', text: "O'Dell" }] });
  });

  it('reads amounts by the digits of the currency', () => {
    const [order] = read('Order,Item,Price\n1,Cup,1200\n', { locale: 'ja-JP', currency: 'JPY' });
    expect(order!.lines[0]!.each).toBe(1200);
  });

  it('cancels an order by one word, with or without its lines', () => {
    const orders = read(`${HEAD}A-1;cancelled;;;;;;;;;;\nA-2;Storniert;;;;Cup;1;;;;;\n`);
    expect(orders.map(({ isCancelled, lines }) => [isCancelled, lines.length])).toEqual([
      [true, 0],
      [true, 1],
    ]);
  });

  it.each([
    ['Item,Qty\nCup,1\n', { kind: 'no-column', column: 'order' }],
    ['Order,Qty\n1,1\n', { kind: 'no-column', column: 'item' }],
    ['', { kind: 'empty-list' }],
    [`${HEAD};;;;;Cup;1;;;;;\n`, { kind: 'bad-cell', line: 2, column: 'order', cell: '' }],
    [`${HEAD}1;;;;;;1;;;;;x\n`, { kind: 'bad-cell', line: 2, column: 'item', cell: '' }],
    [`${HEAD}1;;;;;Cup;1;;;;;\n2;;;;;Cup;1.5;;;;;\n`, { kind: 'bad-cell', line: 3, column: 'quantity', cell: '1.5' }],
    [`${HEAD}1;;;;;Cup;0;;;;;\n`, { kind: 'bad-cell', line: 2, column: 'quantity', cell: '0' }],
    [`${HEAD}1;;;;2027-02-30;Cup;1;;;;;\n`, { kind: 'bad-cell', line: 2, column: 'due', cell: '2027-02-30' }],
    [`${HEAD}1;;;;;Cup;1;;;cheap;;\n`, { kind: 'bad-cell', line: 2, column: 'price', cell: 'cheap' }],
    [`${HEAD}1;;;;;Cup;1;;;-3;;\n`, { kind: 'bad-cell', line: 2, column: 'price', cell: '-3' }],
  ])('is refused whole, with the line: %j', (text, problem) => {
    expect(problemOf(text)).toEqual(problem);
  });
});

describe('lines of a file that comes again', () => {
  const line = (sizeName: string, text = '') => ({
    itemId: 1,
    sizeName,
    colourName: 'navy',
    options: [],
    texts: text === '' ? [] : [{ label: 'Name', text }],
  });

  it('stay where they are alike, each once, and are new where they are not', () => {
    const lines = [
      { id: 10, ...line('M', 'Ash') },
      { id: 11, ...line('M') },
      { id: 12, ...line('M') },
    ];
    const paired = pairLines(lines, [line('M'), line('L'), line('M'), line('M'), line('M', 'Ash')]);
    expect(paired.map(({ lineId }) => lineId)).toEqual([11, null, 12, null, 10]);
  });
});
