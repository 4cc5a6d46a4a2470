// A channel's files: orders taken, changed and cancelled once each, and what has to be matched first.

import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { copyDemoShop, eachFresh, refusalOf, seedDemoShop, type TestShop } from '../../../test/demo-shop';
import { findClub, setNames } from '../../../test/named-orders';
import { guessFeedColumns } from '../../core/feeds/index';
import { findFeedOrder } from '../../data/feed-store';
import { openShop } from '../context';
import { finishSession, startSession } from '../bench/work-at-bench';
import { loadOrderList } from '../orders/load-order-list';
import { loadOrderView } from '../orders/load-order-view';
import { readOrder } from '../orders/read-orders';
import { lookIntoFolder } from './feed-folder';
import { loadFeed } from './load-feed';
import { matchName, takeFeed } from './take-feed';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const HEAD = 'order,state,customer,contact,due,item,quantity,size,colour,price,Surname,wrap\n';
const TOWELS = '77,,Ada Brook,ada@brook.example,2027-03-01,Honeycomb tea towel,2,,,"25.00",,\n';
const take = (rows: string, file = 'monday.csv') => takeFeed(shop, { file, text: HEAD + rows });
const orderOf = (reference: string) => loadOrderView(shop, findFeedOrder(shop.db, reference)!.orderId!);
const countOpen = () => loadOrderList(shop).counts.open;

describe('a file of a channel', () => {
  it('becomes orders, and the same file again changes nothing', async () => {
    const before = countOpen();
    expect(await take(TOWELS)).toMatchObject({ taken: 1, same: 0 });
    expect(await take(TOWELS, 'monday copy.csv')).toMatchObject({ taken: 0, same: 1 });
    expect(countOpen()).toBe(before + 1);
    const { row, lines } = orderOf('77');
    expect(row).toMatchObject({ customerName: 'Ada Brook', dueDay: '2027-03-01', agreed: 5000 });
    expect(lines).toMatchObject([{ quantity: 2, sizeName: 'one size', colourName: 'natural', each: 2500 }]);
  });

  it('taken twice at the same time makes one order', async () => {
    await setNames(shop, ['ASH']);
    const before = countOpen();
    const rows = '78,,Ada,,,"Crew jacket, crest and club mark",1,M,navy,,ASH,\n';
    const reports = await Promise.all([take(rows), take(rows)]);
    expect(reports.map(({ taken, same }) => [taken, same]).sort()).toEqual([
      [0, 1],
      [1, 0],
    ]);
    expect(countOpen()).toBe(before + 1);
  });

  it('has texts and options from its columns, and keeps what it does not know in the note', async () => {
    await setNames(shop, ['ASH']);
    await take('79,,Ada,,,"Crew jacket, crest and club mark",1,m,NAVY,,ASH,as a gift\n');
    const [line] = orderOf('79').lines;
    expect(line).toMatchObject({ sizeName: 'M', colourName: 'navy', options: [0], note: 'wrap: as a gift' });
    expect(line!.texts).toMatchObject([{ label: 'Surname', text: 'ASH', given: 'ASH' }]);
    // Without a price it is asked at the shop's.
    expect(line!.each).toBe(findClub(shop).price + findClub(shop).details.options[0]!.surcharge);
  });

  it('changes an order that it knows, and what was alike stays', async () => {
    await take(TOWELS);
    const before = orderOf('77');
    const more = TOWELS.replace(',2,,,', ',3,,,').replace('2027-03-01', '2027-03-09');
    expect(await take(more)).toMatchObject({ changed: 1 });
    const after = orderOf('77');
    expect(after.row).toMatchObject({ id: before.row.id, dueDay: '2027-03-09', agreed: 7500 });
    expect(after.lines).toMatchObject([{ id: before.lines[0]!.id, quantity: 3 }]);
    expect(await take(more)).toMatchObject({ changed: 0, same: 1 });
  });

  it('cancels an order once, and says why where it can’t any more', async () => {
    await take(TOWELS);
    expect(await take('77,cancelled,,,,,,,,,,\n')).toMatchObject({ cancelled: 1 });
    expect(orderOf('77').row.stage).toBe('cancelled');
    expect(await take('77,cancelled,,,,,,,,,,\n')).toMatchObject({ same: 1 });
    expect(await take(TOWELS)).toMatchObject({ refused: 1 });
    expect(findFeedOrder(shop.db, '77')!.problem).not.toBe('');
    expect(await take('80,cancelled,,,,,,,,,,\n')).toMatchObject({ cancelled: 1 });
    expect(findFeedOrder(shop.db, '80')!.orderId).toBeNull();
  });

  it('does not take away pieces that are begun: it says so, and the order stays', async () => {
    await take(TOWELS);
    const { id } = orderOf('77').row;
    const partIds = readOrder(shop, id)!.parts.map((part) => part.id);
    const work = startSession(shop, { station: 'cut', partIds });
    shop.clock.ms += 60_000;
    finishSession(shop, work.id, 'done');
    expect(await take(TOWELS.replace(',2,,,', ',1,,,'))).toMatchObject({ refused: 1 });
    expect(findFeedOrder(shop.db, '77')!.problem).toMatch(/begun/);
    expect(orderOf('77').lines[0]!.quantity).toBe(2);
  });

  it('waits for what it calls an item, and is taken once that is matched', async () => {
    const rows = '81,,Ada,,,TT-HONEY,1,,,,,\n82,,Bo,,,tt-honey,2,,,,,\n';
    expect(await take(rows)).toMatchObject({ waiting: 2 });
    // Once, whatever its capitals.
    expect(loadFeed(shop, new URLSearchParams()).unknown).toEqual([{ kind: 'item', name: 'TT-HONEY' }]);
    const towel = loadFeed(shop, new URLSearchParams()).items.find(({ name }) => name === 'Honeycomb tea towel')!;
    expect(await matchName(shop, { kind: 'item', name: 'TT-HONEY', itemId: towel.id })).toMatchObject({ taken: 2 });
    expect(loadFeed(shop, new URLSearchParams()).unknown).toEqual([]);
    expect(await take('83,,Cy,,,Tt-Honey,1,,,,,\n')).toMatchObject({ taken: 1 });
  });

  it('is told what is wrong with one order while the others are taken', async () => {
    const rows = `84,,Ada,,,"Crew jacket, crest and club mark",1,M,navy,,漢,\n${TOWELS}`;
    expect(await take(rows)).toMatchObject({ refused: 1, taken: 1 });
    expect(findFeedOrder(shop.db, '84')!.problem).toContain('漢');
  });

  it('takes another way of writing a size for it, and asks once for names that it can’t know', async () => {
    await setNames(shop, ['ASH']);
    const jacket = '"Crew jacket, crest and club mark"';
    expect(await take(`86,,Ada,,,${jacket},1,Large,navy,,ASH,\n`)).toMatchObject({ taken: 1 });
    expect(orderOf('86').lines).toMatchObject([{ sizeName: 'L' }]);
    expect(await take(`87,,Ada,,,${jacket},1,M-Tall,Ink,,ASH,\n`)).toMatchObject({ waiting: 1 });
    expect(findFeedOrder(shop.db, '87')!.problem).toMatch(/What is the size M-Tall of Crew jacket.*the colour Ink/);
    const [size, colour] = loadFeed(shop, new URLSearchParams()).unknown;
    expect(size).toMatchObject({
      kind: 'size',
      name: 'M-Tall',
      choices: expect.arrayContaining(['M', 'L']) as string[],
    });
    const itemId = findClub(shop).id;
    expect(await matchName(shop, { kind: 'size', name: 'M-Tall', itemId, own: 'M' })).toMatchObject({ waiting: 1 });
    expect(colour).toMatchObject({ kind: 'colour', name: 'Ink' });
    expect(await matchName(shop, { kind: 'colour', name: 'Ink', itemId, own: 'navy' })).toMatchObject({ taken: 1 });
    expect(orderOf('87').lines).toMatchObject([{ sizeName: 'M', colourName: 'navy' }]);
    expect(await take(`88,,Bo,,,${jacket},1,m-tall,ink,,ASH,\n`)).toMatchObject({ taken: 1 });
  });

  it('is not matched to an item that is not there', async () => {
    const wish = { kind: 'item' as const, name: 'TT-9', itemId: 99_999 };
    expect((await refusalOf(() => matchName(shop, wish))).message).toMatch(/This item is not here/);
  });

  it('whose headings nobody knows is asked for its columns once', async () => {
    const text = 'Nr,Wer,Was,Stück\n90,Ada,Honeycomb tea towel,3\n';
    const refusal = await refusalOf(() => takeFeed(shop, { file: 'x.csv', text }));
    expect(refusal.message).toMatch(/none of its columns is headed “order”/);
    const columns = { ...guessFeedColumns([]), order: 0, customer: 1, item: 2, quantity: 3 };
    expect(await takeFeed(shop, { file: 'x.csv', text, columns })).toMatchObject({ taken: 1 });
    expect(orderOf('90')).toMatchObject({ row: { customerName: 'Ada' }, lines: [{ quantity: 3 }] });
    // From now on it is known.
    const more = text.replace('90', '91');
    expect(await takeFeed(shop, { file: 'y.csv', text: more })).toMatchObject({ taken: 1 });
  });

  it('that can’t be read is refused whole, with the line', async () => {
    const before = countOpen();
    const { message } = await refusalOf(() => take(`${TOWELS}85,,,,,Cup,many,,,,,\n`));
    expect(message).toMatch(/Nothing of monday\.csv was taken\. Line 3 says “many” under “quantity”/);
    expect(countOpen()).toBe(before);
  });
});

