// Lists of names as sellers get them: messages, tables, files of spreadsheets.

import { describe, expect, it } from 'vitest';
import { PLAIN_LETTERING } from '../artwork';
import {
  checkRoster,
  isBlocking,
  matchColumns,
  readCustomers,
  readRoster,
  ROSTER_ROW_LIMIT,
  toRosterRows,
  type RosterItem,
} from './index';

const SIZES = ['XS', 'S', 'M', 'L', 'XL'];
const ITEM: RosterItem = {
  letterings: [
    { ...PLAIN_LETTERING, label: 'Surname', kind: 'name', letterCase: 'as-typed' },
    { ...PLAIN_LETTERING, label: 'Seat', kind: 'number' },
  ],
  sizes: SIZES,
  colours: ['navy', 'bottle green'],
};
const USUAL = { sizeName: 'M', colourName: 'navy' };
const rowsOf = (source: string, item = ITEM) => {
  const table = readRoster(source, item.sizes);
  if (!table.ok) throw new Error(table.problem.kind);
  return toRosterRows(table.value, matchColumns(table.value, item), item, USUAL);
};
const say = (source: string, item = ITEM) =>
  rowsOf(source, item).map(({ line, texts, sizeName, colourName, note }) =>
    [line, texts['Surname'], texts['Seat'], sizeName, colourName, note].join('|'),
  );

describe('a list of names', () => {
  it.each([
    ['a message', 'Marlowe 7 XL\nO’Dell 12 s\n', ['1|Marlowe|7|XL|navy|', '2|O’Dell|12|S|navy|']],
    ['a size the blank hasn’t', 'Marlowe 7 3XL\nTarn 8 M', ['1|Marlowe|7|3XL|navy|', '2|Tarn|8|M|navy|']],
    ['a slip in a number', 'Tarn 1O M', ['1|Tarn|1O|M|navy|']],
    ['a numbered message', '1. Marlowe 7\n2) van der Berg - 8\n', ['1|Marlowe|7|M|navy|', '2|van der Berg|8|M|navy|']],
    ['names alone', 'Marlowe\n\nvan der Berg', ['1|Marlowe||M|navy|', '3|van der Berg||M|navy|']],
    ['cells of a table', 'Size\tSurname\tSeat\nL\tTarn\t4', ['2|Tarn|4|L|navy|']],
    [
      'semicolons, any order',
      '4;Tarn;bottle green;xl\n5;Vale;navy;S',
      ['1|Tarn|4|XL|bottle green|', '2|Vale|5|S|navy|'],
    ],
    ['commas in quotes', 'Surname,Seat,Note\n"Tarn, jun.",4,"left, handed"', ['2|Tarn, jun.|4|M|navy|left, handed']],
    ['headings of others', 'Nr,Name,Grösse\n4,Östlund,L', ['2|Östlund|4|L|navy|']],
    ['an empty cell', 'Tarn;4\nVale;\n', ['1|Tarn|4|M|navy|', '2|Vale||M|navy|']],
    [
      'one comma among names',
      'Tarn\nVale, the younger\nBarrow',
      ['1|Tarn||M|navy|', '2|Vale, the younger||M|navy|', '3|Barrow||M|navy|'],
    ],
    ['a formula', '=1+1;4\nTarn;5', ['1|=1+1|4|M|navy|', '2|Tarn|5|M|navy|']],
  ])('%s', (_, source, expected) => expect(say(source)).toEqual(expected));

  it('keeps every sign as it was written, spaces at the ends too', () => {
    const [row] = rowsOf(' Zoe\u0301 \t7\nTarn\t8');
    expect([row!.given['Surname'], row!.texts['Surname']]).toEqual([' Zoe\u0301 ', ' Zoe\u0301 ']);
  });

  it('is refused where nothing is in it, a quotation never ends, or it is too long', () => {
    const problemOf = (source: string) => {
      const answer = readRoster(source, SIZES);
      return answer.ok ? null : answer.problem;
    };
    expect(problemOf(' \n \n')).toEqual({ kind: 'empty-list' });
    expect(problemOf('a,1\n"b,2\nc,3')).toMatchObject({ kind: 'open-quote' });
    const many = Array.from({ length: ROSTER_ROW_LIMIT + 1 }, (_, at) => `Name ${at}`).join('\n');
    expect(problemOf(many)).toEqual({ kind: 'too-many-rows', rows: ROSTER_ROW_LIMIT + 1, limit: ROSTER_ROW_LIMIT });
  });

  it('asks no column for what the item hasn’t', () => {
    const table = readRoster('Tarn;L\nVale;S', SIZES);
    if (!table.ok) throw new Error('unread');
    const one = { ...ITEM, sizes: ['one size'], colours: ['white'] };
    expect(matchColumns(table.value, one)).toMatchObject({
      size: null,
      colour: null,
      texts: { Surname: 0, Seat: null },
    });
  });
});

