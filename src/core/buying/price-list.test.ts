import { describe, expect, it } from 'vitest';
import {
  decodeList,
  guessColumns,
  guessDecimal,
  parseListLength,
  parseListNumber,
  readListTable,
  readPriceList,
  writeCsv,
  type ListTable,
  type ReadOptions,
} from './index';

function table(text: string): ListTable {
  const read = readListTable(text);
  if (!read.ok) throw new Error(read.problem.kind);
  return read.value;
}
function list(text: string, part: Partial<ReadOptions> = {}) {
  const cells = table(text);
  return readPriceList(cells, {
    match: guessColumns(cells.header),
    decimal: ',',
    lengthUnit: 'mm',
    currency: 'EUR',
    ...part,
  });
}

describe('a list’s cells', () => {
  it('are found whatever separates them, below a title, with umlauts in an old code page', () => {
    const bytes = Uint8Array.from(
      [...'Code;Name;Preis\r\nT1;Gr']
        .map((letter) => letter.charCodeAt(0))
        .concat(
          [0xfc],
          [...'n;12,50\r\n'].map((letter) => letter.charCodeAt(0)),
        ),
    );
    expect(table(decodeList(bytes)).rows[0]!.cells).toEqual(['T1', 'Grün', '12,50']);
    expect(
      table(decodeList(new TextEncoder().encode('\uFEFFcode\tname\tprice\nT1\tGrün\t12.50'))).rows[0]!.cells,
    ).toEqual(['T1', 'Grün', '12.50']);
    const titled = table('Spring list\n\ncode,name,price\nA,"Roll, black",3.20\n,,\nB,"two\nlines",4');
    expect(titled.header).toEqual(['code', 'name', 'price']);
    expect(titled.rows.map((row) => [row.line, row.cells[1]])).toEqual([
      [4, 'Roll, black'],
      [6, 'two\nlines'],
    ]);
  });

  it('that are none are refused: empty, one column, a quotation without end', () => {
    expect(readListTable('  \n')).toMatchObject({ problem: { kind: 'empty-list' } });
    expect(readListTable('only\nthis\n')).toMatchObject({ problem: { kind: 'no-header' } });
    expect(readListTable('a;b\n1;2\n3;"4')).toMatchObject({ problem: { kind: 'open-quote' } });
  });
});

describe('numbers and lengths', () => {
  it.each([
    ['1.234,50 €', ',', 1234.5],
    ['1,234.50', '.', 1234.5],
    ['12,5', ',', 12.5],
    ['EUR 7', ',', 7],
    ['1 234,00', ',', 1234],
    ["1'234.00", '.', 1234],
    ['12,34,56', ',', null],
    ['1.23', ',', null],
    ['free', ',', null],
    ['', ',', null],
    ['-3,20', ',', -3.2],
  ] as const)('%s with %s is %s', (text, decimal, value) => {
    expect(parseListNumber(text, decimal)).toBe(value);
  });
  it.each([
    ['50 cm', 500],
    ['1,52m', 1520],
    ['305', 305],
    ['12"', 304.8],
    ['5 yd', 4572],
    ['wide', null],
    ['0', null],
  ] as const)('%s is %s mm', (text, value) => {
    const found = parseListLength(text, 'mm', ',');
    if (value === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(value, 6);
  });
  it('the sign before the cents is told by most prices', () => {
    expect(guessDecimal(['12,50', '1.200,00', '7'])).toBe(',');
    expect(guessDecimal(['12.50', '1,200.00', '7'])).toBe('.');
  });
});

describe('offers of a list', () => {
  it('columns are guessed by their headings', () => {
    expect(guessColumns(['Art.-Nr.', 'Bezeichnung', 'Farbe', 'Breite (mm)', 'Länge', 'Preis netto', 'ab'])).toEqual({
      code: 0,
      name: 1,
      thing: 2,
      count: null,
      width: 3,
      length: 4,
      price: 5,
      from: 6,
    });
  });

  it('lines of one code are a bundle, or its breaks', () => {
    const { offers, unreadable } = list(
      'code;name;colour;count;width;length;price;from\nR1;Roll;slate;1;500;10 m;49,90;\nR1;Roll;;;;;45,00;5\nB1;Bundle;slate;2;300;300;12,00;\nB1;Bundle;fern;2;300;300;;\n',
    );
    expect(unreadable).toEqual([]);
    expect(offers).toEqual([
      {
        code: 'R1',
        name: 'Roll',
        price: 4990,
        parts: [{ thing: 'slate', count: 1, widthMm: 500, lengthMm: 10_000 }],
        breaks: [{ fromPacks: 5, price: 4500 }],
        line: 2,
      },
      {
        code: 'B1',
        name: 'Bundle',
        price: 1200,
        parts: [
          { thing: 'slate', count: 2, widthMm: 300, lengthMm: 300 },
          { thing: 'fern', count: 2, widthMm: 300, lengthMm: 300 },
        ],
        breaks: [],
        line: 4,
      },
    ]);
  });

  it('lines that can’t be read are named by number, and what is wrong with them', () => {
    const { offers, unreadable } = list(
      'code;name;count;width;length;price;from\n;nameless;;;;1,00;\nA;;;;;1,00;\nB;b;;;;much;\nC;c;;;;-1,00;\nD;d;half;;;1,00;\nE;e;;wide;5 m;1,00;\nF;f;;500;;1,00;\nG;g;;;;;\nH;h;;;;1,00;3\nI;fine;;;;1,00;\n',
    );
    expect(unreadable.map(({ line, column, kind }) => [line, column, kind])).toEqual([
      [2, 'code', 'missing'],
      [3, 'name', 'missing'],
      [4, 'price', 'no-number'],
      [5, 'price', 'negative'],
      [6, 'count', 'no-number'],
      [7, 'width', 'no-length'],
      [8, 'length', 'no-length'],
      [9, 'price', 'missing'],
      [10, 'from', 'break-without-price'],
    ]);
    expect(offers.map((offer) => offer.code)).toEqual(['I']);
  });

  it('a hundred thousand lines are read', () => {
    const text = `code;name;price\n${Array.from({ length: 100_000 }, (_, index) => `C${index};Vinyl ${index};${index % 90},50`).join('\n')}`;
    expect(list(text).offers).toHaveLength(100_000);
  });
});

it('formulas never reach a written list alive', () => {
  const written = writeCsv(
    ['name', 'amount'],
    [
      ['=1+1', -3],
      [' =cmd', 2],
      ['@x', 1],
      ['-x', 0],
      ['“quoted”; yes', 1.5],
    ],
  );
  expect(written).toBe("name;amount\r\n'=1+1;-3\r\n' =cmd;2\r\n'@x;1\r\n'-x;0\r\n\"“quoted”; yes\";1.5");
});

it('a list in UTF-16 is read by its mark', () => {
  const text = '\uFEFFcode;name;price\nA;Größe;1,50';
  expect(
    table(decodeList(new Uint8Array(Uint16Array.from([...text].map((letter) => letter.charCodeAt(0))).buffer))).rows[0]!
      .cells,
  ).toEqual(['A', 'Größe', '1,50']);
});