describe('the folder of the feed', () => {
  const folder = mkdtempSync(join(tmpdir(), 'chiral-feed-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  it('is emptied file by file: what was taken and what could not be read are put aside', async () => {
    const file = join(folder, 'shop.sqlite');
    writeFileSync(file, copyDemoShop(await seedDemoShop()).db.$client.serialize());
    const own = openShop(file, () => Date.parse('2026-11-24T10:00:00Z'));
    mkdirSync(join(folder, 'feed'));
    const drop = (name: string, text: string) => writeFileSync(join(folder, 'feed', name), text);
    drop('a.csv', HEAD + TOWELS);
    drop('b.csv', 'nothing');
    drop('notes.txt', 'not an order file');
    const [first, second] = await Promise.all([lookIntoFolder(own), lookIntoFolder(own)]);
    expect(first).toEqual(second);
    expect(
      first.files.map(({ file: name, report, problem }) => [name, report?.taken ?? null, problem !== null]),
    ).toEqual([
      ['a.csv', 1, false],
      ['b.csv', null, true],
    ]);
    drop('a.csv', HEAD + TOWELS);
    expect((await lookIntoFolder(own)).files).toMatchObject([{ report: { taken: 0, same: 1 } }]);
    expect(readdirSync(join(folder, 'feed', 'done')).sort()).toEqual(['a 2.csv', 'a.csv']);
    expect(readdirSync(join(folder, 'feed', 'refused'))).toEqual(['b.csv']);
    expect(existsSync(join(folder, 'feed', 'notes.txt'))).toBe(true);
    own.db.$client.close();
  }, 60_000);
});