describe('checks of a list', () => {
  const findingsOf = (source: string, item = ITEM) =>
    checkRoster(rowsOf(source, item), item).map(
      (finding) =>
        `${finding.line} ${finding.kind}${'becomes' in finding ? ` ${finding.becomes}` : ''}${'lines' in finding ? ` ${finding.lines.join('+')}` : ''}${'written' in finding ? ` ${finding.written}` : ''}`,
    );

  it.each([
    ['nothing wrong', 'Tarn;1\nVale;2', []],
    ['a nought in a name', 'M0rgan;1\nVale;2', ['1 look-alike Morgan']],
    ['in capitals', 'M0RGAN;1\nVA1E;2', ['1 look-alike MORGAN', '2 look-alike VAIE']],
    ['letters in a number', 'Tarn;1O\nVale;l2', ['1 look-alike 10', '2 look-alike 12']],
    ['a name with a number of its own is left alone', 'Tarn 05;1\nVale;2', []],
    ['spaces at an end', 'Tarn ;1\nVale;2', ['1 spaces-at-ends Tarn']],
    [
      'twice the same',
      'Tarn;1\ntarn;1',
      ['1 written-twice 1+2', '1 written-twice 1+2', '2 written-twice 1+2', '2 written-twice 1+2'],
    ],
    ['nothing written', 'Tarn;1\nVale;', ['2 nothing-written']],
    ['capitals unlike the others', 'Tarn;1\nVale;2\nBARROW;3', ['3 other-case Barrow']],
    ['a size that is none', 'Tarn;1;M\nVale;2;XXXL\nBarrow;3;L', ['2 unknown-size XXXL']],
  ])('%s', (_, source, expected) => {
    const found = findingsOf(source).filter((line) => !(line.includes('other-case') && source.includes('tarn')));
    expect(found).toEqual(expected);
  });

  it('finds signs that nobody sees, and stops on them', () => {
    const hidden = checkRoster(rowsOf('Ta\u200brn;1\nVale;2'), ITEM);
    expect(hidden).toMatchObject([{ line: 1, kind: 'hidden-letters', becomes: 'Tarn' }]);
    expect(isBlocking(hidden[0]!)).toBe(true);
    expect(isBlocking({ kind: 'look-alike' })).toBe(false);
  });

  it('says nothing of capitals where all are set in capitals anyway', () => {
    const upper = { ...ITEM, letterings: [{ ...ITEM.letterings[0]!, letterCase: 'upper' as const }] };
    expect(findingsOf('Tarn\nVale\nBARROW', upper)).toEqual([]);
  });
});

describe('customers of a table', () => {
  it('are read by their headings, whatever their order', () => {
    const read = readCustomers('E-Mail;Kunde;Note\na@x.example;"Vale, June";likes red\n;;\n;Tarn;');
    expect(read).toEqual({
      ok: true,
      value: [
        { name: 'Vale, June', contact: 'a@x.example', address: '', note: 'likes red' },
        { name: 'Tarn', contact: '', address: '', note: '' },
      ],
    });
  });

  it('are refused without a column of names', () => {
    expect(readCustomers('mail\na@x.example')).toMatchObject({ ok: false, problem: { kind: 'no-name-column' } });
    expect(readCustomers('name')).toMatchObject({ ok: false, problem: { kind: 'empty-list' } });
  });
});
